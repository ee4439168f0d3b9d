using System.Net;
using System.Net.Http.Json;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>The coach's day over HTTP, on one server with demo data; every test makes its own client.</summary>
public sealed class CoachsDayTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly object Profile = new
    {
        level = "intermediate",
        goal = "muscle",
        sex = "male",
        bodyMassKg = 80,
        statureCm = 180,
    };

    [Fact]
    public async Task The_demo_club_has_eight_members_all_different()
    {
        var browser = await server.SignedIn();
        var rows = (await browser.Read("/api/v1/clients"))
            .EnumerateArray()
            .Where(r => r.GetProperty("client").TryGetProperty("profile", out _))
            .ToList();

        rows.Count.ShouldBeGreaterThanOrEqualTo(8);
        rows.Select(r => r.GetProperty("client").GetProperty("name").GetString()).ShouldBeUnique();
    }

    [Fact]
    public async Task Rebuild_save_log_and_next_session_hang_together()
    {
        var browser = await server.SignedIn();
        var client = await NewClient(browser);
        var request = Request("Bench press 3x8", "Nonsense 3x8");

        var rebuilt = await browser.Make("/api/v1/rebuild", request);
        rebuilt.GetProperty("errors").GetArrayLength().ShouldBe(1);
        var line = rebuilt.GetProperty("plan").GetProperty("lines")[0];
        line.GetProperty("candidates").GetArrayLength().ShouldBeGreaterThan(2);

        var plan = await browser.Make($"/api/v1/clients/{client}/plans", new { title = "Day 1", request });
        var id = plan.GetProperty("id").GetInt64();
        var exercise = plan.GetProperty("value")
            .GetProperty("document")
            .GetProperty("plan")
            .GetProperty("lines")[0]
            .GetProperty("chosen")
            .GetProperty("exercises")[0]
            .GetProperty("exerciseId")
            .GetString();
        var sets = Enumerable
            .Range(0, 3)
            .Select(_ => new
            {
                reps = 8,
                rir = 2,
                pain = 0,
            });
        await browser.Make(
            $"/api/v1/plans/{id}/sessions",
            new
            {
                session = new
                {
                    planVersion = 1,
                    performedOn = "2026-11-20",
                    exercises = new[]
                    {
                        new
                        {
                            line = 1,
                            exerciseId = exercise,
                            sets,
                        },
                    },
                },
            }
        );

        var next = await browser.Read($"/api/v1/plans/{id}/next");
        next.GetProperty("basedOn").GetString().ShouldBe("2026-11-20");
        next.GetProperty("proposals")[0].GetProperty("reason").GetString().ShouldNotBeNullOrWhiteSpace();
    }

    [Fact]
    public async Task Two_tabs_cannot_overwrite_each_other_in_silence()
    {
        var browser = await server.SignedIn();
        var client = await NewClient(browser);
        var plan = await browser.Make($"/api/v1/clients/{client}/plans", new { title = "Day 1", request = Request("Bench press 3x8") });
        var id = plan.GetProperty("id").GetInt64();
        await browser.Make(
            $"/api/v1/plans/{id}/versions",
            new
            {
                revision = 1,
                title = "Theirs",
                request = Request("Bench press 4x8"),
            }
        );

        var problem = await browser
            .Post(
                $"/api/v1/plans/{id}/versions",
                new
                {
                    revision = 1,
                    title = "Mine",
                    request = Request("Bench press 5x8"),
                }
            )
            .Problem(409, "conflict");

        problem.GetProperty("current").GetProperty("value").GetProperty("document").GetProperty("title").GetString().ShouldBe("Theirs");
        var undone = await browser.Make($"/api/v1/plans/{id}/undo", new { revision = 2 });
        undone.GetProperty("value").GetProperty("document").GetProperty("title").GetString().ShouldBe("Day 1");
    }

    [Fact]
    public async Task Places_and_days_are_added_changed_and_removed()
    {
        var browser = await server.SignedIn();
        var client = await NewClient(browser);
        var place = await browser.Make(
            $"/api/v1/clients/{client}/places",
            new
            {
                name = "Flat",
                items = new[]
                {
                    new
                    {
                        id = "a",
                        kind = "dumbbell",
                        count = 2,
                        massKg = 8,
                    },
                },
            }
        );
        var id = place.GetProperty("id").GetInt64();
        (
            await browser.Put($"/api/v1/places/{id}", new { revision = 1, value = new { name = "Flat", items = Array.Empty<object>() } })
        ).EnsureSuccessStatusCode();
        await browser
            .Put($"/api/v1/places/{id}", new { revision = 1, value = new { name = "Late", items = Array.Empty<object>() } })
            .Problem(409, "conflict");
        (await browser.Delete($"/api/v1/places/{id}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        await browser.Delete($"/api/v1/places/{id}").Problem(404, "not-found");

        var day = await browser.Make($"/api/v1/clients/{client}/gym-weeks", new { name = "Day 1", text = "Bench press 3x8\nhalf typed" });
        (await browser.Read($"/api/v1/clients/{client}/gym-weeks"))[0]
            .GetProperty("value")
            .GetProperty("text")
            .GetString()!
            .ShouldContain("half typed");
        (await browser.Delete($"/api/v1/gym-weeks/{day.GetProperty("id").GetInt64()}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
    }

    [Fact]
    public async Task Markup_in_names_stays_text()
    {
        var browser = await server.SignedIn();
        var made = await browser.Make("/api/v1/clients", new { name = "<img src=x onerror=alert(1)>", profile = Profile });

        (await browser.Read($"/api/v1/clients/{made.GetProperty("id").GetInt64()}"))
            .GetProperty("value")
            .GetProperty("name")
            .GetString()
            .ShouldBe("<img src=x onerror=alert(1)>");
    }

    public static TheoryData<string, string, string> Impossible() =>
        new()
        {
            {
                "negative body mass",
                """{ "client": { "level": "beginner", "goal": "muscle", "bodyMassKg": -80 }, "kit": { "name": "x" }, "gymLines": [] }""",
                "validation"
            },
            {
                "absurd stature",
                """{ "client": { "level": "beginner", "goal": "muscle", "statureCm": 900 }, "kit": { "name": "x" }, "gymLines": [] }""",
                "validation"
            },
            {
                "negative dumbbell",
                """{ "client": { "level": "beginner", "goal": "muscle" }, "kit": { "name": "x", "items": [{ "id": "a", "kind": "dumbbell", "massKg": -8 }] }, "gymLines": [] }""",
                "validation"
            },
            {
                "unknown kind of kit",
                """{ "client": { "level": "beginner", "goal": "muscle" }, "kit": { "name": "x", "items": [{ "id": "a", "kind": "hovercraft" }] }, "gymLines": [] }""",
                "validation"
            },
            {
                "two things with one key",
                """{ "client": { "level": "beginner", "goal": "muscle" }, "kit": { "name": "x", "items": [{ "id": "a", "kind": "towel" }, { "id": "a", "kind": "towel" }] }, "gymLines": [] }""",
                "validation"
            },
            {
                "an edit of nothing possible",
                """{ "client": { "level": "beginner", "goal": "muscle" }, "kit": { "name": "x" }, "gymLines": [], "edits": [{ "line": 1, "exerciseId": "push-up", "sets": 0 }] }""",
                "validation"
            },
            {
                "a level that does not exist",
                """{ "client": { "level": "godlike", "goal": "muscle" }, "kit": { "name": "x" }, "gymLines": [] }""",
                "json"
            },
            { "no kit", """{ "client": { "level": "beginner", "goal": "muscle" }, "gymLines": [] }""", "json" },
            { "null kit", """{ "client": { "level": "beginner", "goal": "muscle" }, "kit": null, "gymLines": [] }""", "json" },
            {
                "null lines",
                """{ "client": { "level": "beginner", "goal": "muscle" }, "kit": { "name": "x", "items": null }, "gymLines": null }""",
                "json"
            },
            {
                "a null line",
                """{ "client": { "level": "beginner", "goal": "muscle" }, "kit": { "name": "x" }, "gymLines": [null] }""",
                "json"
            },
            {
                "null in lists",
                """{ "client": { "level": "beginner", "goal": "muscle", "soreJoints": [null], "knownLifts": [null] }, "kit": { "name": "x", "items": [null] }, "gymLines": [], "choices": [null], "edits": [null] }""",
                "json"
            },
            {
                "text where a number belongs",
                """{ "client": { "level": "beginner", "goal": "muscle", "bodyMassKg": "heavy" }, "kit": { "name": "x" }, "gymLines": [] }""",
                "json"
            },
            { "no JSON at all", "overhead press 3x6", "json" },
            { "half a document", """{ "client": { """, "json" },
        };

    [Theory]
    [MemberData(nameof(Impossible))]
    public async Task What_cannot_be_is_refused_in_plain_words(string what, string body, string code)
    {
        var browser = await server.SignedIn();
        using var content = new StringContent(body, System.Text.Encoding.UTF8, "application/json");

        var problem = await browser.Http.PostAsync(new Uri("/api/v1/rebuild", UriKind.Relative), content).Problem(400, code);

        problem.GetProperty("detail").GetString()!.Length.ShouldBeGreaterThan(15, what);
    }

    [Fact]
    public async Task Five_megabytes_are_refused_before_they_cost_anything()
    {
        var browser = await server.SignedIn();

        var answer = await browser.Post("/api/v1/shorthand", new { text = new string('x', 5_000_000) });

        // The in-memory test host has no body limit of its own; the parser's limit answers then. Both are clear.
        var text = await answer.Content.ReadAsStringAsync();
        (text.Contains("too-large") || text.Contains("shorthand.too-long")).ShouldBeTrue(text[..Math.Min(300, text.Length)]);
    }

    [Fact]
    public async Task A_log_of_nothing_or_of_tomorrow_is_refused()
    {
        var browser = await server.SignedIn();
        var client = await NewClient(browser);
        var plan = await browser.Make($"/api/v1/clients/{client}/plans", new { title = "Day 1", request = Request("Bench press 3x8") });
        var path = $"/api/v1/plans/{plan.GetProperty("id").GetInt64()}/sessions";
        object Session(string day, int reps, int version = 1) =>
            new
            {
                session = new
                {
                    planVersion = version,
                    performedOn = day,
                    exercises = new[]
                    {
                        new
                        {
                            line = 1,
                            exerciseId = "push-up",
                            sets = new[] { new { reps } },
                        },
                    },
                },
            };

        await browser
            .Post(
                path,
                new
                {
                    session = new
                    {
                        planVersion = 1,
                        performedOn = "2026-11-20",
                        exercises = Array.Empty<object>(),
                    },
                }
            )
            .Problem(400, "validation");
        await browser.Post(path, Session("2126-11-20", 8)).Problem(400, "validation");
        await browser.Post(path, Session("2026-11-20", 5000)).Problem(400, "validation");
        await browser.Post(path, Session("2026-11-20", 1, version: 9)).Problem(404, "not-found");
    }

    [Theory]
    [InlineData("/api/v1/nowhere", 404, "no-such-endpoint")]
    [InlineData("/api/v1/clients/999999", 404, "not-found")]
    [InlineData("/api/v1/plans/999999", 404, "not-found")]
    public async Task What_is_not_there_says_so(string path, int status, string code) =>
        await (await server.SignedIn()).Get(path).Problem(status, code);

    private static async Task<long> NewClient(Browser browser) =>
        (await browser.Make("/api/v1/clients", new { name = $"Client {Guid.NewGuid():N}", profile = Profile }))
            .GetProperty("id")
            .GetInt64();

    private static object Request(params string[] lines) =>
        new
        {
            client = Profile,
            kit = new { name = "Flat", items = Array.Empty<object>() },
            gymLines = lines,
        };
}
