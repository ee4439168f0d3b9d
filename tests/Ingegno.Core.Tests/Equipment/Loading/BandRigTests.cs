using CsCheck;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Equipment.Loading;

public class BandRigTests
{
    private static readonly BandForceCurve Loop13 = BandCalibration.CurveOf(RubberTests.Loop());
    private static readonly BandLoad Curl = new(BandRigKind.StoodOn, Start: 0.43, End: 0.72);
    private static readonly BandLoad Row = new(BandRigKind.Anchored, Travel: 0.28);

    /// <summary>By hand: 1.80 m, hands from 77 to 130 cm over one foot; a loop of 104 cm is slack below 104 and at 1.246 of its length at
    /// the top.</summary>
    [Fact]
    [Trait("source", "worked by hand")]
    public void A_loop_under_one_foot_is_slack_first_and_pulls_at_the_top()
    {
        var rep = BandRig.Rep(Loop13, Curl, new BandGrip(), 180);

        rep.StartStretch.ShouldBe(0.744, 0.001);
        rep.EndStretch.ShouldBe(1.246, 0.001);
        rep.Force.Start.ShouldBe(0);
        rep.Force.End.ShouldBe(117 * 0.39 * (1.24615 - (1 / (1.24615 * 1.24615))) / 9.80665, 0.01);
    }

    /// <summary>A tube under the foot runs up on both sides, a loop has two strands anyway; from one hand to the other a tube is single.</summary>
    [Fact]
    [Trait("source", "worked by hand")]
    public void A_tube_is_double_under_the_foot_and_single_between_the_hands()
    {
        var tube = Loop13 with { Strands = 1 };
        var between = new BandLoad(BandRigKind.Between, Start: 0.43, End: 0.72);

        Force(tube, Curl).ShouldBe(Force(Loop13, Curl), 1e-9);
        Force(tube, Row).ShouldBe(Force(Loop13, Row), 1e-9);
        Force(tube, between).ShouldBeLessThan(Force(Loop13, between) * 0.9);
        Force(tube with { Strands = 3 }, Curl).ShouldBeGreaterThan(Force(Loop13, Curl));

        static double Force(BandForceCurve curve, BandLoad load) => BandRig.Rep(curve, load, new BandGrip(AnchorCm: 120), 180).Force.End;
    }

    [Theory]
    [InlineData(0)]
    [InlineData(-3)]
    public void Without_a_size_or_a_force_nothing_is_reckoned(double force)
    {
        var loop = RubberTests.Loop();
        var bare = loop with { Item = loop.Item with { WidthMm = 0, ThicknessMm = 0, ForceKg = force } };

        Should
            .Throw<BandMeasureException>(() => BandCalibration.CurveOf(bare))
            .Reason.Said()
            .ShouldContain("Nothing is known of the force");
    }

    [Fact]
    public void Feet_apart_grips_short_and_folds_all_pull_harder() =>
        Gen.Select(Gen.Double[0, 40], Gen.Double[0, 20], Gen.Double[150, 200])
            .Sample(
                (stance, choke, stature) =>
                {
                    var plain = BandRig.Rep(Loop13, Curl, new BandGrip(), stature).Force.End;
                    BandRig.Rep(Loop13, Curl, new BandGrip(StanceCm: stance), stature).Force.End.ShouldBeGreaterThanOrEqualTo(plain - 1e-9);
                    BandRig.Rep(Loop13, Curl, new BandGrip(ChokeCm: choke), stature).Force.End.ShouldBeGreaterThanOrEqualTo(plain - 1e-9);
                    BandRig.Rep(Loop13, Curl, new BandGrip(Doubled: true), stature).Force.End.ShouldBeGreaterThan(plain);
                }
            );

    [Fact]
    public void Taller_clients_and_longer_distances_stretch_further()
    {
        BandRig
            .Rep(Loop13, Curl, new BandGrip(), 195)
            .Force.End.ShouldBeGreaterThan(BandRig.Rep(Loop13, Curl, new BandGrip(), 160).Force.End);
        BandRig
            .Rep(Loop13, Row, new BandGrip(AnchorCm: 140), 180)
            .Force.End.ShouldBeGreaterThan(BandRig.Rep(Loop13, Row, new BandGrip(AnchorCm: 110), 180).Force.End);
    }

