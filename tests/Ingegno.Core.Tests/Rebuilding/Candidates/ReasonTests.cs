using CsCheck;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

/// <summary>Each reason names a fact that is true of the input.</summary>
public class ReasonTests
{
    private static readonly string[] SomeKit =
    [
        "dumbbell 8 x2",
        "rucksack",
        "bottle x6",
        "band-loop 12",
        "dining-table 74",
        "sofa 44",
        "chair 46",
        "stairs 18",
        "pull-up-bar",
        "sliders",
        "sliding-floor",
    ];

    private static readonly string[] Lines =
    [
        "Bench press 4x6 RIR 2",
        "Barbell row 4x8",
        "Overhead press 3x8",
        "Back squat 4x6",
        "Lying leg curl 3x12",
        "Lat pulldown 3x10",
        "Cable fly 3x15",
        "Barbell curl 3x10",
        "Plank 3x40 s",
    ];

    private static readonly Gen<(RebuildResult Result, PlaceKitItems Kit)> Plans = Gen
        .Bool.Array[SomeKit.Length]
        .Select(kept => SomeKit.Where((_, i) => kept[i]).ToArray())
        .Select(kit => (Examples.Rebuild(Examples.ClientA, Examples.Kit(kit), Lines), new PlaceKitItems(kit)));

    [Fact]
    public void What_is_said_of_muscles_pattern_structure_and_profile_is_true() =>
        Plans.Sample(
            plan =>
            {
                foreach (var (gym, home, reason) in Reasons(plan.Result))
                {
                    switch (reason.Part)
                    {
                        case MatchPart.Pattern when reason.Reason.Said().StartsWith("Same pattern", StringComparison.Ordinal):
                            home.Pattern.ShouldBe(gym.Pattern);
                            break;
                        case MatchPart.Pattern:
                            home.Pattern.ShouldNotBe(gym.Pattern);
                            break;
                        case MatchPart.Structure when reason.Reason.Said().EndsWith("as in the gym.", StringComparison.Ordinal):
                            (home.Structure, home.Sides, home.Chain).ShouldBe((gym.Structure, gym.Sides, gym.Chain));
                            break;
                        case MatchPart.Profile when reason.Reason.Said().StartsWith("As in the gym", StringComparison.Ordinal):
                            home.Profile.ShouldBe(gym.Profile);
                            break;
                        case MatchPart.Muscles when reason.Reason.Said().Contains("same prime movers", StringComparison.OrdinalIgnoreCase):
                            gym.PrimeMovers().ShouldAllBe(m => home.InvolvementOf(m) >= Exercise.PrimeMoverInvolvement);
                            break;
                        case MatchPart.Muscles when reason.Reason.Said().Contains("leaves out", StringComparison.OrdinalIgnoreCase):
                            gym.PrimeMovers().ShouldContain(m => home.InvolvementOf(m) < Exercise.SynergistInvolvement);
                            break;
                        default:
                            reason.Reason.Said().ShouldNotBeNullOrWhiteSpace();
                            break;
                    }
                }
            },
            iter: 12
        );

    [Fact]
    public void Expected_reps_in_a_reason_are_those_of_the_exercise() =>
        Plans.Sample(
            plan =>
                plan.Result.Plan.Lines.SelectMany(l => l.Candidates)
                    .Where(c => c.Exercises is [{ ExpectedReps: not null }])
                    .ShouldAllBe(c =>
                        c.Parts.Single(p => p.Part == MatchPart.Resistance).Reason.Said().StartsWith(c.Exercises[0].ExpectedReps!)
                    ),
            iter: 12
        );

    [Fact]
    public void What_is_ruled_out_for_want_of_kit_cannot_be_done_with_it() =>
        Plans.Sample(
            plan =>
            {
                var bench = new TestBench(Examples.ClientA, Examples.Kit(plan.Kit.Items));
                foreach (
                    var row in plan
                        .Result.Plan.Lines.SelectMany(l => l.RuledOut)
                        .Where(r => r.Code == "kit" && r.Reason.Said().StartsWith("Needs ", StringComparison.Ordinal))
                )
                {
                    Examples
                        .Exercise(row.ExerciseId)
                        .Setups.ShouldAllBe(
                            s =>
                                !bench.Kit.Meets(s.Needs).Possible
                                || !bench.CanLoad(Examples.Exercise(row.ExerciseId), s)
                                || s.Checks.Length > 0,
                            row.ExerciseId
                        );
                }
            },
            iter: 8
        );

    private static IEnumerable<(Exercise Gym, Exercise Home, PartScore Reason)> Reasons(RebuildResult result) =>
        from line in result.Plan.Lines
        from candidate in line.Candidates
        where candidate.Exercises.Length == 1
        from part in candidate.Parts
        select (Examples.Exercise(line.Gym.ExerciseId), Examples.Exercise(candidate.Exercises[0].ExerciseId), part);

    private sealed record PlaceKitItems(string[] Items);

    /// <summary>
    /// A man of 95 kg with 20 kg to add: a bar of which nothing is known takes 4 of them, one that is rated for 250 kg takes all. Where the bar is what holds the
    /// load back, that is said; where the load suits, or all there is hangs on it, nothing is (150 kg over 1.5 is 100 kg).
    /// </summary>
    [Theory]
    [InlineData("pull-up bar", "Weighted pull-up 4x5 @ +20 kg", 4, true)]
    [InlineData("pull-up bar rated 250 kg", "Weighted pull-up 4x5 @ +20 kg", 20, false)]
    [InlineData("pull-up bar", "Pull-up 3x9", 0, false)]
    public void What_holds_a_load_back_is_said(string bar, string line, double kg, bool said)
    {
        var client = Examples.ClientA with { BodyMassKg = 95, Level = Level.Advanced, KnownLifts = [] };
        var chosen = Examples.Rebuild(client, Examples.KitOf($"{bar}; rucksack 30 L; 20 books 1 kg"), line).Plan.Lines[0].Chosen!;

        chosen.Id.ShouldBe("pull-up");
        chosen.Exercises[0].ExternalKg.ShouldBe(kg, 1);
        chosen.Lost.Any(r => r.Code == "why.held-back").ShouldBe(said, chosen.Exercises[0].Setup);
    }
}
