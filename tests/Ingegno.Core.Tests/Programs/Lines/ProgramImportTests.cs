using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Programs.Lines;

public class ProgramImportTests
{
    private static readonly ProgramImport Import = new(DomainRules.Shipped.Names);

    [Fact]
    public void Heads_are_found_below_a_title_and_cells_run_on_downwards()
    {
        var preview = Import.Preview(
            [
                Table(
                    "Spring block||||",
                    "Week|Day|Exercise|Sets|Reps",
                    "1|Upper|Bench press|3|8",
                    "||Barbell row|3|8",
                    "|Lower|Back squat|5|5",
                    "2|Upper|Bench press|3|9"
                ),
            ],
            new ImportSettings()
        );

        preview.HeadRow.ShouldBe(2);
        preview.Weeks.Select(w => w.Name).ShouldBe(["Week 1", "Week 2"]);
        preview.Weeks[0].Text.ShouldBe("= Upper\nBench press 3x8\nBarbell row 3x8\n\n= Lower\nBack squat 5x5");
        preview.Weeks[1].Lines.ShouldBe(1);
        preview.Faults.ShouldBeEmpty();
    }

    [Fact]
    public void Faults_name_the_cell_of_the_file()
    {
        var preview = Import.Preview(
            [Table("Exercise|Sets x Reps|Rest", "Bench press|3x8|90", "Barbell row|3x999|90", "Crunch|3x15|soon")],
            new ImportSettings()
        );

        preview.Faults.Select(f => f.Cell).ShouldBe(["B3", "C4"]);
        preview.Weeks.Single().Lines.ShouldBe(1);
        preview.Weeks.Single().Text.ShouldContain("Barbell row 3x999", Case.Sensitive, "what cannot be read is not lost");
    }

    [Fact]
    public void Dates_formulas_and_errors_are_told_as_what_they_are()
    {
        SheetRow Row(int number, SheetCell reps) => new(number, [new("Bench press"), new("3"), reps]);
        var sheet = new Sheet(
            "Plan",
            [
                new SheetRow(1, [new("Exercise"), new("Sets"), new("Reps")]),
                Row(2, new SheetCell("12 Aug 2026", CellKind.Date, "8-12")),
                Row(3, new SheetCell("=B2*2", CellKind.FormulaWithoutResult)),
                Row(4, new SheetCell("#DIV/0!", CellKind.Error)),
            ]
        );
        var faults = Import.Preview([sheet], new ImportSettings()).Faults;

        faults.Select(f => f.Cell).ShouldBe(["C2", "C3", "C4"]);
        faults[0].Suggestions.ShouldBe(["8-12"]);
        faults[0].Message.Code.ShouldBe("cell.date");
        faults[1].Message.Code.ShouldBe("cell.formula");
        faults[2].Message.Code.ShouldBe("cell.error");
    }

    [Fact]
    public void A_column_that_stands_twice_is_told_and_the_first_is_taken()
    {
        var preview = Import.Preview([Table("Exercise|Sets|Reps|Reps", "Bench press|3|8|10")], new ImportSettings());

        preview.Notes.ShouldContain(n => n.Contains("\"Reps\" heads 2 columns"));
        preview.Weeks.Single().Text.ShouldBe("Bench press 3x8");
        preview.Columns[3].Field.ShouldBeNull();
    }

    [Fact]
    public void The_coach_says_what_a_column_holds()
    {
        var table = Table("Bench press|3|8", "Back squat|5|5");
        ImmutableArray<ProgramField?> fields = [ProgramField.Exercise, ProgramField.Sets, ProgramField.Reps];
        var preview = Import.Preview([table], new ImportSettings(HeadRow: 0, Fields: fields));

        preview.Weeks.Single().Lines.ShouldBe(2);
        Import.Preview([table], new ImportSettings()).Notes.ShouldContain(n => n.Contains("No column is taken for the exercise"));
    }

    [Fact]
    public void Each_sheet_is_a_week_when_no_column_names_them()
    {
        var preview = Import.Preview(
            [
                Table("Exercise|Sets|Reps", "Bench press|3|8") with
                {
                    Name = "Build",
                },
                Table("Exercise|Sets|Reps", "Bench press|2|8") with
                {
                    Name = "Deload",
                },
            ],
            new ImportSettings()
        );

        preview.Weeks.Select(w => w.Name).ShouldBe(["Build", "Deload"]);
    }

    [Fact]
    public void The_unit_of_loads_follows_the_head_of_the_column()
    {
        Import
            .Preview([Table("Exercise|Sets|Reps|Weight (lb)", "Bench press|3|8|135")], new ImportSettings())
            .Weeks[0]
            .Text.ShouldContain("135 lb");
        Import
            .Preview([Table("Exercise|Sets|Reps|Weight", "Bench press|3|8|60")], new ImportSettings())
            .Weeks[0]
            .Text.ShouldContain("60 kg");
    }

    [Fact]
    public void Shorthand_of_several_weeks_is_parted_and_faults_keep_their_line()
    {
        var preview = Import.PreviewText("== Week 1\n= A\nBench press 3x8\n\n== Deload\n= A\nBench press 2x8\nWhammy sparkle 3x8");

        preview.Weeks.Select(w => (w.Name, w.Lines)).ShouldBe([("Week 1", 1), ("Deload", 1)]);
        preview.Faults.ShouldHaveSingleItem().Cell.ShouldBe("line 8");
    }

    [Fact]
    public void A_file_of_unknown_names_is_told_name_by_name()
    {
        var faults = Import
            .Preview(
                [Table(["Exercise|Sets|Reps", .. Enumerable.Range(0, 200).Select(i => $"Whammy sparkle|3|{(i % 12) + 1}")])],
                new ImportSettings()
            )
            .Faults;

        faults.Length.ShouldBe(200);
        faults[^1].Message["name"].ShouldBe("Whammy sparkle");
    }

    [Fact]
    public void Of_a_text_that_is_no_program_a_hundred_faults_are_shown_with_a_word()
    {
        var preview = Import.PreviewText(
            string.Join(
                '\n',
                Enumerable.Range(1, 30).Select(w => $"== Week {w}\n{string.Join('\n', Enumerable.Repeat("Whammy sparkle 3x8", 20))}")
            )
        );

        preview.Faults.Length.ShouldBe(100);
        preview.Notes.ShouldHaveSingleItem().ShouldContain("More than 100");
    }

    [Fact]
    public void Nothing_in_it_is_said() => Import.Preview([Table(" | ")], new ImportSettings()).Notes.ShouldBe(["There is nothing in it."]);

    [Theory]
    [InlineData(0, "A")]
    [InlineData(25, "Z")]
    [InlineData(26, "AA")]
    [InlineData(59, "BH")]
    public void Columns_are_named_as_spreadsheets_do(int index, string name) => Sheet.ColumnName(index).ShouldBe(name);

    private static Sheet Table(params string[] rows) =>
        new("Plan", [.. rows.Select((r, i) => new SheetRow(i + 1, [.. r.Split('|').Select(c => new SheetCell(c.Trim()))]))]);
}
