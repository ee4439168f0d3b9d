using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>What a client's phone has that the coach does not know yet.</summary>
/// <param name="Unseen">Sessions that nobody looked at.</param>
/// <param name="Stopped">Exercises that were stopped in them because they hurt.</param>
/// <param name="Asked">What the client wrote and nobody read, oldest first.</param>
/// <param name="SentOn">Day on which a plan was sent last; null when none was.</param>
/// <param name="Opened">The link was opened.</param>
public sealed record ClientAppNews(int Unseen, ImmutableArray<string> Stopped, ImmutableArray<string> Asked, DateOnly? SentOn, bool Opened)
{
    /// <summary>Days after which a link that nobody opened is named.</summary>
    private const int DaysToOpen = 2;

    /// <summary>What of it needs the coach.</summary>
    /// <param name="today">The day for which it is asked.</param>
    public IEnumerable<AttentionNote> Notes(DateOnly today)
    {
        if (!Stopped.IsEmpty)
        {
            yield return new AttentionNote(AttentionKind.Pain, Reason.Of("attention.stopped", ("exercises", FactList.Of(Stopped))));
        }

        if (!Asked.IsEmpty)
        {
            yield return new AttentionNote(AttentionKind.Asks, Reason.Of("attention.asks", ("text", Asked[0]), ("more", Asked.Length - 1)));
        }

        if (Unseen > 0)
        {
            yield return new AttentionNote(AttentionKind.CameIn, Reason.Of("attention.came-in", ("sessions", Unseen)));
        }

        if (SentOn is { } sent && !Opened && today.DayNumber - sent.DayNumber >= DaysToOpen)
        {
            yield return new AttentionNote(
                AttentionKind.NotOpened,
                Reason.Of("attention.not-opened", ("days", today.DayNumber - sent.DayNumber))
            );
        }
    }
}
