using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Progressing;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>What is proposed for the next session.</summary>
/// <param name="BasedOn">Day of the session it rests on; null when nothing is logged yet.</param>
/// <param name="Proposals">One per home exercise.</param>
public sealed record NextProposals(DateOnly? BasedOn, ImmutableArray<Proposal> Proposals);

public sealed class SessionRecordValidator : AbstractValidator<SessionRecord>
{
    public SessionRecordValidator()
    {
        RuleFor(s => s.Exercises).Must(e => !e.IsDefaultOrEmpty && e.Any(x => !x.Sets.IsDefaultOrEmpty)).WithMessage("Nothing was entered: log at least one set.");
        RuleFor(s => s.Exercises.Length).LessThanOrEqualTo(100).WithMessage("At most 100 exercises in a session.").When(s => !s.Exercises.IsDefault);
        RuleFor(s => s.Effort).InclusiveBetween(1, 10).WithMessage("Effort runs from 1 to 10.");
        RuleFor(s => s.Minutes).InclusiveBetween(1, 600).WithMessage("Minutes lie between 1 and 600.");
        RuleFor(s => s.Note).MaximumLength(2000).WithMessage("A note takes at most 2,000 characters.");
        RuleForEach(s => s.Exercises).ChildRules(exercise =>
        {
            exercise.RuleFor(e => e.Sets).Must(s => s is { IsDefault: false, Length: <= 30 }).WithMessage("An exercise takes at most 30 sets.");
            exercise.RuleForEach(e => e.Sets).ChildRules(set =>
            {
                set.RuleFor(s => s.Reps).InclusiveBetween(0, 500).WithMessage("Reps lie between 0 and 500.");
                set.RuleFor(s => s.LoadKg).InclusiveBetween(0, 500).WithMessage("A load lies between 0 and 500 kg.");
                set.RuleFor(s => s.Rir).InclusiveBetween(0, 10).WithMessage("RIR runs from 0 to 10.");
                set.RuleFor(s => s.Pain).InclusiveBetween(0, 10).WithMessage("Pain runs from 0 to 10.");
            }).When(e => !e.Sets.IsDefault);
        }).When(s => !s.Exercises.IsDefault);
    }
}

/// <summary>The log of a plan, and what it decides.</summary>
public static class LogEndpoints
{
    public static void MapLogs(this IEndpointRouteBuilder api)
    {
        var logs = api.MapGroup("/plans/{planId:long}").WithTags("log");
        logs.MapGet("/sessions", List).ProducesProblem(StatusCodes.Status404NotFound);
        logs.MapPost("/sessions", Add).Validate<SessionRecord>().ProducesProblem(StatusCodes.Status404NotFound);
        logs.MapDelete("/sessions/{sessionId:long}", Delete).ProducesProblem(StatusCodes.Status404NotFound);
        logs.MapGet("/next", Next).ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static Results<Ok<IReadOnlyList<Saved<SessionRecord>>>, ProblemHttpResult> List(long planId, ClaimsPrincipal user, PlanStore plans, LogStore logs) =>
        plans.Find(user.CoachId(), planId) is null ? Problems.NotFound("plan") : TypedResults.Ok(logs.List(user.CoachId(), planId));

    private static Results<Created<SessionId>, ProblemHttpResult> Add(
        long planId, SessionRecord session, ClaimsPrincipal user, LogStore logs, TimeProvider clock)
    {
        if (session.PerformedOn > DateOnly.FromDateTime(clock.GetUtcNow().Date.AddDays(1)))
        {
            return Problems.Invalid("performedOn", "The day of the session lies in the future.");
        }

        return logs.Add(user.CoachId(), planId, session) is { } id
            ? TypedResults.Created($"/api/v1/plans/{planId}/sessions/{id}", new SessionId(id))
            : Problems.NotFound("plan version");
    }

    private static Results<NoContent, ProblemHttpResult> Delete(long planId, long sessionId, ClaimsPrincipal user, LogStore logs) =>
        logs.Delete(user.CoachId(), planId, sessionId) ? TypedResults.NoContent() : Problems.NotFound("session");

    private static Results<Ok<NextProposals>, ProblemHttpResult> Next(
        long planId, ClaimsPrincipal user, PlanStore plans, LogStore logs, NextSession next)
    {
        if (plans.Find(user.CoachId(), planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        var document = plan.Value.Document;
        var sessions = logs.List(user.CoachId(), planId);

        // Newest first, so that each line rests on the last session of its own day.
        var proposals = next.Propose(
            document.Request.Client, document.Request.Kit, document.Plan.Lines, [.. sessions.SelectMany(s => s.Value.Exercises)]);
        return TypedResults.Ok(new NextProposals(sessions.Count == 0 ? null : sessions[0].Value.PerformedOn, proposals));
    }
}

/// <summary>Id of a logged session.</summary>
public sealed record SessionId(long Id);
