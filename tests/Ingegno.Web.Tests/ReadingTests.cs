using System.Net;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>What people write, over HTTP: gym lines, names that are taught, kit, intakes; and what is hostile.</summary>
public sealed class ReadingTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task A_row_comes_back_as_it_was_understood()
    {
        var browser = await server.SignedIn();
        var read = await browser.Make(
            "/api/v1/shorthand",
            new { text = "Day 1\nBB back squats 5 x 5 @75-80%\nZercher squat 3x8\nRow 2000 m" }
        );

        var rows = read.GetProperty("rows").EnumerateArray().ToList();
        rows.Select(r => r.GetProperty("kind").GetString()).ShouldBe(["day", "line", "line", "kept"]);
        rows[1].GetProperty("text").GetString().ShouldBe("BB back squats 5x5 @ 75-80%");
        rows[2].GetProperty("certainty").GetString().ShouldBe("probable");
        rows[2].GetProperty("doubts")[0].GetProperty("message").GetString()!.ShouldContain("Front squat");
    }

    [Fact]
    public async Task A_name_is_taught_once_known_from_then_on_changed_and_taken_back()
    {
        var browser = await server.SignedIn();
        async Task<string?> Exercise()
        {
            var read = await browser.Make("/api/v1/shorthand", new { text = "Slipway special 3x8" });
            return read.GetProperty("lines") is var lines && lines.GetArrayLength() == 0
                ? null
                : lines[0].GetProperty("exerciseId").GetString();
        }

        (await Exercise()).ShouldBeNull();
        var taught = await browser.Make("/api/v1/taught-names", new { name = "Slipway special", exerciseId = "front-squat" });
        (await Exercise()).ShouldBe("front-squat");

        var id = taught.GetProperty("id").GetInt64();
        (
            await browser.Put(
                $"/api/v1/taught-names/{id}",
                new
                {
                    revision = taught.GetProperty("revision").GetInt32(),
                    value = new { name = "Slipway special", exerciseId = "back-squat" },
                }
            )
        ).StatusCode.ShouldBe(HttpStatusCode.OK);
        (await Exercise()).ShouldBe("back-squat");

        (await browser.Delete($"/api/v1/taught-names/{id}")).StatusCode.ShouldBe(HttpStatusCode.NoContent);
        (await Exercise()).ShouldBeNull();
        await browser.Post("/api/v1/taught-names", new { name = "   ", exerciseId = "front-squat" }).Problem(400, "validation");
        await browser.Post("/api/v1/taught-names", new { name = "Nowhere", exerciseId = "no-such-exercise" }).Problem(400, "validation");
    }

    [Fact]
    public async Task A_mistyped_member_is_refused_with_its_path_and_never_dropped_in_silence()
    {
        var browser = await server.SignedIn();
        var request = new
        {
            client = new
            {
                level = "novice",
                goal = "muscle",
                joints = new[] { "knee" },
            },
            kit = new { name = "x", items = Array.Empty<object>() },
            gymLines = new[] { "Back squat 3x8" },
        };

        var problem = await browser.Post("/api/v1/rebuild", request).Problem(400, "json");
        problem.GetProperty("detail").GetString()!.ShouldContain("$.client.joints");
    }

    [Theory]
    [InlineData("１２ push ups")]
    [InlineData("Squat ５x５")]
    [InlineData("\u202e5x5\u202c\u0000")]
    [InlineData("½¼¾ ٣x٨")]
    [InlineData("")]
    public async Task Whatever_is_written_is_answered_at_every_door(string text)
    {
        var browser = await server.SignedIn();
        foreach (
            var (path, body) in new (string, object)[]
            {
                ("/api/v1/shorthand", new { text }),
                ("/api/v1/shorthand/sets", new { text }),
                (
                    "/api/v1/shorthand/dose",
                    new
                    {
                        text,
                        line = 1,
                        exerciseId = "push-up",
                    }
                ),
                ("/api/v1/kit/read", new { text }),
                ("/api/v1/kit/paragraph", new { text }),
                ("/api/v1/intake", new { text }),
            }
        )
        {
            ((int)(await browser.Post(path, body)).StatusCode).ShouldBeLessThan(500, path);
        }
    }

    [Fact]
    public async Task A_sentence_of_kit_and_of_an_intake_is_read()
    {
        var browser = await server.SignedIn();
        var kit = await browser.Make("/api/v1/kit/paragraph", new { text = "rack and bench, some 5s and 10s, green band" });
        kit.EnumerateArray()
            .Select(f => f.GetProperty("entry").GetProperty("item").GetProperty("kind").GetString())
            .ShouldBe(["rack", "bench", "dumbbell", "dumbbell", "band-loop"]);
        kit[4].GetProperty("ask").GetString()!.ShouldContain("How wide");

        var intake = await browser.Make("/api/v1/intake", new { text = "52, female, 68 kg, sore left knee" });
        (intake.GetProperty("ageYears").GetInt32(), intake.GetProperty("sex").GetString()).ShouldBe((52, "female"));
        intake.GetProperty("soreJoints")[0].GetProperty("joint").GetString().ShouldBe("knee");
    }
}
