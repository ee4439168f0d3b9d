using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Clients.Strength;

/// <summary>
/// The two clients of docs/domain/strength-relations and the reps to failure that a coach would accept for them. Common practice: orders
/// of magnitude of the domain rules, no published source.
/// </summary>
[Trait("source", "common practice (docs/domain/strength-relations)")]
public class TwoClientsTests
{
    /// <summary>Where the body mass is not known either, that is said.</summary>
    [Theory]
    [InlineData(80.0, "strength.level")]
    [InlineData(null, "strength.level-alone")]
    public void What_an_estimate_rests_on_is_said(double? bodyMassKg, string code)
    {
        var client = Examples.ClientA with { KnownLifts = [], Learned = [], BodyMassKg = bodyMassKg };
        new ClientStrength(client, DomainRules.Shipped.Strength).For(Examples.Exercise("bench-press"))!.RestsOn.Code.ShouldBe(code);
    }

    [Theory]
    [InlineData("push-up", "", 18, 32)]
    [InlineData("feet-raised-pike-push-up", "ottoman 50", 3, 8)]
    [InlineData("table-row", "dining-table 74", 12, 28)]
    [InlineData("rear-foot-raised-split-squat", "ottoman 45", 18, 40)]
    [InlineData("rear-foot-raised-split-squat", "ottoman 45;dumbbell 12 x2", 8, 18)]
    [InlineData("rear-foot-raised-split-squat", "ottoman 45;dumbbell 16 x2", 6, 14)]
    [InlineData("free-single-leg-squat", "", 5, 12)]
    [InlineData("dumbbell-floor-press", "dumbbell 20 x2", 15, 25)]
    public void Client_A_gets_what_a_coach_would_expect(string exercise, string kit, double low, double high) =>
        HeaviestHere(Examples.ClientA, exercise, kit).ShouldBeInRange(low, high);

    [Theory]
    [InlineData("push-up", "", 0, 1)]
    [InlineData("knee-push-up", "", 0, 4)]
    [InlineData("hands-raised-push-up", "chair 61", 2, 8)]
    [InlineData("wall-push-up", "", 25, 100)]
    [InlineData("chair-squat", "chair 45", 20, 100)]
    [InlineData("rear-foot-raised-split-squat", "ottoman 45", 5, 14)]
    [InlineData("table-row-knees-bent", "dining-table 74", 3, 10)]
    [InlineData("pull-up", "pull-up-bar", 0, 0.99)]
    public void Client_B_gets_what_a_coach_would_expect(string exercise, string kit, double low, double high) =>
        HeaviestHere(Examples.ClientB, exercise, kit).ShouldBeInRange(low, high);

    /// <summary>Expected reps to failure at the heaviest load of the exercise here.</summary>
    private static double HeaviestHere(ClientProfile client, string id, string kit)
    {
        var bench = new TestBench(client, Examples.Kit(kit.Split(';', StringSplitOptions.RemoveEmptyEntries)));
        return bench.RepsAtHeaviest(Examples.Exercise(id));
    }
}
