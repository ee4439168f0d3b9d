using System.Collections.Immutable;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange;

/// <summary>Cells joined into one: what the first holds stands for all rows it runs over.</summary>
internal static class MergedCells
{
    /// <summary>The rows with the first cell's content in every row of its range, in the range's first column.</summary>
    public static ImmutableArray<SheetRow> Fill(ImmutableArray<SheetRow> rows, IEnumerable<string> ranges)
    {
        // A file may name a row twice; the first stands.
        var numbers = rows.Select(r => r.Number).Distinct().Order().ToArray();
        var byNumber = rows.GroupBy(r => r.Number).ToDictionary(g => g.Key, g => g.First().Cells.ToList());
        foreach (var range in ranges)
        {
            var ends = range.Split(':');
            if (
                ends.Length != 2
                || !byNumber.TryGetValue(Row(ends[0]), out var first)
                || Column(ends[0]) is var column && column >= first.Count
            )
            {
                continue;
            }

            var (cell, last) = (first[column], Row(ends[1]));
            for (var i = Array.BinarySearch(numbers, Row(ends[0])) + 1; i < numbers.Length && numbers[i] <= last; i++)
            {
                var cells = byNumber[numbers[i]];
                while (cells.Count <= column)
                {
                    cells.Add(new SheetCell(string.Empty));
                }

                cells[column] = cell;
            }
        }

        return [.. rows.DistinctBy(r => r.Number).Select(r => r with { Cells = [.. byNumber[r.Number]] })];
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
