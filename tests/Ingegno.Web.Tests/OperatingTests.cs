using System.Net;
using System.Net.Http.Headers;
using System.Text;
using System.Text.Json;
using Dapper;
using Ingegno.Storage;
using Ingegno.Web.Commands;
using Microsoft.Extensions.Configuration;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

/// <summary>What whoever runs the server relies on.</summary>
public class OperatingTests
{
    [Fact]
    public async Task Alive_and_ready_are_two_questions()
    {
        await using var server = new TestServer();
        var browser = await server.Fresh();
        (await browser.Get("/healthz")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await browser.Get("/readyz")).StatusCode.ShouldBe(HttpStatusCode.OK);

        using var holder = server.Services.GetRequiredService<Database>().Open();
        await holder.ExecuteAsync("BEGIN EXCLUSIVE");
        (await browser.Get("/healthz")).StatusCode.ShouldBe(HttpStatusCode.OK);
        var held = await browser.Get("/readyz");
        held.StatusCode.ShouldBe(HttpStatusCode.ServiceUnavailable);
        (await held.Content.ReadAsStringAsync()).ShouldBe("not ready", "strangers learn nothing of what is wrong");
    }

    [Fact]
    public async Task Keys_and_database_are_their_owners_alone()
    {
        await using var server = new TestServer();
        await server.SignedIn();

        foreach (var file in Directory.EnumerateFiles(server.Folder, "*", SearchOption.AllDirectories))
        {
            Convert.ToString((int)File.GetUnixFileMode(file), 8).ShouldBe("600", file);
        }
    }

    [Theory]
    [InlineData("application/json; charset=x-unknown")]
    [InlineData("text/plain")]
    [InlineData("nonsense")]
    public async Task A_kind_of_content_that_nobody_reads_is_told(string type)
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        using var content = new ByteArrayContent("{\"text\":\"squat 3x8\"}"u8.ToArray());
        content.Headers.TryAddWithoutValidation("Content-Type", type);

        await browser.Http.PostAsync(new Uri("/api/v1/shorthand", UriKind.Relative), content).Problem(415, "content-type");
    }

    [Fact]
    public async Task A_post_that_is_sent_again_is_done_once()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var client = new { name = "Once", profile = new { level = "novice", goal = "muscle" } };
        browser.Http.DefaultRequestHeaders.Add("Idempotency-Key", "0123456789abcdef");

        var (first, again) = (await browser.Make("/api/v1/clients", client), await browser.Make("/api/v1/clients", client));

        again.GetProperty("id").GetInt64().ShouldBe(first.GetProperty("id").GetInt64());
        await browser.Post("/api/v1/clients", client with { name = "Twice" }).Problem(422, "key-reused");
        browser.Http.DefaultRequestHeaders.Remove("Idempotency-Key");
        browser.Http.DefaultRequestHeaders.Add("Idempotency-Key", new string('x', 200));
        await browser.Post("/api/v1/clients", client).Problem(400, "bad-request");
    }

    [Fact]
    public async Task No_door_takes_a_session_of_the_future()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var (plan, _, exercise) = await LoggedPlan.Make(browser);
        object Session(string day) =>
            new
            {
                planVersion = 1,
                performedOn = day,
                exercises = new[]
                {
                    new
                    {
                        line = 0,
                        exerciseId = exercise,
                        sets = new[] { new { reps = 8 } },
                    },
                },
            };
        var id = (await browser.Make($"/api/v1/plans/{plan}/sessions", new { session = Session(TestClock.Day()) }))
            .GetProperty("id")
            .GetInt64();

        foreach (var day in new[] { "9999-12-31", TestClock.Day(2), "1019-01-01" })
        {
            await browser.Post($"/api/v1/plans/{plan}/sessions", new { session = Session(day) }).Problem(400, "validation");
            await browser.Put($"/api/v1/plans/{plan}/sessions/{id}", new { revision = 1, value = Session(day) }).Problem(400, "validation");
            await browser
                .Post(
                    $"/api/v1/plans/{plan}/log-file",
                    new
                    {
                        sessions = new[]
                        {
                            new
                            {
                                day,
                                exercises = new[]
                                {
                                    new
                                    {
                                        line = 0,
                                        exerciseId = exercise,
                                        sets = new[] { new { reps = 8 } },
                                    },
                                },
                            },
                        },
                    }
                )
                .Problem(400, "validation");
        }

        (await browser.Read($"/api/v1/plans/{plan}/sessions")).GetArrayLength().ShouldBe(1);
    }

    [Fact]
    public async Task A_name_with_line_breaks_is_refused_where_it_comes_in()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        await browser.Post("/api/v1/clients/1/gym-weeks", new { name = "\n=1+1", text = "squat 3x8" }).Problem(400, "validation");
        await browser
            .Post("/api/v1/clients", new { name = "A\r\nB", profile = new { level = "novice", goal = "muscle" } })
            .Problem(400, "validation");
    }

    [Fact]
    public async Task The_roster_repairs_what_an_end_between_log_and_pulse_left()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var (plan, client, exercise) = await LoggedPlan.Make(browser);
        var coach = server.Services.GetRequiredService<CoachStore>().Find(TestServer.Email)!.Id;
        server
            .Services.GetRequiredService<LogStore>()
            .Add(
                coach,
                plan,
                new SessionRecord(
                    1,
                    TestClock.Today,
                    [
                        new Core.Progress.Logs.LoggedExercise(
                            new Core.Programs.Lines.LineKey(0),
                            exercise,
                            [new Core.Progress.Logs.LoggedSet { Reps = 8 }]
                        ),
                    ]
                )
            );

        var row = (await browser.Read("/api/v1/clients")).EnumerateArray().Single(r => r.GetProperty("id").GetInt64() == client);

        row.GetProperty("lastTrained").GetString().ShouldBe(TestClock.Day());
        server.Services.GetRequiredService<ActivityStore>().Due(coach).ShouldBeEmpty();
    }

    [Fact]
    public async Task Backup_check_doctor_and_password_work_on_the_folder_of_a_running_server()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        (int Code, string Said) Run(Func<CommandCall, int> command, params string[] args)
        {
            var given = new ConfigurationBuilder().AddCommandLine(["--data", server.Folder, .. args]).Build();
            using var said = new StringWriter();
            return (command(new CommandCall(given.Get<IngegnoOptions>()!, given, said)), said.ToString());
        }

        Run(DoctorCommand.Look).Said.ShouldContain("WRONG  backups: there is none");
        Run(BackupCommands.Backup).Said.ShouldContain("Made and checked");
        Run(BackupCommands.Check).Code.ShouldBe(0);
        Run(DoctorCommand.Look).Said.ShouldContain("newest backup opens");
        Should
            .Throw<StartException>(() => Run(BackupCommands.Restore, "--from", "nowhere.db"))
            .ExitCode.ShouldBe(StartException.FolderTaken, "the server runs");
        var reset = Run(PasswordCommand.Reset, "--email", TestServer.Email);

        await browser.Get("/api/v1/clients").Problem(401, "signed-out");
        var password = reset.Said.Split('\n')[0].Split(' ')[^1];
        var fresh = await server.Fresh();
        (await fresh.Post("/api/v1/session", new { email = TestServer.Email, password })).EnsureSuccessStatusCode();
        await fresh.RenewToken();
        (await fresh.Read("/api/v1/audit"))
            .EnumerateArray()
            .Select(a => a.GetProperty("what").GetString())
            .Take(2)
            .ShouldBe(["signed-in", "password-reset"]);
    }
}
