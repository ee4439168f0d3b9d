using System.Globalization;
using System.Security.Claims;
using System.Text.Encodings.Web;
using Ingegno.Storage;
using Ingegno.Web.Features;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Signs in whoever holds a client's link, for the endpoints of the session application alone. Guesses are slowed by address; a right
/// secret is never shut out by somebody else's guesses, for 256 random bits are not guessed.
/// </summary>
public sealed class LinkSignIn(
    IOptionsMonitor<AuthenticationSchemeOptions> options,
    ILoggerFactory logs,
    UrlEncoder encoder,
    ClientLinkStore links,
    ClientStore clients,
    SignInGuard guard,
    LinkPace pace,
    TimeProvider clock
) : AuthenticationHandler<AuthenticationSchemeOptions>(options, logs, encoder)
{
    public const string SchemeName = "client-link";

    /// <summary>Name of the policy that asks for a link.</summary>
    public const string Policy = "client-link";

    /// <summary>Header that carries the secret.</summary>
    public const string Header = "X-Ingegno-Link";

    /// <summary>Header of a coach who looks at what a client sees: it counts as nothing.</summary>
    public const string PreviewHeader = "X-Ingegno-Preview";

    private const int LongestSecret = 100;
    private const string Account = "client link";

    private ProblemHttpResult? _refused;

    protected override Task<AuthenticateResult> HandleAuthenticateAsync()
    {
        var secret = Request.Headers[Header].ToString();
        if (secret.Length == 0)
        {
            return Task.FromResult(AuthenticateResult.NoResult());
        }

        var address = SessionEndpoints.AddressOf(Context);
        if (secret.Length > LongestSecret || links.Find(secret) is not { } link)
        {
            _refused = guard.Wait(Account, address) is { Ticks: > 0 } wait ? SessionEndpoints.TooMany(Context, wait) : null;
            if (_refused is null)
            {
                guard.Wrong(Account, address);
            }

            return Refused();
        }

        if (!link.RunsAt(clock.GetUtcNow()) || clients.Find(link.CoachId, link.ClientId) is not { Value.Archived: false })
        {
            // Nothing opens any more, but what was trained while it ran still comes in: work is never lost to a new link.
            if (Delivers && link.DeliversAt(clock.GetUtcNow()) && pace.May(link.Id))
            {
                return Task.FromResult(AuthenticateResult.Success(new AuthenticationTicket(LinkHolder.PrincipalOf(link), SchemeName)));
            }

            // Gone: the phone erases the plans that it keeps; what it has not sent stays there.
            _refused = Problems.Make(StatusCodes.Status410Gone, "link-ended", "This link has ended", "Ask your coach for a new one.");
            return Refused();
        }

        if (!pace.May(link.Id))
        {
            _refused = SessionEndpoints.TooMany(Context, TimeSpan.FromMinutes(1));
            return Refused();
        }

        if (!Request.Headers.ContainsKey(PreviewHeader))
        {
            links.Seen(link);
        }
        return Task.FromResult(AuthenticateResult.Success(new AuthenticationTicket(LinkHolder.PrincipalOf(link), SchemeName)));
    }

    protected override Task HandleChallengeAsync(AuthenticationProperties properties) =>
        (
            _refused
            ?? Problems.Make(
                StatusCodes.Status401Unauthorized,
                "no-such-link",
                "This link opens nothing",
                "Open the link that your coach sent, whole, or ask for a new one."
            )
        ).ExecuteAsync(Context);

    /// <summary>The request brings what was done and takes nothing.</summary>
    private bool Delivers =>
        (HttpMethods.IsPut(Request.Method) && Request.Path.StartsWithSegments("/api/v1/training/sessions"))
        || (
            HttpMethods.IsPost(Request.Method)
            && (Request.Path.StartsWithSegments("/api/v1/training/notes") || Request.Path.StartsWithSegments("/api/v1/training/stop-signs"))
        );

    private static Task<AuthenticateResult> Refused() => Task.FromResult(AuthenticateResult.Fail("no link that runs"));
}

/// <summary>Whoever holds a client's link: one client of one coach, and no other right.</summary>
/// <param name="CoachId">The coach.</param>
/// <param name="ClientId">The client.</param>
public sealed record LinkHolder(long CoachId, long ClientId)
{
    private const string ClientClaim = "client";

    /// <summary>The principal of a link. It is nobody's name: what a coach may do asks for that.</summary>
    public static ClaimsPrincipal PrincipalOf(ClientLink link)
    {
        ArgumentNullException.ThrowIfNull(link);
        return new ClaimsPrincipal(
            new ClaimsIdentity(
                [
                    new Claim(CoachIdentity.PracticeClaim, link.CoachId.ToString(CultureInfo.InvariantCulture)),
                    new Claim(ClientClaim, link.ClientId.ToString(CultureInfo.InvariantCulture)),
                ],
                LinkSignIn.SchemeName
            )
        );
    }

    /// <summary>Who holds the link of a request that the policy let through.</summary>
    public static LinkHolder Of(ClaimsPrincipal user) =>
        new(user.PracticeId()!.Value, long.Parse(user.FindFirstValue(ClientClaim)!, CultureInfo.InvariantCulture));
}
