using System.Collections.Immutable;
using Ingegno.Core.Loading;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Progressing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progressing;

/// <summary>What comes after sets that fell short of what was written: worked by hand, common practice.</summary>
[Trait("source", "common practice (handbook 05); rep-max arithmetic worked by hand")]
public class FallingShortTests
{
    [Fact]
    public void Where_most_sets_fell_short_the_bottom_comes_down_and_the_goal_stays()
    {
        var next = Next(Dose(10, 12, rest: 180), Sets(0, 10, 9, 9));

        (next.Decision, next.Dose.Target, next.Dose.Zone).ShouldBe((Decision.Repeat, new SetTarget(9, 12), new SetTarget(10, 12)));
        next.Reason.ShouldContain("9 to 12 reps, until all sets get there with 2 in reserve");
    }

    [Fact]
    public void One_short_set_changes_nothing() => Next(Dose(10, 12, rest: 180), Sets(1, 10, 10, 9)).Dose.Target.ShouldBe(new SetTarget(10, 12));

    [Fact]
    public void A_longer_rest_comes_with_a_bottom_that_the_last_set_has()
    {
        var next = Next(Dose(10, 12, rest: 90), Sets(0, 10, 8, 7));

        (next.Decision, next.Dose.RestSeconds, next.Dose.Target).ShouldBe((Decision.LongerRest, 120, new SetTarget(7, 12)));
    }

    [Fact]
    public void From_a_lowered_bottom_it_climbs_a_rep_a_time_to_the_goal_and_past_it()
    {
        var dose = Dose(6, 8, rest: 120) with { Zone = new SetTarget(8, 8) };

        var up = Next(dose, Sets(2, 8, 7, 6));
        (up.Decision, up.Dose.Target).ShouldBe((Decision.MoreReps, new SetTarget(7, 8)));
        up = Next(up.Dose, Sets(2, 8, 8, 8));
        up.Dose.Target.ShouldBe(new SetTarget(9, 9));
        up.Dose.Zone.ShouldBe(new SetTarget(8, 8));
    }

    [Theory]
    [InlineData(1, 12)] // 1 rep at 20 kg: 1RM 20.7 by Epley; ten to failure need 15.5 kg, and 12 is what there is below
    [InlineData(5, 16)] // 5 at 20 kg: 23.3; ten to failure at 17.5, so 16
    public void Too_heavy_goes_down_as_far_as_what_was_done_asks_for(int best, double kg)
    {
        ImmutableArray<(ReachableLoad, double)> loads = [Load(8), Load(12), Load(16), Load(19), Load(20)];
        var next = Next(Dose(8, 12, rest: 90), Sets(0, best, best, Math.Max(1, best - 1)), loads);

        (next.Decision, next.ExternalKg).ShouldBe((Decision.StepBack, kg));
        next.Dose.Target.ShouldBe(new SetTarget(8, 12));
    }

    [Fact]
    public void Without_a_lighter_load_the_reps_that_were_done_are_the_start()
    {
        var next = Next(Dose(8, 12, rest: 90), Sets(0, 5, 5, 4), [Load(20)]);
        (next.Decision, next.Dose.Target, next.Dose.Zone).ShouldBe((Decision.StepBack, new SetTarget(4, 5), new SetTarget(8, 12)));

        Next(Dose(8, 12, rest: 90), Sets(0, 0, 0, 0), [Load(20)]).Dose.Target.ShouldBe(new SetTarget(1, 1));
    }

    [Fact]
    public void Past_a_full_zone_bottom_and_top_move_together()
    {
        var slow = Dose(6, 9, rest: 90) with { Sets = 4, Tempo = "5-0-1-0" };
        var next = Next(slow, Sets(2, 9, 9, 9, 9), [Load(20)]);
        next.Dose.Target.ShouldBe(new SetTarget(9, 11));
        Next(next.Dose, Sets(2, 11, 11, 11, 11), [Load(20)]).Dose.Target.ShouldBe(new SetTarget(11, 13));
    }

    private static Proposal Next(Dose dose, ImmutableArray<LoggedSet> sets, ImmutableArray<(ReachableLoad, double)>? loads = null) => DoubleProgression.Next(
        1,
        new ProgressionContext(
            new HomeExercise { ExerciseId = "dumbbell-floor-press", Name = "Floor press", SetupId = "x", Setup = "x", ExternalKg = 20, Dose = dose },
            Examples.Exercise("dumbbell-floor-press"), loads ?? [Load(20)], null, null),
        sets);

    private static (ReachableLoad, double) Load(double kg) => (new ReachableLoad(kg, $"{kg} kg", [$"{kg}"]), kg);

    private static Dose Dose(int min, int max, int rest) => new() { Sets = 3, Target = new SetTarget(min, max), Tempo = "2-0-1-0", RestSeconds = rest, Rir = 2 };

    private static ImmutableArray<LoggedSet> Sets(int rir, params int[] reps) => [.. reps.Select(r => new LoggedSet { Reps = r, Rir = rir })];
}
