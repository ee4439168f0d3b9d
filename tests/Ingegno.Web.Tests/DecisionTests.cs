using System.Text.Json;
using System.Text.Json.Nodes;

namespace Ingegno.Web.Tests;

/// <summary>Deciding over HTTP: the same verb for workbench and review.</summary>
public sealed class DecisionTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly object Request = new
    {
        client = new
        {
            level = "intermediate",
            goal = "muscle",
            sex = "male",
            bodyMassKg = 80,
            statureCm = 180,
        },
        kit = new
        {
            name = "Home",
            items = new object[]
            {
                new
                {
                    id = "db",
                    kind = "dumbbell",
                    massKg = 12,
                    count = 2,
                },
                new
                {
                    id = "chair",
                    kind = "chair",
                    heightCm = 46,
                },
            },
        },
        gymLines = new[] { "Bench press 3x8", "Barbell row 3x8" },
    };

    [Fact]
    public async Task A_choice_is_kept_when_a_line_is_put_above_it()
    {
        var browser = await server.SignedIn();
        var first = await browser.Make("/api/v1/rebuild", Request);
        var line = first.GetProperty("plan").GetProperty("lines")[1];
        var other = line.GetProperty("candidates")
            .EnumerateArray()
            .Select(c => c.GetProperty("id").GetString())
            .First(id => id != line.GetProperty("chosen").GetProperty("id").GetString());

        var decided = await Decide(
            browser,
            first,
            new
            {
                kind = "choose-candidate",
                line = line.GetProperty("gym").GetProperty("key").GetInt32(),
                candidateId = other,
            }
        );
        var request = JsonNode.Parse(decided.GetProperty("request").GetRawText())!.AsObject();
        request["gymLines"] = new JsonArray("Back squat 3x5", string.Empty, "Bench press 3x8", "Barbell row 3x8");
        var later = await browser.Make("/api/v1/rebuild", request);

        var locked = later.GetProperty("plan").GetProperty("lines").EnumerateArray().Single(l => l.GetProperty("locked").GetBoolean());
        (locked.GetProperty("gymExerciseName").GetString(), locked.GetProperty("chosen").GetProperty("id").GetString()).ShouldBe(
            ("Barbell row", other)
        );
    }

    [Fact]
    public async Task Members_of_a_decision_may_stand_in_any_order()
    {
        var browser = await server.SignedIn();
        var first = await browser.Make("/api/v1/rebuild", Request);

        (await Decide(browser, first, new { on = false, kind = "fit-to-minutes" }))
            .GetProperty("request")
            .GetProperty("fitToMinutes")
            .GetBoolean()
            .ShouldBeFalse();
    }

    [Fact]
    public async Task A_decision_about_a_line_that_the_week_never_had_names_the_lines_there_are()
    {
        var browser = await server.SignedIn();
        var body = new
        {
            request = Request,
            standing = Array.Empty<object>(),
            decisions = new[]
            {
                new
                {
                    kind = "choose-candidate",
                    line = 7,
                    candidateId = "push-up",
                },
            },
        };

        var problem = await browser.Post("/api/v1/decisions", body).Problem(400, "validation");

        problem.GetProperty("detail").GetString().ShouldBe("The week has no line 7. It has: 1 (Bench press 3x8), 2 (Barbell row 3x8).");
    }

    [Fact]
    public async Task A_tempo_that_is_none_is_answered_in_a_coach_s_words()
    {
        var browser = await server.SignedIn();
        var body = new
        {
            request = Request,
            standing = Array.Empty<object>(),
            decisions = new[]
            {
                new
                {
                    kind = "set-figures",
                    edits = new[]
                    {
                        new
                        {
                            line = 1,
                            exerciseId = "push-up",
                            tempo = "slow",
                        },
                    },
                },
            },
        };

        var problem = await browser.Post("/api/v1/decisions", body).Problem(400, "validation");

        problem.GetProperty("detail").GetString().ShouldBe("A tempo has four figures, as in 3-1-1-0.");
        problem.GetProperty("errors").EnumerateObject().Single().Name.ShouldEndWith("tempo");
    }

    [Theory]
    [InlineData("{}", "json")]
    [InlineData("""{ "kind": "choose-candidate", "line": 1 }""", "json")]
    [InlineData("""{ "kind": "choose-candidate", "line": "one", "candidateId": "dip" }""", "json")]
    [InlineData("""{ "kind": "make-it-so" }""", "json")]
    [InlineData("null", "json")]
    [InlineData("""{ "kind": "set-figures", "edits": [{ "line": 1, "exerciseId": "push-up", "sets": 900 }] }""", "validation")]
    [InlineData("""{ "kind": "set-figures", "edits": [{ "line": 1, "exerciseId": "push-up", "tempo": "slow" }] }""", "validation")]
    [InlineData("""{ "kind": "repeat-figures", "figures": null, "lines": [1] }""", "json")]
    public async Task What_is_no_decision_is_refused_in_plain_words(string decision, string code)
    {
        var browser = await server.SignedIn();
        var body = new JsonObject
        {
            ["request"] = JsonSerializer.SerializeToNode(Request, TestServer.Json),
            ["standing"] = new JsonArray(),
            ["decisions"] = new JsonArray(JsonNode.Parse(decision)),
        };

        var answer = await browser.Post("/api/v1/decisions", body);

        ((int)answer.StatusCode).ShouldBe(400, decision);
        var problem = JsonSerializer.Deserialize<JsonElement>(await answer.Content.ReadAsStringAsync());
        problem.GetProperty("code").GetString().ShouldBe(code, problem.GetRawText());
    }

    [Fact]
    public async Task A_request_without_a_body_is_answered_in_our_words()
    {
        var browser = await server.SignedIn();

        var answer = await browser.Post("/api/v1/decisions", null!);

        ((int)answer.StatusCode).ShouldBe(400);
        var told = await answer.Content.ReadAsStringAsync();
        told.ShouldContain("Its body is missing");
        told.ShouldNotContain("parameter");
    }

    private static Task<JsonElement> Decide(Browser browser, JsonElement rebuilt, params object[] decisions) =>
        browser.Make(
            "/api/v1/decisions",
            new
            {
                request = Request,
                standing = rebuilt.GetProperty("plan").GetProperty("standing"),
                decisions,
            }
        );
}
