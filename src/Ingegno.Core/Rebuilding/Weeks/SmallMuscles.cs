using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>
/// What a gym line says of a small muscle: who curls a pair of five for twelve does about fourteen with them, whatever the usual relations
/// between lifts say (common practice).
/// </summary>
internal static class SmallMuscles
{
    /// <summary>Spread of the exercise itself, as a share: what one line says may be meant light or heavy.</summary>
    private const double Spread = 0.2;

    /// <summary>Further from what was expected than so many times, up or down, it is a slip of the pen.</summary>
    private const double Believed = 2;

    /// <summary>Most reps that say something of strength.</summary>
    private const int MostReps = 20;

    /// <summary>Maxima that the lines show, one for each exercise that has no log yet; of several lines the heaviest counts.</summary>
    public static ImmutableArray<LearnedLift> Estimate(
        IEnumerable<GymLine> lines,
        ClientProfile client,
        ClientStrength strength,
        DomainRules domain
    ) =>
        [
            .. lines
                .Where(l => l is { Timed: false, Target.IsOpen: false, Load: not null } && l.Target.Min <= MostReps)
                .SelectMany(l => Told(l, domain.Catalogue.Get(l.ExerciseId), client, strength, domain))
                .Where(t => !client.Learned.Any(l => l.ExerciseId == t.ExerciseId))
                .GroupBy(t => t.ExerciseId, StringComparer.Ordinal)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => g.MaxBy(t => t.OneRepMaxKg)!),
        ];

    private static IEnumerable<LearnedLift> Told(
        GymLine line,
        Exercise gym,
        ClientProfile client,
        ClientStrength strength,
        DomainRules domain
    )
    {
        if (!SmallMuscle.IsFreeWeight(gym) || gym.Strength is not { } relation || strength.For(gym) is not { } expected)
        {
            yield break;
        }

        var reps = line.Target.Min + (line.Reserve ?? domain.Dose.Unsaid.Rir);
        var most = RepMaxCurve.OneRepMax(
            TypedLoad.TotalKg(line.Load! with { ToKg = null }, gym),
            Math.Min(reps, RepMaxCurve.MostReps),
            relation.Curve
        );
        var apart = most / expected.OneRepMaxKg;
        if (apart is > Believed or < 1 / Believed)
        {
            yield break;
        }

        foreach (var home in domain.Catalogue.AtHome.Where(e => SmallMuscle.AreKin(gym, e, domain.Names)))
        {
            yield return new LearnedLift(
                relation.Anchor,
                home.Id,
                Math.Round(most * SmallMuscle.Times(home, gym, client.Level), 2),
                Spread,
                Reason.Of("strength.gym-line", ("line", Shorthand.Write(line)))
            );
        }
    }
}
