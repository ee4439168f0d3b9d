using Microsoft.AspNetCore.Antiforgery;

namespace Ingegno.Web.Infrastructure;

/// <summary>Asks every request that changes something for the token that only our own page knows.</summary>
public static class AntiforgeryCheck
{
    /// <summary>Header that carries the token.</summary>
    public const string Header = "X-Ingegno-Token";

    /// <summary>Whoever comes by a link says so in a header that no foreign page can send along; there is no cookie to ride on.</summary>
    private static bool ByLink(HttpContext context) => context.User.Identity?.AuthenticationType == LinkSignIn.SchemeName;

    /// <summary>Checks the token of unsafe methods below <c>/api</c>; sits behind authentication.</summary>
    public static IApplicationBuilder UseAntiforgeryCheck(this IApplicationBuilder app) =>
        app.Use(
            async (context, next) =>
            {
                var safe =
                    HttpMethods.IsGet(context.Request.Method)
                    || HttpMethods.IsHead(context.Request.Method)
                    || HttpMethods.IsOptions(context.Request.Method);
                if (!safe && context.Request.Path.StartsWithSegments("/api") && !ByLink(context))
                {
                    await context.RequestServices.GetRequiredService<IAntiforgery>().ValidateRequestAsync(context);
                }

                await next(context);
            }
        );
}
