using CsCheck;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Tests.Support;
using Ingegno.Language;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>Rest-pause, drops, what rests cost, and what a tempo costs, with worked examples by hand.</summary>
public class SetSchemeTests
{
    [Fact]
    [Trait("source", "common practice, docs/domain/check-values: rest-pause with 20 in the first set ends when 20 more are done")]
    public void Rest_pause_ends_when_as_many_again_are_done()
    {
        RestPause.MiniSets(20).Sum().ShouldBe(20);
        RestPause.MiniSets(20)[0].ShouldBe(7);
        Gen.Int[1, 60].Sample(first => RestPause.MiniSets(first).Sum() == first && RestPause.MiniSets(first).All(m => m > 0));
    }

    [Fact]
    [Trait("source", "common practice, docs/domain/check-values: 3-3-3 of 8 reps is 72 s under tension")]
    public void Threes_of_eight_reps_are_72_seconds_under_tension()
    {
        var tempo = Step("even-count-3").ApplyTo(Tempo.Usual, Core.Knowledge.Exercises.Profile.Stretched);
        var dose = new Dose
        {
            Sets = 3,
            Target = new SetTarget(8, 8),
            Tempo = tempo,
            RestSeconds = 90,
            Rir = 2,
        };

        dose.Tempo.ToString().ShouldBe("3-3-3-0");
        dose.SecondsUnderTension.ShouldBe(72);
        Step("even-count-3").RepsLeft.ShouldBe(0.80 * 0.75, 1e-9, "tempo times hold");
    }

    [Theory]
    [InlineData("2-0-1-0", 1)]
    [InlineData("3-0-1-0", 0.80)]
    [InlineData("5-0-1-0", 0.65)]
    [InlineData("8-0-1-0", 0.50)]
    [InlineData("10-0-1-0", 0.50)]
    [InlineData("4-0-1-0", 0.725)]
    [InlineData("2-2-1-0", 0.85)]
    [InlineData("2-0-1-3", 0.75)]
    [InlineData("5-5-1-0", 0.4225)]
    [Trait("source", "docs/domain/prescription: intensity techniques")]
    public void A_tempo_leaves_its_share_of_the_reps(string tempo, double share)
    {
        Tempo.TryParse(tempo, out var read).ShouldBeTrue();
        DomainRules.Shipped.TempoCost.Of(read).ShouldBe(share, 1e-9);
    }

    [Theory]
    [InlineData(38, 0.65)]
    [InlineData(75, 0.80)]
    [InlineData(180, 0.90)]
    [Trait("source", "docs/domain/prescription: short rests leave the next set .6–.7 at 30–45 s, .8 at 60–90 s, .9 at 3 min")]
    public void A_rest_leaves_its_share_of_the_next_set(int rest, double share)
    {
        DomainRules.Shipped.Fatigue.ShareAfter(rest).ShouldBe(share, 1e-9);
        DomainRules.Shipped.Fatigue.BySet(20, 2, rest, rir: 0)[1].ShouldBe(20 * share, 1e-9);
    }

    [Fact]
    public void A_longer_rest_or_more_in_reserve_never_leaves_fewer_reps() =>
        Gen.Select(Gen.Int[10, 400], Gen.Int[0, 200], Gen.Int[0, 4])
            .Sample(
                (rest, more, rir) =>
                {
                    var fatigue = DomainRules.Shipped.Fatigue;
                    return fatigue.BySet(15, 4, rest + more, rir)[3] >= fatigue.BySet(15, 4, rest, rir)[3] - 1e-9
                        && fatigue.BySet(15, 4, rest, rir + 1)[3] >= fatigue.BySet(15, 4, rest, rir)[3] - 1e-9;
                }
            );

    [Theory]
    [InlineData("rest-pause", "table-row", LineRole.Accessory, Level.Novice, 18, true)]
    [InlineData("rest-pause", "table-row", LineRole.Main, Level.Novice, 18, false)]
    [InlineData("rest-pause", "table-row", LineRole.Accessory, Level.Novice, 9, false)]
    [InlineData("rest-pause", "table-row", LineRole.Accessory, Level.Beginner, 18, false)]
    [InlineData("drop", "dumbbell-curl", LineRole.Accessory, Level.Novice, 10, true)]
    [InlineData("drop", "dumbbell-curl", LineRole.Accessory, Level.Beginner, 10, false)]
    [InlineData("mechanical-drop", "push-up", LineRole.Secondary, Level.Novice, 10, true)]
    [InlineData("mechanical-drop", "push-up", LineRole.Main, Level.Novice, 10, false)]
    [Trait("source", "docs/domain/prescription: for whom each technique fits")]
    public void A_scheme_has_its_client_and_one_for_whom_it_is_not(
        string of,
        string exercise,
        LineRole role,
        Level level,
        double reps,
        bool taken
    )
    {
        var line = new ShorthandParser(DomainRules.Shipped.Names).Parse("Push-up 3x12").Lines[0];
        var question = new SetSchemeQuestion(line, role, Examples.Exercise(exercise), Fit(line.Target, Examples.Exercise(exercise), reps));
        var scheme = SetSchemeChoice.For(
            question,
            Examples.ClientA with
            {
                Level = level,
            },
            DomainRules.Shipped.ApproachOf("density"),
            DomainRules.Shipped.Techniques
        );

        (scheme?.Of == of).ShouldBe(taken, scheme?.Id);
        SetSchemeChoice
            .For(
                question,
                Examples.ClientA with
                {
                    Level = level,
                },
                DomainRules.Shipped.ApproachOf("mirror"),
                DomainRules.Shipped.Techniques
            )
            .ShouldBeNull();
        SetSchemeChoice
            .For(
                question,
                Examples.ClientA with
                {
                    Level = level,
                    Goal = Goal.Strength,
                },
                DomainRules.Shipped.ApproachOf("density"),
                DomainRules.Shipped.Techniques
            )
            .ShouldBeNull();
    }

