using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Storage.Tests;

public sealed class PlanTests : IDisposable
{
    private readonly TestDatabase _db = new();

    public void Dispose() => _db.Dispose();

    [Fact]
    public void Versions_can_be_taken_back_and_again()
    {
        var plan = _db.AddPlan();
        var second = _db.Plans.Save(_db.Coach, plan.Id, plan.Revision, "two", TestDatabase.Plan("Second")).Current!;
        second.Value.ShouldSatisfyAllConditions(p => p.Version.ShouldBe(2), p => p.CanUndo.ShouldBeTrue(), p => p.CanRedo.ShouldBeFalse());

        var first = _db.Plans.Undo(_db.Coach, plan.Id, second.Revision).Current!;
        first.Value.ShouldSatisfyAllConditions(
            p => p.Document.Title.ShouldBe("Day 1"),
            p => p.CanUndo.ShouldBeFalse(),
            p => p.CanRedo.ShouldBeTrue()
        );

        _db.Plans.Redo(_db.Coach, plan.Id, first.Revision).Current!.Value.Document.Title.ShouldBe("Second");
    }

    [Fact]
    public void A_version_on_top_of_an_undone_one_hides_it_and_loses_nothing()
    {
        var plan = _db.AddPlan();
        var second = _db.Plans.Save(_db.Coach, plan.Id, plan.Revision, "two", TestDatabase.Plan("Second")).Current!;
        var first = _db.Plans.Undo(_db.Coach, plan.Id, second.Revision).Current!;
        var third = _db.Plans.Save(_db.Coach, plan.Id, first.Revision, "three", TestDatabase.Plan("Third")).Current!;

        third.Value.Versions.ShouldBe(3);
        third.Value.CanRedo.ShouldBeFalse();
        _db.Plans.Undo(_db.Coach, plan.Id, third.Revision).Current!.Value.Document.Title.ShouldBe("Day 1");
    }

    [Fact]
    public void A_stale_writer_gets_the_version_that_stands()
    {
        var plan = _db.AddPlan();
        _db.Plans.Save(_db.Coach, plan.Id, plan.Revision, "theirs", TestDatabase.Plan("Theirs"));

        var late = _db.Plans.Save(_db.Coach, plan.Id, plan.Revision, "mine", TestDatabase.Plan("Mine"));

        late.Outcome.ShouldBe(WriteOutcome.Conflict);
        late.Current!.Value.Document.Title.ShouldBe("Theirs");
    }

    [Fact]
    public void A_logged_session_comes_back_set_by_set()
    {
        var plan = _db.AddPlan();
        ImmutableArray<LoggedSet> sets =
        [
            new LoggedSet
            {
                Reps = 8,
                LoadKg = 20,
                Rir = 2,
                Pain = 3,
                PainJoint = Joint.LowBack,
            },
            new LoggedSet { Reps = 7 },
        ];
        var session = new SessionRecord(
            1,
            new DateOnly(2026, 11, 20),
            [new LoggedExercise(new LineKey(1), "push-up", sets)],
            8,
            45,
            "slept badly"
        );

        var id = _db.Logs.Add(_db.Coach, plan.Id, session)!.Value;

        var back = _db.Logs.List(_db.Coach, plan.Id).ShouldHaveSingleItem().Value;
        back.Exercises.ShouldHaveSingleItem().Sets.ShouldBe(sets);
        (back.PerformedOn, back.Effort, back.Minutes, back.Note).ShouldBe((session.PerformedOn, 8, 45, "slept badly"));
        _db.Logs.Delete(_db.Other, plan.Id, id).ShouldBeFalse();
        _db.Logs.Delete(_db.Coach, plan.Id, id).ShouldBeTrue();
    }

    [Fact]
    public void What_a_set_was_is_kept_and_a_session_is_replaced_only_by_who_saw_it_last()
    {
        var plan = _db.AddPlan();
        var set = new LoggedSet
        {
            Reps = 8,
            Rir = 2,
            Sharp = true,
            Hurts = true,
            Stamp = new SetStamp(51.2, 0.65, 8, 2) { RestSeconds = 90, Technique = "slow-eccentric" },
        };
        var session = new SessionRecord(
            1,
            new DateOnly(2026, 11, 20),
            [new LoggedExercise(new LineKey(1), "push-up", [set])],
            PlannedSets: 14,
            Source: "file"
        );
        var id = _db.Logs.AddAll(_db.Coach, plan.Id, [session])!.Single();

        var saved = _db.Logs.List(_db.Coach, plan.Id).Single();
        saved.Value.Exercises[0].Sets.ShouldBe([set]);
        (saved.Value.PlannedSets, saved.Value.Source).ShouldBe((14, "file"));
        var better = session with { Exercises = [new LoggedExercise(new LineKey(1), "push-up", [set with { Reps = 9 }, set])] };
        _db.Logs.Update(_db.Coach, plan.Id, id, saved.Revision, better).Outcome.ShouldBe(WriteOutcome.Done);
        _db.Logs.Update(_db.Coach, plan.Id, id, saved.Revision, session).Outcome.ShouldBe(WriteOutcome.Conflict);
        _db.Logs.Update(_db.Other, plan.Id, id, 2, session).Outcome.ShouldBe(WriteOutcome.NotFound);
        _db.Logs.List(_db.Coach, plan.Id).Single().Value.Exercises[0].Sets.Length.ShouldBe(2);
    }

    [Fact]
    public void Logs_of_a_client_come_from_all_plans_since_a_day()
    {
        var plan = _db.AddPlan();
        var other = _db.Plans.Add(_db.Coach, plan.Value.ClientId, null, null, TestDatabase.Plan("Day 2"))!;
        SessionRecord On(int day) =>
            new(1, new DateOnly(2026, 11, day), [new LoggedExercise(new LineKey(1), "push-up", [new LoggedSet { Reps = day }])]);
        _db.Logs.AddAll(_db.Coach, plan.Id, [On(1), On(10)]);
        _db.Logs.Add(_db.Coach, other.Id, On(12));
        _db.Logs.AddAll(_db.Coach, plan.Id, [On(13), On(14) with { PlanVersion = 9 }]).ShouldBeNull("all or none");

        _db.Logs.OfClient(_db.Coach, plan.Value.ClientId, new DateOnly(2026, 11, 5))
            .Select(s => s.Value.PerformedOn.Day)
            .ShouldBe([12, 10]);
        _db.Logs.OfClient(_db.Other, plan.Value.ClientId, new DateOnly(2026, 11, 5)).ShouldBeEmpty();
    }

    [Fact]
    public void A_session_of_a_version_that_never_was_is_refused()
    {
        var plan = _db.AddPlan();

        _db.Logs.Add(_db.Coach, plan.Id, new SessionRecord(7, new DateOnly(2026, 11, 20), [])).ShouldBeNull();
        _db.Logs.Add(_db.Other, plan.Id, new SessionRecord(1, new DateOnly(2026, 11, 20), [])).ShouldBeNull();
    }

    [Fact]
    public void Writers_at_the_same_time_all_get_through()
    {
        Parallel.For(0, 20, i => _db.Clients.Add(_db.Coach, TestDatabase.Client($"Client {i}")));

        _db.Clients.List(_db.Coach).Count.ShouldBe(20);
    }
}
