namespace Ingegno.Core.Foundation.Quantities;

/// <summary>Exact conversions. Source: NIST SP 811 unless said otherwise. Inside the core everything is kg, cm, L and N.</summary>
public static class Units
{
    /// <summary>1 lb in kg, exact.</summary>
    public const double KgPerPound = 0.45359237;

    /// <summary>1 US gallon in litres, exact.</summary>
    public const double LitresPerGallon = 3.785411784;

    /// <summary>1 inch in cm, exact.</summary>
    public const double CmPerInch = 2.54;

    /// <summary>Standard acceleration of free fall in m/s², by which newtons become kilograms of force.</summary>
    public const double StandardGravity = 9.80665;

    /// <summary>Water at 20 °C, kg/L. Source: CRC Handbook of Chemistry and Physics.</summary>
    public const double WaterKgPerLitre = 0.998;

    /// <summary>A force in newtons as kilograms of force.</summary>
    public static double ToKg(double newtons) => newtons / StandardGravity;
}
