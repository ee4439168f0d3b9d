using Ingegno.Storage;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

/// <summary>A password that was forgotten is set by a link that works once.</summary>
public class PasswordResetTests
{
    private const string Next = "a-boat-for-the-winter-9";

    [Fact]
    public async Task A_link_sets_the_password_once_and_ends_the_sessions()
    {
        await using var server = new TestServer();
        var signedIn = await server.SignedIn();
        var secret = server.Services.GetRequiredService<PasswordResetStore>().Begin(1);
        var stranger = await server.Fresh();

        (await stranger.Post("/api/v1/password-reset/use", new { secret, next = Next })).EnsureSuccessStatusCode();

        await signedIn.Get("/api/v1/clients").Problem(401, "signed-out");
        (await stranger.Post("/api/v1/session", new { email = TestServer.Email, password = Next })).EnsureSuccessStatusCode();
        await (await server.Fresh()).Post("/api/v1/password-reset/use", new { secret, next = Next + "x" }).Problem(400, "link-used");
    }

    [Fact]
    public async Task A_link_that_is_old_or_was_made_anew_works_no_more()
    {
        await using var server = new TestServer();
        var resets = server.Services.GetRequiredService<PasswordResetStore>();
        var stranger = await server.Fresh();
        var (first, second) = (resets.Begin(1), resets.Begin(1));
        await stranger.Post("/api/v1/password-reset/use", new { secret = first, next = Next }).Problem(400, "link-used");
        server.Clock.Pass(TimeSpan.FromMinutes(61));
        await stranger.Post("/api/v1/password-reset/use", new { secret = second, next = Next }).Problem(400, "link-used");
    }

    [Fact]
    public async Task Asking_tells_nobody_who_signs_in_here_and_is_slowed()
    {
        await using var server = new TestServer();
        var stranger = await server.Fresh();
        var (known, unknown) = (
            await stranger.Make("/api/v1/password-reset", new { email = TestServer.Email }),
            await stranger.Make("/api/v1/password-reset", new { email = "nobody@boathouse.example" })
        );
        known.ToString().ShouldBe(unknown.ToString());
        known.GetProperty("byMail").GetBoolean().ShouldBeFalse("no mail server is named");
        for (var i = 0; i < 3; i++)
        {
            await stranger.Make("/api/v1/password-reset", new { email = TestServer.Email });
        }

        await stranger.Post("/api/v1/password-reset", new { email = TestServer.Email }).Problem(429, "too-many-tries");
    }

    [Fact]
    public async Task A_strangers_tries_do_not_lock_out_whoever_has_the_link()
    {
        await using var server = new TestServer();
        var stranger = await server.Fresh();
        for (var i = 0; i < 12; i++)
        {
            await stranger.Post("/api/v1/password-reset/use", new { secret = $"guess-{i}", next = Next });
        }

        await stranger.Post("/api/v1/password-reset/use", new { secret = "guess", next = Next }).Problem(429, "too-many-tries");
        var secret = server.Services.GetRequiredService<PasswordResetStore>().Begin(1);
        (await stranger.Post("/api/v1/password-reset/use", new { secret, next = Next })).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task A_mailed_link_begins_with_the_configured_address_whatever_the_request_calls_the_server()
    {
        await using var server = new TestServer
        {
            Settings = host =>
            {
                host.UseSetting("SmtpHost", "127.0.0.1");
                host.UseSetting("SmtpPort", "9");
                host.UseSetting("PublicAddress", "https://training.boathouse.example");
                host.UseSetting("AllowedHosts", "*");
            },
        };
        var stranger = await server.Fresh();
        stranger.Http.DefaultRequestHeaders.Host = "evil.example";
        (await stranger.Make("/api/v1/password-reset", new { email = TestServer.Email })).GetProperty("byMail").GetBoolean().ShouldBeTrue();

        var mail = await Waiting(server);
        mail.ShouldContain("https://training.boathouse.example/#reset=");
        mail.ShouldNotContain("evil");
    }

    [Fact]
    public async Task Without_a_configured_address_nothing_is_mailed()
    {
        await using var server = new TestServer { Settings = host => host.UseSetting("SmtpHost", "127.0.0.1") };
        var stranger = await server.Fresh();
        (await stranger.Make("/api/v1/password-reset", new { email = TestServer.Email }))
            .GetProperty("byMail")
            .GetBoolean()
            .ShouldBeFalse();
    }

    private static async Task<string> Waiting(TestServer server)
    {
        for (var i = 0; i < 100; i++)
        {
            using var connection = server.Services.GetRequiredService<Database>().Open();
            using var command = connection.CreateCommand();
            command.CommandText = "SELECT CAST(message AS TEXT) FROM outbox";
            if (command.ExecuteScalar() is string mail)
            {
                return mail;
            }

            await Task.Delay(50);
        }

        return string.Empty;
    }
}
