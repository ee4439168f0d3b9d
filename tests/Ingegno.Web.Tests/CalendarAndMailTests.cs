using System.Net;
using System.Text.Json;
using Ical.Net;
using MimeKit;

namespace Ingegno.Web.Tests;

/// <summary>Training days in the client's calendar, and mail to clients.</summary>
public class CalendarAndMailTests
{
    [Fact]
    public async Task A_calendar_follows_the_times_that_the_client_chose_and_ends_with_the_link()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, client, _) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var days = await LoggedPlan.Answer(await phone.Ask(HttpMethod.Get, "/api/v1/training/days"));
        var address = days.GetProperty("address").GetString()!;
        Calendar.Load(await Text(address))!.Events.Single().DtStart!.Value.TimeOfDay.ShouldBe(TimeSpan.FromHours(18));

        var times = new
        {
            times = new[]
            {
                new
                {
                    day = 0,
                    weekday = "saturday",
                    at = "07:15:00",
                },
            },
        };
        await LoggedPlan.Answer(await phone.Ask(HttpMethod.Put, "/api/v1/training/days", times));
        var chosen = Calendar.Load(await Text(address))!.Events.Single();
        chosen.DtStart!.Value.DayOfWeek.ShouldBe(DayOfWeek.Saturday);
        chosen.DtStart.Value.TimeOfDay.ShouldBe(new TimeSpan(7, 15, 0));
        Calendar
            .Load(await (await coach.Get($"/api/v1/clients/{client}/calendar")).Content.ReadAsStringAsync())!
            .Events.Single()
            .Uid.ShouldBe(chosen.Uid);

        (await coach.Delete($"/api/v1/clients/{client}/link")).EnsureSuccessStatusCode();
        Calendar.Load(await Text(address))!.Events.ShouldBeEmpty();
        (await coach.Make($"/api/v1/clients/{client}/link", new { })).GetProperty("address").GetString().ShouldNotBeNull();
        Calendar.Load(await Text(address))!.Events.ShouldBeEmpty("another link has another calendar");

        async Task<string> Text(string path)
        {
            var answer = await (await server.Fresh()).Get(path);
            answer.StatusCode.ShouldBe(HttpStatusCode.OK);
            answer.Content.Headers.ContentType!.MediaType.ShouldBe("text/calendar");
            answer.Headers.CacheControl!.NoStore.ShouldBeTrue();
            return await answer.Content.ReadAsStringAsync();
        }
    }

    [Fact]
    public async Task Guessed_calendars_are_slowed_and_bad_times_refused()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, _, _) = await LoggedPlan.Make(coach);
        var phone = await Phone.Sent(server, coach, plan);
        var answers = new List<HttpStatusCode>();
        for (var i = 0; i < 40; i++)
        {
            answers.Add((await coach.Get($"/calendar/{Guid.NewGuid():N}.ics")).StatusCode);
        }

        answers[^1].ShouldBe(HttpStatusCode.TooManyRequests);
        var wrong = new
        {
            times = Enumerable.Repeat(
                new
                {
                    day = 99,
                    weekday = "monday",
                    at = "18:00:00",
                },
                1
            ),
        };
        await phone.Ask(HttpMethod.Put, "/api/v1/training/days", wrong).Problem(400, "validation");
    }

    [Fact]
    public async Task Mail_stands_in_the_outbox_in_full_once_and_is_carried()
    {
        await using var server = new TestServer();
        var coach = await server.SignedIn();
        var (plan, client, _) = await LoggedPlan.Make(coach);
        var sent = await coach.Make($"/api/v1/plans/{plan}/releases", new { version = 1 });
        var mail = new
        {
            address = "rower@boathouse.example",
            subject = "Your week",
            text = sent.GetProperty("message").GetString(),
        };
        await coach.Make($"/api/v1/clients/{client}/mail", mail);

        var outbox = await coach.Read("/api/v1/outbox");
        outbox.GetProperty("leaves").GetBoolean().ShouldBeFalse();
        var one = outbox.GetProperty("mails").EnumerateArray().ShouldHaveSingleItem();
        one.GetProperty("text").GetString()!.ShouldContain(sent.GetProperty("link").GetProperty("address").GetString()!);
        var carried = false;
        for (var i = 0; i < 40 && !carried; i++)
        {
            await Task.Delay(500);
            carried = (await coach.Read("/api/v1/outbox")).GetProperty("mails")[0].TryGetProperty("sentAt", out _);
        }

        carried.ShouldBeTrue();
        foreach (var bad in new[] { "no address", "a@b\r\nBcc: c@d", "", "two@x.example, three@x.example" })
        {
            await coach
                .Post(
                    $"/api/v1/clients/{client}/mail",
                    new
                    {
                        address = bad,
                        subject = "x",
                        text = "y",
                    }
                )
                .Problem(400, "validation");
        }

        await coach
            .Post(
                $"/api/v1/clients/{client}/mail",
                new
                {
                    address = "a@b.example",
                    subject = "x\r\nBcc: c@d.example",
                    text = "y",
                }
            )
            .Problem(400, "validation");
    }
}
