using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>Planned against done.</summary>
public class BlockReportTests
{
    private static readonly BlockSetup Setup = BlockExamples.Setup(BlockExamples.Beginner);
    private static readonly Block Block = BlockExamples.Block(BlockExamples.Beginner, Setup);
    private static readonly BlockCell Squat = BlockExamples.Line(Block, new LineKey(1))[0];

    [Theory]
    [InlineData(new[] { 8, 8, 8 }, DoneVerdict.AsPlanned)]
    [InlineData(new[] { 9, 8, 8 }, DoneVerdict.AsPlanned)]
    [InlineData(new[] { 8, 8 }, DoneVerdict.BelowPlan)]
    [InlineData(new[] { 8, 8, 7 }, DoneVerdict.BelowPlan)]
    [InlineData(new[] { 10, 10, 9 }, DoneVerdict.AbovePlan)]
    public void A_cell_is_below_as_or_above_its_plan(int[] reps, DoneVerdict verdict) =>
        Cell(Session(0, Squat.ExerciseId, reps)).Verdict.ShouldBe(verdict, "planned 3x8");

    [Fact]
    public void More_load_with_the_reps_is_above_the_plan()
    {
        var heavier = new LoggedSession(
            Setup.Starts,
            [
                new LoggedExercise(
                    new LineKey(1),
                    Squat.ExerciseId,
                    [.. Enumerable.Repeat(new LoggedSet { Reps = 8, LoadKg = Squat.ExternalKg + 2 }, 3)]
                ),
            ]
        );
        Cell(heavier).Verdict.ShouldBe(DoneVerdict.AbovePlan);
        Cell(heavier).Last.ShouldStartWith("8,8,8 @");
    }

    [Fact]
    public void What_is_not_there_is_open_until_the_week_is_over_and_another_exercise_is_named()
    {
        Week(1, Setup.Starts.AddDays(6)).Cells[0].Verdict.ShouldBe(DoneVerdict.Open);
        Week(1, Setup.Starts.AddDays(7)).Cells[0].Verdict.ShouldBe(DoneVerdict.NotDone);
        Cell(Session(0, "push-up", [10])).Verdict.ShouldBe(DoneVerdict.Other);
    }

    [Fact]
    public void The_last_day_of_a_week_tells_how_the_reps_stand()
    {
        var cell = Of(2, Setup.Starts.AddDays(3), Session(0, Squat.ExerciseId, [8, 8, 6]), Session(2, Squat.ExerciseId, [8, 8, 8]))[
            0
        ].Cells[0];
        (cell.Verdict, cell.Last, cell.Sets).ShouldBe((DoneVerdict.AsPlanned, "8,8,8", 6));
    }

    [Fact]
    public void A_week_counts_its_sessions_and_sets()
    {
        var week = Week(1, Setup.Starts.AddDays(3), Session(0, Squat.ExerciseId, [8, 8, 8]), Session(9, Squat.ExerciseId, [9, 9, 9]));
        (week.Sessions, week.PlannedSessions, week.Sets, week.PlannedSets).ShouldBe(
            (1, 1, 3, 9),
            "three lines of three sets; the session of the week after does not count"
        );
        Of(2, Setup.Starts.AddDays(10), Session(0, Squat.ExerciseId, [8, 8, 8]))[0]
            .PlannedSets.ShouldBe(18, "a plan of one day, done twice a week");
        Of(2, Setup.Starts.AddDays(10), Session(0, Squat.ExerciseId, [8, 8, 8]))[0]
            .Cells[0]
            .Verdict.ShouldBe(DoneVerdict.BelowPlan, "the week is over and half of it is missing");
        Of(2, Setup.Starts.AddDays(3), Session(0, Squat.ExerciseId, [8, 8, 8]))[0]
            .Cells[0]
            .Verdict.ShouldBe(DoneVerdict.AsPlanned, "so far");
    }

    private static DoneCell Cell(LoggedSession session) => Week(1, Setup.Starts.AddDays(1), session).Cells[0];

    private static DoneWeek Week(int week, DateOnly today, params LoggedSession[] log) =>
        BlockReport.Compare(Setup, Block, log, 1, today)[week - 1];

    private static ImmutableArray<DoneWeek> Of(int sessionsPerLine, DateOnly today, params LoggedSession[] log) =>
        BlockReport.Compare(Setup, Block, log, sessionsPerLine, today);

    private static LoggedSession Session(int daysIn, string exercise, int[] reps) =>
        new(
            Setup.Starts.AddDays(daysIn),
            [new LoggedExercise(new LineKey(1), exercise, [.. reps.Select(r => new LoggedSet { Reps = r })])]
        );
}
