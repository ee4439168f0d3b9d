using CsCheck;
using Ingegno.Core.Clients;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Prescribing;

public class TechniqueChoiceTests
{
    [Fact]
    public void Nothing_is_added_when_the_load_is_heavy_enough() => Choose("push-up", Level.Intermediate, 10, 8, 12).ShouldBeEmpty();

    [Fact]
    public void The_cheapest_step_that_reaches_the_zone_is_taken() =>
        Choose("push-up", Level.Intermediate, 14, 8, 12).ShouldBe(["pause-2"]);

    [Fact]
    [Trait("source", "common practice: five seconds down is the standard step when load cannot rise")]
    public void Five_seconds_down_brings_eighteen_reps_to_twelve() =>
        Choose("push-up", Level.Beginner, 18, 8, 12).ShouldBe(["slow-eccentric-5"]);

    [Fact]
    public void A_beginner_never_gets_two_at_once() =>
        Gen.Select(Gen.Double[5, 100], Gen.OneOfConst("push-up", "goblet-squat", "table-row", "glute-bridge")).Sample((reps, exercise) =>
            Choose(exercise, Level.Beginner, reps, 8, 12).Length <= 1);

    [Fact]
    public void Techniques_never_make_it_too_hard() =>
        Gen.Select(Gen.Double[8, 100], Gen.Enum<Level>()).Sample((reps, level) =>
            reps * Left(Choose("push-up", level, reps, 8, 12)) >= 8);

    [Fact]
    [Trait("source", "handbook 04: combined techniques leave the product of their shares")]
    public void Shares_multiply() => Left(["slow-eccentric-5", "pause-2"]).ShouldBe(0.65 * 0.85, 1e-9);

    private static string[] Choose(string exercise, Level level, double reps, double low, double high) =>
        [.. TechniqueChoice.For(Examples.Exercise(exercise), level, reps, low, high, Trade.Shipped.Techniques).Select(t => t.Id)];

    private static double Left(string[] ids) => TechniqueChoice.RepsLeft(Trade.Shipped.Techniques.Where(t => ids.Contains(t.Id)));
}
