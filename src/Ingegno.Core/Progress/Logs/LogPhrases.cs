using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Progress.Logs;

/// <summary>Ways in which clients put figures into words, put back into figures (common practice).</summary>
internal static partial class LogPhrases
{
    /// <summary>Stands between the reps of a set and what was left in it.</summary>
    public const char Reserve = '\u0003';

    private const string Number = $"(?:[0-9]{{1,3}}|{SpeltNumbers.Pattern})";

    /// <summary>3 sets of 10, three sets of ten, 3 sets x 10.</summary>
    [GeneratedRegex($@"\b(?<sets>{Number})\s*sets?\s*(?:of|x|at|@|:)\s*(?<reps>{Number})\b", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex SetsOf();

    /// <summary>10 reps x 3 sets, 10 reps for 3 sets, 10 for 3 sets.</summary>
    [GeneratedRegex(
        $@"(?<![0-9]\s*[,/ -]\s*)\b(?<reps>{Number})\s*(?:reps?\s*(?:x|for|of|,)?|x|for)\s*(?<sets>{Number})\s*(?:sets?|times)\b(?!\s*(?:of|x|at|@|:)\s*[0-9])",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex RepsForSets();

    /// <summary>10 left 9 right, 10L/9R, left 10, right 9.</summary>
    [GeneratedRegex(
        @"\b(?:(?<a>[0-9]{1,3})\s*(?:left|l)\s*(?:side|leg|arm)?[\s,/&+-]*(?:and\s+)?(?<b>[0-9]{1,3})\s*(?:right|r)\b|(?<a>[0-9]{1,3})\s*(?:right|r)\s*(?:side|leg|arm)?[\s,/&+-]*(?:and\s+)?(?<b>[0-9]{1,3})\s*(?:left|l)\b|(?:left|l):?\s*(?<a>[0-9]{1,3})[\s,/&+-]*(?:and\s+)?(?:right|r):?\s*(?<b>[0-9]{1,3})\b)",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex Sides();

    /// <summary>12 (2 left), 12 (rir 2), 12 (2 in the tank), 12 (rpe 8).</summary>
    [GeneratedRegex(
        @"\b(?<reps>[0-9]{1,3})\s*(?:reps?)?\s*\(\s*(?:(?<rir>[0-9]{1,2})\s*(?:left|rir|more|in\s+(?:the\s+)?(?:tank|reserve))|(?:rir|r)\s*(?<rir>[0-9]{1,2})|rpe\s*(?<rpe>[5-9]|10))[^()]{0,20}\)",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex LeftInSet();

    /// <summary>Set 1: 10, 1st set 10, 1) 10: which set it is, and no reps.</summary>
    [GeneratedRegex(
        @"\b(?:set\s*#?\s*[0-9]{1,2}\s*[:=)-]?|[0-9](?:st|nd|rd|th)\s+(?:set)?\s*[:=-]?|(?<!\()[0-9][).])\s+(?=[0-9])",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex Numbered();

    /// <summary>Last 2 hard: sets, and no reps.</summary>
    [GeneratedRegex(@"\blast (?:2|two|3|three|couple of|few)\b(?: sets| ones| reps)?", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex LastFew();

    /// <summary>Twelve ten nine: spelt numbers in a row.</summary>
    [GeneratedRegex(
        $@"\b(?<n>{SpeltNumbers.Pattern})\b(?=[\s,]+(?:{SpeltNumbers.Pattern}|[0-9]{{1,3}})\b)|(?<=\b(?:{SpeltNumbers.Pattern}|[0-9]{{1,3}})[\s,]+)(?<n>{SpeltNumbers.Pattern})\b",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex InARow();

    /// <summary>RIR 3/2/1, RPE 7 8 9: a figure for each set.</summary>
    [GeneratedRegex(
        @"\b(?<of>rir|rpe)\s*:?\s*(?<n>10|[0-9])(?:\s*[,/ ]\s*(?<n>10|[0-9])){1,9}\b(?!\s*(?:kg|lb|x|s\b))",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    public static partial Regex OfEachSet();

    /// <summary>10 kg each, 10 kg per hand: of both.</summary>
    [GeneratedRegex(
        @"\b(?<unit>kg|kgs|kilos|lb|lbs)\s*(?:each\b|ea\b|per hand|a hand|per side|in each hand|per dumbbell|per db)(?:\s*(?:hand|arm|side|dumbbell))?",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    public static partial Regex OfEachHand();

    /// <summary>3 rounds: everything behind it so often.</summary>
    [GeneratedRegex(@"^\s*(?:did\s+)?(?<n>[0-9]{1,2})\s*rounds?\s*(?:of|:|-|,)?\s+", RegexOptions.IgnoreCase, Patterns.TimeoutMs)]
    public static partial Regex Rounds();

    /// <summary>1:30, 0:45: minutes and seconds, and no time of day.</summary>
    [GeneratedRegex(@"(?<!\bat )\b(?<m>[0-9]{1,2}):(?<s>[0-5][0-9])\b", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Clock();

    /// <summary>8 each x3: so many sets of them.</summary>
    [GeneratedRegex(
        @"\b(?<reps>[0-9]{1,3})\s*(?:each|ea|per side|a side|/ ?side)\s*x\s*(?<sets>[0-9]{1,2})\b",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex EachTimes();

    /// <summary>1min x3, 2 min: minutes of a hold.</summary>
    [GeneratedRegex(@"\b(?<m>[1-5])\s*min(?:ute)?s?\b(?:\s*x\s*(?<sets>[0-9]{1,2})\b)?", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Minutes();

    /// <summary>After the 2nd set: which it was, and no reps.</summary>
    [GeneratedRegex(@"\b[0-9]{1,2}(?:st|nd|rd|th)\b", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Ordinal();

    /// <summary>60 kg x 5 x 3: the reps, then the sets.</summary>
    [GeneratedRegex(
        @"\b(?<load>[0-9]{1,3}(?:\.[0-9]+)?\s*(?:kg|kgs|kilos|lb|lbs))\s*x\s*(?<reps>[0-9]{1,3})\s*x\s*(?<sets>[0-9]{1,2})\b",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex LoadFirst();

    /// <summary>Could have done 3 more, 2 more in me: what was left.</summary>
    [GeneratedRegex(
        $@"\b(?:could(?:\s+have|ve|\s+of)?\s+(?:easily\s+)?(?:done|do|did|managed|got)\s+(?:another\s+)?(?<n>{Number})(?:\s+more)?(?:\s+reps?)?\b|(?<n>{Number})\s+more\s+in\s+me\b)",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex CouldMore();

    /// <summary>w 16, w/ 12s, with 12s: what it was done with.</summary>
    [GeneratedRegex(
        @"\b(?:w/?|with)\s*(?<n>[0-9]{1,3}(?:\.[0-9]+)?)s?\b(?!\s*(?:left|more|reps?|sec))",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex With();

    /// <summary>Were 4/10 hard, felt 6/10: how hard it was of ten, and no sets.</summary>
    [GeneratedRegex(
        @"\b(?:was|were|felt|feels|feel|about)\s+(?:like\s+)?(?:an?\s+)?(?<n>10|[1-9])\s*(?:/|out of)\s*10\b(?:\s+(?:hard|effort|easy))?|\b(?<n>10|[1-9])\s*(?:/|out of)\s*10\s+(?:hard|effort|difficulty)\b",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex OfTen();

    /// <summary>10/9: one side and the other, where sides are spoken of.</summary>
    [GeneratedRegex(@"\b(?<a>[0-9]{1,3})\s*/\s*(?<b>[0-9]{1,3})\b", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex BothSides();

    /// <summary>Speaks of one side and the other.</summary>
    public static bool OfSides(string text) => Sides().IsMatch(text);

    /// <summary>Efforts of ten as what was left of it.</summary>
    public static string EffortsOfTen(string text) => OfTen().Replace(text, m => $" rir {10 - Of(m.Groups["n"].Value)} ");

    /// <summary>The text with figures where there were words, lower case in and out.</summary>
    /// <param name="sides">Sides were spoken of before: 10/9 is one and the other.</param>
    public static string InFigures(string text, bool sides = false)
    {
        text = text.Replace("good morning", "good-morning", StringComparison.Ordinal); // a name, and not how it felt
        text = Numbered().Replace(text, " ");
        text = Ordinal().Replace(text, " ");
        text = Clock().Replace(text, m => $"{(60 * Of(m.Groups["m"].Value)) + Of(m.Groups["s"].Value)}s");
        text = EachTimes().Replace(text, Times);
        text = Minutes()
            .Replace(
                text,
                m => $"{(m.Groups["sets"].Success ? $"{m.Groups["sets"].Value}x" : string.Empty)}{60 * Of(m.Groups["m"].Value)}s"
            );
        text = LoadFirst().Replace(text, m => $"{m.Groups["load"].Value} {m.Groups["sets"].Value}x{m.Groups["reps"].Value}");
        text = CouldMore().Replace(text, m => $" rir {Of(m.Groups["n"].Value)} ");
        text = With().Replace(text, m => $"with {m.Groups["n"].Value}");
        text = LastFew().Replace(text, "last one");
        text = InARow().Replace(text, m => Of(m.Groups["n"].Value).ToString(CultureInfo.InvariantCulture));
        text = LeftInSet().Replace(text, m => $"{m.Groups["reps"].Value}{Reserve}{LeftIn(m)} ");

        // The weaker side is what is progressed from (common practice).
        text =
            sides || Sides().IsMatch(text)
                ? BothSides()
                    .Replace(text, m => Math.Min(Of(m.Groups["a"].Value), Of(m.Groups["b"].Value)).ToString(CultureInfo.InvariantCulture))
                : text;
        text = Sides()
            .Replace(text, m => Math.Min(Of(m.Groups["a"].Value), Of(m.Groups["b"].Value)).ToString(CultureInfo.InvariantCulture));
        text = SetsOf().Replace(text, Times);
        return RepsForSets().Replace(text, Times);
    }

    private static string Times(Match match) => $"{Of(match.Groups["sets"].Value)}x{Of(match.Groups["reps"].Value)}";

    private static int LeftIn(Match match) =>
        Math.Min(10, match.Groups["rpe"] is { Success: true, Value: var effort } ? 10 - Of(effort) : Of(match.Groups["rir"].Value));

    private static int Of(string number) => SpeltNumbers.TryParse(number) ?? int.Parse(number, CultureInfo.InvariantCulture);
}
