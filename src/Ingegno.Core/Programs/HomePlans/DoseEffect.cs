using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>What a dose comes to: the consequence beside the figure.</summary>
/// <param name="RepsBySet">Expected reps to failure set by set, with the rests; empty when reps are not the measure, or a scheme rests otherwise.</param>
/// <param name="ReserveFirst">Reps left at the top of the range in the first set, below 0 when it cannot be reached.</param>
/// <param name="ReserveLast">The same for the last set.</param>
/// <param name="SecondsUnderTension">Seconds under tension in one set of one side.</param>
/// <param name="Minutes">Minutes of all sets with their rests.</param>
/// <param name="HardSets">Sets that it counts for.</param>
public sealed record DoseEffect(
    ImmutableArray<int> RepsBySet,
    int? ReserveFirst,
    int? ReserveLast,
    int SecondsUnderTension,
    double Minutes,
    int HardSets
)
{
    /// <summary>The effect of a home exercise as prescribed or edited.</summary>
    public static DoseEffect Estimate(HomeExercise home, SetFatigue fatigue)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(fatigue);
        var dose = home.Dose;
        var bySet =
            home.RepsToFailure is { } reps && dose is { Timed: false, Scheme: not { OwnsItsRest: true } }
                ? fatigue.BySet(reps, dose.Sets, dose.RestSeconds, dose.Rir)
                : [];
        int? Reserve(int index) => bySet.IsEmpty || dose.Target.IsOpen ? null : (int)Math.Floor(bySet[index] + 1e-9) - dose.Target.Max;
        return new DoseEffect(
            [.. bySet.Select(r => (int)Math.Floor(r + 1e-9))],
            bySet.IsEmpty ? null : Reserve(0),
            bySet.IsEmpty ? null : Reserve(bySet.Length - 1),
            (int)Math.Round(dose.SecondsUnderTension),
            Math.Round(dose.Minutes, 1),
            dose.HardSets
        );
    }
}
