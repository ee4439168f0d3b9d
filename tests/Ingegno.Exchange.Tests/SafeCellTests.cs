using System.Globalization;
using System.Text;
using CsvHelper;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange.Tests;

public class SafeCellTests
{
    private static readonly string[] Hostile =
    [
        "\n=1+1",
        "=1+1",
        " =cmd|' /C calc'!A0",
        "\t@SUM(A1)",
        "\u200B+1",
        "＝1+1",
        "-2",
        "a\r\nb,\"c\"",
        "\u0000\u0007",
        "\ud83d half",
        "tail \udc00",
        "\u2028x\u2029",
        "plain, with \"quotes\"",
        "'=1+1",
        "x;=1+1",
        "x; =cmd|' /C calc'!A0;+2",
    ];

    [Fact]
    [Trait("source", "OWASP, CSV Injection, from memory")]
    public void No_text_however_hostile_begins_a_formula_or_a_row()
    {
        var rows = Hostile
            .Select(h => new ProgramRow
            {
                Week = h,
                Exercise = h,
                Note = h,
            })
            .ToList();

        foreach (var cells in ReadCsv(ProgramFiles.Csv(rows)).Concat(ReadXlsx(ProgramFiles.Xlsx(rows), formulas: false)))
        {
            cells.ShouldAllBe(c => !c.Contains('\n') && !c.Contains('\r') && !c.Any(char.IsControl));
        }

        foreach (var cell in ReadCsv(ProgramFiles.Csv(rows)).SelectMany(c => c))
        {
            "=+-@＝＋－＠".ShouldNotContain(cell.TrimStart(' ', '\u200B', '\u00A0').FirstOrDefault('x'));
        }

        ReadXlsx(ProgramFiles.Xlsx(rows), formulas: true).ShouldBeEmpty();
        ReadCsv(ProgramFiles.Csv(rows)).Count.ShouldBe(rows.Count + 1);
    }

    [Fact]
    public void What_is_written_safely_is_read_as_it_was_in_one_line()
    {
        foreach (var text in Hostile)
        {
            SafeCell.Read(SafeCell.Write(text)).ShouldBe(text == "'=1+1" ? "=1+1" : SafeCell.OneLine(text));
        }
    }

    private static List<string[]> ReadCsv(byte[] file)
    {
        using var reader = new CsvReader(new StreamReader(new MemoryStream(file), Encoding.UTF8), CultureInfo.InvariantCulture);
        var rows = new List<string[]>();
        while (reader.Read())
        {
            rows.Add([.. Enumerable.Range(0, reader.Parser.Count).Select(i => reader.GetField(i)!)]);
        }

        return rows;
    }

    private static List<string[]> ReadXlsx(byte[] file, bool formulas)
    {
        using var document = SpreadsheetDocument.Open(new MemoryStream(file), false);
        var sheet = document.WorkbookPart!.WorksheetParts.Single().Worksheet!;
        return formulas
            ? [.. sheet.Descendants<CellFormula>().Select(f => new[] { f.Text })]
            : [.. sheet.Descendants<Row>().Select(r => r.Elements<Cell>().Select(c => c.InnerText).ToArray())];
    }
}
