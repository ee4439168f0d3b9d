using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

[Trait("source", "common practice: a load beside a lift with two dumbbells is what one hand holds")]
public class TypedLoadTests
{
    [Theory]
    [InlineData("Dumbbell curl 3x10 14 kg", 28)]
    [InlineData("Dumbbell curl 3x10 2x14 kg", 28)]
    [InlineData("Dumbbell curl 3x10 14 kg each", 28)]
    [InlineData("Dumbbell curl 3x10 14 kg total", 14)]
    [InlineData("Dumbbell curl 3x10 28 kg in total", 28)]
    [InlineData("Dumbbell curl 3x10 12-16 kg", 28)] // the middle of a range
    [InlineData("One-arm dumbbell row 3x10 24 kg", 24)]
    [InlineData("Goblet squat 3x10 24 kg", 24)]
    [InlineData("Barbell curl 3x10 30 kg", 30)]
    [InlineData("Pull-up 4x6 +20 kg", 20)]
    public void One_figure_is_of_each_hand_where_two_lift(string text, double kg)
    {
        var line = Read(text);

        TypedLoad.TotalKg(line.Load!, Examples.Exercise(line.ExerciseId)).ShouldBe(kg);
    }

    [Fact]
    public void What_was_said_to_be_all_is_written_so_again()
    {
        var line = Read("Dumbbell curl 3x10 14 kg total");

        Shorthand.Write(line).ShouldContain("14 kg total");
        Read(Shorthand.Write(line)).Load.ShouldBe(line.Load);
    }

    /// <summary>Three twelves with fourteen in the gym: ten or twelve at home, and never six, whatever a first set leaves of a last one.</summary>
    [Theory]
    [Trait("source", "common practice")]
    [InlineData("kettlebells 6, 10 and 16 kg", 10, 16)]
    [InlineData("kettlebells 6 and 12 kg", 12, 12)]
    [InlineData("rucksack; 12 books 1 kg", 10, 13)]
    [InlineData("jerrycan 10 L", 9, 11)]
    public void What_is_done_in_every_set_of_the_gym_is_done_at_home(string kit, double least, double most)
    {
        foreach (var who in new[] { Examples.ClientA with { KnownLifts = [] }, Examples.ClientB })
        {
            var home = Examples.Rebuild(who, Examples.KitOf(kit), "Goblet squat 3x12 @ 14 kg").Plan.Lines[0].Chosen!.Exercises[0];

            home.ExerciseId.ShouldBe("goblet-squat");
            home.Dose.Target.Max.ShouldBeInRange(12, 15);
            home.ExternalKg.ShouldBeInRange(least, most, $"{who.Sex} {who.Level}");
        }
    }

    private static GymLine Read(string text) => new ShorthandParser(DomainRules.Shipped.Names).Parse(text).Lines.Single();
}
