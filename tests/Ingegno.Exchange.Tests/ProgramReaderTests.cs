using System.IO.Compression;
using System.Text;
using CsCheck;
using DocumentFormat.OpenXml;
using DocumentFormat.OpenXml.Packaging;
using DocumentFormat.OpenXml.Spreadsheet;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange.Tests;

public class ProgramReaderTests
{
    private const string Week =
        "= Upper\nBench press 4x8-12 @ 60 kg 3-1-X-0 90 s # pause, then press\nA1 Barbell row 3x6 + AMRAP @ RPE 8\n\n= Lower\nBack squat 5x5 @ 80% 180 s\nPlank 3x30 s RIR 2";

    private static readonly ProgramReader Reader = new(DomainRules.Shipped.Names);
    private static readonly ProgramRows Rows = new(DomainRules.Shipped.Names);

    [Theory]
    [InlineData("csv")]
    [InlineData("xlsx")]
    [InlineData("json")]
    [InlineData("txt")]
    public void What_is_written_out_comes_in_again_without_loss(string form)
    {
        (string Name, string Text)[] weeks = [("Week 1", Week), ("Deload", "= Upper\nBench press 2x8")];
        var table = weeks.SelectMany(w => Rows.Read(w.Text, w.Name));
        var bytes = form switch
        {
            "csv" => ProgramFiles.Csv(table),
            "xlsx" => ProgramFiles.Xlsx(table),
            "json" => ProgramDocument.From(weeks, Rows).ToJson(),
            _ => Encoding.UTF8.GetBytes(string.Join("\n\n", weeks.Select(w => $"== {w.Name}\n{w.Text}"))),
        };
        var read = Read(bytes);

        read.Preview.Faults.ShouldBeEmpty();
        read.Preview.Weeks.Select(w => w.Name).ShouldBe(["Week 1", "Deload"]);
        read.Preview.Weeks.Select(w => Rows.Write(Rows.Read(w.Text)).Text).ShouldBe(weeks.Select(w => Rows.Write(Rows.Read(w.Text)).Text));
    }

    [Theory]
    [InlineData("Exercise,Sets,Reps\nBench press,3,8", ",")]
    [InlineData("Exercise;Sets;Reps;Load\nBench press;3;8;62,5\nBarbell row;3;8;60,25", ";")]
    [InlineData("Exercise\tSets\tReps\nBench press\t3\t8", "\t")]
    [InlineData("Exercise|Sets|Reps\nBench press|3|8", "|")]
    [InlineData("Exercise,Sets,Reps,Notes\r\n\"Bench press\",3,8,\"slow; hold, then press\"\r\n", ",")]
    public void The_separator_is_found(string text, string separator)
    {
        var read = Read(Encoding.UTF8.GetBytes(text));

        read.Separator.ShouldBe(separator);
        read.Preview.Weeks.Single().Text.ShouldStartWith("Bench press 3x8");
        read.Preview.Faults.ShouldBeEmpty();
    }

    [Fact]
    public void Shorthand_with_commas_is_no_table() =>
        Read(Encoding.UTF8.GetBytes("Bench press 4x8-12 @ 3-1-1-0, 90 s, RIR 1\nBack squat 5x5 @ 80%, 3 min, RIR 2"))
            .Form.ShouldBe(ProgramForm.Shorthand);

    [Fact]
    public void Old_encodings_are_read_and_told()
    {
        byte[] bytes = [.. Encoding.ASCII.GetBytes("Exercise;Sets;Reps;Notes\nBench press;3;8;l"), 0xE9, .. Encoding.ASCII.GetBytes("ger")];
        var read = Read(bytes);

        read.Preview.Weeks.Single().Text.ShouldContain("léger");
        read.Preview.Notes.ShouldContain(n => n.Contains("Windows-1252"));
    }

    [Theory]
    [InlineData("utf-16")]
    [InlineData("utf-16BE")]
    [InlineData("utf-8")]
    public void Encodings_with_a_mark_are_read(string encoding)
    {
        var by = Encoding.GetEncoding(encoding);
        Read([.. by.Preamble, .. by.GetBytes("Exercise,Sets,Reps,Note\nBench press,3,8,größer")])
            .Preview.Weeks.Single()
            .Text.ShouldContain("größer");
    }

