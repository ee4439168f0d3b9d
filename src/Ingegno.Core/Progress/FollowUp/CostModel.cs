using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>
/// Learns how much rests and techniques cost a client (docs/domain/progression). A usual cost x says that a share x of the reps is lost;
/// what was
/// lost is y; the client's factor is Σy / Σx, drawn towards the usual cost, 1, as what is believed before anything is seen: the mean
/// of a normal prior and the ratio, each weighted by precision. Old days fade.
/// </summary>
public sealed class CostModel(DomainRules domain)
{
    /// <summary>Days after which a log counts half: what a rest costs changes more slowly than strength (own estimate).</summary>
    public const double HalfLifeDays = 84;

    /// <summary>Spread of the factor among people, own estimate: most lie between half and one and a half of the usual cost.</summary>
    public const double SpreadAmongClients = 0.35;

    /// <summary>Fewest pairs of sets, and fewest days, that are spoken of.</summary>
    public const int LeastPairs = 6;

    /// <summary>Fewest days with a technique that are spoken of.</summary>
    public const int LeastDays = 3;

    /// <summary>A guess of the reps left is off by about one (own estimate); farther from failure it is not used.</summary>
    private const double GuessOff = 1;
    private const int FarthestGuess = 4;

    /// <summary>Of fewer reps a rest shows nothing.</summary>
    private const int LeastReps = 3;

    /// <summary>Day-to-day spread of strength makes a day with a technique a poor witness: so much of the reps, own estimate.</summary>
    private const double SpreadOfDay = 0.2;

    /// <summary>Straight sets within so many days tell what the reps would have been.</summary>
    private const int DaysNear = 21;

    /// <summary>Reps that should have been lost and that were, as shares, with the spread of the latter.</summary>
    private sealed record Seen(double Usual, double Lost, double Spread, DateOnly Day, int Count = 1);

    /// <summary>The costs that logs teach; none of what too little is known of.</summary>
    /// <param name="log">Logged sessions with their stamps, in any order.</param>
    /// <param name="today">The day for which it is asked.</param>
    public ImmutableArray<LearnedCost> Learn(IEnumerable<LoggedSession> log, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(log);
        var days = log.Where(s => s.Day <= today)
            .SelectMany(s => s.Exercises.Where(Measured).Select(e => (s.Day, e.ExerciseId, e.Sets)))
            .ToList();
        var learned = ImmutableArray.CreateBuilder<LearnedCost>();
        if (Factor([.. days.Select(d => Rested(d.Day, d.Sets)).OfType<Seen>()], LeastPairs, today) is { } rests)
        {
            learned.Add(
                new LearnedCost(LearnedCost.Rests, rests.Mean, rests.Spread, rests.Count, Reason.Of("cost.pairs", ("pairs", rests.Count)))
            );
        }

        var byTechnique = days.GroupBy(d => d.ExerciseId).SelectMany(TechniqueDays).ToLookup(d => d.Technique, d => d.Seen);
        foreach (var technique in byTechnique.OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            if (Factor([.. technique], LeastDays, today) is { } cost)
            {
                learned.Add(
                    new LearnedCost(technique.Key, cost.Mean, cost.Spread, cost.Count, Reason.Of("cost.days", ("days", cost.Count)))
                );
            }
        }

        return learned.ToImmutable();
    }

    /// <summary>Reps against a load tell what they cost; a hold, or an exercise without a known load, does not.</summary>
    private bool Measured(LoggedExercise logged) =>
        !logged.Sets.IsDefaultOrEmpty
        && logged.Sets.All(s => s.Stamp?.SystemKg is > 0)
        && domain.Catalogue.Find(logged.ExerciseId)?.Measure == Measure.Reps;

