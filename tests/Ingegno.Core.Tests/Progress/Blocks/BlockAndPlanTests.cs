using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>How a block and its plan stand to one another.</summary>
public class BlockAndPlanTests
{
    private static readonly RebuildRequest Request = BlockExamples.Beginner;
    private static readonly HomePlan Plan = BlockExamples.Plan(Request);

    [Fact]
    public void A_plan_of_one_day_is_that_day_as_often_as_the_client_trains()
    {
        BlockAndPlan.SessionsPerLine(Request, Plan).ShouldBe(2);
        BlockAndPlan.SessionsPerLine(Request with { Client = Request.Client with { DaysPerWeek = null } }, Plan).ShouldBe(1);
        var days = Request with { GymLines = ["= A", "Back squat 3x8", "= B", "Lat pulldown 3x10"] };
        BlockAndPlan.SessionsPerLine(days, BlockExamples.Plan(days)).ShouldBe(1);
    }

    [Fact]
    public void Only_what_differs_in_the_week_that_runs_is_not_in_the_plan()
    {
        var setup = BlockExamples.Setup(Request);
        var block = BlockExamples.Block(Request, setup);

        BlockAndPlan.NotInPlan(Plan, setup, block, BlockExamples.Monday).ShouldBeEmpty("the first week is the plan");
        BlockAndPlan.NotInPlan(Plan, setup, block, BlockExamples.Monday.AddDays(-3)).ShouldBeEmpty("before the block it is the first week");
        BlockAndPlan.NotInPlan(Plan, setup, block, BlockExamples.Monday.AddDays(7)).Select(c => c.Line).ShouldContain(new LineKey(1));
        BlockAndPlan.NotInPlan(Plan, setup, block, BlockExamples.Monday.AddDays(60)).ShouldBeEmpty("over");
    }

    [Theory]
    [InlineData("2026-11-25", null, "2026-11-23")]
    [InlineData("2026-11-23", null, "2026-11-23")]
    [InlineData("2026-11-29", null, "2026-11-23")]
    [InlineData("2026-11-25", "2026-12-06", "2026-12-07")]
    [InlineData("2026-11-25", "2026-11-01", "2026-11-23")]
    [InlineData("2026-11-25", "2026-11-23", "2026-11-24")] // ends on this very Monday
    public void The_next_block_starts_on_a_monday_or_after_the_one_before(string today, string? ends, string starts) =>
        BlockAndPlan.NextStart(Date(today), ends is null ? null : Date(ends)).ShouldBe(Date(starts));

    private static DateOnly Date(string text) => DateOnly.Parse(text, System.Globalization.CultureInfo.InvariantCulture);
}
