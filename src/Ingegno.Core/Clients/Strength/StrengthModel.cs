using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Strength;

/// <summary>
/// Updates what a client can do from logged days. On the logarithm of the one-rep maximum, each day is an observation y with
/// a standard deviation; the estimate is the mean of prior and observations weighted by precision, 1/sd², where the precision
/// of a day halves every <see cref="HalfLifeDays"/> days. Days far off the median of all are drawn in to it first, so that one
/// odd set does not throw the estimate; as that and the weights do not depend on how good a day was, a better log never lowers it.
/// </summary>
public sealed class StrengthModel(ClientProfile client, StrengthTables tables)
{
    /// <summary>Days after which a log counts half (own estimate: strength changes over weeks).</summary>
    public const double HalfLifeDays = 28;

    /// <summary>Day-to-day spread of a logged set of the exercise itself, own estimate.</summary>
    public const double SpreadOfDay = 0.06;

    /// <summary>Spread of a relation within a family (docs/domain/strength-relations, common practice).</summary>
    public const double SpreadWithinFamily = 0.15;

    /// <summary>No estimate is surer than this: form, sleep and kit differ from day to day.</summary>
    public const double LeastSpread = 0.04;

    /// <summary>Farthest that a day may lie from the median of all, as a share.</summary>
    private const double FarthestFromMedian = 0.20;

    private readonly ClientStrength _prior = new(client with { Learned = [] }, tables);

    /// <summary>
    /// What logs teach: one lift for every exercise logged, and one for the anchor lift of every family.
    /// </summary>
    /// <param name="observations">Logged days, in any order; those after <paramref name="today"/> are left out.</param>
    /// <param name="exercise">The exercise of a key; null when there is none any more.</param>
    /// <param name="today">The day for which it is asked.</param>
    public ImmutableArray<LearnedLift> Learn(
        IEnumerable<StrengthObservation> observations,
        Func<string, Exercise?> exercise,
        DateOnly today
    )
    {
        ArgumentNullException.ThrowIfNull(observations);
        ArgumentNullException.ThrowIfNull(exercise);
        var known = observations
            .Where(o => o.Day <= today)
            .Select(o => (Seen: o, Exercise: exercise(o.ExerciseId)))
            .Where(o => o.Exercise?.Strength is not null)
            .GroupBy(o => o.Exercise!.Strength!.Anchor, StringComparer.Ordinal)
            .OrderBy(g => g.Key, StringComparer.Ordinal);
        var learned = ImmutableArray.CreateBuilder<LearnedLift>();
        foreach (var family in known)
        {
            var byExercise = family
                .GroupBy(o => o.Exercise!.Id, StringComparer.Ordinal)
                .OrderBy(g => g.Key, StringComparer.Ordinal)
                .Select(g => (Exercise: g.First().Exercise!, Own: Gather(g.Select(o => o.Seen), today)))
                .ToList();
            foreach (var (own, seen) in byExercise)
            {
                var others = byExercise.Where(b => b.Exercise.Id != own.Id).Select(b => AsRatio(b.Exercise, b.Own)).ToList();
                learned.Add(Lift(own, seen, FamilyOf(others)));
            }

            if (AnchorPrior(family.Key) is { } anchor && FamilyOf([.. byExercise.Select(b => AsRatio(b.Exercise, b.Own))]) is { } ratio)
            {
                var (log, precision) = Weigh(
                    (Math.Log(anchor.OneRepMaxKg), Precision(anchor.Spread)),
                    (Math.Log(anchor.OneRepMaxKg) + ratio.Log, ratio.Precision)
                );
                learned.Add(
                    new LearnedLift(
                        family.Key,
                        null,
                        Math.Exp(log),
                        SpreadOf(precision),
                        Reason.Of("strength.logs-of-family", ("exercises", byExercise.Count))
                    )
                );
            }
        }

        return learned.ToImmutable();
    }

    /// <summary>Mean and precision of an exercise's days.</summary>
    private sealed record Gathered(double Log, double Precision, int Days, DateOnly Newest);

    private static Gathered Gather(IEnumerable<StrengthObservation> days, DateOnly today)
    {
        // One observation a day: of two entries of the same session the better one counts.
        var seen = days.GroupBy(d => d.Day)
            .Select(g => (Day: g.Key, Log: Math.Log(g.Max(d => d.OneRepMaxKg))))
            .OrderBy(d => d.Day)
            .ToList();
        var sorted = seen.Select(d => d.Log).Order().ToList();
        var median = sorted[sorted.Count / 2];
        double Drawn(double log) => Math.Clamp(log, median + Math.Log(1 - FarthestFromMedian), median + Math.Log(1 + FarthestFromMedian));
        var weights = seen.Select(d => Precision(SpreadOfDay) * Math.Pow(0.5, (today.DayNumber - d.Day.DayNumber) / HalfLifeDays)).ToList();
        var total = weights.Sum();
        return new Gathered(seen.Zip(weights, (d, w) => Drawn(d.Log) * w).Sum() / total, total, seen.Count, seen[^1].Day);
    }

    private LearnedLift Lift(Exercise exercise, Gathered own, (double Log, double Precision)? family)
    {
        var prior = _prior.For(exercise)!;
        (double, double)[] evidence =
        [
            (Math.Log(prior.OneRepMaxKg), Precision(prior.Spread)),
            (own.Log, own.Precision),
            .. family is { } f ? [(Math.Log(prior.OneRepMaxKg) + f.Log, f.Precision)] : Array.Empty<(double, double)>(),
        ];
        var (log, precision) = Weigh(evidence);
        return new LearnedLift(
            exercise.Strength!.Anchor,
            exercise.Id,
            Math.Exp(log),
            SpreadOf(precision),
            Reason.Of("strength.logs", ("days", own.Days), ("last", own.Newest.ToString("d MMM yyyy", CultureInfo.InvariantCulture)))
        );
    }

    /// <summary>How an exercise's logs compare with its prior: what carries over to the family.</summary>
    private (double Log, double Precision) AsRatio(Exercise exercise, Gathered own) =>
        (own.Log - Math.Log(_prior.For(exercise)!.OneRepMaxKg), own.Precision);

    /// <summary>However many logs stand behind it, a relation within the family stays as unsure as it is.</summary>
    private static (double Log, double Precision)? FamilyOf(List<(double Log, double Precision)> members)
    {
        if (members.Count == 0)
        {
            return null;
        }

        var (log, precision) = Weigh([.. members]);
        return (log, 1 / ((1 / precision) + (SpreadWithinFamily * SpreadWithinFamily)));
    }

    private StrengthEstimate? AnchorPrior(string anchor) => _prior.ForAnchor(anchor);

    private static (double Log, double Precision) Weigh(params (double Log, double Precision)[] evidence)
    {
        var precision = evidence.Sum(e => e.Precision);
        return (evidence.Sum(e => e.Log * e.Precision) / precision, precision);
    }

    private static double Precision(double spread) => 1 / (spread * spread);

    private static double SpreadOf(double precision) => Math.Max(LeastSpread, 1 / Math.Sqrt(precision));
}
