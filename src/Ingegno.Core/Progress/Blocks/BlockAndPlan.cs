using System.Collections.Immutable;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>How a block and the plan that it is of stand to one another.</summary>
public static class BlockAndPlan
{
    /// <summary>
    /// How often a line is trained in a week: a plan of one day is that day as often as the client trains; the days of others come
    /// once a week each.
    /// </summary>
    public static int SessionsPerLine(RebuildRequest request, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        return plan.Days.Length > 1 ? 1 : Math.Max(1, request.Client.DaysPerWeek ?? 1);
    }

    /// <summary>Cells of the week that runs, or of the first before a block begins, whose figures the plan does not have.</summary>
    /// <param name="plan">The plan.</param>
    /// <param name="setup">The block as it was set up.</param>
    /// <param name="block">Its weeks.</param>
    /// <param name="today">The day for which it is asked.</param>
    public static ImmutableArray<BlockCell> NotInPlan(HomePlan plan, BlockSetup setup, Block block, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(block);
        var week = block.Weeks.FirstOrDefault(w => w.Number == Math.Max(1, setup.WeekOf(today)));
        var now = plan
            .Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Key, Home: e)))
            .ToLookup(e => (e.Key, e.Home.ExerciseId), e => e.Home);
        return [.. (week?.Cells ?? []).Where(c => now[(c.Line, c.ExerciseId)].FirstOrDefault() is { } home && !c.SameAs(home))];
    }

    /// <summary>First day of a next block: the Monday of this week, or the day after the block before, whichever is later.</summary>
    /// <param name="today">The day for which it is asked.</param>
    /// <param name="endsBefore">Last day of the newest block; null when there is none.</param>
    public static DateOnly NextStart(DateOnly today, DateOnly? endsBefore)
    {
        var monday = today.AddDays(-(((int)today.DayOfWeek + 6) % 7));
        return endsBefore is { } ends && ends >= monday ? ends.AddDays(1) : monday;
    }
}
