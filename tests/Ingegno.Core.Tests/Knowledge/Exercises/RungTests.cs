using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Knowledge.Exercises;

/// <summary>Between the easiest and the hardest that an ordinary home offers there is a step for everybody.</summary>
[Trait("source", "docs/domain/substitution: every push, pull, squat, hinge and lunge family has steps of about 10-15 % of system load")]
public class RungTests
{
    /// <summary>Largest step between neighbours, as a share of the lighter one.</summary>
    private const double LargestStep = 0.15;

    private static readonly string[] OrdinaryHome =
    [
        "chair 45",
        "sofa 44",
        "dining-table 74",
        "stairs 18",
        "rucksack",
        "bottle x6",
        "book x8",
        "towel x2",
        "closed-door",
        "sliding-floor",
        "socks",
    ];

    /// <summary>From what a weak beginner needs to what a strong trainee does, as a share of the movement's one-rep maximum load of the anchor,
    /// in shares of body mass.</summary>
    [Theory]
    [InlineData(MovementPattern.HorizontalPush, 0.14, 0.70)]
    [InlineData(MovementPattern.VerticalPush, 0.10, 0.60)]
    [InlineData(MovementPattern.HorizontalPull, 0.16, 0.62)]
    [InlineData(MovementPattern.VerticalPull, 0.25, 0.55)] // no bar to hang from: who is stronger rows, or needs one
    [InlineData(MovementPattern.Squat, 0.67, 1.7)]
    [InlineData(MovementPattern.Lunge, 0.9, 1.6)]
    [InlineData(MovementPattern.Hinge, 0.45, 1.2)]
    public void No_step_is_larger_than_a_seventh(MovementPattern pattern, double weak, double strong)
    {
        var holes = new[] { (Sex.Male, 80.0, 180.0), (Sex.Female, 62.0, 165.0) }
            .SelectMany(c => Holes(pattern, weak, strong, c.Item1, c.Item2, c.Item3))
            .ToList();

        holes.ShouldBeEmpty(string.Join('\n', holes));
    }

    private static IEnumerable<string> Holes(MovementPattern pattern, double weak, double strong, Sex sex, double mass, double stature)
    {
        var client = new ClientProfile
        {
            Level = Level.Advanced,
            Goal = Goal.Muscle,
            Sex = sex,
            BodyMassKg = mass,
            StatureCm = stature,
        };
        var at = new ClientAtPlace(client, Examples.Kit(OrdinaryHome), DomainRules.Shipped);
        var states = DomainRules
            .Shipped.Catalogue.AtHome.Where(e => e is { Strength: not null, Measure: Measure.Reps } && e.Pattern == pattern)
            .SelectMany(e =>
                at.Ways.Of(e).Where(w => w.System.Kg > 0).Select(w => (e.Name, Demand: w.System.Kg / e.Strength!.Ratio / mass))
            )
            .OrderBy(s => s.Demand)
            .ToList();
        foreach (var (a, b) in states.Zip(states.Skip(1)))
        {
            if (a.Demand >= weak && b.Demand <= strong && b.Demand / a.Demand - 1 > LargestStep)
            {
                yield return $"{sex} {pattern}: {a.Name} {a.Demand:0.000} -> {b.Name} {b.Demand:0.000}";
            }
        }

        if (states.Count == 0 || states[0].Demand > weak * (1 + LargestStep) || states[^1].Demand < strong / (1 + LargestStep))
        {
            yield return $"{sex} {pattern}: from {states[0].Name} {states[0].Demand:0.000} to {states[^1].Name} {states[^1].Demand:0.000}";
        }
    }
}
