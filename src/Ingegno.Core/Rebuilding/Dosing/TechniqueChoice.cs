using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>Chooses the least that brings expected reps to failure down into the wanted zone.</summary>
public static class TechniqueChoice
{
    /// <summary>Techniques up to this order are everyday means: five seconds down is the standard step.</summary>
    public const int LastUsualOrder = 5;

    /// <summary>Most techniques at a time: one; two for advanced trainees on the lower body (docs/domain/prescription).</summary>
    public static int Most(Level level, MovementPattern pattern) =>
        level == Level.Advanced && BodyRegions.ForPattern(pattern) == BodyRegion.Lower ? 2 : 1;

    /// <summary>
    /// Every set of technique steps that fits an exercise, a client and an approach: fewest first, among them those the
    /// approach prefers, then the cheapest.
    /// </summary>
    public static ImmutableArray<TechniqueSet> SetsFor(
        Exercise exercise,
        ClientProfile client,
        Approach approach,
        ImmutableArray<Technique> all
    )
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        var fitting = TechniqueFit.Fitting(exercise, client, approach, all);
        var sets = fitting.Select(t => ImmutableArray.Create(t));
        if (Most(client.Level, exercise.Pattern) > 1)
        {
            sets = sets.Concat(
                from a in fitting
                from b in fitting
                where string.CompareOrdinal(a.Of, b.Of) < 0 && !Manner.SamePhase(a, b)
                select ImmutableArray.Create(a, b)
            );
        }

        return
        [
            .. sets.Select(s => new TechniqueSet(
                    s,
                    RepsLeft(s),
                    s.All(t => t.Order <= LastUsualOrder || approach.Prefers.Contains(t.Of)),
                    s.All(t => t.Order <= LastUsualOrder),
                    Seconds(s, exercise),
                    s.All(t => approach.Prefers.Contains(t.Of))
                ))
                .OrderBy(s => s.Steps.Length)
                .ThenBy(s => s.Steps.Sum(t => approach.RankOf(t.Of)))
                .ThenBy(s => s.Steps.Sum(t => t.Order)),
        ];
    }

    /// <summary>
    /// The cheapest set of technique steps with which <paramref name="reps"/> fall to <paramref name="high"/> or
    /// below without falling under <paramref name="low"/>; when none does, the one that comes nearest. The long steps (see
    /// <see cref="LastUsualOrder"/>) are kept for sets that would still run past thirty reps by usual means, so that a
    /// heavier load never asks for more; none at all when the reps are low enough as they are. Heavy lines (six reps and fewer) take no
    /// long steps: a set of five
    /// that lasts a minute and a half is no strength work.
    /// </summary>
    /// <param name="sets">What fits, cheapest first.</param>
    /// <param name="reps">Expected straight-set reps to failure.</param>
    /// <param name="low">Fewest reps to failure wanted.</param>
    /// <param name="high">Most wanted.</param>
    /// <param name="limits">How long a set may last.</param>
    public static TechniqueSet For(ImmutableArray<TechniqueSet> sets, double reps, double low, double high, SetLimits limits)
    {
        if (reps <= high)
        {
            return TechniqueSet.None;
        }

        var mostByUsualMeans = 1.0;
        foreach (var set in sets)
        {
            mostByUsualMeans = set.Usual ? Math.Min(mostByUsualMeans, set.RepsLeft) : mostByUsualMeans;
        }

        var heavy = low <= GymLine.HeavyReps;
        var far = !heavy && reps * mostByUsualMeans > DosePrescriber.MostUsefulReps;
        var nearest = TechniqueSet.None;
        foreach (var set in sets)
        {
            var left = reps * set.RepsLeft;
            var allowed = (heavy ? set.Everyday : far || set.Usual) && limits.Allow(set, left);
            if (left >= low && left <= high && allowed)
            {
                return set; // They come cheapest first.
            }

            if (left >= low && allowed && set.RepsLeft < nearest.RepsLeft)
            {
                nearest = set;
            }
        }

        return nearest;
    }

    /// <summary>Seconds of a rep with these steps; what they add beside the tempo included.</summary>
    private static double Seconds(ImmutableArray<Technique> steps, Exercise exercise) =>
        steps.Aggregate(Tempo.Usual, (tempo, t) => t.ApplyTo(tempo, exercise.PausedAt)).SecondsPerRep
        * steps.Aggregate(1.0, (times, t) => times * t.TimesAsLong);

    /// <summary>Share of straight-set reps that a set of techniques leaves: the product of the single shares.</summary>
    public static double RepsLeft(IEnumerable<Technique> techniques) => techniques.Aggregate(1.0, (left, t) => left * t.RepsLeft);
}

/// <summary>Steps taken together.</summary>
/// <param name="Steps">The steps.</param>
/// <param name="RepsLeft">Share of straight-set reps that they leave, above 0, at most 1.</param>
/// <param name="Usual">All are everyday means, or those that the approach prefers.</param>
/// <param name="Everyday">All are everyday means: no rep lasts longer than a heavy set can bear.</param>
/// <param name="SecondsPerRep">How long a rep lasts, s.</param>
/// <param name="Asked">The approach prefers all of them.</param>
public sealed record TechniqueSet(
    ImmutableArray<Technique> Steps,
    double RepsLeft,
    bool Usual,
    bool Everyday,
    double SecondsPerRep,
    bool Asked
)
{
    /// <summary>Straight sets.</summary>
    public static TechniqueSet None { get; } = new([], 1, true, true, Tempo.Usual.SecondsPerRep, false);
}
