using Microsoft.AspNetCore.HttpOverrides;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Infrastructure;

/// <summary>Proxies that stand before the application.</summary>
public static class NamedProxies
{
    /// <summary>Headers of a proxy count only when they come from one that is named.</summary>
    public static void AddNamedProxies(this IServiceCollection services) =>
        services
            .AddOptions<ForwardedHeadersOptions>()
            .Configure<IOptions<IngegnoOptions>>(
                (forwarded, options) =>
                {
                    forwarded.ForwardedHeaders = ForwardedHeaders.XForwardedFor | ForwardedHeaders.XForwardedProto;
                    forwarded.KnownProxies.Clear();
                    forwarded.KnownIPNetworks.Clear();
                    foreach (var proxy in options.Value.Proxies)
                    {
                        forwarded.KnownProxies.Add(proxy);
                    }
                }
            );
}
