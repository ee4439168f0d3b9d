using System.Collections.Concurrent;
using System.Diagnostics;
using System.Globalization;
using System.Net.Http.Json;
using System.Text.Json;
using Dapper;
using Ingegno.Storage;

namespace Ingegno.Bench;

/// <summary>
/// A day's traffic of many coaches in minutes, against a server of its own: every coach has clients with a plan, looks at the roster, opens a
/// client, rebuilds, logs a session and reads what comes next, without a pause between. Errors, times and memory are printed.
/// </summary>
internal sealed class Soak(string serverDll, int coaches, int clients, TimeSpan length)
{
    private const string Password = "slipway-lantern-42-soak";

    private readonly ConcurrentDictionary<string, ConcurrentBag<double>> _times = new();
    private readonly ConcurrentBag<string> _errors = [];

    private static readonly object Kit = new
    {
        name = "Flat",
        items = new object[]
        {
            new
            {
                id = "db",
                kind = "dumbbell",
                massKg = 8,
                count = 2,
            },
            new
            {
                id = "chair",
                kind = "chair",
                count = 2,
                heightCm = 45,
            },
            new
            {
                id = "bag",
                kind = "rucksack",
                volumeL = 25,
            },
            new
            {
                id = "bottles",
                kind = "bottle",
                count = 6,
                massKg = 1.53,
            },
        },
    };

    private static readonly string[] Week =
    [
        "= Day 1",
        "Back squat 4x6 RIR 2",
        "Bench press 4x8 RIR 2",
        "Seated cable row 3x10",
        "Biceps curl 3x12",
        "= Day 2",
        "Romanian deadlift 3x8",
        "Overhead press 4x6",
        "Lat pulldown 3x10",
        "Plank 3x30 s",
    ];

    public async Task Run()
    {
        var folder = Directory.CreateTempSubdirectory("ingegno-soak-");
        using var server = Process.Start(
            new ProcessStartInfo("dotnet", [serverDll, "--urls", "http://127.0.0.1:0", "--Data", folder.FullName])
            {
                RedirectStandardOutput = true,
                RedirectStandardError = true,
            }
        )!;
        server.ErrorDataReceived += (_, line) => Note(line.Data);
        server.BeginErrorReadLine();
        try
        {
            var (address, code) = await Started(server);
            var practices = await Settle(address, code, Path.Combine(folder.FullName, "ingegno.db"));
            var memory = new List<long> { Resident(server) };
            _times.Clear();
            var clock = Stopwatch.StartNew();
            var day = Task.WhenAll(practices.Select((p, i) => Day(p, i, clock)));
            for (var quarter = 1; quarter <= 4; quarter++)
            {
                await Task.WhenAny(Task.Delay(length / 4), day);
                memory.Add(Resident(server));
            }

            await day;
            Print(clock.Elapsed, memory, new FileInfo(Path.Combine(folder.FullName, "ingegno.db")).Length);
        }
        finally
        {
            server.Kill();
            await server.WaitForExitAsync();
            folder.Delete(recursive: true);
        }
    }

    /// <summary>A coach who is signed in.</summary>
    private sealed record Practice(HttpClient Http, IReadOnlyList<(long Client, long Plan, string Exercise)> Clients);

    private static async Task<(Uri Address, string Code)> Started(Process server)
    {
        var code = string.Empty;
        while (await server.StandardOutput.ReadLineAsync() is { } line)
        {
            if (line.Contains("setup code", StringComparison.Ordinal))
            {
                code = line.Split(' ')[^1];
            }

            if (line.Contains("running at", StringComparison.Ordinal))
            {
                return (new Uri(line.Split(' ')[^1]), code);
            }
        }

        throw new InvalidOperationException("The server did not start.");
    }

    /// <summary>Coaches, each with clients, places, weeks and plans.</summary>
    private async Task<List<Practice>> Settle(Uri address, string code, string file)
    {
        static string Email(int coach) => $"coach{coach}@boathouse.example";
        using (var first = Browser(address))
        {
            await Renew(first);
            var made = await first.PostAsJsonAsync(
                "/api/v1/first-coach",
                new
                {
                    name = "Coach 0",
                    email = Email(0),
                    password = Password,
                    setupCode = code,
                }
            );
            made.EnsureSuccessStatusCode();
        }

        using (var connection = new Database(file).Open())
        {
            for (var i = 1; i < coaches; i++)
            {
                await connection.ExecuteAsync(
                    "INSERT INTO coach (email, name, password_hash, created_at) SELECT @email, @email, password_hash, created_at FROM coach WHERE id = 1",
                    new { email = Email(i) }
                );
            }
        }

        var practices = new ConcurrentBag<Practice>();
        await Parallel.ForEachAsync(
            Enumerable.Range(0, coaches),
            new ParallelOptions { MaxDegreeOfParallelism = 4 },
            async (i, _) =>
            {
                var http = Browser(address);
                await Renew(http);
                (await http.PostAsJsonAsync("/api/v1/session", new { email = Email(i), password = Password }, _)).EnsureSuccessStatusCode();
                await Renew(http);
                var settled = new List<(long, long, string)>();
                for (var c = 0; c < clients; c++)
                {
                    settled.Add(await Client(http, i, c));
                }

                practices.Add(new Practice(http, settled));
            }
        );
        return [.. practices];
    }

