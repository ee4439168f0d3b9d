using System.Globalization;
using Ingegno.Web.Features;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// A page belongs to the coach who opened it. Each of its calls says to whom in a header; where somebody else has signed in meanwhile, in
/// another tab of the same browser, the call is refused: what one coach typed never lands in another's practice.
/// </summary>
public static class PageOwner
{
    /// <summary>Header that says whose page calls. A program that calls the API without a page leaves it out.</summary>
    public const string Header = "X-Ingegno-Coach";

    /// <summary>What a coach's pages say.</summary>
    public static string KeyOf(long coachId) => coachId.ToString(CultureInfo.InvariantCulture);

    /// <summary>Refuses calls of pages of somebody else; sits behind authentication.</summary>
    public static IApplicationBuilder UsePageOwner(this IApplicationBuilder app) =>
        app.Use(
            async (context, next) =>
            {
                var said = context.Request.Headers[Header].ToString();
                if (
                    said.Length > 0
                    && context.User.Identity is { IsAuthenticated: true, AuthenticationType: not LinkSignIn.SchemeName }
                    && said != KeyOf(context.User.CoachId())
                )
                {
                    await Problems
                        .Make(
                            StatusCodes.Status409Conflict,
                            "other-coach",
                            "Somebody else has signed in",
                            "This page belongs to another coach than the one who is signed in now. Nothing was changed; what was typed is kept for its own coach."
                        )
                        .ExecuteAsync(context);
                    return;
                }

                await next(context);
            }
        );
}
