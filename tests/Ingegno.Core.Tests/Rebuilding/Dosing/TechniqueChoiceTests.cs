using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

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
        Choose("push-up", Level.Novice, 18, 8, 12).ShouldBe(["slow-eccentric-5"]);

    [Fact]
    public void A_beginner_never_gets_two_at_once() =>
        Gen.Select(Gen.Double[5, 100], Gen.OneOfConst("push-up", "goblet-squat", "table-row", "glute-bridge"))
            .Sample((reps, exercise) => Choose(exercise, Level.Beginner, reps, 8, 12).Length <= 1);

    [Fact]
    public void Techniques_never_make_it_too_hard() =>
        Gen.Select(Gen.Double[8, 100], Gen.Enum<Level>()).Sample((reps, level) => reps * Left(Choose("push-up", level, reps, 8, 12)) >= 8);

    [Theory]
    [InlineData("squeeze", "prone-rear-raise", Level.Intermediate, true)]
    [InlineData("squeeze", "prone-rear-raise", Level.Novice, false)]
    [InlineData("squeeze", "push-up", Level.Advanced, false)]
    [InlineData("pulses-3", "bodyweight-squat", Level.Novice, true)]
    [InlineData("pulses-3", "bodyweight-squat", Level.Beginner, false)]
    [InlineData("pulses-3", "push-up", Level.Advanced, false)]
    [InlineData("pulses-2", "push-up", Level.Intermediate, true)]
    [InlineData("pulses-2", "push-up", Level.Novice, false)]
    [InlineData("isometric-first", "table-row", Level.Intermediate, true)]
    [InlineData("isometric-first", "table-row", Level.Beginner, false)]
    [InlineData("isometric-first", "squat-jump", Level.Advanced, false)]
    [InlineData("slow-eccentric-5", "push-up", Level.Beginner, false)] // first weeks are kind: three seconds at most
    [InlineData("slow-eccentric-3", "push-up", Level.Beginner, true)]
    [InlineData("slow-eccentric-5", "push-up", Level.Novice, true)]
    [InlineData("slow-eccentric-5", "squat-jump", Level.Advanced, false)]
    [InlineData("pause-2", "push-up", Level.Beginner, true)]
    [InlineData("one-and-a-half", "table-row", Level.Beginner, false)]
    [InlineData("one-and-a-half", "table-row", Level.Novice, true)]
    [InlineData("one-and-a-half", "plank", Level.Advanced, false)]
    [Trait("source", "docs/domain/prescription: for whom each technique fits")]
    public void Each_technique_has_its_limits(string technique, string exercise, Level level, bool fits) =>
        Step(technique).Fits(Examples.Exercise(exercise), Examples.ClientA with { Level = level }).ShouldBe(fits);

    [Fact]
    public void Two_at_once_never_set_the_same_phase_of_the_tempo()
    {
        var client = Examples.ClientA with { Level = Level.Advanced };
        var pairs = TechniqueChoice
            .SetsFor(Examples.Exercise("bodyweight-squat"), client, DomainRules.Shipped.ApproachOf(null), DomainRules.Shipped.Techniques)
            .Where(s => s.Steps.Length == 2)
            .ToList();

        pairs.ShouldAllBe(s => s.Steps.Count(t => t.Eccentric != null) <= 1 && s.Steps.Count(t => t.Pause != null) <= 1);
        pairs.ShouldContain(s => s.Steps.Count(t => t.Eccentric != null) == 1 && s.Steps.Count(t => t.Pause != null) == 1);
    }

    [Theory]
    [Trait("source", "docs/domain/cautions: no loaded hinge with long lowering for a back that hurts")]
    [InlineData("single-leg-romanian-deadlift", Joint.LowBack, false)]
    [InlineData("single-leg-romanian-deadlift", Joint.Knee, true)]
    [InlineData("push-up", Joint.LowBack, true)]
    public void A_back_that_hurts_hinges_without_long_lowering(string exercise, Joint sore, bool slow)
    {
        var client = Examples.ClientA with { SoreJoints = [new SoreJoint(sore, Soreness.Sore)] };

        TechniqueChoice
            .SetsFor(Examples.Exercise(exercise), client, DomainRules.Shipped.ApproachOf(null), DomainRules.Shipped.Techniques)
            .Any(s => s.Steps.Any(t => t.Id == "slow-eccentric-5"))
            .ShouldBe(slow);
    }

    [Fact]
    public void High_blood_pressure_rules_all_out_holds_out() =>
        Step("isometric-first").Fits(Examples.Exercise("table-row"), Examples.ClientA with { HighBloodPressure = true }).ShouldBeFalse();

    [Theory]
    [InlineData("density", "bodyweight-squat", "pulses-3")]
    [InlineData("tension", "table-row", "isometric-first")]
    [InlineData("mirror", "table-row", "slow-eccentric-5")]
    public void An_approach_takes_its_own_techniques_first(string approach, string exercise, string step) =>
        ChosenTechniques.For(exercise, Examples.ClientA, approach, 17, 8, 12).Select(t => t.Id).ShouldContain(step);

    [Fact]
    public void A_heavy_line_takes_no_long_steps() =>
        Gen.Select(Gen.Double[6, 120], Gen.Enum<Level>(), Gen.OneOfConst("dumbbell-romanian-deadlift", "push-up", "goblet-squat"))
            .Sample(
                (reps, level, exercise) => Choose(exercise, level, reps, 5, 7).All(id => Step(id).Order <= TechniqueChoice.LastUsualOrder)
            );

    [Fact]
    public void No_school_gives_a_heavy_line_long_steps() =>
        ChosenTechniques
            .For("dumbbell-romanian-deadlift", Examples.ClientA, "tension", 14, 5, 7)
            .ShouldAllBe(t => t.Order <= TechniqueChoice.LastUsualOrder);

    [Fact]
    public void A_heavier_load_never_asks_for_more_technique() =>
        Gen.Select(Gen.Double[8, 60], Gen.Double[0, 20], Gen.Enum<Level>())
            .Sample(
                (reps, lighter, level) =>
                    Left(Choose("push-up", level, reps, 8, 12)) >= Left(Choose("push-up", level, reps + lighter, 8, 12)) - 1e-9
            );

    [Fact]
    [Trait("source", "docs/domain/prescription: combined techniques leave the product of their shares")]
    public void Shares_multiply() => Left(["slow-eccentric-5", "pause-2"]).ShouldBe(0.65 * 0.85, 1e-9);

    private static string[] Choose(string exercise, Level level, double reps, double low, double high) =>
        [.. ChosenTechniques.For(exercise, Examples.ClientA with { Level = level }, null, reps, low, high).Select(t => t.Id)];

    private static Technique Step(string id) => DomainRules.Shipped.Techniques.Single(t => t.Id == id);

    private static double Left(string[] ids) => TechniqueChoice.RepsLeft(DomainRules.Shipped.Techniques.Where(t => ids.Contains(t.Id)));
}
