using System.IO.Compression;
using System.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange.Tests;

/// <summary>Spreadsheets that were made to keep a core busy are refused at once, in words.</summary>
public class HostileSpreadsheetTests
{
    /// <summary>Far above what a busy machine needs, and far below what these files took before they were bounded.</summary>
    private static readonly TimeSpan HangsAfter = TimeSpan.FromSeconds(30);

    private static readonly ProgramReader Reader = new(DomainRules.Shipped.Names);

    [Fact]
    public void Runs_nested_some_thousand_deep_are_refused() =>
        Refused(
            Book(
                $"<row r=\"1\"><c r=\"A1\" t=\"inlineStr\"><is>{string.Concat(Enumerable.Repeat("<r>", 32_000))}<t>x</t>{string.Concat(Enumerable.Repeat("</r>", 32_000))}</is></c></row>"
            ),
            "nests its contents"
        );

    [Fact]
    public void Thousands_of_joined_ranges_are_refused_and_a_few_hundred_are_filled_in_no_time()
    {
        static string Rows(int count) =>
            string.Concat(Enumerable.Range(1, count).Select(r => $"<row r=\"{r}\"><c r=\"A{r}\"><v>{r}</v></c></row>"));
        static string Merges(int count) => string.Concat(Enumerable.Range(0, count).Select(i => $"<mergeCell ref=\"A{i + 1}:A4000\"/>"));

        Refused(Book(Rows(4000), Merges(4000)), "joins cells more than 2,000 times");
        Should.CompleteIn(() => Read(Book(Rows(4000), Merges(400))), HangsAfter);
    }

    [Fact]
    public void Sixty_sheets_on_one_part_are_one_sheet()
    {
        var row = "<row r=\"{0}\">" + string.Concat("ABCDEFGHIJ".Select(c => $"<c r=\"{c}{{0}}\"><v>1</v></c>")) + "</row>";
        var rows = string.Concat(
            Enumerable.Range(1, 1000).Select(r => string.Format(System.Globalization.CultureInfo.InvariantCulture, row, r))
        );

        Should.CompleteIn(() => Read(Book(rows, sheets: 60)), HangsAfter);
    }

    [Fact]
    public void A_file_of_more_cells_than_any_program_has_is_refused()
    {
        var cells = string.Concat(
            Enumerable.Range(0, 60).Select(c => $"<c r=\"{(c < 26 ? "" : "A")}{(char)('A' + (c % 26))}1\"><v>1</v></c>")
        );
        Refused(Book(string.Concat(Enumerable.Range(1, 1100).Select(r => $"<row r=\"{r}\">{cells}</row>"))), "cells");
    }

    [Theory]
    [InlineData("<row r=\"99999999999999\"><c r=\"A1\"><v>1</v></c></row>")]
    [InlineData("<row r=\"1\"><c r=\"A1\"><v>1</v></row>")]
    public void Damaged_rows_are_said(string rows) => Should.Throw<UnreadableFileException>(() => Read(Book(rows)));

    [Fact]
    public void A_row_that_is_named_twice_stands_once() =>
        Should.NotThrow(() =>
            Read(
                Book("<row r=\"1\"><c r=\"A1\"><v>1</v></c></row><row r=\"1\"><c r=\"A1\"><v>2</v></c></row>", "<mergeCell ref=\"A1:A2\"/>")
            )
        );

    private static void Refused(byte[] file, string words) =>
        Should.Throw<UnreadableFileException>(() => Read(file)).Message.ShouldContain(words);

    private static ReadProgram Read(byte[] file) => Reader.Read(file, null, new ImportSettings());

    /// <summary>A spreadsheet with these rows, as small as one can be.</summary>
    private static byte[] Book(string rows, string merges = "", int sheets = 1)
    {
        const string Main = "http://schemas.openxmlformats.org/spreadsheetml/2006/main";
        const string Office = "http://schemas.openxmlformats.org/officeDocument/2006/relationships";
        var joined = merges.Length == 0 ? string.Empty : $"<mergeCells>{merges}</mergeCells>";
        (string Path, string Text)[] parts =
        [
            (
                "[Content_Types].xml",
                "<Types xmlns=\"http://schemas.openxmlformats.org/package/2006/content-types\"><Default Extension=\"rels\" ContentType=\"application/vnd.openxmlformats-package.relationships+xml\"/><Override PartName=\"/xl/workbook.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.sheet.main+xml\"/><Override PartName=\"/xl/sheet1.xml\" ContentType=\"application/vnd.openxmlformats-officedocument.spreadsheetml.worksheet+xml\"/></Types>"
            ),
            (
                "_rels/.rels",
                $"<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"r1\" Type=\"{Office}/officeDocument\" Target=\"xl/workbook.xml\"/></Relationships>"
            ),
            (
                "xl/_rels/workbook.xml.rels",
                $"<Relationships xmlns=\"http://schemas.openxmlformats.org/package/2006/relationships\"><Relationship Id=\"r1\" Type=\"{Office}/worksheet\" Target=\"sheet1.xml\"/></Relationships>"
            ),
            (
                "xl/workbook.xml",
                $"<workbook xmlns=\"{Main}\" xmlns:r=\"{Office}\"><sheets>{string.Concat(Enumerable.Range(1, sheets).Select(i => $"<sheet name=\"S{i}\" sheetId=\"{i}\" r:id=\"r1\"/>"))}</sheets></workbook>"
            ),
            ("xl/sheet1.xml", $"<worksheet xmlns=\"{Main}\"><sheetData>{rows}</sheetData>{joined}</worksheet>"),
        ];
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, true))
        {
            foreach (var (path, text) in parts)
            {
                using var part = zip.CreateEntry(path).Open();
                part.Write(Encoding.UTF8.GetBytes(text));
            }
        }

        return stream.ToArray();
    }
}
