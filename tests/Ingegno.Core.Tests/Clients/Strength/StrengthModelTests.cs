using System.Collections.Immutable;
using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Clients.Strength;

/// <summary>The strength model of docs/domain/progression: precision weighting, fading, families, odd sets.</summary>
public class StrengthModelTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);
    private static readonly Exercise PushUp = Examples.Exercise("push-up");
    private static readonly double Prior = new ClientStrength(Examples.ClientA, DomainRules.Shipped.Strength).For(PushUp)!.OneRepMaxKg;

    [Fact]
    public void Precision_weighting_by_hand()
    {
        // Bench press known: prior spread .15, precision 44.4; one day today with .06: 277.8. Mean of the logarithms by those weights.
        var learned = Own([(0, Prior * 1.1)]);
        var byHand = Prior * Math.Exp(Math.Log(1.1) * 277.78 / (277.78 + 44.44));

        learned.OneRepMaxKg.ShouldBe(byHand, 0.02);
        learned.Spread.ShouldBe(1 / Math.Sqrt(277.78 + 44.44), 0.001);
        learned.RestsOn.Said().ShouldBe("1 logged day of it, the last on 20 Nov 2026");
    }

    [Fact]
    public void Logs_rule_after_a_few_days_and_fade_when_they_are_old()
    {
        Own([(0, Prior * 1.2), (3, Prior * 1.2), (6, Prior * 1.2)]).OneRepMaxKg.ShouldBe(Prior * 1.2, Prior * 0.015);
        Own([(200, Prior * 1.2)]).OneRepMaxKg.ShouldBeLessThan(Prior * 1.02, "seven half-lives leave a hundredth of its weight");
        Own([(2, Prior * 1.2)]).OneRepMaxKg.ShouldBeGreaterThan(Prior * 1.14);
        Own([(200, Prior * 1.2)]).Spread.ShouldBeGreaterThan(Own([(2, Prior * 1.2)]).Spread);
    }

    [Fact]
    public void One_odd_day_does_not_throw_it()
    {
        var usual = Enumerable.Range(1, 6).Select(d => (d * 3, Prior)).ToArray();
        Own([.. usual, (0, Prior * 3)]).OneRepMaxKg.ShouldBeLessThan(Prior * 1.08);
    }

    [Fact]
    public void The_family_follows_and_others_do_not()
    {
        var stronger = Learn([new(Today, "push-up", Prior * 1.3), new(Today.AddDays(-3), "push-up", Prior * 1.3)]);
        var client = Examples.ClientA with { Learned = stronger };
        double Now(string id, ClientProfile c) =>
            new ClientStrength(c, DomainRules.Shipped.Strength).For(Examples.Exercise(id))!.OneRepMaxKg;

        Now("push-up", client).ShouldBeGreaterThan(Prior * 1.25);
        Now("knee-push-up", client)
            .ShouldBeInRange(Now("knee-push-up", Examples.ClientA) * 1.05, Now("knee-push-up", Examples.ClientA) * 1.28);
        Now("bodyweight-squat", client).ShouldBe(Now("bodyweight-squat", Examples.ClientA));
    }

    [Fact]
    public void A_set_with_more_in_reserve_or_under_a_technique_stands_for_more()
    {
        new SetEvidence(50, 10, 2).OneRepMaxKg(CurveKind.Middle).ShouldBe(50 * (1 + (12 / 30.0)));
        new SetEvidence(50, 8, 0, 0.65).RepsToFailure.ShouldBe(12.3, 0.01);
        new SetEvidence(50, 10, 0).OneRepMaxKg(CurveKind.Middle, RepMaxFormula.Find("lombardi")).ShouldBe(62.95, 0.01);
    }

    [Fact]
    public void The_order_of_the_sets_of_a_day_changes_nothing() =>
        Sets.Sample(sets =>
            StrengthObservation.FromSets(Today, PushUp, sets) == StrengthObservation.FromSets(Today, PushUp, sets.Reverse())
        );

    [Fact]
    public void More_in_reserve_never_means_less_strength() =>
        Sets.Sample(sets => sets.All(s => (s with { Rir = s.Rir + 1 }).OneRepMaxKg(CurveKind.Middle) >= s.OneRepMaxKg(CurveKind.Middle)));

    [Fact]
    public void A_better_log_never_lowers_the_estimate() =>
        Gen.Select(Gen.Select(Gen.Int[0, 80], Gen.Double[30, 150]).Array[1, 8], Gen.Int[0, 7], Gen.Double[1, 2])
            .Sample(
                (days, at, better) =>
                {
                    var improved = days.Select((d, i) => i == at % days.Length ? (d.Item1, d.Item2 * better) : d).ToArray();
                    return Own(improved).OneRepMaxKg >= Own(days).OneRepMaxKg - 1e-9;
                }
            );

    [Fact]
    public void A_day_is_worth_its_best_set()
    {
        SetEvidence better = new(60, 10, 1);

        StrengthObservation
            .FromSets(Today, PushUp, [new(60, 6, 3), better, new(40, 8, 0)])!
            .OneRepMaxKg.ShouldBe(better.OneRepMaxKg(PushUp.Strength!.Curve));
    }

    [Fact]
    public void What_says_nothing_of_strength_teaches_nothing()
    {
        StrengthObservation.FromSets(Today, Examples.Exercise("plank"), [new(40, 30, 0)]).ShouldBeNull("a hold is no rep count");
        StrengthObservation.FromSets(Today, PushUp, [new(50, 0, 3), new(0, 10, 1)]).ShouldBeNull();
        Learn([new(Today.AddDays(1), "push-up", 90)]).ShouldBeEmpty("tomorrow is not known yet");
        Learn([new(Today, "gone-exercise", 90)]).ShouldBeEmpty();
    }

    private static readonly Gen<SetEvidence[]> Sets = Gen.Select(Gen.Double[5, 90], Gen.Int[0, 40], Gen.Int[0, 4], Gen.Double[0.4, 1])
        .Select((kg, reps, rir, share) => new SetEvidence(kg, reps, rir, share))
        .Array[1, 6];

    private static ImmutableArray<LearnedLift> Learn(IEnumerable<StrengthObservation> seen) =>
        new StrengthModel(Examples.ClientA, DomainRules.Shipped.Strength).Learn(seen, DomainRules.Shipped.Catalogue.Find, Today);

    private static LearnedLift Own((int DaysAgo, double Kg)[] days) =>
        Learn(days.Select(d => new StrengthObservation(Today.AddDays(-d.DaysAgo), "push-up", d.Kg))).Single(l => l.ExerciseId == "push-up");
}
