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

    /// <summary>The principal of a coach.</summary>
    public static ClaimsPrincipal PrincipalOf(Coach coach) =>
        new(
            new ClaimsIdentity(
                [
                    new Claim(ClaimTypes.NameIdentifier, coach.Id.ToString(CultureInfo.InvariantCulture)),
                    new Claim(ClaimTypes.Name, coach.Name),
                    new Claim(ClaimTypes.Email, coach.Email),
                ],
                CookieAuthenticationDefaults.AuthenticationScheme
            )
        );
}
