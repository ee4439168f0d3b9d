using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Matching;
using Ingegno.Core.Tests.Support;
using Ingegno.Core.Trainee.Clients;

namespace Ingegno.Core.Tests.Matching;

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
        new ClientAtPlace(Examples.ClientA with { Level = Level.Advanced }, Examples.Kit(kit), Trade.Shipped)
            .Ways.Any(Examples.Exercise(exercise))
            .ShouldBe(can);
}
