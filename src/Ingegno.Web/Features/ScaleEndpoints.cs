using System.Net.ServerSentEvents;
using System.Runtime.CompilerServices;
using Ingegno.Web.Devices;
using Ingegno.Web.Infrastructure;

namespace Ingegno.Web.Features;

/// <summary>Live readings of a hanging scale, as server-sent events.</summary>
public static class ScaleEndpoints
{
    public static void MapScale(this IEndpointRouteBuilder api) => api.MapGet("/scale/readings", Readings).ExcludeFromDescription();

    private static IResult Readings(
        double flatCm,
        double widthMm,
        double thicknessMm,
        int strands,
        double lengthCm,
        IHangingScales scales,
        CancellationToken cancellation
    )
    {
        if (
            !(flatCm is > 0 and <= 500)
            || !(widthMm is > 0 and <= 200)
            || !(thicknessMm is > 0 and <= 20)
            || strands is < 1 or > 2
            || !(lengthCm is > 0 and <= 2000)
        )
        {
            return Problems.Invalid("lengthCm", "A pull needs the size of the band and a length, all above 0.");
        }

        var scale = scales.ForPull(new SimulatedPull(flatCm, widthMm, thicknessMm, strands, lengthCm));
        return TypedResults.ServerSentEvents(Events(scale, cancellation));
    }

    private static async IAsyncEnumerable<SseItem<ScaleReading>> Events(
        IHangingScale scale,
        [EnumeratorCancellation] CancellationToken cancellation
    )
    {
        await foreach (var reading in scale.Readings(cancellation))
        {
            yield return new SseItem<ScaleReading>(reading, "reading");
        }
    }
}
