using System.Net;

namespace Ingegno.Web.Tests;

/// <summary>What strangers may cost, and what they learn.</summary>
public class StrangersTests
{
    [Fact]
    public async Task Half_a_megabyte_of_address_is_refused_before_anything_is_done_with_it()
    {
        await using var server = new TestServer();
        var stranger = await server.Fresh();
        var body = new { email = new string('a', 200_000) + "@x.example", password = "x" };
        await stranger.Post("/api/v1/session", body).Problem(400, "validation");
        await stranger
            .Post("/api/v1/session", new { email = "a@x.example", password = new string('p', 50_000) })
            .Problem(400, "validation");
    }

    [Fact]
    public async Task A_crowd_of_one_coachs_requests_leaves_health_alone_and_is_answered_in_its_turn()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var crowd = Enumerable.Range(0, 60).Select(_ => coach.Post("/api/v1/shorthand", new { text = "Bench 3x8\nSquat 3x5" })).ToList();
        (await coach.Get("/healthz")).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Task.WhenAll(crowd)).ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK);
    }

    [Fact]
    public async Task More_than_a_queue_holds_is_told_to_come_again()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var crowd = await Task.WhenAll(Enumerable.Range(0, 600).Select(_ => coach.Post("/api/v1/shorthand", new { text = "Bench 3x8" })));
        crowd.ShouldAllBe(a => a.StatusCode == HttpStatusCode.OK || a.StatusCode == HttpStatusCode.ServiceUnavailable);
        crowd.Where(a => a.StatusCode == HttpStatusCode.ServiceUnavailable).ShouldAllBe(a => a.Headers.RetryAfter != null);
    }

    [Theory]
    [InlineData("/api/v1/trade", "gzip")]
    public async Task What_is_large_comes_packed(string path, string how)
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        coach.Http.DefaultRequestHeaders.Add("Accept-Encoding", how);
        var answer = await coach.Get(path);
        answer.Content.Headers.ContentEncoding.ShouldContain(how);

        (await coach.Get("/api/v1/session")).Content.Headers.ContentEncoding.ShouldBeEmpty("a token beside words of others stays unpacked");
    }
}
