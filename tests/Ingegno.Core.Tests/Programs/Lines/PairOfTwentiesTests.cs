using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Tests.Programs.Lines;

[Trait("source", "common practice: dumbbells are called by their weight, and nobody rests 36 seconds")]
public class PairOfTwentiesTests
{
    [Theory]
    [InlineData("Flat DB press 4x8 36s", 36)]
    [InlineData("DB bench 3x10 22s", 22)]
    [InlineData("Lateral raise 3x15 8s", 8)]
    [InlineData("Seated DB press 4x8 26s 90s", 26)]
    [InlineData("DB bench 3x10 30s 2 min", 30)]
    public void A_figure_that_is_no_rest_is_a_pair_of_weights(string row, double kg)
    {
        var line = Read(row);

        line.Load.ShouldBe(new PlannedLoad(kg, Pieces: 2));
        line.RestSeconds.ShouldNotBe((int)kg);
    }

    [Theory]
    [InlineData("Flat DB press 4x8 90s", 90)]
    [InlineData("DB bench 3x10 2x20 kg 36s", 36)]
    [InlineData("Bench press 4x8 36s", 36)]
    [InlineData("Goblet squat 3x12 36 s rest", 36)]
    [InlineData("DB bench 3x10 36 sec", 36)]
    public void Where_a_pair_makes_no_sense_it_is_the_rest(string row, int seconds)
    {
        var line = Read(row);

        line.RestSeconds.ShouldBe(seconds);
        line.Load?.Kg.ShouldBe(20);
    }

    /// <summary>A pair says with what, where the name does not.</summary>
    [Theory]
    [InlineData("Lunges 3x12 2x10 kg", "reverse-lunge")]
    [InlineData("Lunges 3x10 w/ 2 DBs 12 kg", "reverse-lunge")]
    [InlineData("Shrugs 3x15 2x30", "hand-weight-shrug")]
    [InlineData("Shrugs 3x15 100 kg", "barbell-shrug")]
    [InlineData("Leg press 3x12 2x20 kg", "leg-press")]
    [InlineData("Squat 3x5 2x8", "back-squat")]
    public void What_is_held_in_each_hand_tells_the_exercise(string row, string exercise) => Read(row).ExerciseId.ShouldBe(exercise);

    [Fact]
    public void Thirty_may_be_either_and_is_asked()
    {
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse("DB bench 3x10 30s");

        read.Lines.Single().RestSeconds.ShouldBe(30);
        var doubt = read.Rows.Single().Doubts.Single(d => d.Message.Code == "shorthand.rest-or-pair");
        Read(doubt.Others.Single().Row).Load.ShouldBe(new PlannedLoad(30, Pieces: 2));
    }

    [Theory]
    [InlineData("Split squat 3x8 2x15", 2, "3x8, 2x15")]
    [InlineData("Goblet squat 3x12 1x16", 1, "3x12, 1x16")]
    [InlineData("Shrugs 3x15 2x30", 2, "3x15, 2x30")]
    [InlineData("KB front squat 4x6 2x20", 2, "4x6, 2x20")]
    [InlineData("Step ups 3x10 ea 2x12, 40cm box", 2, "3x10/side, 2x12/side # 40 cm box")]
    public void What_stands_beside_the_dose_with_nothing_between_is_held_and_asked(string row, int pieces, string otherwise)
    {
        var read = new ShorthandParser(DomainRules.Shipped.Names).Parse(row);

        read.Lines.Single().Load!.Pieces.ShouldBe(pieces);
        var doubt = read.Rows.Single().Doubts.Single(d => d.Message.Code == "shorthand.load-or-sets");
        doubt.Others.Single().Row.ShouldEndWith(otherwise);
    }

    [Theory]
    [InlineData("Split squat 3x8, 2x15")]
    [InlineData("Split squat 3x8 + 2x15")]
    [InlineData("Back squat 5x5 1x20")]
    [InlineData("DB bench 3x8 2x2")]
    public void Where_something_stands_between_or_nothing_is_held_they_are_sets(string row) => Read(row).Load.ShouldBeNull();

    private static GymLine Read(string row) => new ShorthandParser(DomainRules.Shipped.Names).Parse(row).Lines.Single();
}
