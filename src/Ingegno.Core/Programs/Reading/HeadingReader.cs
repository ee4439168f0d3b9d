using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Tells the headings of days, weeks and parts of a day from lines. Linear in the length of the row.</summary>
internal static class HeadingReader
{
    private const int MostWords = 9;
    private const string Marks = " \t=*#_-~•>|[]{}\"'.:<";

    public static Heading? Read(string row)
    {
        ArgumentNullException.ThrowIfNull(row);
        var plain = PlainText.Normalize(row).Trim();
        if (plain.StartsWith("==", StringComparison.Ordinal))
        {
            return new Heading(HeadingKind.Week, Short(row.Trim().Trim('=', ' ', '\t'), "Week"));
        }

        if (plain.StartsWith('='))
        {
            return new Heading(HeadingKind.Day, Short(row.Trim().Trim('=', ' ', '\t'), "Day"));
        }

        if (row.Length > ShorthandLimits.LineLength)
        {
            return null;
        }

        var text = plain.Trim(Marks.ToCharArray());
        if (text.Length is 0 or > NameRoom)
        {
            return null;
        }

        var tokens = LineTokens.Tokenize(text);
        var words = tokens.Where(t => t.Kind != TokenKind.Sign).ToList();
        if (words.Count is 0 or > MostWords || HasDose(tokens))
        {
            return Rounds(tokens, words, text);
        }

        var marked = Marked(plain, text);
        var name = Short(Original(row, text).TrimEnd(':', ' '), "Day");
        return Week(words, name)
            ?? Day(words, name, marked)
            ?? Rounds(tokens, words, text)
            ?? Section(words, name)
            ?? Split(words, name, marked, plain);
    }

    private const int NameRoom = 100;

    /// <summary>The same stretch of the row as it was written.</summary>
    private static string Original(string row, string text)
    {
        var at = PlainText.Normalize(row).IndexOf(text, StringComparison.Ordinal);
        return at < 0 ? text : row.Substring(at, text.Length).Replace("*", string.Empty, StringComparison.Ordinal).Trim();
    }

    private static bool Marked(string plain, string text) =>
        plain.StartsWith("**", StringComparison.Ordinal)
        || plain.StartsWith("##", StringComparison.Ordinal)
        || plain.StartsWith("__", StringComparison.Ordinal)
        || plain.StartsWith("--", StringComparison.Ordinal)
        || plain.StartsWith("~~", StringComparison.Ordinal)
        || (plain.StartsWith('[') && plain.EndsWith(']'))
        || (plain.StartsWith('*') && plain.EndsWith('*'))
        || plain.TrimEnd(' ', '*', '_').EndsWith(':')
        || (text.Any(char.IsAsciiLetterUpper) && !text.Any(char.IsAsciiLetterLower) && text.Length > 2);

    private static Heading? Week(List<LineToken> words, string name)
    {
        var at = words[0].Text is "training" ? 1 : 0;
        return
            words.Count > at + 1
            && words[at].Text is "week" or "wk" or "w" or "microcycle"
            && (words[at + 1].IsWhole || HeadingWords.Counts.Contains(words[at + 1].Text))
            && (words[at].Text != "w" || !words[at + 1].Spaced)
            && !words.Exists(w => w.Text is "day" or "d")
            ? new Heading(HeadingKind.Week, name)
            : null;
    }

