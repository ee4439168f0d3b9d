using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;
using static Ingegno.Core.Tests.Progress.Progression.FloorPress;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>What comes after sets that fell short of what was written, and where nothing can be added: worked by hand, common
/// practice.</summary>
[Trait("source", "common practice (docs/domain/progression); rep-max arithmetic worked by hand")]
public class LimitsOfProgressTests
{
    [Fact]
    public void Where_most_sets_fell_short_the_bottom_comes_down_and_the_goal_stays()
    {
        var next = Next(Dose(10, 12, rest: 180), Sets(0, 10, 9, 9));

        (next.Decision, next.Dose.Target, next.Dose.Zone).ShouldBe((Decision.FewerReps, new SetTarget(9, 11), new SetTarget(10, 12)));
        next.Reason.Said().ShouldContain("9 to 11 reps, until all sets get there with 2 in reserve");
    }

    [Fact]
    public void One_short_set_changes_nothing() =>
        Next(Dose(10, 12, rest: 180), Sets(1, 10, 10, 9)).Dose.Target.ShouldBe(new SetTarget(10, 12));

    [Fact]
    public void A_longer_rest_comes_with_a_bottom_that_the_last_set_has()
    {
        var next = Next(Dose(10, 12, rest: 90), Sets(0, 10, 8, 7));

        (next.Decision, next.Dose.RestSeconds, next.Dose.Target).ShouldBe((Decision.LongerRest, 120, new SetTarget(7, 8)));
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

    [Fact]
    public void The_top_of_a_range_moves_with_the_best_set_and_not_to_the_goal_at_once()
    {
        var far = Dose(3, 4, rest: 120) with { Zone = new SetTarget(12, 15) };
        Next(far, Sets(2, 4, 4, 3)).Otherwise!.Dose.Target.ShouldBe(new SetTarget(4, 5));
        Next(Dose(8, 12, rest: 120), Sets(2, 9, 9, 9)).Dose.Target.ShouldBe(new SetTarget(10, 12), "inside the zone its top stays");
        Next(Dose(10, 17, rest: 120) with { Zone = new SetTarget(10, 10) }, Sets(2, 17, 15, 11))
            .Dose.Target.ShouldBe(new SetTarget(12, 17), "what the first set has stays its own");
    }

    [Fact]
    public void A_step_that_would_change_nothing_is_a_repeat()
    {
        var next = Next(
            Dose(5, 6, rest: 120) with
            {
                Zone = new SetTarget(5, 6),
            },
            Sets(0, 5, 5, 5) is var sets ? [.. sets.Select((s, i) => s with { Rir = i < 2 ? 3 : 0 })] : []
        );
        (next.Decision, next.Dose.Target).ShouldBe((Decision.Repeat, new SetTarget(5, 6)));
        next.Reason.Said().ShouldContain("a rep more in the sets that have it");
    }

    [Fact]
    public void A_rest_pause_set_keeps_one_figure_and_gets_no_second_beside_it()
    {
        var dose = Dose(12, 12, rest: 60) with { Sets = 1, Scheme = new RestPause() };
        Next(dose, Sets(2, 13)).Dose.Target.ShouldBe(new SetTarget(14, 14));
        var full = Next(dose, Sets(2, 16), [Load(20)]);
        full.Dose.Sets.ShouldBe(1);
        full.Decision.ShouldNotBe(Decision.MoreSets);
        Next(dose, Sets(0, 11)).Dose.Target.ShouldBe(new SetTarget(12, 12));
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
    public void Without_the_technique_the_reps_come_down_as_far_as_straight_sets_need()
    {
        // Five down leave .65 of straight reps: 2 and 1 make 3 and 1 of straight sets, far from 13.
        var slow = Dose(13, 18, rest: 90) with
        {
            Tempo = Tempo.Parse("5-0-1-0"),
            Techniques = ["slow-eccentric-5"],
        };
        var next = Next(slow, Sets(0, 2, 1, 1), cost: DomainRules.Shipped);
        (next.Decision, next.Dose.Tempo, next.Dose.Target, next.Dose.Zone).ShouldBe(
            (Decision.TechniqueOff, Tempo.Usual, new SetTarget(1, 3), new SetTarget(13, 18))
        );

        Next(slow, Sets(0, 9, 9, 8), cost: DomainRules.Shipped).Dose.Target.ShouldBe(new SetTarget(13, 18), "9 make 13");
    }

    /// <summary>A hold grows to a minute before anything else changes, a single figure by four reps, a range to its top; nothing past thirty.</summary>
    [Theory]
    [InlineData(20, 30, true, 60)]
    [InlineData(60, 75, true, 75)]
    [InlineData(8, 8, false, 12)]
    [InlineData(8, 10, false, 10)]
    [InlineData(28, 28, false, 30)]
    [InlineData(40, 40, false, 40)]
    public void A_zone_has_its_top(int min, int max, bool timed, int top)
    {
        var dose = Dose(min, max, rest: 90) with { Timed = timed };
        Next(dose, Sets(2, top, top, top), [Load(20), Load(21)]).Decision.ShouldBe(Decision.MoreLoad);
        if (top > min)
        {
            Next(dose, Sets(2, top - 1, top - 1, top - 1), [Load(20), Load(21)]).Decision.ShouldNotBe(Decision.MoreLoad);
        }
    }

    [Fact]
    public void A_hold_is_told_in_seconds()
    {
        var hold = Next(Dose(30, 45, rest: 60) with { Timed = true }, Sets(0, 12, 10, 10));
        hold.Reason.Said().ShouldStartWith("12 s in the best set, 30 wanted");
        hold.Dose.Target.ShouldBe(new SetTarget(10, 12));
    }

    /// <summary>Two in ten are felt and left alone; from three on a rise by two asks for ease, and one from no pain at all is news, not a rise.</summary>
    [Theory]
    [InlineData(3, 1, true)]
    [InlineData(2, 0, false)]
    [InlineData(3, 2, false)]
    [InlineData(4, 2, true)]
    [InlineData(3, 0, false)]
    public void Pain_rises_when_it_clearly_passes_what_was_there(int now, int before, bool rises)
    {
        LineDay Day(int days, int pain) =>
            new(
                new DateOnly(2026, 3, 2).AddDays(-days),
                [
                    new LoggedSet
                    {
                        Reps = 8,
                        Pain = pain,
                        PainJoint = Joint.Knee,
                    },
                ],
                null
            );

        new LineHistory([Day(0, now), Day(3, before)], new DateOnly(2026, 3, 3), null).PainRises.ShouldBe(rises);
    }

    /// <summary>Fewer than half of the reps wanted with the lightest load: an easier exercise, and the coach is asked.</summary>
    [Theory]
    [InlineData(3, true)]
    [InlineData(4, false)]
    public void Less_than_half_of_what_is_wanted_asks_for_another_exercise(int best, bool another)
    {
        var next = Next(Dose(8, 12, rest: 90), Sets(0, best, best - 1, best - 1), [Load(20)]);

        (next.Decision == Decision.Change, next.Eases).ShouldBe((another, another), next.Reason.Said());
        if (another)
        {
            next.FlagsCoach.ShouldBeTrue();
            next.Reason.Said().ShouldStartWith("3 reps in the best set where 8 are wanted");
        }
    }

    [Fact]
    public void Without_a_lighter_load_the_reps_that_were_done_are_the_start()
    {
        var next = Next(Dose(8, 12, rest: 90), Sets(0, 5, 5, 4), [Load(20)]);
        (next.Decision, next.Dose.Target, next.Dose.Zone).ShouldBe((Decision.StepBack, new SetTarget(4, 5), new SetTarget(8, 12)));

        Next(Dose(8, 12, rest: 90), Sets(0, 0, 0, 0), [Load(20)]).Otherwise!.Dose.Target.ShouldBe(new SetTarget(1, 1));
    }

    [Fact]
    [Trait(
        "source",
        "docs/domain/prescription, Milestones: train a step until its standard is met in good form without pain, then the next"
    )]
    public void A_standard_that_every_set_meets_ends_the_step_before_sets_or_loads_are_added()
    {
        var dose = Dose(20, 20, rest: 60) with { Standard = 20 };
        ImmutableArray<(ReachableLoad, double)> loads = [Load(20), Load(21)];

        var met = Next(dose, Sets(2, 20, 20, 20), loads, harder: "archer-push-up");
        (met.Decision, met.ToExerciseId).ShouldBe((Decision.NextRung, "archer-push-up"));
        met.Reason.Said().ShouldStartWith("The standard of this step, 20 in every set, is met");
        Next(dose with { Target = new SetTarget(15, 20) }, Sets(2, 20, 18, 16), loads, harder: "archer-push-up")
            .Dose.Target.ShouldBe(new SetTarget(17, 20));
        Next(dose, Sets(2, 20, 20, 20), loads).Decision.ShouldBe(Decision.MoreLoad, "no harder step here: a load, as elsewhere");
    }

    [Fact]
    public void Past_a_full_zone_bottom_and_top_move_together()
    {
        var slow = Dose(6, 9, rest: 60) with { Sets = 4, Tempo = Tempo.Parse("5-2-1-0") };
        var next = Next(slow, Sets(2, 9, 9, 9, 9), [Load(20)]);
        next.Dose.Target.ShouldBe(new SetTarget(9, 11));
        Next(next.Dose, Sets(2, 11, 11, 11, 11), [Load(20)]).Dose.Target.ShouldBe(new SetTarget(11, 13));
        var tried = next.Dose with { Target = new SetTarget(11, 13) };
        var again = Next(tried, Sets(2, 12, 11, 10, 10), [Load(20)]);
        (again.Decision, again.Dose.Target).ShouldBe((Decision.Repeat, tried.Target), "never fewer reps under the name of more");
    }

    /// <summary>Common practice: five down, then a pause where it is hardest, then the same work in less time.</summary>
    [Fact]
    public void After_five_down_come_a_pause_and_then_shorter_rests()
    {
        var slow = Dose(6, 9, rest: 120) with { Sets = 4, Tempo = Tempo.Parse("5-0-1-0") };

        var paused = Next(slow, Sets(2, 9, 9, 9, 9), [Load(20)]);
        (paused.Decision, paused.Dose.Tempo, paused.Dose.Target).ShouldBe(
            (Decision.TechniqueOn, Tempo.Parse("5-2-1-0"), new SetTarget(6, 9))
        );
        var more = Next(paused.Dose, Sets(2, 9, 9, 9, 9), [Load(20)]);
        (more.Decision, more.Dose.Target).ShouldBe(
            (Decision.MoreReps, new SetTarget(9, 11)),
            "reps as long as a set does not last too long"
        );
        var denser = Next(paused.Dose, Sets(3, 9, 9, 9, 9), [Load(20)], minutes: 0);
        (denser.Decision, denser.Dose.RestSeconds).ShouldBe((Decision.ShorterRest, 90));
        Next(slow with { Target = new SetTarget(3, 5) }, Sets(2, 5, 5, 5, 5), [Load(20)]).Decision.ShouldBe(Decision.TechniqueOn);
        Next(slow with { Target = new SetTarget(3, 5), Tempo = Tempo.Parse("5-2-1-0") }, Sets(2, 5, 5, 5, 5), [Load(20)])
            .Decision.ShouldNotBe(Decision.ShorterRest, "heavy sets keep their rests");
    }

    /// <summary>docs/domain/prescription: no set past 75 seconds under tension.</summary>
    [Fact]
    public void No_step_makes_a_set_last_too_long()
    {
        var long_ = Dose(10, 14, rest: 60) with { Sets = 4, Tempo = Tempo.Parse("3-0-1-0") };

        Next(long_, Sets(2, 14, 14, 14, 14), [Load(20)], setSeconds: 75)
            .Dose.Tempo.ShouldNotBe(Tempo.Parse("5-0-1-0"), "14 reps of 6 s are 84 s");
        Next(long_, Sets(2, 14, 14, 14, 14), [Load(20)], setSeconds: 90).Dose.Tempo.ShouldBe(Tempo.Parse("5-0-1-0"));
    }

    [Fact]
    public void A_slower_tempo_costs_a_set_where_the_day_has_no_minutes_left()
    {
        var full = Dose(6, 9, rest: 90) with { Sets = 4 };

        // 4 sets of 7.5 reps: at 3 s a rep 1.5 min and 6 min of rest; at 6 s a rep 3 min, so 1.5 more. One set of them takes 2.25.
        Raise(minutes: 1.5).Dose.Sets.ShouldBe(4);
        var traded = Raise(minutes: 1.4);
        (traded.Decision, traded.Dose.Sets, traded.Dose.Tempo).ShouldBe((Decision.TechniqueOn, 3, Tempo.Parse("5-0-1-0")));
        traded.Reason.Said().ShouldContain("One set less");
        var stuck = Raise(minutes: -5, sets: 2);
        (stuck.Decision, stuck.FlagsCoach).ShouldBe((Decision.Repeat, true));
        stuck.Reason.Said().ShouldContain("takes longer than the client has");

        Proposal Raise(double minutes, int sets = 4) =>
            Next(
                full with
                {
                    Sets = sets,
                    RestSeconds = sets == 4 ? 90 : 60,
                },
                Sets(2, [.. Enumerable.Repeat(9, sets)]),
                [Load(20)],
                minutes
            );
    }

    [Fact]
    public void A_rep_left_over_counts_when_a_slower_lowering_is_considered()
    {
        // Five down leave .65: nine reps and one left over make (10 + 2) · .65 − 2 = 5.8 in straight sets, enough for 5–9.
        var full = Dose(5, 9, rest: 90) with
        {
            Sets = 4,
        };
        Next(full, Sets(3, 9, 9, 9, 9), [Load(20)], cost: DomainRules.Shipped).Dose.Tempo.ShouldBe(Tempo.Parse("5-0-1-0"));

        // Without it (9 + 2) · .65 − 2 = 5.15 are enough too; for 6–9 they are not.
        Next(full with { Target = new SetTarget(6, 9) }, Sets(3, 9, 9, 9, 9), [Load(20)], cost: DomainRules.Shipped)
            .Dose.Tempo.ShouldNotBe(Tempo.Parse("5-0-1-0"));
    }

    [Fact]
    public void Far_too_easy_and_nothing_harder_asks_for_another_exercise_else_for_shorter_rests_then_for_a_set_less()
    {
        var slow = Dose(6, 9, rest: 90) with { Tempo = Tempo.Parse("5-2-1-0") };

        var change = Next(slow, Sets(6, 9, 9, 9), [Load(20)], minutes: 0);
        change.Decision.ShouldBe(Decision.Change);
        var shorter = change.Otherwise!;
        (shorter.Decision, shorter.Dose.RestSeconds, shorter.Dose.Sets).ShouldBe((Decision.ShorterRest, 60, 3));
        var fewer = Next(shorter.Dose, Sets(6, 9, 9, 9), [Load(20)], minutes: 0).Otherwise!;
        (fewer.Decision, fewer.Dose.RestSeconds, fewer.Dose.Sets).ShouldBe((Decision.MoreReps, 60, 2));
        var anyway = Next(fewer.Dose, Sets(6, 11, 11), [Load(20)], minutes: 0).Otherwise!;
        (anyway.Decision, anyway.Dose.Sets, anyway.FlagsCoach).ShouldBe((Decision.MoreReps, 2, true));
        Next(slow, Sets(6, 9, 9, 9), [Load(20)], minutes: 9).Dose.RestSeconds.ShouldBe(90, "there is time for reps");
        Next(slow, Sets(2, 9, 9, 9), [Load(20)], minutes: 0).Decision.ShouldBe(Decision.Repeat, "it is hard enough");
    }
}
