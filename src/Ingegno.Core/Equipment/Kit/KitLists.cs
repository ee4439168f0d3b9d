using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>
/// Writes out what people say of several things in one breath, so that each thing stands with its own noun and unit: "dumbbells 5, 10, 15 lb",
/// "2x5, 2x10 kg dumbbells", "bands (light, heavy)", "barbell 20 kg with 2x20, 2x10". Common practice.
/// </summary>
internal static partial class KitLists
{
    private const string Figure = @"[0-9]{1,3}(?:[.,][0-9]{1,2})?";
    private const string Unit = @"(?:kgs?|kilos?|lbs?|pounds?)";
    private const string Several = @"[0-9]{1,2}\s*[x×]\s*" + Figure;

    // Lists are taken whole or not at all (?>…): no text makes a pattern try the same figures again and again.
    private const string And = @"\s*(?:,|/|\+|&|\band\b)?\s*";

    /// <summary>The text with such lists written out; everything else as it was.</summary>
    public static string WrittenOut(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        text = Hyphened().Replace(text, "${n} ${unit}");
        text = PlatesOfBar().Replace(text, m => Loaded(m));
        text = SeveralOfOne().Replace(text, m => Spread(m, Times(), v => $"{v} {m.Groups["unit"].Value} {m.Groups["noun"].Value}"));
        text = BarAndWeight().Replace(text, m => AsPlates(m));
        text = FiguresBeforeOne()
            .Replace(
                text,
                m => string.Join(", ", Masses().Matches(m.Groups["list"].Value).Select(f => Written(f, m.Groups["noun"].Value)))
            );
        text = FiguresOfOne().Replace(text, m => Spread(m, Figures(), v => $"{m.Groups["noun"].Value} {v} {m.Groups["unit"].Value}"));
        return InBrackets()
            .Replace(text, m => m.Groups["list"].Value.Split(',').All(IsKind) ? $"bands: {m.Groups["list"].Value}" : m.Value);
    }

    /// <summary>A bar with the plates that belong to it, as one thing.</summary>
    private static string Loaded(Match m)
    {
        var (bar, list) = (m.Groups["bar"].Value.ToLowerInvariant(), m.Groups["list"].Value);
        var pounds = list.Contains("lb", StringComparison.OrdinalIgnoreCase) || list.Contains("pound", StringComparison.OrdinalIgnoreCase);
        var unit = pounds ? "lb" : "kg";
        var spoken = SpokenBar.Read(bar);
        var handle = m.Groups["handle"].Success ? m.Groups["handle"].Value.Trim('(', ')', ' ') : $"{Words.Number(spoken.HandleKg, 0)} kg";
        var plates = string.Join(' ', Times().Matches(list).Select(t => $"{t.Value} {unit}"));
        return $"; {(spoken.Trap ? "trap bar" : "barbell set")} {handle} {plates}; ";
    }

    /// <summary>"Barbell and 60 kg": what is no bar's own weight is plates; a light one behind a comma may be anything.</summary>
    private static string AsPlates(Match m)
    {
        var said = m.Groups["joint"].Value.Trim();
        var light = double.Parse(m.Groups["mass"].Value.Replace(',', '.'), CultureInfo.InvariantCulture) < LeastOfPlates;
        return light && said == ","
            ? m.Value
            : $"; {m.Groups["bar"].Value} with {m.Groups["mass"].Value} {m.Groups["unit"].Value} of plates";
    }

    /// <summary>From here on a weight behind a comma is plates of the bar before it, kg or lb as said (common practice).</summary>
    private const double LeastOfPlates = 30;

    /// <summary>One of several weights with the unit and the noun of all: "a 16" of "a 16 and a 24 kg kettlebell".</summary>
    private static string Written(Match mass, string noun)
    {
        var count =
            mass.Groups["times"].Success ? $"{mass.Groups["times"].Value}x "
            : mass.Groups["after"].Success ? $"{mass.Groups["after"].Value}x "
            : mass.Groups["pair"].Success ? "2x "
            : string.Empty;
        return $"{count}{mass.Groups["n"].Value} {(mass.Groups["unit"].Success ? mass.Groups["unit"].Value : "kg")} {noun}";
    }

