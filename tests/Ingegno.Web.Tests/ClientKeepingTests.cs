using System.Globalization;
using System.IO.Compression;
using System.Net;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json;
using System.Text.Json.Nodes;
using Ingegno.Storage;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

public class ClientKeepingTests
{
    [Fact]
    public async Task A_client_taken_out_and_brought_in_elsewhere_is_the_same_everywhere()
    {
        await using var here = new TestServer();
        await using var there = TestServer.Empty();
        var (from, to) = (await here.SignedIn(), await NewCoach(there));
        await from.Make("/api/v1/own-exercises", PracticeTests.Own("oar-row", "Oar row"));
        await from.Make("/api/v1/clients/1/gym-weeks", new { name = "Week of our own", text = "Oar row 3x8" });
        foreach (var row in (await from.Read("/api/v1/clients")).EnumerateArray().OrderBy(r => r.GetProperty("id").GetInt64()).ToList())
        {
            var id = row.GetProperty("id").GetInt64();
            var file = await (await from.Get($"/api/v1/clients/{id}/export.json")).Content.ReadAsByteArrayAsync();
            var brought = await to.Make("/api/v1/clients/import", new { content = Convert.ToBase64String(file), withAdditions = true });
            var other = brought.GetProperty("id").GetInt64();

            Same(await from.Read($"/api/v1/clients/{id}"), await to.Read($"/api/v1/clients/{other}"));
            foreach (var list in new[] { "places", "gym-weeks", "trends", "strength" })
            {
                Same(await from.Read($"/api/v1/clients/{id}/{list}"), await to.Read($"/api/v1/clients/{other}/{list}"));
            }

            var (plans, others) = (await from.Read($"/api/v1/clients/{id}/plans"), await to.Read($"/api/v1/clients/{other}/plans"));
            others.GetArrayLength().ShouldBe(plans.GetArrayLength());
            foreach (var (plan, same) in plans.EnumerateArray().Zip(others.EnumerateArray()))
            {
                var (a, b) = (plan.GetProperty("id").GetInt64(), same.GetProperty("id").GetInt64());
                foreach (var answer in new[] { "", "/sessions", "/next", "/block", "/came-in" })
                {
                    Same(await from.Read($"/api/v1/plans/{a}{answer}"), await to.Read($"/api/v1/plans/{b}{answer}"));
                }
            }

            Same(
                await (await from.Post("/api/v1/program/rows", new { text = "Oar row 3x8" })).Content.ReadFromJsonAsync<JsonElement>(),
                await (await to.Post("/api/v1/program/rows", new { text = "Oar row 3x8" })).Content.ReadFromJsonAsync<JsonElement>()
            );

            // And out again: byte by byte, but for the time of day.
            var again = await (await to.Get($"/api/v1/clients/{other}/export.json")).Content.ReadAsStringAsync();
            JsonNode.DeepEquals(WithoutTime(again), WithoutTime(Encoding.UTF8.GetString(file))).ShouldBeTrue();
        }
    }

    [Fact]
    public async Task The_folder_holds_open_files_and_comes_in_again()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var id = (await browser.Read("/api/v1/clients"))
            .EnumerateArray()
            .First(r => r.GetProperty("plans").GetInt32() > 0)
            .GetProperty("id")
            .GetInt64();

        var packed = await (await browser.Get($"/api/v1/clients/{id}/export.zip")).Content.ReadAsByteArrayAsync();
        using var zip = new ZipArchive(new MemoryStream(packed));
        zip.Entries.Select(e => e.Name).ShouldBe(["client.json", "log.csv", "gym-program.txt", "plan-1.html"], ignoreOrder: true);
        using var log = new StreamReader(zip.GetEntry("log.csv")!.Open());
        (await log.ReadToEndAsync()).Split("\r\n").Length.ShouldBeGreaterThan(10);
        using var page = new StreamReader(zip.GetEntry("plan-1.html")!.Open());
        (await page.ReadToEndAsync()).ShouldContain("<td>");
        var before = (await browser.Read("/api/v1/clients")).GetArrayLength();

        await browser.Make("/api/v1/clients/import", new { content = Convert.ToBase64String(packed) });

