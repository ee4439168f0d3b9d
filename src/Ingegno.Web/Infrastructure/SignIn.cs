using System.Security.Cryptography.X509Certificates;
using Ingegno.Storage;
using Ingegno.Web.Features;
using Microsoft.AspNetCore.Authentication;
using Microsoft.AspNetCore.Authentication.Cookies;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.DataProtection.KeyManagement;
using Microsoft.AspNetCore.DataProtection.Repositories;
using Microsoft.AspNetCore.DataProtection.XmlEncryption;
using Microsoft.AspNetCore.RateLimiting;
using Microsoft.Extensions.Logging.Abstractions;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Infrastructure;

/// <summary>Who may come in: cookies of coaches, links of clients, the keys that protect both, and the pace of guesses.</summary>
public static class SignIn
{
    /// <summary>Adds all of it.</summary>
    /// <param name="services">Where to.</param>
    /// <param name="describing">The API is only described: no key is written.</param>
    public static void AddSignIn(this IServiceCollection services, bool describing)
    {
        AddKeys(services, describing);
        services
            .AddAuthentication(CookieAuthenticationDefaults.AuthenticationScheme)
            .AddCookie(cookie =>
            {
                cookie.Cookie.Name = "ingegno";
                cookie.Cookie.HttpOnly = true;
                cookie.Cookie.SameSite = SameSiteMode.Strict;
                cookie.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest; // HTTPS reaches us as such through a named proxy.
                cookie.ExpireTimeSpan = TimeSpan.FromDays(365); // The server says when a session is over.
                cookie.SlidingExpiration = true;
                cookie.Events.OnValidatePrincipal = context =>
                {
                    var (services, user) = (context.HttpContext.RequestServices, context.Principal);
                    var options = services.GetRequiredService<IOptions<IngegnoOptions>>().Value;
                    if (
                        user?.SessionKey() is not { } key
                        || !services
                            .GetRequiredService<SignedInStore>()
                            .Runs(
                                key,
                                user.CoachId(),
                                TimeSpan.FromDays(options.SessionIdleDays),
                                TimeSpan.FromDays(options.SessionLongestDays)
                            )
                    )
                    {
                        context.RejectPrincipal();
                    }

                    return Task.CompletedTask;
                };
                cookie.Events.OnRedirectToLogin = context =>
                    Refuse(
                        context.HttpContext,
                        StatusCodes.Status401Unauthorized,
                        "signed-out",
                        "You are signed out",
                        "Sign in again; what you typed is still here."
                    );
                cookie.Events.OnRedirectToAccessDenied = context =>
                    Refuse(
                        context.HttpContext,
                        StatusCodes.Status403Forbidden,
                        "forbidden",
                        "That is not yours to open",
                        "Sign in as the coach it belongs to."
                    );
                cookie.Events.OnRedirectToLogout = _ => Task.CompletedTask;
            })
            .AddScheme<AuthenticationSchemeOptions, LinkSignIn>(LinkSignIn.SchemeName, null);

        // Everything is closed unless it says otherwise; a test lists what does. A client's link opens the session application and nothing else.
        services
            .AddAuthorizationBuilder()
            .SetFallbackPolicy(new AuthorizationPolicyBuilder().RequireAuthenticatedUser().Build())
            .AddPolicy(LinkSignIn.Policy, policy => policy.AddAuthenticationSchemes(LinkSignIn.SchemeName).RequireAuthenticatedUser());
        services.AddAntiforgery(antiforgery =>
        {
            antiforgery.HeaderName = AntiforgeryCheck.Header;
            antiforgery.Cookie.Name = "ingegno-antiforgery";
            antiforgery.Cookie.SameSite = SameSiteMode.Strict;
            antiforgery.Cookie.SecurePolicy = CookieSecurePolicy.SameAsRequest;
        });
        services.AddRateLimiter(limiter =>
        {
            limiter.OnRejected = async (context, _) =>
            {
                var guesses = context.HttpContext.GetEndpoint()?.Metadata.GetMetadata<EnableRateLimitingAttribute>()?.PolicyName;
                if (guesses == SessionEndpoints.RateLimit)
                {
                    await Refuse(
                        context.HttpContext,
                        StatusCodes.Status429TooManyRequests,
                        "too-many-tries",
                        "Too many tries",
                        "Wait a minute, then try again."
                    );
                    return;
                }

                context.HttpContext.Response.Headers.RetryAfter = "5";
                await Refuse(
                    context.HttpContext,
                    StatusCodes.Status503ServiceUnavailable,
                    "busy",
                    "Too much at once",
                    "More was asked for than the server does at the same time. Nothing was changed; try again in a moment."
                );
            };
            limiter.AddPolicy(FairShare.Policy, FairShare.PartitionOf);
            // Hashing a password costs on purpose: a crowd of guesses queues and leaves the rest of the machine alone.
            limiter.AddConcurrencyLimiter(
                SessionEndpoints.RateLimit,
                hashing => (hashing.PermitLimit, hashing.QueueLimit) = (Environment.ProcessorCount, 100)
            );
        });
    }

    /// <summary>
    /// Keys that protect cookies: in a folder of their own account beside the database, locked by a certificate where one is named;
    /// while the API is described nothing is written.
    /// </summary>
    private static void AddKeys(IServiceCollection services, bool describing)
    {
        var protection = services.AddDataProtection().SetApplicationName("Ingegno");
        if (describing)
        {
            protection.UseEphemeralDataProtectionProvider();
            return;
        }

        services
            .AddOptions<KeyManagementOptions>()
            .Configure<IOptions<IngegnoOptions>>(
                (keys, options) =>
                {
                    if (options.Value.KeyCertificate is { } certificate)
                    {
                        keys.XmlEncryptor = new CertificateXmlEncryptor(
                            X509CertificateLoader.LoadPkcs12FromFile(certificate, options.Value.KeyCertificatePassword),
                            NullLoggerFactory.Instance
                        );
                    }
                }
            )
            .Configure<IOptions<IngegnoOptions>, ILoggerFactory>(
                (keys, options, logs) =>
                    keys.XmlRepository = new FileSystemXmlRepository(new DirectoryInfo(Path.Combine(options.Value.Data, "keys")), logs)
            );
    }

    private static Task Refuse(HttpContext context, int status, string code, string title, string detail) =>
        Problems.Make(status, code, title, detail).ExecuteAsync(context);
}
