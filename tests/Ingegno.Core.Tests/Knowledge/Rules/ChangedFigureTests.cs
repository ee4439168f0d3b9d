using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Knowledge.Rules;

/// <summary>A figure that a practice changes counts everywhere: no rule asks for the shipped one behind its back.</summary>
public class ChangedFigureTests
{
    private static readonly RebuildRequest Request = new()
    {
        Client = Examples.ClientA with { MinutesPerSession = 60 },
        Kit = Examples.KitOf("2x 12 kg dumbbell; chair 45 cm; dining table 74 cm"),
        GymLines = ["Bench press 3x8", "Barbell row 3x10", "Goblet squat 3x12"],
    };

    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    public void The_reserve_that_nobody_wrote(int rir)
    {
        var shipped = DomainRules.Shipped;
        var changed = shipped with { Dose = shipped.Dose with { Unsaid = shipped.Dose.Unsaid with { Rir = rir } } };

        Plan(changed).Exercises().Select(e => e.Dose.Rir).ShouldAllBe(r => r == rir);
    }

    [Fact]
    public void The_time_from_one_exercise_to_the_next()
    {
        var shipped = DomainRules.Shipped;
        var changed = shipped with { Session = shipped.Session with { ChangeOverSeconds = shipped.Session.ChangeOverSeconds + 60 } };
        var plan = Plan(shipped);
        var lines = plan.Lines.ToDictionary(l => l.Gym.Key);
        var groups = plan.Days[0].Groups;

        (Seconds(changed) - Seconds(shipped)).ShouldBe(60 * plan.Lines.Length);
        Plan(changed).Days[0].Minutes.Total.ShouldBeGreaterThan(plan.Days[0].Minutes.Total);

        double Seconds(DomainRules rules) => groups.Sum(g => new SessionTime(rules.Session).Seconds(g, lines));
    }

    [Fact]
    public void The_minutes_of_preparation()
    {
        var shipped = DomainRules.Shipped;
        var changed = shipped with
        {
            Session = shipped.Session with { Preparation = shipped.Session.Preparation with { Usual = 15, AtMostOneIn = 2 } },
        };

        (Plan(changed).Days[0].Minutes.Total - Plan(shipped).Days[0].Minutes.Total).ShouldBe(4);
    }

    private static HomePlan Plan(DomainRules rules) => new RebuildEngine(rules).Rebuild(Request).Plan;
}

/// <summary>The chosen exercises of a plan.</summary>
internal static class ExercisesOfPlan
{
    public static IEnumerable<HomeExercise> Exercises(this HomePlan plan) => plan.Lines.SelectMany(l => l.Chosen?.Exercises ?? []);
}
