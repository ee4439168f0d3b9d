using System.Collections.Immutable;

namespace Ingegno.Core.Foundation.Quantities;

/// <summary>Straight lines between published points.</summary>
public static class Interpolation
{
    /// <summary>
    /// y at x between points (x, y) with x rising; beyond the ends the nearest point is kept and <c>Inside</c> is false.
    /// </summary>
    public static (double Value, bool Inside) Linear(ImmutableArray<ImmutableArray<double>> points, double x)
    {
        if (x <= points[0][0])
        {
            return (points[0][1], x >= points[0][0] - 1e-9);
        }

        for (var i = 1; i < points.Length; i++)
        {
            var (before, after) = (points[i - 1], points[i]);
            if (x <= after[0])
            {
                return (before[1] + ((after[1] - before[1]) * (x - before[0]) / (after[0] - before[0])), true);
            }
        }

        return (points[^1][1], false);
    }
}