    /// <summary>By hand: hands level at 108 cm, anchor on the floor, 110 cm away: 154 cm of band, and cos 44.5° of its force.</summary>
    [Fact]
    [Trait("source", "worked by hand")]
    public void An_anchor_off_the_line_stretches_more_and_pulls_askew()
    {
        var row = Row with { HandHeight = 0.6 };
        var level = BandRig.Rep(Loop13, row, new BandGrip(AnchorCm: 110), 180);
        var low = BandRig.Rep(Loop13, row, new BandGrip(AnchorCm: 110, AnchorHeightCm: 0), 180);

        level.StartStretch.ShouldBe(110.0 / 104, 1e-9);
        low.StartStretch.ShouldBe(Math.Sqrt((110 * 110) + (108 * 108)) / 104, 1e-9);
        low.Force.Start.ShouldBe(Loop13.ForceKg(154.16) * 110 / 154.16, 0.01);
        BandRig.Rep(Loop13, row, new BandGrip(AnchorCm: 110, AnchorHeightCm: 108), 180).Force.ShouldBe(level.Force);
    }

    [Fact]
    public void The_other_way_round_finds_the_grip_for_a_wanted_force() =>
        Gen.Select(Gen.Double[1, 12], Gen.Double[150, 200], Gen.OneOfConst(BandKnob.Choke, BandKnob.Stance, BandKnob.Anchor))
            .Sample(
                (wanted, stature, knob) =>
                {
                    var load = knob == BandKnob.Anchor ? Row : Curl;
                    if (BandSolver.Solve(Loop13, load, new BandGrip(AnchorCm: 110), stature, knob, wanted) is { } cm)
                    {
                        BandRig
                            .Rep(Loop13, load, BandSolver.Turn(new BandGrip(AnchorCm: 110), knob, cm), stature)
                            .Force.Most.ShouldBe(wanted, 0.01);
                    }
                }
            );

    [Fact]
    public void What_no_grip_can_give_has_no_answer() =>
        BandSolver.Solve(Loop13, Curl, new BandGrip(), 180, BandKnob.Choke, 60).ShouldBeNull();

    [Fact]
    public void Past_three_times_its_length_it_is_not_offered() =>
        Should.Throw<StretchLimitException>(() => BandRig.Rep(Loop13, Row, new BandGrip(AnchorCm: 270), 180));

    [Fact]
    public void A_grip_that_leaves_nothing_of_the_band_says_so() =>
        Should
            .Throw<BandMeasureException>(() => BandRig.Rep(Loop13, Curl, new BandGrip(ChokeCm: 100), 180))
            .Reason.Said()
            .ShouldContain("Grip it longer");

    /// <summary>A loop of 32 mm under a foot: common practice says a light assistance band takes 20–25 kg off at the bottom.</summary>
    [Fact]
    [Trait("source", "common practice: a light assistance band takes roughly 20–25 kg off a pull-up at the bottom")]
    public void An_assistance_loop_takes_what_coaches_say()
    {
        var assist = DomainRules.Shipped.Catalogue.Get("band-assisted-pull-up").Setups[0].Load.Band!;

        BandRig.Rep(BandCalibration.CurveOf(RubberTests.Loop(width: 32)), assist, new BandGrip(), 178).Force.Start.ShouldBeInRange(18, 26);
    }

    [Fact]
    [Trait("source", "common practice: a thin band doubled round the arms takes about 30 % off a push-up")]
    public void A_doubled_band_takes_a_third_off_a_push_up()
    {
        var bench = new TestBench(Examples.ClientA, Examples.Kit("band-loop"));
        double Load(string id) => bench.SystemLoad(id, ReachableLoad.None).Kg;

        (Load("band-assisted-push-up") / Load("push-up")).ShouldBe(0.7, 0.01);
    }

    [Fact]
    public void Two_bands_add()
    {
        var both = Options("band-loop 3", "band-tube 5").Where(o => o.ItemIds.Length == 2).ShouldHaveSingleItem();
        double Alone(string kit) =>
            Options(kit)
                .First(o => o.InWords.Contains("cm apart on it") && !o.InWords.Contains("doubled") && !o.InWords.Contains("short"))
                .MassKg;

        both.MassKg.ShouldBe(Alone("band-loop 3") + Alone("band-tube 5"), 1e-9);
    }

    [Fact]
    public void A_nicked_band_is_never_offered()
    {
        var kit = Examples.Kit("band-loop");
        kit = kit with { Items = [kit.Items[0] with { State = BandState.Nicked }] };
        var line = Examples.Rebuild(Examples.ClientA, kit, "Rear-delt fly 3x18").Plan.Lines[0];

        line.Candidates.ShouldAllBe(c => !c.Id.Contains("band-"));
        line.RuledOut.ShouldContain(r => r.ExerciseId == "band-pull-apart" && r.Reason.Said().Contains("nicked"));
    }

    private static IReadOnlyList<ReachableLoad> Options(params string[] kit) =>
        BandOptions.For(new TestBench(Examples.ClientA, Examples.Kit(kit)).Kit, Curl, 180);
}
