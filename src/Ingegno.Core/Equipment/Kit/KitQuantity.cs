using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>What a unit measures.</summary>
internal enum QuantityKind
{
    Mass,
    Volume,
    Length,
    ShortLength,
}

/// <summary>A number with a unit, in kg, L or cm (mm for <see cref="QuantityKind.ShortLength"/>), and where it stood.</summary>
internal sealed record KitQuantity(QuantityKind Kind, double Value, bool Pounds, int Times, bool Limit, int Column, int Length)
{
    private static readonly Regex Pattern = new(
        @"(?<limit>\b(?:carries|holds|rated|bears|up to)\s+(?:at|for)?\s*)?(?:(?<times>[0-9]+)\s*[x×*]\s*)?(?<n>[0-9]+(?:[.,][0-9]+)?)(?:\s*[x×]\s*(?<second>[0-9]+(?:[.,][0-9]+)?))?\s*(?<u>kilograms?|kilos?|kgs?|pounds?|lbs?|grams?|g|litres?|liters?|l|ml|gallons?|gal|centimetres?|cm|mm|metres?|m|inches|inch|in|""|″)(?![\p{L}])",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant | RegexOptions.Compiled,
        TimeSpan.FromMilliseconds(Patterns.TimeoutMs)
    );

    /// <summary>All quantities of a text, in order; a form such as 13 x 4.5 mm gives two.</summary>
    public static IEnumerable<KitQuantity> In(string text)
    {
        foreach (Match match in Pattern.Matches(text))
        {
            var second = match.Groups["second"];
            var times = match.Groups["times"].Success && !second.Success ? ToInt(match.Groups["times"].Value) : 1;
            var n = Number(match.Groups["n"].Value);
            var unit = match.Groups["u"].Value.ToLowerInvariant();

            // "4 x 2.5 kg" reads as four of 2.5 kg, "13 x 4.5 mm" as two lengths.
            if (second.Success && Of(unit, 1).Kind is QuantityKind.Mass or QuantityKind.Volume)
            {
                yield return Make(match, unit, Number(second.Value), (int)Math.Min(n, 1000));
                continue;
            }

            if (match.Groups["times"].Success && Of(unit, 1).Kind is QuantityKind.Length or QuantityKind.ShortLength)
            {
                yield return Make(match, unit, Number(match.Groups["times"].Value), 1);
                times = 1;
            }

            yield return Make(match, unit, n, times);
            if (second.Success)
            {
                yield return Make(match, unit, Number(second.Value), 1);
            }
        }
    }

    /// <summary>The text without its quantities.</summary>
    public static string Without(string text) => Pattern.Replace(text, m => new string(' ', m.Length));

    private static KitQuantity Make(Match match, string unit, double n, int times)
    {
        var (kind, value) = Of(unit, n);
        return new KitQuantity(
            kind,
            value,
            unit is "lb" or "lbs" or "pound" or "pounds",
            times,
            match.Groups["limit"].Success,
            match.Index + 1,
            match.Length
        );
    }

    private static (QuantityKind Kind, double Value) Of(string unit, double n) =>
        unit switch
        {
            "kg" or "kgs" or "kilo" or "kilos" or "kilogram" or "kilograms" => (QuantityKind.Mass, n),
            "lb" or "lbs" or "pound" or "pounds" => (QuantityKind.Mass, n * Units.KgPerPound),
            "g" or "gram" or "grams" => (QuantityKind.Mass, n / 1000),
            "l" or "litre" or "litres" or "liter" or "liters" => (QuantityKind.Volume, n),
            "ml" => (QuantityKind.Volume, n / 1000),
            "gal" or "gallon" or "gallons" => (QuantityKind.Volume, n * Units.LitresPerGallon),
            "mm" => (QuantityKind.ShortLength, n),
            "m" or "metre" or "metres" => (QuantityKind.Length, n * 100),
            "in" or "inch" or "inches" or "\"" or "″" => (QuantityKind.Length, n * Units.CmPerInch),
            _ => (QuantityKind.Length, n),
        };

    private static double Number(string text) => double.Parse(text.Replace(',', '.'), CultureInfo.InvariantCulture);

    private static int ToInt(string text) =>
        int.TryParse(text, NumberStyles.None, CultureInfo.InvariantCulture, out var n) ? Math.Min(n, 1000) : 1000;
}
