using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Days;

namespace Ingegno.Core.Tests.Rebuilding.Days;

/// <summary>A set that goes for the minutes takes its tiredness with it: what is left is done for more reps.</summary>
[Trait("source", "common practice: less to do is done harder; the last five or so reps before failure carry the stimulus")]
public class FewerSetsTests
{
    /// <summary>Of 21 possible, at two in reserve after a minute of rest, the third set has 14 left and the second 17: fifteen, with two spare.</summary>
    [Fact]
    public void What_would_end_far_from_failure_gets_reps_in_place_of_the_set()
    {
        var less = Less("Leg curl 3x12", able: 21)!;

        less.Target.Min.ShouldBeInRange(12, 14);
        less.Target.Max.ShouldBe(15);
        less.Reason.Code.ShouldBe("dose.nearer");
    }

    [Theory]
    [InlineData("Leg curl 3x12", 17)] // near enough as it is
    [InlineData("Leg curl 3x12", 40)] // light as the line says, before the cut too
    [InlineData("Leg curl 3x12 drop set", 21)] // a method counts its reps
    public void Otherwise_the_reps_stay(string line, double able) => Less(line, able).ShouldBeNull();

    [Fact]
    public void What_is_a_guess_is_not_built_upon() =>
        FewerSets
            .Nearer(Home(21, Tempo.Usual) with { Expected = new RepRange(12, 21, 30) }, 1, Line("Leg curl 3x12"), DomainRules.Shipped)
            .ShouldBeNull();

    /// <summary>72 s of 75 s under tension are full: six seconds a rep leave room for no thirteenth; three pulses make a rep last 1.4 times as long.</summary>
    [Theory]
    [InlineData("slow-eccentric-5", 12, 21)]
    [InlineData("pulses-3", 17, 28)]
    public void No_set_lasts_longer_for_it_than_a_set_may(string technique, int most, double able)
    {
        var home = Home(able, Tempo.Usual) with
        {
            Dose = Dose(Tempo.Usual) with { Target = new SetTarget(most, most), Techniques = [technique] },
        };

        FewerSets.Nearer(home, 1, Line($"Leg curl 3x{most}"), DomainRules.Shipped).ShouldBeNull();
        FewerSets
            .Nearer(home with { Dose = home.Dose with { Techniques = [] } }, 1, Line($"Leg curl 3x{most}"), DomainRules.Shipped)
            .ShouldNotBeNull();
    }

    [Fact]
    public void The_last_set_stays_and_leads_up_to_nothing()
    {
        var less = FewerSets.Of(Dose(Tempo.Usual) with { Sets = 1, LastSetOpen = true });

        (less.Sets, less.LastSetOpen).ShouldBe((1, false));
        FewerSets.Of(Dose(Tempo.Usual)).Sets.ShouldBe(1);
    }

    private static Dose? Less(string line, double able) => FewerSets.Nearer(Home(able, Tempo.Usual), 1, Line(line), DomainRules.Shipped);

    private static HomeExercise Home(double able, Tempo tempo) =>
        new()
        {
            ExerciseId = "sliding-leg-curl",
            Name = "Sliding leg curl",
            SetupId = "x",
            Setup = "x",
            ExternalKg = 0,
            Expected = new RepRange(able, able, able),
            Dose = Dose(tempo),
        };

    private static GymLine Line(string text) => new ShorthandParser(DomainRules.Shipped.Names).Parse(text).Lines.Single();

    private static Dose Dose(Tempo tempo) =>
        new()
        {
            Sets = 2,
            Target = new SetTarget(12, 12),
            Tempo = tempo,
            RestSeconds = 60,
            Rir = 2,
        };
}
