using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.FollowUp;

public class PlanDriftTests
{
    private const string Text = "= Day 1\nBack squat 3x8\nBench press 3x8";

    private static readonly RebuildRequest Made = new()
    {
        Client = Examples.ClientA,
        Kit = Examples.KitOf("two 8 kg dumbbells; chair 45 cm"),
        GymLines = [.. Text.Split('\n')],
    };

    [Fact]
    public void Nothing_changed_nothing_is_said()
    {
        Of().ShouldBeEmpty();
        PlanDrift.InWords([]).ShouldBeNull();
        Of(text: Text + "\r\n\r\n").ShouldBeEmpty("line ends and empty lines are no change");
        Of(kit: "gone").ShouldBeEmpty("a place that is gone has no newer kit");
    }

    [Fact]
    public void Kit_profile_approach_and_gym_week_are_told_apart()
    {
        Of(kit: "two 8 kg dumbbells; chair 46 cm").ShouldBe([Drift.Kit]);
        Of(Examples.ClientA with { MinutesPerSession = 25 }).ShouldBe([Drift.Profile]);
        Of(Examples.ClientA with { Approach = "tension" }).ShouldBe([Drift.Approach]);
        Of(text: Text.Replace("3x8", "4x8", StringComparison.Ordinal)).ShouldBe([Drift.GymWeek]);
        PlanDrift.InWords([Drift.Kit, Drift.GymWeek])!.Said().ShouldBe("The kit and the gym week changed since this plan was made.");
    }

    [Fact]
    public void An_approach_of_the_weeks_own_does_not_follow_the_clients() =>
        PlanDrift
            .Compare(Made with { Approach = "mirror" }, Examples.ClientA with { Approach = "tension" }, Made.Kit, Text)
            .ShouldBeEmpty();

    [Theory]
    [InlineData(109, false)]
    [InlineData(110, true)]
    [InlineData(91, false)]
    [InlineData(90, true)]
    public void Strength_counts_from_a_tenth_on(double now, bool moved)
    {
        LearnedLift Lift(double kg) => new("bench-press", "push-up", kg, 0.1, Reason.Text("logs"));
        var then = Made with { Client = Made.Client with { Learned = [Lift(100)] } };

        PlanDrift.Compare(then, Made.Client with { Learned = [Lift(now)] }, Made.Kit, Text).Contains(Drift.Strength).ShouldBe(moved);
    }

    private static ImmutableArray<Drift> Of(ClientProfile? client = null, string? kit = null, string? text = null) =>
        PlanDrift.Compare(
            Made,
            client ?? Examples.ClientA,
            kit is null ? Made.Kit
                : kit == "gone" ? null
                : Examples.KitOf(kit),
            text ?? Text
        );
}
