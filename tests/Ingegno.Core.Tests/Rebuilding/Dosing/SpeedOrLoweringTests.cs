using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Few heavy reps with a load that is too light: fast where that can be done, else lowered slowly.</summary>
[Trait("source", "common practice: speed with both feet down and nothing sore; on one leg, and for beginners, a slow lowering")]
public class SpeedOrLoweringTests
{
    private static readonly ClientProfile Strong = Examples.ClientA with { Level = Level.Advanced, Goal = Goal.Strength, SoreJoints = [] };

    [Theory]
    [InlineData("dumbbell-romanian-deadlift", true)]
    [InlineData("goblet-squat", true)]
    [InlineData("single-leg-romanian-deadlift", false)]
    [InlineData("slow-step-down", false)]
    public void Speed_is_for_what_needs_no_balance_and_has_no_tempo_of_its_own(string exercise, bool fast) =>
        SetLimits.IsForSpeed(Line("Deadlift 4x4"), Examples.Exercise(exercise), Strong).ShouldBe(fast);

    [Fact]
    public void Speed_is_for_strength_past_the_first_year_with_few_reps_and_sound_joints()
    {
        var goblet = Examples.Exercise("goblet-squat");

        SetLimits.IsForSpeed(Line("Back squat 4x6"), goblet, Strong).ShouldBeTrue();
        SetLimits.IsForSpeed(Line("Back squat 4x7"), goblet, Strong).ShouldBeFalse();
        SetLimits.IsForSpeed(Line("Back squat 4x6"), goblet, Strong with { Level = Level.Beginner }).ShouldBeFalse();
        SetLimits.IsForSpeed(Line("Back squat 4x6"), goblet, Strong with { Goal = Goal.Muscle }).ShouldBeFalse();
        SetLimits
            .IsForSpeed(Line("Back squat 4x6"), goblet, Strong with { SoreJoints = [new SoreJoint(Joint.Knee, Soreness.Sore)] })
            .ShouldBeFalse();
    }

    /// <summary>36 s for a heavy set, 60 as a rule and 75 at most for the others (docs/domain/prescription).</summary>
    [Theory]
    [InlineData("Back squat 4x6", 6, 36, 36, 0)]
    [InlineData("Back squat 4x7", 7, 60, 75, 0)]
    [InlineData("Back squat 4xAMRAP", int.MaxValue, 60, 75, 0)]
    [InlineData("Back squat 4x30 s", int.MaxValue, 60, 75, 0)]
    [InlineData("Back squat 4x8 3-2-2-1", 8, 60, 75, 4)] // two held, one squeezed, one more than the usual up
    [InlineData("Back squat 4x8 3-0-1-0", 8, 60, 75, 0)]
    public void A_set_lasts_as_long_as_its_line_bears(string line, int planned, double usual, double most, int own)
    {
        var limits = SetLimits.ForLine(Line(line), 2, DomainRules.Shipped.Dose);

        (limits.Reps, limits.Seconds, limits.Most, limits.OwnSeconds).ShouldBe((planned, usual, most, own));
    }

    private static Core.Programs.Lines.GymLine Line(string text) =>
        new ShorthandParser(DomainRules.Shipped.Names).Parse(text).Lines.Single();
}
