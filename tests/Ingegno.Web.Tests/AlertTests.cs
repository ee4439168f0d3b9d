using System.Net;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>Signs of danger: wherever they are told they stand until the coach has answered, and nobody else's are seen.</summary>
public class AlertTests
{
    [Fact]
    public async Task A_note_that_is_refused_is_heard_all_the_same()
    {
        await using var server = new TestServer();
        var (coach, _, phone) = await Sent(server);
        await Note(phone, "session-9999", "chest pain and dizzy").Problem(404, "not-found");

        var alert = (await coach.Read("/api/v1/alerts")).EnumerateArray().ShouldHaveSingleItem();
        alert.GetProperty("urgency").GetString().ShouldBe("emergency");
        alert.GetProperty("words").GetString().ShouldBe("chest pain and dizzy");
        (await phone.Content()).GetProperty("hold").GetProperty("all").GetBoolean().ShouldBeTrue();
    }

    [Fact]
    public async Task A_stop_sign_needs_no_session_counts_once_and_is_answered_once()
    {
        await using var server = new TestServer();
        var (coach, plan, phone) = await Sent(server);
        var tapped = new
        {
            key = "stop-00001",
            sign = "locked",
            joint = "knee",
            at = "2031-03-03T08:00:00Z",
        };
        (await Tap(phone, tapped)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Tap(phone, tapped)).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        var alert = (await coach.Read("/api/v1/alerts")).EnumerateArray().ShouldHaveSingleItem();
        var id = alert.GetProperty("id").GetInt64();
        alert.GetProperty("at").GetString()!.ShouldStartWith("2031-03-03T08:00:00", Case.Sensitive, "when it was, not when it came in");
        (await phone.Content()).GetProperty("hold").GetProperty("all").GetBoolean().ShouldBeFalse();

        await coach.Post($"/api/v1/alerts/{id}/answer", new { text = " " }).Problem(400, "validation");
        (await coach.Post($"/api/v1/alerts/{id}/answer", new { text = "Seen by your physiotherapist." })).EnsureSuccessStatusCode();
        await coach.Post($"/api/v1/alerts/{id}/answer", new { text = "Another word." }).Problem(409, "answered-already");
        var content = await phone.Content();
        content.TryGetProperty("hold", out _).ShouldBeFalse();
        content.GetProperty("answers")[0].GetProperty("text").GetString().ShouldBe("Seen by your physiotherapist.");
        (await coach.Read("/api/v1/alerts")).GetArrayLength().ShouldBe(0);
        plan.ShouldBeGreaterThan(0);
    }

    [Theory]
    [InlineData("stop-00001", "no-such-sign")]
    [InlineData("x", "chest")]
    public async Task A_bent_stop_sign_is_refused_in_words(string key, string sign)
    {
        await using var server = new TestServer();
        var (_, _, phone) = await Sent(server);
        await Tap(
                phone,
                new
                {
                    key,
                    sign,
                    at = "2031-03-03T08:00:00Z",
                }
            )
            .Problem(400, "validation");
    }

    [Fact]
    public async Task A_message_that_the_coach_reads_in_makes_one_alert_however_often_it_is_read()
    {
        await using var server = new TestServer();
        var (coach, plan, _) = await Sent(server);
        for (var i = 0; i < 3; i++)
        {
            var read = await coach.Make($"/api/v1/plans/{plan}/log-message", new { text = "curls 12 12, passed out after" });
            read.GetProperty("alert").GetString()!.ShouldContain("Fainting or collapse");
            read.GetProperty("toDo")[0].GetString()!.ShouldContain("emergency number");
        }

        (await coach.Read("/api/v1/alerts")).GetArrayLength().ShouldBe(1);
        var (proposals, first) = (await coach.Read($"/api/v1/plans/{plan}/next"), (await coach.Read("/api/v1/clients"))[0]);
        proposals.GetProperty("proposals").EnumerateArray().ShouldAllBe(p => p.GetProperty("decision").GetString() == "wait");
        first.GetProperty("attention")[0].GetProperty("kind").GetString().ShouldBe("alert");
    }

    [Fact]
    public async Task The_same_sign_told_again_after_an_answer_stands_again()
    {
        await using var server = new TestServer();
        var (coach, plan, _) = await Sent(server);
        await coach.Make($"/api/v1/plans/{plan}/log-message", new { text = "chest pain on set two" });
        var id = (await coach.Read("/api/v1/alerts"))[0].GetProperty("id").GetInt64();
        (await coach.Post($"/api/v1/alerts/{id}/answer", new { text = "Your doctor has seen you." })).EnsureSuccessStatusCode();
        await coach.Make($"/api/v1/plans/{plan}/log-message", new { text = "chest pain again tonight" });
        (await coach.Read("/api/v1/alerts")).GetArrayLength().ShouldBe(1);
    }

    [Fact]
    public async Task Alerts_go_with_the_client_s_file_and_with_the_client()
    {
        await using var server = new TestServer();
        var (coach, plan, phone) = await Sent(server);
        await Note(phone, "session-9999", "my knee gave way").Problem(404, "not-found");
        var client = (await coach.Read($"/api/v1/plans/{plan}")).GetProperty("value").GetProperty("clientId").GetInt64();
        var file = await coach.Read($"/api/v1/clients/{client}/export.json");
        file.GetProperty("alerts").GetArrayLength().ShouldBe(1);
        (await coach.Delete($"/api/v1/clients/{client}")).EnsureSuccessStatusCode();
        (await coach.Read("/api/v1/alerts")).GetArrayLength().ShouldBe(0);
    }

    [Fact]
    public async Task A_clearance_is_never_of_tomorrow()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var client = (await coach.Read("/api/v1/clients/1")).GetProperty("value");
        var profile = JsonSerializer.Deserialize<Dictionary<string, object>>(client.GetProperty("profile"))!;
        profile["screening"] = new[] { "asthma" };
        profile["clearance"] = new { on = "2099-01-01", by = "Dr. Hale" };
        await coach.Post("/api/v1/clients", new { name = "Early rower", profile }).Problem(400, "validation");
    }

    private static Task<HttpResponseMessage> Tap(Phone phone, object tapped) =>
        phone.Ask(HttpMethod.Post, "/api/v1/training/stop-signs", tapped);

    private static Task<HttpResponseMessage> Note(Phone phone, string session, string text) =>
        phone.Ask(
            HttpMethod.Post,
            "/api/v1/training/notes",
            new
            {
                key = "note-00001",
                session,
                text,
            }
        );

    private static async Task<(Browser Coach, long Plan, Phone Phone)> Sent(TestServer server)
    {
        var coach = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(coach);
        return (coach, plan, await Phone.Sent(server, coach, plan));
    }
}
