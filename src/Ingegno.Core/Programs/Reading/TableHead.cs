using System.Collections.Immutable;
using System.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>The head of a table that was pasted with tabs or bars: it says what the figures below it are.</summary>
internal sealed class TableHead
{
    private const int LeastKnown = 2;

    private readonly char _separator;
    private readonly ImmutableArray<ProgramField?> _fields;
    private readonly ImmutableArray<int> _weeks;
    private readonly ImmutableArray<int> _sets;
    private readonly string _unit;

    private TableHead(char separator, List<string> cells)
    {
        _separator = separator;
        _sets = [.. Enumerable.Range(0, cells.Count).Where(i => IsOfASet(cells[i]))];
        _fields = [.. cells.Select((c, i) => _sets.Contains(i) ? null : ColumnHeads.Field(c))];
        _weeks = [.. Enumerable.Range(0, cells.Count).Where(i => WeekOf(cells[i]) is not null)];
        Weeks = [.. _weeks.Select(i => $"Week {WeekOf(cells[i])}")];
        var load = _fields.IndexOf(ProgramField.Load);
        _unit = load < 0 ? "kg" : ColumnHeads.LoadUnit(cells[load]);
    }

    /// <summary>Names of the weeks that have a column of their own, fewer than two being none.</summary>
    public ImmutableArray<string> Weeks { get; }

    /// <summary>The head that a row is; null when it is none.</summary>
    public static TableHead? TryRead(string row)
    {
        var separator =
            row.Contains('\t', StringComparison.Ordinal) ? '\t'
            : row.Contains('|', StringComparison.Ordinal) ? '|'
            : '\0';
        if (separator == '\0')
        {
            return null;
        }

        var cells = Cells(row, separator);
        var fields = cells.ConvertAll(ColumnHeads.Field);
        var known = fields.Count(f => f is not null) + cells.Count(c => WeekOf(c) is not null);
        return fields.Contains(ProgramField.Exercise) && known >= LeastKnown ? new TableHead(separator, cells) : null;
    }

    /// <summary>The figure of a week that heads a column: W1, Wk 2, Week 3.</summary>
    private static string? WeekOf(string cell) =>
        LineTokens.Tokenize(cell) is [{ Text: "w" or "wk" or "week" }, { IsWhole: true } figure] ? figure.Text : null;

    /// <summary>A column of one set: Set 1, Set 2.</summary>
    private static bool IsOfASet(string cell) => LineTokens.Tokenize(cell) is [{ Text: "set" }, { IsWhole: true }];

    /// <summary>What the columns of the sets say: 60x8, 70x6; their reps alone as 8/6/4.</summary>
    private string Sets(List<string> cells)
    {
        List<string> said = [.. _sets.Where(i => i < cells.Count && Says(cells[i])).Select(i => cells[i])];
        return said.Count == 0 ? string.Empty
            : said.TrueForAll(s => s.All(char.IsAsciiDigit)) ? $" {said.Count}x{string.Join('/', said)}"
            : " " + string.Join(", ", said);
    }

    /// <summary>The rows that a row of the table stands for; null when it is no row of it.</summary>
    /// <param name="row">The row.</param>
    public IEnumerable<LaidOutRow>? Spelt(LaidOutRow row)
    {
        var cells = Cells(row.Text, _separator);
        if (cells.Count < LeastKnown)
        {
            return null;
        }

        if (cells.TrueForAll(c => c.Length == 0 || c.All(x => x is '-' or ':' or '=')))
        {
            return [row with { Remark = true }]; // a line between head and body
        }

        return cells.Where(c => c.Length > 0).ToList() is [var alone]
            ? [row with { Text = alone }] // it parts the table: a day, a section
            : [.. Headings(row, cells), Line(row, cells)];
    }

    /// <summary>A cell that names a day or a week heads the rows from there on.</summary>
    private IEnumerable<LaidOutRow> Headings(LaidOutRow row, List<string> cells)
    {
        string Name(string what, string cell) => cell.All(char.IsAsciiDigit) ? $"{what} {cell}" : cell;
        if (Cell(cells, ProgramField.Week) is { Length: > 0 } week)
        {
            yield return row with
            {
                Heading = new Heading(HeadingKind.Week, Name("Week", week)),
            };
        }

        if (Cell(cells, ProgramField.Day) is { Length: > 0 } day)
        {
            yield return row with
            {
                Heading = new Heading(HeadingKind.Day, Name("Day", day)),
            };
        }
    }

    private LaidOutRow Line(LaidOutRow row, List<string> cells)
    {
        var spelt = row with { Text = Text(cells, string.Empty), Cells = row.Text };
        return Weeks.Length < LeastKnown
            ? spelt
            : spelt with
            {
                ByWeek = [.. _weeks.Select(i => i < cells.Count && Says(cells[i]) ? Text(cells, cells[i]) : string.Empty)],
            };
    }

    private string Cell(List<string> cells, ProgramField field) =>
        _fields.IndexOf(field) is >= 0 and var at && at < cells.Count ? cells[at] : string.Empty;

    private static bool Says(string cell) => cell.Length > 0 && !cell.All(c => c is '-' or '/' or ' ');

    /// <summary>The cells of an exercise as a line, those of a week behind its sets and reps.</summary>
    private string Text(List<string> cells, string ofWeek)
    {
        var (sets, reps) = (Cell(cells, ProgramField.Sets), Cell(cells, ProgramField.Reps));
        var line = new StringBuilder()
            .Append(Cell(cells, ProgramField.Label))
            .Append(' ')
            .Append(Cell(cells, ProgramField.Exercise))
            .Append(' ')
            .Append(Cell(cells, ProgramField.Dose))
            .Append(
                sets.Length > 0 && reps.Length > 0 ? $" {sets}x{reps}"
                : sets.Length > 0 ? $" {sets} sets"
                : reps.Length > 0 ? $" x{reps}"
                : string.Empty
            )
            .Append(Sets(cells))
            .Append(' ')
            .Append(ofWeek);
        foreach (
            var field in new[]
            {
                ProgramField.Load,
                ProgramField.Percent,
                ProgramField.Rpe,
                ProgramField.Rir,
                ProgramField.Tempo,
                ProgramField.Rest,
                ProgramField.Method,
            }
        )
        {
            if (Cell(cells, field) is var cell && Says(cell))
            {
                line.Append(' ').Append(ProgramCell.Read(field, cell, _unit).Words ?? cell);
            }
        }

        return Cell(cells, ProgramField.Note) is { Length: > 0 } note ? $"{line} {Said(note)}".Trim() : line.ToString().Trim();
    }

    /// <summary>A note that is understood to its last word belongs to the dose ("drop set on last"); others are said beside it.</summary>
    private static string Said(string note)
    {
        var (draft, _) = RowReader.Read("3x8 " + note);
        var understood = draft is { Runs.Count: 0, Bare.Count: 0, Groups.Count: 1, Load: null, Durations.Count: 0, Rest: null };
        return understood ? note : "# " + note.TrimStart('#', ' ');
    }

    private static List<string> Cells(string row, char separator)
    {
        var text = separator == '|' ? row.Trim().Trim('|') : row;
        return [.. text.Split(separator).Select(c => c.Trim(' ', '*', '_', '\u00a0'))];
    }
}
