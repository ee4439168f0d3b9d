using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Clients.Strength;

/// <summary>What holds of every estimate, whoever it is of.</summary>
[Trait(
    "source",
    "docs/domain/strength-relations; reps at shares of the squat: Shimano et al. 2006, from memory; mass: Jaric 2002, from memory"
)]
public class StrengthPropertyTests
{
    private static readonly StrengthTables Tables = DomainRules.Shipped.Strength;

    private static ClientProfile Man(double mass = 80, Level level = Level.Intermediate, params KnownLift[] lifts) =>
        new()
        {
            Level = level,
            Goal = Goal.Muscle,
            Sex = Sex.Male,
            BodyMassKg = mass,
            StatureCm = 180,
            KnownLifts = [.. lifts],
        };

    private static ClientProfile Woman(double mass = 62, Level level = Level.Beginner, params KnownLift[] lifts) =>
        Man(mass, level, lifts) with
        {
            Sex = Sex.Female,
            StatureCm = 165,
        };

    private static double Reps(ClientProfile client, string exercise, double bodyShare, double load = 0)
    {
        var estimate = new ClientStrength(client, Tables).For(Examples.Exercise(exercise))!;
        return ClientStrength
            .RepsAt(estimate, (bodyShare * client.BodyMassKg!.Value) + load, Examples.Exercise(exercise).Strength!.Curve)
            .Mid;
    }

    /// <summary>Each level is stronger than the one before it, in every exercise of the catalogue, man, woman or unknown.</summary>
    [Fact]
    public void Who_is_further_is_stronger()
    {
        var wrong =
            from exercise in DomainRules.Shipped.Catalogue.All
            where exercise.Strength is not null
            from sex in Enum.GetValues<Sex>()
            from level in Enum.GetValues<Level>().Skip(1)
            let weaker = Estimate(exercise, sex, level - 1)
            let stronger = Estimate(exercise, sex, level)
            where stronger <= weaker
            select $"{exercise.Id}, {sex}: {level - 1} {weaker:0.0} kg, {level} {stronger:0.0} kg";

        wrong.ShouldBeEmpty();

        static double Estimate(Exercise exercise, Sex sex, Level level) =>
            new ClientStrength(Man(level: level) with { Sex = sex }, Tables).For(exercise)!.OneRepMaxKg;
    }

    /// <summary>More load is never more reps, and the maximum that a set shows allows just those reps.</summary>
    [Fact]
    public void Reps_fall_with_the_load_and_come_back_from_the_maximum() =>
        Gen.Select(Gen.Double[10, 200], Gen.Double[0.5, 150], Gen.Double[0, 30], Gen.Enum<CurveKind>())
            .Sample(
                (most, load, more, curve) =>
                {
                    RepMaxCurve.RepsAt(load + more, most, curve).ShouldBeLessThanOrEqualTo(RepMaxCurve.RepsAt(load, most, curve));
                    if (RepMaxCurve.RepsAt(load, most, curve) is > 1 and < RepMaxCurve.MostReps and var reps)
                    {
                        RepMaxCurve.OneRepMax(load, reps, curve).ShouldBe(most, 1e-6);
                    }
                },
                seed: "0000Q7mR2Jd1"
            );

    /// <summary>A stronger lift never makes another lift weaker, and no lift of another region moves one by more than a quarter.</summary>
    [Fact]
    public void Known_lifts_move_their_own_and_others_by_a_quarter_at_most() =>
        Gen.Select(
                Gen.OneOfConst([.. Tables.Anchors]),
                Gen.OneOfConst([.. Tables.Anchors]),
                Gen.Double[1, 300],
                Gen.Double[0, 100],
                Gen.Bool
            )
            .Sample(
                (known, other, kg, more, woman) =>
                {
                    var none = woman ? Woman() : Man();
                    double With(double load) =>
                        new ClientStrength(none with { KnownLifts = [new KnownLift(known.Id, load)] }, Tables)
                            .ForAnchor(other.Id)!
                            .OneRepMaxKg;
                    With(kg + more).ShouldBeGreaterThanOrEqualTo(With(kg) - 1e-9);
                    if (known.Region != other.Region)
                    {
                        var body = other.BodyShare(none.Sex) * none.BodyMassKg!.Value;
                        var external = new ClientStrength(none, Tables).ForAnchor(other.Id)!.OneRepMaxKg - body;
                        ((With(kg) - body) / external).ShouldBeInRange(0.75 - 1e-9, 1.25 + 1e-9);
                    }
                },
                seed: "0000Q7mR2Jd1"
            );

    /// <summary>A woman of 62 kg who presses five kilograms for ten still sits down and stands up: the body is not scaled.</summary>
    [Fact]
    public void A_weak_press_takes_no_squats_away()
    {
        var all = Reps(Woman(), "bodyweight-squat", 0.878);
        foreach (var press in new[] { new KnownLift("overhead-press", 5, 10), new KnownLift("overhead-press", 6) })
        {
            Reps(Woman(lifts: press), "bodyweight-squat", 0.878).ShouldBeInRange(0.6 * all, all);
        }
    }

    /// <summary>A bench of 120 kg says little of pull-ups: some more than the eight or nine of his level.</summary>
    [Fact]
    public void A_strong_bench_makes_no_row_of_pull_ups()
    {
        var without = Reps(Man(), "pull-up", 0.956);
        Reps(Man(lifts: new KnownLift("bench-press", 120)), "pull-up", 0.956).ShouldBeInRange(without, without + 6);
    }

    /// <summary>60 and 80 % of the bar: about thirty and twelve reps (Shimano et al. 2006); on a press stack 33 and 12 (Hoeger et al. 1990: 34 and 15).</summary>
    [Theory]
    [InlineData(0.6, 30, 0.2)]
    [InlineData(0.8, 12, 0.2)]
    public void A_squat_has_the_reps_that_are_published(double share, double reps, double within)
    {
        var strong = Man(lifts: new KnownLift("back-squat", 120));
        Reps(strong, "back-squat", 0.886, share * 120).ShouldBe(reps, within * reps);
    }

    /// <summary>Fat is carried, not lifted with: a novice of 120 kg does fewer push-ups than one of 80, and fewer pull-ups.</summary>
    [Theory]
    [InlineData("push-up", 0.64)]
    [InlineData("pull-up", 0.956)]
    [InlineData("split-squat", 0.665)]
    public void Reps_of_the_body_fall_with_its_mass(string exercise, double share)
    {
        var reps = new double[] { 60, 70, 80, 95, 110, 130 }
            .Select(kg => Reps(Man(kg, Level.Intermediate), exercise, share))
            .ToList();
        reps.Zip(reps.Skip(1)).ShouldAllBe(p => p.Second <= p.First, string.Join(", ", reps.Select(r => r.ToString("0.0", null))));
    }

    /// <summary>The same movement with the same load has the same reps, whatever its name and what carries it.</summary>
    [Theory]
    [InlineData("barbell-hip-thrust", "hip-thrust-from-a-seat")]
    [InlineData("glute-bridge", "weighted-hip-thrust-floor")]
    [InlineData("glute-bridge", "barbell-glute-bridge")]
    [InlineData("deadlift", "sumo-deadlift")]
    public void Curve_and_ratio_belong_to_the_movement(string one, string other) =>
        (Examples.Exercise(one).Strength!).ShouldBe(Examples.Exercise(other).Strength!);
}
