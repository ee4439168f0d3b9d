using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A sign of danger as the coach reads it.</summary>
/// <param name="Id">Key.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Client">Name of the client.</param>
/// <param name="Urgency">The most urgent of its signs.</param>
/// <param name="Brief">The signs, and where they were told.</param>
/// <param name="Words">What was written; empty where a sign was tapped.</param>
/// <param name="Exercise">Exercise at which it was; null where it is not known.</param>
/// <param name="At">When it was, or else when it came in.</param>
/// <param name="ToldToClient">What the client is told to do.</param>
/// <param name="Holds">What is held until it is answered.</param>
public sealed record AlertToAnswer(
    long Id,
    long ClientId,
    string Client,
    RedUrgency Urgency,
    Reason Brief,
    string Words,
    string? Exercise,
    DateTimeOffset At,
    ImmutableArray<Reason> ToldToClient,
    Reason Holds
);

/// <summary>The coach's answer to an alert: what was agreed, and that training may go on.</summary>
/// <param name="Text">The answer; the client reads it.</param>
public sealed record AlertAnswer(string Text);

public sealed class AlertAnswerValidator : AbstractValidator<AlertAnswer>
{
    public AlertAnswerValidator() =>
        RuleFor(a => a.Text)
            .Must(t => !string.IsNullOrWhiteSpace(t))
            .WithMessage("Write what you agreed with the client: it is what the client reads, and it stands in the records.")
            .MaximumLength(AlertEndpoints.LongestAnswer)
            .WithMessage("An answer takes at most 600 characters.");
}

/// <summary>Signs of danger that stand, and their answers.</summary>
public static class AlertEndpoints
{
    /// <summary>Longest answer, characters.</summary>
    public const int LongestAnswer = 600;

    public static void MapAlerts(this IEndpointRouteBuilder api)
    {
        var alerts = api.MapGroup("/alerts").WithTags("alerts");
        alerts.MapGet("", Open);
        alerts
            .MapPost("/{id:long}/answer", Answer)
            .Validate<AlertAnswer>()
            .ProducesProblem(StatusCodes.Status404NotFound)
            .ProducesProblem(StatusCodes.Status409Conflict);
    }

    private static Ok<ImmutableArray<AlertToAnswer>> Open(ClaimsPrincipal user, AlertStore alerts, ClientStore clients, DomainRules domain)
    {
        var coach = user.CoachId();
        var open = alerts.Open(coach);
        var names = open.Select(a => a.ClientId)
            .Distinct()
            .ToDictionary(id => id, id => clients.Find(coach, id)?.Value.Name ?? string.Empty);
        return TypedResults.Ok<ImmutableArray<AlertToAnswer>>([
            .. open.Select(a => InWords(a, names[a.ClientId], domain)).OrderBy(a => a.Urgency).ThenBy(a => a.At),
        ]);
    }

    private static Results<NoContent, ProblemHttpResult> Answer(
        long id,
        AlertAnswer answer,
        ClaimsPrincipal user,
        AlertStore alerts,
        AuditStore audit
    )
    {
        var coach = user.CoachId();
        if (alerts.Answer(coach, id, answer.Text.Trim()) is not { } answered)
        {
            return Problems.NotFound("alert");
        }

        if (!answered.Taken)
        {
            return Problems.Make(
                StatusCodes.Status409Conflict,
                "answered-already",
                "It was answered already",
                $"The client reads: {answered.Alert.Answer} What you wrote now was not sent; write it as a note."
            );
        }

        audit.Note(coach, "alert-answered", $"client {answered.Alert.ClientId}");
        return TypedResults.NoContent();
    }

    /// <summary>An alert with what is said of it.</summary>
    internal static AlertToAnswer InWords(KeptAlert kept, string client, DomainRules domain) =>
        new(
            kept.Id,
            kept.ClientId,
            client,
            kept.Alert.Signs.Select(s => domain.Red.Find(s.Id)?.Urgency ?? RedUrgency.BeforeLoading).Min(),
            AlertWords.InBrief(kept.Alert),
            kept.Alert.Words,
            kept.Alert.ExerciseId is { } exercise ? domain.Catalogue.Find(exercise)?.Name ?? exercise : null,
            kept.Alert.ToldAt is { } told ? Moments.At(told) : kept.MadeAt,
            AlertWords.ToDo(kept.Alert.Signs, domain.Red),
            AlertWords.Held(HeldTraining.By([kept.Alert], domain.Red), toCoach: true)
        );
}
