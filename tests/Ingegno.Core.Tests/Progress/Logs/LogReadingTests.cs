using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Logs;

/// <summary>Logs from tables, matched to the plan, doubted, and stamped with what they were under it.</summary>
public class LogReadingTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);
    private static readonly HomePlan Plan = Examples
        .Rebuild(Examples.ClientA, Examples.Kit("dumbbell 8 x2"), "Bench press 3x8", "Plank 3x40 s", "Barbell curl 3x10")
        .Plan;
    private static readonly string[] Done = [.. Plan.Lines.Select(l => l.Chosen!.Exercises[0].ExerciseId)];

    [Fact]
    public void A_row_is_a_set_and_columns_are_found_by_their_heads()
    {
        var read = Read(
            ["Reps", "Date", "Exercise", "KG", "RIR", "Pain", "Joint"],
            ["12", "2026-11-18", "Push-up", "", "1", "", ""],
            ["10", "2026-11-18", "Push-up", "", "0", "3", "wrist"],
            ["9", "2026-11-16", "Dumbbell curl", "8", "", "", ""]
        );

        read.Faults.ShouldBeEmpty();
        read.Sessions.Select(s => s.Day.Day).ShouldBe([16, 18]);
        read.Sessions[1].Exercises.Single().Sets.Select(s => (s.Reps, s.Rir, s.Pain)).ShouldBe([(12, 1, null), (10, 0, 3)]);
        read.Sessions[0].Exercises.Single().Sets[0].LoadKg.ShouldBe(8);
    }

    [Fact]
    public void Sets_may_stand_in_one_cell() =>
        Read(["date", "exercise", "sets", "effort"], ["18.11.2026", "push up", "12,11,10 r1", "8"])
            .Sessions.Single()
            .ShouldSatisfyAllConditions(s => s.Exercises.Single().Sets.Length.ShouldBe(3), s => s.Effort.ShouldBe(8));

    [Theory]
    [InlineData("yesterday", "Push-up", "12", "is no day")]
    [InlineData("2026-11-28", "Push-up", "12", "lies in the future")]
    [InlineData("2026-11-18", "Pushing upp", "12", "no exercise called")]
    [InlineData("2026-11-18", "Push-up", "many", "is no set")]
    [InlineData("2026-11-18", "Push-up", "", "no reps")]
    public void A_row_that_cannot_be_taken_is_named_and_the_others_stay(string date, string exercise, string reps, string says)
    {
        var read = Read(["date", "exercise", "reps"], [date, exercise, reps], ["2026-11-18", "Plank", "40"]);

        read.Faults.Single().Row.ShouldBe(2);
        read.Faults.Single().Message.Said().ShouldContain(says);
        read.Sessions.ShouldHaveSingleItem();
    }

    [Fact]
    public void Without_the_columns_it_says_which_are_missing() =>
        Read(["when", "exercise"], ["2026-11-18", "Push-up"])
            .Faults.Single()
            .Message.Said()
            .ShouldContain("no column for date and reps or sets");

    [Fact]
    public void What_the_plan_moved_is_matched_and_what_it_lost_is_set_aside()
    {
        LoggedExercise Logged(LineKey line, string id) => new(line, id, [new LoggedSet { Reps = 8 }]);
        var matched = MatchedLogs.Of(
            Plan.Lines,
            [
                new LoggedSession(
                    Today,
                    [Logged(new LineKey(1), Done[0]), Logged(new LineKey(9), Done[2]), Logged(new LineKey(1), "squat-jump")]
                ),
            ]
        );

        matched.Sessions.Single().Exercises.Select(e => e.Line).ShouldBe([new LineKey(1), new LineKey(3)]);
        matched.Aside.Single().ExerciseId.ShouldBe("squat-jump");
        matched.Aside.Single().Reason.Said().ShouldContain("does not have it now");
    }

    [Theory]
    [InlineData(12, null, null)]
    [InlineData(120, null, "120 reps?")]
    [InlineData(10, 80.0, "80 kg? The heaviest here is")]
    [InlineData(10, 8.0, null)]
    public void A_slip_of_the_pen_is_asked_about(int reps, double? kg, string? question)
    {
        var curl = Plan.Lines[2].Chosen!.Exercises[0];
        var doubts = LogDoubts.About(
            curl,
            16,
            new LoggedExercise(new LineKey(3), curl.ExerciseId, [new LoggedSet { Reps = reps, LoadKg = kg }])
        );

        doubts.Select(d => d.Question).SingleOrDefault().ShouldBe(doubts.IsEmpty ? null : doubts[0].Question);
        doubts.IsEmpty.ShouldBe(question is null);
        if (question is not null)
        {
            doubts[0].Question.Said().ShouldContain(question);
        }
    }

    [Fact]
    public void A_stamp_says_what_the_set_was()
    {
        var stamps = new LogStamps(DomainRules.Shipped, Examples.ClientA, Examples.Kit("dumbbell 8 x2"), Plan.Lines);
        var curl = Plan.Lines[2].Chosen!.Exercises[0];
        var stamped = stamps.Stamp(
            new LoggedExercise(
                new LineKey(3),
                curl.ExerciseId,
                [new LoggedSet { Reps = 10 }, new LoggedSet { Reps = 10, LoadKg = curl.ExternalKg + 2 }]
            )
        );

        stamped.Sets[0].Stamp!.SystemKg.ShouldBe(curl.SystemLoadKg!.Value);
        stamped.Sets[1].Stamp!.SystemKg!.Value.ShouldBeGreaterThan(stamped.Sets[0].Stamp!.SystemKg!.Value);
        stamped.Sets[0].Stamp!.PlannedReps.ShouldBe(curl.Dose.Target.Min);
        var instead = stamps.Stamp(new LoggedExercise(new LineKey(1), "wide-push-up", [new LoggedSet { Reps = 8 }])).Sets[0].Stamp!;
        instead.SystemKg!.Value.ShouldBe(0.64 * 80, 0.5, "done instead: by its first set-up here, Ebben et al. 2011");
        instead.PlannedReps.ShouldBeNull();
        stamps
            .Stamp(new LoggedExercise(new LineKey(1), "plank", [new LoggedSet { Reps = 8 }]))
            .Sets[0]
            .Stamp!.SystemKg.ShouldBeNull("a hold has no system load");
        stamps
            .Stamp(new LoggedExercise(new LineKey(1), "side-plank", [new LoggedSet { Reps = 8 }]))
            .Sets[0]
            .Stamp.ShouldBeNull("nor has one outside the plan");
        StraightSets
            .ShareLeft(curl.Dose with { Techniques = ["slow-eccentric-5"], Tempo = Tempo.Parse("5-0-1-0") }, DomainRules.Shipped)
            .ShouldBe(0.65);
        StraightSets
            .ShareLeft(curl.Dose with { Techniques = [], Tempo = Tempo.Parse("5-0-1-0") }, DomainRules.Shipped)
            .ShouldBe(0.65, "a typed tempo costs the same");
        StraightSets.ShareLeft(curl.Dose with { Techniques = [], Tempo = Tempo.Parse("2-0-1-0") }, DomainRules.Shipped).ShouldBe(1);
    }

    private static LogPreview Read(params string[][] rows) =>
        new LogTable(DomainRules.Shipped.Names).Read(
            new Sheet("", [.. rows.Select((r, i) => new SheetRow(i + 1, [.. r.Select(c => new SheetCell(c))]))]),
            Plan.Lines,
            Today
        );
}
