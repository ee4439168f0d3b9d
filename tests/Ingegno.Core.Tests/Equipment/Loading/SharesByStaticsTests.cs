using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;
using static Ingegno.Core.Tests.Equipment.Loading.RodFigure;

namespace Ingegno.Core.Tests.Equipment.Loading;

/// <summary>
/// Body shares of the catalogue derived again from rods, each within a tenth. Push-ups from the knees and on raised hands are left to the
/// published points (LeverageTests), which statics of a stiff body miss by more than a tenth; so are hinges, whose share cancels against
/// that of the anchor lift.
/// </summary>
[Trait("source", "de Leva 1996; Drillis and Contini 1966 in Winter; both from memory")]
public class SharesByStaticsTests
{
    private const double Whole = Head + Trunk + (2 * (UpperArm + Forearm + Hand + Thigh + Shank + Foot));

    /// <summary>Half of the trunk hangs between shoulders and hips, half of each thigh between hips and knees; the rest lies or stands.</summary>
    private static readonly double Bridge = (Trunk / 2) + Thigh;

    /// <summary>One leg stands; the other is held up, the thigh level and the shank hanging.</summary>
    private static readonly double BridgeOnOneLeg =
        (Trunk / 2)
        + (Thigh / 2)
        + new RodFigure()
            .Rod(Thigh, TrunkLength, TrunkLength + ThighLength)
            .Rod(Shank, TrunkLength + ThighLength, TrunkLength + ThighLength)
            .Rod(Foot, TrunkLength + ThighLength, TrunkLength + ThighLength)
            .At(TrunkLength);

    /// <summary>The knees half bent: the feet are a long way off and the legs are one rod from hip to heel.</summary>
    private static readonly double LongBridge =
        (Trunk / 2)
        + new RodFigure()
            .Rod(2 * Shank, 0, ShankLength)
            .Rod(2 * Thigh, ShankLength, ShankLength + ThighLength)
            .At(ShankLength + ThighLength);

    /// <summary>One straight leg, held at the ankle, from the hip.</summary>
    private static readonly double StraightLeg = Leg(ThighLength + ShankLength, ThighLength + ShankLength);

    /// <summary>One leg with the shank hanging straight down from a level thigh; at the ankle of a straight leg, to compare.</summary>
    private static readonly double BentLeg = Leg(ThighLength, ThighLength);

    /// <summary>The shank at 45° below a level thigh.</summary>
    private static readonly double HalfBentLeg = Leg(
        ThighLength + (ShankLength * Math.Sqrt(0.5)),
        ThighLength + (ShankLength * Math.Sqrt(0.5))
    );

    /// <summary>Two straight arms, level, held at the hands from the shoulders.</summary>
    private static readonly double Arms =
        2
        * new RodFigure()
            .Rod(UpperArm, 0, UpperArmLength)
            .Rod(Forearm, UpperArmLength, UpperArmLength + ForearmLength)
            .Rod(Hand, UpperArmLength + ForearmLength, UpperArmLength + ForearmLength + 0.108)
            .At(UpperArmLength + ForearmLength);

    /// <summary>Trunk, head and arms held level from the hips, at the shoulders.</summary>
    private static readonly double UpperBody = new RodFigure()
        .Rod(Trunk, 0, TrunkLength)
        .Rod(Head, TrunkLength, TrunkLength + NeckAndHead)
        .Rod(2 * (UpperArm + Forearm + Hand), TrunkLength, TrunkLength)
        .At(TrunkLength);

    private static readonly double AboveKnees = Whole - (2 * (Shank + Foot));
    private static readonly double OnOneLeg = Whole - Shank - Foot;
    private static readonly double AboveAnkles = Whole - (2 * Foot);
    private static readonly double BelowTheHands = Whole - (2 * (Forearm + Hand));

