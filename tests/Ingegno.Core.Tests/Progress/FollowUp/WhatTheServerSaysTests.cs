using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.FollowUp;

/// <summary>Rules that the browser used to keep: the server says them now.</summary>
public class WhatTheServerSaysTests
{
    private static readonly HomePlan Plan = new RebuildEngine(DomainRules.Shipped)
        .Rebuild(
            new RebuildRequest
            {
                Client = Examples.ClientA,
                Kit = Examples.Kit("dumbbell 12 x2", "chair 46"),
                GymLines = ["= A", "Bench press 3x8", "Barbell row 4x8", "= B", "Back squat 5x5"],
            }
        )
        .Plan;

    [Theory]
    [InlineData(8, RepFit.Harder)]
    [InlineData(10, RepFit.InZone)]
    [InlineData(16, RepFit.InZone)]
    [InlineData(16.2, RepFit.Easier)]
    public void Expected_reps_lie_in_the_zone_or_beside_it(double reps, RepFit fit) => new RepAim(10, 16.1).Of(reps).ShouldBe(fit);

    [Fact]
    public void The_zone_on_screen_is_judged_as_the_reason_tells_it()
    {
        foreach (var candidate in Plan.Lines.SelectMany(l => l.Candidates).Where(c => c.Exercises is [{ Fit: not null }]))
        {
            var reason = candidate.Parts.Single(p => p.Part == MatchPart.Resistance).Reason;
            (reason["too_hard"], reason["too_light"]).ShouldBe(
                (candidate.Exercises[0].Fit == RepFit.Harder, candidate.Exercises[0].Fit == RepFit.Easier),
                candidate.Name
            );
        }
    }

    [Fact]
    [Trait("source", "docs/domain/progression: 18 reps at 40 kg earn 8 at 50 (Epley)")]
    public void A_jump_is_earned_by_reps_up_to_thirty_and_no_further()
    {
        var epley = Core.Clients.Strength.RepMaxFormula.Find("epley");
        var jump = Jump.Between(40, 50, 8, CurveKind.Middle, epley);
        (jump.RepsNow, jump.Advice.Code).ShouldBe((18, "jump.earn"));
        jump.Advice.Said().ShouldBe("18 reps at 40 kg earn 8 at 50 kg.");
        Jump.Between(40, 63, 8, CurveKind.Middle, epley)
            .ShouldSatisfyAllConditions(j => j.RepsNow.ShouldBe(30), j => j.Advice.Code.ShouldBe("jump.earn"));
        Jump.Between(40, 64, 8, CurveKind.Middle, epley)
            .ShouldSatisfyAllConditions(j => j.RepsNow.ShouldBe(31), j => j.Advice.Code.ShouldBe("jump.too-far"));
        Jump.Between(50, 50, 8, CurveKind.Middle, epley).Advice.Code.ShouldBe("jump.none");
    }

    [Fact]
    public void As_planned_reads_back_as_what_is_planned()
    {
        foreach (var home in Plan.Lines.SelectMany(l => l.Chosen!.Exercises))
        {
            var read = LogShorthand.Read(LogShorthand.AsPlanned(home));
            read.Error.ShouldBeNull(home.Name);
            read.Sets.Length.ShouldBe(home.Dose.Sets);
            read.Sets.ShouldAllBe(s => s.Reps == home.Dose.Target.Min && s.Rir == home.Dose.Rir && (s.LoadKg ?? 0) == home.ExternalKg);
        }
    }

    [Fact]
    public void A_logged_exercise_says_how_it_is_written() =>
        new LoggedExercise(
            new LineKey(1),
            "x",
            [
                new LoggedSet { Reps = 12 },
                new LoggedSet
                {
                    Reps = 9,
                    Pain = 3,
                    PainJoint = Joint.LowBack,
                    Sharp = true,
                },
            ]
        ).Written.ShouldBe("12,9 p3 low back sharp");

