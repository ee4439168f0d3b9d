using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Core.Progress.Progression;

/// <summary>One logged day of an exercise.</summary>
/// <param name="Day">The day.</param>
/// <param name="Sets">Its sets, in order.</param>
/// <param name="OneRepMaxKg">One-rep maximum that its best set stands for, kg; null where load is not the measure.</param>
public sealed record LineDay(DateOnly Day, ImmutableArray<LoggedSet> Sets, double? OneRepMaxKg)
{
    /// <summary>The set that hurt most; null when none hurt.</summary>
    public LoggedSet? Worst => Sets.Where(s => s.PainCounted > 0 || s.Sharp).MaxBy(s => (s.PainCounted ?? 0) + (s.Sharp ? 10 : 0));

    /// <summary>Less was done than was asked, or it was harder than planned; where nothing was planned it counts as such.</summary>
    public bool FellShort =>
        Sets.Any(s =>
            s.Stamp?.PlannedReps is not { } reps
            || s.Reps < reps
            || (s.Rir is { } rir && s.Stamp.PlannedRir is { } planned && rir < planned)
        );

    /// <summary>Estimated strength lies clearly above that of the session before.</summary>
    public bool GainsOn(LineDay before) => OneRepMaxKg > before?.OneRepMaxKg * 1.01;

    /// <summary>Reads a day from its sets as they were stamped.</summary>
    public static LineDay From(DateOnly day, Exercise? exercise, ImmutableArray<LoggedSet> sets)
    {
        return new LineDay(
            day,
            sets,
            exercise is null ? null : StrengthObservation.FromSets(day, exercise, Evidence.FromSets(sets))?.OneRepMaxKg
        );
    }
}

/// <summary>What is known of an exercise of a plan when its next session is decided.</summary>
/// <param name="Days">Its logged days that still decide, newest first.</param>
/// <param name="Today">The day of the decision.</param>
/// <param name="LastTrained">Last day on which anything of the plan was trained; null when nothing was.</param>
public sealed record LineHistory(ImmutableArray<LineDay> Days, DateOnly Today, DateOnly? LastTrained)
{
    /// <summary>
    /// All its days, newest first, those among them that decide nothing more: pain has a longer memory than loads. As <see cref="Days"/>
    /// where nothing else is said.
    /// </summary>
    public ImmutableArray<LineDay> WithPain { get; init; } = Days;

    /// <summary>Sessions in a row without gain that make a stall (docs/domain/progression).</summary>
    public const int SessionsOfStall = 3;

    /// <summary>Gain below which a session counts as flat, own estimate: half the usual day-to-day spread would hide less.</summary>
    private const double FlatWithin = 0.01;

    /// <summary>Days since anything was trained.</summary>
    public int DaysAway => LastTrained is { } last ? Today.DayNumber - last.DayNumber : 0;

    /// <summary>Estimated strength flat or down in the last three sessions against the one before them.</summary>
    public bool Stalled =>
        Days.Length > SessionsOfStall
        && Days.Take(SessionsOfStall + 1).All(d => d.OneRepMaxKg is not null)
        && Days.Take(SessionsOfStall).All(d => d.OneRepMaxKg <= Days[SessionsOfStall].OneRepMaxKg * (1 + FlatWithin))
        && Days.Take(SessionsOfStall).Count(d => d.FellShort) > 1 // who did all that was asked is held, not stuck
        && Days.Take(SessionsOfStall).All(d => d.Sets.All(s => s.Rir is null || s.Rir <= (s.Stamp?.PlannedRir ?? s.Rir)));

    /// <summary>The last session and the one before it both had sets with fewer reps than were asked.</summary>
    public bool ShortAgain => Days.Length > 1 && Days.Take(2).All(d => d.Sets.Any(s => s.Reps < s.Stamp?.PlannedReps));

    /// <summary>Two sessions running hurt in the same joint by more than what is tolerable.</summary>
    public Joint? HurtTwice => WithPain.Length > 1 && Hurt(WithPain[0]) is { } joint && Hurt(WithPain[1]) == joint ? joint : null;

    /// <summary>Pain above what is tolerable and clearly more than the session before.</summary>
    public bool PainRises =>
        WithPain.Length > 1
        && WithPain[0].Worst?.PainCounted > DoubleProgression.TolerablePain
        && WithPain[0].Worst!.PainCounted - (WithPain[1].Worst?.PainCounted ?? 0) >= 2
        && WithPain[1].Worst?.PainCounted > 0;

    private static Joint? Hurt(LineDay day) =>
        day.Worst is { } worst && (worst.PainCounted > DoubleProgression.TolerablePain || worst.Sharp) ? worst.PainJoint : null;
}
