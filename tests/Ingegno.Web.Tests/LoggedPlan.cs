using System.Net;
using System.Text.Json;

namespace Ingegno.Web.Tests;

/// <summary>A small plan that several tests log.</summary>
internal static class LoggedPlan
{
    /// <summary>A client with a plan of one line; the plan, the client and the home exercise.</summary>
    public static async Task<(long Plan, long Client, string Exercise)> Make(Browser browser)
    {
        var client = (
            await browser.Make(
                "/api/v1/clients",
                new
                {
                    name = "Logged",
                    profile = new
                    {
                        level = "intermediate",
                        goal = "muscle",
                        bodyMassKg = 80,
                        daysPerWeek = 2,
                    },
                }
            )
        ).GetProperty("id").GetInt64();
        var request = new
        {
            client = new
            {
                level = "intermediate",
                goal = "muscle",
                bodyMassKg = 80,
            },
            kit = new
            {
                name = "Home",
                items = new[]
                {
                    new
                    {
                        id = "db",
                        kind = "dumbbell",
                        massKg = 8,
                        count = 2,
                    },
                },
            },
            gymLines = new[] { "Dumbbell curl 3x8-12 RIR 2 90 s" },
        };
        var plan = await browser.Make($"/api/v1/clients/{client}/plans", new { title = "Curls", request });
        var exercise = plan.GetProperty("value")
            .GetProperty("document")
            .GetProperty("plan")
            .GetProperty("lines")[0]
            .GetProperty("chosen")
            .GetProperty("exercises")[0]
            .GetProperty("exerciseId")
            .GetString()!;
        return (plan.GetProperty("id").GetInt64(), client, exercise);
    }

    /// <summary>Three sets of an exercise on a day.</summary>
    public static object Session(string day, (int Line, string Exercise, int Reps) done, int planVersion = 1) =>
        new
        {
            planVersion,
            performedOn = day,
            exercises = new[]
            {
                new
                {
                    line = done.Line,
                    exerciseId = done.Exercise,
                    sets = Enumerable.Repeat(new { reps = done.Reps, rir = 2 }, 3),
                },
            },
        };

    /// <summary>What an answer that went well holds.</summary>
    public static async Task<JsonElement> Answer(HttpResponseMessage answer)
    {
        answer.StatusCode.ShouldBe(HttpStatusCode.OK, await answer.Content.ReadAsStringAsync());
        return JsonDocument.Parse(await answer.Content.ReadAsStringAsync()).RootElement;
    }
}
