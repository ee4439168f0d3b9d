using System.Collections.Immutable;
using Ingegno.Core.Written.Programs.Reading;

namespace Ingegno.Core.Written.Programs.Exchange;

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

    /// <summary>What each column holds by its head, null where that is not known; each field once, the first column wins.</summary>
    public static ImmutableArray<ProgramField?> Fields(SheetRow heads)
    {
        ArgumentNullException.ThrowIfNull(heads);
        var seen = new HashSet<ProgramField>();
        return [.. heads.Cells.Select(c => ColumnHeads.Field(c.Text) is { } field && seen.Add(field) ? field : (ProgramField?)null)];
    }
}
