using OpenTelemetry.Metrics;
using OpenTelemetry.Resources;
using OpenTelemetry.Trace;

namespace Ingegno.Web.Infrastructure;

/// <summary>What an operator can watch.</summary>
public static class Telemetry
{
    /// <summary>Metrics and traces, to where the operator says and nowhere else. Addresses carry keys of rows, never names; those of calendars
    /// are secrets and stay out.</summary>
    public static void AddTelemetry(this IServiceCollection services, IConfiguration settings)
    {
        if (settings.GetValue<Uri?>(nameof(IngegnoOptions.OtlpEndpoint)) is not { } endpoint)
        {
            return;
        }

        services
            .AddOpenTelemetry()
            .ConfigureResource(resource => resource.AddService("ingegno"))
            .WithMetrics(metrics =>
                metrics.AddAspNetCoreInstrumentation().AddMeter("System.Runtime").AddOtlpExporter(to => to.Endpoint = endpoint)
            )
            .WithTracing(traces =>
                traces
                    .AddAspNetCoreInstrumentation(web => web.Filter = c => !c.Request.Path.StartsWithSegments("/calendar"))
                    .AddOtlpExporter(to => to.Endpoint = endpoint)
            );
    }
}
