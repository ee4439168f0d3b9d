using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Loading.Bands;

/// <summary>What a force curve rests on.</summary>
public enum BandBasis
{
    /// <summary>A number printed on it or guessed: force at twice the rest length.</summary>
    Nominal,

    /// <summary>Width, thickness and the modulus of natural rubber.</summary>
    Size,

    /// <summary>Measured at lengths.</summary>
    Calibrated,
}

/// <summary>
/// Tension of one strand against its stretch: T = (λ − 1/λ²)·(A + B/λ) in N. A alone is the Gaussian law with A = A0·G;
/// with B it is Mooney–Rivlin with A = 2·A0·C1, B = 2·A0·C2.
/// </summary>
/// <param name="RestCm">Rest length of the whole strand in cm: twice the flat length for a loop.</param>
/// <param name="Strands">Strands that share the force when it is pulled end to end: 2 for a loop, 1 for tube and strip.</param>
/// <param name="A">Newtons.</param>
/// <param name="B">Newtons.</param>
/// <param name="Basis">What it rests on.</param>
/// <param name="LargestMeasured">Largest stretch that was measured, null when nothing was.</param>
/// <param name="ErrorKg">Root mean square of what the fit misses, in kg of the whole band; null when not calibrated.</param>
public sealed record BandForceCurve(
    double RestCm,
    int Strands,
    double A,
    double B,
    BandBasis Basis,
    double? LargestMeasured = null,
    double? ErrorKg = null
)
{
    /// <summary>Rigs up to this stretch are preferred: the pull rises evenly and the band lasts (common practice).</summary>
    public const double ComfortStretch = 2.5;

    /// <summary>Past this stretch life and safety drop (common practice: 300 % of the rest length).</summary>
    public const double WarnStretch = 3;

    /// <summary>Stretch that nobody should use, and the end of what the law is trusted with when nothing was measured.</summary>
    public const double MostStretch = 3.0;

    /// <summary>How far beyond the largest measured stretch the curve may be used.</summary>
    public const double BeyondMeasured = 1.2;

    /// <summary>Length end to end at rest, in cm.</summary>
    public double FlatCm => RestCm / Strands;

    /// <summary>Largest stretch for which a force is given.</summary>
    public double Limit => LargestMeasured is { } measured ? Math.Min(MostStretch, measured * BeyondMeasured) : MostStretch;

    /// <summary>It may be stretched so far.</summary>
    public bool Bears(double stretch) => stretch <= Limit + 1e-9;

    /// <summary>Tension of a strand in N; 0 when slack.</summary>
    /// <exception cref="StretchLimitException">The stretch is beyond <see cref="Limit"/>.</exception>
    public double TensionN(double stretch)
    {
        if (!Bears(stretch))
        {
            throw new StretchLimitException(stretch, this);
        }

        return stretch <= 1 ? 0 : RubberLaw.Strain(stretch) * (A + (B / stretch));
    }

    /// <summary>Force of the whole band in kg, pulled end to end to a length in cm.</summary>
    /// <exception cref="StretchLimitException">The length is beyond the limit.</exception>
    public double ForceKg(double lengthCm) => Units.ToKg(Strands * TensionN(lengthCm / FlatCm));
}

/// <summary>A band would be stretched further than it was measured or than is safe.</summary>
public sealed class StretchLimitException(double stretch, BandForceCurve curve) : Exception("band.stretch")
{
    /// <summary>Why it is too far, and what to do.</summary>
    public Reason Reason { get; } =
        curve.LargestMeasured is { } measured && measured * BandForceCurve.BeyondMeasured < BandForceCurve.MostStretch
            ? Reason.Of("band.beyond-measured", ("times", Rounded(stretch)), ("measured", Rounded(measured)))
            : Reason.Of("band.beyond-limit", ("times", Rounded(stretch)), ("most", BandForceCurve.MostStretch));

    private static double Rounded(double times) => Math.Round(times, 2, MidpointRounding.AwayFromZero);

    public double Stretch { get; } = stretch;
}
