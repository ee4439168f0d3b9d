using System.Diagnostics;
using System.Globalization;
using System.Runtime.CompilerServices;
using System.Text.Json;

namespace Ingegno.Web.Tests;

public class HostileInputTests
{
    /// <summary>How many are sent; a long run: INGEGNO_INPUTS=10000 INGEGNO_SEED=2, which also says which were slow.</summary>
    private static int Setting(string name, int usual) =>
        int.TryParse(Environment.GetEnvironmentVariable(name), CultureInfo.InvariantCulture, out var set) ? set : usual;

    [Fact]
    public async Task No_request_however_wrong_is_answered_with_a_fault_of_the_server()
    {
        await using var server = new TestServer();
        var browser = await server.SignedIn();
        var api = JsonDocument.Parse(await File.ReadAllTextAsync(Description())).RootElement;
        var (faults, slow, read) = (new List<string>(), new List<string>(), 0);
        foreach (var (name, request) in new HostileRequests(api, Setting("INGEGNO_SEED", 1)).Take(Setting("INGEGNO_INPUTS", 700)))
        {
            using (request)
            {
                var started = Stopwatch.GetTimestamp();
                using var answer = await browser.Http.SendAsync(request);
                var text = await answer.Content.ReadAsStringAsync();
                read += (int)answer.StatusCode == 400 ? 0 : 1;
                if ((int)answer.StatusCode >= 500)
                {
                    faults.Add($"{(int)answer.StatusCode} {name}");
                }
                else if ((int)answer.StatusCode >= 400 && !text.Contains("\"code\"", StringComparison.Ordinal))
                {
                    faults.Add($"{(int)answer.StatusCode} without a code: {name} {text}");
                }

                if (Stopwatch.GetElapsedTime(started) is { TotalSeconds: > 1 } took)
                {
                    slow.Add(FormattableString.Invariant($"{took.TotalSeconds:0.0} s {name}"));
                }
            }
        }

        Console.WriteLine($"{read} were not refused as malformed; slower than a second: {slow.Count}\n{string.Join('\n', slow)}");
        faults.ShouldBeEmpty(string.Join('\n', faults.Take(20)));
        read.ShouldBeGreaterThan(20, "a part must come through, or nothing behind the door was tried");
    }

    private static string Description([CallerFilePath] string here = "") =>
        Path.Combine(Path.GetDirectoryName(here)!, "../../src/web/api/openapi.json");
}
