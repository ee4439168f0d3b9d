using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>How programs are laid out when they are typed, pasted from a table or sent in a message: common practice.</summary>
public class ProgramLayoutTests
{
    private static ShorthandResult Read(string text) => new ShorthandParser(DomainRules.Shipped.Names).Parse(text);

    private static string Lines(ShorthandResult read) =>
        string.Join("; ", read.Lines.Select(l => $"{l.ExerciseId} {Shorthand.Dose(l)} {Shorthand.Details(l)}".TrimEnd()));

    private static string Days(ShorthandResult read) => string.Join(", ", read.Days.Select(d => d.Name));

    [Theory]
    [InlineData("Goblet squat\n3 x 12\nInverted row\n3 x AMRAP", "goblet-squat 3x12; table-row 3xAMRAP")]
    [InlineData("BACK SQUAT\n5x5 @ 100 kg\nrest 3 min\nLEG PRESS\n3x12", "back-squat 5x5 @ 100 kg 180 s rest; leg-press 3x12")]
    [InlineData("Bench press\nSets: 3\nReps: 8\nRest: 90 s", "bench-press 3x8 90 s rest")]
    [InlineData("Half-kneeling landmine press\n3 x 8 / side", "landmine-press 3x8/side")]
    [InlineData("Bench press 3x8 @ 60 kg,\n90 s rest", "bench-press 3x8 @ 60 kg 90 s rest")]
    [InlineData("Front squat 1x3 @ 100 kg\nthen 3x3 @ 90 kg", "front-squat 1x3 @ 100 kg, 3x3 @ 90 kg")]
    public void Rows_of_one_exercise_are_one_line(string text, string lines)
    {
        var read = Read(text);

        Lines(read).ShouldBe(lines);
        read.Errors.ShouldBeEmpty();
    }

    [Theory]
    [InlineData("A\nSquat 3x5\nB\nBench 3x5\nC\nRow 3x5", "Day A, Day B, Day C")]
    [InlineData("1.\na. Squat 3x5\nb. Row 3x5\n2.\na. Bench 3x5", "Day 1, Day 2")]
    [InlineData("Montag\nSquat 3x5\nMittwoch\nBench 3x5", "Montag, Mittwoch")]
    [InlineData("lunes\nSquat 3x5\njueves\nBench 3x5", "lunes, jueves")]
    public void Letters_figures_and_weekdays_of_any_tongue_part_the_days(string text, string days) => Days(Read(text)).ShouldBe(days);

    [Fact]
    public void A_letter_alone_is_no_day_where_others_are() =>
        Days(Read("Day 1\nA\nSquat 3x5\nB\nRow 3x5\nDay 2\nBench 3x5")).ShouldBe("Day 1, Day 2");

    [Fact]
    public void A_head_holds_for_its_table_though_days_part_it()
    {
        var read = Read(
            "| Exercise | Sets | Reps | Tempo | Rest | Notes |\n|---|---|---|---|---|---|\n| **Day 1 – Lower** | | | | | |\n| RDL | 3 | 8-10 | 3010 | 90s | add 2.5 kg each week |\n| **Day 2** | | | | | |\n| DB bench press | 4 | 8 | 3010 | 90s | drop set on last |"
        );

        Lines(read).ShouldBe("barbell-romanian-deadlift 3x8-10 3-0-1-0 90 s rest; dumbbell-bench-press 4x8 3-0-1-0 90 s rest drop set");
        Days(read).ShouldBe("Day 1 – Lower, Day 2");
        read.Lines[0].Note.ShouldBe("add 2.5 kg each week");
    }

    [Fact]
    public void A_column_of_days_heads_them() =>
        Days(Read("Day\tExercise\tSets\tReps\n1\tBack squat\t3\t5\n\tBench press\t3\t5\n2\tDeadlift\t1\t5")).ShouldBe("Day 1, Day 2");

    [Fact]
    public void Columns_of_weeks_are_weeks()
    {
        var read = Read("Exercise\tW1\tW2\tW3\nLower A\nBack squat\t3x8\t3x9\t2x8\nLeg curl\t3x12\t-\t2x12");

        read.Weeks.Select(w => $"{w.Name}: {w.Lines}").ShouldBe(["Week 1: 2", "Week 2: 1", "Week 3: 2"]);
        Lines(read).ShouldBe("back-squat 3x8; lying-leg-curl 3x12");
        read.Weeks[1].Text.ShouldEndWith("= Lower A\nBack squat 3x9");
    }

    [Theory]
    [InlineData("Squat W1 3x8 W2 3x9\nCurl 3x12", "back-squat 3x8; barbell-curl 3x12", "Squat 3x9\nCurl 3x12")]
    [InlineData("Squat\nWk1 3x5 @ 75%\nWk2 3x3 @ 80%\nCurl 3x12", "back-squat 3x5 @ 75%; barbell-curl 3x12", "Squat 3x3 @ 80%\nCurl 3x12")]
    public void Weeks_of_an_exercise_are_weeks(string text, string first, string second)
    {
        var read = Read(text);

        Lines(read).ShouldBe(first);
        read.Weeks[1].Text.ShouldBe(second);
    }

