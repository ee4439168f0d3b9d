using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;
using MathNet.Numerics.LinearRegression;

namespace Ingegno.Core.Tests.Equipment.Loading;

public class RubberTests
{
    /// <summary>Treloar: F = A0·G·(λ − 1/λ²) with G about 0.39 MPa.</summary>
    [Fact]
    [Trait("source", "Treloar, The Physics of Rubber Elasticity; docs/domain/check-values: 117 mm², λ = 2, about 80 N")]
    public void The_worked_loop_pulls_with_eighty_newtons()
    {
        RubberLaw.Gaussian(117, RubberLaw.NaturalRubberMpa, 2).ShouldBe(80, 0.5);

        var loop = BandCalibration.CurveOf(Loop());
        loop.ForceKg(208).ShouldBe(79.85 / 9.80665, 0.01);
    }

    [Theory]
    [Trait("source", "algebra of λ − 1/λ²")]
    [InlineData(1, 0)]
    [InlineData(2, 1.75)]
    [InlineData(3, 2.8889)]
    public void Strain_is_as_on_paper(double stretch, double strain) => RubberLaw.Strain(stretch).ShouldBe(strain, 0.0001);

    [Fact]
    public void With_the_second_constant_at_zero_Mooney_and_Rivlin_are_Treloar() =>
        Gen.Double[1, 3.5].Sample(s => Math.Abs(RubberLaw.MooneyRivlin(58.5, 0.195, 0, s) - RubberLaw.Gaussian(58.5, 0.39, s)) < 1e-9);

    [Fact]
    public void A_slack_band_pulls_with_nothing_and_force_rises_with_stretch()
    {
        var curve = BandCalibration.CurveOf(Loop());
        curve.ForceKg(90).ShouldBe(0);
        Gen.Select(Gen.Double[1, 2.9], Gen.Double[0.001, 0.1]).Sample((s, more) => curve.TensionN(s + more) > curve.TensionN(s));
    }

    [Fact]
    public void One_point_scales_the_law_and_is_met()
    {
        var curve = BandCalibration.Fit(104, 2, [new(208, 9)]);

        curve.ForceKg(208).ShouldBe(9, 1e-9);
        curve.ErrorKg!.Value.ShouldBe(0, 1e-9);
        curve.B.ShouldBe(0);
    }

    [Fact]
    [Trait("source", "MathNet.Numerics, multiple regression by QR")]
    public void Three_or_more_points_are_fitted_as_the_reference_library_fits_them() =>
        Gen.Select(Gen.Double[15, 80], Gen.Double[-10, 60], Gen.Double[-0.3, 0.3].Array[5])
            .Sample(
                (a, b, noise) =>
                {
                    double[] stretches = [1.2, 1.5, 1.9, 2.4, 2.9];
                    var points = stretches
                        .Select((s, i) => new CalibrationPoint(100 * s, ((RubberLaw.Strain(s) * (a + (b / s))) + noise[i]) / 9.80665))
                        .ToImmutableArray();
                    var curve = BandCalibration.Fit(100, 1, points);
                    var x = points
                        .Select(p => p.LengthCm / 100)
                        .Select(s => new[] { RubberLaw.Strain(s), RubberLaw.Strain(s) / s })
                        .ToArray();
                    var reference = MultipleRegression.QR(x, [.. points.Select(p => p.ForceKg * 9.80665)]);
                    if (reference[0] >= 0 && reference[0] + reference[1] >= 0)
                    {
                        curve.A.ShouldBe(reference[0], 1e-4);
                        curve.B.ShouldBe(reference[1], 1e-4);
                    }
                }
            );

