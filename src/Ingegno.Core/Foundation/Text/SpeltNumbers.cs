using System.Collections.Frozen;

namespace Ingegno.Core.Foundation.Text;

/// <summary>Small numbers that are spelt out, in lower case.</summary>
internal static class SpeltNumbers
{
    private static readonly FrozenDictionary<string, int> Values = new Dictionary<string, int>(StringComparer.Ordinal)
    {
        ["zero"] = 0,
        ["one"] = 1,
        ["two"] = 2,
        ["three"] = 3,
        ["four"] = 4,
        ["five"] = 5,
        ["six"] = 6,
        ["seven"] = 7,
        ["eight"] = 8,
        ["nine"] = 9,
        ["ten"] = 10,
        ["eleven"] = 11,
        ["twelve"] = 12,
        ["thirteen"] = 13,
        ["fourteen"] = 14,
        ["fifteen"] = 15,
        ["twenty"] = 20,
        ["thirty"] = 30,
    }.ToFrozenDictionary();

    /// <summary>As alternatives of a pattern.</summary>
    public const string Pattern =
        "zero|one|two|three|four|five|six|seven|eight|nine|ten|eleven|twelve|thirteen|fourteen|fifteen|twenty|thirty";

    /// <summary>What a word stands for; null when it is no number.</summary>
    public static int? TryParse(string word) => Values.TryGetValue(word, out var value) ? value : null;
}
