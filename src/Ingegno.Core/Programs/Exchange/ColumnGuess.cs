using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Programs.Exchange;

/// <summary>Finds the row with the heads of the columns and what each column holds. Heads as coaches write them: common practice.</summary>
public static class ColumnGuess
{
    private const int RowsLookedAt = 20;

    /// <summary>Index of the row that holds the heads: the one among the first twenty that names most columns; 0 when none does.</summary>
    public static int HeadRow(Sheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var rows = sheet.Rows.Take(RowsLookedAt).Select((r, i) => (Index: i, Known: Fields(r).Count(f => f is not null))).ToList();
        return rows.Count == 0 ? 0 : rows.MaxBy(r => (r.Known, -r.Index)).Index;
    }

    /// <summary>True when a row names the exercise and another column: it is a table and no text.</summary>
    public static bool HasHeads(Sheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        return sheet
            .Rows.Take(RowsLookedAt)
            .Any(r => Fields(r) is var fields && fields.Contains(ProgramField.Exercise) && fields.Count(f => f is not null) > 1);
    }

    /// <summary>What each column holds by its head, null where that is not known; each field once, the first column wins.</summary>
    public static ImmutableArray<ProgramField?> Fields(SheetRow heads)
    {
        ArgumentNullException.ThrowIfNull(heads);
        var seen = new HashSet<ProgramField>();
        return [.. heads.Cells.Select(c => ColumnHeads.Field(c.Text) is { } field && seen.Add(field) ? field : (ProgramField?)null)];
    }
}
