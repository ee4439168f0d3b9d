namespace Ingegno.Core.Progress.Progression;

/// <summary>What to change for the next session.</summary>
public enum Decision
{
    /// <summary>Nothing was logged, or too little to decide.</summary>
    Wait,

    /// <summary>The same again.</summary>
    Repeat,

    /// <summary>The next load.</summary>
    MoreLoad,

    /// <summary>A rep more per set.</summary>
    MoreReps,

    /// <summary>A set more.</summary>
    MoreSets,

    /// <summary>The day has grown too long: a set less where least is lost.</summary>
    FewerSets,

    /// <summary>A harder variation.</summary>
    NextRung,

    /// <summary>A slower tempo.</summary>
    TechniqueOn,

    /// <summary>A technique less.</summary>
    TechniqueOff,

    /// <summary>A lighter load or fewer reps.</summary>
    StepBack,

    /// <summary>Most sets fell short: the bottom comes down to what the hardest had.</summary>
    FewerReps,

    /// <summary>After a week or more away: the week again, a tenth lighter.</summary>
    EaseIn,

    /// <summary>The first set is there, the last fall off: rest longer.</summary>
    LongerRest,

    /// <summary>Much to spare and no next step: rest shorter.</summary>
    ShorterRest,

    /// <summary>Half the sets, the same load.</summary>
    Deload,

    /// <summary>The lighter week is done: the full sets again.</summary>
    Resume,

    /// <summary>The block starts a new phase: its week is taken as a whole.</summary>
    NewPhase,

    /// <summary>What the coach wrote into the block for this week.</summary>
    AsPlanned,

    /// <summary>The calibration session set the dose.</summary>
    Calibrated,

    /// <summary>Far more than expected: look at the form before anything is raised.</summary>
    CheckForm,

    /// <summary>Stuck: another exercise or angle for the same muscles.</summary>
    Change,

    /// <summary>Pain: change range, load or variation.</summary>
    Ease,

    /// <summary>Two weeks without pain: the exercise that hurt is tried again.</summary>
    TryAgain,

    /// <summary>Pain: stop this exercise and take another.</summary>
    Swap,
}