    /// <summary>
    /// What the rests of a day left of the reps of an exercise, from set to set at one load. How much the reserve spared is taken
    /// from the mean of the day: the same guess in the cost expected and in the reps lost would pull the factor down.
    /// </summary>
    private Seen? Rested(DateOnly day, ImmutableArray<LoggedSet> sets)
    {
        if (
            sets.Length < 2
            || sets.Any(s => s.Rir is null || s.Reps < LeastReps || s.LoadKg != sets[0].LoadKg)
            || sets[0].Stamp?.RestSeconds is not { } rest
        )
        {
            return null;
        }

        var reserve = sets.RemoveAt(sets.Length - 1).Average(s => s.Rir!.Value);
        if (reserve > FarthestGuess)
        {
            return null;
        }

        var toFailure = sets.Select(s => (double)s.Reps + s.Rir!.Value).ToList();
        var usual = (1 - domain.Fatigue.ShareAfter(rest)) * Math.Max(0, 1 - (domain.Fatigue.SparedPerRir * reserve));
        var pairs = sets.Length - 1;
        var lost = Enumerable.Range(0, pairs).Sum(i => 1 - (toFailure[i + 1] / toFailure[i]));
        return new Seen(pairs * usual, lost, Math.Sqrt(2 * pairs) * GuessOff / toFailure.Average(), day, pairs);
    }

    /// <summary>What a technique left of the reps on the days of an exercise: its first set against what straight sets near it
    /// foretell.</summary>
    private IEnumerable<(string Technique, Seen Seen)> TechniqueDays(
        IEnumerable<(DateOnly Day, string ExerciseId, ImmutableArray<LoggedSet> Sets)> days
    )
    {
        var firsts = days.Select(d => (d.Day, d.ExerciseId, Set: d.Sets[0]))
            .Where(d => d.Set is { Reps: > 0, Rir: <= FarthestGuess, Stamp.SystemKg: > 0 })
            .ToList();
        if (firsts.Count == 0 || domain.Catalogue.Find(firsts[0].ExerciseId)?.Strength is not { } strength)
        {
            yield break;
        }

        double Reps(LoggedSet set) => set.Reps + set.Rir!.Value;
        var straight = firsts
            .Where(d => d.Set.Stamp!.Technique is null && d.Set.Stamp.StraightShare >= 1)
            .Select(d =>
                (
                    d.Day,
                    Log: Math.Log(
                        RepMaxCurve.OneRepMax(
                            d.Set.Stamp!.SystemKg!.Value,
                            Math.Min(Reps(d.Set), SetEvidence.MostTellingReps),
                            strength.Curve
                        )
                    )
                )
            )
            .ToList();
        foreach (
            var (day, _, set) in firsts.Where(d => d.Set.Stamp is { Technique: not null and not StraightSets.Several, StraightShare: < 1 })
        )
        {
            var near = straight.Where(s => Math.Abs(s.Day.DayNumber - day.DayNumber) <= DaysNear).ToList();
            if (
                near.Count > 0
                && RepMaxCurve.RepsAt(set.Stamp!.SystemKg!.Value, Math.Exp(near.Average(s => s.Log)), strength.Curve)
                    is >= 1
                        and <= SetEvidence.MostTellingReps
                        and var foretold
            )
            {
                yield return (
                    set.Stamp.Technique!,
                    new Seen(1 - set.Stamp.StraightShare, 1 - (Reps(set) / foretold), SpreadOfDay + (GuessOff / foretold), day)
                );
            }
        }
    }

    /// <summary>
    /// The factor: all that was lost against all that should have been, each day weighted by its age, and the usual cost as the prior. A
    /// ratio of sums and not a fit of single points: the guesses that blur a point hardly move the sum.
    /// </summary>
    private static (double Mean, double Spread, int Count)? Factor(IReadOnlyCollection<Seen> seen, int least, DateOnly today)
    {
        var count = seen.Sum(s => s.Count);
        if (count < least)
        {
            return null;
        }

        double Weight(Seen s) => Math.Pow(0.5, (today.DayNumber - s.Day.DayNumber) / HalfLifeDays);
        var usual = seen.Sum(s => Weight(s) * s.Usual);
        if (usual <= 0)
        {
            return null;
        }

        var prior = 1 / (SpreadAmongClients * SpreadAmongClients);
        var own = usual * usual / seen.Sum(s => Weight(s) * s.Spread * s.Spread);
        var mean = (prior + (own * seen.Sum(s => Weight(s) * s.Lost) / usual)) / (prior + own);
        return (Math.Round(Math.Clamp(mean, LearnedCost.Least, LearnedCost.Greatest), 3), Math.Round(1 / Math.Sqrt(prior + own), 3), count);
    }
}
