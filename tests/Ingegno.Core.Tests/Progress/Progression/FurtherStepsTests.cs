using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>The ways to grow without load after five down and a pause: density, range, technique. Shares of reps as in the table of techniques,
/// worked by hand.</summary>
[Trait("source", "docs/domain/progression, common practice: tempo, pause, density, range, technique; one technique at a time")]
public class FurtherStepsTests
{
    [Fact]
    public void After_seconds_comes_the_longer_range_with_the_reps_back_in_the_zone()
    {
        // (12 + 2) · .85 − 2 = 9.9 reps: enough for 8–12.
        var next = Next(FiveDown(), "push-up", 12);

        (next.Decision, next.Dose.Target).ShouldBe((Decision.TechniqueOn, new SetTarget(8, 12)));
        next.Dose.Techniques.ShouldBe(["slow-eccentric-5", "longer-range"]);
        next.Dose.Instructions.ShouldContain(i => i.Said().Contains("a hand's breadth high"));
        next.Dose.Instructions.ShouldContain(i => i.Said().Contains("must not slip"), "the caution comes with it");
    }

    [Fact]
    public void Then_the_gentlest_technique_that_asks_for_more_takes_the_place_of_the_seconds()
    {
        // Five down leave .65, one-and-a-half .60: (12 + 2) · .60 / .65 − 2 = 10.9 reps.
        var next = Next(FiveDown(), "dumbbell-floor-press", 12);

        (next.Decision, next.Dose.Tempo, next.Dose.Target).ShouldBe((Decision.TechniqueOn, Tempo.Usual, new SetTarget(8, 12)));
        next.Dose.Techniques.ShouldBe(["one-and-a-half"]);
        next.Dose.Instructions.Select(i => i.Said()).ShouldBe(["One full rep and one half rep from the hard end count as one."]);
    }

    [Fact]
    public void No_second_technique_beside_it_and_no_seconds_for_speed()
    {
        var half = FiveDown() with { Techniques = ["one-and-a-half"], Tempo = Tempo.Usual };
        Next(half, "dumbbell-floor-press", 12).Decision.ShouldNotBe(Decision.TechniqueOn);

        var fast = FiveDown() with { Techniques = ["explosive"], Tempo = Tempo.Parse("2-0-X-0") };
        Next(fast, "dumbbell-floor-press", 12).Decision.ShouldNotBe(Decision.TechniqueOn);
    }

    /// <summary>A sheet that says three seconds beside a tempo of five is followed by nobody.</summary>
    [Fact]
    public void Seconds_technique_and_words_change_together()
    {
        var three = FiveDown() with
        {
            Tempo = Tempo.Parse("3-0-1-0"),
            Techniques = ["slow-eccentric-3"],
            Instructions = Manner.Told([Step("slow-eccentric-3")]),
        };
        var five = Next(three, "dumbbell-floor-press", 12).Dose;
        (five.Tempo, five.Techniques.Single()).ShouldBe((Tempo.Parse("5-0-1-0"), "slow-eccentric-5"));
        five.Instructions.Single().Said().ShouldContain("five");
        StraightSets.ShareLeft(five, DomainRules.Shipped).ShouldBe(0.65);

        var paused = Next(five with { Target = new SetTarget(5, 8), Zone = null }, "dumbbell-bench-press", 8).Dose; // 8 reps of 8 s
        paused.Techniques.ShouldBe(["slow-eccentric-5", "pause-2"]);
        StraightSets.ShareLeft(paused, DomainRules.Shipped).ShouldBe(0.65 * 0.85, 1e-9);

        // Ten of twelve, with nothing left: 10 · .80 / .65 = 12.3 at three seconds.
        var eased = Next(five with { Target = new SetTarget(12, 15), Zone = null }, "dumbbell-floor-press", 10, rir: 0).Dose;
        (eased.Tempo, eased.Techniques.Single()).ShouldBe((Tempo.Parse("3-0-1-0"), "slow-eccentric-3"));
        eased.Instructions.Single().Said().ShouldContain("three");
    }

