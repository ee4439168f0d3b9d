using CsCheck;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Properties of a bottom that every set can keep; the examples by hand are with the prescriber.</summary>
public class KeptTargetTests
{
    private static readonly Gen<RepRange> Expected = Gen.Select(
        Gen.Double[0.1, 40],
        Gen.Double[0, 1],
        (mid, width) => new RepRange(mid * (1 - width), mid, mid * (1 + width))
    );
    private static readonly Gen<SetTarget> Wanted = Gen.Select(
        Gen.Int[1, 30],
        Gen.Int[0, 10],
        (min, more) => new SetTarget(min, min + more)
    );

    [Fact]
    public void The_top_stays_and_the_bottom_never_rises_nor_falls_below_one() =>
        Gen.Select(Wanted, Expected, Gen.Int[1, 6])
            .Sample(
                (wanted, expected, sets) =>
                {
                    var kept = Kept(wanted, expected, sets);
                    return kept.Max == wanted.Max && kept.Min <= wanted.Min && kept.Min >= 1;
                }
            );

    [Fact]
    public void Stronger_or_better_known_never_starts_lower() =>
        Gen.Select(Wanted, Expected, Gen.Double[0, 5], Gen.Double[0, 1])
            .Sample(
                (wanted, expected, more, known) =>
                {
                    var stronger = new RepRange(expected.Low + more, expected.Mid + more, expected.High + more);
                    var narrower = expected with { Low = expected.Low + (known * (expected.Mid - expected.Low)) };
                    var now = Kept(wanted, expected, 3).Min;
                    return Kept(wanted, stronger, 3).Min >= now && Kept(wanted, narrower, 3).Min >= now;
                }
            );

    [Fact]
    public void More_sets_or_shorter_rests_never_start_higher() =>
        Gen.Select(Wanted, Expected, Gen.Int[1, 5], Gen.Int[20, 240])
            .Sample(
                (wanted, expected, sets, rest) =>
                    Kept(wanted, expected, sets + 1, rest).Min <= Kept(wanted, expected, sets, rest).Min
                    && Kept(wanted, expected, sets, rest).Min <= Kept(wanted, expected, sets, rest + 30).Min
            );

    [Fact]
    public void As_many_as_possible_has_no_bottom() => Kept(SetTarget.Open, new RepRange(1, 5, 9), 3).ShouldBe(SetTarget.Open);

    private static SetTarget Kept(SetTarget wanted, RepRange expected, int sets, int rest = 90) =>
        KeptTarget.Fit(wanted, expected, sets, rest, 2, DomainRules.Shipped);
}
