namespace Ingegno.Core.Foundation.Quantities;

/// <summary>
/// Resistance over a rep in kg: where the muscle is long (start), in the middle, and where it is short (end).
/// </summary>
public sealed record ResistanceRange(double Start, double Middle, double End)
{
    /// <summary>Nothing to overcome.</summary>
    public static ResistanceRange None { get; } = new(0, 0, 0);

    /// <summary>Mean over the rep by Simpson's rule.</summary>
    public double Mean => (Start + (4 * Middle) + End) / 6;

    /// <summary>Largest of the three.</summary>
    public double Most => Math.Max(Start, Math.Max(Middle, End));

    /// <summary>The same everywhere.</summary>
    public static ResistanceRange Even(double kg) => new(kg, kg, kg);

    /// <summary>Both together, never below nothing.</summary>
    public ResistanceRange Plus(ResistanceRange other, double factor = 1)
    {
        ArgumentNullException.ThrowIfNull(other);
        return new(
            Math.Max(0, Start + (factor * other.Start)),
            Math.Max(0, Middle + (factor * other.Middle)),
            Math.Max(0, End + (factor * other.End))
        );
    }
}
