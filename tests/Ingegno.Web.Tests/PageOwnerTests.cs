using System.Net;
using Ingegno.Storage;
using Microsoft.AspNetCore.Identity;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

/// <summary>Two coaches in one browser: what was typed into a page of one never lands in the practice of the other.</summary>
public class PageOwnerTests
{
    [Fact]
    public async Task A_page_of_one_coach_is_refused_once_another_has_signed_in()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var first = (await browser.Read("/api/v1/session")).GetProperty("coach").GetProperty("key").GetString()!;
        browser.Http.DefaultRequestHeaders.Add("X-Ingegno-Coach", first);
        (await browser.Get("/api/v1/clients")).StatusCode.ShouldBe(HttpStatusCode.OK);

        // In another tab somebody else signs in; this page renews its token and tries again, as pages do.
        Add(server);
        browser.Http.DefaultRequestHeaders.Remove("X-Ingegno-Coach");
        (
            await browser.Post("/api/v1/session", new { email = "two@boathouse.example", password = TestServer.Password })
        ).EnsureSuccessStatusCode();
        await browser.RenewToken();
        browser.Http.DefaultRequestHeaders.Add("X-Ingegno-Coach", first);

        var client = new { name = "Half typed", profile = new { level = "beginner", goal = "muscle" } };
        await browser.Post("/api/v1/clients", client).Problem(409, "other-coach");
        await browser.Get("/api/v1/clients").Problem(409, "other-coach");
        browser.Http.DefaultRequestHeaders.Remove("X-Ingegno-Coach");
        (await browser.Read("/api/v1/clients")).GetArrayLength().ShouldBe(0);
    }

    private static void Add(TestServer server)
    {
        using var connection = server.Services.GetRequiredService<Database>().Open();
        using var command = connection.CreateCommand();
        command.CommandText =
            "INSERT INTO coach (email, name, password_hash, created_at) VALUES ('two@boathouse.example', 'Two', $hash, '2031-01-01T00:00:00Z')";
        command.Parameters.AddWithValue("$hash", new PasswordHasher<Coach>().HashPassword(null!, TestServer.Password));
        command.ExecuteNonQuery();
    }
}
