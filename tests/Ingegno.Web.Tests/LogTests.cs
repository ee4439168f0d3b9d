using System.Net;
using System.Text;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>Logs, what they teach and what they ask of the coach, over HTTP.</summary>
public class LogTests(TestServer server) : IClassFixture<TestServer>
{
    private static string Today => TestClock.Day();

    [Fact]
    public async Task A_slip_of_the_pen_is_asked_about_and_stored_when_the_coach_is_sure()
    {
        var browser = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(browser);
        var session = LoggedPlan.Session(Today, (1, exercise, 120));

        var asked = await LoggedPlan.Answer(await browser.Post($"/api/v1/plans/{plan}/sessions", new { session }));
        asked.GetProperty("doubts")[0].GetProperty("question").GetString()!.ShouldContain("120 reps?");
        (await browser.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(0, "nothing is stored before it is answered");

        var sure = await LoggedPlan.Answer(await browser.Post($"/api/v1/plans/{plan}/sessions", new { session, sure = true }));
        sure.GetProperty("id").GetInt64().ShouldBeGreaterThan(0);
    }

    [Fact]
    public async Task A_session_is_changed_and_two_writers_notice_each_other()
    {
        var browser = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(browser);
        await browser.Post($"/api/v1/plans/{plan}/sessions", new { session = LoggedPlan.Session(Today, (1, exercise, 8)) });
        var saved = (await browser.Read($"/api/v1/plans/{plan}/sessions"))[0];
        var path = $"/api/v1/plans/{plan}/sessions/{saved.GetProperty("id").GetInt64()}";

        (await browser.Put(path, new { revision = 1, value = LoggedPlan.Session(Today, (1, exercise, 9)) })).StatusCode.ShouldBe(
            HttpStatusCode.OK
        );
        await browser.Put(path, new { revision = 1, value = LoggedPlan.Session(Today, (1, exercise, 10)) }).Problem(409, "conflict");
        var set = (await browser.Read($"/api/v1/plans/{plan}/sessions"))[0]
            .GetProperty("value")
            .GetProperty("exercises")[0]
            .GetProperty("sets")[0];
        set.GetProperty("reps").GetInt32().ShouldBe(9);
        set.GetProperty("stamp")
            .GetProperty("systemKg")
            .GetDouble()
            .ShouldBeGreaterThan(10, "what it was under the plan is worked out by the server");
        await browser
            .Put($"/api/v1/plans/{plan}/sessions/999999", new { revision = 1, value = LoggedPlan.Session(Today, (1, exercise, 9)) })
            .Problem(404, "not-found");
    }

    [Fact]
    public async Task Logs_teach_strength_show_in_the_trends_and_reach_the_roster()
    {
        var browser = await server.SignedIn();
        var (plan, client, exercise) = await LoggedPlan.Make(browser);
        var before = (await browser.Read($"/api/v1/clients/{client}/strength")).GetProperty("lifts").GetArrayLength();
        foreach (var daysAgo in new[] { 9, 5, 1 })
        {
            var day = TestClock.Day(-daysAgo);
            await browser.Post($"/api/v1/plans/{plan}/sessions", new { session = LoggedPlan.Session(day, (1, exercise, 12)) });
        }

        before.ShouldBe(0);
        var lifts = (await browser.Read($"/api/v1/clients/{client}/strength")).GetProperty("lifts").EnumerateArray().ToList();
        lifts.ShouldContain(l =>
            l.GetProperty("exerciseId").GetString() == exercise
            && l.GetProperty("restsOn").GetString()!.StartsWith("3 logged days", StringComparison.Ordinal)
        );
        var trends = await browser.Read($"/api/v1/clients/{client}/trends?formula=brzycki");
        trends.GetProperty("lifts")[0].GetProperty("points").GetArrayLength().ShouldBe(3);
        trends.GetProperty("weeks").GetArrayLength().ShouldBeGreaterThan(0);
        await browser.Get($"/api/v1/clients/{client}/trends?formula=guess").Problem(400, "validation");
        await browser.Get("/api/v1/clients/987654/trends").Problem(404, "not-found");
        var row = (await browser.Read("/api/v1/clients")).EnumerateArray().Single(r => r.GetProperty("id").GetInt64() == client);
        row.GetProperty("lastTrained").GetString().ShouldNotBeNull();
        row.GetProperty("planId").GetInt64().ShouldBe(plan);
    }

    [Fact]
    public async Task A_log_file_is_looked_at_first_and_comes_in_whole_or_not_at_all()
    {
        var browser = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(browser);
        var csv = Convert.ToBase64String(
            Encoding.UTF8.GetBytes("date,exercise,sets\n2026-11-02,Push-up,\"12,11 r1\"\n2026-11-04,Nothing known,12\n")
        );
        var preview = await LoggedPlan.Answer(await browser.Post($"/api/v1/plans/{plan}/log-file/preview", new { content = csv }));

        preview.GetProperty("faults")[0].GetProperty("row").GetInt32().ShouldBe(3);
        (await browser.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(0);
        var sessions = preview.GetProperty("sessions");
        (await browser.Post($"/api/v1/plans/{plan}/log-file", new { sessions })).EnsureSuccessStatusCode();
        (await browser.Read($"/api/v1/plans/{plan}/sessions"))[0].GetProperty("value").GetProperty("source").GetString().ShouldBe("file");
        (await browser.Read($"/api/v1/plans/{plan}/next"))
            .GetProperty("aside")[0]
            .GetProperty("exerciseId")
            .GetString()
            .ShouldBe("push-up");

        await browser.Post($"/api/v1/plans/{plan}/log-file", new { sessions = Array.Empty<object>() }).Problem(400, "validation");
        await browser.Post($"/api/v1/plans/{plan}/log-file/preview", new { content = "not base64!" }).Problem(400, "validation");
        await browser
            .Post($"/api/v1/plans/{plan}/log-file/preview", new { content = Convert.ToBase64String([(byte)'P', (byte)'K', 3, 4, 9, 9]) })
            .Problem(400, "unreadable-file");
        await browser.Post("/api/v1/plans/987654/log-file/preview", new { content = csv }).Problem(404, "not-found");
    }

    [Fact]
    public async Task Jumps_and_ladders_are_answered_and_nonsense_is_refused()
    {
        var browser = await server.SignedIn();
        var jump = await LoggedPlan.Answer(
            await browser.Post(
                "/api/v1/jump",
                new
                {
                    fromKg = 40,
                    toKg = 50,
                    wantedReps = 8,
                    curve = "middle",
                }
            )
        );
        jump.GetProperty("repsNow").GetInt32().ShouldBe(18, "docs/domain/progression");
        jump.GetProperty("neededKg").GetDouble().ShouldBe(63.3);
        (
            await LoggedPlan.Answer(
                await browser.Post(
                    "/api/v1/jump",
                    new
                    {
                        fromKg = 40,
                        toKg = 80,
                        wantedReps = 8,
                        formula = "epley",
                    }
                )
            )
        ).GetProperty("advice").GetString()!.ShouldContain("rungs between");
        object Request(object client, object? edit = null) =>
            new
            {
                client,
                kit = new { name = "Home", items = Array.Empty<object>() },
                gymLines = new[] { "Push-up 3x8" },
                edits = edit is null ? Array.Empty<object>() : [edit],
            };
        await browser
            .Post(
                "/api/v1/rebuild",
                Request(
                    new
                    {
                        level = "intermediate",
                        goal = "muscle",
                        learned = new[]
                        {
                            new
                            {
                                anchor = "bench-press",
                                exerciseId = "push-up",
                                oneRepMaxKg = 0,
                                spread = 0.1,
                                restsOn = "x",
                            },
                        },
                    }
                )
            )
            .Problem(400, "validation");
        await browser
            .Post(
                "/api/v1/rebuild",
                Request(
                    new { level = "intermediate", goal = "muscle" },
                    new
                    {
                        line = 1,
                        exerciseId = "push-up",
                        zone = new { min = 12, max = 8 },
                    }
                )
            )
            .Problem(400, "validation");
        await browser
            .Post(
                "/api/v1/jump",
                new
                {
                    fromKg = 0,
                    toKg = 50,
                    wantedReps = 8,
                }
            )
            .Problem(400, "validation");
        await browser
            .Post(
                "/api/v1/jump",
                new
                {
                    fromKg = 40,
                    toKg = 50,
                    wantedReps = 8,
                    formula = "guess",
                }
            )
            .Problem(400, "validation");

        var client = new
        {
            level = "intermediate",
            goal = "muscle",
            bodyMassKg = 80,
        };
        var kit = new { name = "Home", items = Array.Empty<object>() };
        (
            await LoggedPlan.Answer(
                await browser.Post(
                    "/api/v1/ladder",
                    new
                    {
                        exerciseId = "push-up",
                        client,
                        kit,
                        systemKg = 51.2,
                    }
                )
            )
        ).GetProperty("ladder").GetProperty("here").ValueKind.ShouldBe(JsonValueKind.Number);
        (
            await LoggedPlan.Answer(
                await browser.Post(
                    "/api/v1/ladder",
                    new
                    {
                        exerciseId = "plank",
                        client,
                        kit,
                    }
                )
            )
        ).GetProperty("why").GetString()!.ShouldContain("no ladder");
        await browser
            .Post(
                "/api/v1/ladder",
                new
                {
                    exerciseId = "push-up",
                    client,
                    kit,
                    wantedReps = 90,
                }
            )
            .Problem(400, "validation");
        (await browser.Read("/api/v1/rep-max-formulas")).GetArrayLength().ShouldBe(6);
    }

    [Fact]
    public async Task The_way_back_to_the_gym_starts_from_the_old_loads()
    {
        var browser = await server.SignedIn();
        var (_, client, _) = await LoggedPlan.Make(browser);
        var back = await LoggedPlan.Answer(
            await browser.Post($"/api/v1/clients/{client}/back-to-gym", new { text = "Bench press 4x8 @ 80 kg", weeksAway = 6 })
        );

        back.GetProperty("lines")[0]
            .GetProperty("loadsKg")
            .EnumerateArray()
            .Select(kg => kg.GetDouble())
            .ShouldBe([55, 62.5, 70, 80], "70, 80, 90, 100 % down to the next plates");
        back.GetProperty("weeks")[0].GetProperty("text").GetString()!.ShouldContain("55 kg");
        await browser.Post($"/api/v1/clients/{client}/back-to-gym", new { text = "x", weeksAway = -1 }).Problem(400, "validation");
        await browser.Post("/api/v1/clients/987654/back-to-gym", new { text = "x", weeksAway = 1 }).Problem(404, "not-found");
    }

    [Fact]
    public async Task A_calibration_session_sets_the_dose_from_the_open_set()
    {
        var browser = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(browser);
        var request = JsonSerializer.Deserialize<Dictionary<string, object>>(
            (await browser.Read($"/api/v1/plans/{plan}")).GetProperty("value").GetProperty("document").GetProperty("request").GetRawText()
        )!;
        request["calibrate"] = true;
        var version = await LoggedPlan.Answer(
            await browser.Post(
                $"/api/v1/plans/{plan}/versions",
                new
                {
                    revision = 1,
                    title = "Curls",
                    request,
                }
            )
        );
        Dose(version).GetProperty("figures").GetString()!.ShouldEndWith("+ AMRAP");

        var sets = new[] { new { reps = 12, rir = 2 }, new { reps = 12, rir = 2 }, new { reps = 30, rir = 1 } };
        await browser.Post(
            $"/api/v1/plans/{plan}/sessions",
            new
            {
                session = new
                {
                    planVersion = 2,
                    performedOn = Today,
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
                sure = true,
            }
        );
        var proposal = (await browser.Read($"/api/v1/plans/{plan}/next")).GetProperty("proposals")[0];
        proposal.GetProperty("decision").GetString().ShouldBe("calibrated");
        proposal.GetProperty("reason").GetString()!.ShouldContain("were expected before");

        var after = await LoggedPlan.Answer(
            await browser.Post(
                $"/api/v1/plans/{plan}/versions",
                new
                {
                    revision = 2,
                    title = "Curls",
                    request,
                }
            )
        );
        Dose(after)
            .GetProperty("figures")
            .GetString()
            .ShouldBe(proposal.GetProperty("dose").GetProperty("figures").GetString(), "what was proposed is what the plan then says");

        static JsonElement Dose(JsonElement plan) =>
            plan.GetProperty("value")
                .GetProperty("document")
                .GetProperty("plan")
                .GetProperty("lines")[0]
                .GetProperty("chosen")
                .GetProperty("exercises")[0]
                .GetProperty("dose");
    }
}