    [Fact]
    public void Planned_sets_are_those_of_the_day_that_most_was_done_of()
    {
        LoggedExercise Done(int line) => new(Plan.Lines[line].Gym.Key, "x", [new LoggedSet { Reps = 8 }]);
        PlannedSets
            .Count(Plan, [Done(0), Done(1), Done(2)])
            .ShouldBe(Plan.Lines.Take(2).Sum(l => l.Chosen!.Exercises.Sum(e => e.Dose.Sets)));
        PlannedSets.Count(Plan, [Done(2)]).ShouldBe(Plan.Lines[2].Chosen!.Exercises.Sum(e => e.Dose.Sets));
        PlannedSets.Count(Plan, [new LoggedExercise(new LineKey(99), "x", [])]).ShouldBeNull();
    }

    [Fact]
    public void Planned_sets_count_both_exercises_of_a_line_that_has_two()
    {
        var line = Plan.Lines[2];
        var one = line.Chosen!.Exercises[0];
        var two = line with
        {
            Chosen = line.Chosen with
            {
                Exercises = [one with { Dose = one.Dose with { Sets = 2 } }, one with { Dose = one.Dose with { Sets = 3 } }],
            },
        };
        var plan = Plan with { Lines = Plan.Lines.SetItem(2, two) };

        PlannedSets.Count(plan, [new LoggedExercise(line.Gym.Key, "x", [])]).ShouldBe(5);
    }

    [Fact]
    public void A_lighter_week_that_was_the_last_stays_the_last()
    {
        var setup = new BlockSetup
        {
            Starts = new DateOnly(2026, 9, 7),
            Phases = [new BlockPhase("One", 5)],
            LighterWeeks = [2, 5],
        };
        BlockShape.WithPhases(setup, [new BlockPhase("One", 3), new BlockPhase("Two", 3)]).LighterWeeks.ShouldBe([2, 6]);
        BlockShape.WithPhases(setup, [new BlockPhase("One", 4)]).LighterWeeks.ShouldBe([2, 4]);
        BlockShape.WithPhases(setup with { LighterWeeks = [3, 5] }, [new BlockPhase("One", 3)]).LighterWeeks.ShouldBe([3]);
    }

    [Fact]
    public void A_block_that_has_begun_keeps_its_start_and_the_week_that_runs()
    {
        var rules = DomainRules.Shipped.Blocks;
        var before = new BlockSetup { Starts = new DateOnly(2026, 9, 7), Phases = [new BlockPhase("One", 6)] };
        string? Fault(BlockSetup setup, DateOnly today, BlockSetup? stands) =>
            BlockShape.Fault(setup, stands, today, rules, DomainRules.Shipped)?.Fault.Code;

        Fault(before, before.Starts, null).ShouldBeNull();
        Fault(before with { Starts = before.Starts.AddDays(-7) }, before.Starts, null).ShouldBe("block.starts");
        Fault(before with { Starts = before.Starts.AddDays(-6) }, before.Starts, null).ShouldBeNull("it is this week");
        Fault(before with { Starts = before.Starts.AddDays(367) }, before.Starts, null).ShouldBe("block.starts");
        Fault(before with { Starts = before.Starts.AddDays(7) }, before.Starts.AddDays(8), before).ShouldBe("block.has-begun");
        Fault(before with { Starts = before.Starts.AddDays(7) }, before.Starts.AddDays(-1), before).ShouldBeNull("it has not begun");
        Fault(before with { Phases = [new BlockPhase("One", 4)] }, before.Starts.AddDays(30), before).ShouldBe("block.week-runs");
        Fault(before with { Phases = [new BlockPhase("One", 5)] }, before.Starts.AddDays(30), before).ShouldBeNull("its fifth week runs");
    }

    [Fact]
    public void Who_hurts_comes_before_who_is_ready_and_who_needs_nobody_comes_last()
    {
        AttentionNote Note(AttentionKind kind) => new(kind, Reason.None);
        var pain = Attention.Urgency([Note(AttentionKind.Ready), Note(AttentionKind.Pain)]);
        var ready = Attention.Urgency([Note(AttentionKind.Ready)]);
        (pain < ready && ready < Attention.Urgency([])).ShouldBeTrue();
    }
}
