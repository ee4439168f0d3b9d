namespace Ingegno.Core.Foundation.Quantities;

/// <summary>When two loads are one to a client.</summary>
public static class SameLoad
{
    /// <summary>
    /// Loads nearer than this are the same, kg (own decision: what a printed and a weighed figure of one thing differ by, and less than the
    /// smallest plate that is sold).
    /// </summary>
    public const double WithinKg = 0.15;

    /// <summary>The two loads are the same.</summary>
    public static bool IsSame(double oneKg, double otherKg) => Math.Abs(oneKg - otherKg) < WithinKg;
}
