using System.Collections.Immutable;
using System.Security.Claims;
using System.Text;
using FluentValidation;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>When a client trains, and where a calendar finds it.</summary>
/// <param name="Address">Address to subscribe to, below the application's own; null when it cannot be shown here.</param>
/// <param name="Times">When the days are trained.</param>
public sealed record TrainingDays(string? Address, ImmutableArray<TrainingTime> Times);

/// <summary>Times that a client chose.</summary>
public sealed record ChosenTimes(ImmutableArray<TrainingTime> Times);

public sealed class ChosenTimesValidator : AbstractValidator<ChosenTimes>
{
    public ChosenTimesValidator()
    {
        RuleFor(c => c.Times).Must(t => t is { IsDefault: false, Length: <= 21 }).WithMessage("A week has at most 21 times.");
        RuleForEach(c => c.Times)
            .Must(t => t is { Day: >= 0 and <= 31 } && Enum.IsDefined(t.Weekday))
            .WithMessage("A time has a day of the plan, a day of the week and an hour.")
            .When(c => !c.Times.IsDefault);
    }
}

/// <summary>Calendars of training days.</summary>
public static class CalendarEndpoints
{
    private const string Type = "text/calendar; charset=utf-8";

    public static void MapCalendars(this IEndpointRouteBuilder app, IEndpointRouteBuilder api)
    {
        app.MapGet("/calendar/{secret}.ics", Feed).AllowAnonymous().ExcludeFromDescription();
        var training = api.MapGroup("/training").WithTags("training").RequireAuthorization(LinkSignIn.Policy);
        training.MapGet("/days", Days);
        training.MapPut("/days", Choose).Validate<ChosenTimes>().ProducesProblem(StatusCodes.Status400BadRequest);
        api.MapGet("/clients/{id:long}/calendar", File).WithTags("clients' phones").ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>What a calendar asks for: guesses are slowed as those at links are.</summary>
    private static Results<ContentHttpResult, ProblemHttpResult> Feed(
        string secret,
        HttpContext context,
        ClientCalendars calendars,
        SignInGuard guard
    )
    {
        const string Account = "client calendar";
        var address = SessionEndpoints.AddressOf(context);
        context.Response.Headers.CacheControl = "private, no-store";
        context.Response.Headers["Referrer-Policy"] = "no-referrer";
        context.Response.Headers["X-Robots-Tag"] = "noindex, nofollow";
        if (secret.Length <= 100 && calendars.Find(secret) is { } calendar)
        {
            return TypedResults.Content(calendar, Type, Encoding.UTF8);
        }

        if (guard.Wait(Account, address) is { Ticks: > 0 } wait)
        {
            return SessionEndpoints.TooMany(context, wait);
        }

        guard.Wrong(Account, address);
        return Problems.NotFound("calendar");
    }

    private static Ok<TrainingDays> Days(ClaimsPrincipal user, ClientCalendars calendars, ClientLinkStore links, ReleaseStore releases)
    {
        var holder = LinkHolder.Of(user);
        var days = releases.Last(holder.CoachId, holder.ClientId)?.Release.Days.Length ?? 0;
        var address = calendars.AddressOf(links.Last(holder.CoachId, holder.ClientId)!);
        return TypedResults.Ok(new TrainingDays(address, calendars.TimesOf(holder.ClientId, days)));
    }

    private static Ok<TrainingDays> Choose(
        ChosenTimes chosen,
        ClaimsPrincipal user,
        ClientCalendars calendars,
        CalendarStore store,
        ClientLinkStore links,
        ReleaseStore releases
    )
    {
        var holder = LinkHolder.Of(user);
        calendars.AddressOf(links.Last(holder.CoachId, holder.ClientId)!);
        store.Choose(holder.ClientId, chosen.Times);
        return Days(user, calendars, links, releases);
    }

    /// <summary>The calendar as a file, for the coach to hand on.</summary>
    private static Results<FileContentHttpResult, ProblemHttpResult> File(
        long id,
        ClaimsPrincipal user,
        ClientCalendars calendars,
        ClientLinkStore links
    )
    {
        var coach = user.CoachId();
        return links.Last(coach, id) is { } link && calendars.Of(coach, id, link.Id) is { } of
            ? TypedResults.File(Encoding.UTF8.GetBytes(TrainingCalendar.Write(of)), Type, "training.ics")
            : Problems.NotFound("calendar");
    }
}
