using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>For whom and with what a figure is drawn.</summary>
/// <param name="StatureCm">Stature, cm, above 0.</param>
/// <param name="HeightsCm">Heights of the things by role, cm; roles that are missing take the usual height.</param>
public sealed record FigureScene(double StatureCm, ImmutableDictionary<string, double> HeightsCm)
{
    /// <summary>A person of usual stature among things of usual heights.</summary>
    public static FigureScene Usual { get; } = new(AssumedBody.StatureCm, ImmutableDictionary<string, double>.Empty);

    /// <summary>Height of the thing that plays a role in a figure, in shares of stature; 0 where there is none.</summary>
    public double HeightOf(Figure figure, string? role)
    {
        ArgumentNullException.ThrowIfNull(figure);
        if (role is null)
        {
            return 0;
        }

        var thing = figure.Things.FirstOrDefault(t => (t.Role ?? t.Kind) == role);
        return (thing?.Role is { } played && HeightsCm.TryGetValue(played, out var cm) ? cm : thing?.HeightCm ?? 0) / StatureCm;
    }
}
