using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Exchange;

/// <summary>Writes a program as a table: one row per line, heads that the import knows again, no cell that starts a formula.</summary>
public static class ProgramFiles
{
    /// <summary>The columns that are written, in order.</summary>
    private static readonly (ProgramField Field, string Head, double Width)[] Columns =
    [
        (ProgramField.Week, "Week", 12),
        (ProgramField.Day, "Day", 22),
        (ProgramField.Label, "Label", 7),
        (ProgramField.Exercise, "Exercise", 34),
        (ProgramField.Sets, "Sets", 6),
        (ProgramField.Reps, "Reps", 13),
        (ProgramField.Load, "Load", 12),
        (ProgramField.Percent, "Percent", 9),
        (ProgramField.Rpe, "RPE", 6),
        (ProgramField.Rir, "RIR", 6),
        (ProgramField.Tempo, "Tempo", 10),
        (ProgramField.Rest, "Rest", 8),
        (ProgramField.Method, "Method", 14),
        (ProgramField.Note, "Note", 40),
    ];

    /// <summary>Comma-separated values after RFC 4180 in UTF-8 with a mark, which spreadsheets need to see accents.</summary>
    public static byte[] Csv(IEnumerable<ProgramRow> rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        return TextTable.Write(Heads, rows.Select(Cells));
    }

    /// <summary>A spreadsheet with one sheet; every cell is text, so that no range becomes a date.</summary>
    /// <param name="rows">The program.</param>
    /// <param name="name">Name of the sheet.</param>
    public static byte[] Xlsx(IEnumerable<ProgramRow> rows, string name = "Gym program")
    {
        ArgumentNullException.ThrowIfNull(rows);
        using var stream = new MemoryStream();
        using (var document = SpreadsheetDocument.Create(stream, SpreadsheetDocumentType.Workbook))
        {
            var workbook = document.AddWorkbookPart();
            workbook.AddNewPart<WorkbookStylesPart>().Stylesheet = TextAndBold();
            var sheet = workbook.AddNewPart<WorksheetPart>();
            var data = new SheetData(
                rows.Select(Cells).Prepend(Heads).Select((cells, i) => new Row(cells.Select(c => TextCell(c, i == 0 ? 1U : 0U))))
            );
            var columns = new Columns(
                Columns.Select(
                    (c, i) =>
                        new Column
                        {
                            Min = (uint)i + 1,
                            Max = (uint)i + 1,
                            Width = c.Width,
                            CustomWidth = true,
                        }
                )
            );
            sheet.Worksheet = new Worksheet(columns, data);
            workbook.Workbook = new Workbook(
                new Sheets(
                    new DocumentFormat.OpenXml.Spreadsheet.Sheet
                    {
                        Id = workbook.GetIdOfPart(sheet),
                        SheetId = 1,
                        Name = name,
                    }
                )
            );
        }

        return stream.ToArray();
    }

    private static IEnumerable<string> Heads => Columns.Select(c => c.Head);

    private static IEnumerable<string> Cells(ProgramRow row) => Columns.Select(c => row.Cell(c.Field));

    private static Cell TextCell(string text, uint style) =>
        new()
        {
            DataType = CellValues.InlineString,
            InlineString = new InlineString(new Text(SafeCell.OneLine(text)) { Space = SpaceProcessingModeValues.Preserve }),
            StyleIndex = style,
        };

    /// <summary>Two styles: text (format 49 of ECMA-376), and the same in bold for the heads.</summary>
    private static Stylesheet TextAndBold() =>
        new(
            new Fonts(new Font(), new Font(new Bold())),
            new Fills(
                new Fill(new PatternFill { PatternType = PatternValues.None }),
                new Fill(new PatternFill { PatternType = PatternValues.Gray125 })
            ),
            new Borders(new Border()),
            new CellStyleFormats(new CellFormat()),
            new CellFormats(
                new CellFormat { NumberFormatId = 49, ApplyNumberFormat = true },
                new CellFormat
                {
                    NumberFormatId = 49,
                    ApplyNumberFormat = true,
                    FontId = 1,
                    ApplyFont = true,
                }
            )
        );
}