    private static Heading? Day(List<LineToken> words, string name, bool marked)
    {
        var at = words[0].Text is "training" && words.Count > 1 ? 1 : 0;
        var number =
            words.Count > at + 1
            && (words[at + 1].IsWhole || (HeadingWords.Counts.Contains(words[at + 1].Text) && words[at + 1].Text.Length <= 5));
        if (
            HeadingWords.Numbered.Contains(words[at].Text)
            && number
            && (words[at].Text is not ("d" or "lift" or "tag") || marked || words.Count == at + 2)
        )
        {
            return new Heading(HeadingKind.Day, name);
        }

        // Week 2 Day 1; 1st day; W1D2.
        if (
            words.Exists(w => w.Text == "day")
            && words.Exists(w => w.IsWhole)
            && words.TrueForAll(w =>
                w.IsNumber
                || w.Text is "day" or "week" or "wk" or "st" or "nd" or "rd" or "th" or "w"
                || HeadingWords.Split.Contains(w.Text)
            )
        )
        {
            return new Heading(HeadingKind.Day, name);
        }

        if (words is [{ Text: "w" }, { IsWhole: true }, { Text: "d" }, { IsWhole: true }])
        {
            return new Heading(HeadingKind.Day, name);
        }

        var weekday = HeadingWords.Days.Contains(words[0].Text);
        return weekday && (words.Count <= 5 || marked) && (words[0].Text is not ("sat" or "sun") || words.Count <= 3 || marked)
                ? new Heading(HeadingKind.Day, name)
            : words.Exists(w => HeadingWords.Days.Contains(w.Text))
            && words.TrueForAll(w => HeadingWords.Days.Contains(w.Text) || Splits(w))
                ? new Heading(HeadingKind.Day, name)
            : null;
    }

    private static Heading? Rounds(List<LineToken> tokens, List<LineToken> words, string text)
    {
        var named = words.Exists(w =>
            w.Text
                is "superset"
                    or "supersets"
                    or "circuit"
                    or "giant"
                    or "triset"
                    or "rounds"
                    or "round"
                    or "complex"
                    or "rds"
                    or "tri"
                    or "ss"
            || (w.Text is "amrap" && words.Exists(m => m.IsNumber) && words.Exists(m => m.Text is "min" or "mins" or "minutes"))
        );
        if (
            !named
            || !words.TrueForAll(w =>
                w.IsNumber
                || HeadingWords.Rounds.Contains(w.Text)
                || HeadingWords.Sections.Contains(w.Text)
                || w.Text.Length == 1
                || w.Text is "min" or "sec" or "mins" or "minutes" or "s" or "in"
            )
        )
        {
            return null;
        }

        var (work, off) = ByTheClock(words);
        var figure = words.FindIndex(w => w.IsWhole && w.Value is >= 1 and <= ShorthandLimits.Sets);
        var counts = figure >= 0 && (words.Exists(w => w.Text is "rounds" or "round" or "rds" or "sets" or "set" or "x" or "times"));
        return new Heading(HeadingKind.Rounds, text, counts && !NumberOfGroup(words, figure) ? (int)words[figure].Value : null, work, off);
    }

    /// <summary>40 s on, 20 s off; work 40 s, rest 20 s; 40/20: seconds of work and of rest in turn.</summary>
    private static (double? Work, double? Off) ByTheClock(List<LineToken> words)
    {
        double? Seconds(params ReadOnlySpan<string> said)
        {
            for (var i = 0; i < words.Count; i++)
            {
                if (!said.Contains(words[i].Text))
                {
                    continue;
                }

                var before = i > 0 && words[i - 1].Text is "s" or "sec" or "seconds" ? i - 2 : i - 1;
                if (before >= 0 && words[before].IsWhole && words[i].Text is "on" or "off" or "work")
                {
                    return words[before].Value;
                }

                if (i + 1 < words.Count && words[i + 1].IsWhole && words[i].Text is "work" or "rest")
                {
                    return words[i + 1].Value;
                }
            }

            return null;
        }

        var work = Seconds("on", "work");
        return work is >= LeastWork and <= MostWork ? (work, Seconds("off", "rest")) : (null, null);
    }

    /// <summary>Seconds of a station by the clock (common practice).</summary>
    private const double LeastWork = 10,
        MostWork = 180;

