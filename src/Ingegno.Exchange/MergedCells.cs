using System.Collections.Immutable;
using Ingegno.Core.Written.Programs.Exchange;

namespace Ingegno.Exchange;

/// <summary>Cells joined into one: what the first holds stands for all rows it runs over.</summary>
internal static class MergedCells
{
    /// <summary>The rows with the first cell's content in every row of its range, in the range's first column.</summary>
    public static ImmutableArray<SheetRow> Fill(ImmutableArray<SheetRow> rows, IEnumerable<string> ranges)
    {
        var byNumber = rows.ToDictionary(r => r.Number);
        foreach (var range in ranges)
        {
            var ends = range.Split(':');
            if (
                ends.Length != 2
                || !byNumber.TryGetValue(Row(ends[0]), out var first)
                || Column(ends[0]) is var column && column >= first.Cells.Length
            )
            {
                continue;
            }

            var cell = first.Cells[column];
            foreach (var row in rows.Where(r => r.Number > Row(ends[0]) && r.Number <= Row(ends[1])))
            {
                var at = byNumber[row.Number];
                var cells = at.Cells;
                while (cells.Length <= column)
                {
                    cells = cells.Add(new SheetCell(string.Empty));
                }

                byNumber[row.Number] = at with { Cells = cells.SetItem(column, cell) };
            }
        }

        return [.. rows.Select(r => byNumber[r.Number])];
    }

    /// <summary>Column of an address, 0 first: B7 is 1.</summary>
    public static int Column(string address)
    {
        var column = 0;
        foreach (var letter in address.TakeWhile(char.IsAsciiLetter))
        {
            column = Math.Min((column * 26) + (char.ToUpperInvariant(letter) - 'A' + 1), 1_000_000);
        }

        return Math.Max(0, column - 1);
    }

    private static int Row(string address) => int.TryParse(address.TrimStart([.. "ABCDEFGHIJKLMNOPQRSTUVWXYZ$"]), out var row) ? row : 0;
}