    [Fact]
    public void A_fit_never_falls_with_stretch_whatever_was_measured() =>
        Gen.Select(Gen.Double[0.5, 8].Array[4], Gen.Double[0.3, 1.2].Array[4])
            .Sample(
                (steps, forces) =>
                {
                    var length = 100.0;
                    var force = 0.0;
                    var points = steps.Select((s, i) => new CalibrationPoint(length += s * 10, force += forces[i])).ToImmutableArray();
                    var curve = BandCalibration.Fit(100, 2, points);
                    var last = 0.0;
                    for (var s = 1.0; s <= curve.Limit; s += 0.02)
                    {
                        var tension = curve.TensionN(s);
                        tension.ShouldBeGreaterThanOrEqualTo(last - 1e-9);
                        last = tension;
                    }
                }
            );

    [Fact]
    public void The_order_of_the_points_does_not_matter() =>
        BandCalibration
            .Fit(104, 2, [new(150, 4.5), new(200, 7.9), new(250, 11)])
            .A.ShouldBe(BandCalibration.Fit(104, 2, [new(250, 11), new(150, 4.5), new(200, 7.9)]).A, 1e-9);

    /// <summary>
    /// By hand: at 1.5, 2 and 3 times the length X = λ − 1/λ² is 1.056, 1.75 and 2.889, Y = X/λ is .704, .875 and .963. Tensions of 7, 8.7 and 9 N want
    /// a negative A, so B alone is fitted: ΣYT/ΣY² = 9.69. Tensions of .211, .788 and 2.08 N want A + B below 0, where the force would fall at the
    /// start: A = −B = Σ(X−Y)T/Σ(X−Y)² = 1.037.
    /// </summary>
    [Theory]
    [InlineData(7, 8.7, 9, 0, 9.691)]
    [InlineData(0.2111, 0.7875, 2.08, 1.0371, -1.0371)]
    public void Where_the_best_fit_would_not_rise_its_edge_is_taken(double first, double second, double third, double a, double b)
    {
        static double Kg(double newtons) => newtons / Units.StandardGravity;
        var curve = BandCalibration.Fit(100, 1, [new(150, Kg(first)), new(200, Kg(second)), new(300, Kg(third))]);

        (curve.A, curve.B).ShouldSatisfyAllConditions(c => c.A.ShouldBe(a, 0.002), c => c.B.ShouldBe(b, 0.002));
    }

    [Fact]
    public void Beyond_a_fifth_past_the_largest_measured_stretch_no_force_is_given()
    {
        var curve = BandCalibration.Fit(100, 2, [new(150, 5), new(200, 8)]);

        curve.Limit.ShouldBe(2.4, 1e-9);
        curve.ForceKg(239).ShouldBeGreaterThan(8);
        Should.Throw<StretchLimitException>(() => curve.ForceKg(245)).Reason.Said().ShouldContain("further than it was measured");
        Should
            .Throw<StretchLimitException>(() => BandCalibration.CurveOf(Loop()).ForceKg(500))
            .Reason.Said()
            .ShouldContain("more than a band bears");
    }

    public static TheoryData<CalibrationPoint[], string> Contradictions() =>
        new()
        {
            { [new(150, 6), new(200, 5)], "The force falls from 6 kg at 150 cm to 5 kg at 200 cm" },
            { [new(100, 3)], "not longer than the band at rest" },
            { [new(150, 0)], "must be above 0 kg" },
            { [new(0, 3)], "not longer than the band at rest" },
        };

    [Theory]
    [MemberData(nameof(Contradictions))]
    public void Contradicting_points_are_named(CalibrationPoint[] points, string said) =>
        Should.Throw<BandMeasureException>(() => BandCalibration.Fit(104, 2, [.. points])).Reason.Said().ShouldContain(said);

    [Fact]
    public void A_band_without_length_is_refused_with_what_to_measure() =>
        Should.Throw<BandMeasureException>(() => BandCalibration.Fit(0, 2, [new(150, 5)])).Reason.Said().ShouldContain("Measure the band");

    internal static Thing Loop(double width = 13, double flat = 104) =>
        new(
            new KitItem
            {
                Id = "loop",
                Kind = "band-loop",
                RestLengthCm = flat,
                WidthMm = width,
                ThicknessMm = 4.5,
            },
            DomainRules.Shipped.KitKinds.Find("band-loop")!
        );
}
