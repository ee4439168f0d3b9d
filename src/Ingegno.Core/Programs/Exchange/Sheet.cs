using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Exchange;

/// <summary>What a cell of a table is, as far as a program cares.</summary>
public enum CellKind
{
    /// <summary>Text or a number.</summary>
    Plain,

    /// <summary>A date, which a spreadsheet may have made of a range of reps.</summary>
    Date,

    /// <summary>A formula whose result the file does not hold.</summary>
    FormulaWithoutResult,

    /// <summary>An error such as a division by zero.</summary>
    Error,
}

/// <summary>A cell of a table.</summary>
/// <param name="Text">What it shows.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Meant">What a date was probably meant to be: 12 August is 8-12.</param>
public readonly record struct SheetCell(string Text, CellKind Kind = CellKind.Plain, string? Meant = null);

/// <summary>A row with its number in the file, 1 first.</summary>
public sealed record SheetRow(int Number, ImmutableArray<SheetCell> Cells);

/// <summary>A table as it was read from a file or a paste.</summary>
/// <param name="Name">Name of the sheet, empty when the file has none.</param>
/// <param name="Rows">Its rows.</param>
public sealed record Sheet(string Name, ImmutableArray<SheetRow> Rows)
{
    /// <summary>Name of a column as spreadsheets have it: 0 is A, 26 is AA.</summary>
    public static string ColumnName(int index)
    {
        var name = string.Empty;
        for (var rest = index; rest >= 0; rest = (rest / 26) - 1)
        {
            name = (char)('A' + (rest % 26)) + name;
        }

        return name;
    }
}
