using System.Buffers.Text;
using System.Collections.Immutable;
using System.Security.Cryptography;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Exchange;
using Ingegno.Storage;
using Microsoft.AspNetCore.DataProtection;

namespace Ingegno.Web.Infrastructure;

/// <summary>Calendars of clients: their addresses, and what is in them.</summary>
public sealed class ClientCalendars(
    CalendarStore store,
    ClientLinkStore links,
    ReleaseStore releases,
    IDataProtectionProvider protection,
    TimeProvider clock
)
{
    private readonly IDataProtector _seal = protection.CreateProtector("client-calendar");

    /// <summary>Address of a client's calendar below the application's own, made where there is none for the link; null when this
    /// installation cannot open the seal.</summary>
    public string? AddressOf(ClientLink link)
    {
        ArgumentNullException.ThrowIfNull(link);
        if (store.Of(link.ClientId) is not { } calendar || calendar.LinkId != link.Id)
        {
            var secret = Base64Url.EncodeToString(RandomNumberGenerator.GetBytes(ClientLinkStore.SecretBytes));
            store.Make(link, secret, _seal.Protect(secret));
            calendar = store.Of(link.ClientId)!;
        }

        try
        {
            return $"/calendar/{_seal.Unprotect(calendar.Sealed)}.ics";
        }
        catch (CryptographicException)
        {
            return null;
        }
    }

    /// <summary>When a client trains: as chosen, else as usual.</summary>
    public ImmutableArray<TrainingTime> TimesOf(long clientId, int days) =>
        store.Of(clientId)?.Times is { IsEmpty: false } chosen ? chosen : TrainingTimes.Usual(days);

    /// <summary>The calendar of a secret; empty when its link has ended, null when there is none of that secret.</summary>
    public string? Find(string secret)
    {
        if (store.Find(secret) is not { } calendar)
        {
            return null;
        }

        var link = links.Last(calendar.CoachId, calendar.ClientId);
        var runs = link?.Id == calendar.LinkId && link.RunsAt(clock.GetUtcNow());
        return TrainingCalendar.Write(runs ? Of(calendar.CoachId, calendar.ClientId, calendar.LinkId) : null);
    }

    /// <summary>What a client's calendar is made from; null when nothing was sent.</summary>
    public CalendarOf? Of(long coachId, long clientId, long key) =>
        releases.Last(coachId, clientId) is { } sent
            ? new CalendarOf(key, sent.Release, sent.Number, sent.MadeAt, TimesOf(clientId, sent.Release.Days.Length))
            : null;
}
