using Microsoft.AspNetCore.StaticFiles;

namespace Ingegno.Web.Infrastructure;

/// <summary>How long browsers may keep files: those with a hash in their name for good, all others are asked about each time.</summary>
public static class StaticCaching
{
    public static void Say(StaticFileResponseContext file)
    {
        ArgumentNullException.ThrowIfNull(file);
        file.Context.Response.Headers.CacheControl =
            file.Context.Request.Path is var path && (path.StartsWithSegments("/assets") || path.StartsWithSegments("/s/assets"))
                ? "public, max-age=31536000, immutable"
                : "no-cache";
    }
}
