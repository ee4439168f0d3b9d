using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;

namespace Ingegno.Core.Prescribing;

/// <summary>Chooses the least that brings expected reps to failure down into the wanted zone.</summary>
public static class TechniqueChoice
{
    /// <summary>Techniques up to this order are everyday means: five seconds down is the standard step.</summary>
    public const int LastUsualOrder = 5;

    private static readonly ImmutableHashSet<MovementPattern> LowerBody =
    [
        MovementPattern.Squat, MovementPattern.Hinge, MovementPattern.Lunge, MovementPattern.HipExtension,
        MovementPattern.HipAbduction, MovementPattern.HipAdduction, MovementPattern.KneeFlexion,
        MovementPattern.KneeExtension, MovementPattern.PlantarFlexion, MovementPattern.DorsiFlexion,
    ];

    /// <summary>Most techniques at a time: one, two on the lower body from intermediate on, two everywhere for advanced.</summary>
    public static int Most(Level level, MovementPattern pattern) => level switch
    {
        Level.Advanced => 2,
        Level.Intermediate when LowerBody.Contains(pattern) => 2,
        _ => 1,
    };

    /// <summary>
    /// The cheapest set of technique steps with which <paramref name="reps"/> fall to <paramref name="high"/> or
    /// below without falling under <paramref name="low"/>; when none does, the one that comes nearest, where the
    /// long steps (see <see cref="LastUsualOrder"/>) are kept for sets that would still run past thirty reps; none at
    /// all when the reps are low enough as they are.
    /// </summary>
    public static ImmutableArray<Technique> For(
        Exercise exercise, Level level, double reps, double low, double high, ImmutableArray<Technique> all)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        if (reps <= high || exercise.Measure == Measure.Seconds)
        {
            return [];
        }

        var fitting = all.Where(t => exercise.Techniques.Contains(t.Of)).OrderBy(t => t.Order).ToList();
        var sets = fitting.Select(t => ImmutableArray.Create(t)).ToList();
        if (Most(level, exercise.Pattern) > 1)
        {
            sets.AddRange(
                from a in fitting
                from b in fitting
                where string.CompareOrdinal(a.Of, b.Of) < 0
                select ImmutableArray.Create(a, b));
        }

        var mostByUsualMeans = sets.Where(s => s.All(t => t.Order <= LastUsualOrder)).Select(s => RepsLeft(s)).DefaultIfEmpty(1).Min();
        var far = reps * mostByUsualMeans > DosePrescriber.MostUsefulReps;
        return sets
            .Select(s => (Set: s, Left: reps * RepsLeft(s)))
            .Where(s => s.Left >= low && (far || s.Left <= high || s.Set.All(t => t.Order <= LastUsualOrder)))
            .OrderBy(s => s.Left <= high ? 0 : 1)
            .ThenBy(s => s.Left <= high ? s.Set.Length : 0)
            .ThenBy(s => s.Left <= high ? s.Set.Sum(t => t.Order) : s.Left)
            .Select(s => s.Set)
            .FirstOrDefault([]);
    }

    /// <summary>Share of straight-set reps that a set of techniques leaves: the product of the single shares.</summary>
    public static double RepsLeft(IEnumerable<Technique> techniques) =>
        techniques.Aggregate(1.0, (left, t) => left * t.RepsLeft);
}
