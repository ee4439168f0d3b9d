using System.Net.Http.Json;
using System.Text;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>What a screen gets of a rebuilt week: the sheet, and of a line what is asked for.</summary>
public sealed class RebuiltWeekTests(TestServer server) : IClassFixture<TestServer>
{
    private static readonly string[] Week =
    [
        .. new[]
        {
            "= Monday;Bench press 4x6 @ 70 kg RIR 2;Barbell row 4x8 RIR 2;"
                + "Overhead press 3x8;Lat pulldown 3x10;Lateral raise 3x15;Triceps pushdown 3x12;Plank 3x45 s",
            "= Tuesday;Back squat 4x6 @ 90 kg RIR 2;Romanian deadlift 3x8;"
                + "Leg press 3x12;Lying leg curl 3x12;Standing calf raise 4x12;Hanging leg raise 3x10;Side plank 3x30 s/side",
            "= Thursday;Incline dumbbell press 4x8;Seated cable row 4x10;"
                + "Dumbbell shoulder press 3x10;Pull-up 3x8;Cable fly 3x15;Dumbbell curl 3x12;Face pull 3x15",
            "= Friday;Deadlift 3x5 @ 120 kg;Front squat 3x6;"
                + "Walking lunge 3x10/side;Hip thrust 3x10;Leg extension 3x15;Seated calf raise 3x15;Dead bug 3x10/side",
        }.SelectMany(day => day.Split(';')),
    ];

    private static readonly object Request = new
    {
        client = new
        {
            level = "intermediate",
            goal = "muscle",
            sex = "female",
            bodyMassKg = 66,
            statureCm = 170,
            minutesPerSession = 75,
        },
        kit = new
        {
            name = "Home",
            items = new object[]
            {
                new { id = "loop", kind = "band-loop" },
                new { id = "chair", kind = "chair" },
                new { id = "table", kind = "dining-table" },
                new
                {
                    id = "bells",
                    kind = "dumbbell",
                    count = 2,
                    massKg = 10,
                },
                new { id = "pack", kind = "rucksack" },
                new
                {
                    id = "bottles",
                    kind = "bottle",
                    count = 8,
                },
                new { id = "bar", kind = "pull-up-bar" },
            },
        },
        gymLines = Week,
    };

    [Fact]
    public async Task A_week_of_28_lines_takes_no_more_than_60_kilobytes_and_12_on_the_way()
    {
        var browser = await server.SignedIn();

        var week = await browser.Make("/api/v1/rebuild/brief", Request);

        week.GetProperty("plan").GetProperty("lines").GetArrayLength().ShouldBe(28);
        Bytes(week).ShouldBeLessThanOrEqualTo(60 * 1024);
        (await Packed(browser, "/api/v1/rebuild/brief", Request)).ShouldBeLessThanOrEqualTo(12 * 1024);
        week.GetProperty("opened").GetArrayLength().ShouldBe(0);
    }

    [Fact]
    public async Task The_sheet_says_what_the_whole_plan_says()
    {
        var browser = await server.SignedIn();

        var whole = await browser.Make("/api/v1/rebuild", Request);
        var key = Lines(whole)[2].GetProperty("gym").GetProperty("key").GetInt32();
        var week = await browser.Make($"/api/v1/rebuild/brief?open={key}&open=400", Request);

        Lines(week).Select(Taken).ShouldBe(Lines(whole).Select(Taken));
        var opened = week.GetProperty("opened").EnumerateArray().ShouldHaveSingleItem();
        opened.GetProperty("line").GetInt32().ShouldBe(key);
        opened.GetProperty("chosen").GetRawText().ShouldBe(Lines(whole)[2].GetProperty("chosen").GetRawText());
        Ids(opened).ShouldBe(Ids(Lines(whole)[2]));
        opened.GetProperty("ruledOut").GetRawText().ShouldBe(Lines(whole)[2].GetProperty("ruledOut").GetRawText());
        Bytes(week.GetProperty("plan")).ShouldBeLessThan(Bytes(whole.GetProperty("plan")) / 8);
    }

