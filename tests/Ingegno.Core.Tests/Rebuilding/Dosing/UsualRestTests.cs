using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Rests of a line that names none.</summary>
public class UsualRestTests
{
    [Theory]
    [Trait("source", "docs/domain/prescription: strength 2–5 min, muscle 1–2 min, endurance 30–60 s, common practice")]
    [InlineData(Goal.Strength, 6, 180)]
    [InlineData(Goal.Strength, 7, 120)]
    [InlineData(Goal.Muscle, 6, 90)]
    [InlineData(Goal.Muscle, 30, 90)]
    [InlineData(Goal.Endurance, 15, 45)]
    [InlineData(Goal.GeneralFitness, 10, 60)]
    public void Follow_the_goal_and_the_heaviest_work_rests_longest(Goal goal, int reps, int seconds) =>
        DomainRules.Shipped.Dose.UsualRest(goal, new SetTarget(3, reps)).ShouldBe(seconds);

    [Fact]
    public void An_open_set_is_not_heavy_work() => DomainRules.Shipped.Dose.UsualRest(Goal.Strength, SetTarget.Open).ShouldBe(120);
}
