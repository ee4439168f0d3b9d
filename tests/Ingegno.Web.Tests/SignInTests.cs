using System.Net;
using Microsoft.AspNetCore.Authorization;
using Microsoft.AspNetCore.Http;
using Microsoft.AspNetCore.Routing;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

public class SignInTests
{
    /// <summary>The only endpoints that answer before sign-in.</summary>
    private static readonly string[] Open =
    [
        "GET /healthz",
        "GET /readyz",
        "GET /api/v1/session/",
        "POST /api/v1/session/",
        "POST /api/v1/first-coach",
        "POST /api/v1/password-reset",
        "POST /api/v1/password-reset/use",
        "/{*path:nonfile}",
        "/s/{*path:nonfile}",
        "GET /calendar/{secret}.ics",
    ];

    [Fact]
    public async Task Every_endpoint_is_closed_unless_it_is_listed_as_open()
    {
        await using var server = new TestServer();
        var browser = await server.Fresh();
        var closed = 0;
        foreach (var endpoint in server.Services.GetRequiredService<EndpointDataSource>().Endpoints.OfType<RouteEndpoint>())
        {
            var methods = endpoint.Metadata.GetMetadata<HttpMethodMetadata>()?.HttpMethods ?? [string.Empty];
            foreach (var method in methods)
            {
                var name = $"{method} {endpoint.RoutePattern.RawText}".Trim();
                name =
                    name.StartsWith('/') || name.Contains(" /", StringComparison.Ordinal)
                        ? name
                        : name.Replace(" ", " /", StringComparison.Ordinal);
                if (endpoint.Metadata.GetMetadata<IAllowAnonymous>() is not null)
                {
                    Open.ShouldContain(o => name.EndsWith(o.TrimStart('/'), StringComparison.Ordinal) || o == name, name);
                    continue;
                }

                var path = "/" + endpoint.RoutePattern.RawText!.TrimStart('/').Replace("{**rest}", "rest", StringComparison.Ordinal);
                path = System.Text.RegularExpressions.Regex.Replace(path, @"\{[^}]+\}", "1");
                using var request = new HttpRequestMessage(new HttpMethod(method.Length == 0 ? "GET" : method), path);
                var answer = await browser.Http.SendAsync(request);
                answer.StatusCode.ShouldBe(HttpStatusCode.Unauthorized, name);
                closed++;
            }
        }

        closed.ShouldBeGreaterThan(20, "the walk must have seen the endpoints");
    }

    [Fact]
    public async Task A_cookie_opens_nothing_once_its_session_is_ended()
    {
        await using var server = new TestServer();
        var (here, there) = (await server.SignedIn(), await server.SignedIn());
        (await there.Read("/api/v1/signed-in")).GetArrayLength().ShouldBe(2);

        var stolen = there.Http.DefaultRequestHeaders.ToString();
        (await there.Delete("/api/v1/session")).EnsureSuccessStatusCode();
        await there.Get("/api/v1/clients").Problem(401, "signed-out");
        stolen.ShouldNotBeNull();

        var third = await server.SignedIn();
        (await here.Delete("/api/v1/signed-in/others")).EnsureSuccessStatusCode();
        await third.Get("/api/v1/clients").Problem(401, "signed-out");
        (await here.Get("/api/v1/clients")).EnsureSuccessStatusCode();
    }

    [Fact]
    public async Task Another_password_ends_the_other_sessions_and_the_old_password_opens_nothing()
    {
        await using var server = new TestServer();
        var (here, there) = (await server.SignedIn(), await server.SignedIn());

        await here.Put("/api/v1/password", new { present = "guess", next = "a-new-password-of-mine" }).Problem(400, "wrong-password");
        await here.Put("/api/v1/password", new { present = TestServer.Password, next = "short" }).Problem(400, "validation");
        foreach (var common in new[] { "Password1234", "aaaaaaaaaaaa", "correct horse battery staple" })
        {
            await here.Put("/api/v1/password", new { present = TestServer.Password, next = common }).Problem(400, "validation");
        }

        (
            await here.Put("/api/v1/password", new { present = TestServer.Password, next = "a-new-password-of-mine" })
        ).EnsureSuccessStatusCode();

        await there.Get("/api/v1/clients").Problem(401, "signed-out");
        (await here.Get("/api/v1/clients")).EnsureSuccessStatusCode();
        var fresh = await server.Fresh();
        await fresh
            .Post("/api/v1/session", new { email = TestServer.Email, password = TestServer.Password })
            .Problem(401, "wrong-password");
    }

