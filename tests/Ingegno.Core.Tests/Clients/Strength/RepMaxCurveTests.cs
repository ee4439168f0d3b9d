using CsCheck;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Tests.Clients.Strength;

public class RepMaxCurveTests
{
    [Theory]
    [Trait("source", "Epley 1985: w(1 + r/30)")]
    [InlineData(60, 10, 80)]
    [InlineData(50, 8, 63.333)]
    [InlineData(100, 2, 106.667)]
    public void The_middle_curve_is_Epley(double load, double reps, double max) =>
        RepMaxCurve.OneRepMax(load, reps, CurveKind.Middle).ShouldBe(max, 0.001);

    [Fact]
    public void One_rep_is_the_maximum_itself() => RepMaxCurve.OneRepMax(85, 1, CurveKind.Middle).ShouldBe(85);

    /// <summary>Brzycki 1993, w·36/(37 − r): agrees with Epley at ten reps, 4/3 of the load.</summary>
    [Fact]
    [Trait("source", "Brzycki 1993")]
    public void At_ten_reps_Brzycki_agrees() => RepMaxCurve.OneRepMax(90, 10, CurveKind.Middle).ShouldBe(90 * 36 / (37.0 - 10), 1e-9);

    /// <summary>NSCA, Essentials of Strength Training and Conditioning; from memory, so within 5 points of % 1RM.</summary>
    [Theory]
    [Trait("source", "NSCA table, from memory")]
    [InlineData(2, 0.95)]
    [InlineData(4, 0.90)]
    [InlineData(6, 0.85)]
    [InlineData(8, 0.80)]
    [InlineData(10, 0.75)]
    [InlineData(12, 0.67)]
    [InlineData(15, 0.65)]
    public void The_middle_curve_lies_near_the_table_of_the_trade(double reps, double share) =>
        (1 / RepMaxCurve.OneRepMax(1, reps, CurveKind.Middle)).ShouldBe(share, 0.05);

    /// <summary>
    /// Hoeger et al. 1990, J Appl Sport Sci Res 4(2), reps at 60 and 80 % of 1RM, untrained / trained men; from memory.
    /// The curve must lie between the two groups, give or take 15 % and one rep.
    /// </summary>
    [Theory]
    [Trait("source", "Hoeger et al. 1990, from memory, ±15 %")]
    [InlineData(CurveKind.Lower, 0.40, 80, 78)]
    [InlineData(CurveKind.Middle, 0.40, 35, 43)]
    [InlineData(CurveKind.SingleJoint, 0.40, 19, 35)]
    [InlineData(CurveKind.Lower, 0.60, 34, 46)]
    [InlineData(CurveKind.Lower, 0.80, 15, 19)]
    [InlineData(CurveKind.Middle, 0.60, 20, 23)]
    [InlineData(CurveKind.Middle, 0.80, 10, 12)]
    [InlineData(CurveKind.SingleJoint, 0.60, 11, 21)]
    [InlineData(CurveKind.SingleJoint, 0.80, 6, 12)]
    public void Each_kind_of_lift_lies_between_untrained_and_trained(CurveKind kind, double share, double untrained, double trained) =>
        RepMaxCurve.RepsAtShare(share, kind).ShouldBeInRange((untrained * 0.85) - 2.5, (trained * 1.15) + 1);

    [Fact]
    [Trait("source", "common practice: large lower-body lifts allow more reps at the same share, single-joint ones fewer")]
    public void Kinds_of_lift_keep_their_order() =>
        Gen.Double[0.3, 0.95]
            .Sample(share =>
                RepMaxCurve.RepsAtShare(share, CurveKind.Lower) >= RepMaxCurve.RepsAtShare(share, CurveKind.Middle)
                && RepMaxCurve.RepsAtShare(share, CurveKind.Middle) >= RepMaxCurve.RepsAtShare(share, CurveKind.SingleJoint)
            );

    [Fact]
    public void More_load_never_allows_more_reps() =>
        Gen.Select(Gen.Double[1, 200], Gen.Double[0, 50], Gen.Double[20, 250], Gen.Enum<CurveKind>())
            .Sample((load, more, max, kind) => RepMaxCurve.RepsAt(load + more, max, kind) <= RepMaxCurve.RepsAt(load, max, kind));

    [Fact]
    public void Reps_and_maximum_undo_each_other() =>
        Gen.Select(Gen.Double[1, 200], Gen.Double[1.5, 60], Gen.Enum<CurveKind>())
            .Sample((load, reps, kind) => Math.Abs(RepMaxCurve.RepsAt(load, RepMaxCurve.OneRepMax(load, reps, kind), kind) - reps) < 1e-6);

    [Fact]
    [Trait("source", "docs/domain/progression: Epley, system load 40 → 50 kg, 8 wanted at 50, so 18 at 40")]
    public void The_jump_over_a_gap_is_earned_by_reps() => RepMaxCurve.RepsToEarn(40, 50, 8, CurveKind.Middle).ShouldBe(18);

    [Fact]
    public void What_cannot_be_is_refused()
    {
        Should.Throw<ArgumentOutOfRangeException>(() => RepMaxCurve.RepsAt(-1, 100, CurveKind.Middle));
        Should.Throw<ArgumentOutOfRangeException>(() => RepMaxCurve.RepsAt(10, 0, CurveKind.Middle));
        Should.Throw<ArgumentOutOfRangeException>(() => RepMaxCurve.OneRepMax(10, 0.5, CurveKind.Middle));
        RepMaxCurve.RepsAt(101, 100, CurveKind.Middle).ShouldBe(0, "above the maximum there is no rep");
    }
}
