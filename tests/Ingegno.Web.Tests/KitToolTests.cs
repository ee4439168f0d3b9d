using System.Net;
using System.Text.Json;
using Ingegno.Web.Devices;

namespace Ingegno.Web.Tests;

/// <summary>The working tools of the kit over HTTP, and the simulated scale.</summary>
public sealed class KitToolTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly object Profile = new
    {
        level = "intermediate",
        goal = "muscle",
        sex = "male",
        bodyMassKg = 80,
        statureCm = 180,
    };
    private static readonly object Loop = new
    {
        id = "loop",
        kind = "band-loop",
        restLengthCm = 104,
        widthMm = 13,
        thicknessMm = 4.5,
    };

    private static readonly object[] Bag =
    [
        new
        {
            id = "bag",
            kind = "rucksack",
            massKg = 0.9,
            volumeL = 25,
            maxLoadKg = 18,
        },
        new
        {
            id = "bottle",
            kind = "bottle",
            count = 4,
            massKg = 1.53,
            volumeL = 1.6,
        },
    ];

    [Fact]
    public async Task A_typed_thing_is_read_or_answered_with_what_is_wrong()
    {
        var browser = await server.SignedIn();

        (await browser.Make("/api/v1/kit/read", new { text = "2x 8 kg dumbbell" }))
            .GetProperty("item")
            .GetProperty("massKg")
            .GetDouble()
            .ShouldBe(8);
        (await browser.Make("/api/v1/kit/read", new { text = "hovercraft" }))
            .GetProperty("error")
            .GetString()!
            .ShouldContain("no thing known");
    }

    [Fact]
    public async Task A_load_is_built_with_all_that_can_be_reached()
    {
        var browser = await server.SignedIn();
        var built = await browser.Make("/api/v1/loads/build", new { kit = new { name = "x", items = Bag }, targetKg = 3.96 });

        built.GetProperty("answer").GetProperty("exact").GetProperty("inWords").GetString()!.ShouldContain("2 × bottle");
        built.GetProperty("reachableKg").EnumerateArray().Select(k => k.GetDouble()).ShouldBe([2.43, 3.96, 5.49, 7.02], 1e-9);
        await browser.Post("/api/v1/loads/build", new { kit = new { name = "x", items = Bag }, targetKg = -1 }).Problem(400, "validation");
    }

    [Fact]
    public async Task The_bench_gives_curve_rep_and_the_way_back()
    {
        var browser = await server.SignedIn();
        var bench = await browser.Make(
            "/api/v1/bands/bench",
            new
            {
                band = Loop,
                statureCm = 180,
                exerciseId = "band-curl",
                grip = new
                {
                    doubled = false,
                    chokeCm = 0,
                    stanceCm = 30,
                    anchorCm = 0,
                },
                knob = "choke",
                wantedKg = 6,
            }
        );

        bench.GetProperty("curve").GetProperty("basis").GetString().ShouldBe("size");
        bench.GetProperty("points").GetArrayLength().ShouldBeGreaterThan(20);
        bench.GetProperty("rep").GetProperty("force").GetProperty("end").GetDouble().ShouldBeGreaterThan(0);
        bench.GetProperty("solvedCm").GetDouble().ShouldBeInRange(1, 70);
        bench.GetProperty("statureAssumed").GetBoolean().ShouldBeFalse();
    }

    [Fact]
    public async Task Contradicting_points_and_missing_stature_are_said_and_nothing_is_shown_as_sure()
    {
        var browser = await server.SignedIn();
        var contradicting = new
        {
            id = "b",
            kind = "band-loop",
            restLengthCm = 104,
            calibration = new[] { new { lengthCm = 150, forceKg = 6 }, new { lengthCm = 200, forceKg = 4 } },
        };
        var bench = await browser.Make("/api/v1/bands/bench", new { band = contradicting });

        bench.GetProperty("problem").GetString()!.ShouldContain("The force falls");
        bench.TryGetProperty("curve", out _).ShouldBeFalse();
        bench.GetProperty("statureAssumed").GetBoolean().ShouldBeTrue();
        await browser.Post("/api/v1/bands/bench", new { band = new { id = "d", kind = "dumbbell" } }).Problem(400, "validation");
    }

    [Fact]
    public async Task A_band_pulled_beyond_its_limit_says_so()
    {
        var browser = await server.SignedIn();
        var bench = await browser.Make(
            "/api/v1/bands/bench",
            new
            {
                band = Loop,
                statureCm = 180,
                exerciseId = "band-row",
                grip = new
                {
                    doubled = false,
                    chokeCm = 0,
                    stanceCm = 0,
                    anchorCm = 700,
                },
            }
        );

        bench.GetProperty("repProblem").GetString()!.ShouldContain("more than a band bears");
        bench.TryGetProperty("rep", out _).ShouldBeFalse();
    }

    [Fact]
    public async Task Set_ups_and_possibilities_are_counted_for_the_client()
    {
        var browser = await server.SignedIn();
        var kit = new { name = "x", items = Bag };
        var setups = await browser.Make(
            "/api/v1/setups",
            new
            {
                client = Profile,
                kit,
                exerciseId = "push-up",
            }
        );
        var possible = await browser.Make("/api/v1/kit/possibilities", new { client = Profile, kit });

        setups.GetProperty("setups").GetArrayLength().ShouldBe(5, "nothing, and one to four bottles");
        possible.GetProperty("exercises").GetInt32().ShouldBeGreaterThan(possible.GetProperty("withNothing").GetInt32());
        await browser
            .Post(
                "/api/v1/setups",
                new
                {
                    client = Profile,
                    kit,
                    exerciseId = "no-such",
                }
            )
            .Problem(400, "validation");
    }

    [Fact]
    public async Task What_to_buy_next_is_ranked_by_gain_for_the_coachs_own_prices()
    {
        var browser = await server.SignedIn();
        var plans = new[]
        {
            new
            {
                client = Profile,
                kit = new { name = "x", items = Bag },
                gymLines = new[] { "Pull-up 4x8", "Leg curl 3x12" },
            },
        };
        var usual = (await browser.Make("/api/v1/buy-next", new { plans })).EnumerateArray().ToList();
        var last = usual[^1].GetProperty("name").GetString()!;
        (await browser.Put("/api/v1/prices", new { name = last, price = 0.5 })).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        var own = await browser.Make("/api/v1/buy-next", new { plans, budget = 30 });
        (await browser.Read("/api/v1/prices"))[0].GetProperty("price").GetDouble().ShouldBe(0.5);
        (await browser.Delete("/api/v1/prices")).StatusCode.ShouldBe(HttpStatusCode.NoContent);

        usual.Count.ShouldBeGreaterThan(3);
        usual.Select(g => g.GetProperty("gainPer100").GetDouble()).ShouldBeInOrder(SortDirection.Descending);
        own[0].GetProperty("name").GetString().ShouldBe(last, "it costs next to nothing now");
        own.EnumerateArray().ShouldAllBe(g => g.GetProperty("price").GetDouble() <= 30);
        (await browser.Read("/api/v1/prices")).GetArrayLength().ShouldBe(0);
    }

    [Fact]
    public async Task What_to_buy_next_says_whose_line_it_improves()
    {
        var browser = await server.SignedIn();
        var plans = new[] { "Pull-up 4x8", "Leg curl 3x12" }.Select(line => new
        {
            client = Profile,
            kit = new { name = "x", items = Bag },
            gymLines = new[] { line },
        });
        var lines = (await browser.Make("/api/v1/buy-next", new { plans }))
            .EnumerateArray()
            .SelectMany(g => g.GetProperty("lines").EnumerateArray())
            .ToList();

        lines.Where(l => l.GetProperty("gymExercise").GetString() == "Pull-up").ShouldAllBe(l => l.GetProperty("plan").GetInt32() == 0);
        lines.Select(l => l.GetProperty("plan").GetInt32()).Distinct().Order().ShouldBe([0, 1]);
    }

    [Fact]
    public async Task What_to_buy_next_refuses_no_plans_too_many_and_impossible_money()
    {
        var browser = await server.SignedIn();
        var plan = new
        {
            client = Profile,
            kit = new { name = "x", items = Bag },
            gymLines = new[] { "Pull-up 4x8" },
        };

        foreach (
            var wrong in new object[]
            {
                new { plans = Array.Empty<object>() },
                new { plans = new object?[] { null } },
                new { plans = Enumerable.Repeat(plan, 13) },
                new { plans = new[] { plan }, budget = -5 },
            }
        )
        {
            (await browser.Post("/api/v1/buy-next", wrong)).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        }

        await browser.Put("/api/v1/prices", new { name = "Pull-up bar", price = 0 }).Problem(400, "validation");
        await browser.Put("/api/v1/prices", new { name = "Moon", price = 5 }).Problem(400, "validation");
    }

    public static TheoryData<string> AbsurdItems() =>
        [
            """{ "id": "a", "kind": "dumbbell", "massKg": -8 }""",
            """{ "id": "a", "kind": "band-loop", "restLengthCm": 0 }""",
            """{ "id": "a", "kind": "band-loop", "calibration": [{ "lengthCm": 0, "forceKg": 3 }] }""",
            """{ "id": "a", "kind": "adjustable-dumbbell", "plates": [{ "massKg": 0, "count": 4 }] }""",
            """{ "id": "a", "kind": "sand", "densityKgPerL": 900 }""",
            """{ "id": "a", "kind": "rucksack", "volumeL": 0 }""",
        ];

    [Theory]
    [MemberData(nameof(AbsurdItems))]
    public async Task Absurd_measures_are_refused(string item)
    {
        var browser = await server.SignedIn();

        await browser
            .Post(
                "/api/v1/kit/possibilities",
                new { client = Profile, kit = new { name = "x", items = new[] { JsonDocument.Parse(item).RootElement } } }
            )
            .Problem(400, "validation");
    }

    [Fact]
    public async Task Ten_thousand_things_are_refused_before_they_are_looked_at()
    {
        var browser = await server.SignedIn();
        var items = Enumerable.Range(0, 10_000).Select(i => new { id = $"i{i}", kind = "book" });

        (
            await browser.Post("/api/v1/kit/possibilities", new { client = Profile, kit = new { name = "x", items } })
        ).StatusCode.ShouldBeOneOf(HttpStatusCode.BadRequest, HttpStatusCode.RequestEntityTooLarge);
    }

    [Fact]
    public async Task Five_hundred_things_are_still_answered()
    {
        var browser = await server.SignedIn();
        var items = Enumerable
            .Range(0, 500)
            .Select(i => new
            {
                id = $"i{i}",
                kind = i % 2 == 0 ? "book" : "rucksack",
                count = 3,
            });
        var kit = new { name = "x", items };

        (
            await browser.Make(
                "/api/v1/rebuild",
                new
                {
                    client = Profile,
                    kit,
                    gymLines = new[] { "Back squat 4x6" },
                }
            )
        ).GetProperty("plan").GetProperty("lines").GetArrayLength().ShouldBe(1);
    }

    [Fact]
    public async Task The_simulated_scale_streams_until_it_is_steady_near_the_true_force()
    {
        var scale = new SimulatedHangingScale(new SimulatedPull(104, 13, 4.5, 2, 208), TimeProvider.System);
        var readings = new List<ScaleReading>();
        await foreach (var reading in scale.Readings(CancellationToken.None))
        {
            readings.Add(reading);
            if (reading.Steady)
            {
                break;
            }
        }

        readings.Count.ShouldBeGreaterThan(5, "it settles first");
        readings[^1].ForceKg.ShouldBe(scale.TrueForceKg, 0.1);
        readings[0].Steady.ShouldBeFalse();
    }

    [Fact]
    public async Task The_scale_speaks_server_sent_events_and_refuses_nonsense()
    {
        var browser = await server.SignedIn();
        using var answer = await browser.Http.GetAsync(
            new Uri("/api/v1/scale/readings?flatCm=104&widthMm=13&thicknessMm=4.5&strands=2&lengthCm=150", UriKind.Relative),
            HttpCompletionOption.ResponseHeadersRead
        );
        using var reader = new StreamReader(await answer.Content.ReadAsStreamAsync());

        answer.Content.Headers.ContentType!.MediaType.ShouldBe("text/event-stream");
        (await reader.ReadLineAsync()).ShouldBe("event: reading");
        (await reader.ReadLineAsync())!.ShouldContain("forceKg");
        await browser.Get("/api/v1/scale/readings?flatCm=0&widthMm=13&thicknessMm=4.5&strands=2&lengthCm=150").Problem(400, "validation");
        (await browser.Get("/api/v1/scale/readings?flatCm=abc")).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }
}
