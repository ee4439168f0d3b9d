using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Candidates;

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
        Heights(At("stairs 18"), "slow-step-down", "step").ShouldBe([18]);
    }

    [Fact]
    [Trait("source", "common practice: who steps onto a low step lifts more, and begins there")]
    public void A_low_step_asks_less_of_the_leg_than_a_high_one()
    {
        var ways = At("stairs 18").Ways.Of(Examples.Exercise("step-up")).Where(w => w.Load.MassKg == 0).OrderBy(w => w.System.Kg).ToList();

        ways.Select(w => w.Bindings.Single(b => b.Role == "step").Thing.HeightCm).ShouldBe([18, 36], "client A's knee is at some 51 cm");
        (ways[0].System.Kg / ways[1].System.Kg).ShouldBeInRange(0.6, 0.72, "a quarter of the way down goes with about half as much again");
    }

    [Fact]
    public void A_beginner_of_over_sixty_with_stairs_steps_up_on_the_first()
    {
        var line = new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                new RebuildRequest
                {
                    Client = new ClientProfile
                    {
                        Level = Level.Beginner,
                        Goal = Goal.GeneralFitness,
                        Sex = Sex.Female,
                        BodyMassKg = 74,
                        StatureCm = 160,
                        AgeYears = 63,
                    },
                    Kit = Examples.Kit("stairs 17"),
                    GymLines = ["Step ups 2x10/leg"],
                }
            )
            .Plan.Lines[0];

        line.Chosen!.Id.ShouldBe("step-up");
        line.Chosen.Exercises[0].Setup.ShouldContain("17 cm");
    }

    [Fact]
    public void The_plan_remembers_its_height_and_one_of_before_is_found_by_its_load()
    {
        var at = At("sofa 44");
        var home = new RebuildEngine(DomainRules.Shipped)
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
        var ways = new ClientAtPlace(Examples.ClientB, Examples.Kit("sofa 44"), DomainRules.Shipped).Ways;

        ways.Of(home)!.Ways.Select(w => w.Spots).Distinct().ShouldBe([home.Spots]);
        ways.Of(home with { Spots = string.Empty })!.Ways.Select(w => w.Spots).Distinct().ShouldBe([home.Spots]);
        at.Ways.Of(home with { Spots = "hands=gone" })!.Ways.Length.ShouldBe(3, "the thing is gone: all that is left");
    }

    private static ClientAtPlace At(params string[] kit) => new(Examples.ClientA, Examples.Kit(kit), DomainRules.Shipped);

    private static double[] HandsAt(params string[] kit) => Heights(At(kit), "hands-raised-push-up", "hands");

    private static double[] Heights(ClientAtPlace at, string exercise, string role) =>
        [.. at.Ways.Of(Examples.Exercise(exercise)).Select(w => w.Bindings.First(b => b.Role == role).Thing.HeightCm).Distinct().Order()];
}
