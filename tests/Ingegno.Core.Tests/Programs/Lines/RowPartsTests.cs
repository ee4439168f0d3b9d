using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>Rows that hold several exercises, or a heading and its exercises, as coaches type them.</summary>
[Trait("source", "common practice, written by hand")]
public class RowPartsTests
{
    private static readonly ShorthandParser Parser = new(DomainRules.Shipped.Names);

    [Theory]
    [InlineData("A1) Chin-ups 4x6 A2) DB bench 4x8", "A1 chin-up 4x6; A2 dumbbell-bench-press 4x8")]
    [InlineData("A1: Chin-ups 4x6; A2: DB bench 4x8", "A1 chin-up 4x6; A2 dumbbell-bench-press 4x8")]
    [InlineData(
        "B1 leg curl 3x12 B2 leg extension 3x12 B3 calf raise 3x15",
        "B1 lying-leg-curl 3x12; B2 leg-extension 3x12; B3 standing-calf-raise 3x15"
    )]
    [InlineData("Adductor machine 3x15, abductor machine 3x20", "hip-adduction-machine 3x15; hip-abduction-machine 3x20")]
    [InlineData("Back squat 5x5 then leg press 3x12", "back-squat 5x5; leg-press 3x12")]
    [InlineData("Squat 4x6 @ 100kg, 2 min rest, leg press 3x12", "back-squat 4x6 @ 100 kg 120 s rest; leg-press 3x12")]
    [InlineData("Superset leg curl 3x12 with leg extension 3x12", "S1 lying-leg-curl 3x12; S2 leg-extension 3x12")]
    [InlineData("Superset of curls and pushdowns 3x12", "S1 barbell-curl 3x12; S2 triceps-pushdown 3x12")]
    [InlineData("Leg curl / leg extension 3x12 each", "S1 lying-leg-curl 3x12; S2 leg-extension 3x12")]
    [InlineData("Bench 4x6 + OHP 3x8 + dips 3x10", "S1 bench-press 4x6; S2 overhead-press 3x8; S3 parallel-bar-dip 3x10")]
    [InlineData("3 rounds: 10 goblet squats, 12 pushups, 8 rows", "A1 goblet-squat 3x10; A2 push-up 3x12; A3 barbell-row 3x8")]
    [InlineData("3 rounds of 10 pushups and 20 air squats", "A1 push-up 3x10; A2 bodyweight-squat 3x20")]
    [InlineData("Deadbug + plank 3x8/30s", "S1 dead-bug 3x8; S2 plank 3x30 s")]
    [InlineData("Curl + pushdown 3x12/15", "S1 barbell-curl 3x12; S2 triceps-pushdown 3x15")]
    [InlineData("Giant set: squat 10, row 12, push-up 15 x3", "A1 back-squat 3x10; A2 barbell-row 3x12; A3 push-up 3x15")]
    [InlineData(
        "Barbell complex 3 rounds: RDL 8, row 8, press 8",
        "A1 barbell-romanian-deadlift 3x8; A2 barbell-row 3x8; A3 overhead-press 3x8"
    )]
    [InlineData("KB complex x4: swing 5, squat 5", "A1 kettlebell-swing 4x5; A2 back-squat 4x5")]
    [InlineData("Giant set x3: pushup x10, row x12, squat x15", "A1 push-up 3x10; A2 barbell-row 3x12; A3 back-squat 3x15")]
    [InlineData("EMOM 10: 5 pull ups, 10 push ups", "A1 pull-up 5x5; A2 push-up 5x10")]
    [InlineData("AMRAP 12 min: 5 pull-ups, 10 push-ups, 15 air squats", "A1 pull-up 6x5; A2 push-up 6x10; A3 bodyweight-squat 6x15")]
    public void Each_exercise_of_a_row_is_a_line(string row, string lines) => Lines(row).ShouldBe(lines);

    /// <summary>Rounds that give no time say nothing of how many there are; nothing breaks.</summary>
    [Theory]
    [InlineData("AMRAP: 5 pull-ups, 10 push-ups")]
    [InlineData("EMOM: 5 pull-ups, 10 push-ups")]
    [InlineData("AMRAP\n5 pull-ups\n10 push-ups")]
    [InlineData("AMRAP of 5 pull-ups, 10 push-ups")]
    public void Rounds_without_a_time_are_read_all_the_same(string text) =>
        Parser.Parse(text).Lines.Select(l => l.ExerciseId).ShouldBe(["pull-up", "push-up"]);

    /// <summary>Thirty reps at three seconds and three changes of ten are two minutes: six rounds of twelve, which is asked.</summary>
    [Theory]
    [Trait("source", "common practice: a pace that can be kept against the clock")]
    [InlineData("AMRAP 12 min: 5 pull-ups, 10 push-ups, 15 air squats")]
    [InlineData("AMRAP 12 min\n5 pull-ups\n10 push-ups\n15 air squats")]
    public void As_many_rounds_as_fit_are_read_as_sets_and_asked(string text)
    {
        var read = Parser.Parse(text + "\n\nPlank 3x30 s");

        read.Lines.Select(l => l.Sets).ShouldBe([6, 6, 6, 3]);
        read.Rows.SelectMany(r => r.Doubts).Count(d => d.Message.Code == "shorthand.rounds-guessed").ShouldBe(3);
    }

