using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.FollowUp;

/// <summary>Who needs the coach today: every reason once there and once not.</summary>
public class AttentionTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);
    private static readonly ActivityLine Calm = new("Push-up", Decision.MoreReps, Reason.Text("One rep more."));

    /// <summary>Two weeks to see a clinician again; afterwards it is said until a new one is there (common practice).</summary>
    [Theory]
    [InlineData(15, null)]
    [InlineData(14, "The clearance by Dr. Hale ends in 14 days: ask for a new one.")]
    [InlineData(0, "The clearance by Dr. Hale ends today: ask for a new one.")]
    [InlineData(-1, "The clearance by Dr. Hale has ended: the plan is gentle again from the next rebuild until a new one is recorded.")]
    public void A_clearance_that_ends_is_named(int daysLeft, string? words)
    {
        var client = Examples.ClientA with
        {
            Screening = [ScreeningAnswer.HeartOrVascular],
            Clearance = new Clearance(Today.AddDays(-30), "Dr. Hale") { Until = Today.AddDays(daysLeft) },
        };
        Attention.Clearance(client, Today).Select(n => n.Text.Said()).SingleOrDefault().ShouldBe(words);
        Attention.Clearance(client with { Screening = [] }, Today).ShouldBeEmpty();
        Attention.Clearance(client with { Clearance = null }, Today).ShouldBeEmpty();
    }

    [Fact]
    public void A_calm_week_needs_nobody() => Of([Calm]).ShouldBeEmpty();

    [Theory]
    [InlineData(AttentionKind.Pain, Decision.Swap, 6, false)]
    [InlineData(AttentionKind.Pain, Decision.Ease, 3, false)]
    [InlineData(AttentionKind.Stall, Decision.MoreSets, null, true)]
    [InlineData(AttentionKind.CheckForm, Decision.CheckForm, null, false)]
    [InlineData(AttentionKind.Ready, Decision.MoreLoad, null, false)]
    [InlineData(AttentionKind.Ready, Decision.NextRung, null, false)]
    public void What_the_log_decides_is_named(AttentionKind kind, Decision decision, int? pain, bool stalled) =>
        Of([Calm, Calm with { Name = "Table row", Decision = decision, Pain = pain, PainJoint = Joint.Elbow, Stalled = stalled }])
            .ShouldHaveSingleItem()
            .ShouldSatisfyAllConditions(n => n.Kind.ShouldBe(kind), n => n.Text.Said().ShouldContain("Table row"));

    [Fact]
    public void What_waits_to_be_trained_is_no_stall_any_more_but_pain_stays_named()
    {
        var waits = Calm with { Decision = Decision.Wait, Reason = Reason.Text("Decided after the last session: train it first.") };
        Of([waits with { Stalled = true }]).ShouldBeEmpty();
        Of([waits with { Pain = 4 }])
            .Single()
            .Text.Said()
            .ShouldBe("Push-up: pain 4 of 10 last time, and what was decided then is not trained yet.");
    }

    [Fact]
    public void An_exercise_on_two_days_is_named_once_where_it_hurt()
    {
        var hurt = Calm with { Decision = Decision.Swap, Pain = 6, Reason = Reason.Text("Stop it.") };
        var elsewhere = Reason.Of("pain.other-day", ("what", Reason.Text("Pain")), ("stops", true)).Then(Reason.Text("Instead: Dip."));
        Of([Calm with { Decision = Decision.Swap, Reason = elsewhere }, hurt]).ShouldHaveSingleItem().Text.Said().ShouldContain("Stop it.");
        Of([Calm with { Decision = Decision.Swap, Reason = Reason.Text("Sharp.") }, hurt])
            .Length.ShouldBe(2, "sharp pain of its own is named");
    }

    [Fact]
    public void Who_was_away_is_not_stuck() =>
        Of([Calm with { Stalled = true, Decision = Decision.EaseIn }], daysAgo: 21)
            .ShouldHaveSingleItem()
            .Kind.ShouldBe(AttentionKind.Away);

    [Fact]
    public void The_most_urgent_comes_first() =>
        Of([Calm with { Decision = Decision.MoreLoad }, Calm with { Decision = Decision.Swap, Pain = 7 }], daysAgo: 12)
            .Select(n => n.Kind)
            .ShouldBe([AttentionKind.Pain, AttentionKind.Away, AttentionKind.Ready]);

    [Theory]
    [InlineData(3, null)]
    [InlineData(7, AttentionKind.Missed)]
    [InlineData(10, AttentionKind.Away)]
    public void Days_without_training_are_named_without_guilt(int daysAgo, AttentionKind? kind) =>
        Of([Calm], daysAgo).Select(n => (AttentionKind?)n.Kind).SingleOrDefault().ShouldBe(kind);

    [Fact]
    public void A_newer_version_has_decided_already() => Of([Calm with { Decision = Decision.MoreLoad }], version: 2).ShouldBeEmpty();

    [Fact]
    public void A_plan_that_nobody_started_is_named()
    {
        Attention.Notes(null, 1, Today.AddDays(-6), 3, null, Today).Single().Kind.ShouldBe(AttentionKind.NotStarted);
        Attention.Notes(null, 1, Today.AddDays(-1), 3, null, Today).ShouldBeEmpty();
    }

    [Fact]
    public void The_end_of_a_block_is_said_a_week_before()
    {
        Attention.Notes(Pulse([Calm], 1), 1, Today, 3, Today.AddDays(5), Today).Single().Text.Said().ShouldBe("The block ends in 5 days.");
        Attention.Notes(Pulse([Calm], 1), 1, Today, 3, Today.AddDays(12), Today).ShouldBeEmpty();
    }

    private static ActivitySummary Pulse(ImmutableArray<ActivityLine> lines, int daysAgo) => new(1, Today.AddDays(-daysAgo), 5, lines);

    private static ImmutableArray<AttentionNote> Of(ImmutableArray<ActivityLine> lines, int daysAgo = 2, int version = 1) =>
        Attention.Notes(Pulse(lines, daysAgo), version, Today.AddDays(-30), 3, null, Today);
}
