using System.Text.Json;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Foundation.Text;

public class RulesJsonTests
{
    [Fact]
    public void A_whole_plan_survives_writing_and_reading()
    {
        var plan = Examples
            .Rebuild(
                Examples.ClientA,
                Examples.Kit("band-loop", "dining-table", "rucksack", "bottle x4", "chair 45"),
                "Back squat 4x6",
                "Seated cable row 3x10",
                "Cable fly 3x15"
            )
            .Plan;

        var text = JsonSerializer.Serialize(plan, RulesJson.Lenient);
        JsonSerializer.Serialize(JsonSerializer.Deserialize<HomePlan>(text, RulesJson.Lenient), RulesJson.Lenient).ShouldBe(text);
    }

    [Theory]
    [InlineData("""{ "name": "x", "items": [null] }""")]
    [InlineData("""{ "name": null }""")]
    [InlineData("""{ "items": [] }""")]
    [InlineData("""{ "name": "x", "items": [{ "id": "a", "kind": "band-loop", "calibration": [{ "lengthCm": 120 }] }] }""")]
    public void What_must_be_there_is_asked_for(string text) =>
        Should.Throw<JsonException>(() => JsonSerializer.Deserialize<PlaceKit>(text, RulesJson.Lenient));

    [Fact]
    public void Unknown_members_are_refused_in_our_own_files_only()
    {
        const string text = """{ "name": "x", "colour": "green" }""";

        Should.Throw<JsonException>(() => JsonSerializer.Deserialize<PlaceKit>(text, RulesJson.Strict));
        JsonSerializer.Deserialize<PlaceKit>(text, RulesJson.Lenient)!.Name.ShouldBe("x");
    }
}
