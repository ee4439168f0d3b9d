using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Progressing;

/// <summary>
/// Learns how much rests and techniques cost a client (handbook 05). A usual cost x says that a share x of the reps is lost; what was
/// lost is y; the client's factor c in y = c·x is estimated by least squares with the usual cost, c = 1, as what is believed before
/// anything is seen: the mean of a normal prior and the observations, each weighted by precision. Old days fade.
/// </summary>
public sealed class CostModel(Trade trade)
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

    /// <summary>Day-to-day spread of strength makes a day with a technique a poor witness: so much of the reps, own estimate.</summary>
    private const double SpreadOfDay = 0.2;

    /// <summary>Straight sets within so many days tell what the reps would have been.</summary>
    private const int DaysNear = 42;

    private sealed record Seen(double Usual, double Lost, double Spread, DateOnly Day);

    /// <summary>The costs that logs teach; none of what too little is known of.</summary>
    /// <param name="log">Logged sessions with their stamps, in any order.</param>
    /// <param name="today">The day for which it is asked.</param>
    public ImmutableArray<LearnedCost> Learn(IEnumerable<LoggedSession> log, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(log);
        var days = log.Where(s => s.Day <= today)
            .SelectMany(s => s.Exercises.Where(e => !e.Sets.IsDefaultOrEmpty).Select(e => (s.Day, e.ExerciseId, e.Sets))).ToList();
        var learned = ImmutableArray.CreateBuilder<LearnedCost>();
        if (Factor([.. days.SelectMany(d => Pairs(d.Day, d.Sets))], LeastPairs, today) is { } rests)
        {
            learned.Add(new LearnedCost(LearnedCost.Rests, rests.Mean, rests.Spread, rests.Count, $"{Words.Count(rests.Count, "pair")} of sets with reps in reserve noted"));
        }

        var byTechnique = days.GroupBy(d => d.ExerciseId).SelectMany(TechniqueDays).ToLookup(d => d.Technique, d => d.Seen);
        foreach (var technique in byTechnique.OrderBy(g => g.Key, StringComparer.Ordinal))
        {
            if (Factor([.. technique], LeastDays, today) is { } cost)
            {
                learned.Add(new LearnedCost(technique.Key, cost.Mean, cost.Spread, cost.Count, $"{Words.Count(cost.Count, "day")} with it beside straight sets of the same exercise"));
            }
        }

        return learned.ToImmutable();
    }

    /// <summary>What a rest left of the reps, from each set to the next at the same load.</summary>
    private IEnumerable<Seen> Pairs(DateOnly day, ImmutableArray<LoggedSet> sets)
    {
        for (var i = 0; i + 1 < sets.Length; i++)
        {
            var (first, next) = (sets[i], sets[i + 1]);
            if (first is { Rir: >= 0 and <= FarthestGuess, Stamp.RestSeconds: { } rest } && next.Rir is >= 0 and <= FarthestGuess && first.LoadKg == next.LoadKg && first.Reps + first.Rir >= FarthestGuess)
            {
                var usual = (1 - trade.Fatigue.ShareAfter(rest)) * Math.Max(0, 1 - (trade.Fatigue.SparedPerRir * first.Rir!.Value));
                double before = first.Reps + first.Rir!.Value;
                yield return new Seen(usual, 1 - ((next.Reps + next.Rir!.Value) / before), Math.Sqrt(2) * GuessOff / before, day);
            }
        }
    }

    /// <summary>What a technique left of the reps on the days of an exercise: its first set against what straight sets near it foretell.</summary>
    private IEnumerable<(string Technique, Seen Seen)> TechniqueDays(IEnumerable<(DateOnly Day, string ExerciseId, ImmutableArray<LoggedSet> Sets)> days)
    {
        var firsts = days.Select(d => (d.Day, d.ExerciseId, Set: d.Sets[0])).Where(d => d.Set is { Reps: > 0, Rir: not null, Stamp.SystemKg: > 0 }).ToList();
        if (firsts.Count == 0 || trade.Catalogue.Find(firsts[0].ExerciseId)?.Strength is not { } strength)
        {
            yield break;
        }

        double Reps(LoggedSet set) => set.Reps + set.Rir!.Value;
        var straight = firsts.Where(d => d.Set.Stamp!.Technique is null && d.Set.Stamp.StraightShare >= 1)
            .Select(d => (d.Day, Log: Math.Log(RepMaxCurve.OneRepMax(d.Set.Stamp!.SystemKg!.Value, Math.Min(Reps(d.Set), SetEvidence.MostTellingReps), strength.Curve)))).ToList();
        foreach (var (day, _, set) in firsts.Where(d => d.Set.Stamp is { Technique: not null and not SetStamp.Several, StraightShare: < 1 }))
        {
            var near = straight.Where(s => Math.Abs(s.Day.DayNumber - day.DayNumber) <= DaysNear).ToList();
            if (near.Count > 0 && RepMaxCurve.RepsAt(set.Stamp!.SystemKg!.Value, Math.Exp(near.Average(s => s.Log)), strength.Curve) is >= 1 and <= SetEvidence.MostTellingReps and var foretold)
            {
                yield return (set.Stamp.Technique!, new Seen(1 - set.Stamp.StraightShare, 1 - (Reps(set) / foretold), SpreadOfDay + (GuessOff / foretold), day));
            }
        }
    }

    private static (double Mean, double Spread, int Count)? Factor(IReadOnlyCollection<Seen> seen, int least, DateOnly today)
    {
        if (seen.Count < least)
        {
            return null;
        }

        double Weight(Seen s) => Math.Pow(0.5, (today.DayNumber - s.Day.DayNumber) / HalfLifeDays) / (s.Spread * s.Spread);
        var prior = 1 / (SpreadAmongClients * SpreadAmongClients);
        var precision = prior + seen.Sum(s => Weight(s) * s.Usual * s.Usual);
        var mean = (prior + seen.Sum(s => Weight(s) * s.Usual * s.Lost)) / precision;
        return (Math.Round(Math.Clamp(mean, LearnedCost.Least, LearnedCost.Greatest), 3), Math.Round(1 / Math.Sqrt(precision), 3), seen.Count);
    }
}
