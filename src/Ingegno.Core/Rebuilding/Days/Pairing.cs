using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>Finds lines that can be done in turn: not the same muscles, not two loads on one rig.</summary>
internal static class Pairing
{
    private static readonly (MovementPattern[] A, MovementPattern[] B)[] Opposites =
    [
        ([MovementPattern.HorizontalPush, MovementPattern.Fly], [MovementPattern.HorizontalPull, MovementPattern.RearShoulder]),
        ([MovementPattern.VerticalPush, MovementPattern.LateralRaise], [MovementPattern.VerticalPull]),
        ([MovementPattern.ElbowFlexion], [MovementPattern.ElbowExtension]),
        (
            [MovementPattern.Squat, MovementPattern.Lunge, MovementPattern.KneeExtension],
            [MovementPattern.Hinge, MovementPattern.HipExtension, MovementPattern.KneeFlexion]
        ),
        ([MovementPattern.HipAbduction], [MovementPattern.HipAdduction]),
        ([MovementPattern.PlantarFlexion], [MovementPattern.DorsiFlexion]),
    ];

    /// <summary>
    /// How well two lines go together: 3 for opposite patterns, 2 for the two halves of the body, 1 for other muscles, 0 when
    /// they may not be done in turn.
    /// </summary>
    public static int Fit(HomeLine one, HomeLine other, ExerciseCatalogue catalogue)
    {
        if (
            one.Chosen is not { Exercises.Length: 1 } a
            || other.Chosen is not { Exercises.Length: 1 } b
            || RigUse.Conflict(a.Exercises[0], b.Exercises[0])
        )
        {
            return 0;
        }

        var (x, y) = (catalogue.Get(a.Exercises[0].ExerciseId), catalogue.Get(b.Exercises[0].ExerciseId));
        if (x.PrimeMovers().Intersect(y.PrimeMovers()).Any())
        {
            return 0;
        }

        return Opposites.Any(o =>
                (o.A.Contains(x.Pattern) && o.B.Contains(y.Pattern)) || (o.A.Contains(y.Pattern) && o.B.Contains(x.Pattern))
            )
                ? 3
            : BodyRegions.ForPattern(x.Pattern) != BodyRegions.ForPattern(y.Pattern) ? 2
            : 1;
    }

    /// <summary>Pairs of lines, best fit first; a line stands in one pair at most.</summary>
    /// <param name="lines">Lines that may be paired, in order.</param>
    /// <param name="atLeast">Least fit wanted.</param>
    /// <param name="catalogue">The catalogue.</param>
    public static ImmutableArray<(HomeLine First, HomeLine Second, int Fit)> Find(
        IReadOnlyList<HomeLine> lines,
        int atLeast,
        ExerciseCatalogue catalogue
    )
    {
        var possible =
            from i in Enumerable.Range(0, lines.Count)
            from j in Enumerable.Range(i + 1, lines.Count - i - 1)
            let fit = Fit(lines[i], lines[j], catalogue)
            where fit >= atLeast
            orderby fit descending, j - i, i
            select (First: lines[i], Second: lines[j], Fit: fit);
        var taken = new HashSet<LineKey>();
        return
        [
            .. possible
                .ToList()
                .Where(p =>
                    !taken.Contains(p.First.Gym.Key)
                    && !taken.Contains(p.Second.Gym.Key)
                    && taken.Add(p.First.Gym.Key)
                    && taken.Add(p.Second.Gym.Key)
                ),
        ];
    }
}
