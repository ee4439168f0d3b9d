using System.Collections.Immutable;
using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.Ground.Body;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Written.Plans;

namespace Ingegno.Core.Making.Matching;

/// <summary>Two exercises done as a superset in place of one heavy line.</summary>
public sealed record ScoredPair(Scored First, Scored Second, ImmutableArray<PartScore> Parts, double Match);

/// <summary>
/// Finds the best pair when no single exercise will do: a set cover over the prime movers of a main or secondary
/// line (docs/trade/substitution).
/// </summary>
public static class PairFinder
{
    private const int Pool = 24;

    /// <summary>
    /// The best pair for the line, or null when a single exercise reaches most prime movers at a sufficient
    /// resistance, or no pair does better than it.
    /// </summary>
    public static ScoredPair? Best(LineToMatch line, ImmutableArray<Scored> usable, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(rules);
        var prime = line.Exercise.PrimeMovers().ToList();
        if (
            line.Role is not (LineRole.Main or LineRole.Secondary)
            || line.Exercise.Structure == ExerciseStructure.Isolation
            || line.Exercise.IsForPower // speed is lost behind another exercise
            || prime.Count < 2
            || usable.IsEmpty
        )
        {
            return null;
        }

        var single = usable[0];
        var reached = prime.Count(m => Covers(single, m)) / (double)prime.Count;
        if (reached >= rules.Pairs.EnoughPrimeMovers && single.Of(MatchPart.Resistance) >= rules.Pairs.PoorResistance)
        {
            return null;
        }

        ScoredPair? best = null;
        var pool = usable
            .Where(s => prime.Any(m => Covers(s, m)) && s.Of(MatchPart.Pattern) > 0 && (s.Loaded.Reps is not null || line.Line.Timed))
            .Where(s => !s.Exercise.IsForPower) // nobody jumps for a burn
            .OrderByDescending(s => prime.Count(m => Covers(s, m)) * s.Of(MatchPart.Resistance))
            .ThenByDescending(s => s.Match)
            .Take(Pool)
            .ToList();
        for (var i = 0; i < pool.Count; i++)
        {
            for (var j = i + 1; j < pool.Count; j++)
            {
                var (a, b) = (pool[i], pool[j]);
                if (
                    Complete(a, b, prime, rules)
                    && Score(line, a, b, prime, rules) is var pair
                    && (best is null || pair.Match > best.Match + 1e-9)
                )
                {
                    best = pair;
                }
            }
        }

        return best is not null && best.Match > single.Match ? best : null;
    }

    /// <summary>
    /// Each half must bring a prime mover that the other lacks, one of them must be hard enough by itself, and they
    /// must not fight over one rig.
    /// </summary>
    private static bool Complete(Scored a, Scored b, List<Muscle> prime, MatchRules rules) =>
        a.Exercise.Id != b.Exercise.Id
        && Math.Max(a.Of(MatchPart.Resistance), b.Of(MatchPart.Resistance)) >= rules.Pairs.PoorResistance
        && prime.Any(m => Covers(a, m) && !Covers(b, m))
        && prime.Any(m => Covers(b, m) && !Covers(a, m))
        && !RigConflict.Between(a.Loaded.External.ItemIds, a.Loaded.External.MassKg, b.Loaded.External.ItemIds, b.Loaded.External.MassKg);

    private static bool Covers(Scored scored, Muscle muscle) => scored.Exercise.InvolvementOf(muscle) >= Exercise.PrimeMoverInvolvement;

    /// <summary>The pair of two given exercises, the harder one first.</summary>
    public static ScoredPair Of(LineToMatch line, Scored a, Scored b, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(a);
        ArgumentNullException.ThrowIfNull(b);
        ArgumentNullException.ThrowIfNull(rules);
        return Score(line, a, b, [.. line.Exercise.PrimeMovers()], rules);
    }

