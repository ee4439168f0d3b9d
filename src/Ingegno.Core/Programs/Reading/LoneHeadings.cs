using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Rows that hold nothing but a letter or a figure, in their order from the first on, part a week into days; where other headings do that,
/// they part a day into groups: "A … B … C", "1. … 2."
/// </summary>
internal static class LoneHeadings
{
    private const int Least = 2;

    /// <summary>The rows, with the headings that they are.</summary>
    /// <param name="rows">Rows of the text.</param>
    public static List<LaidOutRow> Marked(List<LaidOutRow> rows)
    {
        var alone = Enumerable
            .Range(0, rows.Count)
            .Select(i => (At: i, Mark: MarkOf(rows[i])))
            .Where(r => r.Mark is not null && HasRows(rows, r.At))
            .ToList();
        var days = rows.Exists(r => r.Heading is { Kind: HeadingKind.Day or HeadingKind.Split });
        var runs = new List<List<(int At, Mark? Mark)>>();
        foreach (var mark in alone)
        {
            // A, B, C goes on; another A begins anew.
            if (runs.Count > 0 && runs[^1][^1].Mark is { } before && mark.Mark!.Follows(before))
            {
                runs[^1].Add(mark);
            }
            else if (mark.Mark!.Place == 1)
            {
                runs.Add([mark]);
            }
        }

        foreach (var (at, mark) in runs.Where(r => r.Count >= Least).SelectMany(r => r))
        {
            rows[at] = rows[at] with
            {
                Heading = days ? new Heading(HeadingKind.Rounds, mark!.Text) : new Heading(HeadingKind.Day, $"Day {mark!.Text}"),
            };
        }

        return rows;
    }

    /// <summary>Something that is no heading follows.</summary>
    private static bool HasRows(List<LaidOutRow> rows, int at) =>
        rows.Skip(at + 1).FirstOrDefault(r => !r.Blank) is { } next && MarkOf(next) is null && next.Heading is null;

    private static Mark? MarkOf(LaidOutRow row) =>
        row.Heading is null or { Kind: HeadingKind.Rounds or HeadingKind.Split }
        && LineTokens.Tokenize(row.Text).FindAll(t => t.Kind != TokenKind.Sign) is [{ } token]
        && row.Text.Trim().Length <= LongestMark
            ? token switch
            {
                { IsWhole: true, Value: >= 1 and <= MostDays } => new Mark(token.Text, (int)token.Value, IsLetter: false),
                { Kind: TokenKind.Word, Text: [>= 'a' and <= 'g' and var letter] } => new Mark(
                    char.ToUpperInvariant(letter).ToString(),
                    letter - 'a' + 1,
                    IsLetter: true
                ),
                _ => null,
            }
            : null;

    private const int LongestMark = 6,
        MostDays = 14;

    private sealed record Mark(string Text, int Place, bool IsLetter)
    {
        public bool Follows(Mark before) => IsLetter == before.IsLetter && Place == before.Place + 1;
    }
}
