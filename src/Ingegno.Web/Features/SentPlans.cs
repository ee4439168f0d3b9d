using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Language;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Features;

/// <summary>Releases with their links and messages, as the coach has them.</summary>
public sealed class SentPlans(
    ReleaseStore releases,
    ClientLinks links,
    ClientLinkStore linkStore,
    ClientStore clients,
    ClientAppStore floor,
    Phrasebook phrasebook,
    IOptions<IngegnoOptions> options,
    TimeProvider clock
)
{
    /// <summary>Keeps a release; null when the plan is not this coach's.</summary>
    public SentRelease? Add(long coach, long planId, PlanRecord plan, Release release, string? once)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return releases.Add(coach, planId, plan.Version, release, once);
    }

    /// <summary>How it stands with a client's link; null when the client is not this coach's.</summary>
    /// <param name="coach">The coach.</param>
    /// <param name="client">The client.</param>
    /// <param name="request">The request, for the address of the application.</param>
    /// <param name="make">Whether one is made where none runs.</param>
    public LinkState? Link(long coach, long client, HttpRequest request, bool make)
    {
        if (clients.Find(coach, client) is null)
        {
            return null;
        }

        var link = make ? links.Running(coach, client) : linkStore.Last(coach, client);
        var now = clock.GetUtcNow();
        var runs = link?.RunsAt(now) ?? false;
        var address = link is not null && runs ? links.AddressOf(link) : null;
        var trained = floor.OfClient(coach, client, DateOnly.MinValue).FirstOrDefault(s => s.Session.SetsDone > 0);
        return new LinkState(
            address,
            address is null ? null : Whole(request, address),
            address is null ? null : ClientLinks.Picture(Whole(request, address)),
            link?.MadeAt,
            link?.ExpiresAt,
            runs ? null : link?.RevokedAt ?? link?.ExpiresAt,
            link?.OpenedAt,
            link?.SeenAt,
            [.. releases.InBrief(coach).Where(r => r.ClientId == client)],
            trained?.PerformedOn
        );
    }

    /// <summary>A message to the client, short and in their words.</summary>
    public string Message(SentRelease release, LinkState link, HttpRequest request)
    {
        ArgumentNullException.ThrowIfNull(release);
        ArgumentNullException.ThrowIfNull(link);
        var things = release.Release.Days.SelectMany(d => d.LayOut).Distinct().ToList();
        return phrasebook.Say(
            Reason.Of(
                "message.plan",
                ("title", release.Release.Title),
                ("place", release.Release.Place),
                ("word", release.Release.Word),
                ("days", release.Release.Days.Length),
                ("things", FactList.Of(things)),
                ("address", link.Address is { } address ? Whole(request, address) : string.Empty)
            )
        );
    }

    /// <summary>A release without what is in it.</summary>
    public static ReleaseInBrief InBrief(SentRelease release, long client)
    {
        ArgumentNullException.ThrowIfNull(release);
        return new ReleaseInBrief(release.Id, client, release.PlanId, release.PlanVersion, release.Number, release.MadeAt);
    }

    /// <summary>The address as a client opens it: under the host for clients, or the installation's own, where they are configured.</summary>
    private string Whole(HttpRequest request, string address) =>
        (options.Value.ClientAddress ?? options.Value.PublicAddress) is { } here
            ? new Uri(here, address).ToString()
            : $"{request.Scheme}://{request.Host}{address}";
}
