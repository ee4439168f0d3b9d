using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Turns what stands in a cell into words that a line is read from: tables leave out what the head of a column says ("60" under "kg",
/// "90" under "rest"), and spreadsheets write figures in their own ways. What a cell may hold is what a line may.
/// </summary>
internal static partial class ProgramCell
{
    /// <summary>Longest cell that is looked at.</summary>
    private const int Longest = ShorthandLimits.LineLength;

    /// <summary>Rests up to this many are minutes when they have no unit.</summary>
    private const int MostMinutes = 10;

    /// <summary>The words of the line, or what is wrong with the cell.</summary>
    /// <param name="field">Column.</param>
    /// <param name="cell">What stands in it, not empty.</param>
    /// <param name="loadUnit">Unit of loads without one: kg or lb.</param>
    public static (string? Words, Reason? Wrong) Read(ProgramField field, string cell, string loadUnit)
    {
        var text = PlainText.Normalize(cell).Trim();
        if (text.Length > Longest)
        {
            return (null, Reason.Of("cell.too-long", ("most", Longest)));
        }

        return field switch
        {
            ProgramField.Sets => Sets(text),
            ProgramField.Reps => Reps(text),
            ProgramField.Load => (Load(text, loadUnit), null),
            ProgramField.Percent => Checked(Percent(text), text, "cell.percent", d => d.Shares.Count > 0 ? Percent(text) : null),
            ProgramField.Rpe => Checked(
                $"@ RPE {Bare(text, "rpe")}",
                text,
                "cell.rpe",
                d => d.Rpes.Count > 0 ? $"@ RPE {Bare(text, "rpe")}" : null
            ),
            ProgramField.Rir => Checked(
                $"RIR {Bare(text, "rir")}",
                text,
                "cell.rir",
                d => d.Rirs.Count > 0 ? $"RIR {Bare(text, "rir")}" : null
            ),
            ProgramField.Tempo => Checked($"tempo {Bare(text, "tempo").Replace(' ', '-')}", text, "cell.tempo", d => d.Tempo?.ToString()),
            ProgramField.Rest => Checked(
                Rest(text),
                text,
                "cell.rest",
                d => d.Rest is { } r ? $"{Shorthand.Span(r.From, r.Upper)} s" : null
            ),
            ProgramField.Note => ("# " + cell.Trim().TrimStart('#', ' '), null),
            _ => (text, null),
        };
    }

    /// <summary>What a date that a spreadsheet made of a range was meant to be: 12 August is 8-12.</summary>
    public static string RangeOf(int day, int month) => $"{Math.Min(day, month)}-{Math.Max(day, month)}";

    /// <summary>The range that a date written as 12-Aug or Aug-12 was meant to be; null for other dates.</summary>
    public static string? MeantBy(string date)
    {
        var words = PlainText.Normalize(date).Trim().Split(['-', '.', ' '], StringSplitOptions.RemoveEmptyEntries);
        var month = words.Length == 2 ? words.Select(MonthOf).Max() : 0;
        var day = words.FirstOrDefault(w => w.Length <= 2 && w.All(char.IsAsciiDigit));
        return month == 0 || day is null ? null : RangeOf(int.Parse(day, CultureInfo.InvariantCulture), month);
    }

    /// <summary>The month that a word begins; 0 when it is none.</summary>
    public static int MonthOf(string word) =>
        word.Length < 3
            ? 0
            : Array.FindIndex(
                CultureInfo.InvariantCulture.DateTimeFormat.AbbreviatedMonthNames,
                m => m.Length > 0 && word.StartsWith(m, StringComparison.OrdinalIgnoreCase)
            ) + 1;

    private static (string? Words, Reason? Wrong) Sets(string text)
    {
        var sets = Whole(Bare(text, "sets"));
        return sets.Length is > 0 and <= 5 && char.IsAsciiDigit(sets[0]) && sets.All(c => char.IsAsciiDigit(c) || c == '-')
            ? (sets, null)
            : (null, Reason.Of("cell.sets", ("text", text)));
    }

    private static (string? Words, Reason? Wrong) Reps(string text)
    {
        var dated =
            LooksLikeDate().IsMatch(text)
            || text.Split('-', '.', ' ', '/') is [.., { Length: > 0 }] words
                && words.Length is 2 or 3
                && words.Any(w => MonthOf(w) > 0)
                && words.Any(w => w.Length > 0 && w.All(char.IsAsciiDigit));
        return dated
            ? (null, Reason.Of("cell.date", ("text", text)))
            : (Whole(text.Replace(" to ", "-", StringComparison.OrdinalIgnoreCase)), null);
    }

    private static string Load(string text, string unit)
    {
        var load = Whole(text.Replace(',', '.'));
        return load.Equals("bw", StringComparison.OrdinalIgnoreCase) ? "bodyweight"
            : load.Any(char.IsLetter) && !load.Any(char.IsAsciiDigit) ? load
            : load.Any(c => char.IsLetter(c) && c is not ('x' or 'X')) || load.Contains('%', StringComparison.Ordinal) ? Lead(load) + load
            : $"{Lead(load)}{load} {unit}";
    }

    private static string Lead(string load) =>
        load.StartsWith('+') || load.StartsWith('@') || (load.Length > 0 && char.IsLetter(load[0])) ? string.Empty : "@ ";

    private static string Percent(string text)
    {
        var number = Bare(text, "%").TrimStart('@').Trim().Replace(',', '.');

        // Spreadsheets keep 75 % as 0.75.
        return
            double.TryParse(number, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var share)
            && share <= 1.5
            && !text.EndsWith('%')
            ? $"@ {Words.Number(share * 100, 2)}%"
            : $"@ {number}%";
    }

    private static string Rest(string text)
    {
        var bare = Whole(Bare(text, "rest"));
        var seconds =
            bare.Length is > 0 and <= 5
            && bare.All(char.IsAsciiDigit)
            && int.Parse(bare, CultureInfo.InvariantCulture) is > MostMinutes or 0;
        return seconds ? $"rest {bare} s" : $"rest {bare}";
    }

    /// <summary>The cell when a line with it says what the column is about; else what is wrong.</summary>
    private static (string? Words, Reason? Wrong) Checked(string words, string text, string code, Func<LineDraft, string?> written)
    {
        var (draft, _) = RowReader.Read("1x1 " + words);
        var alone = draft.Runs.Count == 0 && draft.Bare.Count == 0 && draft.Groups.Count == 1;
        return alone && written(draft) is { } own ? (own, null) : (null, Reason.Of(code, ("text", text)));
    }

    /// <summary>The cell without the word that its head says already.</summary>
    private static string Bare(string text, string word) =>
        text.Replace(word, string.Empty, StringComparison.OrdinalIgnoreCase).Trim(' ', ':', '@');

    /// <summary>A whole number that a spreadsheet wrote as 3.0.</summary>
    private static string Whole(string text)
    {
        var at = text.IndexOf('.', StringComparison.Ordinal);
        return at > 0 && text[..at].All(char.IsAsciiDigit) && at + 1 < text.Length && text[(at + 1)..].All(c => c == '0')
            ? text[..at]
            : text;
    }

    [GeneratedRegex(
        @"^[0-9]{1,4}[-./][0-9]{1,2}[-./][0-9]{4}|^[0-9]{4}[-./][0-9]{1,2}[-./][0-9]{1,2}",
        RegexOptions.None,
        Patterns.TimeoutMs
    )]
    private static partial Regex LooksLikeDate();
}
