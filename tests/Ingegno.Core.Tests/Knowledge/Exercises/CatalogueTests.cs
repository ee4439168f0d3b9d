using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.PracticeData;
using Ingegno.Core.Tests.Support;
using NJsonSchema;

namespace Ingegno.Core.Tests.Knowledge.Exercises;

public class CatalogueTests
{
    private static readonly string Folder = RepositoryFolder.Path("data", "catalogue");

    public static TheoryData<string> Files() =>
        [.. Directory.GetFiles(Folder, "*.json").Where(f => !f.EndsWith(".schema.json")).Select(f => Path.GetFileName(f))];

    [Theory]
    [MemberData(nameof(Files))]
    public async Task Every_file_keeps_to_the_schema(string file)
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Folder, "exercise.schema.json"));

        var faults = schema.Validate(await File.ReadAllTextAsync(Path.Combine(Folder, file)));

        faults.Select(f => $"{f.Path}: {f.Kind}").ShouldBeEmpty();
    }

    [Fact]
    public async Task The_schema_refuses_what_it_should()
    {
        var schema = await JsonSchema.FromFileAsync(Path.Combine(Folder, "exercise.schema.json"));

        schema.Validate("""[{ "id": "Not A Key", "name": "x" }]""").ShouldNotBeEmpty();
    }

    [Fact]
    public void References_lead_somewhere_and_neighbours_know_each_other()
    {
        var domain = DomainRules.Shipped;

        CatalogueCheck
            .Faults(domain.Catalogue, domain.KitKinds, domain.Strength, [.. domain.Techniques.Select(t => t.Of).Distinct()])
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_broken_reference_is_found()
    {
        var domain = DomainRules.Shipped;
        var broken = domain.Catalogue.All.Select(e => e.Id == "table-row" ? e with { Harder = "no-such-row" } : e);

        CatalogueCheck
            .Faults(new ExerciseCatalogue(broken), domain.KitKinds, domain.Strength, ["slow-eccentric", "pause", "one-and-a-half"])
            .ShouldContain("table-row: its neighbour no-such-row does not exist");
    }

    /// <summary>A neighbour points back, and is a rung further in the same family: both ways of each.</summary>
    [Theory]
    [InlineData("easier", 0, null, "does not point back")]
    [InlineData("harder", 0, null, "does not point back")]
    [InlineData(null, -5, null, "is not the next rung of the same family")]
    [InlineData(null, 5, null, "is not the next rung of the same family")]
    [InlineData(null, 0, "another", "is not the next rung of the same family")]
    public void A_neighbour_that_does_not_fit_is_found(string? cut, int rungs, string? family, string fault)
    {
        var domain = DomainRules.Shipped;
        var middle = domain.Catalogue.All.First(e => e is { AtHome: true, Easier: not null, Harder: not null });
        var changed = domain.Catalogue.All.Select(e =>
            e.Id != middle.Id ? e
            : cut == "easier" ? e with { Easier = null }
            : cut == "harder" ? e with { Harder = null }
            : e with { Rung = e.Rung + rungs, Family = family ?? e.Family }
        );

        var faults = CatalogueCheck.Faults(
            new ExerciseCatalogue(changed),
            domain.KitKinds,
            domain.Strength,
            [.. domain.Techniques.Select(t => t.Of).Distinct()]
        );

        faults.ShouldNotBeEmpty();
        faults.ShouldContain(f => f.EndsWith(fault, StringComparison.Ordinal));
        faults.ShouldAllBe(f => f.Contains(middle.Id, StringComparison.Ordinal) || f.Contains("neighbour", StringComparison.Ordinal));
    }

    [Fact]
    [Trait("source", "docs/domain/substitution: at least 90 gym exercises and 230 home ones, about 320 in all")]
    public void It_has_the_size_that_a_coach_needs()
    {
        var all = DomainRules.Shipped.Catalogue.All;

        all.Count(e => e.Venues.Contains(Venue.Gym)).ShouldBeGreaterThanOrEqualTo(90);
        all.Count(e => e.AtHome).ShouldBeGreaterThanOrEqualTo(230);
        all.Length.ShouldBeGreaterThanOrEqualTo(320);
    }

    [Fact]
    public void Families_run_from_easy_to_hard_without_two_on_one_rung()
    {
        foreach (var family in DomainRules.Shipped.Catalogue.All.GroupBy(e => e.Family))
        {
            family.Select(e => e.Rung).ShouldBeUnique(family.Key);
            var home = family.Where(e => e.AtHome).OrderBy(e => e.Rung).ToList();
            home.Zip(home.Skip(1)).ShouldAllBe(p => p.First.Harder == p.Second.Id && p.Second.Easier == p.First.Id);
        }
    }

    [Fact]
    public void Every_home_exercise_says_how_to_do_it()
    {
        foreach (var exercise in DomainRules.Shipped.Catalogue.AtHome)
        {
            exercise.Cues.Length.ShouldBeInRange(1, 3, exercise.Id);
            exercise.Cues.ShouldBeUnique(exercise.Id);
            exercise.Setups.Select(s => s.Id).ShouldBeUnique(exercise.Id);
            exercise.Muscles.Count.ShouldBeGreaterThan(0, exercise.Id);
        }
    }

    /// <summary>Above skill 2 or below familiarity 3 cues are not enough for somebody who has never seen it: one sentence says the movement.</summary>
    /// <summary>A client who is to carry something reads it in the set-up.</summary>
    [Fact]
    public void A_set_up_that_can_be_loaded_says_its_load() =>
        DomainRules
            .Shipped.Catalogue.AtHome.SelectMany(e => e.Setups.Select(s => (e.Id, s.Text, s.Load)))
            .Where(s => (s.Load.External is not null || s.Load.Band is not null) && !s.Text.Contains("{load}", StringComparison.Ordinal))
            .Select(s => $"{s.Id}: {s.Text}")
            .ShouldBeEmpty();

    [Fact]
    public void What_is_hard_or_hardly_known_explains_itself_in_one_sentence()
    {
        foreach (var exercise in DomainRules.Shipped.Catalogue.AtHome.Where(e => e.Skill > 2 || e.Familiarity < 3))
        {
            var how = exercise.How.ShouldNotBeNull(exercise.Id);
            how.Length.ShouldBeInRange(40, 200, exercise.Id);
            how.ShouldEndWith(".", Case.Sensitive, exercise.Id);
            exercise.Cues.ShouldNotContain(how, exercise.Id);
        }
    }

    /// <summary>docs/domain/substitution: choices for band only, one dumbbell, rucksack, furniture, where anatomy allows it.</summary>
    [Theory]
    [InlineData(
        "band-loop",
        "squat hinge horizontal-push vertical-push horizontal-pull elbow-flexion elbow-extension lateral-raise rear-shoulder"
    )]
    [InlineData(
        "dumbbell 10",
        "squat hinge lunge horizontal-push vertical-push horizontal-pull vertical-pull elbow-flexion elbow-extension lateral-raise"
    )]
    [InlineData(
        "rucksack;book x8",
        "squat hinge lunge horizontal-push vertical-push horizontal-pull vertical-pull elbow-flexion elbow-extension hip-extension"
    )]
    [InlineData(
        "chair x2;dining-table;sofa",
        "squat lunge horizontal-push vertical-push horizontal-pull knee-flexion hip-extension elbow-extension"
    )]
    public void Each_usual_kit_has_a_choice_of_its_own_per_pattern(string kit, string patterns)
    {
        var here = new TestBench(Examples.ClientA, Examples.Kit(kit.Split(';')));
        foreach (var pattern in patterns.Split(' '))
        {
            DomainRules
                .Shipped.Catalogue.AtHome.Any(e =>
                    Words.Of(e.Pattern).Replace(' ', '-') == pattern
                    && e.Setups.Any(s => here.Kit.Meets(s.Needs).Possible && !NeedsNothing(s) && here.CanLoad(e, s))
                )
                .ShouldBeTrue($"{kit}: nothing for {pattern}");
        }
    }

    [Theory]
    [InlineData(MovementPattern.Squat)]
    [InlineData(MovementPattern.Hinge)]
    [InlineData(MovementPattern.Lunge)]
    [InlineData(MovementPattern.HorizontalPush)]
    [InlineData(MovementPattern.VerticalPush)]
    [InlineData(MovementPattern.HorizontalPull)]
    [InlineData(MovementPattern.VerticalPull)]
    [InlineData(MovementPattern.ElbowFlexion)]
    [InlineData(MovementPattern.ElbowExtension)]
    [InlineData(MovementPattern.LateralRaise)]
    [InlineData(MovementPattern.RearShoulder)]
    [InlineData(MovementPattern.KneeFlexion)]
    [InlineData(MovementPattern.HipExtension)]
    [InlineData(MovementPattern.HipAbduction)]
    [InlineData(MovementPattern.HipAdduction)]
    [InlineData(MovementPattern.KneeExtension)]
    [InlineData(MovementPattern.PlantarFlexion)]
    [InlineData(MovementPattern.DorsiFlexion)]
    [InlineData(MovementPattern.TrunkFlexion)]
    [InlineData(MovementPattern.TrunkExtension)]
    [InlineData(MovementPattern.Rotation)]
    [InlineData(MovementPattern.AntiExtension)]
    [InlineData(MovementPattern.AntiRotation)]
    [InlineData(MovementPattern.LateralFlexion)]
    [InlineData(MovementPattern.ScapularControl)]
    [InlineData(MovementPattern.Crawl)]
    [InlineData(MovementPattern.Fly)]
    [InlineData(MovementPattern.Jump)]
    [InlineData(MovementPattern.Mobility)]
    [InlineData(MovementPattern.Breathing)]
    public void Main_patterns_have_a_choice_for_beginners_with_floor_and_wall_only(MovementPattern pattern) =>
        DomainRules
            .Shipped.Catalogue.AtHome.Any(e => e.Pattern == pattern && e.Skill <= 2 && e.Setups.Any(NeedsNothing))
            .ShouldBeTrue($"{pattern} has no choice without kit");

    private static bool NeedsNothing(Setup setup) =>
        setup is { Needs: null, Load.Band: null } && setup.Load.External is not { Required: true };
}