    [Theory]
    [InlineData("Row, single arm 3x10")]
    [InlineData("Deadlifts, 3 sets, 5 reps, 110 kg")]
    [InlineData("Bench 5x5 (2 min, full stop)")]
    [InlineData("Clean & jerk 5x2")]
    [InlineData("Squat 3x5, then add 2.5 kg")]
    [InlineData("Press: 3 sets 8-10")]
    public void What_belongs_to_one_exercise_stays_with_it(string row) => Parser.Parse(row).Lines.Length.ShouldBe(1);

    [Theory]
    [InlineData("Bench 5x5 + row 3x8 + 2 min rest")]
    [InlineData("Bench 3x8 + 1x20 + row 3x8")]
    public void What_names_nothing_belongs_to_the_exercise_before_it(string row) =>
        Parser.Parse(row).Lines.Select(l => l.ExerciseId).ShouldBe(["bench-press", "barbell-row"]);

    [Theory]
    [InlineData("Mon: bench 3x5, row 3x8", "Mon")]
    [InlineData("Day 1: Squat 3x5", "Day 1")]
    [InlineData("Tuesday - Deadlift 3x5", "Tuesday")]
    [InlineData("Monday bench 3x5", "Monday")]
    [InlineData("Thu: 3 rounds of 10 pushups, 10 rows", "Thu")]
    [InlineData("Upper: bench 3x5, row 3x8, press 3x8", "Upper")]
    public void A_day_at_the_head_of_its_row_is_a_day(string row, string day)
    {
        var read = Parser.Parse(row);

        read.Days.ShouldHaveSingleItem().Name.ShouldBe(day);
        read.Lines.ShouldNotBeEmpty();
        read.Errors.ShouldBeEmpty();
    }

    [Fact]
    public void Lines_of_one_row_are_known_apart_and_days_of_several_rows_too()
    {
        var read = Parser.Parse("Mon: bench 3x5, row 3x8, curl 3x10\nTue: squat 3x5");

        read.Days.Select(d => d.Name).ShouldBe(["Mon", "Tue"]);
        read.Lines.Select(l => l.Day).ShouldBe([0, 0, 0, 1]);
        read.Lines.Select(l => l.Key).ShouldBeUnique();
    }

    [Fact]
    public void Two_supersets_of_a_day_have_letters_of_their_own()
    {
        var read = Parser.Parse(
            "A1 Bench 3x8\nA2 Row 3x8\nCurl + pushdown 3x12\nLateral raise + face pull 3x15\nSuperset:\nLeg curl 3x12\nLeg extension 3x12"
        );

        read.Lines.Select(l => l.Label).ShouldBe(["A1", "A2", "S1", "S2", "T1", "T2", "B1", "B2"]);
        Parser.Parse("Mon: curl + pushdown 3x12\nTue: curl + pushdown 3x12").Lines.Select(l => l.Label).ShouldBe(["S1", "S2", "S1", "S2"]);
    }

    [Fact]
    public void What_is_said_of_a_part_points_to_its_place_in_the_row()
    {
        Parser.Parse("Day 1: Bensh press 3x8").Rows[^1].Doubts.ShouldHaveSingleItem().Column.ShouldBe(8);
        Parser.Parse("Bench 3x5, row 3x8 60").Rows[^1].Doubts.ShouldHaveSingleItem().Column.ShouldBe(20);
        Parser.Parse("3 rounds: 10 rows, 10 sparklings").Errors.ShouldHaveSingleItem().Column.ShouldBe(23);
    }

    /// <summary>The rows of a line written one below the other are the same week: nothing of it is lost when a reading is taken.</summary>
    [Theory]
    [InlineData("Mon: bench 3x5, row 3x8 @ 60 kg\nTue: squat 3x5")]
    [InlineData("Thu: 3 rounds of 10 pushups, 10 rows\nSquat 3x5")]
    [InlineData("A1) Chin-ups 4x6 A2) DB bench 4x8\nSquat 3x5")]
    [InlineData("Superset of curls and pushdowns 3x12\nWarm up: bike 5 min, band pull aparts 2x15")]
    public void Rows_of_a_line_written_one_below_the_other_read_the_same(string text)
    {
        var read = Parser.Parse(text);
        var again = Parser.Parse(string.Join('\n', read.Rows.Select(r => r.Text)));

        again.Lines.Select(Shorthand.Write).ShouldBe(read.Lines.Select(Shorthand.Write));
        again.Days.Select(d => d.Name).ShouldBe(read.Days.Select(d => d.Name));
        again.Kept.Select(k => k.Text).ShouldBe(read.Kept.Select(k => k.Text));
    }

    [Theory]
    [InlineData("Squat 5@100, 5@105, 5@110", "back-squat 1x5 @ 100 kg, 1x5 @ 105 kg, 1x5 @ 110 kg")]
    [InlineData("Bench 5@75, 3@85, 1@95", "bench-press 1x5 @ 75%, 1x3 @ 85%, 1x1 @ 95%")]
    public void Sets_with_a_figure_each_are_loads_or_shares(string row, string line) => Lines(row).ShouldBe(line);

    private static string Lines(string row) =>
        string.Join(
            "; ",
            Parser.Parse(row).Lines.Select(l => Shorthand.Write(l with { Name = l.ExerciseId, Note = null, Modifiers = [] }))
        );
}