    /// <summary>"Superset 1" is the first one, "Superset x3" three sets.</summary>
    private static bool NumberOfGroup(List<LineToken> words, int figure) =>
        figure > 0
        && words[figure - 1].Text is "superset" or "circuit" or "set" or "triset" or "group"
        && (figure + 1 >= words.Count || words[figure + 1].Text is not ("rounds" or "sets" or "x"));

    private static Heading? Section(List<LineToken> words, string name) =>
        words.Exists(w => HeadingWords.Sections.Contains(w.Text) && !HeadingWords.Split.Contains(w.Text))
        && words.TrueForAll(w =>
            Sections(w)
            || w.IsNumber
            || HeadingWords.Joining.Contains(w.Text)
            || w.Text.Length == 1
            || w.Text is "min" or "mins" or "minutes"
        )
            ? new Heading(HeadingKind.Section, name)
            : null;

    private static Heading? Split(List<LineToken> words, string name, bool marked, string plain)
    {
        var known =
            words.Count(w => w.IsNumber) <= 1
            && words.TrueForAll(w =>
                Splits(w)
                || HeadingWords.Joining.Contains(w.Text)
                || w.Text.Length == 1
                || (w.IsWhole && w.Value < 8)
                || HeadingWords.Counts.Contains(w.Text)
            );
        var said = words.Exists(w => HeadingWords.Split.Contains(w.Text) && w.Text.Length > 1);
        var lift = words.TrueForAll(w =>
            w.Text
                is "squat"
                    or "bench"
                    or "deadlift"
                    or "press"
                    or "back"
                    or "light"
                    or "max"
                    or "heavy"
                    or "speed"
                    or "hip"
                    or "knee"
                    or "pull"
                    or "push"
            && !IsSplitAlone(words)
        );
        if (known && said && (!lift || marked))
        {
            return new Heading(HeadingKind.Split, name);
        }

        // A name of their own, marked as a heading: **Boathouse circuit**, "Rowers' session:".
        return
            marked
            && words.Count <= 6
            && words.TrueForAll(w => w.Kind == TokenKind.Word || w.IsWhole)
            && !plain.EndsWith('.')
            && Titled(plain)
            ? new Heading(HeadingKind.Split, name)
            : null;
    }

    private static bool IsSplitAlone(List<LineToken> words) => words is [{ Text: "push" or "pull" or "back" }];

    /// <summary>Bold, hashes or lines around it; a colon alone may lead a list of cues.</summary>
    private static bool Titled(string plain) =>
        plain.StartsWith("**", StringComparison.Ordinal)
        || plain.StartsWith("##", StringComparison.Ordinal)
        || plain.StartsWith("--", StringComparison.Ordinal)
        || plain.StartsWith("__", StringComparison.Ordinal);

    private static bool Splits(LineToken word) =>
        HeadingWords.Split.Contains(word.Text) || (word.Text.Length == 1 && word.Kind == TokenKind.Word);

    private static bool Sections(LineToken word) => HeadingWords.Sections.Contains(word.Text);

    /// <summary>A figure and a cross, or figures with units: it is a line.</summary>
    private static bool HasDose(List<LineToken> tokens)
    {
        for (var i = 0; i + 1 < tokens.Count; i++)
        {
            var (now, next) = (tokens[i], tokens[i + 1]);
            if (
                now.Is("x") && next.IsNumber
                || now.IsNumber
                    && next.Text
                        is "x"
                            or "*"
                            or "%"
                            or "kg"
                            or "reps"
                            or "rep"
                            or "sets"
                            or "lb"
                            or "lbs"
                            or "s"
                            or "sec"
                            or "rir"
                            or "rpe"
                    && now.IsNumber
                || (now.Text is "rpe" or "rir" or "amrap")
            )
            {
                return true;
            }
        }

        return false;
    }

    private static string Short(string name, string otherwise) =>
        name.Length == 0 ? otherwise
        : name.Length > DayHeading.NameLength ? name[..DayHeading.NameLength].TrimEnd()
        : name;
}
