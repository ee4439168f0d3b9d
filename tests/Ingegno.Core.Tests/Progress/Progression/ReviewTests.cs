using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>What several logged sessions decide: every rule once taken and once not (docs/domain/progression, common practice).</summary>
[Trait("source", "common practice (docs/domain/progression)")]
public class ReviewTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);

    [Fact]
    public void Flat_for_three_sessions_adds_a_set_and_then_changes_the_exercise()
    {
        var flat = Stuck(10, 10, 10, 10);
        Next(flat).Decision.ShouldBe(Decision.MoreSets);
        Next(flat).FlagsCoach.ShouldBeTrue();
        Next(flat, Context(sets: 4)).Decision.ShouldBe(Decision.Change);
        Next(flat, Context(sets: 4) with { Harder = Examples.Exercise("archer-push-up") }).Decision.ShouldBe(Decision.NextRung);
        Next(Stuck(11, 10, 10, 10)).Decision.ShouldBe(Decision.MoreReps, "the newest session gained");
        Next(Stuck(10, 10, 10)).Decision.ShouldBe(Decision.MoreReps, "three sessions have nothing before them to be flat against");
    }

    /// <summary>Far more reps than expected in a lighter week mean nothing: first the full sets again.</summary>
    [Fact]
    public void After_a_lighter_week_the_full_sets_come_before_any_doubt_of_form()
    {
        var context = Context();
        var light = context with
        {
            Home = context.Home with { Expected = new(9, 10, 11), Dose = context.Home.Dose with { Sets = 2, SetsBefore = 3 } },
        };

        Next(History(25), light).Decision.ShouldBe(Decision.Resume);
        Next(History(25), light with { Home = light.Home with { Dose = context.Home.Dose } }).Decision.ShouldBe(Decision.CheckForm);
    }

    [Fact]
    public void Who_did_all_that_was_asked_is_held_and_not_stuck()
    {
        Next(History(10, 10, 10, 10)).Decision.ShouldBe(Decision.MoreReps);
        Next(Stuck(10, 10, 10, 10) with { Days = [Day(0, 10), Day(1, 10), Day(2, 10, planned: 11), Day(3, 10)] })
            .Decision.ShouldBe(Decision.MoreReps, "once is no stall");
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

    /// <summary>Common practice: one to two weeks about nine tenths, three to four weeks eight tenths and a set less, longer anew.</summary>
    [Theory]
    [InlineData(12, 18, 3, false)]
    [InlineData(30, 16, 2, false)]
    [InlineData(60, 14, 2, true)]
    public void The_longer_the_absence_the_lighter_the_return(int days, double kg, int sets, bool anew)
    {
        var context = Context(loads: [.. new[] { 12.0, 14, 16, 18, 20 }.Select(w => (new ReachableLoad(w, $"{w} kg", ["a"]), w))]);
        var back = Next(History(10) with { LastTrained = Today.AddDays(-days) }, context);

        (back.Decision, back.ExternalKg, back.Dose.Sets, back.Dose.Calibrates).ShouldBe((Decision.EaseIn, kg, sets, anew));
        back.Dose.SetsBefore.ShouldBe(sets < 3 ? 3 : null, "the sets come back afterwards");
    }

    /// <summary>After more than a month the way back begins a step easier where there is one here; before that the exercise stays.</summary>
    [Theory]
    [InlineData(30, true, null)]
    [InlineData(60, true, "knee-push-up")]
    [InlineData(60, false, null)]
    public void After_a_long_absence_it_begins_with_an_easier_step_that_is_here(int days, bool here, string? to)
    {
        var easier = Examples.Exercise("knee-push-up");
        var other = new StepTo(here ? easier : Examples.Exercise("wall-push-up"), ReachableLoad.None, "x", 0.7, -0.17) { Way = null! };
        var context = Context() with { Easier = easier, Others = [other] };
        var back = Next(History(10) with { LastTrained = Today.AddDays(-days) }, context);

        (back.Decision, back.ToExerciseId).ShouldBe((Decision.EaseIn, to));
        back.Dose.Calibrates.ShouldBe(days > 31);
        Next(History(10) with { LastTrained = Today.AddDays(-60) }, context with { MayFindAnew = false }).Dose.Calibrates.ShouldBeFalse();
    }

    /// <summary>What is said is what the accepted plan does: after 32 days and more the last set is open, where that is safe.</summary>
    [Theory]
    [InlineData(false, true)]
    [InlineData(true, false)]
    public void After_a_long_absence_the_dose_is_found_anew_where_that_is_safe(bool highBloodPressure, bool open)
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA with { HighBloodPressure = highBloodPressure },
            Kit = Examples.Kit("dumbbell 10 x2", "dumbbell 12 x2"),
            GymLines = ["Dumbbell curl 3x8-12"],
        };
        var engine = new RebuildEngine(DomainRules.Shipped);
        var plan = engine.Rebuild(request).Plan;
        LoggedSet[] sets = [.. Enumerable.Repeat(new LoggedSet { Reps = 9, Rir = 2 }, 3)];
        LoggedSession[] log =
        [
            new(Today.AddDays(-60), [new LoggedExercise(new LineKey(1), plan.Lines[0].Chosen!.Exercises[0].ExerciseId, [.. sets])]),
        ];

        var back = new NextSession(DomainRules.Shipped).Propose(request.Client, request.Kit, plan.Lines, log, Today)[0];
        var now = engine
            .Rebuild(PlanCommandHandler.Handle(request, plan.Standing, new AcceptProposals([back.Accepted])))
            .Plan.Lines[0]
            .Chosen!.Exercises[0];

        back.Decision.ShouldBe(Decision.EaseIn);
        back.Reason.Said().Contains("The last set is open").ShouldBe(open);
        (now.Dose.LastSetOpen, now.Dose.Calibrates).ShouldBe((open, open));
    }

    /// <summary>Four of eight reps with the next lighter dumbbell half as heavy: another variation lies between.</summary>
    [Fact]
    public void Far_too_heavy_goes_to_what_lies_between_and_not_to_what_is_far_too_light()
    {
        var loads = Context(loads: [(new(6, "2 × 3 kg", ["a"]), 6), (new(20, "2 × 10 kg", ["b"]), 20)]);
        var between = new StepTo(Examples.Exercise("knee-push-up"), ReachableLoad.None, "knees on the floor", 0.7, -0.17) { Way = null! };

        Next(History(4), loads).ExternalKg.ShouldBe(6, "nothing lies between");
        var step = Next(Reserve(0, 4), loads with { Others = [between] });
        (step.Decision, step.ToExerciseId).ShouldBe((Decision.StepBack, "knee-push-up"));

        // Four to failure demand 30/34 = .88; a sixth less .73: 11 reps, and 8 with 2 left were wanted.
        Next(Reserve(0, 4), loads with { Others = [between with { Step = -0.05 }] }).ToExerciseId.ShouldBeNull("six reps are too few");
        Next(Reserve(0, 4), loads with { Others = [between with { Step = -0.4 }] }).ToExerciseId.ShouldBeNull("27 are far too many");
    }

    /// <summary>One rep of ten for weeks, with nothing lighter: another exercise, and not one rep again.</summary>
    [Fact]
    public void Less_than_half_of_what_is_wanted_asks_for_another_exercise()
    {
        var only = Context(loads: [(new(20, "2 × 10 kg", ["b"]), 20)]);
        var shrunk = only with { Home = only.Home with { Dose = only.Home.Dose with { Target = new(1, 1), Zone = new(8, 12) } } };

        var none = Next(Reserve(0, 0), shrunk);
        (none.Decision, none.Eases).ShouldBe((Decision.Change, true));
        none.Otherwise.ShouldNotBeNull("where no other exercise serves");
        Next(Reserve(0, 3), only).Decision.ShouldBe(Decision.Change);
        Next(Reserve(0, 4), only).Decision.ShouldNotBe(Decision.Change, "half of it is a beginning");
        Next(Reserve(0, 3)).Decision.ShouldBe(Decision.StepBack, "a lighter load is there");
    }

    [Fact]
    public void Nobody_noted_the_effort_it_is_asked_and_not_assumed()
    {
        var context = Context(loads: [(new(20, "2 × 10 kg", ["a"]), 20), (new(21, "21 kg", ["b"]), 21)]);
        var full = Day(0, 12);
        var silent = History(12) with { Days = [full with { Sets = [.. full.Sets.Select(s => s with { Rir = null })] }] };

        Next(silent, context).Reason.Said().ShouldContain("Nobody noted");
        Next(History(12), context).Reason.Said().ShouldNotContain("Nobody noted");
        Next(silent with { Days = [Day(0, 9) with { Sets = [.. Day(0, 9).Sets.Select(s => s with { Rir = null })] }] }, context)
            .Reason.Said()
            .ShouldNotContain("enough in reserve");
    }

    /// <summary>Six in reserve at the top of the zone: the load goes as far as the log says, not to the next plate.</summary>
    [Fact]
    public void Far_too_easy_goes_as_far_as_the_log_says()
    {
        var context = Context(
            loads: [.. new[] { 20.0, 21, 22, 23, 24, 25, 26, 27 }.Select(w => (new ReachableLoad(w, $"{w} kg", ["a"]), w))]
        );

        var far = Next(Reserve(6, 12), context);
        far.Decision.ShouldBe(Decision.MoreLoad);

        // By Epley 14 reps (12 and the believed part of 4 over) with 2 left at 20 kg make a maximum of 30.7; ten to failure go with just under 23.
        far.ExternalKg.ShouldBe(22);
        Next(Reserve(2, 12), context).ExternalKg.ShouldBe(21, "as planned: the next one");
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
        Next(Hurt((3, Joint.Knee), (2, Joint.Knee))).Reason.Said().ShouldNotContain("clinician", customMessage: "two of ten is tolerable");
        Next(Hurt((3, Joint.Knee), (1, Joint.Knee))).Decision.ShouldBe(Decision.Swap, "rising from 1 to 3");
        Next(Hurt((3, Joint.Knee), (2, Joint.Knee))).Decision.ShouldBe(Decision.Ease);
    }

    [Fact]
    public void A_set_more_and_a_longer_rest_wait_where_the_day_has_no_time_for_them()
    {
        var full = Context() with { MinutesLeft = 1 };
        Next(Stuck(10, 10, 10, 10), full).Decision.ShouldNotBe(Decision.MoreSets, "a set with its rest takes more than a minute");
        Next(Stuck(10, 10, 10, 10), full with { MinutesLeft = 10 }).Decision.ShouldBe(Decision.MoreSets);
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
        var room = DayRoom.For(plan.Lines, plan.Days)!;

        room.Left(new LineKey(1)).ShouldBe(240 - total);
        room.Take(new LineKey(1), 3);
        room.Left(new LineKey(2)).ShouldBe(240 - total - 3);
        room.Left(new LineKey(9)).ShouldBeNull();
        DayRoom.For(plan.Lines, [plan.Days[0] with { Minutes = new(total) }]).ShouldBeNull("no limit");
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
    [Trait("source", "common practice: who was short twice is not asked a third time for the same")]
    public void Short_a_second_time_the_bottom_comes_down_though_one_set_alone_was_short()
    {
        LineDay With(int weeksAgo, params int[] reps) =>
            Day(weeksAgo, 8) with
            {
                Sets = [.. reps.Select((r, i) => Day(weeksAgo, 8).Sets[i] with { Reps = r })],
            };
        LineHistory Of(params LineDay[] days) => new([.. days], Today, Today);

        Next(Of(With(0, 8, 8, 8, 7))).Decision.ShouldBe(Decision.Repeat);
        Next(Of(With(0, 8, 8, 8, 7), With(1, 8, 8, 8, 8))).Decision.ShouldBe(Decision.Repeat);
        var twice = Next(Of(With(0, 8, 8, 8, 7), With(1, 8, 8, 7, 7)));
        (twice.Decision, twice.Dose.Target).ShouldBe((Decision.FewerReps, new SetTarget(7, 8)));
        twice.Reason.Said().ShouldContain("short the time before");
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
        ImmutableArray<LoggedSession> Log(int gain, int? ofLegs = null) =>
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
                                            Reps = 14 - (week * (l.Gym.ExerciseId == "back-squat" ? ofLegs ?? gain : gain)),
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
        ImmutableArray<Proposal> Propose(int gain, int? ofLegs = null) =>
            new NextSession(DomainRules.Shipped).Propose(
                Examples.ClientA,
                Examples.Kit("dumbbell 10 x2", "dining-table 74"),
                plan.Lines,
                Log(gain, ofLegs),
                Today
            );

        var deload = Propose(0).Where(p => p.Decision == Decision.Deload).ToList();
        deload.Count.ShouldBeGreaterThan(1);
        deload.ShouldAllBe(p => p.Dose.Sets == 2);
        Propose(1).ShouldNotContain(p => p.Decision == Decision.Deload);

        // Two of the upper body stuck, the squat gains: the upper body rests, the legs go on.
        var upper = Propose(0, ofLegs: 1);
        upper.Take(2).ShouldAllBe(p => p.Decision == Decision.Deload && p.Reason.Said().Contains("upper body"));
        upper[2].Decision.ShouldNotBe(Decision.Deload);
        Propose(1, ofLegs: 0).ShouldNotContain(p => p.Decision == Decision.Deload, "one stuck exercise is no fatigue");
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

    /// <summary>Days on which a rep more was asked of every set than was done, newest first.</summary>
    private static LineHistory Stuck(params int[] reps) => new([.. reps.Select((r, i) => Day(i, r, planned: r + 1))], Today, Today);

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

    private static LineDay Day(int weeksAgo, int reps, int rir = 2, int planned = 8) =>
        LineDay.From(
            Today.AddDays(-7 * weeksAgo),
            Examples.Exercise("dumbbell-floor-press"),
            [
                .. Enumerable.Repeat(
                    new LoggedSet
                    {
                        Reps = reps,
                        Rir = rir,
                        Stamp = new SetStamp(20, 1, planned, 2),
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