    [Fact]
    public async Task A_coach_who_is_removed_is_out_at_once()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        using (var connection = server.Services.GetRequiredService<Ingegno.Storage.Database>().Open())
        {
            using var remove = connection.CreateCommand();
            remove.CommandText = "DELETE FROM coach";
            remove.ExecuteNonQuery();
        }

        await browser.Get("/api/v1/clients").Problem(401, "signed-out");
        await browser.Post("/api/v1/clients", new { name = "Nobody's" }).Problem(401, "signed-out");
    }

    [Fact]
    public async Task A_database_that_somebody_else_holds_is_no_failure_of_the_server()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        using var holder = server.Services.GetRequiredService<Ingegno.Storage.Database>().Open();
        using var hold = holder.CreateCommand();
        hold.CommandText = "BEGIN EXCLUSIVE";
        hold.ExecuteNonQuery();

        var answer = await browser.Post("/api/v1/clients", new { name = "Waits", profile = new { level = "novice", goal = "muscle" } });
        (answer.StatusCode, answer.Headers.RetryAfter?.Delta).ShouldBe((HttpStatusCode.ServiceUnavailable, TimeSpan.FromSeconds(5)));
    }

    [Fact]
    public async Task A_wrong_password_and_an_unknown_address_are_told_alike()
    {
        await using var server = new TestServer();
        var browser = await server.Fresh();

        var wrong = await browser
            .Post("/api/v1/session", new { email = TestServer.Email, password = "guess" })
            .Problem(401, "wrong-password");
        var unknown = await browser
            .Post("/api/v1/session", new { email = "nobody@elsewhere.example", password = "guess" })
            .Problem(401, "wrong-password");

        unknown.GetProperty("detail").GetString().ShouldBe(wrong.GetProperty("detail").GetString());
        await browser.Post("/api/v1/session", new { email = (string?)null, password = (string?)null }).Problem(400, "json");
    }

    [Fact]
    public async Task Guessing_is_slowed_down_more_with_every_guess_and_shuts_nobody_else_out()
    {
        await using var server = new TestServer();
        var browser = await server.Fresh();
        object Guess(string email) => new { email, password = "guess" };
        for (var i = 0; i < 10; i++)
        {
            _ = await browser.Post("/api/v1/session", Guess("a@b.example"));
        }

        var refused = await browser.Post("/api/v1/session", Guess("a@b.example"));
        refused.StatusCode.ShouldBe(HttpStatusCode.TooManyRequests);
        refused.Headers.RetryAfter!.Delta!.Value.TotalSeconds.ShouldBeInRange(1, 2);
        server.Clock.Pass(TimeSpan.FromSeconds(2));
        await browser.Post("/api/v1/session", Guess("a@b.example")).Problem(401, "wrong-password");
        (await browser.Post("/api/v1/session", Guess("a@b.example"))).Headers.RetryAfter!.Delta!.Value.TotalSeconds.ShouldBeInRange(3, 4);

        // From the same address, behind the same proxy: another coach, with the right password.
        (await server.SignedIn()).ShouldNotBeNull();
    }

    [Fact]
    public void A_coach_whose_account_is_guessed_at_from_everywhere_still_comes_in_from_where_he_was_before()
    {
        var clock = new TestClock();
        var guard = new Ingegno.Web.Infrastructure.SignInGuard(clock);
        guard.Right("lena@boathouse.example", "198.51.100.7");
        for (var i = 0; i < 60; i++)
        {
            guard.Wrong("Lena@boathouse.example", $"203.0.113.{i}");
        }

        guard.Wait("lena@boathouse.example", "192.0.2.1").ShouldBeGreaterThan(TimeSpan.Zero);
        guard.Wait("lena@boathouse.example", "198.51.100.7").ShouldBe(TimeSpan.Zero);
        guard.Wait("tom@boathouse.example", "192.0.2.1").ShouldBe(TimeSpan.Zero);
        clock.Pass(TimeSpan.FromHours(2));
        guard.Wait("lena@boathouse.example", "192.0.2.1").ShouldBe(TimeSpan.Zero);
    }

    [Fact]
    public async Task The_cookie_is_strict_and_out_of_reach_of_scripts()
    {
        await using var server = new TestServer();
        var browser = await server.Fresh();
        var answer = await browser.Post("/api/v1/session", new { email = TestServer.Email, password = TestServer.Password });

        var cookie = answer.Headers.GetValues("Set-Cookie").Single(c => c.StartsWith("ingegno=", StringComparison.Ordinal));
        cookie.ShouldContain("samesite=strict", Case.Insensitive);
        cookie.ShouldContain("httponly", Case.Insensitive);
    }

    [Fact]
    public async Task A_change_without_the_page_token_is_refused()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        browser.Http.DefaultRequestHeaders.Remove("X-Ingegno-Token");

        await browser
            .Post("/api/v1/clients", new { name = "x", profile = new { level = "beginner", goal = "muscle" } })
            .Problem(400, "antiforgery");
    }

    [Fact]
    public async Task After_signing_out_nothing_answers()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        (await browser.Delete("/api/v1/session")).EnsureSuccessStatusCode();

        await browser.Get("/api/v1/clients").Problem(401, "signed-out");
    }

    [Fact]
    public async Task The_first_start_asks_for_the_coach_and_knows_no_default_password()
    {
        await using var server = TestServer.Empty();
        var browser = await server.Fresh();
        (await browser.Read("/api/v1/session")).GetProperty("needsFirstCoach").GetBoolean().ShouldBeTrue();
        await browser
            .Post("/api/v1/session", new { email = TestServer.Email, password = TestServer.Password })
            .Problem(401, "wrong-password");
        await browser
            .Post(
                "/api/v1/first-coach",
                new
                {
                    name = "Lena",
                    email = "lena@boathouse.example",
                    password = "short",
                    setupCode = "",
                }
            )
            .Problem(400, "validation");

        var first = new
        {
            name = "Lena",
            email = "lena@boathouse.example",
            password = "a password long enough",
            setupCode = server.Services.GetRequiredService<Ingegno.Web.Infrastructure.SetupCode>().Text.ToLowerInvariant(),
        };
        await browser.Post("/api/v1/first-coach", first with { setupCode = "AAAA-BBBB-CCCC" }).Problem(400, "validation");
        (await browser.Post("/api/v1/first-coach", first)).EnsureSuccessStatusCode();

        await browser.RenewToken();
        (await browser.Read("/api/v1/session")).GetProperty("coach").GetProperty("name").GetString().ShouldBe("Lena");
        await browser.Post("/api/v1/first-coach", first).Problem(409, "coach-exists");
    }

    [Fact]
    public async Task Pages_carry_a_policy_that_keeps_foreign_scripts_out()
    {
        await using var server = new TestServer();
        var answer = await (await server.Fresh()).Get("/healthz");

        answer.StatusCode.ShouldBe(HttpStatusCode.OK);
        var policy = answer.Headers.GetValues("Content-Security-Policy").Single();
        policy.ShouldContain("script-src 'self';");
        policy.ShouldNotContain("unsafe-eval");
    }

    [Fact]
    public async Task Who_is_signed_in_is_told_the_version_and_nobody_else_is()
    {
        using var server = new TestServer();

        (await (await server.Fresh()).Read("/api/v1/session")).TryGetProperty("version", out _).ShouldBeFalse();
        (await (await server.SignedIn()).Read("/api/v1/session")).GetProperty("version").GetString().ShouldBe(ChangeLog.Newest);
    }

    /// <summary>What the change log calls the newest version.</summary>
    private static class ChangeLog
    {
        public static string Newest =>
            File.ReadLines(Repository.File("CHANGELOG.md")).First(line => line.StartsWith("## ", StringComparison.Ordinal))[3..].Trim();
    }
}