    private static async Task<(long, long, string)> Client(HttpClient http, int coach, int number)
    {
        var profile = new
        {
            level = "intermediate",
            goal = "muscle",
            bodyMassKg = 55 + ((coach + (number * 7)) % 45),
            daysPerWeek = 2,
        };
        var client = (await Make(http, "/api/v1/clients", new { name = $"Client {coach}-{number}", profile })).GetProperty("id").GetInt64();
        await Make(http, $"/api/v1/clients/{client}/places", Kit);
        await Make(http, $"/api/v1/clients/{client}/gym-weeks", new { name = "Week", text = string.Join('\n', Week) });
        var plan = await Make(http, $"/api/v1/clients/{client}/plans", new { title = "Week", request = Request(profile) });
        var exercise = plan.GetProperty("value")
            .GetProperty("document")
            .GetProperty("plan")
            .GetProperty("lines")[0]
            .GetProperty("chosen")
            .GetProperty("exercises")[0]
            .GetProperty("exerciseId")
            .GetString()!;
        return (client, plan.GetProperty("id").GetInt64(), exercise);
    }

    private static object Request(object profile) =>
        new
        {
            client = profile,
            kit = Kit,
            gymLines = Week,
        };

    private async Task Day(Practice practice, int coach, Stopwatch clock)
    {
        for (var turn = coach; clock.Elapsed < length; turn++)
        {
            var (client, plan, exercise) = practice.Clients[turn % practice.Clients.Count];
            await Timed("roster", () => practice.Http.GetAsync(new Uri("/api/v1/clients", UriKind.Relative)));
            await Timed("client", () => practice.Http.GetAsync(new Uri($"/api/v1/clients/{client}", UriKind.Relative)));
            await Timed("plan", () => practice.Http.GetAsync(new Uri($"/api/v1/plans/{plan}", UriKind.Relative)));
            await Timed(
                "rebuild",
                () =>
                    practice.Http.PostAsJsonAsync(
                        "/api/v1/rebuild",
                        Request(
                            new
                            {
                                level = "intermediate",
                                goal = "muscle",
                                bodyMassKg = 60 + (turn % 40),
                                daysPerWeek = 2,
                            }
                        )
                    )
            );
            await Timed(
                "log",
                () =>
                    practice.Http.PostAsJsonAsync(
                        $"/api/v1/plans/{plan}/sessions",
                        new
                        {
                            sure = true,
                            session = new
                            {
                                planVersion = 1,
                                performedOn = DateTime.UtcNow.AddDays(-(turn % 60)).ToString("yyyy-MM-dd", CultureInfo.InvariantCulture),
                                exercises = new[]
                                {
                                    new
                                    {
                                        line = 0,
                                        exerciseId = exercise,
                                        sets = new[] { new { reps = 8, rir = 2 }, new { reps = 8, rir = 1 } },
                                    },
                                },
                            },
                        }
                    )
            );
            await Timed("next", () => practice.Http.GetAsync(new Uri($"/api/v1/plans/{plan}/next", UriKind.Relative)));
        }
    }

    private async Task Timed(string what, Func<Task<HttpResponseMessage>> call)
    {
        var started = Stopwatch.GetTimestamp();
        try
        {
            using var answer = await call();
            if (!answer.IsSuccessStatusCode)
            {
                _errors.Add($"{what}: {(int)answer.StatusCode} {await answer.Content.ReadAsStringAsync()}");
            }
        }
        catch (HttpRequestException e)
        {
            _errors.Add($"{what}: {e.Message}");
        }

        _times.GetOrAdd(what, _ => []).Add(Stopwatch.GetElapsedTime(started).TotalMilliseconds);
    }

    private void Note(string? line)
    {
        if (line is not null && line.Contains("ERR", StringComparison.Ordinal))
        {
            _errors.Add(line);
        }
    }

    private void Print(TimeSpan took, List<long> memory, long bytes)
    {
        var requests = _times.Values.Sum(t => t.Count);
        Console.WriteLine(
            FormattableString.Invariant(
                $"{coaches} coaches with {clients} clients each, {took.TotalSeconds:0} s without a pause: {requests} requests, {requests / took.TotalSeconds:0} a second, errors {_errors.Count}"
            )
        );
        foreach (var (what, all) in _times.OrderBy(t => t.Key, StringComparer.Ordinal))
        {
            var sorted = all.Order().ToList();
            Console.WriteLine(
                FormattableString.Invariant(
                    $"{what, -10} {sorted.Count, 7}   median {sorted[sorted.Count / 2], 7:0} ms   p95 {sorted[(int)(sorted.Count * 0.95)], 7:0} ms"
                )
            );
        }

        Console.WriteLine(
            $"memory, MB, at the start and after each quarter: {string.Join(", ", memory)}; database {bytes / 1024 / 1024} MB"
        );
        foreach (var error in _errors.Take(5))
        {
            Console.WriteLine(error.Length > 300 ? error[..300] : error);
        }
    }

    /// <summary>Resident memory of the server, MB.</summary>
    private static long Resident(Process server)
    {
        server.Refresh();
        return server.WorkingSet64 / 1024 / 1024;
    }

    private static HttpClient Browser(Uri address) => new(new HttpClientHandler { UseCookies = true }) { BaseAddress = address };

    private static async Task Renew(HttpClient http)
    {
        var state = await http.GetFromJsonAsync<JsonElement>("/api/v1/session");
        http.DefaultRequestHeaders.Remove("X-Ingegno-Token");
        http.DefaultRequestHeaders.Add("X-Ingegno-Token", state.GetProperty("token").GetString());
    }

    private static async Task<JsonElement> Make(HttpClient http, string path, object body)
    {
        var answer = await http.PostAsJsonAsync(path, body);
        return answer.IsSuccessStatusCode
            ? await answer.Content.ReadFromJsonAsync<JsonElement>()
            : throw new InvalidOperationException($"{path}: {await answer.Content.ReadAsStringAsync()}");
    }
}
