using System.Net;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>What a client has trained comes in, whatever became of the link, the order of states or the server's time.</summary>
public class WorkIsNeverLostTests
{
    [Fact]
    public async Task A_link_that_has_ended_still_takes_what_was_done_for_thirty_days_and_shows_nothing()
    {
        await using var server = new TestServer();
        var (coach, plan, phone, release, exercise) = await Sent(server);
        await coach.Make($"/api/v1/clients/{await ClientOf(coach, plan)}/link", new { });

        await phone.Ask(HttpMethod.Get, "/api/v1/training").Problem(410, "link-ended");
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise)));
        await LoggedPlan.Answer(
            await phone.Ask(
                HttpMethod.Post,
                "/api/v1/training/notes",
                new
                {
                    key = "note-00001",
                    session = "session-0001",
                    text = "Done at the sea.",
                }
            )
        );
        await phone.Ask(HttpMethod.Get, "/api/v1/training/sessions/session-0001").Problem(410, "link-ended");
        (await coach.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(1);

        server.Clock.Pass(TimeSpan.FromDays(31));
        await phone.Put("session-0002", Phone.Session(release, exercise, key: "session-0002")).Problem(410, "link-ended");
    }

    [Fact]
    public async Task The_link_of_an_archived_client_opens_nothing()
    {
        await using var server = new TestServer();
        var (coach, plan, phone, _, _) = await Sent(server);
        (await coach.Put($"/api/v1/clients/{await ClientOf(coach, plan)}/archived", new { archived = true })).EnsureSuccessStatusCode();
        await phone.Ask(HttpMethod.Get, "/api/v1/training").Problem(410, "link-ended");
    }

    [Fact]
    public async Task Finished_gone_on_with_and_finished_again_is_one_session()
    {
        await using var server = new TestServer();
        var (coach, plan, phone, release, exercise) = await Sent(server);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, revision: 1, reps: [10])));
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 2, finished: false, reps: [10, 9])));
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 3, reps: [10, 9, 8])));

        var session = (await coach.Read($"/api/v1/plans/{plan}/sessions")).EnumerateArray().ShouldHaveSingleItem();
        Sets(session).ShouldBe(3);
    }

    [Fact]
    public async Task Finished_without_a_set_and_then_with_some_is_a_session()
    {
        await using var server = new TestServer();
        var (coach, plan, phone, release, exercise) = await Sent(server);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 1, reps: [])));
        (await coach.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(0);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 2, reps: [10, 9])));
        Sets((await coach.Read($"/api/v1/plans/{plan}/sessions")).EnumerateArray().ShouldHaveSingleItem()).ShouldBe(2);
    }

    [Fact]
    public async Task A_session_that_the_coach_took_out_does_not_come_back()
    {
        await using var server = new TestServer();
        var (coach, plan, phone, release, exercise) = await Sent(server);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 1)));
        var id = (await coach.Read($"/api/v1/plans/{plan}/sessions"))[0].GetProperty("id").GetInt64();
        (await coach.Delete($"/api/v1/plans/{plan}/sessions/{id}")).EnsureSuccessStatusCode();
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 2)));
        (await coach.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(0);
    }

    [Fact]
    public async Task What_is_stored_is_answered_for_though_there_is_no_time_to_reckon()
    {
        await using var server = new TestServer { Settings = host => host.UseSetting("LongestSeconds", "0") };
        var coach = await server.SignedIn();
        var content = await coach.Read("/api/v1/clients");
        content.GetArrayLength().ShouldBeGreaterThan(0);
        var plans = await coach.Read("/api/v1/clients/1/plans");
        var plan = plans[0].GetProperty("id").GetInt64();
        var document = await coach.Read($"/api/v1/plans/{plan}");
        var line = document.GetProperty("value").GetProperty("document").GetProperty("plan").GetProperty("lines")[0];
        var session = LoggedPlan.Session(
            "2031-03-03",
            (
                line.GetProperty("gym").GetProperty("key").GetInt32(),
                line.GetProperty("chosen").GetProperty("exercises")[0].GetProperty("exerciseId").GetString()!,
                8
            ),
            document.GetProperty("value").GetProperty("version").GetInt32()
        );
        var before = (await coach.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength();

        (await coach.Make($"/api/v1/plans/{plan}/sessions", new { session, sure = true }))
            .GetProperty("id")
            .GetInt64()
            .ShouldBeGreaterThan(0);

        (await coach.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(before + 1);
    }

    [Fact]
    public async Task A_second_phone_gets_the_session_as_it_stands_and_the_first_hears_that_it_went_on()
    {
        await using var server = new TestServer();
        var (_, _, phone, release, exercise) = await Sent(server);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 4, finished: false, reps: [10])));

        var taken = await LoggedPlan.Answer(await phone.Ask(HttpMethod.Get, "/api/v1/training/sessions/session-0001"));
        taken.GetProperty("session").GetProperty("revision").GetInt32().ShouldBe(4);
        taken.GetProperty("sent").GetProperty("id").GetInt64().ShouldBe(release);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, 1004, finished: false, reps: [10, 9])));
        var old = await LoggedPlan.Answer(
            await phone.Put("session-0001", Phone.Session(release, exercise, 5, finished: false, reps: [10, 3]))
        );
        old.GetProperty("revision").GetInt32().ShouldBe(1004);
    }

    [Theory] // Just after midnight, where a day of the wrong clock leads behind the day of sending, and at eight in the morning.
    [InlineData(0)]
    [InlineData(8)]
    public async Task A_phone_whose_clock_moves_during_a_session_moves_no_day_and_loses_nothing(int hour)
    {
        await using var server = new TestServer();
        var (coach, plan, phone, release, exercise) = await Sent(server);
        var started = new DateTimeOffset(2031, 3, 3, hour, 0, 0, TimeSpan.Zero);
        await LoggedPlan.Answer(
            await phone.Put("session-0001", Phone.Session(release, exercise, 1, false, [10], started: started, sent: started.AddHours(1)))
        );
        await LoggedPlan.Answer(
            await phone.Put("session-0001", Phone.Session(release, exercise, 2, true, [10, 9], started: started, sent: started.AddDays(9)))
        );

        var session = (await coach.Read($"/api/v1/plans/{plan}/sessions")).EnumerateArray().ShouldHaveSingleItem();
        session.GetProperty("value").GetProperty("performedOn").GetString().ShouldBe("2031-03-03");
    }

    [Fact]
    public async Task Days_before_the_plan_was_sent_and_notes_on_no_session_are_refused()
    {
        await using var server = new TestServer();
        var (_, _, phone, release, exercise) = await Sent(server);
        var longAgo = new DateTimeOffset(2031, 1, 3, 8, 0, 0, TimeSpan.Zero);
        await phone.Put("session-0001", Phone.Session(release, exercise, started: longAgo)).Problem(400, "validation");
        await phone
            .Ask(
                HttpMethod.Post,
                "/api/v1/training/notes",
                new
                {
                    key = "note-00001",
                    session = "session-9999",
                    text = "Nowhere.",
                }
            )
            .Problem(404, "not-found");
    }

    [Fact]
    public async Task What_a_phone_has_already_is_told_in_a_line_and_the_rest_comes_packed()
    {
        await using var server = new TestServer();
        var (_, _, phone, _, _) = await Sent(server);
        var first = await phone.Ask(HttpMethod.Get, "/api/v1/training");
        var tag = first.Headers.ETag!.ToString();
        (await phone.Ask(HttpMethod.Get, "/api/v1/training", tag: tag)).StatusCode.ShouldBe(HttpStatusCode.NotModified);
        var packed = await phone.Ask(HttpMethod.Get, "/api/v1/training/figures", accept: "br");
        packed.Content.Headers.ContentEncoding.ShouldContain("br");
    }

    [Fact]
    public async Task A_coach_who_looks_on_counts_as_nothing()
    {
        await using var server = new TestServer();
        var (coach, plan, phone, _, _) = await Sent(server);
        await LoggedPlan.Answer(await phone.Ask(HttpMethod.Get, "/api/v1/training", preview: true));
        var link = await coach.Read($"/api/v1/clients/{await ClientOf(coach, plan)}/link");
        link.TryGetProperty("openedAt", out var opened).ShouldBeFalse(opened.ToString());
    }

    private static int Sets(JsonElement session) =>
        session.GetProperty("value").GetProperty("exercises").EnumerateArray().Sum(e => e.GetProperty("sets").GetArrayLength());

    private static async Task<long> ClientOf(Browser coach, long plan) =>
        (await coach.Read($"/api/v1/plans/{plan}")).GetProperty("value").GetProperty("clientId").GetInt64();

    private static async Task<(Browser Coach, long Plan, Phone Phone, long Release, string Exercise)> Sent(TestServer server)
    {
        var coach = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(coach);
        var sent = await coach.Make($"/api/v1/plans/{plan}/releases", new { version = 1 });
        var phone = Phone.With(server, Phone.SecretOf(sent.GetProperty("link")));
        return (coach, plan, phone, sent.GetProperty("release").GetProperty("id").GetInt64(), exercise);
    }
}
