using System.Collections.Immutable;
using Ical.Net;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Progress.ClientApp;

namespace Ingegno.Exchange.Tests;

/// <summary>Calendars are read again by the library that reads them for others (RFC 5545).</summary>
public class TrainingCalendarTests
{
    private static readonly DateTimeOffset Sent = new(2026, 11, 25, 12, 0, 0, TimeSpan.Zero); // A Wednesday.

    [Fact]
    public void Days_come_every_week_at_the_chosen_time_with_a_reminder()
    {
        var calendar = Read(Of(1, [new(0, DayOfWeek.Monday, new TimeOnly(18, 30)), new(1, DayOfWeek.Thursday, new TimeOnly(7, 0))]));

        calendar.Events.Count.ShouldBe(2);
        var monday = calendar.Events.First(e => e.Summary == "Training: Day 1");
        monday.DtStart!.Value.ShouldBe(new DateTime(2026, 11, 30, 18, 30, 0));
        monday.DtStart.TzId.ShouldBeNull("six in the evening is six wherever the client is");
        monday.Duration!.Value.ToTimeSpanUnspecified().ShouldBe(TimeSpan.FromMinutes(45));
        monday.Description.ShouldBe("Lay out: rucksack, 2 × chair 45 cm");
        monday.RecurrenceRule!.Frequency.ShouldBe(FrequencyType.Weekly);
        monday.Alarms.Single().Trigger!.Duration!.Value.ToTimeSpanUnspecified().ShouldBe(TimeSpan.FromMinutes(-30));
        calendar.Events.First(e => e.Summary == "Training: Day 2").DtStart!.Value.ShouldBe(new DateTime(2026, 11, 26, 7, 0, 0));
    }

    [Fact]
    public void A_later_release_updates_the_events_that_are_there()
    {
        TrainingTime[] times = [new(0, DayOfWeek.Monday, new TimeOnly(18, 0))];
        var (before, after) = (Read(Of(1, times)).Events.Single(), Read(Of(2, times, "Day 1, lighter")).Events.Single());

        after.Uid.ShouldBe(before.Uid);
        after.Sequence.ShouldBeGreaterThan(before.Sequence);
        after.Summary.ShouldBe("Training: Day 1, lighter");
    }

    [Fact]
    public void A_link_that_ended_has_a_calendar_without_events() => Read(null).Events.ShouldBeEmpty();

    [Fact]
    public void A_name_cannot_break_out_of_its_line()
    {
        var calendar = Read(Of(1, [new(0, DayOfWeek.Monday, new TimeOnly(18, 0))], "Day\r\nEND:VEVENT\r\nBEGIN:VEVENT, a;b\\c"));

        calendar.Events.Single().Summary.ShouldBe("Training: Day  END:VEVENT  BEGIN:VEVENT, a;b\\c");
    }

    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    [InlineData(7)]
    public void Usual_times_have_each_day_once(int days)
    {
        var times = TrainingTimes.Usual(days);

        times.Select(t => t.Day).ShouldBe(Enumerable.Range(0, days));
        times.Select(t => t.Weekday).ShouldBeUnique();
    }

    private static Calendar Read(CalendarOf? of) => Calendar.Load(TrainingCalendar.Write(of))!;

    private static CalendarOf Of(int number, IReadOnlyList<TrainingTime> times, string name = "Day 1") =>
        new(
            7,
            new Release
            {
                Title = "Week 1",
                Place = "Flat",
                Days = [Day(name), Day("Day 2")],
                Pain = new PainOnTheSpot(3, 5, Reason.None, Reason.None, Reason.None),
                Forms = [],
            },
            number,
            Sent,
            times
        );

    private static ReleaseDay Day(string name) =>
        new()
        {
            Name = name,
            LayOut = ["rucksack", "2 × chair 45 cm"],
            WarmUp = [],
            CoolDown = [],
            Kept = [],
            Exercises = [],
            Courses = [new Course(45, ImmutableArray<Reason>.Empty, [])],
        };
}
