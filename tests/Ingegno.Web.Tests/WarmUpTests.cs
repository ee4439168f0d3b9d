using System.Text.RegularExpressions;
using Ingegno.Web.Infrastructure;
using Microsoft.Extensions.DependencyInjection;

namespace Ingegno.Web.Tests;

/// <summary>A machine so busy that the first match lasts too long still gets its server, and what takes long is made behind the first answer.</summary>
public class WarmUpTests
{
    [Fact]
    public async Task What_lasts_too_long_to_begin_with_is_left()
    {
        await using var server = new TestServer();
        var warm = server.Services.GetRequiredService<WarmUp>();
        var runs = 0;

        Should.NotThrow(() => warm.Warm(() => throw new RegexMatchTimeoutException("text", "pattern", TimeSpan.FromMilliseconds(600))));
        warm.Warm(() => runs++);

        runs.ShouldBe(1);
    }

    [Fact]
    public async Task A_server_says_when_it_is_warm()
    {
        await using var server = new TestServer();
        using var http = server.CreateClient();
        for (var tries = 0; tries < 600; tries++)
        {
            var said = await http.GetStringAsync(new Uri("/readyz", UriKind.Relative));
            if (said == "ready and warm")
            {
                return;
            }

            said.ShouldBe("ready");
            await Task.Delay(100);
        }

        Assert.Fail("It was not warm after a minute.");
    }
}
