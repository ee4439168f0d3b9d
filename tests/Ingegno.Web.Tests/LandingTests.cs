using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>
/// Databases as earlier landings left them (Landings/, one each, of the rowing club): what stands in them opens, is worked on, sent and
/// logged.
/// </summary>
public sealed class LandingTests
{
    public static TheoryData<string> Landings =>
        [.. Directory.EnumerateFiles(Folder, "*.db.gz").Select(f => Path.GetFileName(f)).Order(StringComparer.Ordinal)];

    /// <summary>
    /// A pull-up of November with 8.3 kg on nothing: such a load was written without what carries it, and the nearest here is 12 kg between
    /// the feet, 3.4 % more with the body.
    /// </summary>
    private const int MostTold = 1;

    private static string Folder => Repository.File("tests", "Ingegno.Web.Tests", "Landings");

    [Theory]
    [MemberData(nameof(Landings))]
    public async Task Plans_of_a_landing_open_and_go_on(string landing)
    {
        using var server = TestServer.From(Path.Combine(Folder, landing));
        var coach = await server.SignedIn();
        var clients = (await coach.Read("/api/v1/clients")).EnumerateArray().ToList();
        var plans = 0;
        foreach (var client in clients.Select(c => c.GetProperty("id").GetInt64()))
        {
            foreach (var plan in (await coach.Read($"/api/v1/clients/{client}/plans")).EnumerateArray())
            {
                await GoesOn(server, coach, plan.GetProperty("id").GetInt64());
                plans++;
            }
        }

        plans.ShouldBeGreaterThan(0);
        Ingegno.Storage.DatabaseCheck.FindFaults(Path.Combine(server.Folder, "ingegno.db")).ShouldBeEmpty();
    }

    private static async Task GoesOn(TestServer server, Browser coach, long id)
    {
        var plan = await coach.Read($"/api/v1/plans/{id}");
        var document = plan.GetProperty("value").GetProperty("document");
        var lines = Lines(document);
        lines.Count.ShouldBeGreaterThan(0);

        // It is rebuilt with what was chosen in it.
        var week = await coach.Make("/api/v1/rebuild/brief", document.GetProperty("request"));
        Lines(week).Count.ShouldBe(lines.Count);
        week.GetProperty("errors").GetArrayLength().ShouldBe(0);

        // A decision leaves every other line as it stood, to the gram; what cannot stay is told.
        var first = lines.First(l => l.TryGetProperty("chosen", out _));
        var exercise = first.GetProperty("chosen").GetProperty("exercises")[0];
        var decided = await coach.Make(
            "/api/v1/decisions",
            new
            {
                request = document.GetProperty("request"),
                standing = document.GetProperty("plan").GetProperty("standing"),
                decisions = new[]
                {
                    new
                    {
                        kind = "set-figures",
                        edits = new[]
                        {
                            new
                            {
                                line = Key(first),
                                exerciseId = exercise.GetProperty("exerciseId").GetString(),
                                rir = 4,
                            },
                        },
                    },
                },
            }
        );
        var told = decided.GetProperty("beside").EnumerateArray().Select(b => b.GetProperty("line").GetInt32()).ToList();
        told.Count.ShouldBeLessThanOrEqualTo(MostTold, "lines that change all the same");
        var after = Lines(decided.GetProperty("result")).ToDictionary(Key, Asked);
        foreach (var line in lines.Where(l => Key(l) != Key(first) && !told.Contains(Key(l))))
        {
            after[Key(line)].ShouldBe(Asked(line));
        }

        // The decision is saved, sent, and what was trained is logged.
        var saved = await coach.Make(
            $"/api/v1/plans/{id}/versions",
            new
            {
                revision = plan.GetProperty("revision").GetInt32(),
                title = document.GetProperty("title"),
                request = decided.GetProperty("request"),
            }
        );
        var version = saved.GetProperty("value").GetProperty("version").GetInt32();
        await coach.Make($"/api/v1/plans/{id}/releases", new { version, sure = true });
        var link = await coach.Make($"/api/v1/clients/{plan.GetProperty("value").GetProperty("clientId")}/link", new { });
        (await Phone.With(server, Phone.SecretOf(link)).Content()).GetProperty("releases").GetArrayLength().ShouldBeGreaterThan(0);
        var day = TestClock.Today.ToString("yyyy-MM-dd", System.Globalization.CultureInfo.InvariantCulture);
        (
            await coach.Post(
                $"/api/v1/plans/{id}/sessions",
                new
                {
                    session = LoggedPlan.Session(day, (Key(first), exercise.GetProperty("exerciseId").GetString()!, 8), version),
                    sure = true,
                }
            )
        ).EnsureSuccessStatusCode();
        (await coach.Get($"/api/v1/plans/{id}/next")).EnsureSuccessStatusCode();
        (await coach.Get($"/api/v1/plans/{id}/home-plan.csv")).EnsureSuccessStatusCode();
        (
            await coach.Post($"/api/v1/plans/{id}/undo", new { revision = saved.GetProperty("revision").GetInt32() })
        ).EnsureSuccessStatusCode();
    }

    private static List<JsonElement> Lines(JsonElement of) => [.. of.GetProperty("plan").GetProperty("lines").EnumerateArray()];

    private static int Key(JsonElement line) => line.GetProperty("gym").GetProperty("key").GetInt32();

    /// <summary>What a line asks of the client.</summary>
    private static string Asked(JsonElement line) =>
        !line.TryGetProperty("chosen", out var chosen)
            ? "nothing"
            : string.Join(
                " + ",
                from home in chosen.GetProperty("exercises").EnumerateArray()
                let dose = home.GetProperty("dose")
                let things = new[] { "exerciseId", "setupId", "externalKg" }.Select(of => home.GetProperty(of))
                let figures = new[] { "figures", "tempo", "restSeconds", "rir" }.Select(of => dose.GetProperty(of))
                select string.Join(' ', things.Concat(figures))
            );
}