    [Fact]
    public void No_cell_that_is_written_starts_a_formula()
    {
        var rows = new[] { "=1+1", "+49", "-x", "@cmd", "\tx" }.Select(evil => new ProgramRow { Exercise = evil, Note = evil }).ToList();
        var csv = Encoding.UTF8.GetString(ProgramFiles.Csv(rows));

        csv.Split('\n')
            .Skip(1)
            .SelectMany(l => l.TrimEnd('\r').Split(','))
            .Where(c => c.Length > 0)
            .ShouldAllBe(c => !"=+-@\t".Contains(c.TrimStart('"')[0]));
        using var document = SpreadsheetDocument.Open(new MemoryStream(ProgramFiles.Xlsx(rows)), false);
        document.WorkbookPart!.WorksheetParts.Single().Worksheet!.Descendants<CellFormula>().ShouldBeEmpty();
        Read(ProgramFiles.Csv(rows)).Preview.Weeks.Single().Text.ShouldContain("=1+1", Case.Sensitive, "and comes back as it was");
    }

    [Fact]
    public void Dates_times_percents_formulas_and_joined_cells_of_a_spreadsheet_are_told_apart()
    {
        var read = Read(
            Spreadsheet(
                [
                    Texts("Day", "Exercise", "Sets", "Reps", "%", "Rest"),
                    [Text("Upper"), Text("Bench press"), Number("3"), Number("46246", 1), Number("0.75", 3), Number("0.0625", 2)],
                    [Empty(), Text("Barbell row"), Formula("C2+1", "4"), Number("8"), Empty(), Number("90")],
                    [Empty(), Text("Crunch"), Formula("C2+1", null), Number("15"), Empty(), Number("60")],
                ],
                "A2:A4"
            )
        );

        read.Preview.Weeks.Single().Text.ShouldContain("Barbell row 4x8 90 s");
        read.Preview.Weeks.Single().Text.ShouldContain("@ 75% 90 s");
        read.Preview.Weeks.Single().Text.Split('\n').Count(l => l.StartsWith('=')).ShouldBe(1);
        read.Preview.Faults.Select(f => f.Cell).ShouldBe(["D2", "C4"]);
        read.Preview.Faults[0].Suggestions.ShouldContain("8-12", "12 August 2026 is what a spreadsheet makes of 8-12");
        read.Preview.Faults[1].Message.Code.ShouldBe("cell.formula");
    }

    [Fact]
    public void Fifty_thousand_rows_are_refused_in_words()
    {
        var text = "Exercise,Sets,Reps\n" + string.Concat(Enumerable.Repeat("Bench press,3,8\n", 50_000));
        Should.Throw<UnreadableFileException>(() => Read(Encoding.UTF8.GetBytes(text))).Message.ShouldContain("5,000 rows");

        var sheet = Spreadsheet([.. Enumerable.Range(0, 6_000).Select(_ => Texts("Bench press", "3", "8"))], null);
        Should.Throw<UnreadableFileException>(() => Read(sheet)).Message.ShouldContain("5,000 rows");
    }

    [Fact]
    public void A_file_that_unpacks_without_end_is_refused()
    {
        using var stream = new MemoryStream();
        using (var zip = new ZipArchive(stream, ZipArchiveMode.Create, true))
        {
            using var part = zip.CreateEntry("xl/worksheets/sheet1.xml", CompressionLevel.Fastest).Open();
            var zeros = new byte[1024 * 1024];
            for (var i = 0; i < 64; i++)
            {
                part.Write(zeros);
            }
        }

        stream.Length.ShouldBeLessThan(ExchangeLimits.FileBytes);
        Should.Throw<UnreadableFileException>(() => Read(stream.ToArray())).Message.ShouldContain("unpacks to more than");
    }

    [Theory]
    [InlineData("{\"format\":\"gym-program\",\"version\":1}", "JSON")]
    [InlineData("{\"format\":\"shopping-list\",\"version\":1,\"weeks\":[]}", "no gym program")]
    [InlineData("{\"format\":\"gym-program\",\"version\":9,\"weeks\":[]}", "newer version")]
    [InlineData(
        "{\"format\":\"gym-program\",\"version\":1,\"weeks\":[{\"name\":\"W\",\"days\":[{\"name\":\"D\",\"lines\":[{\"exercise\":\"Crunch\",\"setz\":\"3\"}]}]}]}",
        "line 1"
    )]
    public void A_document_of_another_kind_is_refused_in_words(string json, string says) =>
        Should.Throw<UnreadableFileException>(() => Read(Encoding.UTF8.GetBytes(json))).Message.ShouldContain(says);

