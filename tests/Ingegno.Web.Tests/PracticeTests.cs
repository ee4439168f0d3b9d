using System.Net;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Web.Tests;

/// <summary>A practice's own exercises and gym programs, over HTTP.</summary>
public class PracticeTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task An_own_exercise_is_kept_offered_changed_and_removed()
    {
        var browser = await server.SignedIn();
        var made = await browser.Make("/api/v1/own-exercises", Own("oar-row", "Oar row"));
        var path = $"/api/v1/own-exercises/{made.GetProperty("id").GetInt64()}";

        (await Candidates(browser)).ShouldContain("oar-row");
        (await browser.Read("/api/v1/catalogue")).EnumerateArray().Select(e => e.GetProperty("id").GetString()).ShouldContain("oar-row");

        var change = Own("oar-row", "Oar row, feet on the floor");
        (await browser.Put(path, new { revision = 1, value = change })).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await browser.Put(path, new { revision = 1, value = change })).StatusCode.ShouldBe(
            HttpStatusCode.OK,
            "what stands there already is done"
        );
        await browser.Put(path, new { revision = 1, value = Own("oar-row", "Oar row, another") }).Problem(409, "conflict");
        (await browser.Delete(path)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Candidates(browser)).ShouldNotContain("oar-row");
        await browser.Delete(path).Problem(404, "not-found");
    }

    [Fact]
    public async Task What_is_wrong_with_an_own_exercise_is_said()
    {
        var browser = await server.SignedIn();
        var wrong = Own("oar-pull", "Bench press");
        wrong["skill"] = 40;
        var problem = await browser.Post("/api/v1/own-exercises", wrong).Problem(400, "validation");

        problem
            .GetProperty("errors")
            .GetProperty("exercise")
            .EnumerateArray()
            .Select(e => e.GetString()!)
            .ShouldContain(e => e.Contains("already stands for"));
        problem
            .GetProperty("errors")
            .GetProperty("exercise")
            .EnumerateArray()
            .Select(e => e.GetString()!)
            .ShouldContain(e => e.Contains("1 to 5"));
        await browser.Post("/api/v1/own-exercises", new { id = "x" }).Problem(400, "json");
        await browser.Make("/api/v1/own-exercises", Own("oar-lift", "Oar lift"));
        (await browser.Post("/api/v1/own-exercises", Own("oar-lift", "Oar lift again")).Problem(400, "validation"))
            .GetProperty("detail")
            .GetString()!
            .ShouldContain("already one");
    }

    [Fact]
    public async Task A_plan_outlives_the_own_exercise_it_rests_on()
    {
        var browser = await server.SignedIn();
        var made = await browser.Make("/api/v1/own-exercises", Own("oar-hold", "Oar hold"));
        var client = (
            await browser.Make("/api/v1/clients", new { name = "Keeper", profile = new { level = "intermediate", goal = "muscle" } })
        )
            .GetProperty("id")
            .GetInt64();
        var plan = await browser.Make($"/api/v1/clients/{client}/plans", new { title = "Rows", request = Request("oar-hold") });
        var id = plan.GetProperty("id").GetInt64();
        (await browser.Delete($"/api/v1/own-exercises/{made.GetProperty("id").GetInt64()}")).EnsureSuccessStatusCode();

        (await browser.Read($"/api/v1/plans/{id}/next")).GetProperty("proposals").GetArrayLength().ShouldBe(0);
        var again = await browser.Make("/api/v1/rebuild", Request("oar-hold"));
        again
            .GetProperty("plan")
            .GetProperty("notices")
            .EnumerateArray()
            .Select(n => n.GetProperty("code").GetString())
            .ShouldContain("choice-not-kept");
    }

    [Fact]
    public async Task Weeks_are_brought_in_all_or_none()
    {
        var browser = await server.SignedIn();
        var client = (
            await browser.Make("/api/v1/clients", new { name = "Importer", profile = new { level = "novice", goal = "strength" } })
        )
            .GetProperty("id")
            .GetInt64();
        await browser
            .Post(
                $"/api/v1/clients/{client}/program",
                new { weeks = new[] { new { name = "Week 1", text = "Bench press 3x8" }, new { name = "", text = "" } } }
            )
            .Problem(400, "validation");
        await browser
            .Post("/api/v1/clients/987654/program", new { weeks = new[] { new { name = "Week 1", text = "Bench press 3x8" } } })
            .Problem(404, "not-found");
        (await browser.Read($"/api/v1/clients/{client}/gym-weeks")).GetArrayLength().ShouldBe(0);

        var names = Enumerable.Range(1, 11).Select(n => new { name = $"Week {n}", text = "Bench press 3x8" });
        await browser.Make($"/api/v1/clients/{client}/program", new { weeks = names });
        (await browser.Read($"/api/v1/clients/{client}/gym-weeks"))
            .EnumerateArray()
            .Select(w => w.GetProperty("value").GetProperty("name").GetString())
            .ShouldBe(Enumerable.Range(1, 11).Select(n => $"Week {n}"), "in their own order, week 10 after week 9");
    }

    [Theory]
    [InlineData("csv", "text/csv")]
    [InlineData("xlsx", "application/vnd.openxmlformats-officedocument.spreadsheetml.sheet")]
    [InlineData("json", "application/json")]
    [InlineData("txt", "text/plain")]
    public async Task A_program_is_taken_out_as_a_file_that_the_preview_reads(string form, string type)
    {
        var browser = await server.SignedIn();
        var answer = await browser.Get($"/api/v1/clients/1/program.{form}");

        answer.Content.Headers.ContentType!.MediaType.ShouldBe(type);
        answer.Content.Headers.ContentDisposition!.FileName.ShouldBe($"gym-program.{form}");
        var read = await browser.Make(
            "/api/v1/program/preview",
            new { content = Convert.ToBase64String(await answer.Content.ReadAsByteArrayAsync()) }
        );
        read.GetProperty("preview").GetProperty("faults").GetArrayLength().ShouldBe(0);
        read.GetProperty("preview").GetProperty("weeks")[0].GetProperty("lines").GetInt32().ShouldBe(18);
    }

    [Fact]
    public async Task What_cannot_be_read_is_a_problem_in_words()
    {
        var browser = await server.SignedIn();
        (
            await browser
                .Post("/api/v1/program/preview", new { content = Convert.ToBase64String([0, 1, 2, 3]) })
                .Problem(400, "unreadable-file")
        )
            .GetProperty("detail")
            .GetString()!
            .ShouldContain(".xlsx");
        await browser.Post("/api/v1/program/preview", new { content = "not base64!" }).Problem(400, "validation");
        await browser
            .Post("/api/v1/program/text", new { rows = Enumerable.Repeat(new { exercise = "Crunch" }, 300) })
            .Problem(400, "validation");
        await browser.Get("/api/v1/clients/987654/program.csv").Problem(404, "not-found");
        await browser.Get("/api/v1/clients/1/program.exe").Problem(404, "no-such-endpoint");
    }

    [Fact]
    public async Task A_large_file_may_come_in_where_a_request_may_not()
    {
        var browser = await server.SignedIn();
        var rows = Encoding.UTF8.GetBytes(
            "Exercise,Sets,Reps,Note\n" + string.Concat(Enumerable.Repeat($"Bench press,3,8,{new string('n', 900)}\n", 1_000))
        );
        var read = await browser.Make("/api/v1/program/preview", new { content = Convert.ToBase64String(rows) });

        read.GetProperty("preview").GetProperty("weeks").GetArrayLength().ShouldBe(1);
    }

    private static async Task<List<string?>> Candidates(Browser browser) =>
        [
            .. (await browser.Make("/api/v1/rebuild", Request(null)))
                .GetProperty("plan")
                .GetProperty("lines")[0]
                .GetProperty("candidates")
                .EnumerateArray()
                .Select(c => c.GetProperty("id").GetString()),
        ];

    private static object Request(string? chosen) =>
        new
        {
            client = new
            {
                level = "intermediate",
                goal = "muscle",
                bodyMassKg = 80,
                statureCm = 180,
            },
            kit = new
            {
                name = "home",
                items = new[]
                {
                    new
                    {
                        id = "t",
                        kind = "dining-table",
                        heightCm = 74,
                    },
                },
            },
            gymLines = new[] { "Seated cable row 3x10" },
            choices = chosen is null ? [] : new[] { new { line = 1, candidateId = chosen } },
        };

    /// <summary>The table row under another key and name.</summary>
    internal static JsonObject Own(string id, string name)
    {
        var own = JsonSerializer.SerializeToNode(DomainRules.Shipped.Catalogue.Get("table-row"), RulesJson.Lenient)!.AsObject();
        (own["id"], own["name"], own["synonyms"]) = (id, name, new JsonArray());
        own.Remove("easier");
        own.Remove("harder");
        return own;
    }
}
