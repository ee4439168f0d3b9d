using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Weeks that are written with each exercise: "Squat W1 3x8 W2 3x9" in one row, or its name above and a row for each week below. What such
/// an exercise does in a week stands in a column, as in a table of weeks.
/// </summary>
internal static class WeeksOfAnExercise
{
    private const int Least = 2,
        MostWeeks = 16;

    /// <summary>The rows with what each week says, and how many weeks there are; 0 where no exercise names its weeks.</summary>
    /// <param name="rows">Rows of the text with their headings.</param>
    public static (List<LaidOutRow> Rows, int Weeks) Folded(List<LaidOutRow> rows)
    {
        var (folded, weeks) = (new List<LaidOutRow>(rows.Count), 0);
        for (var i = 0; i < rows.Count; i++)
        {
            var (row, below) = (rows[i], Below(rows, i));
            var byWeek = below.Count >= Least ? below.Select((b, n) => (Week: n + 1, Text: $"{row.Text.Trim()} {b}")).ToList() : InRow(row);
            if (byWeek.Count < Least)
            {
                folded.Add(row);
                continue;
            }

            var most = byWeek.Max(w => w.Week);
            weeks = Math.Max(weeks, most);
            folded.Add(
                row with
                {
                    Heading = null,
                    Cells = row.Text,
                    ByWeek = [.. Enumerable.Range(1, most).Select(n => byWeek.Find(w => w.Week == n).Text ?? string.Empty)],
                }
            );
            i += below.Count >= Least ? below.Count : 0;
        }

        return (folded, weeks);
    }

    /// <summary>The doses of the rows "Wk1 …", "Wk2 …" that follow a name.</summary>
    private static List<string> Below(List<LaidOutRow> rows, int at)
    {
        var doses = new List<string>();
        if (
            at + 1 >= rows.Count
            || WeekAtStart(rows[at + 1]) is not { Week: 1 }
            || !IsPlain(rows[at])
            || WeekAtStart(rows[at]) is not null
            || HasDose(rows[at].Text)
        )
        {
            return doses;
        }

        while (at + doses.Count + 1 < rows.Count && WeekAtStart(rows[at + doses.Count + 1]) is { } week && week.Week == doses.Count + 1)
        {
            doses.Add(week.Dose);
        }

        return doses;
    }

    private static (int Week, string Dose)? WeekAtStart(LaidOutRow row) =>
        !row.Remark
        && row.Heading is null
        && row.Text.AsSpan().TrimStart(" -*•\t") is ['w' or 'W', ..]
        && LineTokens.Tokenize(row.Text) is [{ Text: "w" or "wk" or "week" }, { IsWhole: true, Value: >= 1 and <= MostWeeks } figure, ..]
        && row.Text[figure.End..].TrimStart(' ', ':', '-', '–', '.') is { Length: > 0 } dose
        && HasDose(dose)
            ? ((int)figure.Value, dose)
            : null;

    /// <summary>A name, and behind it each week with its dose.</summary>
    private static List<(int Week, string Text)> InRow(LaidOutRow row)
    {
        var found = new List<(int Week, string Text)>();
        if (!IsPlain(row) || row.Text.Count(c => c is 'w' or 'W') < Least)
        {
            return found;
        }

        var tokens = LineTokens.Tokenize(row.Text);
        var marks = Enumerable
            .Range(1, Math.Max(0, tokens.Count - 2))
            .Where(i =>
                tokens[i].Text is "w" or "wk" or "week"
                && tokens[i].Spaced
                && tokens[i + 1] is { IsWhole: true, Value: >= 1 and <= MostWeeks }
            )
            .ToList();
        if (marks.Count < Least || !row.Text[..tokens[marks[0]].Start].Any(char.IsLetter))
        {
            return found;
        }

        var name = row.Text[..tokens[marks[0]].Start].TrimEnd(' ', ':', '-', '–', ',');
        for (var m = 0; m < marks.Count; m++)
        {
            var end = m + 1 < marks.Count ? tokens[marks[m + 1]].Start : row.Text.Length;
            var dose = row.Text[tokens[marks[m] + 1].End..end].Trim(' ', ':', '-', '–', ',', ';', '/', '|');
            if (!HasDose(dose))
            {
                return [];
            }

            found.Add(((int)tokens[marks[m] + 1].Value, $"{name} {dose}"));
        }

        return found;
    }

    private static bool IsPlain(LaidOutRow row) =>
        !row.Blank
        && !row.Remark
        && row.ByWeek.IsEmpty
        && row.Text.Length <= ShorthandLimits.LineLength
        && row.Heading is null or { Kind: HeadingKind.Split };

    private static bool HasDose(string text) => RowReader.Read(text).Draft.HasDose;
}
