using CsCheck;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Programs.Lines;

/// <summary>The shorthand of docs/domain/prescription, as written down in docs/shorthand.md.</summary>
public class ShorthandParserTests
{
    private static readonly ShorthandParser Parser = new(DomainRules.Shipped.Names);

    [Fact]
    public void A_full_line_is_read()
    {
        var line = One("Overhead press 3x6 + AMRAP @ 75% 2-0-1-0 180s");

        line.ExerciseId.ShouldBe("overhead-press");
        line.Sets.ShouldBe(4, "three sets and an open one");
        line.Target.ShouldBe(new SetTarget(6, 6));
        line.LastSetOpen.ShouldBeTrue();
        line.ShareOfMax.ShouldBe(0.75);
        line.Tempo.ShouldBe(new Tempo(2, 0, 1, 0));
        line.RestSeconds.ShouldBe(180);
    }

    [Fact]
    public void A_superset_label_and_an_effort_are_read()
    {
        var line = One("A1 Deficit deadlift 4x5 @ RPE 8");

        line.Label.ShouldBe("A1");
        line.SupersetLetter.ShouldBe('A');
        line.Rpe.ShouldBe(8);
    }

    [Theory]
    [InlineData("Bench press 4x8-12 @ 3-1-1-0, 90 s, RIR 1", 4, 8, 12)]
    [InlineData("Bench press 5x5 @ 80%", 5, 5, 5)]
    [InlineData("Bench press 3x8 @ RPE 8", 3, 8, 8)]
    [InlineData("Bench press 1x20", 1, 20, 20)]
    [InlineData("Bench press 10x10", 10, 10, 10)]
    [InlineData("Bench press 4 × 8–12", 4, 8, 12)]
    [InlineData("bench presses 4x8", 4, 8, 8)]
    public void The_everyday_notation_is_read(string text, int sets, int min, int max)
    {
        var line = One(text);

        line.Sets.ShouldBe(sets);
        line.Target.ShouldBe(new SetTarget(min, max));
    }

    [Fact]
    public void Sides_time_loads_and_notes_are_read()
    {
        One("Single-leg glute bridge 3x10/side").PerSide.ShouldBeTrue();
        One("Plank 3x30 s").ShouldSatisfyAllConditions(l => l.Timed.ShouldBeTrue(), l => l.Target.ShouldBe(new SetTarget(30, 30)));
        One("Plank 3x1 min").Target.ShouldBe(new SetTarget(60, 60));
        One("Dumbbell bench press 3x8 2x10 kg").Load.ShouldBe(new PlannedLoad(10, 2));
        One("Bench press 3x8 135 lb").Load!.Kg.ShouldBe(61.235, 0.001, "NIST SP 811: 1 lb = 0.45359237 kg");
        One("Bench press 3x8 2:30").RestSeconds.ShouldBe(150);
        One("Bench press 3x8 2 min # slow, (no bounce)").Note.ShouldBe("slow, (no bounce)");
        One("Bench press 3xAMRAP").Target.IsOpen.ShouldBeTrue();
        One("Back squat 4x6 3-1-X-0").Tempo!.Value.Explosive.ShouldBeTrue();
    }

    [Theory]
    [InlineData("Bench press 25x8", "shorthand.out-of-range-sets")]
    [InlineData("Bench press 3x999", "shorthand.out-of-range-reps")]
    [InlineData("Bench press 3x8 @ RPE 14", "shorthand.out-of-range-rpe")]
    [InlineData("Bench press 3x8 RIR 2.5", "shorthand.out-of-range-rir")]
    [InlineData("Bench press 3x8 900 kg", "shorthand.out-of-range-load")]
    [InlineData("Bench press 3x8 @ 150%", "shorthand.out-of-range-share")]
    [InlineData("Bench press 3x8 rest 40 min", "shorthand.out-of-range-rest")]
    [InlineData("3x8", "shorthand.no-name")]
    [InlineData("Whammy sparkle 3x8", "shorthand.unknown-exercise")]
    public void A_fault_costs_its_own_line_and_says_what_is_wrong(string text, string code)
    {
        var read = Parser.Parse("Back squat 3x5\n" + text + "\nDeadlift 3x5");
        var error = read.Errors.ShouldHaveSingleItem();

        error.Line.ShouldBe(2);
        error.Message.Code.ShouldBe(code);
        error.Length.ShouldBeGreaterThan(0);
        read.Lines.Select(l => l.Line).ShouldBe([1, 3]);
    }

