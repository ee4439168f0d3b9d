using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Storage.Tests;

public sealed class IdempotentWritesTests : IDisposable
{
    private readonly TestDatabase _db = new();

    public void Dispose() => _db.Dispose();

    [Fact]
    public void The_same_post_under_the_same_key_makes_one_thing()
    {
        var first = _db.Clients.Add(_db.Coach, TestDatabase.Client(), "key-1")!;
        var again = _db.Clients.Add(_db.Coach, TestDatabase.Client(), "key-1")!;
        var other = _db.Clients.Add(_db.Coach, TestDatabase.Client(), "key-2")!;
        var foreign = _db.Clients.Add(_db.Other, TestDatabase.Client(), "key-1")!;

        again.Id.ShouldBe(first.Id);
        new[] { first.Id, other.Id, foreign.Id }.ShouldBeUnique();
        _db.Clients.List(_db.Coach).Count.ShouldBe(2);
    }

    [Fact]
    public void A_key_does_not_stand_for_another_content()
    {
        _db.Clients.Add(_db.Coach, TestDatabase.Client("Tamsin"), "key");

        Should.Throw<KeyReusedException>(() => _db.Clients.Add(_db.Coach, TestDatabase.Client("Tom"), "key"));
        _db.Clients.List(_db.Coach).Count.ShouldBe(1);
    }

    [Fact]
    public void A_plan_a_session_and_a_file_of_sessions_are_done_once_too()
    {
        var client = _db.AddClient();
        var plan = _db.Plans.Add(_db.Coach, client, null, null, TestDatabase.Plan(), "plan")!.Id;
        _db.Plans.Add(_db.Coach, client, null, null, TestDatabase.Plan(), "plan")!.Id.ShouldBe(plan);
        var session = Session(3);
        _db.Logs.Add(_db.Coach, plan, session, "log").ShouldBe(_db.Logs.Add(_db.Coach, plan, session, "log"));
        _db.Logs.AddAll(_db.Coach, plan, [Session(1), Session(2)], "file")!
            .ShouldBe(_db.Logs.AddAll(_db.Coach, plan, [Session(1), Session(2)], "file")!);

        _db.Plans.List(_db.Coach).Count.ShouldBe(1);
        _db.Logs.List(_db.Coach, plan).Count.ShouldBe(3);
    }

    [Fact]
    public void The_roster_knows_of_a_log_whose_pulse_was_never_made()
    {
        var plan = _db.AddPlan().Id;
        var pulses = new ActivityStore(_db.Database);
        _db.Logs.Add(_db.Coach, plan, Session(1));
        var seen = pulses.Due(_db.Coach)[plan];

        _db.Logs.Add(_db.Coach, plan, Session(2)); // Between the reading and the writing of the pulse.
        pulses.Put(_db.Coach, plan, new ActivitySummary(1, null, 1, []), seen);
        var left = pulses.Due(_db.Coach);
        left.ShouldContainKey(plan, "what was logged meanwhile is still due");
        pulses.Put(_db.Coach, plan, new ActivitySummary(1, null, 2, []), left[plan]);

        pulses.Due(_db.Coach).ShouldBeEmpty();
        pulses.Due(_db.Other).ShouldBeEmpty();
    }

    [Fact]
    public void The_plan_worked_on_last_is_known_although_the_clock_was_set_back()
    {
        var client = _db.AddClient();
        var early = new PlanStore(_db.Database, new FixedClock(new DateTimeOffset(2026, 3, 2, 9, 0, 0, TimeSpan.Zero)));
        var late = new PlanStore(_db.Database, new FixedClock(new DateTimeOffset(2027, 3, 2, 9, 0, 0, TimeSpan.Zero)));
        var (one, two) = (
            late.Add(_db.Coach, client, null, null, TestDatabase.Plan("one"))!,
            early.Add(_db.Coach, client, null, null, TestDatabase.Plan("two"))!
        );

        _db.Plans.List(_db.Coach).Select(p => p.Id).ShouldBe([two.Id, one.Id]);
        early.Save(_db.Coach, one.Id, one.Revision, "note", TestDatabase.Plan("one, changed"));
        _db.Plans.List(_db.Coach).Select(p => p.Id).ShouldBe([one.Id, two.Id]);
    }

    private static SessionRecord Session(int day) =>
        new(1, new DateOnly(2026, 3, day), [new LoggedExercise(new LineKey(0), "push-up", [new LoggedSet { Reps = 8 }])]);
}
