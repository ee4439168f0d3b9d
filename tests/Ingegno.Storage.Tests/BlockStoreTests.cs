using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Progress.Blocks;

namespace Ingegno.Storage.Tests;

public sealed class BlockStoreTests : IDisposable
{
    private readonly TestDatabase _db = new();

    private BlockStore Blocks => new(_db.Database, FixedClock.Monday);

    public void Dispose() => _db.Dispose();

    [Fact]
    public void The_newest_block_of_a_plan_counts_and_those_before_stay()
    {
        var plan = _db.AddPlan().Id;
        var first = Blocks.Add(_db.Coach, plan, Block(new(2026, 9, 7)))!;
        var second = Blocks.Add(_db.Coach, plan, Block(new(2026, 11, 2)))!;

        Blocks.Newest(_db.Coach, plan)!.Id.ShouldBe(second.Id);
        Blocks.List(_db.Coach, plan).Select(b => b.Id).ShouldBe([second.Id, first.Id]);
        Blocks.Ends(_db.Coach)[plan].ShouldBe(new DateOnly(2026, 12, 6), "five weeks from 2 November");
        Blocks.Remove(_db.Coach, plan, second.Id).ShouldBeTrue();
        Blocks.Newest(_db.Coach, plan)!.Id.ShouldBe(first.Id);
        Blocks.Remove(_db.Coach, plan, second.Id).ShouldBeFalse("it is away already");
        Blocks.Remove(_db.Coach, plan, second.Id, bringBack: true).ShouldBeTrue();
        Blocks.Newest(_db.Coach, plan)!.Id.ShouldBe(second.Id);
        Blocks.Newest(_db.Coach, 99).ShouldBeNull();
    }

    [Fact]
    public void A_stale_writer_gets_what_stands_and_nothing_is_lost_on_the_way()
    {
        var plan = _db.AddPlan().Id;
        var kept = Blocks.Add(_db.Coach, plan, Block(new(2026, 11, 2)))!;
        kept.Value.Setup.Phases.ShouldBe(Block(new(2026, 11, 2)).Setup.Phases);

        Blocks.Update(_db.Coach, plan, kept.Id, 1, Block(new(2026, 11, 9))).Outcome.ShouldBe(WriteOutcome.Done);
        var late = Blocks.Update(_db.Coach, plan, kept.Id, 1, Block(new(2026, 11, 16)));
        (late.Outcome, late.Current!.Value.Setup.Starts).ShouldBe((WriteOutcome.Conflict, new DateOnly(2026, 11, 9)));
        Blocks.Update(_db.Coach, plan, 99, 1, Block(new(2026, 11, 2))).Outcome.ShouldBe(WriteOutcome.NotFound);
    }

    [Fact]
    public void Another_coach_sees_and_touches_nothing_and_a_deleted_plan_takes_its_blocks_along()
    {
        var plan = _db.AddPlan().Id;
        var kept = Blocks.Add(_db.Coach, plan, Block(new(2026, 11, 2)))!;

        Blocks.Add(_db.Other, plan, Block(new(2026, 11, 2))).ShouldBeNull();
        Blocks.Find(_db.Other, plan, kept.Id).ShouldBeNull();
        Blocks.Update(_db.Other, plan, kept.Id, 1, Block(new(2026, 11, 9))).Outcome.ShouldBe(WriteOutcome.NotFound);
        Blocks.Remove(_db.Other, plan, kept.Id).ShouldBeFalse();
        Blocks.Ends(_db.Other).ShouldBeEmpty();
        _db.Plans.Delete(_db.Coach, plan);
        Blocks.Ends(_db.Coach).ShouldBeEmpty();
    }

    [Fact]
    public void A_version_of_a_plan_can_be_read_again()
    {
        var plan = _db.AddPlan();
        _db.Plans.Save(_db.Coach, plan.Id, plan.Revision, "two", TestDatabase.Plan("Second"));

        _db.Plans.FindVersion(_db.Coach, plan.Id, 1)!.Title.ShouldBe("Day 1");
        _db.Plans.FindVersion(_db.Coach, plan.Id, 2)!.Title.ShouldBe("Second");
        _db.Plans.FindVersion(_db.Coach, plan.Id, 3).ShouldBeNull();
        _db.Plans.FindVersion(_db.Other, plan.Id, 1).ShouldBeNull();
    }

    private static BlockRecord Block(DateOnly starts) =>
        new(
            new BlockSetup
            {
                Starts = starts,
                Phases = [new BlockPhase("Mirror", 5)],
                LighterWeeks = [5],
            },
            new Block([], [Reason.Text("a remark")])
        );
}
