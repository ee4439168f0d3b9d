using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Loading.Bands;

/// <summary>Turns what is known of a band into its force curve.</summary>
public static class BandCalibration
{
    /// <summary>
    /// The curve of a band: fitted to calibration points when there are any, else from its size, else from its nominal
    /// force at twice its length.
    /// </summary>
    /// <exception cref="BandMeasureException">The points contradict one another or the measures cannot be.</exception>
    public static BandForceCurve CurveOf(Thing band)
    {
        ArgumentNullException.ThrowIfNull(band);
        var strands = band.Kind.Is("closed-loop") ? 2 : 1;
        var flat = band.RestLengthCm;
        if (!(flat > 0))
        {
            throw new BandMeasureException(Reason.Of("band.no-length", ("band", band.InWords)));
        }

        if (!band.Item.Calibration.IsDefaultOrEmpty)
        {
            return Fit(flat, strands, band.Item.Calibration);
        }

        if (band.WidthMm > 0 && band.ThicknessMm > 0 && band.Item.ForceKg is null)
        {
            return new BandForceCurve(
                flat * strands,
                strands,
                band.WidthMm * band.ThicknessMm * RubberLaw.NaturalRubberMpa,
                0,
                BandBasis.Size
            );
        }

        if (!(band.ForceKg > 0))
        {
            throw new BandMeasureException(Reason.Of("band.no-force", ("band", band.InWords)));
        }

        var tension = band.ForceKg * Units.StandardGravity / strands;
        return new BandForceCurve(flat * strands, strands, tension / RubberLaw.Strain(2), 0, BandBasis.Nominal);
    }

    /// <summary>
    /// Least squares over the measured points. One or two points scale the Gaussian law; three or more also fit the
    /// second constant, with the force kept rising over all stretches (A ≥ 0 and A + B ≥ 0).
    /// </summary>
    /// <param name="flatCm">Length end to end at rest, in cm, above 0.</param>
    /// <param name="strands">Strands that share the force.</param>
    /// <param name="points">Lengths and forces in any order.</param>
    /// <exception cref="BandMeasureException">A length is not above the rest length, a force not above 0, or a longer point has less
    /// force.</exception>
    public static BandForceCurve Fit(double flatCm, int strands, ImmutableArray<CalibrationPoint> points)
    {
        Check(flatCm, points);
        var samples = points
            .Select(p => (Stretch: p.LengthCm / flatCm, Tension: p.ForceKg * Units.StandardGravity / strands))
            .Select(p => (p.Stretch, p.Tension, X: RubberLaw.Strain(p.Stretch), Y: RubberLaw.Strain(p.Stretch) / p.Stretch))
            .ToList();
        double Missed(double a, double b) => samples.Sum(s => Square(s.Tension - (a * s.X) - (b * s.Y)));
        var alone = (A: samples.Sum(s => s.X * s.Tension) / samples.Sum(s => s.X * s.X), B: 0.0);
        var best = alone;
        if (samples.Select(s => s.Stretch).Distinct().Count() >= 3)
        {
            foreach (var (a, b) in Candidates().Where(c => c.A >= 0 && c.A + c.B >= 0))
            {
                if (Missed(a, b) < Missed(best.A, best.B) - 1e-12)
                {
                    best = (a, b);
                }
            }
        }

        var error = Units.ToKg(strands * Math.Sqrt(Missed(best.A, best.B) / samples.Count));
        return new BandForceCurve(flatCm * strands, strands, best.A, best.B, BandBasis.Calibrated, samples.Max(s => s.Stretch), error);

        // The free optimum, and the optima on the two edges of what keeps the force rising.
        IEnumerable<(double A, double B)> Candidates()
        {
            double xx = samples.Sum(s => s.X * s.X),
                xy = samples.Sum(s => s.X * s.Y),
                yy = samples.Sum(s => s.Y * s.Y);
            double xt = samples.Sum(s => s.X * s.Tension),
                yt = samples.Sum(s => s.Y * s.Tension);
            var determinant = (xx * yy) - (xy * xy);
            if (determinant > 1e-12 * xx * yy)
            {
                yield return (((xt * yy) - (yt * xy)) / determinant, ((yt * xx) - (xt * xy)) / determinant);
            }

            yield return (0, yt / yy);
            var edge = samples.Sum(s => (s.X - s.Y) * s.Tension) / samples.Sum(s => Square(s.X - s.Y));
            yield return (edge, -edge);
        }
    }

    private static void Check(double flatCm, ImmutableArray<CalibrationPoint> points)
    {
        if (!(flatCm > 0))
        {
            throw new BandMeasureException(Reason.Of("band.rest-length"));
        }

        foreach (var point in points)
        {
            if (!(point.LengthCm > flatCm))
            {
                throw new BandMeasureException(
                    Reason.Of("band.slack", ("length", Quantity.Cm(point.LengthCm)), ("rest", Quantity.Cm(flatCm)))
                );
            }

            if (!(point.ForceKg > 0))
            {
                throw new BandMeasureException(Reason.Of("band.no-pull", ("length", Quantity.Cm(point.LengthCm))));
            }
        }

        var sorted = points.OrderBy(p => p.LengthCm).ThenBy(p => p.ForceKg).ToList();
        foreach (var (shorter, longer) in sorted.Zip(sorted.Skip(1)))
        {
            if (longer.LengthCm > shorter.LengthCm && longer.ForceKg < shorter.ForceKg)
            {
                throw new BandMeasureException(
                    Reason.Of(
                        "band.falls",
                        ("force", Quantity.Kg(shorter.ForceKg)),
                        ("length", Quantity.Cm(shorter.LengthCm)),
                        ("less", Quantity.Kg(longer.ForceKg)),
                        ("longer", Quantity.Cm(longer.LengthCm))
                    )
                );
            }
        }
    }

    private static double Square(double x) => x * x;
}

/// <summary>Measures of a band that cannot be, or that contradict one another.</summary>
/// <param name="reason">What is wrong and what to do.</param>
public sealed class BandMeasureException(Reason reason) : Exception(reason.Code)
{
    /// <summary>What is wrong and what to do.</summary>
    public Reason Reason { get; } = reason;
}