    [Fact]
    public void Phases_above_days_are_weeks() =>
        Read("Phase 1 (wk 1-3)\nLower: squat 4x8, RDL 3x10\nPhase 2 (wk 4-6)\nLower: squat 5x5, RDL 4x6")
            .Weeks.Select(w => (w.Name, w.Lines))
            .ShouldBe([("Phase 1 (wk 1-3)", 2), ("Phase 2 (wk 4-6)", 2)]);

    [Fact]
    public void Columns_of_sets_are_the_sets() =>
        Lines(Read("Exercise | Set 1 | Set 2 | Rest\nSquat | 60x8 | 70x6 | 2:30\nDip | 10 | 8 | 90s"))
            .ShouldBe("back-squat 1x8 @ 60 kg, 1x6 @ 70 kg 150 s rest; parallel-bar-dip 2x10/8 90 s rest");

    [Fact]
    public void A_keycap_is_a_bullet() =>
        Read("1\ufe0f\u20e3 Squat - 3x8\n2\ufe0f\u20e3 Row - 3x8").Rows.ShouldAllBe(r => r.Doubts.IsEmpty);

    [Fact]
    public void The_first_cell_of_a_table_without_a_head_may_be_its_day() =>
        Days(Read("Day 1\tSquat\t5x5\n\tBench\t5x5\nDay 2\tDeadlift\t3x5")).ShouldBe("Day 1, Day 2");

    [Theory]
    [InlineData("Week 1\nDay 1\nSquat 3x8\nWeek 2\nDay 1\nSquat 3x9", "Week 1, Week 2")]
    [InlineData("W1D1\nSquat 3x8\nW1D2\nBench 3x8\nW2D1\nSquat 3x9", "Week 1, Week 2")]
    [InlineData("Winter block\n\nWeek 1 - volume\nSquat 3x8\nWeek 2 - deload\nSquat 2x5", "Week 1 - volume, Week 2 - deload")]
    public void Headings_of_weeks_part_them(string text, string weeks)
    {
        var read = Read(text);

        string.Join(", ", read.Weeks.Select(w => w.Name)).ShouldBe(weeks);
        read.Errors.ShouldBeEmpty();
    }

    [Fact]
    public void Nothing_of_a_week_is_lost_that_was_written_below_its_name() =>
        Read("Week 1\nSquat 3x8\nLat pulldown\n3 x 12\nWeek 2\nLat pulldown\n3 x 10")
            .Weeks.Select(w => w.Text)
            .ShouldBe(["Squat 3x8\nLat pulldown\n3 x 12", "Lat pulldown\n3 x 10"]);

    [Fact]
    public void What_is_in_doubt_of_a_later_week_is_not_hidden() =>
        Read("Week 1\nSquat 3x8\nWeek 2\nFlumph 3x8").Errors.ShouldHaveSingleItem().Line.ShouldBe(4);

    [Fact]
    public void The_form_of_a_circuit_holds_for_what_follows() =>
        Lines(Read("Circuit A – 3 rounds, 40s on / 20s off\nPush-up\nReverse lunge\n\nBack squat 3x5"))
            .ShouldBe("push-up 3x40 s 20 s rest; reverse-lunge 3x40 s 20 s rest; back-squat 3x5");

    [Theory]
    [InlineData("Increase 2.5 kg per session. If you miss reps 3x in a row deload 10%.")]
    [InlineData("Hi! here is what I would have her doing with the squat:")]
    [InlineData("Week 1-2: RPE 7. Week 3: RPE 8. Week 4: deload, do 2 sets of everything.")]
    [InlineData("When all sets are done, add 5 kg to the deadlift next week")]
    public void What_is_said_to_the_reader_is_no_line(string row)
    {
        var read = Read("Day 1\nSquat 3x5\n" + row);

        read.Lines.ShouldHaveSingleItem();
        read.Rows[^1].Kind.ShouldBe(RowKind.Comment);
        read.Rows[^1].Text.ShouldBe(row);
    }

    [Theory]
    [InlineData("Add weighted dips 3x8 on Fridays", "parallel-bar-dip 3x8")]
    [InlineData("Plank 3x\nRow 3x8", "plank 3x8-12 s; barbell-row 3x8")]
    [InlineData("Bench 3x8,\nRow 3x10,\nCurl 3x12", "bench-press 3x8; barbell-row 3x10; barbell-curl 3x12")]
    [InlineData("Bench 3x8 +\nRow 3x10", "bench-press 3x8; barbell-row 3x10")]
    public void No_exercise_is_swallowed_by_the_row_before_or_as_a_remark(string text, string lines) => Lines(Read(text)).ShouldBe(lines);

    [Fact]
    public void An_unknown_row_behind_a_comma_stays_a_row_of_its_own() =>
        Read("Bench 3x8,\nFlumph 3x10").Errors.ShouldHaveSingleItem().Line.ShouldBe(2);

    [Fact]
    public void A_week_of_which_nothing_is_planned_stays_in_sight() =>
        Read("Week 1\nSquat 3x8\nWeek 2\nSquat 3x9\nWeek 3").Rows.Count(r => r.Kind == RowKind.Week).ShouldBe(3);

    [Fact]
    public void Two_thousand_lines_are_read() =>
        Read(string.Concat(Enumerable.Repeat("Back squat 3x5\n", 1999))).Lines.Length.ShouldBe(1999);
}
