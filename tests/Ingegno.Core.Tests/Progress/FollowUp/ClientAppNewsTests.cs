using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.FollowUp;

/// <summary>What a phone has that the coach does not know yet.</summary>
public class ClientAppNewsTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);
    private static readonly ClientAppNews Quiet = new(0, [], [], Today.AddDays(-9), Opened: true);

    [Fact]
    public void A_quiet_phone_needs_nobody() => Quiet.Notes(Today).ShouldBeEmpty();

    [Fact]
    public void What_was_stopped_asked_and_trained_is_named_in_turn()
    {
        var news = Quiet with { Unseen = 2, Stopped = ["Goblet squat"], Asked = ["May I swap Friday?", "And Sunday?"] };

        news.Notes(Today).Select(n => n.Kind).ShouldBe([AttentionKind.Pain, AttentionKind.Asks, AttentionKind.CameIn]);
        news.Notes(Today).ElementAt(1).Text.Said().ShouldContain("May I swap Friday?");
    }

    /// <summary>A link that nobody opened is named from the second day on.</summary>
    [Theory]
    [InlineData(1, false, false)]
    [InlineData(2, false, true)]
    [InlineData(5, false, true)]
    [InlineData(5, true, false)]
    public void A_link_that_nobody_opened_is_named(int daysAgo, bool opened, bool named)
    {
        var notes = (Quiet with { SentOn = Today.AddDays(-daysAgo), Opened = opened }).Notes(Today).ToList();

        notes.Select(n => n.Kind).ShouldBe(named ? [AttentionKind.NotOpened] : []);
        if (named)
        {
            notes[0].Text.Said().ShouldContain($"{daysAgo} days");
        }
    }

    [Fact]
    public void What_was_never_sent_cannot_be_opened() => (Quiet with { SentOn = null, Opened = false }).Notes(Today).ShouldBeEmpty();
}
