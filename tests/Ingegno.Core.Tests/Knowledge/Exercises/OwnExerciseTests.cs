using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.PracticeData;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Knowledge.Exercises;

/// <summary>Exercises that a practice adds or changes.</summary>
public class OwnExerciseTests
{
    private static readonly Exercise Own = Examples.Exercise("table-row") with
    {
        Id = "oar-row",
        Name = "Oar row between two chairs",
        Synonyms = [],
        Easier = null,
        Harder = null,
    };

    [Fact]
    public void A_sound_one_has_no_faults() => Faults(Own).ShouldBeEmpty();

    [Fact]
    public void It_is_found_by_name_and_offered_where_its_kit_is()
    {
        var domain = DomainRules.Shipped.With([Own]);
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dining-table 74"),
            GymLines = ["Seated cable row 3x10", "Oar row between two chairs 3x8"],
        };
        var lines = new RebuildEngine(domain).Rebuild(request).Plan.Lines;

        lines[0].Candidates.ShouldContain(c => c.Id == "oar-row");
        lines[1].Gym.ExerciseId.ShouldBe("oar-row");
        var elsewhere = new RebuildEngine(DomainRules.Shipped).Rebuild(request);
        elsewhere.Plan.Lines[1].Gym.ExerciseId.ShouldNotBe("oar-row", "another practice does not know it");
        elsewhere.Rows[1].Certainty.ShouldBe(Certainty.Probable, "and says that it reads it as some row");
    }

    [Fact]
    public void One_with_a_shipped_key_takes_its_place()
    {
        var changed = Examples.Exercise("table-row") with { Skill = 5, Easier = null, Harder = null };
        var domain = DomainRules.Shipped.With([changed]);

        domain.Catalogue.Get("table-row").Skill.ShouldBe(5);
        domain.Catalogue.All.Length.ShouldBe(DomainRules.Shipped.Catalogue.All.Length);
        CatalogueCheck.FaultsOfOwn(changed, domain).ShouldBeEmpty();
    }

    public static TheoryData<string, string> Broken() =>
        new()
        {
            { "key", "key" },
            { "name", "needs a name" },
            { "taken", "already stands for" },
            { "dose", "figures such as 3x8" },
            { "muscle", "between 0 and 1" },
            { "prime", "must be 1" },
            { "skill", "1 to 5" },
            { "familiarity", "1 to 5" },
            { "joint", "1 to 3" },
            { "kit", "unknown kit" },
            { "role", "plays the role" },
            { "setups", "needs a set-up" },
            { "cues", "one to three cues" },
            { "anchor", "anchor lift" },
            { "technique", "technique" },
            { "neighbour", "does not exist" },
            { "figure", "beyond anything" },
            { "venue", "gym, home or both" },
            { "twins", "share a key" },
            { "long", "300 characters" },
        };

    [Theory]
    [MemberData(nameof(Broken))]
    public void What_is_wrong_is_said_in_a_sentence(string what, string says)
    {
        var setup = Own.Setups[0];
        var broken = what switch
        {
            "key" => Own with { Id = "Oar Row!" },
            "name" => Own with { Name = " " },
            "taken" => Own with { Synonyms = ["Bench presses"] },
            "dose" => Own with { Name = "Row 3x8" },
            "muscle" => Own with { Muscles = Own.Muscles.SetItem(Muscle.Lats, 7) },
            "prime" => Own with { Muscles = ImmutableSortedDictionary<Muscle, double>.Empty.Add(Muscle.Lats, 0.4) },
            "skill" => Own with { Skill = 9 },
            "familiarity" => Own with { Familiarity = 0 },
            "joint" => Own with { Joints = Own.Joints.SetItem(Joint.Elbow, 4) },
            "kit" => Own with { Setups = [setup with { Needs = new Requirement { Thing = "hovercraft" } }] },
            "role" => Own with { Setups = [setup with { Text = "From {nothing}" }] },
            "setups" => Own with { Setups = [] },
            "cues" => Own with { Cues = [] },
            "anchor" => Own with { Strength = Own.Strength! with { Anchor = "arm-wrestling" } },
            "technique" => Own with { Techniques = ["magic"] },
            "neighbour" => Own with { Easier = "no-such-row" },
            "figure" => Own with { Setups = [setup with { Load = setup.Load with { BodyShare = 1e12 } }] },
            "venue" => Own with { Venues = [] },
            "twins" => Own with { Setups = [setup, setup] },
            _ => Own with { Cues = [new string('x', 400)] },
        };

        Faults(broken).ShouldContain(f => f.Contains(says), what);
    }

    [Fact]
    public void A_check_or_a_leverage_rests_on_what_a_thing_plays()
    {
        var press = Own with { Setups = [Examples.Exercise("hands-raised-push-up").Setups.First(s => s.Load.Leverage?.Hands is not null)] };
        var row = Own.Setups.First(s => !s.Checks.IsEmpty);

        Faults(press).ShouldNotContain(f => f.Contains("rests on"));
        Faults(press with { Setups = [OnHands(press.Setups[0], "oar")] }).ShouldContain(f => f.Contains("rests on oar"));
        Faults(Own with { Setups = [row with { Checks = [row.Checks[0] with { Role = "gig" }] }] })
            .ShouldContain(f => f.Contains("rests on gig"));
    }

    /// <summary>A thing without a role of its own plays the one of its name; with one it plays that alone.</summary>
    [Fact]
    public void A_thing_plays_its_own_name_where_it_has_no_role()
    {
        Setup Under(string text, string? role) =>
            Own.Setups[0] with
            {
                Text = text,
                Checks = [],
                Needs = new Requirement { Thing = "table", As = role },
            };

        Faults(Own with { Setups = [Under("Under the {table}", null)] }).ShouldNotContain(f => f.Contains("plays the role"));
        Faults(Own with { Setups = [Under("Under the {table}", "post")] }).ShouldContain(f => f.Contains("plays the role {table}"));
        Faults(Own with { Setups = [Under("Under the {post}", "post")] }).ShouldNotContain(f => f.Contains("plays the role"));
    }

    private static Setup OnHands(Setup setup, string role) =>
        setup with
        {
            Load = setup.Load with { Leverage = setup.Load.Leverage! with { Hands = role } },
        };

    private static ImmutableArray<string> Faults(Exercise own) => CatalogueCheck.FaultsOfOwn(own, DomainRules.Shipped.With([own]));
}
