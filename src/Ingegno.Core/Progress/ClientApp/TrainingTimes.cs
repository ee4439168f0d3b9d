using System.Collections.Immutable;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>When a day of a plan is trained, in the time of wherever the client is.</summary>
/// <param name="Day">Place of the day in the release, 0 first.</param>
/// <param name="Weekday">Day of the week.</param>
/// <param name="At">Time of day.</param>
public sealed record TrainingTime(int Day, DayOfWeek Weekday, TimeOnly At);

/// <summary>Times of a week that nobody chose yet.</summary>
public static class TrainingTimes
{
    private static readonly TimeOnly Evening = new(18, 0);

    /// <summary>Days spread over the week with a day between wherever it goes, in the evening (common practice).</summary>
    /// <param name="days">Days of the plan, 1–7; more have no place in a week.</param>
    public static ImmutableArray<TrainingTime> Usual(int days)
    {
        DayOfWeek[] week = days switch
        {
            1 => [DayOfWeek.Monday],
            2 => [DayOfWeek.Monday, DayOfWeek.Thursday],
            3 => [DayOfWeek.Monday, DayOfWeek.Wednesday, DayOfWeek.Friday],
            4 => [DayOfWeek.Monday, DayOfWeek.Tuesday, DayOfWeek.Thursday, DayOfWeek.Friday],
            _ =>
            [
                DayOfWeek.Monday,
                DayOfWeek.Tuesday,
                DayOfWeek.Wednesday,
                DayOfWeek.Thursday,
                DayOfWeek.Friday,
                DayOfWeek.Saturday,
                DayOfWeek.Sunday,
            ],
        };
        return [.. week.Take(days).Select((weekday, day) => new TrainingTime(day, weekday, Evening))];
    }
}
