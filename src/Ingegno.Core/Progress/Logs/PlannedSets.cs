using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Logs;

/// <summary>How many sets a plan has for what was trained.</summary>
public static class PlannedSets
{
    /// <summary>Sets that the plan has on the day to which most of the exercises belong; null when none does.</summary>
    public static int? Count(HomePlan plan, IEnumerable<LoggedExercise> exercises)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var lines = exercises.Select(e => e.Line).ToHashSet();
        var day = plan.Lines.Where(l => lines.Contains(l.Gym.Key)).GroupBy(l => l.Gym.Day).MaxBy(g => g.Count());
        return day is null ? null : plan.Lines.Where(l => l.Gym.Day == day.Key).Sum(l => l.Chosen?.Exercises.Sum(e => e.Dose.Sets) ?? 0);
    }
}
