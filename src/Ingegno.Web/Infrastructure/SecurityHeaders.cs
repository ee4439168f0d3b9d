namespace Ingegno.Web.Infrastructure;

/// <summary>Headers that keep foreign scripts, frames and sniffing out.</summary>
public static class SecurityHeaders
{
    private const string Policy =
        "default-src 'none'; script-src 'self'; style-src 'self' 'unsafe-inline'; font-src 'self'; img-src 'self' data:; connect-src 'self'; "
        + "manifest-src 'self'; worker-src 'self'; base-uri 'none'; form-action 'self'; frame-ancestors 'none'";

    /// <summary>Adds the headers to every answer.</summary>
    public static IApplicationBuilder UseSecurityHeaders(this IApplicationBuilder app) =>
        app.Use(
            (context, next) =>
            {
                var headers = context.Response.Headers;
                headers.ContentSecurityPolicy = Policy;
                headers.XContentTypeOptions = "nosniff";
                headers["Referrer-Policy"] = "same-origin";
                headers["Cross-Origin-Opener-Policy"] = "same-origin";
                if (context.Request.Path.StartsWithSegments("/s") || context.Request.Path.StartsWithSegments("/api/v1/training"))
                {
                    headers["Referrer-Policy"] = "no-referrer";
                    headers["X-Robots-Tag"] = "noindex, nofollow";
                }

                if (context.Request.Path.StartsWithSegments("/api"))
                {
                    headers.CacheControl = "no-store";
                }

                return next(context);
            }
        );
}
