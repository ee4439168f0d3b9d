namespace Ingegno.Core.Foundation.Reasons;

/// <summary>Unit of a <see cref="Quantity"/>.</summary>
public enum Unit
{
    /// <summary>Kilograms.</summary>
    Kg,

    /// <summary>A share, 1 for the whole, told in percent.</summary>
    Percent,

    /// <summary>Seconds.</summary>
    Seconds,

    /// <summary>Centimetres.</summary>
    Cm,

    /// <summary>Litres.</summary>
    Litres,
}

/// <summary>A figure with its unit, rounded the way it is told.</summary>
/// <param name="Value">The figure.</param>
/// <param name="Unit">Its unit.</param>
public readonly record struct Quantity(double Value, Unit Unit)
{
    /// <summary>Kilograms, told with so many decimals.</summary>
    public static Quantity Kg(double kg, int decimals = 1) => new(Rounded(kg, decimals), Unit.Kg);

    /// <summary>A share, told in whole percent.</summary>
    public static Quantity Percent(double share) => new(Rounded(share, 2), Unit.Percent);

    /// <summary>Seconds.</summary>
    public static Quantity Seconds(double seconds) => new(Rounded(seconds, 0), Unit.Seconds);

    /// <summary>Centimetres, told with so many decimals.</summary>
    public static Quantity Cm(double cm, int decimals = 1) => new(Rounded(cm, decimals), Unit.Cm);

    private static double Rounded(double value, int decimals) => Math.Round(value, decimals, MidpointRounding.AwayFromZero);
}
