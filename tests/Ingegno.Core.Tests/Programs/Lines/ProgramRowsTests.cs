using CsCheck;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Programs.Lines;

public class ProgramRowsTests
{
    private static readonly ProgramRows Rows = new(DomainRules.Shipped.Names);

    private static readonly string[] Lines =
    [
        "Overhead press 3x6 + AMRAP @ 75% 2-0-1-0 180 s",
        "A1 Deficit deadlift 4x5 @ RPE 8.5",
        "Single-leg glute bridge 3x10/side # slow",
        "Plank 3x30-45 s RIR 2",
        "Bench press 4xAMRAP 90 s",
        "B2 Dumbbell lateral raise 3x12-15 @ 2x6.5 kg 3-1-X-0",
        "Back squat 1x20",
        "# warm up well",
        "an exercise nobody knows 3x8",
        "Crunch",
    ];

    [Fact]
    public void A_week_comes_back_as_it_was_whatever_stands_in_it() =>
        Gen.Select(Gen.OneOfConst(Lines), Gen.Int[0, 3])
            .Array[1, 12]
            .Sample(
                picked =>
                {
                    var text = string.Join('\n', picked.Select((p, i) => (p.Item2 == 0 ? $"= Day {i}\n" : string.Empty) + p.Item1));
                    var again = Rows.Write(Rows.Read(text)).Text;

                    var (before, after) = (Parse(text), Parse(again));
                    after.Lines.Select(l => l with { Line = 0 }).ShouldBe(before.Lines.Select(l => l with { Line = 0 }));
                    after.Errors.Length.ShouldBe(before.Errors.Length);
                    Rows.Write(Rows.Read(again)).Text.ShouldBe(again, "written once, it stays");
                },
                iter: 60
            );

    [Theory]
    [InlineData("3", "8-12", "60", "", "", "", "", "", "3x8-12 @ 60 kg")]
    [InlineData("3.0", "8 to 12", "62,5", "", "", "", "", "", "3x8-12 @ 62.5 kg")]
    [InlineData("4", "10.0", "2x10", "", "", "", "3110", "90", "4x10 @ 2x10 kg 3-1-1-0 90 s")]
    [InlineData("5", "5", "", "0.8", "", "", "31x0", "3 min", "5x5 @ 80% 3-1-X-0 180 s")]
    [InlineData("5", "5", "", "80%", "8", "", "3/1/1/0", "2'", "5x5 @ 80% @ RPE 8 3-1-1-0 120 s")]
    [InlineData("3", "30 s", "bw", "", "", "2", "", "1:30", "3x30 s bodyweight RIR 2 90 s")]
    [InlineData("3", "AMRAP", "45 lb", "", "RPE 9", "", "", "rest 60", "3xAMRAP @ 45 lb @ RPE 9 60 s")]
    [Trait("source", "common practice: how coaches fill their tables")]
    public void Cells_are_read_the_way_tables_are_filled(
        string sets,
        string reps,
        string load,
        string percent,
        string rpe,
        string rir,
        string tempo,
        string rest,
        string line
    )
    {
        var written = Rows.Write([
            new ProgramRow
            {
                Exercise = "Bench press",
                Sets = sets,
                Reps = reps,
                Load = load,
                Percent = percent,
                Rpe = rpe,
                Rir = rir,
                Tempo = tempo,
                Rest = rest,
            },
        ]);

        written.Text.ShouldBe("Bench press " + line);
        written.Faults.ShouldBeEmpty();
    }

    [Theory]
    [InlineData(ProgramField.Sets, "three", "whole number")]
    [InlineData(ProgramField.Sets, "25", "Sets")]
    [InlineData(ProgramField.Reps, "12-Aug", "date")]
    [InlineData(ProgramField.Reps, "999", "200")]
    [InlineData(ProgramField.Reps, "many", "no reps")]
    [InlineData(ProgramField.Reps, "12-8", "backwards")]
    [InlineData(ProgramField.Load, "900", "500")]
    [InlineData(ProgramField.Percent, "heavy", "percentage")]
    [InlineData(ProgramField.Rpe, "11", "RPE")]
    [InlineData(ProgramField.Tempo, "slow", "tempo")]
    [InlineData(ProgramField.Rest, "a while", "rest")]
    [InlineData(ProgramField.Exercise, "Bensh pres", "Bench press")]
    public void A_cell_that_cannot_be_is_named_with_its_column(ProgramField field, string cell, string says)
    {
        var row = new ProgramRow
        {
            Exercise = "Bench press",
            Sets = "3",
            Reps = "8",
        }.With(field, cell);
        var fault = Rows.Write([
                new ProgramRow
                {
                    Exercise = "Crunch",
                    Sets = "3",
                    Reps = "15",
                },
                row,
            ])
            .Faults.ShouldHaveSingleItem();

        fault.Row.ShouldBe(1);
        fault.Field.ShouldBe(field);
        (fault.Message.Said() + string.Join(' ', fault.Suggestions)).ShouldContain(says);
    }

    [Fact]
    public void A_date_says_which_range_it_was_meant_to_be() =>
        Rows.Write([
                new ProgramRow
                {
                    Exercise = "Bench press",
                    Sets = "3",
                    Reps = "12-Aug",
                },
            ])
            .Faults[0]
            .Suggestions.ShouldBe(["8-12"]);

    [Fact]
    public void Missing_sets_and_reps_are_named_each()
    {
        Rows.Write([new ProgramRow { Exercise = "Bench press", Reps = "8" }]).Faults[0].Field.ShouldBe(ProgramField.Sets);
        Rows.Write([new ProgramRow { Exercise = "Bench press" }]).Faults[0].Message.Code.ShouldBe("cell.no-dose");
    }

    [Fact]
    public void A_line_with_a_fault_keeps_its_other_cells()
    {
        var row = Rows.Read("A1 Whammy sparkle 3x12 @ 60 kg 90 s # slow").ShouldHaveSingleItem();

        (row.Label, row.Exercise, row.Sets, row.Reps, row.Load, row.Rest, row.Note).ShouldBe(
            ("A1", "Whammy sparkle", "3", "12", "60 kg", "90 s", "slow")
        );
        Rows.Read("said beside the program").ShouldHaveSingleItem().Note.ShouldBe("said beside the program");
    }

    [Fact]
    public void Line_breaks_in_a_cell_make_no_new_line() =>
        Rows.Write([
                new ProgramRow
                {
                    Exercise = "Bench press",
                    Sets = "3",
                    Reps = "8",
                    Note = "pause\nthen press",
                },
            ])
            .Text.ShouldBe("Bench press 3x8 # pause then press");

    private static ShorthandResult Parse(string text) => new ShorthandParser(DomainRules.Shipped.Names).Parse(text);
}
