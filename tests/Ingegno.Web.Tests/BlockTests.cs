using System.Globalization;
using System.Net;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>Blocks over HTTP: drawn up, kept, changed, taken into the plan, compared with the log.</summary>
public class BlockTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly object[] TwoPhases =
    [
        new { name = "First", weeks = 1 },
        new
        {
            name = "Strength",
            weeks = 2,
            approach = "tension",
            phase = "Strength",
        },
        new
        {
            name = "Size",
            weeks = 2,
            approach = "tension",
            phase = "Size",
        },
    ];

    [Fact]
    public async Task A_block_is_drawn_up_before_it_is_kept()
    {
        var browser = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(browser);

        var draft = await LoggedPlan.Answer(
            await browser.Post($"/api/v1/plans/{plan}/block/draft", new { starts = Day(0), eventOn = Day(38) })
        );
        draft.GetProperty("setup").GetProperty("phases")[0].GetProperty("weeks").GetInt32().ShouldBe(6);
        Kinds(draft.GetProperty("block")).ShouldBe(["build", "build", "build", "build", "taper", "event"]);
        (await browser.Read($"/api/v1/plans/{plan}/block")).TryGetProperty("kept", out _).ShouldBeFalse("nothing is stored");

        var kept = await Begin(browser, plan, draft.GetProperty("setup"));
        Kinds(kept.GetProperty("kept").GetProperty("value").GetProperty("block")).Length.ShouldBe(6);
        await browser.Post($"/api/v1/plans/{plan}/blocks", new { setup = draft.GetProperty("setup") }).Problem(400, "validation");
    }

    [Fact]
    public async Task A_cell_that_is_set_carries_on_and_two_writers_notice_each_other()
    {
        var browser = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(browser);
        var kept = (await Begin(browser, plan, Setup())).GetProperty("kept");
        var path = $"/api/v1/plans/{plan}/blocks/{kept.GetProperty("id").GetInt64()}";

        var edits = new[]
        {
            new
            {
                week = 2,
                figures = new
                {
                    line = 1,
                    exerciseId = exercise,
                    sets = 5,
                },
            },
        };
        var changed = await LoggedPlan.Answer(await browser.Put(path, new { revision = 1, value = Setup(edits: edits) }));
        Sets(changed).ShouldBe([3, 5, 5, 5, 3], "later weeks follow; the last is half of it");
        (await browser.Put(path, new { revision = 1, value = Setup() })).StatusCode.ShouldBe(HttpStatusCode.Conflict);
        Sets(await LoggedPlan.Answer(await browser.Put(path, new { revision = 2, value = Setup() }))).ShouldBe([3, 3, 3, 3, 2]);

        await browser.Put(path, new { revision = 3, value = Setup(starts: Day(7)) }).Problem(400, "validation");
        await browser.Put(path, new { revision = 3, value = Setup(phases: [new { name = "x", weeks = 9 }]) }).Problem(400, "validation");
        await browser
            .Put(
                path,
                new
                {
                    revision = 3,
                    value = Setup(
                        edits:
                        [
                            new
                            {
                                week = 2,
                                figures = new
                                {
                                    line = 1,
                                    exerciseId = exercise,
                                    sets = 500,
                                },
                            },
                        ]
                    ),
                }
            )
            .Problem(400, "validation");
        await browser.Put($"/api/v1/plans/{plan}/blocks/98765", new { revision = 1, value = Setup() }).Problem(404, "not-found");
        (await browser.Put(path, new { revision = 3, value = new { starts = Day(0), phases = (object?)null } })).StatusCode.ShouldBe(
            HttpStatusCode.BadRequest
        );
    }

    [Fact]
    public async Task A_phase_is_taken_into_the_plan_and_can_be_taken_back()
    {
        var browser = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(browser);
        var kept = (await Begin(browser, plan, Setup(phases: TwoPhases))).GetProperty("kept");
        var path = $"/api/v1/plans/{plan}/blocks/{kept.GetProperty("id").GetInt64()}";

        var taken = await LoggedPlan.Answer(await browser.Post($"{path}/take", new { week = 2, planRevision = 1 }));
        var request = taken.GetProperty("value").GetProperty("document").GetProperty("request");
        (request.GetProperty("approach").GetString(), request.GetProperty("phase").GetString()).ShouldBe(("tension", "Strength"));
        request.GetProperty("edits")[0].GetProperty("blockWeek").GetString().ShouldBe(Day(7));
        (await browser.Read($"/api/v1/plans/{plan}/block"))
            .GetProperty("kept")
            .GetProperty("revision")
            .GetInt32()
            .ShouldBe(2, "the weeks that are left follow");

        await browser.Post($"{path}/take", new { week = 3, planRevision = 1 }).Problem(409, "conflict");
        await browser.Post($"{path}/take", new { week = 9, planRevision = 2 }).Problem(400, "validation");
        (await browser.Post($"/api/v1/plans/{plan}/undo", new { revision = 2 })).EnsureSuccessStatusCode();
        Sets(await browser.Read($"/api/v1/plans/{plan}/block")).ShouldBe(Sets(Kept(kept)));

        // What is logged in the first week announces the phase of the second.
        await browser.Post($"/api/v1/plans/{plan}/sessions", new { session = LoggedPlan.Session(Day(0), (1, exercise, 12)) });
        (await browser.Read($"/api/v1/plans/{plan}/next"))
            .GetProperty("proposals")[0]
            .GetProperty("decision")
            .GetString()
            .ShouldBe("new-phase");
    }

    [Fact]
    public async Task Planned_and_done_stand_side_by_side_and_the_roster_says_when_it_ends()
    {
        var browser = await server.SignedIn();
        var (plan, client, exercise) = await LoggedPlan.Make(browser);
        await Begin(browser, plan, Setup());
        await browser.Post($"/api/v1/plans/{plan}/sessions", new { session = LoggedPlan.Session(Day(0), (1, exercise, 40)), sure = true });

        var view = await browser.Read($"/api/v1/plans/{plan}/block");
        view.GetProperty("thisWeek").GetInt32().ShouldBe(1);
        var done = view.GetProperty("done")[0];
        (done.GetProperty("sessions").GetInt32(), done.GetProperty("sets").GetInt32()).ShouldBe((1, 3));
        done.GetProperty("cells")[0].GetProperty("verdict").GetString().ShouldBe("above-plan");
        done.GetProperty("cells")[0].GetProperty("last").GetString()!.ShouldStartWith("40,40,40");
        (await Attention(browser, client)).ShouldNotContain("block-ending");
    }

    [Fact]
    public async Task A_block_goes_out_as_a_table_that_comes_in_as_a_program()
    {
        var browser = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(browser);
        var kept = (await Begin(browser, plan, Setup())).GetProperty("kept");
        var path = $"/api/v1/plans/{plan}/blocks/{kept.GetProperty("id").GetInt64()}";

        foreach (var form in new[] { "csv", "xlsx" })
        {
            var file = await browser.Get($"{path}.{form}");
            file.StatusCode.ShouldBe(HttpStatusCode.OK);
            file.Content.Headers.ContentDisposition!.FileName.ShouldBe($"block-{Day(0)}.{form}");
            var content = Convert.ToBase64String(await file.Content.ReadAsByteArrayAsync());
            var read = await LoggedPlan.Answer(await browser.Post("/api/v1/program/preview", new { content }));
            read.GetProperty("preview").GetProperty("faults").GetArrayLength().ShouldBe(0, form);
            read.GetProperty("preview").GetProperty("weeks").GetArrayLength().ShouldBe(5, form);
        }

        await browser.Get($"/api/v1/plans/{plan}/blocks/98765.csv").Problem(404, "not-found");
        await browser.Get($"{path}.pdf").Problem(404, "no-such-endpoint");
    }

    [Fact]
    public async Task A_block_is_ended_and_brought_back()
    {
        var browser = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(browser);
        var id = (await Begin(browser, plan, Setup())).GetProperty("kept").GetProperty("id").GetInt64();

        (await browser.Delete($"/api/v1/plans/{plan}/blocks/{id}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await browser.Read($"/api/v1/plans/{plan}/block")).GetProperty("all").GetArrayLength().ShouldBe(0);
        await browser.Delete($"/api/v1/plans/{plan}/blocks/{id}").Problem(404, "not-found");
        (await browser.Post($"/api/v1/plans/{plan}/blocks/{id}/restore", new { })).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await browser.Read($"/api/v1/plans/{plan}/block")).GetProperty("all").GetArrayLength().ShouldBe(1);
        (await browser.Get($"/api/v1/plans/{plan}/block?block=424242")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
        (await browser.Get("/api/v1/plans/987654/block")).StatusCode.ShouldBe(HttpStatusCode.NotFound);
    }

    [Theory]
    [InlineData(-8)]
    [InlineData(400)]
    public async Task A_start_long_past_or_far_ahead_is_refused(int days)
    {
        var browser = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(browser);
        await browser.Post($"/api/v1/plans/{plan}/block/draft", new { starts = Day(days) }).Problem(400, "validation");
        await browser.Post($"/api/v1/plans/{plan}/block/draft", new { starts = "9999-12-31" }).Problem(400, "validation");
        (await browser.Post($"/api/v1/plans/{plan}/block/draft", new { starts = Day(0), eventOn = "0001-01-01" })).StatusCode.ShouldBe(
            HttpStatusCode.BadRequest
        );
        (
            await browser.Post($"/api/v1/plans/{plan}/blocks", new { setup = new { starts = Day(0), phases = new object?[] { null } } })
        ).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await browser.Post($"/api/v1/plans/{plan}/blocks", new { setup = (object?)null })).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_session_that_is_changed_stays_with_the_version_it_trained()
    {
        var browser = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(browser);
        await browser.Post($"/api/v1/plans/{plan}/sessions", new { session = LoggedPlan.Session(Day(0), (1, exercise, 12)) });
        var request = (await browser.Read($"/api/v1/plans/{plan}")).GetProperty("value").GetProperty("document").GetProperty("request");
        var eased = JsonSerializer.Deserialize<Dictionary<string, object>>(request.GetRawText())!;
        eased["edits"] = new[]
        {
            new
            {
                line = 1,
                exerciseId = exercise,
                target = new { min = 3, max = 3 },
            },
        };
        (
            await browser.Post(
                $"/api/v1/plans/{plan}/versions",
                new
                {
                    revision = 1,
                    title = "Curls",
                    request = eased,
                }
            )
        ).EnsureSuccessStatusCode();

        var saved = (await browser.Read($"/api/v1/plans/{plan}/sessions"))[0];
        var planned = Planned(saved);
        planned.ShouldNotBe(3);
        await browser.Put(
            $"/api/v1/plans/{plan}/sessions/{saved.GetProperty("id").GetInt64()}",
            new { revision = 1, value = LoggedPlan.Session(Day(0), (1, exercise, 11)) }
        );
        Planned((await browser.Read($"/api/v1/plans/{plan}/sessions"))[0]).ShouldBe(planned, "it was trained under the first version");
        await browser
            .Post($"/api/v1/plans/{plan}/sessions", new { session = LoggedPlan.Session(Day(0), (1, exercise, 12), planVersion: 77) })
            .Problem(404, "not-found");

        static int Planned(JsonElement session) =>
            session
                .GetProperty("value")
                .GetProperty("exercises")[0]
                .GetProperty("sets")[0]
                .GetProperty("stamp")
                .GetProperty("plannedReps")
                .GetInt32();
    }

    private static string Day(int fromToday) => TestClock.Day(fromToday);

    private static object Setup(object[]? phases = null, object[]? edits = null, string? starts = null) =>
        new
        {
            starts = starts ?? Day(0),
            phases = phases ?? [new { name = "Mirror", weeks = 5 }],
            lighterWeeks = new[] { 5 },
            edits = edits ?? [],
        };

    private static async Task<JsonElement> Begin(Browser browser, long plan, object setup) =>
        await LoggedPlan.Answer(await browser.Post($"/api/v1/plans/{plan}/blocks", new { setup }));

    private static JsonElement Kept(JsonElement kept) => JsonSerializer.SerializeToElement(new { kept });

    private static int[] Sets(JsonElement view) =>
        [
            .. view.GetProperty("kept")
                .GetProperty("value")
                .GetProperty("block")
                .GetProperty("weeks")
                .EnumerateArray()
                .Select(w => w.GetProperty("cells")[0].GetProperty("dose").GetProperty("sets").GetInt32()),
        ];

    private static string[] Kinds(JsonElement block) =>
        [.. block.GetProperty("weeks").EnumerateArray().Select(w => w.GetProperty("kind").GetString()!)];

    private static async Task<string[]> Attention(Browser browser, long client) =>
        [
            .. (await browser.Read("/api/v1/clients"))
                .EnumerateArray()
                .Single(r => r.GetProperty("id").GetInt64() == client)
                .GetProperty("attention")
                .EnumerateArray()
                .Select(n => n.GetProperty("kind").GetString()!),
        ];
}