    [Theory]
    [InlineData("Bench press 3x12-8", "shorthand.range-reversed", "3x8-12")]
    [InlineData("Bench press 3x8 40", "shorthand.load-assumed", "3x8")]
    [InlineData("Bench press 3x8 @ 60", "shorthand.figure-without-unit", "3x8")]
    [InlineData("Bench press 3x8 2", "shorthand.figure-without-unit", "3x8")]
    [InlineData("Bench press", "shorthand.no-dose", "3x8-12")]
    [InlineData("Bench press 3 sets", "shorthand.no-reps", "3x8-12")]
    [InlineData("Bench press 2-3x8", "shorthand.sets-range", "2x8")]
    [InlineData("Bensh press 3x8", "reading.name", "3x8")]
    [InlineData("Zercher squat 3x8", "reading.name", "3x8")]
    public void What_is_in_doubt_is_read_as_the_likeliest_and_marked(string text, string code, string dose)
    {
        var read = Parser.Parse(text);

        Shorthand.Dose(read.Lines.ShouldHaveSingleItem()).ShouldBe(dose);
        read.Rows.ShouldHaveSingleItem().Doubts.ShouldHaveSingleItem().Message.Code.ShouldBe(code);
    }

    [Fact]
    public void Alternatives_of_a_doubt_are_whole_rows_that_are_read_as_what_they_say()
    {
        var doubt = Parser.Parse("Zercher squat 3x8 @ 60 kg").Rows[0].Doubts.ShouldHaveSingleItem();

        doubt.Others.ShouldNotBeEmpty();
        foreach (var other in doubt.Others)
        {
            var read = One(other.Row);
            read.ExerciseId.ShouldBe(other.ExerciseId);
            Shorthand.Dose(read).ShouldBe("3x8");
        }
    }

    [Fact]
    public void Work_that_no_exercise_stands_for_is_kept_as_written()
    {
        var read = Parser.Parse("Back squat 5x5\nRow 2000 m\nBattle ropes 6x30s\nHandstand practice 10 min");

        read.Errors.ShouldBeEmpty();
        read.Kept.Select(k => (k.Line, k.Kind, k.Text))
            .ShouldBe([
                (2, OtherWork.Conditioning, "Row 2000 m"),
                (3, OtherWork.Conditioning, "Battle ropes 6x30s"),
                (4, OtherWork.Skill, "Handstand practice 10 min"),
            ]);
    }

    [Fact]
    public void Good_lines_are_kept_beside_bad_ones_and_keep_their_numbers()
    {
        var result = Parser.Parse("# monday\nBench press 3x8\n\nNonsense thing 3x8\nBack squat 4x6");

        result.Lines.Select(l => l.Line).ShouldBe([2, 5]);
        result.Errors.Select(e => e.Line).ShouldBe([4]);
    }

    [Fact]
    public void A_paste_that_is_too_long_is_refused_as_a_whole()
    {
        Parser.Parse(new string('x', 5_000_000)).Errors.ShouldHaveSingleItem().Code.ShouldBe("shorthand.too-long");
        Parser
            .Parse(string.Concat(Enumerable.Repeat("Plank 3x30 s\n", 2001)))
            .Errors.ShouldHaveSingleItem()
            .Code.ShouldBe("shorthand.too-many-lines");
        Parser.Parse("Bench press 3x8 # " + new string('n', 500)).Errors.ShouldHaveSingleItem().Code.ShouldBe("shorthand.line-too-long");
    }

    [Fact]
    public void Whatever_is_typed_the_reader_answers() =>
        Gen.String[Gen.Char["AB12x+@%-–:.#()sSkKgG rRpPeE\tüß€"], 0, 60]
            .Sample(text =>
            {
                var result = Parser.Parse(text);
                result.Errors.All(e => e.Column >= 1 && e.Length >= 1 && e.Message.Said().Length > 10).ShouldBeTrue();
            });

