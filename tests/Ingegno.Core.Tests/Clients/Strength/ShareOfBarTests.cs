using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Clients.Strength;

/// <summary>A percentage is a share of the bar, not of bar and body.</summary>
[Trait("source", "docs/domain/strength-relations; arithmetic worked by hand")]
public class ShareOfBarTests
{
    [Theory]
    [InlineData(1.0, 110)]
    [InlineData(0.8, 88)]
    [InlineData(0.5, 55)]
    public void So_much_of_the_bar_is_on_it(double share, double kg)
    {
        // Client A squats 110 kg once.
        var strength = new ClientStrength(Examples.ClientA, DomainRules.Shipped.Strength);
        var squat = Examples.Exercise("back-squat");
        var max = strength.For(squat)!.OneRepMaxKg;
        var body = max - strength.ExternalMaxKg("back-squat")!.Value;

        body.ShouldBeGreaterThan(20, "the body moves with the bar");
        ((strength.ShareOfSystem(squat, share) * max) - body).ShouldBe(kg, 1e-6);
        strength.ShareOfSystem(squat, share).ShouldBeLessThanOrEqualTo(1);
    }

    /// <summary>Who has nothing on the bar yet has no bar to take a share of: it is a share of the whole.</summary>
    [Fact]
    public void Without_a_bar_it_is_a_share_of_all()
    {
        var strength = new ClientStrength(
            Examples.ClientA with
            {
                KnownLifts = [new KnownLift("back-squat", 0)],
            },
            DomainRules.Shipped.Strength
        );

        strength.ExternalMaxKg("back-squat").ShouldBe(0);
        strength.ShareOfSystem(Examples.Exercise("back-squat"), 0.8).ShouldBe(0.8, 1e-9);
    }

    /// <summary>
    /// A large lower-body lift allows more reps at the same share than a press does (docs/domain/strength-relations): five reps with the same load
    /// say less of the squat's maximum, body and all, than of the bench's.
    /// </summary>
    [Fact]
    public void Five_reps_of_a_squat_say_less_than_five_of_a_bench()
    {
        double Share(string anchor)
        {
            var client = Examples.ClientA with { KnownLifts = [new KnownLift(anchor, 100, 5)] };
            var body = DomainRules.Shipped.Strength.Find(anchor)!.BodyShare(client.Sex) * client.BodyMassKg!.Value;
            return new ClientStrength(client, DomainRules.Shipped.Strength).ForAnchor(anchor)!.OneRepMaxKg / (100 + body);
        }

        Share("back-squat").ShouldBe(RepMaxCurve.OneRepMax(1, 5, CurveKind.TwoLegs), 1e-9);
        Share("bench-press").ShouldBe(RepMaxCurve.OneRepMax(1, 5, CurveKind.Middle), 1e-9);
        Share("deadlift").ShouldBe(RepMaxCurve.OneRepMax(1, 5, CurveKind.Lower), 1e-9);
        Share("back-squat").ShouldBeLessThan(Share("bench-press"));
    }
}
