using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

/// <summary>Order among equals, and what is said of what is missing.</summary>
public class RankingTests
{
    /// <summary>Equals stand by name, so that the order in which things were typed changes nothing.</summary>
    [Fact]
    public void Equals_stand_in_the_order_of_their_keys()
    {
        var line = Examples.Rebuild(Examples.ClientA, Examples.Kit(), "Plank 3x40 s").Plan.Lines[0];

        line.Candidates[0].Id.ShouldBe("plank", "of equals the exercise of the line itself first");
        line.Candidates.Zip(line.Candidates.Skip(1))
            .Where(p => Math.Abs(p.First.Match - p.Second.Match) < 1e-12 && p.First.Id != "plank")
            .ShouldAllBe(p => string.CompareOrdinal(p.First.Id, p.Second.Id) < 0);
    }

    /// <summary>
    /// Two pairs that both leave twelve with two in reserve in every set: the one nearer to the plan stands, and not the lightest.
    /// </summary>
    [Fact]
    public void Of_loads_that_serve_alike_the_one_nearest_to_the_plan_is_taken()
    {
        var kit = Examples.Kit("dumbbell 18 x2", "dumbbell 20 x2", "dumbbell 22 x2", "dumbbell 24 x2", "bench");
        var home = Examples
            .Rebuild(Examples.ClientA, kit, "Dumbbell bench press 3x10")
            .Plan.Lines[0]
            .Candidates.Single(c => c.Id == "dumbbell-bench-press");

        // Three sets at 60 to 90 s: ten with two left in the third ask for about fifteen in the first.
        var first = home.Exercises[0];
        first.RepsToFailure!.Value.ShouldBeInRange(13.5, 17, first.Setup);
    }

    [Fact]
    [Trait("source", "common practice: an open set of the line's own is as long as it is in the gym; who cannot pull up is helped")]
    public void An_open_set_stays_with_who_can_do_some()
    {
        var kit = Examples.KitOf("pull-up bar; band 104 cm 22 mm");

        // Five pull-ups in the plan are five chin-ups or six.
        var able = Examples.Rebuild(Examples.ClientA, kit, "Pull-up 3x5", "Chin-up 3xAMRAP").Plan.Lines[1];
        able.Candidates[0].Id.ShouldBe("chin-up");

        Examples.Rebuild(Examples.ClientB, kit, "Chin-up 3xAMRAP").Plan.Lines[0].Candidates[0].Id.ShouldNotBe("chin-up");
    }

    [Theory]
    [Trait("source", "common practice: the same exercise stays at somewhat less, not at half")]
    [InlineData("Biceps curl 2x12 2x3 kg", "rucksack-curl")] // two bottles of 1.5 kg are half of it, four in a bag are all of it
    [InlineData("Biceps curl 2x12 2x1.5 kg", "dumbbell-curl")]
    public void With_half_its_weight_it_is_that_exercise_in_name_alone(string line, string first)
    {
        var kit = Examples.KitOf("rucksack 25 L; 6 bottles 1.5 L");

        Examples.Rebuild(Examples.ClientB, kit, line).Plan.Lines[0].Candidates[0].Id.ShouldBe(first);
    }

    [Fact]
    public void What_is_missing_is_named_and_nothing_else()
    {
        var out_ = Examples
            .Rebuild(Examples.ClientA, Examples.Kit("dumbbell 8 x2"), "Pull-up 3x8", "Bench press 3x8")
            .Plan.Lines.SelectMany(l => l.RuledOut)
            .Where(r => r.Code == "kit")
            .ToDictionary(r => r.ExerciseId, r => r.Reason.Said());

        out_["pull-up"].ShouldNotContain("hand weight");
        out_["pull-up"].ShouldContain("hang from");
    }

    /// <summary>A band serves where a weight is not required; a weight where it is named; one set-up that fits is enough.</summary>
    [Theory]
    [InlineData("band-squat", "band-loop 12", true)]
    [InlineData("band-squat", "dumbbell 8 x2", false)]
    [InlineData("dumbbell-floor-press", "band-loop 12", false)]
    [InlineData("dumbbell-floor-press", "dumbbell 8 x2", true)]
    [InlineData("goblet-squat", "kettlebell 12", true)]
    [InlineData("pull-up", "dumbbell 8 x2", false)]
    [InlineData("bodyweight-squat", "chair", true)]
    public void An_exercise_can_be_loaded_or_not(string exercise, string kit, bool can) =>
        new ClientAtPlace(Examples.ClientA with { Level = Level.Advanced }, Examples.Kit(kit), DomainRules.Shipped)
            .Ways.Any(Examples.Exercise(exercise))
            .ShouldBe(can);
}
