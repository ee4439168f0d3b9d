using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Equipment.Loading;

public class LeverageTests
{
    /// <summary>Ebben et al. 2011, J Strength Cond Res 25(10), from memory, ±.02.</summary>
    [Theory]
    [Trait("source", "Ebben et al. 2011, from memory, ±.02")]
    [InlineData("push-up", 0, 0.64)]
    [InlineData("knee-push-up", 0, 0.49)]
    [InlineData("feet-raised-push-up", 30.5, 0.70)]
    [InlineData("feet-raised-push-up", 61, 0.74)]
    [InlineData("hands-raised-push-up", 30.5, 0.55)]
    [InlineData("hands-raised-push-up", 61, 0.41)]
    public void Published_push_up_shares_are_met(string exercise, double height, double share) =>
        Share(exercise, height).Mean.ShouldBe(share, 0.02);

    /// <summary>Suprak et al. 2011: .69 up and .75 down; the ratio is kept, the mean stays with Ebben.</summary>
    [Fact]
    [Trait("source", "Suprak et al. 2011, from memory")]
    public void The_bottom_is_heavier_than_the_top()
    {
        var share = Share("push-up", 0);

        (share.Start / share.End).ShouldBe(0.75 / 0.69, 0.01);
        share.Estimated.ShouldBeFalse();
    }

    [Fact]
    public void Higher_hands_never_make_it_heavier_and_higher_feet_never_lighter() =>
        Gen.Select(Gen.Double[15, 99], Gen.Double[0, 20], Gen.Double[150, 200])
            .Sample(
                (height, more, stature) =>
                    Share("hands-raised-push-up", height + more, stature).Mean <= Share("hands-raised-push-up", height, stature).Mean + 1e-9
                    && Share("feet-raised-push-up", height + more, stature).Mean
                        >= Share("feet-raised-push-up", height, stature).Mean - 1e-9
            );

    [Fact]
    public void Outside_the_published_heights_it_says_that_it_is_an_estimate()
    {
        Share("hands-raised-push-up", 45).Estimated.ShouldBeFalse();
        Share("hands-raised-push-up", 95).Estimated.ShouldBeTrue();
        Share("table-row", 74).Estimated.ShouldBeTrue();
    }

    [Theory]
    [Trait("source", "docs/domain/strength-relations: table row lying low about .6–.68 of body mass")]
    [InlineData(70)]
    [InlineData(78)]
    public void A_low_table_row_pulls_two_thirds(double table) => Share("table-row", table).Mean.ShouldBeInRange(0.6, 0.69);

    [Fact]
    public void A_higher_table_makes_a_row_lighter() => Share("table-row", 88).Mean.ShouldBeLessThan(Share("table-row", 66).Mean);

    /// <summary>
    /// Heels as high as the hands at the bottom: the body lies level there and pulls more than with the heels on the floor. Straps hang, arms
    /// straight, a hand above the floor: as a grip of that height.
    /// </summary>
    [Fact]
    public void A_row_is_heavier_the_nearer_the_body_is_to_level()
    {
        BodyShareOverRep Row(BodyLeverage leverage, double grip, double feet) =>
            new BodyShares(BodySegments.ForSex(Sex.Male), 180, DomainRules.Shipped.Leverage).Of(
                new LoadModel { Leverage = leverage },
                [Support("grip", grip), Support("feet", feet)]
            );
        var flat = new BodyLeverage(LeverageKind.Row, Grip: "grip");

        Row(flat with { Feet = "feet" }, 100, 30).Mean.ShouldBeGreaterThan(Row(flat, 100, 30).Mean + 0.03);
        Row(flat with { Feet = "feet" }, 100, 30).Start.ShouldBeGreaterThan(Row(flat with { Feet = "feet" }, 100, 30).End);
        var arm = (BodyLengths.ArmToGrip + 0.12) * 180;
        Row(flat with { Grip = null }, 100, 0).ShouldBe(Row(flat, arm, 0));
    }

    [Fact]
    public void Mass_on_the_body_adds_only_the_share_at_its_place()
    {
        var bench = new TestBench(Examples.ClientA, Examples.Kit("rucksack"));
        double System(double kg) => bench.SystemLoad("push-up", new ReachableLoad(kg, "rucksack", [])).Kg;

        (System(10) - System(0)).ShouldBe(7, 1e-9, "a rucksack on the back adds about 0.7 of itself");
    }

    [Fact]
    public void More_mass_never_gives_less_system_load() =>
        Gen.Select(
                Gen.Double[0, 60],
                Gen.Double[0, 20],
                Gen.OneOfConst("push-up", "split-squat", "goblet-squat", "chin-up", "glute-bridge")
            )
            .Sample(
                (kg, more, exercise) =>
                {
                    var bench = new TestBench(Examples.ClientA, Examples.Kit());
                    double System(double x) => bench.SystemLoad(exercise, new ReachableLoad(x, "x", [])).Kg;
                    return System(kg + more) >= System(kg);
                }
            );

    [Fact]
    [Trait("source", "docs/domain/kit-and-loads: +50 % of the dumbbell may be +7 % of a split squat")]
    public void A_jump_of_the_dumbbell_is_a_small_step_of_the_system()
    {
        var bench = new TestBench(Examples.ClientA, Examples.Kit());
        double System(double kg) => bench.SystemLoad("split-squat", new ReachableLoad(kg, "x", [])).Kg;

        ((System(24) / System(16)) - 1).ShouldBeInRange(0.05, 0.10);
    }

    [Fact]
    public void A_band_a_weight_and_the_body_add_up_at_every_point()
    {
        var bench = new TestBench(Examples.ClientA, Examples.Kit("band-loop"));
        var option = bench.Options("band-squat")[^1];
        var body = bench.SystemLoad("band-squat", ReachableLoad.None).Range;
        var both = bench.SystemLoad("band-squat", option).Range;

        both.End.ShouldBe(body.End + option.Band!.End, 1e-9);
        both.End.ShouldBeGreaterThan(both.Start, "a band loads the top of a squat");
    }

    [Fact]
    public void A_light_weight_with_a_band_is_one_set_up()
    {
        var bench = new TestBench(Examples.ClientA, Examples.Kit("dumbbell 8 x2", "band-loop"));
        var both = bench.Options("dumbbell-floor-press").Where(o => o.ItemIds.Length == 2).ToList();

        both.ShouldNotBeEmpty();
        both.ShouldAllBe(o => o.WeightKg == 16 && o.InWords.Contains("8 kg, with it"));
        var range = bench.SystemLoad("dumbbell-floor-press", both[^1]).Range;
        range.Start.ShouldBe(16 + both[^1].Band!.Start, 1e-9);
        range.End.ShouldBe(16 + both[^1].Band!.End, 1e-9);
        bench.Options("dumbbell-floor-press").ShouldAllBe(o => o.WeightKg > 0, "the band alone is another exercise");
    }

    private static BodyShareOverRep Share(string exercise, double heightCm, double statureCm = 180)
    {
        var setup = Examples.Exercise(exercise).Setups[0];
        var role = setup.Needs?.As ?? "none";
        return new BodyShares(BodySegments.ForSex(Sex.Male), statureCm, DomainRules.Shipped.Leverage).Of(
            setup.Load,
            [Support(role, heightCm)]
        );
    }

    private static Binding Support(string role, double heightCm) =>
        new(
            role,
            new Thing(
                new KitItem
                {
                    Id = "x",
                    Kind = "step",
                    HeightCm = Math.Max(1, heightCm),
                },
                DomainRules.Shipped.KitKinds.Find("step")!
            )
        );
}