    private static ScoredPair Score(LineToMatch line, Scored a, Scored b, List<Muscle> prime, MatchRules rules)
    {
        var weights = rules.Weights[line.Role];

        // The sets of both halves add up, as they do when hard sets are counted: two half involvements make a whole.
        var union = a
            .Exercise.Muscles.Keys.Union(b.Exercise.Muscles.Keys)
            .ToDictionary(m => m, m => Math.Min(1, a.Exercise.InvolvementOf(m) + b.Exercise.InvolvementOf(m)));
        var muscles = PartMatches.Muscles(line.Exercise.Muscles, union, rules.Parts);
        var (pa, pb) = (prime.Count(m => Covers(a, m)), prime.Count(m => Covers(b, m)));
        double Shared(MatchPart part) => ((pa * a.Of(part)) + (pb * b.Of(part))) / Math.Max(1, pa + pb);

        // The half that carries the load decides what the pair feels like.
        var (la, lb) = (a.Of(MatchPart.Resistance) + 0.05, b.Of(MatchPart.Resistance) + 0.05);
        double ByLoad(MatchPart part) => ((la * a.Of(part)) + (lb * b.Of(part))) / (la + lb);
        var halves = Reason.Of(
            "pair.covers",
            ("first", a.Exercise.Name),
            ("by_first", FactList.Of(prime.Where(m => Covers(a, m)))),
            ("second", b.Exercise.Name),
            ("by_second", FactList.Of(prime.Where(m => Covers(b, m))))
        );
        var heavier = pa >= pb ? a : b;

        // The first half takes the load near failure; the second follows on tired muscles, so its own part may be light.
        var resistance =
            (rules.Pairs.FirstHalf * Math.Max(a.Of(MatchPart.Resistance), b.Of(MatchPart.Resistance)))
            + ((1 - rules.Pairs.FirstHalf) * Math.Min(a.Of(MatchPart.Resistance), b.Of(MatchPart.Resistance)));
        ImmutableArray<PartScore> parts =
        [
            new(MatchPart.Muscles, muscles.Score, weights[MatchPart.Muscles], halves),
            new(
                MatchPart.Pattern,
                ByLoad(MatchPart.Pattern),
                weights[MatchPart.Pattern],
                Reason.Of(
                    "pair.pattern",
                    ("first", Term.For(a.Exercise.Pattern)),
                    ("second", Term.For(b.Exercise.Pattern)),
                    ("planned", Term.For(line.Exercise.Pattern))
                )
            ),
            // Halves are small muscles as often as not: that two of them make one lift is what a pair is for.
            new(MatchPart.Structure, rules.Pairs.Structure, weights[MatchPart.Structure], Reason.Of("pair.structure")),
            new(
                MatchPart.Resistance,
                resistance,
                weights[MatchPart.Resistance],
                Reason.Of(
                    "pair.resistance",
                    ("first", a.Exercise.Name),
                    ("first_reason", a.Why(MatchPart.Resistance)),
                    ("second", b.Exercise.Name),
                    ("second_reason", b.Why(MatchPart.Resistance))
                )
            ),
            new(MatchPart.Profile, Shared(MatchPart.Profile), weights[MatchPart.Profile], heavier.Why(MatchPart.Profile)),
            new(
                MatchPart.Skill,
                Math.Min(a.Of(MatchPart.Skill), b.Of(MatchPart.Skill)),
                weights[MatchPart.Skill],
                heavier.Why(MatchPart.Skill)
            ),
            new(
                MatchPart.Familiarity,
                Math.Min(a.Of(MatchPart.Familiarity), b.Of(MatchPart.Familiarity)),
                weights[MatchPart.Familiarity],
                heavier.Why(MatchPart.Familiarity)
            ),
        ];

        // The harder half goes first: it must not be done tired.
        var (first, second) = a.Of(MatchPart.Resistance) >= b.Of(MatchPart.Resistance) ? (a, b) : (b, a);
        return new ScoredPair(
            first,
            second,
            parts,
            rules.Combine(line.Role, parts.Sum(p => p.Score * p.Weight), resistance) - rules.Pairs.Cost
        );
    }
}
