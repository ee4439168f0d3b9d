using System.Net;

namespace Ingegno.Web.Tests;

/// <summary>Figures over HTTP, at the desk and on the phone.</summary>
public sealed class FigureTests(TestServer server) : IClassFixture<TestServer>
{
    [Fact]
    public async Task A_figure_comes_in_the_clients_size_with_the_clients_things()
    {
        var browser = await server.SignedIn();

        var answer = await browser.Get("/api/v1/figures/chair-squat?setup=floor&stature=190&with=seat%3Dsofa%3A40");
        var drawing = await LoggedPlan.Answer(answer);

        drawing.GetProperty("frames").GetArrayLength().ShouldBeGreaterThan(5);
        drawing.GetProperty("frames")[0].GetArrayLength().ShouldBe(75);
        var thing = drawing.GetProperty("things")[0];
        thing.GetProperty("kind").GetString().ShouldBe("sofa");
        thing.GetProperty("heightCm").GetDouble().ShouldBe(40);
        drawing.GetProperty("inWords").GetString()!.ShouldStartWith("Start: standing");
        drawing.GetProperty("working").EnumerateArray().Select(m => m.GetString()).ShouldContain("quads");
    }

    [Theory]
    [InlineData("/api/v1/figures/no-such-thing", HttpStatusCode.NotFound)]
    [InlineData("/api/v1/figures/chair-squat?stature=12", HttpStatusCode.BadRequest)]
    [InlineData("/api/v1/figures/chair-squat?stature=tall", HttpStatusCode.BadRequest)]
    [InlineData("/api/v1/figures/chair-squat?with=%3D%3D%3Aseat%00&setup=..%2F..", HttpStatusCode.OK)]
    public async Task What_cannot_be_drawn_is_said(string address, HttpStatusCode status) =>
        (await (await server.SignedIn()).Get(address)).StatusCode.ShouldBe(status);

    [Fact]
    public async Task A_figure_posed_by_hand_comes_back_with_its_faults()
    {
        var browser = await server.SignedIn();
        object Pose(double up) =>
            new
            {
                exerciseId = "goblet-squat",
                posed = new { start = new { trunk = 0 }, end = new { trunk = 0, nearFoot = new { ahead = 0, up } } },
            };

        var posed = await LoggedPlan.Answer(await browser.Post("/api/v1/figures/posed", Pose(-0.2)));

        posed.GetProperty("faults").EnumerateArray().Select(f => f.GetString()!).ShouldContain(f => f.Contains("below the floor"));
        posed.GetProperty("drawing").GetProperty("frames").GetArrayLength().ShouldBeGreaterThan(5);
        (await browser.Post("/api/v1/figures/posed", Pose(-3))).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
        (await browser.Post("/api/v1/figures/posed", new { exerciseId = "goblet-squat" })).StatusCode.ShouldBe(HttpStatusCode.BadRequest);
    }

    [Fact]
    public async Task A_text_of_things_without_end_is_refused() =>
        (await (await server.SignedIn()).Get($"/api/v1/figures/chair-squat?with={new string('a', 500)}")).StatusCode.ShouldBe(
            HttpStatusCode.BadRequest
        );

    [Fact]
    public async Task The_phone_has_the_figures_of_its_release_and_of_nothing_else()
    {
        var coach = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);

        var figures = await LoggedPlan.Answer(await phone.Ask(HttpMethod.Get, "/api/v1/training/figures"));
        var content = await phone.Content();
        var trained = content
            .GetProperty("releases")[0]
            .GetProperty("release")
            .GetProperty("days")
            .EnumerateArray()
            .SelectMany(d => d.GetProperty("exercises").EnumerateArray())
            .Select(e => e.GetProperty("exerciseId").GetString());

        figures
            .EnumerateArray()
            .Select(f => f.GetProperty("exerciseId").GetString())
            .ShouldBeSubsetOf([
                .. trained,
                .. content
                    .GetProperty("releases")[0]
                    .GetProperty("release")
                    .GetProperty("days")
                    .EnumerateArray()
                    .SelectMany(d => d.GetProperty("exercises").EnumerateArray())
                    .SelectMany(e => e.GetProperty("alternatives").EnumerateArray())
                    .Select(a => a.GetProperty("exercise").GetProperty("exerciseId").GetString()),
            ]);
        trained.ShouldBeSubsetOf(figures.EnumerateArray().Select(f => f.GetProperty("exerciseId").GetString()));
        (await server.CreateClient().GetAsync("/api/v1/training/figures")).StatusCode.ShouldBe(HttpStatusCode.Unauthorized);
    }
}