    [Fact]
    public async Task A_decision_answers_with_the_lines_that_it_changes()
    {
        var browser = await server.SignedIn();
        var week = await browser.Make("/api/v1/rebuild/brief", Request);
        var line = Lines(week)[3];
        var key = line.GetProperty("gym").GetProperty("key").GetInt32();

        var decision = new
        {
            request = Request,
            standing = week.GetProperty("plan").GetProperty("standing"),
            decisions = new[]
            {
                new
                {
                    kind = "set-figures",
                    edits = new[]
                    {
                        new
                        {
                            line = key,
                            exerciseId = line.GetProperty("chosen").GetProperty("exercises")[0].GetProperty("exerciseId").GetString(),
                            rir = 4,
                        },
                    },
                },
            },
            seen = Lines(week).Select(l => new { line = l.GetProperty("gym").GetProperty("key").GetInt32(), mark = l.GetProperty("mark") }),
            open = new[] { key },
        };
        var decided = await browser.Make("/api/v1/decisions", decision);

        var result = decided.GetProperty("result");
        Lines(result).ShouldHaveSingleItem().GetProperty("gym").GetProperty("key").GetInt32().ShouldBe(key);
        result.GetProperty("same").GetArrayLength().ShouldBe(27);
        result.GetProperty("opened").GetArrayLength().ShouldBe(1);
        (await Packed(browser, "/api/v1/decisions", decision)).ShouldBeLessThanOrEqualTo(12 * 1024);
    }

    [Fact]
    public async Task Lines_are_opened_and_their_candidates_set_side_by_side_when_asked()
    {
        var browser = await server.SignedIn();

        var opened = await browser.Make("/api/v1/rebuild/lines", new { request = Request, lines = new[] { 11, 2 } });
        var beside = await browser.Make("/api/v1/rebuild/candidates", new { request = Request, lines = new[] { 2 } });

        opened.EnumerateArray().Select(l => l.GetProperty("line").GetInt32()).ShouldBe([2, 11]);
        Ids(beside[0]).ShouldBe(Ids(opened[0]));
        beside[0].GetProperty("candidates")[0].GetProperty("parts")[0].GetProperty("reason").GetString().ShouldNotBeNullOrEmpty();
    }

    [Theory]
    [InlineData("/api/v1/rebuild/brief?open=first")]
    [InlineData("/api/v1/rebuild/brief?open=99999999999")]
    public async Task A_line_that_is_no_number_is_told(string path) =>
        await (await server.SignedIn()).Post(path, Request).Problem(400, "bad-request");

    [Fact]
    public async Task No_line_to_open_is_told() =>
        (
            await (await server.SignedIn())
                .Post("/api/v1/rebuild/lines", new { request = Request, lines = Array.Empty<int>() })
                .Problem(400, "validation")
        )
            .GetProperty("detail")
            .GetString()
            .ShouldBe("Name at least one line, and not more than a week has.");

    private static List<JsonElement> Lines(JsonElement answer) => [.. answer.GetProperty("plan").GetProperty("lines").EnumerateArray()];

    private static IEnumerable<string?> Ids(JsonElement line) =>
        line.GetProperty("candidates").EnumerateArray().Select(c => c.GetProperty("id").GetString());

    private static string Taken(JsonElement line) =>
        line.TryGetProperty("chosen", out var chosen)
            ? string.Join(
                " + ",
                chosen
                    .GetProperty("exercises")
                    .EnumerateArray()
                    .Select(e => $"{e.GetProperty("name")} {e.GetProperty("dose").GetProperty("figures")} {e.GetProperty("setup")}")
            )
            : "nothing";

    private static int Bytes(JsonElement answer) => Encoding.UTF8.GetByteCount(answer.GetRawText());

    /// <summary>Bytes of an answer as they go over the line.</summary>
    private static async Task<int> Packed(Browser browser, string path, object body)
    {
        using var request = new HttpRequestMessage(HttpMethod.Post, path) { Content = JsonContent.Create(body, options: TestServer.Json) };
        request.Headers.TryAddWithoutValidation("Accept-Encoding", "br");
        var answer = await browser.Http.SendAsync(request);
        answer.Content.Headers.ContentEncoding.ShouldBe(["br"]);
        return (await answer.Content.ReadAsByteArrayAsync()).Length;
    }
}