    [Fact]
    public void What_is_written_reads_back_the_same()
    {
        var names = DomainRules.Shipped.Catalogue.All.Select(e => e.Name).ToArray();
        var tempo = Gen.Select(Gen.Int[0, 9], Gen.Int[0, 5], Gen.Int[0, 5], Gen.Int[0, 5], (a, b, c, d) => new Tempo(a, b, c, d));
        var line =
            from name in Gen.OneOfConst(names)
            from sets in Gen.Int[2, 12]
            from min in Gen.Int[1, 60]
            from more in Gen.Int[0, 20]
            from open in Gen.Bool
            from side in Gen.Bool
            from rest in Gen.Int[0, 600]
            from pace in tempo
            from effort in Gen.Int[0, 3]
            from kg in Gen.Int[1, 800]
            from label in Gen.OneOfConst<string?>(null, "A1", "B", "C2")
            let exercise = DomainRules.Shipped.Names.Find(name)!
            where side || exercise.Id != "walking-lunge" // steps are counted in all, and read as half a side
            select new GymLine
            {
                Line = 1,
                Label = label,
                ExerciseId = exercise.Id,
                Name = name,
                Sets = sets,
                Target = new SetTarget(min, min + more),
                Timed = exercise.Measure == Measure.Seconds,
                LastSetOpen = open,
                PerSide = side,
                RestSeconds = rest,
                Tempo = pace,
                Rpe = effort == 1 ? 8.5 : null,
                Rir = effort == 2 ? 1 : null,
                ShareOfMax = effort == 3 ? 0.775 : null,
                Load = new PlannedLoad(kg / 8.0, 1),
                Note = "as last week",
                Modifiers = DomainRules.Shipped.Names.Read(name).Modifiers,
            };

        line.Sample(l => One(Shorthand.Write(l)).ShouldBe(l));
    }

    private static GymLine One(string text)
    {
        var result = Parser.Parse(text);
        result.Errors.ShouldBeEmpty();
        return result.Lines.ShouldHaveSingleItem();
    }

    [Fact]
    public void A_row_of_thousands_of_short_words_is_read_in_no_time()
    {
        var row = string.Join(' ', Enumerable.Repeat("ext. lat. incl.", 1_000)) + " 3x10";

        Should.CompleteIn(() => new ShorthandParser(DomainRules.Shipped.Names).Parse(row), TimeSpan.FromSeconds(20));
    }

    /// <summary>A time and a figure without sets: the time is the hold or the rest, the figure is asked.</summary>
    [Theory]
    [InlineData("Plank w/ 30 s 20")]
    [InlineData("Squat 30s 50")]
    [InlineData("Bench press with 40 sec 60")]
    [InlineData("Curl 20's 12")]
    public void A_time_and_a_figure_without_sets_are_read_and_asked(string text)
    {
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse(text);

        read.Errors.ShouldBeEmpty();
        read.Lines.ShouldHaveSingleItem().Load.ShouldBeNull();
        read.Rows.ShouldHaveSingleItem().Doubts.ShouldNotBeEmpty();
    }

    private static readonly string[] Pieces =
    [
        .. "Squat|Plank|DB row|3x10|4 x 8-10|3|10|12,10,8|x|-| – |/|@|60|60kg|2x20|20s|20's|w/|with|30 s|1:30|RPE|8|RIR|2|%|75%|~|each".Split(
            '|'
        ),
        .. "/side|left|right|to failure|near failure|+|+10kg|(|)|:|,|;|AMRAP|max|rest|hold|pause|top|feet elevated|feet|40m|sets|of|reps".Split(
            '|'
        ),
        .. "1 leg at a time|or|superset|giant set:|A1)|1.|= Day|EMOM|10 min|5/3/1|21s|tempo|3010|32X1|BW|then|2 sec|down|total|5RM|ten".Split(
            '|'
        ),
        .. "12-15 x 3|8/8 x 3|½|*|\"|'|1e9|999|0|-5|3x|x3|3x3x3x3|@@|#|..|8.5.5|10+10".Split('|'),
    ];

    /// <summary>Pieces of real lines in any order, with spaces and without: always an answer.</summary>
    [Fact]
    public void Whatever_is_put_together_of_what_coaches_write_is_answered() =>
        Gen.Select(Gen.OneOfConst(Pieces).Array[1, 9], Gen.Bool)
            .Sample(
                (pieces, spaced) =>
                    new ShorthandParser(DomainRules.Shipped.Names)
                        .Parse(string.Join(spaced ? " " : string.Empty, pieces))
                        .Rows.IsDefault.ShouldBeFalse(),
                iter: 3_000
            );
}
