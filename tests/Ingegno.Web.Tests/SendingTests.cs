using System.Net;
using System.Security.Cryptography;
using System.Text.Json;
using Ingegno.Storage;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

/// <summary>A plan goes to the client's phone, and what was done comes back.</summary>
public class SendingTests
{
    [Fact]
    public async Task A_plan_is_sent_opened_trained_and_read()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, client, exercise) = await LoggedPlan.Make(coach);
        var sent = await coach.Make($"/api/v1/plans/{plan}/releases", new { version = 1, word = "Slowly on the way down." });
        sent.GetProperty("message").GetString()!.ShouldContain(sent.GetProperty("link").GetProperty("address").GetString()!);
        sent.GetProperty("message").GetString()!.ShouldContain("Slowly on the way down.");
        sent.GetProperty("link").GetProperty("picture").GetString()!.ShouldStartWith("<svg");
        (await coach.Read($"/api/v1/clients/{client}/link")).TryGetProperty("openedAt", out _).ShouldBeFalse();

        var phone = Phone.With(server, Phone.SecretOf(sent.GetProperty("link")));
        var content = await phone.Content();
        var release = content.GetProperty("releases")[0];
        release.GetProperty("release").GetProperty("word").GetString().ShouldBe("Slowly on the way down.");
        var id = release.GetProperty("id").GetInt64();
        (await coach.Read($"/api/v1/clients/{client}/link")).TryGetProperty("openedAt", out _).ShouldBeTrue();

        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(id, exercise, finished: false, reps: [10])));
        (await coach.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(0, "what runs is not in the log yet");
        var running = (await CameIn(coach))[0];
        running.GetProperty("finished").GetBoolean().ShouldBeFalse();
        running.GetProperty("setsDone").GetInt32().ShouldBe(1);
        running.GetProperty("setsPlanned").GetInt32().ShouldBe(3);

        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(id, exercise, revision: 2, note: "Was that deep enough?")));
        var logged = (await coach.Read($"/api/v1/plans/{plan}/sessions"))[0].GetProperty("value");
        logged.GetProperty("source").GetString().ShouldBe("client");
        logged.GetProperty("exercises")[0].GetProperty("sets")[0].GetProperty("stamp").ValueKind.ShouldBe(JsonValueKind.Object);
        (await coach.Read($"/api/v1/plans/{plan}/next")).GetProperty("basedOn").GetString().ShouldBe(TestClock.Day());

        var came = (await CameIn(coach))[0];
        came.GetProperty("client").GetString().ShouldBe("Logged");
        came.GetProperty("remarks")[0].GetProperty("kind").GetString().ShouldBe("asks");
        await LoggedPlan.Answer(
            await coach.Post($"/api/v1/clients/{client}/notes", new { session = "session-0001", text = "Yes, that deep." })
        );
        (await coach.Post($"/api/v1/came-in/{came.GetProperty("id").GetInt64()}/seen", new { })).EnsureSuccessStatusCode();
        (await CameIn(coach)).ShouldBeEmpty();

        // The next release of the plan: what was trained of it before still counts for which day comes next.
        await coach.Make($"/api/v1/plans/{plan}/releases", new { version = 1 });
        content = await phone.Content();
        content.GetProperty("releases")[0].GetProperty("id").GetInt64().ShouldNotBe(id);
        content
            .GetProperty("sessions")[0]
            .GetProperty("planId")
            .GetInt64()
            .ShouldBe(content.GetProperty("releases")[0].GetProperty("planId").GetInt64());
        content.GetProperty("sessions")[0].GetProperty("seenByCoach").GetBoolean().ShouldBeTrue();
        content.GetProperty("notes")[0].GetProperty("text").GetString().ShouldBe("Yes, that deep.");
    }

    [Fact]
    public async Task What_is_sent_twice_counts_once_and_an_older_state_changes_nothing()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var release = await Release(phone);
        var last = Phone.Session(release, exercise, revision: 5, reps: [12, 12, 12]);
        await Task.WhenAll(Enumerable.Range(0, 8).Select(_ => phone.Put("session-0001", last)));
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, revision: 4, reps: [1])));

        var sessions = await coach.Read($"/api/v1/plans/{plan}/sessions");
        sessions.GetArrayLength().ShouldBe(1);
        sessions[0].GetProperty("value").GetProperty("exercises")[0].GetProperty("sets").GetArrayLength().ShouldBe(3);

        // Mended on the phone after it was sent: the same session with other figures.
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, revision: 6, reps: [12, 11])));
        sessions = await coach.Read($"/api/v1/plans/{plan}/sessions");
        sessions.GetArrayLength().ShouldBe(1);
        sessions[0].GetProperty("value").GetProperty("exercises")[0].GetProperty("sets").GetArrayLength().ShouldBe(2);
    }

    [Fact]
    public async Task A_note_on_a_session_that_was_seen_brings_it_back_until_it_is_read()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, client, exercise) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var note = new
        {
            key = "note-00001",
            session = "session-0001",
            text = "May I use the red band?",
        };
        await phone.Ask(HttpMethod.Post, "/api/v1/training/notes", note).Problem(404, "not-found");
        (await Asks()).ShouldBeFalse("there is no such session yet");
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(await Release(phone), exercise)));
        await LoggedPlan.Answer(await phone.Ask(HttpMethod.Post, "/api/v1/training/notes", note));
        (await Asks()).ShouldBeTrue();
        await Look();
        (await Asks()).ShouldBeFalse();

        // The same note once more is the same note; another one brings the session back.
        await LoggedPlan.Answer(await phone.Ask(HttpMethod.Post, "/api/v1/training/notes", note));
        (await CameIn(coach)).ShouldBeEmpty();
        var more = new
        {
            key = "note-00002",
            session = "session-0001",
            text = "And the blue one?",
        };
        await LoggedPlan.Answer(await phone.Ask(HttpMethod.Post, "/api/v1/training/notes", more));
        (await Asks()).ShouldBeTrue();
        (await CameIn(coach))[0].GetProperty("notes").GetArrayLength().ShouldBe(2);
        await Look();
        (await CameIn(coach)).ShouldBeEmpty();

        async Task Look() =>
            (
                await coach.Post($"/api/v1/came-in/{(await CameIn(coach))[0].GetProperty("id").GetInt64()}/seen", new { })
            ).EnsureSuccessStatusCode();

        async Task<bool> Asks() =>
            (await coach.Read("/api/v1/clients"))
                .EnumerateArray()
                .First(row => row.GetProperty("id").GetInt64() == client)
                .GetProperty("attention")
                .EnumerateArray()
                .Any(a => a.GetProperty("kind").GetString() == "asks");
    }

    [Fact]
    public async Task Two_phones_of_a_client_are_two_sessions()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var release = await Release(phone);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise)));
        await LoggedPlan.Answer(await phone.Put("session-0002", Phone.Session(release, exercise, key: "session-0002")));

        (await phone.Content()).GetProperty("sessions").GetArrayLength().ShouldBe(2);
        (await coach.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(2);
    }

    [Fact]
    public async Task A_session_that_the_coach_changed_stays_and_the_phones_state_is_kept_beside_it()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var release = await Release(phone);
        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise)));
        var logged = (await coach.Read($"/api/v1/plans/{plan}/sessions"))[0];
        var id = logged.GetProperty("id").GetInt64();
        (
            await coach.Put(
                $"/api/v1/plans/{plan}/sessions/{id}",
                new { revision = logged.GetProperty("revision").GetInt32(), value = LoggedPlan.Session(TestClock.Day(), (1, exercise, 7)) }
            )
        ).EnsureSuccessStatusCode();

        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, revision: 2, reps: [11, 11])));

        var stands = (await coach.Read($"/api/v1/plans/{plan}/sessions"))[0].GetProperty("value").GetProperty("exercises")[0];
        stands.GetProperty("sets")[0].GetProperty("reps").GetInt32().ShouldBe(7);
        var came = (await coach.Read($"/api/v1/plans/{plan}/came-in"))[0];
        came.GetProperty("differs").GetBoolean().ShouldBeTrue();
        came.GetProperty("exercises")[0].GetProperty("sets").GetString()!.ShouldContain("11");
    }

    /// <summary>A clock that is a day and more ahead would put the session into the future.</summary>
    [Theory]
    [InlineData(30)]
    [InlineData(-26)]
    public async Task A_wrong_clock_is_put_right(int hours)
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var off = TimeSpan.FromHours(hours);
        var session = Phone.Session(
            await Release(phone),
            exercise,
            started: new DateTimeOffset(2031, 3, 3, 8, 0, 0, TimeSpan.Zero) + off,
            sent: new DateTimeOffset(2031, 3, 3, 9, 0, 0, TimeSpan.Zero) + off
        );

        var kept = await LoggedPlan.Answer(await phone.Put("session-0001", session));

        kept.GetProperty("clockWasOff").GetBoolean().ShouldBeTrue();
        kept.GetProperty("performedOn").GetString().ShouldBe(TestClock.Day());
    }

    [Fact]
    public async Task A_link_opens_one_client_and_nothing_else()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, client, exercise) = await LoggedPlan.Make(coach);
        var (other, _, _) = await LoggedPlan.Make(coach);
        var (mine, theirs) = (await Phone.Sent(server, coach, plan), await Phone.Sent(server, coach, other));
        var (own, foreign) = (await Release(mine), await Release(theirs));
        own.ShouldNotBe(foreign);

        await mine.Put("session-0001", Phone.Session(foreign, exercise)).Problem(404, "not-found");
        await LoggedPlan.Answer(await mine.Put("session-0001", Phone.Session(own, exercise)));
        (await theirs.Content()).GetProperty("sessions").GetArrayLength().ShouldBe(0);
        foreach (var path in new[] { "/clients", $"/clients/{client}", $"/plans/{plan}", "/came-in", "/audit", $"/clients/{client}/link" })
        {
            await mine.Ask(HttpMethod.Get, $"/api/v1{path}").Problem(401, "signed-out");
        }
    }

    [Fact]
    public async Task A_link_that_was_ended_or_renewed_is_gone()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, client, _) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        await phone.Content();
        (await coach.Delete($"/api/v1/clients/{client}/link")).EnsureSuccessStatusCode();
        await phone.Ask(HttpMethod.Get, "/api/v1/training").Problem(410, "link-ended");
        (await coach.Read($"/api/v1/clients/{client}/link")).TryGetProperty("address", out _).ShouldBeFalse();

        var renewed = Phone.With(server, Phone.SecretOf(await coach.Make($"/api/v1/clients/{client}/link", new { days = 7 })));
        (await renewed.Content()).GetProperty("releases").GetArrayLength().ShouldBe(1);
        await phone.Ask(HttpMethod.Get, "/api/v1/training").Problem(410, "link-ended");
        server.Clock.Pass(TimeSpan.FromDays(8));
        await renewed.Ask(HttpMethod.Get, "/api/v1/training").Problem(410, "link-ended");
    }

    [Fact]
    public async Task Five_thousand_guesses_get_nothing_are_slowed_and_shut_nobody_out()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var answers = new Dictionary<HttpStatusCode, int>();
        for (var i = 0; i < 5000; i++)
        {
            var guess = Convert.ToBase64String(RandomNumberGenerator.GetBytes(32)).TrimEnd('=').Replace('+', '-').Replace('/', '_');
            using var answer = await Phone.With(server, guess).Ask(HttpMethod.Get, "/api/v1/training");
            answers[answer.StatusCode] = answers.GetValueOrDefault(answer.StatusCode) + 1;
        }

        answers.Keys.ShouldBe([HttpStatusCode.Unauthorized, HttpStatusCode.TooManyRequests], ignoreOrder: true);
        answers[HttpStatusCode.Unauthorized].ShouldBeLessThan(50);
        (await phone.Content()).GetProperty("releases").GetArrayLength().ShouldBe(1, "a right secret is not shut out");
    }

    [Fact]
    public async Task The_secret_stands_nowhere_in_the_database()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(coach);
        var secret = Phone.SecretOf((await coach.Make($"/api/v1/plans/{plan}/releases", new { version = 1 })).GetProperty("link"));
        server.Services.GetRequiredService<Database>().Open().Dispose();
        foreach (var file in Directory.GetFiles(server.Folder, "ingegno.db*"))
        {
            System.Text.Encoding.Latin1.GetString(await File.ReadAllBytesAsync(file)).ShouldNotContain(secret);
        }

        secret.Length.ShouldBe(43, "32 random bytes");
    }

    [Fact]
    public async Task Pain_and_swaps_are_told_and_bad_figures_are_refused()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var content = await phone.Content();
        var sent = content.GetProperty("releases")[0].GetProperty("release").GetProperty("days")[0].GetProperty("exercises")[0];
        var release = content.GetProperty("releases")[0].GetProperty("id").GetInt64();
        var other = sent.GetProperty("alternatives")[0].GetProperty("exercise").GetProperty("exerciseId").GetString()!;
        var done = new
        {
            line = 1,
            exerciseId = other,
            inPlaceOf = exercise,
            why = "hurts",
            stopped = true,
            sets = new[]
            {
                new
                {
                    reps = 5,
                    pain = 6,
                    painJoint = "elbow",
                    sharp = true,
                },
            },
        };

        await LoggedPlan.Answer(await phone.Put("session-0001", Phone.Session(release, exercise, more: done)));

        var remarks = (await CameIn(coach))[0].GetProperty("remarks");
        remarks.EnumerateArray().Select(r => r.GetProperty("kind").GetString()).ShouldBe(["stopped", "swapped"]);
        remarks[0].GetProperty("text").GetString()!.ShouldContain("pain 6 of 10, sharp, elbow");
        foreach (
            var wrong in new object[]
            {
                Phone.Session(release, exercise, key: "x"),
                Phone.Session(release, exercise, revision: 0),
                Phone.Session(release, exercise, reps: [700]),
                Phone.Session(release, exercise, reps: [.. Enumerable.Repeat(1, 31)]),
            }
        )
        {
            await phone.Put("session-0001", wrong).Problem(400, "validation");
        }

        await phone
            .Put(
                "session-0009",
                Phone.Session(release, exercise, key: "session-0009", started: new DateTimeOffset(2031, 3, 9, 8, 0, 0, TimeSpan.Zero))
            )
            .Problem(400, "validation");
    }

    [Fact]
    public async Task A_plan_that_changed_meanwhile_is_not_sent_unseen()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(coach);

        await coach.Post($"/api/v1/plans/{plan}/releases", new { version = 7 }).Problem(409, "conflict");
        await coach.Post("/api/v1/plans/99999/releases", new { version = 1 }).Problem(404, "not-found");
        await coach.Post($"/api/v1/plans/{plan}/releases", new { version = 1, word = new string('a', 601) }).Problem(400, "validation");
    }

    /// <summary>What came in of the client of these tests; the demo has sessions of its own.</summary>
    private static async Task<IReadOnlyList<JsonElement>> CameIn(Browser coach) =>
        [.. (await coach.Read("/api/v1/came-in")).EnumerateArray().Where(c => c.GetProperty("client").GetString() == "Logged")];

    private static async Task<long> Release(Phone phone) => (await phone.Content()).GetProperty("releases")[0].GetProperty("id").GetInt64();
}
