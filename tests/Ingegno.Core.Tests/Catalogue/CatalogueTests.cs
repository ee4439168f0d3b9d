using Ingegno.Core.Catalogue;
using NJsonSchema;

namespace Ingegno.Core.Tests.Catalogue;

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
        var trade = Trade.Shipped;

        CatalogueCheck.Faults(trade.Catalogue, trade.KitKinds, trade.Strength, [.. trade.Techniques.Select(t => t.Of).Distinct()])
            .ShouldBeEmpty();
    }

    [Fact]
    public void A_broken_reference_is_found()
    {
        var trade = Trade.Shipped;
        var broken = trade.Catalogue.All.Select(e => e.Id == "table-row" ? e with { Harder = "no-such-row" } : e);

        CatalogueCheck.Faults(new ExerciseCatalogue(broken), trade.KitKinds, trade.Strength, ["slow-eccentric", "pause", "one-and-a-half"])
            .ShouldContain("table-row: its neighbour no-such-row does not exist");
    }

    [Fact]
    public void It_starts_with_at_least_thirty_gym_and_fifty_home_exercises()
    {
        var all = Trade.Shipped.Catalogue.All;

        all.Count(e => !e.AtHome).ShouldBeGreaterThanOrEqualTo(30);
        all.Count(e => e.AtHome).ShouldBeGreaterThanOrEqualTo(50);
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
    public void Main_patterns_have_a_choice_for_beginners_with_floor_and_wall_only(MovementPattern pattern) =>
        Trade.Shipped.Catalogue.AtHome
            .Any(e => e.Pattern == pattern && e.Skill <= 2 && e.Setups.Any(NeedsNothing))
            .ShouldBeTrue($"{pattern} has no choice without kit");

    private static bool NeedsNothing(Setup setup) =>
        setup is { Needs: null, Load.Band: null } && setup.Load.External is not { Required: true };
}
