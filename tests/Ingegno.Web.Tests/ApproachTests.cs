using System.Net;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Web.Tests;

/// <summary>Approaches of a practice and doses typed into a cell, over HTTP.</summary>
public class ApproachTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task A_copy_of_an_approach_is_kept_followed_changed_and_removed()
    {
        var browser = await server.SignedIn();
        var made = await browser.Make("/api/v1/own-approaches", Copy("slow-boat", "Slow boat", restSeconds: 200));
        var path = $"/api/v1/own-approaches/{made.GetProperty("id").GetInt64()}";

        (await Keys(browser)).ShouldContain("slow-boat");
        (await RestUnder(browser, "slow-boat")).ShouldBe(200);
        (await browser.Put(path, new { revision = 1, value = Copy("slow-boat", "Slow boat", restSeconds: 150) })).StatusCode.ShouldBe(
            HttpStatusCode.OK
        );
        (await RestUnder(browser, "slow-boat")).ShouldBe(150);
        await browser.Put(path, new { revision = 1, value = Copy("slow-boat", "Slow boat", 60) }).Problem(409, "conflict");
        await browser.Put(path, new { revision = 2, value = Copy("other-boat", "Slow boat", 60) }).Problem(400, "validation");

        (await browser.Delete(path)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Keys(browser)).ShouldNotContain("slow-boat");
        await browser.Delete(path).Problem(404, "not-found");
    }

    [Fact]
    public async Task What_is_wrong_with_an_approach_is_said()
    {
        var browser = await server.SignedIn();
        var wrong = Copy("wrong-boat", "", 200);
        wrong["rir"] = 90;
        var errors = (await browser.Post("/api/v1/own-approaches", wrong).Problem(400, "validation"))
            .GetProperty("errors")
            .GetProperty("approach");

        errors.EnumerateArray().Count().ShouldBe(2);
        (await browser.Post("/api/v1/own-approaches", Copy("mirror", "Mirror", 60)).Problem(400, "validation"))
            .GetProperty("detail")
            .GetString()!
            .ShouldContain("already");
        await browser.Post("/api/v1/own-approaches", new { id = "bare" }).Problem(400, "json");
    }

    [Theory]
    [InlineData("4x8-12 @ 16 kg 3-1-1-0 90 s RIR 1", 4, 12, 90)]
    [InlineData("10", null, 10, null)]
    [InlineData("2 min", null, null, 120)]
    public async Task A_dose_is_read_whole_or_in_part(string text, int? sets, int? most, int? rest)
    {
        var browser = await server.SignedIn();
        var edit = (
            await browser.Make(
                "/api/v1/shorthand/dose",
                new
                {
                    text,
                    line = 2,
                    exerciseId = "push-up",
                }
            )
        ).GetProperty("edit");

        Number(edit, "sets").ShouldBe(sets);
        (
            edit.TryGetProperty("target", out var target) && target.ValueKind == JsonValueKind.Object
                ? target.GetProperty("max").GetInt32()
                : (int?)null
        ).ShouldBe(most);
        Number(edit, "restSeconds").ShouldBe(rest);
    }

    [Fact]
    public async Task A_dose_that_cannot_be_read_says_how_one_looks()
    {
        var browser = await server.SignedIn();
        var read = await browser.Make(
            "/api/v1/shorthand/dose",
            new
            {
                text = "a lot",
                line = 2,
                exerciseId = "push-up",
            }
        );

        read.GetProperty("error").GetString()!.ShouldContain("4x8-12");
        await browser
            .Post(
                "/api/v1/shorthand/dose",
                new
                {
                    text = "3x8",
                    line = 2,
                    exerciseId = "moon-walk",
                }
            )
            .Problem(404, "not-found");
    }

    private static int? Number(JsonElement of, string name) =>
        of.TryGetProperty(name, out var value) && value.ValueKind == JsonValueKind.Number ? value.GetInt32() : null;

    private static JsonObject Copy(string id, string name, int restSeconds)
    {
        var copy = JsonNode.Parse(JsonSerializer.Serialize(DomainRules.Shipped.ApproachOf("tension"), TestServer.Json))!.AsObject();
        copy["id"] = id;
        copy["name"] = name;
        copy["rest"] = new JsonObject { ["min"] = restSeconds, ["max"] = restSeconds };
        return copy;
    }

    private static async Task<IEnumerable<string?>> Keys(Browser browser) =>
        (await browser.Read("/api/v1/approaches")).EnumerateArray().Select(a => a.GetProperty("id").GetString());

    private static async Task<int> RestUnder(Browser browser, string approach)
    {
        var request = new
        {
            client = new
            {
                level = "intermediate",
                goal = "muscle",
                approach,
            },
            kit = new { name = "Home", items = Array.Empty<object>() },
            gymLines = new[] { "Push-up 3x10 60 s" },
        };
        var plan = (await browser.Make("/api/v1/rebuild", request)).GetProperty("plan");
        return plan.GetProperty("lines")[0]
            .GetProperty("chosen")
            .GetProperty("exercises")[0]
            .GetProperty("dose")
            .GetProperty("restSeconds")
            .GetInt32();
    }
}
