using Ical.Net;
using Ical.Net.CalendarComponents;
using Ical.Net.DataTypes;
using Ical.Net.Serialization;
using Ingegno.Core.Progress.ClientApp;

namespace Ingegno.Exchange;

/// <summary>What a calendar of training days is made from.</summary>
/// <param name="Key">Key of the client's link: the same key gives the same UIDs.</param>
/// <param name="Release">What was sent.</param>
/// <param name="Number">Number of the release: a later one takes the place of the events of before.</param>
/// <param name="SentAt">When it was sent.</param>
/// <param name="Times">When its days are trained.</param>
public sealed record CalendarOf(long Key, Release Release, int Number, DateTimeOffset SentAt, IReadOnlyList<TrainingTime> Times);

/// <summary>
/// Training days as a calendar (RFC 5545). Times have no zone: six in the evening is six wherever the client is. The UIDs stay, so that a
/// plan that changed changes the events that are there.
/// </summary>
public static class TrainingCalendar
{
    private const int ReminderMinutes = 30;
    private const int NameCharacters = 200;

    /// <summary>The calendar; one without events for a link that ended, so that those who subscribed lose them.</summary>
    /// <param name="of">What it is made from; null for none.</param>
    public static string Write(CalendarOf? of)
    {
        var calendar = new Calendar { ProductId = "-//Ingegno//Training days//EN", Version = "2.0" };
        calendar.AddProperty("X-WR-CALNAME", "Training");
        calendar.AddProperty("REFRESH-INTERVAL;VALUE=DURATION", "PT12H");
        foreach (
            var time in (of?.Times ?? []).Where(t => t.Day >= 0 && t.Day < of!.Release.Days.Length).DistinctBy(t => (t.Day, t.Weekday))
        )
        {
            calendar.Events.Add(Event(of!, time));
        }

        return new CalendarSerializer().SerializeToString(calendar) ?? string.Empty;
    }

    private static CalendarEvent Event(CalendarOf of, TrainingTime time)
    {
        var day = of.Release.Days[time.Day];
        var first = First(DateOnly.FromDateTime(of.SentAt.Date), time.Weekday).ToDateTime(time.At);
        var name = OneLine(day.Name.Length > 0 ? day.Name : of.Release.Title);
        var training = new CalendarEvent
        {
            Uid = $"training-{of.Key}-{time.Day}-{time.Weekday.ToString().ToLowerInvariant()}@ingegno",
            Summary = $"Training: {name}",
            Description = day.LayOut.IsEmpty ? null : $"Lay out: {string.Join(", ", day.LayOut.Select(OneLine))}",
            Location = OneLine(of.Release.Place),
            DtStart = new CalDateTime(first, null, hasTime: true),
            Duration = Duration.FromMinutes(Math.Clamp(day.Courses[0].Minutes, 5, 480)),
            Sequence = of.Number,
            DtStamp = new CalDateTime(of.SentAt.UtcDateTime, "UTC"),
        };
        training.RecurrenceRule = new RecurrenceRule(FrequencyType.Weekly);
        training.Alarms.Add(
            new Alarm
            {
                Action = AlarmAction.Display,
                Description = $"Training: {name}",
                Trigger = new Trigger(Duration.FromMinutes(-ReminderMinutes)),
            }
        );
        return training;
    }

    private static DateOnly First(DateOnly from, DayOfWeek weekday) => from.AddDays(((int)weekday - (int)from.DayOfWeek + 7) % 7);

    private static string OneLine(string text)
    {
        var line = new string([.. text.Select(c => char.IsControl(c) ? ' ' : c)]);
        return line.Length > NameCharacters ? line[..NameCharacters] : line;
    }
}