    [Fact]
    public void Other_files_are_refused_in_words()
    {
        Should.Throw<UnreadableFileException>(() => Read([0xD0, 0xCF, 0x11, 0xE0, 1, 2])).Message.ShouldContain(".xls");
        Should.Throw<UnreadableFileException>(() => Read([0x89, (byte)'P', (byte)'N', (byte)'G', 0, 0])).Message.ShouldContain("no text");
        Should.Throw<UnreadableFileException>(() => Read([(byte)'P', (byte)'K', 3, 4, 9, 9, 9])).Message.ShouldContain("damaged");
        Should.Throw<UnreadableFileException>(() => Read(new byte[ExchangeLimits.FileBytes + 1])).Message.ShouldContain("at most");
    }

    [Fact]
    public void Whatever_comes_in_there_is_an_answer_and_no_crash() =>
        Gen.OneOf(
                Gen.Byte.Array[0, 400],
                Gen.String[0, 300].Select(Encoding.UTF8.GetBytes),
                Gen.Char["ab3x8,;|\t\"'=\n{}[]# -"].Array[0, 300].Select(c => Encoding.UTF8.GetBytes(c))
            )
            .Sample(
                bytes =>
                {
                    try
                    {
                        Read(bytes).Preview.Weeks.ShouldAllBe(w => w.Lines >= 0);
                    }
                    catch (UnreadableFileException wrong)
                    {
                        wrong.Message.Length.ShouldBeGreaterThan(20);
                    }
                },
                iter: 1_500
            );

    [Fact]
    public void A_damaged_spreadsheet_is_an_answer_and_no_crash()
    {
        var good = ProgramFiles.Xlsx(Rows.Read(Week, "Week 1"));
        Gen.Select(Gen.Int[0, good.Length - 1], Gen.Byte)
            .Array[1, 6]
            .Sample(
                hits =>
                {
                    var bytes = good.ToArray();
                    foreach (var (at, with) in hits)
                    {
                        bytes[at] = with;
                    }

                    try
                    {
                        _ = Read(bytes);
                    }
                    catch (UnreadableFileException)
                    {
                        // Refused in words is what should happen.
                    }
                },
                iter: 300
            );
    }

    private static ReadProgram Read(byte[] bytes) => Reader.Read(bytes, null, new ImportSettings());

    private static Cell[] Texts(params string[] texts) => [.. texts.Select(Text)];

    private static Cell Text(string text) => new() { DataType = CellValues.InlineString, InlineString = new InlineString(new Text(text)) };

    private static Cell Number(string value, uint style = 0) => new() { CellValue = new CellValue(value), StyleIndex = style };

    private static Cell Formula(string formula, string? result) =>
        new() { CellFormula = new CellFormula(formula), CellValue = result is null ? null : new CellValue(result) };

    private static Cell Empty() => new();

    /// <summary>A spreadsheet with the styles general, date (14), time (20) and percent (9).</summary>
    private static byte[] Spreadsheet(Cell[][] rows, string? joined)
    {
        using var stream = new MemoryStream();
        using (var document = SpreadsheetDocument.Create(stream, SpreadsheetDocumentType.Workbook))
        {
            var workbook = document.AddWorkbookPart();
            workbook.AddNewPart<WorkbookStylesPart>().Stylesheet = new Stylesheet(
                new Fonts(new Font()),
                new Fills(new Fill()),
                new Borders(new Border()),
                new CellStyleFormats(new CellFormat()),
                new CellFormats(
                    new CellFormat(),
                    new CellFormat { NumberFormatId = 14 },
                    new CellFormat { NumberFormatId = 20 },
                    new CellFormat { NumberFormatId = 9 }
                )
            );
            var sheet = workbook.AddNewPart<WorksheetPart>();
            sheet.Worksheet = new Worksheet(new SheetData(rows.Select(r => new Row(r))));
            if (joined is not null)
            {
                sheet.Worksheet.Append(new MergeCells(new MergeCell { Reference = joined }));
            }

            workbook.Workbook = new Workbook(
                new Sheets(
                    new DocumentFormat.OpenXml.Spreadsheet.Sheet
                    {
                        Id = workbook.GetIdOfPart(sheet),
                        SheetId = 1,
                        Name = "Plan",
                    }
                )
            );
        }

        return stream.ToArray();
    }
}