    [Fact]
    public void A_rest_pause_set_stands_for_three_and_says_when_it_ends()
    {
        var straight = new Dose
        {
            Sets = 3,
            Target = new SetTarget(12, 15),
            Tempo = Tempo.Parse("2-0-1-0"),
            RestSeconds = 90,
            Rir = 2,
        };
        var dose = SetSchemeChoice.Apply(straight, Step("rest-pause"), Fit(straight.Target, Examples.Exercise("table-row"), 21.4));

        (dose.Sets, dose.Target.Max, dose.HardSets).ShouldBe((1, 20, 3));
        dose.Figures.ShouldBe("1x20 + 20 in small sets");
        dose.Instructions.ShouldContain(i => i.Said().Contains("until 20 more are done"));
        dose.WorkSeconds().ShouldBe((40 * 3) + (20 * RestPause.MiniSets(20).Length));
    }

    [Theory]
    [InlineData("even-count-3", "bodyweight-squat", Level.Novice, true)]
    [InlineData("even-count-3", "bodyweight-squat", Level.Beginner, false)]
    [InlineData("even-count-3", "push-up", Level.Advanced, false)]
    [InlineData("longer-range", "push-up", Level.Novice, true)]
    [InlineData("longer-range", "push-up", Level.Beginner, false)]
    [InlineData("longer-range", "dumbbell-curl", Level.Advanced, false)]
    [InlineData("longer-range", "dumbbell-floor-press", Level.Advanced, false)]
    [InlineData("longer-range", "hands-raised-push-up", Level.Advanced, false)]
    [InlineData("pre-exhaust", "push-up", Level.Intermediate, true)]
    [InlineData("pre-exhaust", "push-up", Level.Novice, false)]
    public void Further_techniques_have_their_limits(string technique, string exercise, Level level, bool fits) =>
        Step(technique).Fits(Examples.Exercise(exercise), Examples.ClientA with { Level = level }).ShouldBe(fits);

    [Fact]
    public void Tension_takes_even_counts_and_full_range_the_longer_range()
    {
        Choose("tension", "bodyweight-squat", Level.Novice).ShouldContain("even-count-3");
        Choose("full-range", "push-up", Level.Novice, 13).ShouldContain("longer-range");
        Choose("milestones", "bodyweight-squat", Level.Novice).ShouldBeEmpty();
    }

    private static string[] Choose(string approach, string exercise, Level level, double reps = 19) =>
        [.. ChosenTechniques.For(exercise, Examples.ClientA with { Level = level }, approach, reps, 8, 12).Select(t => t.Id)];

    private static SchemeFit Fit(SetTarget planned, Exercise home, double? reps, double secondsPerRep = 3) =>
        new(
            planned,
            reps,
            Rir: 2,
            home.Structure == ExerciseStructure.Compound,
            secondsPerRep,
            home.Sides == Sides.Unilateral,
            "4 kg",
            "Push-up on the knees"
        );

    private static Technique Step(string id) => DomainRules.Shipped.Techniques.Single(t => t.Id == id);

    /// <summary>Small sets that are said add up to the first part that was typed, not to the one of before.</summary>
    [Fact]
    public void Small_sets_are_said_as_the_typed_figures_have_them()
    {
        var rests = DomainRules.Shipped.Techniques.First(t => t.Scheme is RestPause);
        var dose = new Dose
        {
            Sets = 3,
            Target = new SetTarget(12, 15),
            Tempo = Tempo.Usual,
            RestSeconds = 60,
            Rir = 1,
        };
        var typed = SetSchemeChoice.Apply(dose, rests, Fit(dose.Target, Examples.Exercise("table-row"), 20)) with
        {
            Target = new SetTarget(29, 29),
        };

        var said = Phrasebook.English.Say(SetSchemeChoice.SaidAnew(typed).Instructions.Single());
        said.ShouldContain("After 29:");
        said.ShouldContain("until 29 more are done");
        SetSchemeChoice.SaidAnew(dose).ShouldBe(dose);
    }
}
