using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Ladders;

/// <summary>The ladder of a family (docs/domain/progression).</summary>
public class LadderTests
{
    [Theory]
    [InlineData("push-up", "rucksack", "chair 46", "bottle x4")]
    [InlineData("rear-foot-raised-split-squat", "dumbbell 12 x2", "chair 46")]
    [InlineData("dumbbell-floor-press", "dumbbell 8 x2", "dumbbell 20 x2")]
    public void It_rises_rung_by_rung_and_the_load_with_it(string exercise, params string[] kit)
    {
        var ladder = Of(exercise, kit);

        ladder.Rungs.Length.ShouldBeGreaterThan(3);
        ladder
            .Rungs.Zip(ladder.Rungs.Skip(1))
            .ShouldAllBe(r => r.Second.Difficulty > r.First.Difficulty * (1 + (LadderBuilder.Same * 0.9)));
        ladder
            .Rungs.Zip(ladder.Rungs.Skip(1))
            .ShouldAllBe(r => Math.Abs((r.Second.Difficulty / r.First.Difficulty) - 1 - r.Second.Step!.Value) < 1e-9);
        foreach (var straight in ladder.Rungs.Where(r => r.Technique is null).GroupBy(r => r.ExerciseId))
        {
            straight
                .Select(r => r.SystemKg)
                .ShouldBeInOrder(SortDirection.Ascending, $"more system load of {straight.Key} is never easier");
            straight.Select(r => r.RepsToFailure).ShouldBeInOrder(SortDirection.Descending);
        }
    }

    [Fact]
    public void The_push_up_family_runs_from_the_wall_up()
    {
        var rungs = Of("push-up", ["chair 46", "rucksack", "bottle x4"]).Rungs;

        rungs.Select(r => r.ExerciseId).ShouldContain("push-up");
        rungs.First().RepsToFailure.ShouldBeGreaterThan(rungs.Last().RepsToFailure);
        rungs[0].Standard.Said().ShouldStartWith("3×");
    }

    [Fact]
    public void It_says_where_the_client_is_and_what_is_next()
    {
        var at = Of("push-up", ["rucksack", "bottle x4"], systemKg: 51.2);

        at.Rungs[at.Here!.Value].ExerciseId.ShouldBe("push-up");
        at.Next.ShouldBe(at.Here + 1);
        Of("push-up", ["rucksack"], systemKg: null).Here.ShouldBeNull();
    }

    [Fact]
    [Trait("source", "ACSM position stand 2009: 2–10 %")]
    public void A_high_step_is_named_with_the_reps_that_earn_it_and_what_fills_it()
    {
        var gaps = Of("dumbbell-floor-press", ["dumbbell 8 x2", "dumbbell 20 x2"]).Gaps;

        gaps.ShouldNotBeEmpty();
        gaps.Select(g => g.Step).ShouldBeInOrder(SortDirection.Descending);
        gaps.ShouldAllBe(g => g.Step > LadderBuilder.HighStep && !g.Fill.IsEmpty);
        gaps.Where(g => g.RepsToEarn is not null).ShouldAllBe(g => g.RepsToEarn <= 30 && g.RepsToEarn > 8);
    }

    [Fact]
    public void A_technique_makes_a_rung_of_its_own() => Of("push-up", []).Rungs.ShouldContain(r => r.Technique != null);

    [Theory]
    [InlineData("plank")]
    [InlineData("moon-walk")]
    public void What_no_load_measures_has_no_ladder(string id) =>
        new LadderBuilder(DomainRules.Shipped).Of(id, Examples.ClientA, Examples.Kit(), null, null, 8).ShouldBeNull();

    [Fact]
    public void Standards_run_from_fifty_down_to_five()
    {
        Milestones.For(Examples.Exercise("wall-push-up"), DomainRules.Shipped).Said().ShouldBe("3×50");
        DomainRules
            .Shipped.Catalogue.AtHome.Where(e => e.Measure == Measure.Seconds)
            .ShouldAllBe(e =>
                Milestones.For(e, DomainRules.Shipped).Said().Contains('s')
                || Milestones.For(e, DomainRules.Shipped).Said().StartsWith("when")
            );
    }

    /// <summary>Logs that show more strength than the family lets expect make no easier rung a step up.</summary>
    [Theory]
    [InlineData(60)]
    [InlineData(120)]
    [InlineData(200)]
    public void No_easier_rung_is_a_step_up_whatever_the_logs_show(double learnt)
    {
        var client = Examples.ClientA with
        {
            Learned =
            [
                new Core.Clients.Profiles.LearnedLift(
                    "bench-press",
                    "feet-raised-push-up",
                    learnt,
                    0.1,
                    Core.Foundation.Reasons.Reason.Text("logs")
                ),
            ],
        };
        var place = Examples.KitOf("chair 45 cm");
        var way = new Core.Rebuilding.Candidates.ClientAtPlace(client, place, DomainRules.Shipped)
            .Ways.Of(Examples.Exercise("feet-raised-push-up"))
            .First();
        var home = new HomeExercise
        {
            ExerciseId = "feet-raised-push-up",
            Name = "Feet-raised push-up",
            SetupId = way.Setup.Id,
            Spots = way.Spots,
            Setup = "feet on the chair",
            ExternalKg = 0,
            SystemLoadKg = way.System.Kg,
            Dose = new Dose
            {
                Sets = 3,
                Target = new(8, 8),
                Tempo = Core.Foundation.Quantities.Tempo.Usual,
                RestSeconds = 90,
                Rir = 2,
            },
        };
        var steps = Core.Progress.Ladders.FamilySteps.From(
            home,
            Examples.Exercise("feet-raised-push-up"),
            new Core.Rebuilding.Candidates.ClientAtPlace(client, place, DomainRules.Shipped)
        );

        steps.ShouldNotBeEmpty();
        steps
            .Where(s => s.Step > 0)
            .ShouldAllBe(s => s.Exercise.Family != "push-up" || s.Exercise.Rung > Examples.Exercise("feet-raised-push-up").Rung);
        steps.ShouldContain(s => s.Exercise.Id == "knee-push-up" && s.Step < 0);
    }

    [Fact]
    public void Every_rung_has_a_key_of_its_own()
    {
        foreach (var exercise in new[] { "push-up", "close-push-up", "split-squat", "table-row", "single-leg-box-squat" })
        {
            new Core.Progress.Ladders.LadderBuilder(DomainRules.Shipped)
                .Of(
                    exercise,
                    Examples.ClientA,
                    Examples.KitOf("chair 45 cm; sofa 44 cm; dining table 74 cm; stairs 18 cm; rucksack 25 L; 6 bottles 1.5 L"),
                    null,
                    null,
                    8
                )!
                .Rungs.Select(r => r.Key)
                .ShouldBeUnique(exercise);
        }
    }

    private static FamilyLadder Of(string exercise, string[] kit, double? systemKg = null) =>
        new LadderBuilder(DomainRules.Shipped).Of(exercise, Examples.ClientA, Examples.Kit(kit), systemKg, null, 8)!;
}
