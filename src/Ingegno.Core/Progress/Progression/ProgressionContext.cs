using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>What the progression knows about an exercise beside its log.</summary>
/// <param name="Home">The exercise as prescribed.</param>
/// <param name="Exercise">Its catalogue entry.</param>
/// <param name="Loads">External loads reachable in its set-up, lightest first, with their system load in kg.</param>
/// <param name="Harder">Next harder exercise that can be done here; null when there is none.</param>
/// <param name="Easier">Next easier exercise that can be done here; null when there is none.</param>
public sealed record ProgressionContext(
    HomeExercise Home,
    Exercise Exercise,
    ImmutableArray<(ReachableLoad Load, double SystemKg)> Loads,
    Exercise? Harder,
    Exercise? Easier
)
{
    /// <summary>Other variations at every load here, least demand first; empty where no load measures the exercise.</summary>
    public ImmutableArray<StepTo> Others { get; init; } = [];

    /// <summary>The load at which <see cref="Harder"/> is the step up; null where no load measures it.</summary>
    public StepTo? Up { get; init; }

    /// <summary>Figures of the domain rules.</summary>
    public ProgressionRules Rules { get; init; } = DomainRules.Shipped.Progression;

    /// <summary>A last set near the limit is safe here, so that the dose can be found anew.</summary>
    public bool MayFindAnew { get; init; } = true;

    /// <summary>Longest time under tension that a set may come to, s.</summary>
    public double SetSeconds { get; init; } = double.PositiveInfinity;

    /// <summary>A set of the dose stays within it; what its school asks for does anyway.</summary>
    public bool Bears(Dose dose) =>
        dose.Timed || dose.Target.IsOpen || dose.Standard is not null || dose.Target.Max * SecondsPerRep(dose) <= SetSeconds;

    /// <summary>How long a rep lasts in the manner of a dose, s.</summary>
    public double SecondsPerRep(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        var longer = Costs?.Techniques.Where(t => dose.Techniques.Contains(t.Id)).Select(t => t.TimesAsLong) ?? [];
        return longer.Aggregate(Math.Max(1.0, dose.Tempo.SecondsPerRep), (seconds, times) => seconds * times);
    }

    /// <summary>The trade with what techniques and tempos cost this client; null to count them as nothing.</summary>
    public DomainRules? Costs { get; init; }

    /// <summary>Share of straight-set reps that a dose leaves.</summary>
    public double ShareLeft(Dose dose) => Costs is null ? 1 : StraightSets.ShareLeft(dose, Costs);

    /// <summary>Steps of techniques that the client may take in the exercise here, gladliest first.</summary>
    public ImmutableArray<Technique> Techniques { get; init; } = [];

    /// <summary>Minutes that its day has left before it passes the client's; null when nobody said how many there are.</summary>
    public double? MinutesLeft { get; init; }

    /// <summary>A dose fits the minutes of the day in place of the present one; one that takes no longer always does.</summary>
    public bool Fits(Dose dose) =>
        MinutesLeft is not { } left || dose.Minutes - Home.Dose.Minutes is var more && (more <= 0 || more <= left);
}
