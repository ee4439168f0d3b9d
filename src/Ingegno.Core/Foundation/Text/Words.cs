using System.Globalization;
using System.Text;
using System.Text.Json;

namespace Ingegno.Core.Foundation.Text;

/// <summary>Turns values into the plain words that reasons and set-ups are written in.</summary>
public static class Words
{
    /// <summary>The enumeration value in words: <c>HorizontalPull</c> becomes "horizontal pull".</summary>
    public static string Of<T>(T value)
        where T : struct, Enum => EnumWords<T>.Texts.GetValueOrDefault(value) ?? value.ToString();

    /// <summary>Words of every value, made once: reasons name them thousands of times.</summary>
    private static class EnumWords<T>
        where T : struct, Enum
    {
        public static readonly Dictionary<T, string> Texts = Enum.GetValues<T>()
            .Distinct()
            .ToDictionary(v => v, v => JsonNamingPolicy.KebabCaseLower.ConvertName(v.ToString()).Replace('-', ' '));
    }

    /// <summary>A list as a sentence part: "a", "a and b", "a, b and c".</summary>
    public static string Join(IReadOnlyList<string> parts) =>
        parts.Count switch
        {
            0 => string.Empty,
            1 => parts[0],
            _ => string.Join(", ", parts.Take(parts.Count - 1)) + " and " + parts[^1],
        };

    /// <summary>A number with at most <paramref name="decimals"/> decimals, dot as the decimal mark, no trailing zeros.</summary>
    public static string Number(double value, int decimals = 1) =>
        Math.Round(value, decimals, MidpointRounding.AwayFromZero).ToString("0." + new string('#', decimals), CultureInfo.InvariantCulture);

    /// <summary>"1 set", "3 sets".</summary>
    public static string Count(int count, string thing) => $"{count} {thing}{(count == 1 ? string.Empty : "s")}";

    /// <summary>A share between 0 and 1 as a whole percentage, for instance "64 %".</summary>
    public static string Percent(double share) => Number(share * 100, 0) + " %";

    /// <summary>The text with its first letter in upper case.</summary>
    public static string Sentence(string text) => string.IsNullOrEmpty(text) ? text : char.ToUpperInvariant(text[0]) + text[1..];

    /// <summary>
    /// The form in which names are compared: lower case, accents and punctuation dropped, single spaces,
    /// plural endings removed, usual abbreviations spelt out.
    /// </summary>
    public static string Normalise(string name)
    {
        ArgumentNullException.ThrowIfNull(name);
        var letters = new StringBuilder(name.Length);
        foreach (var c in name)
        {
            if (char.IsLetterOrDigit(c))
            {
                letters.Append(WithoutAccent(char.ToLowerInvariant(c)));
            }
            else if (CharUnicodeInfo.GetUnicodeCategory(c) != UnicodeCategory.NonSpacingMark && c != '\'')
            {
                letters.Append(' ');
            }
        }

        var words = letters.ToString().Split(' ', StringSplitOptions.RemoveEmptyEntries).Select(Singular);
        return string.Join(' ', words);
    }

    /// <summary>The plain letter of an accented one. By table: the invariant culture, in which all runs, does not take letters
    /// apart.</summary>
    internal static char WithoutAccent(char letter)
    {
        const string Accented = "àáâãäåçèéêëìíîïñòóôõöøùúûüýÿ";
        const string Plain = "aaaaaaceeeeiiiinoooooouuuuyy";
        var at = Accented.IndexOf(letter, StringComparison.Ordinal);
        return at < 0 ? letter : Plain[at];
    }

    private static string Singular(string word) =>
        word switch
        {
            "db" => "dumbbell",
            "bb" => "barbell",
            "kb" => "kettlebell",
            "bw" => "bodyweight",
            "ohp" => "overhead press",
            "rdl" => "romanian deadlift",
            "pushup" or "pushups" => "push up",
            "pullup" or "pullups" => "pull up",
            "chinup" or "chinups" => "chin up",
            "situp" or "situps" => "sit up",
            "ups" => "up",
            "press" or "cross" or "triceps" or "biceps" or "hips" => word,
            _ when word.Length > 3 && word.EndsWith("ies", StringComparison.Ordinal) => word[..^3] + "y",
            _ when word.Length > 3
                    && word.EndsWith("es", StringComparison.Ordinal)
                    && (word[^3] == 'h' || word.EndsWith("sses", StringComparison.Ordinal)) => word[..^2],
            _ when word.Length > 3 && word.EndsWith('s') && !word.EndsWith("ss", StringComparison.Ordinal) => word[..^1],
            _ => word,
        };
}
