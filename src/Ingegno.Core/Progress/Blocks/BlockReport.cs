using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>How what was done stands to what was planned.</summary>
public enum DoneVerdict
{
    /// <summary>The week is not over and nothing is logged yet.</summary>
    Open,

    /// <summary>The week is over and nothing is logged.</summary>
    NotDone,

    /// <summary>Fewer sets, or fewer reps than the least planned.</summary>
    BelowPlan,

    /// <summary>As planned.</summary>
    AsPlanned,

    /// <summary>More load with the reps, or more reps in every set than planned.</summary>
    AbovePlan,

    /// <summary>Another exercise was done in its place.</summary>
    Other,
}

/// <summary>What was done of a cell.</summary>
/// <param name="Line">Key of the gym line.</param>
/// <param name="ExerciseId">The exercise that was planned.</param>
/// <param name="Verdict">How it stands to the plan.</param>
/// <param name="Sets">Sets done.</param>
/// <param name="Last">Its last day in the shorthand of the log; empty when nothing is logged.</param>
public sealed record DoneCell(LineKey Line, string ExerciseId, DoneVerdict Verdict, int Sets, string Last);

/// <summary>A week planned and done.</summary>
/// <param name="Week">Number of the week, 1 first.</param>
/// <param name="Sessions">Sessions logged.</param>
/// <param name="PlannedSessions">Sessions planned.</param>
/// <param name="Sets">Sets done.</param>
/// <param name="PlannedSets">Sets planned.</param>
/// <param name="Cells">One per planned cell.</param>
public sealed record DoneWeek(int Week, int Sessions, int PlannedSessions, int Sets, int PlannedSets, ImmutableArray<DoneCell> Cells);

/// <summary>Compares a block with the log.</summary>
public static class BlockReport
{
    /// <summary>A load counts as more from here on, kg.</summary>
    private const double MoreKg = 0.1;

    /// <summary>Each week, planned and done.</summary>
    /// <param name="setup">The block.</param>
    /// <param name="block">Its weeks.</param>
    /// <param name="log">Sessions of the plan.</param>
    /// <param name="sessionsPerLine">How often a week each line is trained, 1 or more.</param>
    /// <param name="today">The day for which it is asked.</param>
    public static ImmutableArray<DoneWeek> Compare(
        BlockSetup setup,
        Block block,
        IReadOnlyCollection<LoggedSession> log,
        int sessionsPerLine,
        DateOnly today
    )
    {
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(block);
        ArgumentNullException.ThrowIfNull(log);
        return
        [
            .. block.Weeks.Select(week =>
            {
                var sessions = log.Where(s => setup.WeekOf(s.Day) == week.Number).OrderBy(s => s.Day).ToList();
                var over = week.Starts.AddDays(7) <= today;
                var cells = week.Cells.Select(c => Cell(c, sessions, sessionsPerLine, over)).ToImmutableArray();
                return new DoneWeek(
                    week.Number,
                    sessions.Count,
                    week.Days.Length * sessionsPerLine,
                    sessions.Sum(s => s.Exercises.Sum(e => e.Sets.Length)),
                    week.Cells.Sum(c => c.Dose.Sets) * sessionsPerLine,
                    cells
                );
            }),
        ];
    }

    private static DoneCell Cell(BlockCell planned, List<LoggedSession> sessions, int sessionsPerLine, bool over)
    {
        var done = sessions.SelectMany(s => s.Exercises).Where(e => !e.Sets.IsDefaultOrEmpty).ToList();
        var own = done.Where(e => e.Line == planned.Line && e.ExerciseId == planned.ExerciseId).ToList();
        if (own.Count > 0)
        {
            var sets = own.Sum(e => e.Sets.Length);
            return new DoneCell(
                planned.Line,
                planned.ExerciseId,
                Verdict(planned, own, sets, sessionsPerLine, over),
                sets,
                LogShorthand.Write(own[^1].Sets)
            );
        }

        var other = done.FirstOrDefault(e => e.Line == planned.Line);
        return other is null
            ? new DoneCell(planned.Line, planned.ExerciseId, over ? DoneVerdict.NotDone : DoneVerdict.Open, 0, string.Empty)
            : new DoneCell(planned.Line, planned.ExerciseId, DoneVerdict.Other, other.Sets.Length, LogShorthand.Write(other.Sets));
    }

    /// <summary>Sets count over the week; reps and load as they were on its last day.</summary>
    private static DoneVerdict Verdict(BlockCell planned, List<LoggedExercise> own, int sets, int sessionsPerLine, bool over)
    {
        var last = own[^1].Sets;
        var least = planned.Dose.Target.IsOpen ? 1 : planned.Dose.Target.Min;
        var wanted = planned.Dose.Sets * (over ? sessionsPerLine : own.Count);
        if (sets < wanted || last.Any(s => s.Reps < least))
        {
            return DoneVerdict.BelowPlan;
        }

        var heavier = last.All(s => s.LoadKg is { } kg && kg > planned.ExternalKg + MoreKg);
        return heavier || (!planned.Dose.Target.IsOpen && last.All(s => s.Reps > Math.Max(least, planned.Dose.Target.Max)))
            ? DoneVerdict.AbovePlan
            : DoneVerdict.AsPlanned;
    }
}
