using System.Globalization;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange;

/// <summary>What cells of one spreadsheet show.</summary>
internal sealed class XlsxCells
{
    private readonly string[] _shared;
    private readonly string?[] _formats;

    public XlsxCells(WorkbookPart workbook)
    {
        _shared = Shared(workbook.SharedStringTablePart);
        var stylesheet = workbook.WorkbookStylesPart?.Stylesheet;
        var own =
            stylesheet
                ?.NumberingFormats?.Elements<NumberingFormat>()
                .GroupBy(f => f.NumberFormatId?.Value ?? 0)
                .ToDictionary(g => g.Key, g => g.First().FormatCode?.Value ?? string.Empty)
            ?? [];
        _formats = [.. stylesheet?.CellFormats?.Elements<CellFormat>().Select(f => Format(f.NumberFormatId?.Value ?? 0, own)) ?? []];
    }

    /// <summary>Texts that cells share, read in passing: a tree of a packed file's worth of them would take some hundred megabytes.</summary>
    private static string[] Shared(SharedStringTablePart? part)
    {
        if (part is null)
        {
            return [];
        }

        var texts = new List<string>();
        using var reader = OpenXmlReader.Create(part);
        var text = new System.Text.StringBuilder();
        while (reader.Read())
        {
            if (reader.ElementType == typeof(SharedStringItem))
            {
                if (reader.IsEndElement)
                {
                    texts.Add(text.ToString());
                    text.Clear();
                    if (texts.Count > ExchangeLimits.SharedTexts)
                    {
                        throw new UnreadableFileException(
                            $"The file holds more than {ExchangeLimits.SharedTexts:N0} texts; a gym program is never that large. Leave out what is not the program."
                        );
                    }
                }
            }
            else if (reader.IsStartElement && reader.ElementType == typeof(Text) && text.Length < ExchangeLimits.CellLength)
            {
                text.Append(Cut(reader.GetText()));
            }
        }

        return [.. texts];
    }

    /// <summary>The cell as a program reads it. A formula counts by the result that the file holds.</summary>
    public SheetCell Read(Cell cell)
    {
        var value = cell.CellValue?.Text;
        if (cell.CellFormula is not null && string.IsNullOrEmpty(value))
        {
            return new SheetCell("=" + Cut(cell.CellFormula.Text), CellKind.FormulaWithoutResult);
        }

        var type = cell.DataType?.Value;
        if (type == CellValues.SharedString)
        {
            return new SheetCell(
                Cut(
                    int.TryParse(value, CultureInfo.InvariantCulture, out var index) && index >= 0 && index < _shared.Length
                        ? _shared[index]
                        : string.Empty
                )
            );
        }

        if (type == CellValues.InlineString)
        {
            return new SheetCell(Cut(SafeCell.Read(cell.InlineString?.InnerText ?? string.Empty)));
        }

        if (type == CellValues.Error)
        {
            return new SheetCell(value ?? "#ERROR", CellKind.Error);
        }

        if (type == CellValues.Boolean)
        {
            return new SheetCell(value == "1" ? "yes" : "no");
        }

        return type is null || type == CellValues.Number
            ? Number(value ?? string.Empty, cell.StyleIndex?.Value)
            : new SheetCell(Cut(value ?? string.Empty));
    }

    /// <summary>Formats of ECMA-376, part 1, 18.8.30, that show dates (14–17, 22), times (18–21, 45–47) or percent (9, 10).</summary>
    private static string? Format(uint id, Dictionary<uint, string> own) =>
        id switch
        {
            >= 14 and <= 17 or 22 => "d",
            >= 18 and <= 21 or >= 45 and <= 47 => "h",
            9 or 10 => "%",
            _ when own.TryGetValue(id, out var code) => OfCode(code),
            _ => null,
        };

    private static string? OfCode(string code)
    {
        var plain = string.Concat(code.Split('"').Where((_, i) => i % 2 == 0)).ToLowerInvariant();
        plain = plain.Contains("[$", StringComparison.Ordinal) ? plain[(plain.IndexOf(']', StringComparison.Ordinal) + 1)..] : plain;
        return plain.Contains('d') || plain.Contains('y') ? "d"
            : plain.Contains('h') || plain.Contains(":s", StringComparison.Ordinal) || plain.Contains('s') ? "h"
            : plain.Contains('%') ? "%"
            : null;
    }

    private SheetCell Number(string value, uint? style)
    {
        if (!double.TryParse(value, NumberStyles.Float, CultureInfo.InvariantCulture, out var number) || !double.IsFinite(number))
        {
            return new SheetCell(Cut(value));
        }

        return (style is { } index && index < _formats.Length ? _formats[index] : null) switch
        {
            "d" when number is >= 1 and < 2_958_466 => Date(DateTime.FromOADate(number)),
            // A rest of 1:30 typed into a spreadsheet is kept as half past one.
            "h" when number is >= 0 and < 1 => new SheetCell(
                FormattableString.Invariant($"{(int)Math.Round(number * 1440) / 60}:{(int)Math.Round(number * 1440) % 60:00}")
            ),
            "%" => new SheetCell((number * 100).ToString("0.##", CultureInfo.InvariantCulture) + "%"),
            _ => new SheetCell(Math.Round(number, 6).ToString("0.######", CultureInfo.InvariantCulture)),
        };
    }

    private static SheetCell Date(DateTime date) =>
        new(
            date.ToString("d MMM yyyy", CultureInfo.InvariantCulture),
            CellKind.Date,
            $"{Math.Min(date.Day, date.Month)}-{Math.Max(date.Day, date.Month)}"
        );

    private static string Cut(string text) => text.Length > ExchangeLimits.CellLength ? text[..ExchangeLimits.CellLength] : text;
}
