using Ingegno.Core.KeepingOn.Ladders;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.KeepingOn;

/// <summary>The ladder of a family (docs/trade/progression).</summary>
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
        ladder.Rungs.Zip(ladder.Rungs.Skip(1)).ShouldAllBe(r => r.Second.Difficulty > r.First.Difficulty * (1 + (Ladders.Same * 0.9)));
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
        gaps.ShouldAllBe(g => g.Step > Ladders.HighStep && !g.Fill.IsEmpty);
        gaps.Where(g => g.RepsToEarn is not null).ShouldAllBe(g => g.RepsToEarn <= 30 && g.RepsToEarn > 8);
    }

    [Fact]
    public void A_technique_makes_a_rung_of_its_own() => Of("push-up", []).Rungs.ShouldContain(r => r.Technique != null);

    [Theory]
    [InlineData("plank")]
    [InlineData("moon-walk")]
    public void What_no_load_measures_has_no_ladder(string id) =>
        new Ladders(Trade.Shipped).Of(id, Examples.ClientA, Examples.Kit(), null, null, 8).ShouldBeNull();

    [Fact]
    public void Standards_run_from_fifty_down_to_five()
    {
        Milestones.For(Examples.Exercise("wall-push-up"), Trade.Shipped).Said().ShouldBe("3×50");
        Trade
            .Shipped.Catalogue.AtHome.Where(e => e.Measure == Measure.Seconds)
            .ShouldAllBe(e =>
                Milestones.For(e, Trade.Shipped).Said().Contains('s') || Milestones.For(e, Trade.Shipped).Said().StartsWith("when")
            );
    }

    private static FamilyLadder Of(string exercise, string[] kit, double? systemKg = null) =>
        new Ladders(Trade.Shipped).Of(exercise, Examples.ClientA, Examples.Kit(kit), systemKg, null, 8)!;
}
