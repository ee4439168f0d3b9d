using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>What a coach should know of a whole block, on both sides of each figure.</summary>
[Trait("source", "docs/domain/progression: a lighter week every four to six; a day fits the client's minutes")]
public class BlockNoticesTests
{
    private static readonly BlockSetup Setup = BlockExamples.Setup(BlockExamples.Beginner);

    [Theory]
    [InlineData(1, false)]
    [InlineData(2, true)]
    public void An_event_well_after_the_block_is_named_with_the_weeks_between(int weeks, bool said)
    {
        var after = Notice("block.event-after", Setup with { EventOn = Setup.Ends.AddDays(7 * weeks), EventName = "the head race" });

        (after is not null).ShouldBe(said);
        if (said)
        {
            (after!["weeks"], ((Reason)after["event"]!).Said()).ShouldBe((2.0, "the head race"));
        }
    }

    [Theory]
    [InlineData(6, true)]
    [InlineData(7, false)]
    public void An_event_in_the_first_week_leaves_no_time(int days, bool said) =>
        (Notice("block.event-first-week", Setup with { EventOn = Setup.Starts.AddDays(days) }) is not null).ShouldBe(said);

    [Fact]
    public void A_day_that_is_too_long_is_named_once_with_its_longest_week()
    {
        // An hour and more: the warm-up of a short day would be shorter, too.
        var request = BlockExamples.Beginner with
        {
            Client = BlockExamples.Beginner.Client with { MinutesPerSession = 90 },
            GymLines =
            [
                "= Tuesday",
                "Back squat 5x8 3 min",
                "Lat pulldown 5x10 3 min",
                "Bench press 5x8 3 min",
                "Lateral raise 4x12 2 min",
                "= Friday",
                "Plank 3x20 s",
            ],
        };
        var block = BlockExamples.Block(request, Setup);
        var minutes = block.Weeks.Select(w => w.Days.Single(d => d.Name == "Tuesday").Minutes).ToList();
        var limit = minutes.Max() - 1;

        var over = Of(request with { Client = request.Client with { MinutesPerSession = limit } }, Setup)
            .Single(n => n.Code == "block.too-long");
        (over["day"], over["minutes"], over["limit"]).ShouldBe(("Tuesday", (double)minutes.Max(), (double)limit));
        var weeks = ((FactList)over["weeks"]!).Items.Select(i => (int)(double)i).ToList();
        weeks.ShouldBe(minutes.Select((m, i) => (m, Week: i + 1)).Where(w => w.m > limit).Select(w => w.Week));
        over["more"].ShouldBe(weeks.Count > 1);

        Of(request with { Client = request.Client with { MinutesPerSession = minutes.Max() } }, Setup)
            .ShouldNotContain(n => n.Code == "block.too-long", "a day may take all of the minutes");
    }

    [Theory]
    [InlineData(2, false)]
    [InlineData(3, true)]
    public void Other_days_than_the_client_trains_are_said(int trains, bool said)
    {
        var request = BlockExamples.Beginner with { GymLines = ["= Tuesday", "Back squat 3x8", "= Friday", "Lat pulldown 3x10"] };
        var days = Of(request with { Client = request.Client with { DaysPerWeek = trains } }, Setup)
            .FirstOrDefault(n => n.Code == "block.days");

        (days is not null).ShouldBe(said);
        (days?["days"], days?["trains"]).ShouldBe(said ? (2.0, 3.0) : (null, null));
    }

    [Fact]
    public void One_day_may_be_trained_as_often_as_one_likes() =>
        Of(BlockExamples.Beginner, Setup).ShouldNotContain(n => n.Code == "block.days");

    private static Reason? Notice(string code, BlockSetup setup) => Of(BlockExamples.Beginner, setup).FirstOrDefault(n => n.Code == code);

    private static ImmutableArray<Reason> Of(RebuildRequest request, BlockSetup setup) => BlockExamples.Block(request, setup).Notices;
}