    private static string Spread(Match m, Regex each, Func<string, string> written) =>
        string.Join(", ", each.Matches(m.Groups["list"].Value).Select(f => written(f.Value)));

    private static readonly ImmutableHashSet<string> Kinds = ["extra light", "light", "medium", "heavy", "extra heavy", "strong"];

    private static bool IsKind(string text) => Kinds.Contains(text.Trim().ToLowerInvariant());

    [GeneratedRegex(@"(?<n>[0-9])-(?<unit>litres?|liters?|kg|kilos?|lbs?|pounds?|cm|l)\b", RegexOptions.IgnoreCase, Patterns.TimeoutMs)]
    private static partial Regex Hyphened();

    [GeneratedRegex(Several, RegexOptions.IgnoreCase, Patterns.TimeoutMs)]
    private static partial Regex Times();

    [GeneratedRegex(Figure, RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Figures();

    [GeneratedRegex(
        @"\b(?<bar>(?:olympic |ez |ez curl |curl |hex |trap )?bar(?:bell)?)\s*(?<handle>\(?"
            + Figure
            + @"\s*"
            + Unit
            + @"\)?)?(?:[\s,]*(?:with|and|\+|plus|&)?\s*(?:weight |bumper )?plates?\s*(?:of\b)?\s*:?|\s+with|\s*:)\s*(?<list>(?>"
            + Several
            + @"(?:\s*"
            + Unit
            + @"\b)?(?:"
            + And
            + Several
            + @"(?:\s*"
            + Unit
            + @"\b)?)*))(?:\s*(?:of )?plates\b)?(?!\s*[\p{L}0-9])",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex PlatesOfBar();

    [GeneratedRegex(
        @"(?<list>(?>"
            + Several
            + @"(?:"
            + And
            + Several
            + @")+))\s*(?<unit>"
            + Unit
            + @")\s+(?<noun>dumbbells?|dbs?|kettlebells?|kbs?|plates?)\b",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex SeveralOfOne();

    [GeneratedRegex(
        @"\b(?<noun>dumbbells?|dbs|kettlebells?|kbs|plates|loop bands|bands)\s*[:@]?\s*(?<list>(?>"
            + Figure
            + @"(?:\s*"
            + Unit
            + @"\b)?(?:\s*(?:,|/|&|\band\b)\s*"
            + Figure
            + @")+))\s*(?<unit>"
            + Unit
            + @")\b",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex FiguresOfOne();

    [GeneratedRegex(
        @"\b(?<bar>(?:olympic |ez |ez curl |curl |hex |trap )?bar(?:bell)?)(?<joint>\s*(?:,|\+|&)\s*|\s+(?:and|plus)\s+)(?<mass>"
            + Figure
            + @")\s*(?<unit>"
            + Unit
            + @")(?:\s*(?:of )?(?:plates|weights?))?(?=\s*(?:[,;.]|and\b|$))",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex BarAndWeight();

    private const string OneMass =
        @"(?:an? |one )?(?:(?<pair>(?:1 |a |one )?pair (?:of )?)|(?<times>[0-9]{1,2})\s*[x×]\s*)?(?<n>"
        + Figure
        + @")\s*(?<unit>"
        + Unit
        + @")?(?:\s*[x×]\s*(?<after>[0-9]{1,2})\b)?";

    [GeneratedRegex(OneMass, RegexOptions.IgnoreCase, Patterns.TimeoutMs)]
    private static partial Regex Masses();

    [GeneratedRegex(
        @"(?<=^\s*|[,;.]\s+|[(&+]\s*|\b(?:and|with|has|have|got|plus|owns?|some|are)\s)(?<list>(?>"
            + OneMass
            + @"(?:\s*(?:,|/|&|\band\b)\s*"
            + OneMass
            + @")+))\s*(?<noun>dumbbells?|dbs?|kettlebells?|kbs?)\b",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex FiguresBeforeOne();

    [GeneratedRegex(
        @"(?<!\b(?:two|three|four|five|[0-9])\s(?:\p{L}+\s)?)\bbands?\s*\((?<list>[\p{L} ,]{3,60})\)",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex InBrackets();
}
