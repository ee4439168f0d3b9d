using System.Text;
using Microsoft.Net.Http.Headers;

namespace Ingegno.Web.Infrastructure;

/// <summary>Refuses a body that names a kind of content or characters that nobody here reads, before anything tries to.</summary>
public static class ReadableContent
{
    public static IApplicationBuilder UseReadableContent(this IApplicationBuilder app) =>
        app.Use(
            async (context, next) =>
            {
                if (
                    context.Request.Path.StartsWithSegments("/api")
                    && context.Request.ContentType is { Length: > 0 } type
                    && !(MediaTypeHeaderValue.TryParse(type, out var parsed) && IsRead(parsed))
                )
                {
                    await Problems
                        .Make(
                            StatusCodes.Status415UnsupportedMediaType,
                            "content-type",
                            "This kind of content is not read here",
                            "Send JSON in UTF-8, with the header Content-Type: application/json. Nothing was changed."
                        )
                        .ExecuteAsync(context);
                    return;
                }

                await next(context);
            }
        );

    private static bool IsRead(MediaTypeHeaderValue type) =>
        (type.MatchesMediaType("application/json") || type.Suffix.Equals("json", StringComparison.OrdinalIgnoreCase))
        && (
            !type.Charset.HasValue
            || Encoding.UTF8.WebName.Equals(HeaderUtilities.RemoveQuotes(type.Charset).Value, StringComparison.OrdinalIgnoreCase)
        );
}
