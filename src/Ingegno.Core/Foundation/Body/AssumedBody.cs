namespace Ingegno.Core.Foundation.Body;

/// <summary>
/// What is taken for a body that nobody has measured: near the middle of men and women, a marked estimate and no statement about anybody.
/// Common practice.
/// </summary>
public static class AssumedBody
{
    /// <summary>Body mass, kg.</summary>
    public const double MassKg = 70;

    /// <summary>Stature, cm.</summary>
    public const double StatureCm = 172;
}
