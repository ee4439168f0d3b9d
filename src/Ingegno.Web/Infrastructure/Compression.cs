using System.IO.Compression;
using Microsoft.AspNetCore.ResponseCompression;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Answers and files go over the line compressed, Brotli before gzip. What carries a token of the page or a secret of a link beside words that
/// somebody else may have sent stays as it is: its length would tell of it (BREACH, 2013).
/// </summary>
public static class Compression
{
    private static readonly string[] Secrets =
    [
        "/api/v1/session",
        "/api/v1/second-factor",
        "/api/v1/password-reset",
        "/api/v1/client-calendars",
    ];

    /// <summary>Adds it.</summary>
    public static IServiceCollection AddCompression(this IServiceCollection services) =>
        services
            .AddResponseCompression(compression =>
            {
                compression.EnableForHttps = true;
                compression.Providers.Add<BrotliCompressionProvider>();
                compression.Providers.Add<GzipCompressionProvider>();
                compression.MimeTypes =
                [
                    .. ResponseCompressionDefaults.MimeTypes,
                    "application/problem+json",
                    "application/manifest+json",
                    "image/svg+xml",
                    "text/csv",
                    "text/calendar",
                ];
            })
            .Configure<BrotliCompressionProviderOptions>(brotli => brotli.Level = CompressionLevel.Optimal)
            .Configure<GzipCompressionProviderOptions>(gzip => gzip.Level = CompressionLevel.Fastest);

    /// <summary>Compresses whatever holds no secret.</summary>
    public static IApplicationBuilder UseCompression(this IApplicationBuilder app) =>
        app.UseWhen(context => !HoldsSecret(context.Request.Path), branch => branch.UseResponseCompression());

    private static bool HoldsSecret(PathString path) =>
        Secrets.Any(secret => path.StartsWithSegments(secret))
        || (path.StartsWithSegments("/api/v1/clients") && path.Value!.EndsWith("/link", StringComparison.Ordinal))
        || (path.StartsWithSegments("/api/v1/plans") && path.Value!.EndsWith("/releases", StringComparison.Ordinal));
}
