using System.Net.Http.Json;
using System.Text;
using Microsoft.AspNetCore.Builder;
using Microsoft.AspNetCore.Hosting;
using Microsoft.AspNetCore.TestHost;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

/// <summary>No request holds a core for long: not one that asks for very much, and not one whose caller has gone.</summary>
public sealed class DeadlineTests
{
    private static readonly object Client = new
    {
        level = "intermediate",
        goal = "muscle",
        bodyMassKg = 80,
    };

    /// <summary>Twelve weeks of two hundred lines, tried with every offer: minutes of work.</summary>
    private static readonly object MuchWork = new
    {
        plans = Enumerable.Repeat(
            new
            {
                client = Client,
                kit = new { name = "Home", items = Array.Empty<object>() },
                gymLines = Enumerable.Repeat("Bench press 4x8 @ 60 kg", 200),
            },
            12
        ),
    };

    [Theory]
    [InlineData("/api/v1/buy-next")]
    [InlineData("/api/v1/rebuild")]
    [InlineData("/api/v1/shorthand")]
    [InlineData("/api/v1/program/preview")]
    [InlineData("/api/v1/clients/table")]
    [InlineData("/api/v1/plan-check")]
    public async Task Work_past_its_deadline_is_given_up_and_told(string path)
    {
        await using var hurried = new TestServer { Settings = web => web.UseSetting("LongestSeconds", "0") };
        var browser = await hurried.SignedIn();
        var line = "Bench press 4x8 @ 60 kg";
        object body = path switch
        {
            "/api/v1/buy-next" => MuchWork,
            "/api/v1/shorthand" => new { text = line },
            "/api/v1/program/preview" => new { content = Base64("Day,Exercise,Sets,Reps\nA,Bench press,4,8\n") },
            "/api/v1/clients/table" => new { content = Base64("Name,Age\nMarlo,30\n") },
            "/api/v1/plan-check" => new { text = line, client = Client },
            _ => new
            {
                client = Client,
                kit = new { name = "Home", items = Array.Empty<object>() },
                gymLines = new[] { line },
            },
        };

        var problem = await browser.Post(path, body).Problem(503, "too-much-work");

        problem.GetProperty("detail").GetString()!.ShouldContain("fewer lines or weeks");
    }

    [Fact]
    public async Task Work_stops_when_the_caller_has_gone()
    {
        var ended = new TaskCompletionSource<string>();
        await using var watched = new TestServer
        {
            Settings = web =>
                web.ConfigureTestServices(services => services.AddSingleton<IStartupFilter>(new EndOfRequest("/api/v1/buy-next", ended))),
        };
        var browser = await watched.SignedIn();
        using var gone = new CancellationTokenSource(TimeSpan.FromMilliseconds(500));
        using var content = JsonContent.Create(MuchWork, options: TestServer.Json);

        await Should.ThrowAsync<OperationCanceledException>(() =>
            browser.Http.PostAsync(new Uri("/api/v1/buy-next", UriKind.Relative), content, gone.Token)
        );

        // The rest of it would take minutes, and the deadline lies at twenty seconds.
        (await ended.Task.WaitAsync(TimeSpan.FromSeconds(15))).ShouldBe("/api/v1/buy-next");
    }

    private static string Base64(string text) => Convert.ToBase64String(Encoding.UTF8.GetBytes(text));

    /// <summary>Tells when the server is done with a request, whether or not anybody still listens.</summary>
    private sealed class EndOfRequest(string path, TaskCompletionSource<string> ended) : IStartupFilter
    {
        public Action<IApplicationBuilder> Configure(Action<IApplicationBuilder> next) =>
            app =>
            {
                app.Use(
                    async (context, rest) =>
                    {
                        await rest(context);
                        if (context.Request.Path == path)
                        {
                            ended.TrySetResult(context.Request.Path);
                        }
                    }
                );
                next(app);
            };
    }
}