    public static IEnumerable<object[]> Derived =>
        new (double Share, string[] Exercises)[]
        {
            (
                AboveKnees,
                [
                    "back-squat",
                    "front-squat",
                    "bodyweight-squat",
                    "goblet-squat",
                    "chair-squat",
                    "box-squat-home",
                    "sumo-squat",
                    "heels-raised-squat",
                    "band-squat",
                    "basket-pick-up-squat",
                    "wall-sit",
                    "squat-hold",
                ]
            ),
            (OnOneLeg, ["free-single-leg-squat", "single-leg-box-squat", "slow-step-down", "skater-squat"]),
            (AboveAnkles, ["calf-raise", "step-calf-raise", "single-leg-calf-raise", "bent-knee-calf-raise", "calf-raise-hold"]),
            (
                BelowTheHands,
                [
                    "pull-up",
                    "chin-up",
                    "ring-pull-up",
                    "dead-hang",
                    "pull-up-top-hold",
                    "dip-between-supports",
                    "wall-handstand-push-up",
                    "handstand-lowering",
                ]
            ),
            (
                Bridge,
                [
                    "glute-bridge",
                    "hip-thrust-from-a-seat",
                    "barbell-hip-thrust",
                    "weighted-hip-thrust-floor",
                    "feet-raised-bridge",
                    "mini-band-hip-thrust",
                    "marching-bridge",
                    "frog-bridge",
                ]
            ),
            (
                BridgeOnOneLeg,
                ["single-leg-glute-bridge", "single-leg-hip-thrust", "mini-band-single-leg-hip-thrust", "single-leg-feet-raised-bridge"]
            ),
            (LongBridge, ["heel-dig-bridge", "edge-heel-dig"]),
            (StraightLeg, ["straight-leg-raise", "side-lying-leg-raise", "side-lying-adduction", "prone-leg-lift"]),
            (2 * StraightLeg, ["lying-leg-raise", "hanging-leg-raise", "cushion-leg-lowering"]),
            (BentLeg, ["donkey-kick", "kneeling-hip-lift"]),
            (2 * BentLeg, ["lying-knee-raise-90"]),
            (2 * HalfBentLeg, ["lying-knee-raise-45"]),
            (Arms, ["prone-y-raise", "prone-rear-raise"]),
            (UpperBody, ["edge-back-extension"]),
            (Pike(feetHeight: 0), ["pike-push-up", "pike-lowering", "pike-hold"]),
            (Leaning(degrees: 60), ["towel-row", "one-arm-towel-row"]),
            (Leaning(degrees: 65), ["doorframe-row"]),
            (Leaning(degrees: 70), ["strap-face-pull"]),
        }.SelectMany(d => d.Exercises.Select(e => new object[] { e, d.Share }));

    [Theory]
    [MemberData(nameof(Derived))]
    public void The_share_follows_from_where_the_masses_are(string exercise, double share)
    {
        var load = Examples.Exercise(exercise).Setups[0].Load;
        var ours = new BodyShares(BodySegments.ForSex(Sex.Male), 180, DomainRules.Shipped.Leverage).Of(load, []).Mean;

        (ours / share).ShouldBeInRange(0.9, 1.1, $"{exercise}: {ours:0.000} in the catalogue, {share:0.000} from the masses");
    }

    /// <summary>Feet at the height of the knee: the hips stay square, so the trunk stands steeper and more weight is on the hands.</summary>
    [Fact]
    public void Raised_feet_put_more_of_the_body_on_the_hands_of_a_pike()
    {
        var model = Examples.Exercise("feet-raised-pike-push-up").Setups[0].Load.BodyShareByHeight!;

        foreach (var height in new[] { 0, 0.14, 0.285 })
        {
            (model.At(height).Share / Pike(height)).ShouldBeInRange(0.9, 1.1, $"feet at {height} of stature: {Pike(height):0.000}");
        }
    }

    [Fact]
    public void The_rods_are_a_whole_body() => Whole.ShouldBe(1, 0.001);

    /// <summary>One leg bent so that the shank ends at <paramref name="ankle"/> from the hip, as if held at the ankle of a straight leg.</summary>
    private static double Leg(double ankle, double foot) =>
        new RodFigure().Rod(Thigh, 0, ThighLength).Rod(Shank, ThighLength, ankle).Rod(Foot, foot, foot).At(ThighLength + ShankLength);

    /// <summary>A straight body on its heels at an angle to the floor, held by arms at right angles to it.</summary>
    private static double Leaning(double degrees) =>
        new RodFigure()
            .Rod(2 * Foot, 0, AnkleHeight)
            .Rod(2 * Shank, AnkleHeight, AnkleHeight + ShankLength)
            .Rod(2 * Thigh, AnkleHeight + ShankLength, 0.530)
            .Rod(Trunk, 0.530, 0.818)
            .Rod(Head, 0.818, 1)
            .Rod(2 * (UpperArm + Forearm + Hand), 0.818, 0.818)
            .At(0.818) * Math.Cos(degrees * Math.PI / 180);

    /// <summary>Hands on the floor, feet at a height, legs straight, trunk and arms in one line, the two square at the hips.</summary>
    private static double Pike(double feetHeight)
    {
        const double Upper = TrunkLength + UpperArmLength + ForearmLength;
        const double Lower = 0.530;
        var between = Math.Sqrt((Upper * Upper) + (Lower * Lower));
        var tilt = Math.Asin(feetHeight / between);
        var legs = Math.Acos(Lower / between) - tilt;
        double Along(double onLeg) => onLeg * Math.Cos(legs);
        var hips = Along(Lower);
        var hands = between * Math.Cos(tilt);
        double Down(double fromHips) => hips + ((hands - hips) * fromHips / Upper);
        return new RodFigure()
            .Rod(2 * Foot, 0, Along(AnkleHeight))
            .Rod(2 * Shank, Along(AnkleHeight), Along(AnkleHeight + ShankLength))
            .Rod(2 * Thigh, Along(AnkleHeight + ShankLength), hips)
            .Rod(Trunk, hips, Down(TrunkLength))
            .Rod(Head, Down(TrunkLength), Down(TrunkLength + NeckAndHead))
            .Rod(2 * UpperArm, Down(TrunkLength), Down(TrunkLength + UpperArmLength))
            .Rod(2 * Forearm, Down(TrunkLength + UpperArmLength), hands)
            .Rod(2 * Hand, hands, hands)
            .At(hands);
    }
}
