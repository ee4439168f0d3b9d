using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Plans.Decisions;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.KeepingOn.Progression;

/// <summary>Proposal for the next session of one exercise.</summary>
/// <param name="Line">Key of the gym line.</param>
/// <param name="ExerciseId">Exercise the proposal is about.</param>
/// <param name="Name">Its name.</param>
/// <param name="Decision">What to do.</param>
/// <param name="Reason">Why, in words.</param>
/// <param name="Dose">The dose to do next.</param>
/// <param name="ExternalKg">External load to use next, kg.</param>
/// <param name="Load">That load in words; empty for none.</param>
/// <param name="FlagsCoach">True when the coach should look at it in person.</param>
public sealed record Proposal(
    LineKey Line,
    string ExerciseId,
    string Name,
    Decision Decision,
    Reason Reason,
    Dose Dose,
    double ExternalKg,
    string Load,
    bool FlagsCoach
)
{
    /// <summary>Exercise to step to; null when the exercise stays.</summary>
    public string? ToExerciseId { get; init; }

    /// <summary>Accepting it changes the plan; else it leaves everything as it is, or a coach must settle it at the workbench.</summary>
    public bool Changes =>
        Decision is not (Decision.Wait or Decision.Repeat or Decision.Swap or Decision.Change or Decision.CheckForm or Decision.NewPhase);

    /// <summary>What accepting it does: its figures, or none where the engine prescribes anew after a step or a calibration.</summary>
    public AcceptedProposal Accepted =>
        new(
            Line,
            ExerciseId,
            ToExerciseId is not null || Decision == Decision.Calibrated ? null : HomeEdit.Of(Line, ExerciseId, Dose, ExternalKg),
            ToExerciseId
        );
}