        (await browser.Read("/api/v1/clients")).GetArrayLength().ShouldBe(before + 1);
        (await browser.Read("/api/v1/audit"))
            .EnumerateArray()
            .Select(a => a.GetProperty("what").GetString())
            .Take(2)
            .ShouldBe(["client-imported", "client-exported"]);
    }

    [Theory]
    [InlineData("")]
    [InlineData("null")]
    [InlineData("[]")]
    [InlineData("{\"format\":\"something-else\"}")]
    [InlineData("{\"format\":\"ingegno-client\",\"version\":99}")]
    [InlineData("{\"format\":\"ingegno-client\",\"version\":1}")]
    [InlineData(
        "{\"format\":\"ingegno-client\",\"version\":1,\"client\":{\"name\":\"\",\"profile\":{\"level\":\"novice\",\"goal\":\"muscle\"}}}"
    )]
    [InlineData(
        "{\"format\":\"ingegno-client\",\"version\":1,\"client\":{\"name\":\"A\",\"profile\":{\"level\":\"novice\",\"goal\":\"muscle\"}},\"places\":[null]}"
    )]
    [InlineData(
        "{\"format\":\"ingegno-client\",\"version\":1,\"client\":{\"name\":\"A\",\"profile\":{\"level\":\"novice\",\"goal\":\"muscle\"}},\"plans\":[{\"title\":\"x\",\"head\":1,\"versions\":[{\"number\":1,\"note\":\"\",\"document\":{\"title\":\"x\"}}]}]}"
    )]
    [InlineData("PK\u0003\u0004 and nothing else")]
    public async Task What_is_no_client_is_refused_and_leaves_nothing(string content)
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var before = (await browser.Read("/api/v1/clients")).GetArrayLength();

        var refused = await browser
            .Post("/api/v1/clients/import", new { content = Convert.ToBase64String(Encoding.UTF8.GetBytes(content)) })
            .Problem(400, "unreadable-file");

        refused.GetProperty("detail").GetString()!.Length.ShouldBeGreaterThan(20);
        (await browser.Read("/api/v1/clients")).GetArrayLength().ShouldBe(before);
    }

    [Fact]
    public async Task A_file_whose_parts_are_bent_one_by_one_never_breaks_the_server()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var id = (await browser.Read("/api/v1/clients"))
            .EnumerateArray()
            .First(r => r.GetProperty("plans").GetInt32() > 0)
            .GetProperty("id")
            .GetInt64();
        var file = await (await browser.Get($"/api/v1/clients/{id}/export.json")).Content.ReadAsStringAsync();
        var random = new Random(5);
        for (var i = 0; i < 40; i++)
        {
            var bent = JsonNode.Parse(file)!;
            Bend(bent, random);
            var answer = await browser.Post(
                "/api/v1/clients/import",
                new { content = Convert.ToBase64String(Encoding.UTF8.GetBytes(bent.ToJsonString())) }
            );
            ((int)answer.StatusCode).ShouldBeOneOf(201, 400);
            (await browser.Get("/api/v1/clients")).StatusCode.ShouldBe(HttpStatusCode.OK);
        }
    }

    /// <summary>What no hand could have typed does not come in by a file either: figures of a plan, its request, its block, what was sent.</summary>
    [Theory]
    [InlineData("plans/0/versions/0/document/plan/lines/0/chosen/exercises/0/dose/sets", 4000, "Sets lie between")]
    [InlineData("plans/0/versions/0/document/plan/lines/0/chosen/exercises/0/externalKg", 90000, "A load lies between")]
    [InlineData("plans/0/versions/0/document/plan/lines/0/chosen/exercises/0/dose/restSeconds", -5, "A rest lies between")]
    [InlineData("plans/0/versions/0/document/plan/lines/0/chosen/exercises/0/name", "", "no name")]
    [InlineData("plans/0/versions/0/document/request/approach", "+", "In a version of a plan")]
    [InlineData("plans/0/versions/0/document/request/client/bodyMassKg", 9000, "In a version of a plan")]
    [InlineData("plans/0/releases/0/release/word", "+", "longer than any")]
    [InlineData("plans/0/releases/0/release/days/0/name", "+", "day of a release")]
    [InlineData("plans/0/blocks/0/setup/phases", null, "block")]
    public async Task What_no_door_would_let_in_does_not_come_in_by_a_file(string path, object? bent, string says)
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        JsonNode? whole = null;
        var parts = path.Split('/');
        foreach (var row in (await browser.Read("/api/v1/clients")).EnumerateArray().ToList())
        {
            var id = row.GetProperty("id").GetInt64();
            var file = JsonNode.Parse(await (await browser.Get($"/api/v1/clients/{id}/export.json")).Content.ReadAsStringAsync())!;
            if (parts.SkipLast(1).Aggregate((JsonNode?)file, Step) is not null)
            {
                whole = file;
                break;
            }
        }

        var at = parts.SkipLast(1).Aggregate(whole, Step).ShouldNotBeNull();
        at[parts[^1]] = JsonValue.Create(bent is "+" ? new string('x', 5000) : bent);
        var answer = await browser
            .Post(
                "/api/v1/clients/import",
                new { content = Convert.ToBase64String(Encoding.UTF8.GetBytes(whole!.ToJsonString())), withAdditions = true }
            )
            .Problem(400, "unreadable-file");
        answer.GetProperty("detail").GetString()!.ShouldContain(says);
    }

    private static JsonNode? Step(JsonNode? node, string part) =>
        node switch
        {
            JsonArray list => int.Parse(part, CultureInfo.InvariantCulture) < list.Count
                ? list[int.Parse(part, CultureInfo.InvariantCulture)]
                : null,
            JsonObject bag => bag[part],
            _ => null,
        };

    [Fact]
    public async Task What_a_phone_sent_goes_with_the_client()
    {
        await using var here = new TestServer();
        await using var there = TestServer.Empty();
        var (from, to) = (await here.SignedIn(), await NewCoach(there));
        var came = 0;
        foreach (var row in (await from.Read("/api/v1/clients")).EnumerateArray().ToList())
        {
            var id = row.GetProperty("id").GetInt64();
            var file = await (await from.Get($"/api/v1/clients/{id}/export.json")).Content.ReadAsStringAsync();
            var plans = JsonNode.Parse(file)!["plans"]!.AsArray();
            came += plans.Sum(p => p!["phoneSessions"]!.AsArray().Count);
            await to.Make("/api/v1/clients/import", new { content = Convert.ToBase64String(Encoding.UTF8.GetBytes(file)) });
        }

        came.ShouldBeGreaterThan(3);
        var (unseen, others) = (await from.Read("/api/v1/came-in"), await to.Read("/api/v1/came-in"));
        others.GetArrayLength().ShouldBe(unseen.GetArrayLength());
    }

    [Fact]
    public async Task A_file_takes_the_place_of_nothing_is_asked_and_goes_with_its_client()
    {
        await using var here = new TestServer();
        await using var there = TestServer.Empty();
        var (from, to) = (await here.SignedIn(), await NewCoach(there));
        var goblet = (await to.Read("/api/v1/catalogue"))
            .EnumerateArray()
            .First(e => e.GetProperty("id").GetString() == "goblet-squat")
            .ToString();
        var file = JsonNode.Parse(await (await from.Get("/api/v1/clients/1/export.json")).Content.ReadAsStringAsync())!;
        var own = JsonNode.Parse(goblet)!;
        own["joints"] = new JsonObject();
        file["ownExercises"] = new JsonArray(own);
        file["taughtNames"] = new JsonArray(
            new JsonObject { ["name"] = "back squat", ["exerciseId"] = "single-leg-deadlift-reach" },
            new JsonObject { ["name"] = "the oar thing", ["exerciseId"] = "goblet-squat" }
        );
        var content = Convert.ToBase64String(Encoding.UTF8.GetBytes(file.ToJsonString()));

        var look = await to.Make("/api/v1/clients/import/look", new { content });
        look.GetProperty("comes").EnumerateArray().Select(c => c.GetProperty("kind").GetString()).ShouldBe(["exercise", "taught-name"]);
        look.GetProperty("staysOut").EnumerateArray().Single().GetProperty("name").GetString().ShouldBe("back squat");
        (await to.Read("/api/v1/clients")).GetArrayLength().ShouldBe(0);

        // Without a word nothing of the practice's own comes along.
        await to.Make("/api/v1/clients/import", new { content });
        (await to.Read("/api/v1/own-exercises")).GetArrayLength().ShouldBe(0);
        (await to.Read("/api/v1/taught-names")).GetArrayLength().ShouldBe(0);

        var client = (await to.Make("/api/v1/clients/import", new { content, withAdditions = true })).GetProperty("id").GetInt64();
        var added = (await to.Read("/api/v1/own-exercises")).EnumerateArray().Single().GetProperty("value");
        added.GetProperty("id").GetString().ShouldBe("goblet-squat-2");
        (await to.Read("/api/v1/taught-names"))
            .EnumerateArray()
            .Single()
            .GetProperty("value")
            .GetProperty("exerciseId")
            .GetString()
            .ShouldBe("goblet-squat-2");
        var stands = (await to.Read("/api/v1/catalogue")).EnumerateArray().First(e => e.GetProperty("id").GetString() == "goblet-squat");
        stands.ToString().ShouldBe(goblet);
        var read = await to.Make("/api/v1/shorthand", new { text = "back squat 3x5" });
        read.GetProperty("lines")[0].GetProperty("exerciseId").GetString().ShouldBe("back-squat");

        (await to.Delete($"/api/v1/clients/{client}")).EnsureSuccessStatusCode();
        (await to.Read("/api/v1/own-exercises")).GetArrayLength().ShouldBe(0);
        (await to.Read("/api/v1/taught-names")).GetArrayLength().ShouldBe(0);
    }

    [Fact]
    public async Task A_file_that_is_refused_after_all_leaves_nothing_of_its_own_behind()
    {
        await using var here = new TestServer();
        await using var there = TestServer.Empty();
        var (from, to) = (await here.SignedIn(), await NewCoach(there));
        await from.Make("/api/v1/own-exercises", PracticeTests.Own("oar-row", "Oar row"));
        await from.Make("/api/v1/clients/1/gym-weeks", new { name = "Week of our own", text = "Oar row 3x8" });
        var whole = await (await from.Get("/api/v1/clients/1/export.json")).Content.ReadAsStringAsync();
        var damaged = JsonNode.Parse(whole)!;
        foreach (var item in damaged["plans"]!.AsArray().SelectMany(p => p!["versions"]!.AsArray()))
        {
            item!["document"]!["request"]!["kit"]!["items"] = new JsonArray(new JsonObject { ["id"] = "x", ["kind"] = "no-such-kind" });
        }

        to.Http.DefaultRequestHeaders.Add("Idempotency-Key", "0123456789abcdef");
        var content = Convert.ToBase64String(Encoding.UTF8.GetBytes(damaged.ToJsonString()));
        await to.Post("/api/v1/clients/import", new { content, withAdditions = true }).Problem(400, "unreadable-file");
        (await to.Read("/api/v1/clients")).GetArrayLength().ShouldBe(0);
        (await to.Read("/api/v1/own-exercises")).GetArrayLength().ShouldBe(0);

        // Sent again it is read again, not remembered as done.
        await to.Post("/api/v1/clients/import", new { content, withAdditions = true }).Problem(400, "unreadable-file");
        to.Http.DefaultRequestHeaders.Remove("Idempotency-Key");
        await to.Make(
            "/api/v1/clients/import",
            new { content = Convert.ToBase64String(Encoding.UTF8.GetBytes(whole)), withAdditions = true }
        );
        (await to.Read("/api/v1/own-exercises")).GetArrayLength().ShouldBe(1);
    }

    [Fact]
    public async Task A_file_that_is_sent_again_with_its_key_comes_in_once()
    {
        await using var here = new TestServer();
        await using var there = TestServer.Empty();
        var (from, to) = (await here.SignedIn(), await NewCoach(there));
        var content = Convert.ToBase64String(await (await from.Get("/api/v1/clients/1/export.zip")).Content.ReadAsByteArrayAsync());
        to.Http.DefaultRequestHeaders.Add("Idempotency-Key", "0123456789abcdef");

        var first = await to.Make("/api/v1/clients/import", new { content });
        var again = await to.Make("/api/v1/clients/import", new { content });

        again.GetProperty("id").GetInt64().ShouldBe(first.GetProperty("id").GetInt64());
        (await to.Read("/api/v1/clients")).GetArrayLength().ShouldBe(1);
        var other = Convert.ToBase64String(await (await from.Get("/api/v1/clients/2/export.zip")).Content.ReadAsByteArrayAsync());
        await to.Post("/api/v1/clients/import", new { content = other }).Problem(422, "key-reused");
        (await to.Read("/api/v1/clients")).GetArrayLength().ShouldBe(1);
    }

    [Fact]
    public async Task What_was_sent_bent_part_by_part_never_breaks_the_server_nor_the_phone()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var file = string.Empty;
        foreach (var row in (await browser.Read("/api/v1/clients")).EnumerateArray().ToList())
        {
            var taken = await (
                await browser.Get($"/api/v1/clients/{row.GetProperty("id").GetInt64()}/export.json")
            ).Content.ReadAsStringAsync();
            file = JsonNode.Parse(taken)!["plans"]!.AsArray().Any(p => p!["phoneSessions"]!.AsArray().Count > 0) ? taken : file;
        }

        var (random, cameIn) = (new Random(7), 0);
        for (var i = 0; i < 60; i++)
        {
            var bent = JsonNode.Parse(file)!;
            var plan = bent["plans"]!.AsArray().First(p => p!["phoneSessions"]!.AsArray().Count > 0)!;
            Bend(plan[i % 2 == 0 ? "releases" : "phoneSessions"]!, random);
            var answer = await browser.Post(
                "/api/v1/clients/import",
                new { content = Convert.ToBase64String(Encoding.UTF8.GetBytes(bent.ToJsonString())) }
            );
            ((int)answer.StatusCode).ShouldBeOneOf(201, 400);
            if (answer.StatusCode != HttpStatusCode.Created)
            {
                continue;
            }

            cameIn++;
            var client = (await answer.Content.ReadFromJsonAsync<JsonElement>()).GetProperty("id").GetInt64();
            foreach (var path in new[] { "/api/v1/clients", "/api/v1/came-in", $"/api/v1/clients/{client}/export.zip" })
            {
                (await browser.Get(path)).StatusCode.ShouldBe(HttpStatusCode.OK, path);
            }

            var link = await browser.Make($"/api/v1/clients/{client}/link", new { });
            await Phone.With(server, Phone.SecretOf(link)).Content();
        }

        cameIn.ShouldBeGreaterThan(5);
    }

    [Fact]
    public async Task Who_is_archived_is_marked_and_comes_back()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();

        (await browser.Put("/api/v1/clients/1/archived", new { archived = true })).EnsureSuccessStatusCode();
        (await browser.Read("/api/v1/clients/1")).GetProperty("value").GetProperty("archived").GetBoolean().ShouldBeTrue();
        (await browser.Put("/api/v1/clients/1/archived", new { archived = false })).EnsureSuccessStatusCode();
        (await browser.Read("/api/v1/clients/1")).GetProperty("value").GetProperty("archived").GetBoolean().ShouldBeFalse();
        await browser.Put("/api/v1/clients/999/archived", new { archived = true }).Problem(404, "not-found");
    }

    [Fact]
    public async Task Whoever_is_erased_is_found_in_no_file_of_the_server()
    {
        const string Secret = "Quillfeather-Marrowby";
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var client = await browser.Make(
            "/api/v1/clients",
            new
            {
                name = Secret,
                note = Secret,
                profile = new { level = "novice", goal = "muscle" },
            }
        );
        var id = client.GetProperty("id").GetInt64();
        (await browser.Read($"/api/v1/clients/{id}/erasing")).GetProperty("plans").GetInt32().ShouldBe(0);

        (await browser.Delete($"/api/v1/clients/{id}")).EnsureSuccessStatusCode();

        await browser.Get($"/api/v1/clients/{id}").Problem(404, "not-found");
        foreach (var path in Directory.EnumerateFiles(server.Folder, "*", SearchOption.AllDirectories))
        {
            if (path.EndsWith(".lock", StringComparison.Ordinal))
            {
                continue;
            }

            await using var stream = new FileStream(path, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
            using var reader = new StreamReader(stream, Encoding.Latin1);
            (await reader.ReadToEndAsync()).ShouldNotContain(Secret, Case.Insensitive, path);
        }
    }

    /// <summary>Takes out, empties or replaces one value anywhere below.</summary>
    private static void Bend(JsonNode node, Random random)
    {
        var all = new List<(JsonNode Parent, string? Name, int Index)>();
        void Walk(JsonNode? at)
        {
            if (at is JsonObject members)
            {
                foreach (var (name, value) in members)
                {
                    all.Add((members, name, 0));
                    Walk(value);
                }
            }
            else if (at is JsonArray list)
            {
                for (var i = 0; i < list.Count; i++)
                {
                    all.Add((list, null, i));
                    Walk(list[i]);
                }
            }
        }

        Walk(node);
        var (parent, key, index) = all[random.Next(all.Count)];
        JsonNode? instead = random.Next(5) switch
        {
            0 => null,
            1 => JsonValue.Create(-1),
            2 => JsonValue.Create("\n=1+1"),
            3 => new JsonArray(),
            _ => new JsonObject(),
        };
        if (key is not null)
        {
            parent[key] = instead;
        }
        else
        {
            ((JsonArray)parent)[index] = instead;
        }
    }

    private static async Task<Browser> NewCoach(TestServer server)
    {
        var browser = await server.Fresh();
        (
            await browser.Post(
                "/api/v1/first-coach",
                new
                {
                    name = "Lena",
                    email = "lena@boathouse.example",
                    password = "a password long enough",
                    setupCode = server.Services.GetRequiredService<Infrastructure.SetupCode>().Text,
                }
            )
        ).EnsureSuccessStatusCode();
        await browser.RenewToken();
        return browser;
    }

    /// <summary>The same answer but for keys, revisions and times, which are each installation's own.</summary>
    private static void Same(JsonElement one, JsonElement other)
    {
        static JsonNode? Plain(JsonNode? node)
        {
            if (node is JsonObject members)
            {
                foreach (
                    var name in new[] { "id", "revision", "updatedAt", "clientId", "planId", "placeId", "gymWeekId", "release", "loggedAs" }
                )
                {
                    if (members[name] is JsonValue)
                    {
                        members.Remove(name);
                    }
                }

                foreach (var (_, value) in members)
                {
                    Plain(value);
                }
            }
            else if (node is JsonArray list)
            {
                foreach (var item in list)
                {
                    Plain(item);
                }
            }

            return node;
        }

        var (a, b) = (Plain(JsonNode.Parse(one.GetRawText())), Plain(JsonNode.Parse(other.GetRawText())));
        JsonNode.DeepEquals(a, b).ShouldBeTrue(Difference(a, b, "$"));
    }

    /// <summary>The first place where two answers differ.</summary>
    private static string Difference(JsonNode? a, JsonNode? b, string at)
    {
        if (a is JsonObject one && b is JsonObject other)
        {
            return one.Select(m => Difference(m.Value, other[m.Key], $"{at}.{m.Key}")).FirstOrDefault(d => d.Length > 0) ?? string.Empty;
        }

        if (a is JsonArray list && b is JsonArray others && list.Count == others.Count)
        {
            return list.Select((x, i) => Difference(x, others[i], $"{at}[{i}]")).FirstOrDefault(d => d.Length > 0) ?? string.Empty;
        }

        return JsonNode.DeepEquals(a, b) ? string.Empty : $"{at}: {a?.ToJsonString()} is not {b?.ToJsonString()}";
    }

    private static JsonNode WithoutTime(string file)
    {
        var node = JsonNode.Parse(file)!;
        node.AsObject().Remove("exportedAt");
        return node;
    }

    [Fact]
    public async Task Clients_of_a_list_come_in_together_or_not_at_all()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var list = Convert.ToBase64String(System.Text.Encoding.UTF8.GetBytes("Name;Age\nOda Lister;52\nNils Farrow;44\n"));
        var preview = await coach.Make("/api/v1/clients/table", new { content = list });
        preview.GetProperty("clients").GetArrayLength().ShouldBe(2);

        var profile = preview.GetProperty("clients")[0].GetProperty("profile");
        var before = (await coach.Read("/api/v1/clients")).GetArrayLength();
        await coach
            .Post("/api/v1/clients/many", new { clients = new object[] { new { name = "Oda", profile }, new { name = " ", profile } } })
            .Problem(400, "validation");
        (await coach.Read("/api/v1/clients")).GetArrayLength().ShouldBe(before);
        await coach.Make(
            "/api/v1/clients/many",
            new { clients = new object[] { new { name = "Oda", profile }, new { name = "Nils", profile } } }
        );
        (await coach.Read("/api/v1/clients")).GetArrayLength().ShouldBe(before + 2);
        await coach.Post("/api/v1/clients/table", new { content = "%%%" }).Problem(400, "validation");
        await coach
            .Post("/api/v1/clients/table", new { content = Convert.ToBase64String("just a line"u8) })
            .Problem(400, "unreadable-file");
    }
}
