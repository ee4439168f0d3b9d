using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Matching;
using Ingegno.Core.Making.Rebuilding;
using Ingegno.Core.Tests.Support;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Tests.Matching;

/// <summary>Every thing at every height, and the best one named.</summary>
[Trait("source", "common practice: seat, arm and back of a sofa, steps of a flight")]
public class HeightTests
{
    [Fact]
    public void A_sofa_and_a_flight_of_stairs_offer_several_heights()
    {
        HandsAt("sofa 44").ShouldBe([44, 62, 82]);
        HandsAt("stairs 18").ShouldBe([18, 36, 54, 72]);
        HandsAt("dining-table 74", "chair 45").ShouldBe([45, 74]);
    }

    [Theory]
    [InlineData("step-calf-raise", "chair 45")]
    [InlineData("slow-step-down", "chair 45")]
    [InlineData("step-up", "dining-table 74")]
    public void Calf_raises_step_downs_and_step_ups_want_no_such_height(string exercise, string thing) =>
        At(thing).Ways.Of(Examples.Exercise(exercise)).ShouldBeEmpty();

    [Fact]
    public void Where_no_height_changes_the_load_the_best_one_is_named()
    {
        Heights(At("stairs 18"), "step-calf-raise", "step").ShouldBe([18]);
        Heights(At("stairs 18"), "step-up", "step").ShouldBe([36], "client A's knee is at some 51 cm");
    }

    [Fact]
    public void The_plan_remembers_its_height_and_one_of_before_is_found_by_its_load()
    {
        var at = At("sofa 44");
        var home = new RebuildEngine(Trade.Shipped)
            .Rebuild(
                new RebuildRequest
                {
                    Client = Examples.ClientB,
                    Kit = Examples.Kit("sofa 44"),
                    GymLines = ["Bench press 3x10"],
                    Choices = [new CoachChoice(new LineKey(1), "hands-raised-push-up")],
                }
            )
            .Plan.Lines[0]
            .Chosen!.Exercises[0];
        home.Spots.ShouldStartWith("hands=k1");
        var ways = new ClientAtPlace(Examples.ClientB, Examples.Kit("sofa 44"), Trade.Shipped).Ways;

        ways.Of(home)!.Ways.Select(w => w.Spots).Distinct().ShouldBe([home.Spots]);
        ways.Of(home with { Spots = string.Empty })!.Ways.Select(w => w.Spots).Distinct().ShouldBe([home.Spots]);
        at.Ways.Of(home with { Spots = "hands=gone" })!.Ways.Length.ShouldBe(3, "the thing is gone: all that is left");
    }

    private static ClientAtPlace At(params string[] kit) => new(Examples.ClientA, Examples.Kit(kit), Trade.Shipped);

    private static double[] HandsAt(params string[] kit) => Heights(At(kit), "hands-raised-push-up", "hands");

    private static double[] Heights(ClientAtPlace at, string exercise, string role) =>
        [.. at.Ways.Of(Examples.Exercise(exercise)).Select(w => w.Bindings.First(b => b.Role == role).Thing.HeightCm).Distinct().Order()];
}
