using Ingegno.Core.Ground.Body;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Prescribing;
using Ingegno.Core.Tests.Support;
using Ingegno.Core.Trainee.Clients;
using Ingegno.Core.Written.Programs.Reading;

namespace Ingegno.Core.Tests.Prescribing;

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

    private static Core.Written.Programs.GymLine Line(string text) => new ShorthandParser(Trade.Shipped.Names).Parse(text).Lines.Single();
}
