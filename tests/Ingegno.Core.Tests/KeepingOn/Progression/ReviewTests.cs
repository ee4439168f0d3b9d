using System.Collections.Immutable;
using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.Ground.Body;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.KeepingOn.Logs;
using Ingegno.Core.KeepingOn.Progression;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Tests.Support;
using Ingegno.Core.Trainee.Strength;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Tests.Progression;

/// <summary>What several logged sessions decide: every rule once taken and once not (docs/trade/progression, common practice).</summary>
[Trait("source", "common practice (docs/trade/progression)")]
public class ReviewTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);

    [Fact]
    public void Flat_for_three_sessions_adds_a_set_and_then_changes_the_exercise()
    {
        var flat = History(10, 10, 10, 10);
        Next(flat).Decision.ShouldBe(Decision.MoreSets);
        Next(flat).FlagsCoach.ShouldBeTrue();
        Next(flat, Context(sets: 4)).Decision.ShouldBe(Decision.Change);
        Next(flat, Context(sets: 4) with { Harder = Examples.Exercise("archer-push-up") }).Decision.ShouldBe(Decision.NextRung);
        Next(History(11, 10, 10, 10)).Decision.ShouldBe(Decision.MoreReps, "the newest session gained");
        Next(History(10, 10, 10)).Decision.ShouldBe(Decision.MoreReps, "three sessions have nothing before them to be flat against");
    }

    [Fact]
    public void Flat_with_plenty_in_reserve_is_no_stall() => Next(Reserve(4, 10, 10, 10, 10)).Decision.ShouldNotBe(Decision.MoreSets);

    [Theory]
    [InlineData(9, Decision.MoreReps)]
    [InlineData(10, Decision.EaseIn)]
    [InlineData(40, Decision.EaseIn)]
    public void A_missed_week_is_repeated_a_tenth_lighter(int daysAway, Decision decision)
    {
        var next = Next(History(10) with { LastTrained = Today.AddDays(-daysAway) });

        next.Decision.ShouldBe(decision);
        if (decision == Decision.EaseIn)
        {
            next.ExternalKg.ShouldBe(18, "90 % of 20 kg");
            next.Reason.Said().ShouldNotContain("missed", Case.Insensitive, "no guilt in the wording");
        }
    }

    [Fact]
    public void Without_a_load_a_tenth_below_there_are_a_tenth_fewer_reps()
    {
        var context = Context(loads: [(new(20, "2 × 10 kg", ["a"]), 20)]);
        Next(History(10) with { LastTrained = Today.AddDays(-14) }, context)
            .Dose.Target.ShouldBe(new SetTarget(7, 10), "8–12 by .9, rounded down");
    }

    [Fact]
    public void Pain_twice_running_in_a_joint_advises_a_clinician()
    {
        Next(Hurt((3, Joint.Knee), (3, Joint.Knee))).Reason.Said().ShouldContain("Twice running in the knee: advise a clinician");
        Next(Hurt((3, Joint.Knee), (3, Joint.Wrist))).Reason.Said().ShouldNotContain("clinician");
        Next(Hurt((3, Joint.Knee), (1, Joint.Knee))).Decision.ShouldBe(Decision.Swap, "rising from 1 to 3");
        Next(Hurt((3, Joint.Knee), (2, Joint.Knee))).Decision.ShouldBe(Decision.Ease);
    }

    [Fact]
    public void A_set_more_and_a_longer_rest_wait_where_the_day_has_no_time_for_them()
    {
        var full = Context() with { MinutesLeft = 1 };
        Next(History(10, 10, 10, 10), full).Decision.ShouldNotBe(Decision.MoreSets, "a set with its rest takes more than a minute");
        Next(History(10, 10, 10, 10), full with { MinutesLeft = 10 }).Decision.ShouldBe(Decision.MoreSets);
        Next(Falling(), full).Decision.ShouldBe(Decision.Repeat);
        Next(Falling(), full).Reason.Said().ShouldContain("does not fit the client's minutes");
        Next(Falling(), full with { MinutesLeft = 10 }).Decision.ShouldBe(Decision.LongerRest);
        Next(Falling()).Decision.ShouldBe(Decision.LongerRest, "nobody said how many minutes there are");

        LineHistory Falling() =>
            new([Day(0, 10) with { Sets = [.. new[] { 10, 8, 6 }.Select(r => new LoggedSet { Reps = r, Rir = 2 })] }], Today, Today);
    }

    [Fact]
    public void Lines_of_a_day_share_the_minutes_it_has_left()
    {
        var plan = Examples
            .Rebuild(Examples.ClientA with { MinutesPerSession = 240 }, Examples.Kit("dumbbell 8 x2"), "Dumbbell curl 3x10", "Push-up 3x10")
            .Plan;
        var total = plan.Days[0].Minutes.Total;
        var room = DayRoom.Of(plan.Lines, plan.Days)!;

        room.Left(new LineKey(1)).ShouldBe(240 - total);
        room.Take(new LineKey(1), 3);
        room.Left(new LineKey(2)).ShouldBe(240 - total - 3);
        room.Left(new LineKey(9)).ShouldBeNull();
        DayRoom.Of(plan.Lines, [plan.Days[0] with { Minutes = new(total) }]).ShouldBeNull("no limit");
    }

    [Fact]
    public void Sharp_pain_without_a_figure_is_said_without_one()
    {
        var sets = Day(0, 10) with
        {
            Sets =
            [
                new LoggedSet
                {
                    Reps = 10,
                    Rir = 2,
                    Sharp = true,
                    PainJoint = Joint.Elbow,
                },
            ],
        };
        Next(new LineHistory([sets], Today, Today)).Reason.Said().ShouldStartWith("Sharp pain in the elbow");
    }

    [Fact]
    public void Sharp_pain_stops_however_little_it_was()
    {
        var sets = Day(0, 10) with
        {
            Sets =
            [
                new LoggedSet
                {
                    Reps = 10,
                    Rir = 2,
                    Pain = 1,
                    Sharp = true,
                    PainJoint = Joint.Elbow,
                },
            ],
        };
        Next(new LineHistory([sets], Today, Today)).Decision.ShouldBe(Decision.Swap);
    }

    [Fact]
    public void Far_more_than_expected_wants_a_look_the_first_time_only()
    {
        var context = Context();
        context = context with { Home = context.Home.WithReps(new RepRange(9, 11, 13)) };
        Next(History(22), context).Decision.ShouldBe(Decision.CheckForm);
        Next(History(16), context).Decision.ShouldBe(Decision.MoreLoad);
        Next(History(22, 15), context).Decision.ShouldBe(Decision.MoreLoad, "seen before");
    }

    [Fact]
    public void Much_more_left_than_planned_counts_as_done()
    {
        Next(Reserve(7, 9)).Decision.ShouldBe(Decision.MoreLoad, "nine done and five more than planned left: at least twelve were there");
        Next(Reserve(4, 9)).Dose.Target.Min.ShouldBe(11, "one more for the two left over, and one more");
        Next(Reserve(3, 9)).Dose.Target.Min.ShouldBe(10);
    }

    [Fact]
    public void A_technique_goes_before_the_load_does()
    {
        var slow = Context(tempo: "5-0-1-0");
        Next(History(4), slow).Decision.ShouldBe(Decision.TechniqueOff);
        Next(History(4), slow).Dose.Tempo.ToString().ShouldBe("2-0-1-0");
        Next(History(4)).Decision.ShouldBe(Decision.StepBack);
    }

    [Fact]
    public void The_zone_stays_while_the_target_moves()
    {
        var first = Next(History(9));
        first.Dose.Target.ShouldBe(new SetTarget(10, 12));
        first.Dose.Zone.ShouldBe(new SetTarget(8, 12));

        var moved = Context() with { Home = Context().Home with { Dose = first.Dose } };
        Next(History(9), moved).Decision.ShouldBe(Decision.FewerReps, "ten are wanted today");
        var raised = Next(History(12), moved);
        raised.Decision.ShouldBe(Decision.MoreLoad);
        raised.Dose.Target.ShouldBe(new SetTarget(8, 12), "back to the bottom of the zone");
    }

    [Fact]
    public void Half_the_plan_flat_at_once_makes_a_lighter_week()
    {
        var plan = Examples
            .Rebuild(
                Examples.ClientA,
                Examples.Kit("dumbbell 10 x2", "dining-table 74"),
                "Bench press 4x8",
                "Barbell row 4x8",
                "Back squat 4x8"
            )
            .Plan;
        ImmutableArray<LoggedSession> Log(int gain) =>
            [
                .. Enumerable
                    .Range(0, 4)
                    .Select(week => new LoggedSession(
                        Today.AddDays(-7 * week),
                        [
                            .. plan.Lines.Select(l => new LoggedExercise(
                                l.Gym.Key,
                                l.Chosen!.Exercises[0].ExerciseId,
                                [
                                    .. Enumerable.Repeat(
                                        new LoggedSet
                                        {
                                            Reps = 14 - (week * gain),
                                            Rir = 1,
                                            Stamp = new SetStamp(50, 1, 10, 2),
                                        },
                                        4
                                    ),
                                ]
                            )),
                        ]
                    )),
            ];
        ImmutableArray<Proposal> Propose(int gain) =>
            new NextSession(Trade.Shipped).Propose(
                Examples.ClientA,
                Examples.Kit("dumbbell 10 x2", "dining-table 74"),
                plan.Lines,
                Log(gain),
                Today
            );

        var deload = Propose(0).Where(p => p.Decision == Decision.Deload).ToList();
        deload.Count.ShouldBeGreaterThan(1);
        deload.ShouldAllBe(p => p.Dose.Sets == 2);
        Propose(1).ShouldNotContain(p => p.Decision == Decision.Deload);
    }

    [Fact]
    public void What_was_decided_is_trained_before_anything_is_decided_again()
    {
        var accepted = Context() with { Home = Context().Home with { Dose = Context().Home.Dose with { DecidedAfter = Today } } };
        Next(History(10), accepted).Decision.ShouldBe(Decision.Wait);
        Next(
            History(10),
            accepted with
            {
                Home = accepted.Home with { Dose = accepted.Home.Dose with { DecidedAfter = Today.AddDays(-3) } },
            }
        )
            .Decision.ShouldBe(Decision.MoreReps);
    }

    private static Proposal Next(LineHistory history, ProgressionContext? context = null) =>
        DoubleProgression.Next(new LineKey(1), context ?? Context(), history);

    /// <summary>Days with two in reserve, as planned, newest first.</summary>
    private static LineHistory History(params int[] reps) => Reserve(2, reps);

    /// <summary>Days with so many in reserve, newest first.</summary>
    private static LineHistory Reserve(int rir, params int[] reps) => new([.. reps.Select((r, i) => Day(i, r, rir))], Today, Today);

    private static LineHistory Hurt(params (int Pain, Joint Joint)[] days) =>
        new(
            [
                .. days.Select(
                    (d, i) =>
                    {
                        var day = Day(i, 10);
                        return day with { Sets = day.Sets.SetItem(0, day.Sets[0] with { Pain = d.Pain, PainJoint = d.Joint }) };
                    }
                ),
            ],
            Today,
            Today
        );

    private static LineDay Day(int weeksAgo, int reps, int rir = 2) =>
        LineDay.Of(
            Today.AddDays(-7 * weeksAgo),
            Examples.Exercise("dumbbell-floor-press"),
            [
                .. Enumerable.Repeat(
                    new LoggedSet
                    {
                        Reps = reps,
                        Rir = rir,
                        Stamp = new SetStamp(20, 1, 8, 2),
                    },
                    4
                ),
            ]
        );

    private static ProgressionContext Context(
        int sets = 3,
        string tempo = "2-0-1-0",
        ImmutableArray<(ReachableLoad, double)>? loads = null
    ) =>
        new(
            new HomeExercise
            {
                ExerciseId = "dumbbell-floor-press",
                Name = "Dumbbell floor press",
                SetupId = "x",
                Setup = "x",
                ExternalKg = 20,
                Dose = new Dose
                {
                    Sets = sets,
                    Target = new SetTarget(8, 12),
                    Tempo = Tempo.Parse(tempo),
                    RestSeconds = 90,
                    Rir = 2,
                },
            },
            Examples.Exercise("dumbbell-floor-press"),
            loads ?? [(new(18, "2 × 9 kg", ["z"]), 18), (new(20, "2 × 10 kg", ["a"]), 20), (new(21, "2 × 10.5 kg", ["b"]), 21)],
            null,
            null
        );
}
