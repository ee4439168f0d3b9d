using CsCheck;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Tests.Programs;

/// <summary>The shorthand of docs/trade/prescription, as written down in docs/shorthand.md.</summary>
public class ShorthandParserTests
{
    private static readonly ShorthandParser Parser = new(Trade.Shipped.Names);

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
    [InlineData("Bench press 0x8", 13, "shorthand.out-of-range")]
    [InlineData("Bench press 3x999", 15, "shorthand.out-of-range")]
    [InlineData("Bench press 3x8 @ RPE 14", 23, "shorthand.out-of-range")]
    [InlineData("Bench press 3x8 RIR 2.5", 21, "shorthand.out-of-range")]
    [InlineData("Bench press 3x12-8", 15, "shorthand.range-reversed")]
    [InlineData("Bench press 3x8 900 kg", 17, "shorthand.out-of-range")]
    [InlineData("Bench press 3x8 31-0-1-0", 17, "shorthand.out-of-range")]
    [InlineData("Bench press 3x8 90 s 60 s", 22, "shorthand.twice")]
    [InlineData("Bench press 3x8 40", 17, "shorthand.unexpected")]
    [InlineData("Bench press 3x8 @ soon", 19, "shorthand.unexpected")]
    [InlineData("Bench press", 12, "shorthand.no-dose")]
    [InlineData("3x8", 1, "shorthand.no-name")]
    [InlineData("Bench press 3x8 (never closed", 17, "shorthand.unexpected")]
    public void A_fault_is_named_at_its_column(string text, int column, string code)
    {
        var error = Parser.Parse("Back squat 3x5\n" + text).Errors.ShouldHaveSingleItem();

        error.Line.ShouldBe(2);
        error.Column.ShouldBe(column);
        error.Code.ShouldBe(code);
        error.Length.ShouldBeGreaterThan(0);
    }

    [Fact]
    public void An_unknown_exercise_gets_the_nearest_names()
    {
        var error = Parser.Parse("Overhed pres 3x8").Errors.ShouldHaveSingleItem();

        error.Code.ShouldBe("shorthand.unknown-exercise");
        error.Suggestions[0].ShouldBe("Overhead press");
        error.Message.ShouldContain("Overhed pres");
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
            .Parse(string.Concat(Enumerable.Repeat("Plank 3x30 s\n", 201)))
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
                result.Errors.All(e => e.Column >= 1 && e.Length >= 1 && e.Message.Length > 10).ShouldBeTrue();
            });

    [Fact]
    public void What_is_written_reads_back_the_same()
    {
        var names = Trade.Shipped.Catalogue.All.Select(e => e.Name).ToArray();
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
            let exercise = Trade.Shipped.Names.Find(name)!
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
            };

        line.Sample(l => One(Shorthand.Write(l)).ShouldBe(l));
    }

    private static GymLine One(string text)
    {
        var result = Parser.Parse(text);
        result.Errors.ShouldBeEmpty();
        return result.Lines.ShouldHaveSingleItem();
    }
}