    /// <summary>From one-and-a-half reps nobody goes to thirty quick ones.</summary>
    [Fact]
    public void A_technique_is_not_given_up_for_quick_reps()
    {
        var half = FiveDown() with
        {
            Techniques = ["one-and-a-half"],
            Tempo = Tempo.Usual,
            Target = new SetTarget(14, 16),
            RestSeconds = 60,
        };

        Next(half, "dumbbell-floor-press", 16).Dose.Techniques.ShouldBe(["one-and-a-half"]);
    }

    [Fact]
    public void A_denser_week_keeps_reps_that_are_past_the_zone()
    {
        var past = FiveDown() with { Target = new SetTarget(18, 20), Techniques = ["one-and-a-half"], Tempo = Tempo.Usual };
        var next = Next(past, "dumbbell-floor-press", 20, rir: 3);

        (next.Decision, next.Dose.RestSeconds, next.Dose.Target).ShouldBe((Decision.ShorterRest, 90, new SetTarget(18, 20)));
    }

    [Fact]
    public void Sore_joints_get_no_longer_range()
    {
        var sore = Examples.ClientA with { SoreJoints = [new SoreJoint(Joint.Shoulder, Soreness.Sore)] };
        bool Fits(ClientProfile client) =>
            TechniqueFit
                .Fitting(Examples.Exercise("push-up"), client, DomainRules.Shipped.ApproachOf(null), DomainRules.Shipped.Techniques)
                .Any(t => t.Of == TechniqueName.LongerRange);

        Fits(Examples.ClientA).ShouldBeTrue();
        Fits(sore).ShouldBeFalse();
    }

    [Fact]
    public void Nothing_past_thirty_reps()
    {
        var many = FiveDown() with { Target = new SetTarget(29, 30), Zone = new SetTarget(12, 12), Tempo = Tempo.Parse("1-0-1-0") };

        Next(many, "band-row", 30).Dose.Target.Max.ShouldBeLessThanOrEqualTo(30);
        Next(many with { Target = new SetTarget(28, 29) }, "band-row", 29).Dose.Target.Max.ShouldBeLessThanOrEqualTo(30);
    }

    /// <summary>Twelve reps of six seconds are 72 s: what comes next is another manner, not more of them.</summary>
    [Theory]
    [InlineData("band-row")]
    [InlineData("dumbbell-floor-press")]
    [InlineData("push-up")]
    [InlineData("goblet-squat")]
    [InlineData("table-row")]
    [InlineData("glute-bridge")]
    [Trait("source", "docs/domain/prescription: time under tension, never past 75 s")]
    public void No_step_makes_a_set_longer_than_a_set_may_be(string exercise)
    {
        for (var rir = 2; rir <= 6; rir++)
        {
            foreach (var sets in new[] { 3, 4, 5 })
            {
                var next = Next(FiveDown() with { Sets = sets, Zone = new SetTarget(8, 12) }, exercise, 12, rir).Dose;
                (next.Target.Max * next.Tempo.SecondsPerRep).ShouldBeLessThanOrEqualTo(75, $"{next.Target.InWords} {next.Tempo}");
            }
        }
    }

    private static Technique Step(string id) => DomainRules.Shipped.Techniques.Single(t => t.Id == id);

    private static Dose FiveDown() =>
        new()
        {
            Sets = 4,
            Target = new SetTarget(8, 12),
            Tempo = Tempo.Parse("5-0-1-0"),
            Techniques = ["slow-eccentric-5"],
            Instructions = Manner.Told([Step("slow-eccentric-5")]),
            RestSeconds = 120,
            Rir = 2,
        };

    private static Proposal Next(Dose dose, string exercise, int reps, int rir = 2) =>
        DoubleProgression.Next(
            new LineKey(1),
            new ProgressionContext(
                new HomeExercise
                {
                    ExerciseId = exercise,
                    Name = exercise,
                    SetupId = "x",
                    Setup = "x",
                    ExternalKg = 20,
                    Dose = dose,
                },
                Examples.Exercise(exercise),
                [(new ReachableLoad(20, "20 kg", ["20"]), 20)],
                null,
                null
            )
            {
                Costs = DomainRules.Shipped,
                Techniques = Examples.TechniquesFor(exercise),
                SetSeconds = 75,
            },
            [.. Enumerable.Repeat(new LoggedSet { Reps = reps, Rir = rir }, dose.Sets)]
        );
}
