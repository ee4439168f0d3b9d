using System.Collections.Immutable;
using System.Text;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>The head of a table that was pasted with tabs or bars: it says what the figures below it are.</summary>
internal sealed class TableHead
{
    private const int LeastKnown = 2;

    private readonly char _separator;
    private readonly ImmutableArray<ProgramField?> _fields;
    private readonly string _unit;

    private TableHead(char separator, ImmutableArray<ProgramField?> fields, string unit) =>
        (_separator, _fields, _unit) = (separator, fields, unit);

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
        ImmutableArray<ProgramField?> fields = [.. cells.Select(ColumnHeads.Field)];
        var load = fields.IndexOf(ProgramField.Load);
        return fields.Contains(ProgramField.Exercise) && fields.Count(f => f is not null) >= LeastKnown
            ? new TableHead(separator, fields, load < 0 ? "kg" : ColumnHeads.LoadUnit(cells[load]))
            : null;
    }

    /// <summary>A row of the table as a line; null when it is no row of it.</summary>
    public string? Spelt(string row)
    {
        var cells = Cells(row, _separator);
        if (cells.Count < LeastKnown || cells.TrueForAll(c => c.Length == 0 || c.All(x => x is '-' or ':' or '=')))
        {
            return cells.Count < LeastKnown ? null : string.Empty;
        }

        string Cell(ProgramField field) => _fields.IndexOf(field) is >= 0 and var at && at < cells.Count ? cells[at] : string.Empty;
        var line = new StringBuilder();
        line.Append(Cell(ProgramField.Label)).Append(' ').Append(Cell(ProgramField.Exercise)).Append(' ').Append(Cell(ProgramField.Dose));
        var (sets, reps) = (Cell(ProgramField.Sets), Cell(ProgramField.Reps));
        line.Append(
            sets.Length > 0 && reps.Length > 0 ? $" {sets}x{reps}"
            : sets.Length > 0 ? $" {sets} sets"
            : reps.Length > 0 ? $" x{reps}"
            : string.Empty
        );
        foreach (
            var field in new[]
            {
                ProgramField.Load,
                ProgramField.Percent,
                ProgramField.Rpe,
                ProgramField.Rir,
                ProgramField.Tempo,
                ProgramField.Rest,
                ProgramField.Note,
            }
        )
        {
            var cell = Cell(field);
            if (cell.Length > 0 && !cell.All(c => c is '-' or '/' or ' '))
            {
                line.Append(' ').Append(ProgramCell.Read(field, PlainText.Normalize(cell).Trim(), _unit).Words ?? cell);
            }
        }

        return line.ToString();
    }

    private static List<string> Cells(string row, char separator)
    {
        var text = separator == '|' ? row.Trim().Trim('|') : row;
        return [.. text.Split(separator).Select(c => PlainText.Normalize(c).Trim(' ', '*', '_'))];
    }
}
