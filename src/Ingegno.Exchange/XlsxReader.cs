using System.Collections.Immutable;
using System.Globalization;
using System.Xml;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;
using Ingegno.Core.Programs.Exchange;
using Sheet = Ingegno.Core.Programs.Exchange.Sheet;

namespace Ingegno.Exchange;

/// <summary>Reads spreadsheets (Office Open XML, ECMA-376): what cells show, which of them are dates, formulas and errors.</summary>
internal static class XlsxReader
{
    public static SheetFile Read(byte[] bytes, CancellationToken stop)
    {
        ZipGuard.Check(bytes);
        try
        {
            using var document = SpreadsheetDocument.Open(
                new MemoryStream(bytes),
                false,
                new OpenSettings { MaxCharactersInPart = ExchangeLimits.UnpackedBytes }
            );
            var workbook = document.WorkbookPart ?? throw new UnreadableFileException("This is a packed file, but no .xlsx spreadsheet.");
            var cells = new XlsxCells(workbook);
            var sheets =
                workbook
                    .Workbook?.Sheets?.Elements<DocumentFormat.OpenXml.Spreadsheet.Sheet>()
                    .Where(s => s.State is null || s.State.Value == SheetStateValues.Visible)
                    .Take(ExchangeLimits.Sheets)
                ?? [];

            // Several sheets that point at one part are one sheet; what all of them hold together is counted.
            var left = ExchangeLimits.Cells;
            var read = new List<Sheet>();
            foreach (var sheet in sheets.DistinctBy(s => s.Id?.Value ?? s.Name?.Value ?? string.Empty))
            {
                read.Add(Read(workbook, sheet, cells, ref left, stop));
            }

            return new SheetFile([.. read], null, null, []);
        }
        catch (Exception wrong)
            when (wrong
                    is OpenXmlPackageException
                        or XmlException
                        or InvalidDataException
                        or FileFormatException
                        or FormatException
                        or ArgumentException
                        or InvalidOperationException
                        or KeyNotFoundException
                        or OverflowException
            )
        {
            throw new UnreadableFileException(
                "The spreadsheet is damaged or of another kind than .xlsx. Save it again as .xlsx, or paste the cells.",
                wrong
            );
        }
    }

    private static Sheet Read(
        WorkbookPart workbook,
        DocumentFormat.OpenXml.Spreadsheet.Sheet sheet,
        XlsxCells cells,
        ref int left,
        CancellationToken stop
    )
    {
        var name = sheet.Name?.Value ?? string.Empty;
        if (sheet.Id?.Value is not { } id || workbook.GetPartById(id) is not WorksheetPart part)
        {
            return new Sheet(name, []);
        }

        var rows = ImmutableArray.CreateBuilder<SheetRow>();
        var merged = new List<string>();
        using var reader = OpenXmlReader.Create(part);
        var (number, row) = (0, new List<SheetCell>());
        while (reader.Read())
        {
            stop.ThrowIfCancellationRequested();
            if (
                reader.IsStartElement
                && reader.ElementType == typeof(MergeCell)
                && reader.LoadCurrentElement() is MergeCell { Reference.Value: { } range }
            )
            {
                merged.Add(range);
                if (merged.Count > ExchangeLimits.Merges)
                {
                    throw new UnreadableFileException(
                        $"Sheet \"{name}\" joins cells more than {ExchangeLimits.Merges:N0} times; a gym program never does. Leave out what is not the program."
                    );
                }
            }
            else if (reader.ElementType == typeof(Row))
            {
                if (reader.IsStartElement)
                {
                    (number, row) = (NumberOf(reader) ?? number + 1, []);
                }

                if (reader.IsEndElement && row.Count > 0)
                {
                    if (row.Any(c => c.Text.Length > 0))
                    {
                        rows.Add(new SheetRow(number, [.. row]));
                    }

                    row = [];
                    if (rows.Count > ExchangeLimits.Rows)
                    {
                        throw new UnreadableFileException(
                            $"Sheet \"{name}\" has more than {ExchangeLimits.Rows:N0} rows; a gym program is never that long. Leave out what is not the program."
                        );
                    }
                }
            }
            else if (reader.IsStartElement && reader.ElementType == typeof(Cell) && reader.LoadCurrentElement() is Cell cell)
            {
                left -= Put(cell, row, cells);
                if (left < 0)
                {
                    throw new UnreadableFileException(
                        $"The file holds more than {ExchangeLimits.Cells:N0} cells; a gym program is never that large. Leave out what is not the program."
                    );
                }
            }
        }

        return new Sheet(name, MergedCells.Fill(rows.ToImmutable(), merged));
    }

    /// <exception cref="FormatException">The row says a number that is none.</exception>
    /// <exception cref="OverflowException">The number is too large.</exception>
    private static int? NumberOf(OpenXmlReader row) =>
        row.Attributes.FirstOrDefault(a => a.LocalName == "r").Value is { } said ? int.Parse(said, CultureInfo.InvariantCulture) : null;

    /// <summary>Puts a cell into its row, empty ones before it where it stands further on; how many that makes. Cells are read one by one, for a row may be as long as the file.</summary>
    private static int Put(Cell cell, List<SheetCell> row, XlsxCells cells)
    {
        var column = cell.CellReference?.Value is { } reference ? MergedCells.Column(reference) : row.Count;
        if (column >= ExchangeLimits.Columns || column < row.Count)
        {
            return 1;
        }

        var before = row.Count;
        while (row.Count < column)
        {
            row.Add(new SheetCell(string.Empty));
        }

        row.Add(cells.Read(cell));
        return row.Count - before;
    }
}
