using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Two exercises done as a superset in place of one heavy line.</summary>
/// <param name="First">The half that takes the load near failure.</param>
/// <param name="Second">The half that follows at once.</param>
/// <param name="Parts">What the two are for the line together.</param>
/// <param name="Match">Match of the two, 0–1.</param>
public sealed record ScoredPair(Scored First, Scored Second, ImmutableArray<PartScore> Parts, double Match)
{
    /// <summary>The second half finds its own muscle tired, not another one.</summary>
    public bool SecondIsTired =>
        First.Exercise.Structure == ExerciseStructure.Isolation
        && First.Exercise.PrimeMovers().Intersect(Second.Exercise.PrimeMovers()).Any();
}

/// <summary>
/// Finds the best pair when no single exercise will do, for a main or secondary line (docs/domain/substitution): two that reach the prime
/// movers between them, or one that tires a prime mover so that a load too light for it becomes work.
/// </summary>
public static class PairFinder
{
    private const int Pool = 24;

    /// <summary>
    /// The best pair for the line, or null when a single exercise reaches most prime movers at a sufficient
    /// resistance, or there is no pair.
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
                    IsWorth(a, b, single, prime, rules)
                    && Score(line, a, b, prime, rules) is var pair
                    && (best is null || pair.Match > best.Match + 1e-9)
                )
                {
                    best = pair;
                }
            }
        }

        return best;
    }

    /// <summary>One of them is at least as hard as the single one, and they do not fight over one rig.</summary>
    private static bool IsWorth(Scored a, Scored b, Scored single, List<Muscle> prime, MatchRules rules) =>
        a.Exercise.Id != b.Exercise.Id
        && Math.Max(a.Of(MatchPart.Resistance), b.Of(MatchPart.Resistance))
            >= Math.Min(rules.Pairs.PoorResistance, single.Of(MatchPart.Resistance))
        && (Complete(a, b, prime) || Tires(a, b, prime, rules) || Tires(b, a, prime, rules))
        && !RigConflict.Between(a.Loaded.External.ItemIds, a.Loaded.External.MassKg, b.Loaded.External.ItemIds, b.Loaded.External.MassKg);

    /// <summary>Each half brings a prime mover that the other lacks.</summary>
    private static bool Complete(Scored a, Scored b, List<Muscle> prime) =>
        prime.Any(m => Covers(a, m) && !Covers(b, m)) && prime.Any(m => Covers(b, m) && !Covers(a, m));

    /// <summary>A small movement tires a prime mover, and a compound that is too light for it goes on with it.</summary>
    private static bool Tires(Scored first, Scored second, List<Muscle> prime, MatchRules rules) =>
        Small(first)
        && second.Exercise.Structure == ExerciseStructure.Compound
        && first.Of(MatchPart.Resistance) >= rules.Pairs.LeastOfTiring
        && second.Of(MatchPart.Resistance) >= rules.Pairs.LeastOfTired
        && second.Of(MatchPart.Resistance) <= first.Of(MatchPart.Resistance)
        && prime.Any(m => Covers(first, m) && Covers(second, m));

    private static bool Covers(Scored scored, Muscle muscle) => scored.Exercise.InvolvementOf(muscle) >= Exercise.PrimeMoverInvolvement;

    private static bool Small(Scored scored) => scored.Exercise.Structure == ExerciseStructure.Isolation;

    /// <summary>The pair of two given exercises, the harder one first.</summary>
    public static ScoredPair Of(LineToMatch line, Scored a, Scored b, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(a);
        ArgumentNullException.ThrowIfNull(b);
        ArgumentNullException.ThrowIfNull(rules);
        return Score(line, a, b, [.. line.Exercise.PrimeMovers()], rules);
    }

    private static ScoredPair Score(LineToMatch line, Scored one, Scored other, List<Muscle> prime, MatchRules rules)
    {
        var weights = rules.Weights[line.Role];

        // The harder half goes first: it must not be done tired. Of equals the small movement, which tires less.
        var turned = (other.Of(MatchPart.Resistance), Small(other)).CompareTo((one.Of(MatchPart.Resistance), Small(one))) > 0;
        var (a, b) = turned ? (other, one) : (one, other);

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
            Complete(a, b, prime) ? "pair.covers" : "pair.tires",
            ("first", a.Exercise.Name),
            ("by_first", FactList.Of(prime.Where(m => Covers(a, m)))),
            ("second", b.Exercise.Name),
            ("by_second", FactList.Of(prime.Where(m => Covers(b, m))))
        );
        var heavier = pa >= pb ? a : b;

        // The first half takes the load near failure; the second follows on tired muscles, so its own part may be light.
        var resistance = (rules.Pairs.FirstHalf * a.Of(MatchPart.Resistance)) + ((1 - rules.Pairs.FirstHalf) * b.Of(MatchPart.Resistance));
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

        var fast = new[] { a, b }.Any(half => line.IsAnsweredBySpeed(half.Exercise, half.Of(MatchPart.Resistance), rules));
        return new ScoredPair(
            a,
            b,
            parts,
            rules.Combine(line.Role, parts.Sum(p => p.Score * p.Weight), resistance, fast)
                - rules.Pairs.Cost
                - (Complete(a, b, prime) ? 0 : rules.Pairs.Tiring)
        );
    }
}
