using System.Globalization;
using System.Security.Claims;
using Ingegno.Storage;
using Microsoft.AspNetCore.Authentication.Cookies;

namespace Ingegno.Web.Infrastructure;

/// <summary>The signed-in coach, as the cookie carries it.</summary>
public static class CoachIdentity
{
    /// <summary>Id of the signed-in coach.</summary>
    public static long CoachId(this ClaimsPrincipal user) =>
        long.Parse(user.FindFirstValue(ClaimTypes.NameIdentifier)!, CultureInfo.InvariantCulture);

    private const string KeyClaim = "session";

    /// <summary>Names the practice whose trade a request works with.</summary>
    public const string PracticeClaim = "practice";

    /// <summary>The coach whose practice a request works in: the one who signed in, or the one whose client holds the link; null for
    /// neither.</summary>
    public static long? PracticeId(this ClaimsPrincipal user) =>
        (user.FindFirstValue(PracticeClaim) ?? user.FindFirstValue(ClaimTypes.NameIdentifier)) is { } id
            ? long.Parse(id, CultureInfo.InvariantCulture)
            : null;

    /// <summary>Key of the session; null for a cookie of before there were any.</summary>
    public static string? SessionKey(this ClaimsPrincipal user) => user.FindFirstValue(KeyClaim);

    /// <summary>The principal of a coach in a session.</summary>
    public static ClaimsPrincipal PrincipalOf(Coach coach, string sessionKey) =>
        new(
            new ClaimsIdentity(
                [
                    new Claim(ClaimTypes.NameIdentifier, coach.Id.ToString(CultureInfo.InvariantCulture)),
                    new Claim(ClaimTypes.Name, coach.Name),
                    new Claim(ClaimTypes.Email, coach.Email),
                    new Claim(KeyClaim, sessionKey),
                ],
                CookieAuthenticationDefaults.AuthenticationScheme
            )
        );
}
