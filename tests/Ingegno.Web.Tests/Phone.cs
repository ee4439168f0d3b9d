using System.Net.Http.Json;
using System.Text.Json;
using Microsoft.AspNetCore.Mvc.Testing;

namespace Ingegno.Web.Tests;

/// <summary>A client's phone: it knows a link and nothing else.</summary>
internal sealed class Phone(HttpClient http, string secret)
{
    /// <summary>A phone that opened a link.</summary>
    public static Phone With(TestServer server, string secret) =>
        new(server.CreateClient(new WebApplicationFactoryClientOptions { AllowAutoRedirect = false }), secret);

    /// <summary>Sends a plan and opens its link on a phone.</summary>
    public static async Task<Phone> Sent(TestServer server, Browser coach, long plan, string word = "")
    {
        var sent = await coach.Make($"/api/v1/plans/{plan}/releases", new { version = 1, word });
        return With(server, SecretOf(sent.GetProperty("link")));
    }

    public static string SecretOf(JsonElement link) => link.GetProperty("address").GetString()!.Split('#')[1];

    public Task<HttpResponseMessage> Ask(
        HttpMethod method,
        string path,
        object? body = null,
        string? tag = null,
        string? accept = null,
        bool preview = false
    )
    {
        var request = new HttpRequestMessage(method, path)
        {
            Content = body is null ? null : JsonContent.Create(body, options: TestServer.Json),
        };
        request.Headers.Add("X-Ingegno-Link", secret);
        foreach (
            var (name, value) in new[] { ("If-None-Match", tag), ("Accept-Encoding", accept), ("X-Ingegno-Preview", preview ? "1" : null) }
        )
        {
            if (value is not null)
            {
                request.Headers.TryAddWithoutValidation(name, value);
            }
        }

        return http.SendAsync(request);
    }

    public async Task<JsonElement> Content() => await LoggedPlan.Answer(await Ask(HttpMethod.Get, "/api/v1/training"));

    public Task<HttpResponseMessage> Put(string key, object session) => Ask(HttpMethod.Put, $"/api/v1/training/sessions/{key}", session);

    /// <summary>A session of the small plan, as a phone sends it.</summary>
    public static object Session(
        long release,
        string exercise,
        int revision = 1,
        bool finished = true,
        int[]? reps = null,
        string key = "session-0001",
        DateTimeOffset? started = null,
        DateTimeOffset? sent = null,
        object? more = null,
        string note = ""
    ) =>
        new
        {
            key,
            revision,
            release,
            day = 0,
            course = 0,
            startedAt = started ?? new DateTimeOffset(2031, 3, 3, 8, 0, 0, TimeSpan.Zero),
            sentAt = sent ?? new DateTimeOffset(2031, 3, 3, 9, 0, 0, TimeSpan.Zero),
            finished,
            exercises = new[]
            {
                more
                    ?? new
                    {
                        line = 1,
                        exerciseId = exercise,
                        sets = (reps ?? [10, 9, 8]).Select(r => new { reps = r, rir = 2 }).ToArray(),
                    },
            },
            form = "fine",
            effort = finished ? 7 : (int?)null,
            minutes = finished ? 41 : (int?)null,
            note,
        };
}
