namespace Ingegno.Core.Equipment.Loading.Bands;

/// <summary>
/// Rubber in simple extension. λ is the stretched over the rest length; areas are those of the unstretched rubber in mm²,
/// moduli in MPa, so that forces come out in newtons.
/// </summary>
public static class RubberLaw
{
    /// <summary>Shear modulus of vulcanised natural rubber, MPa. Source: Treloar, The Physics of Rubber Elasticity.</summary>
    public const double NaturalRubberMpa = 0.39;

    /// <summary>F = A0·G·(λ − 1/λ²) in N. Source: Treloar; holds up to about λ = 2–3. Slack rubber pulls with nothing.</summary>
    public static double Gaussian(double areaMm2, double modulusMpa, double stretch) =>
        stretch <= 1 ? 0 : areaMm2 * modulusMpa * Strain(stretch);

    /// <summary>F = 2·A0·(λ − 1/λ²)·(C1 + C2/λ) in N, after Mooney and Rivlin. Source: Treloar.</summary>
    public static double MooneyRivlin(double areaMm2, double c1Mpa, double c2Mpa, double stretch) =>
        stretch <= 1 ? 0 : 2 * areaMm2 * Strain(stretch) * (c1Mpa + (c2Mpa / stretch));

    /// <summary>λ − 1/λ².</summary>
    public static double Strain(double stretch) => stretch - (1 / (stretch * stretch));
}
