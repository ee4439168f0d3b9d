using System.Collections.Immutable;
using System.Globalization;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Web.Features;

/// <summary>What is proposed for the next session.</summary>
/// <param name="BasedOn">Day of the session it rests on; null when nothing is logged yet.</param>
/// <param name="Proposals">One per home exercise.</param>
/// <param name="Aside">Logged exercises that no line of the plan answers to now.</param>
/// <param name="Phase">What is said once of a phase that starts; null when none does.</param>
/// <param name="AsPlanned">What doing each exercise as planned would read.</param>
public sealed record NextProposals(
    DateOnly? BasedOn,
    ImmutableArray<Proposal> Proposals,
    ImmutableArray<SetAside> Aside,
    Reason? Phase,
    ImmutableArray<PlannedEntry> AsPlanned
);

/// <summary>What doing an exercise as planned would read in the log.</summary>
public sealed record PlannedEntry(LineKey Line, string ExerciseId, string Text);

/// <summary>Sets of an exercise as they were typed.</summary>
public sealed record SetsText(string Text);

/// <summary>What a client wrote of a session.</summary>
public sealed record MessageText(string Text);

/// <summary>What was read of a message, and the signs of danger that were heard in it first.</summary>
/// <param name="Parts">Exercise by exercise.</param>
/// <param name="Effort">Effort of the whole session.</param>
/// <param name="Note">What has no place elsewhere.</param>
/// <param name="Alert">Signs of danger in it: an alert stands until it is answered; null for none.</param>
/// <param name="ToDo">What the client is to be told at once.</param>
/// <param name="Pains">What was said to hurt.</param>
public sealed record MessageReadIn(
    ImmutableArray<MessagePart> Parts,
    int? Effort,
    string Note,
    Reason? Alert,
    ImmutableArray<Reason> ToDo,
    ImmutableArray<MessagePain> Pains
);

/// <summary>A session to log.</summary>
/// <param name="Session">The session; what its sets were under the plan is worked out by the server.</param>
/// <param name="Sure">Log it although something looks like a slip of the pen.</param>
public sealed record SessionToLog(SessionRecord Session, bool Sure = false);

/// <summary>How logging went.</summary>
/// <param name="Id">Key of the session; null when something was asked first and nothing is stored.</param>
/// <param name="Doubts">What looks like a slip of the pen.</param>
public sealed record LogAnswer(long? Id, ImmutableArray<LogDoubt> Doubts);

/// <summary>A log file.</summary>
/// <param name="Content">Its bytes, base64.</param>
public sealed record LogUpload(string Content);

/// <summary>Sessions of a log file to store, all or none.</summary>
public sealed record LoggedFile(ImmutableArray<LoggedSession> Sessions);

public sealed class SessionToLogValidator : AbstractValidator<SessionToLog>
{
    public SessionToLogValidator() => RuleFor(s => s.Session).NotNull().SetValidator(new SessionRecordValidator());
}

public sealed class SessionChangeValidator : AbstractValidator<Change<SessionRecord>>
{
    public SessionChangeValidator() => RuleFor(s => s.Value).NotNull().SetValidator(new SessionRecordValidator());
}

public sealed class SetsTextValidator : AbstractValidator<SetsText>
{
    public SetsTextValidator() =>
        RuleFor(s => s.Text).NotNull().MaximumLength(400).WithMessage("A line of sets takes at most 400 characters.");
}

public sealed class SessionRecordValidator : AbstractValidator<SessionRecord>
{
    public SessionRecordValidator()
    {
        RuleFor(s => s.Exercises)
            .Must(e => !e.IsDefaultOrEmpty && e.Any(x => !x.Sets.IsDefaultOrEmpty))
            .WithMessage("Nothing was entered: log at least one set.");
        RuleFor(s => s.Exercises.Length)
            .LessThanOrEqualTo(100)
            .WithMessage("At most 100 exercises in a session.")
            .When(s => !s.Exercises.IsDefault);
        RuleFor(s => s.Effort).InclusiveBetween(1, 10).WithMessage("Effort runs from 1 to 10.");
        RuleFor(s => s.Minutes).InclusiveBetween(1, 600).WithMessage("Minutes lie between 1 and 600.");
        RuleFor(s => s.Note).MaximumLength(2000).WithMessage("A note takes at most 2,000 characters.");
        RuleForEach(s => s.Exercises)
            .ChildRules(exercise =>
            {
                exercise.HoldsSets(e => e.Sets);
            })
            .When(s => !s.Exercises.IsDefault);
    }
}

/// <summary>The log of a plan, and what it decides.</summary>
public static class LogEndpoints
{
    private const string What = "session";
    private const int MostSessions = 400;

    public static void MapLogs(this IEndpointRouteBuilder api)
    {
        api.MapPost("/shorthand/sets", ReadSets).Validate<SetsText>().WithTags("log");
        var logs = api.MapGroup("/plans/{planId:long}").WithTags("log");
        logs.MapGet("/sessions", List).ProducesProblem(StatusCodes.Status404NotFound);
        logs.MapPost("/sessions", Add).Validate<SessionToLog>().ProducesProblem(StatusCodes.Status404NotFound);
        logs.MapPut("/sessions/{sessionId:long}", Update).Validate<Change<SessionRecord>>().ProducesProblem(StatusCodes.Status409Conflict);
        logs.MapDelete("/sessions/{sessionId:long}", Delete).ProducesProblem(StatusCodes.Status404NotFound);
        logs.MapPost("/log-file/preview", Preview)
            .WithMetadata(new RequestSizeLimitAttribute(2 * ExchangeLimits.FileBytes))
            .ProducesProblem(StatusCodes.Status400BadRequest);
        logs.MapPost("/log-file", AddFile).ProducesProblem(StatusCodes.Status400BadRequest);
        logs.MapPost("/log-message", ReadMessage).ProducesProblem(StatusCodes.Status404NotFound);
        logs.MapGet("/next", Next).ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>Reads a message that a client texted against the plan; nothing is logged.</summary>
    private static Results<Ok<MessageReadIn>, ProblemHttpResult> ReadMessage(
        long planId,
        MessageText message,
        ClaimsPrincipal user,
        PlanStore plans,
        DomainRules domain,
        SafetyWatch watch
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        var alert = watch.Hear(coach, plan.Value.ClientId, AlertSource.Message, watch.Today, message.Text);
        var read = new LogMessage(plan.Value.Document.Plan, domain).Read(message.Text);
        return TypedResults.Ok(
            new MessageReadIn(
                read.Parts,
                read.Effort,
                read.Note,
                alert is null ? null : AlertWords.InBrief(alert.Alert),
                alert is null ? [] : AlertWords.ToDo(alert.Alert.Signs, domain.Red),
                read.Pains
            )
        );
    }

    private static Ok<ReadSets> ReadSets(SetsText sets) => TypedResults.Ok(LogShorthand.Read(sets.Text));

    private static Results<Ok<IReadOnlyList<Saved<SessionRecord>>>, ProblemHttpResult> List(
        long planId,
        ClaimsPrincipal user,
        PlanStore plans,
        LogStore logs
    ) => plans.Find(user.CoachId(), planId) is null ? Problems.NotFound("plan") : TypedResults.Ok(logs.List(user.CoachId(), planId));

    private static Results<Ok<LogAnswer>, ProblemHttpResult> Add(
        long planId,
        SessionToLog entry,
        ClaimsPrincipal user,
        PlanStore plans,
        LogStore logs,
        ClientLog log,
        ActivityRenewal renewal,
        SafetyWatch watch,
        IdempotencyKey once
    )
    {
        var (coach, session) = (user.CoachId(), entry.Session);
        if (log.WrongDay(session.PerformedOn) is { } wrong)
        {
            return Problems.Invalid("performedOn", wrong);
        }

        if (plans.Find(coach, planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        if (log.Trained(coach, planId, plan.Value, session.PlanVersion) is not { } trained)
        {
            return Problems.NotFound("plan version");
        }

        watch.Hear(coach, plan.Value.ClientId, AlertSource.Log, DayOf(session.PerformedOn), session.Note);
        var doubts = entry.Sure ? [] : log.Doubts(trained, session.Exercises);
        if (!doubts.IsEmpty)
        {
            return TypedResults.Ok(new LogAnswer(null, doubts));
        }

        var stamped = session with
        {
            Exercises = log.Stamped(trained, session.Exercises),
            PlannedSets = PlannedSets.Count(trained.Plan, session.Exercises),
            Source = session.Source == SessionSource.File ? SessionSource.File : SessionSource.Typed,
        };
        if (logs.Add(coach, planId, stamped, once.Value) is not { } id)
        {
            return Problems.NotFound("plan version");
        }

        renewal.Ask(coach, planId);
        return TypedResults.Ok(new LogAnswer(id, []));
    }

    private static Results<Ok<Saved<SessionRecord>>, ProblemHttpResult> Update(
        long planId,
        long sessionId,
        Change<SessionRecord> change,
        ClaimsPrincipal user,
        PlanStore plans,
        LogStore logs,
        ClientLog log,
        ActivityRenewal renewal,
        SafetyWatch watch
    )
    {
        var coach = user.CoachId();
        if (log.WrongDay(change.Value.PerformedOn) is { } wrong)
        {
            return Problems.Invalid("performedOn", wrong);
        }

        if (plans.Find(coach, planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        if (log.Trained(coach, planId, plan.Value, change.Value.PlanVersion) is not { } trained)
        {
            return Problems.NotFound("plan version");
        }

        watch.Hear(coach, plan.Value.ClientId, AlertSource.Log, DayOf(change.Value.PerformedOn), change.Value.Note);
        var written = logs.Update(
            coach,
            planId,
            sessionId,
            change.Revision,
            change.Value with
            {
                Exercises = log.Stamped(trained, change.Value.Exercises),
            }
        );
        renewal.Ask(coach, planId);
        return written.ToResult(What);
    }

    private static string DayOf(DateOnly day) => day.ToString("O", CultureInfo.InvariantCulture);

    private static Results<NoContent, ProblemHttpResult> Delete(
        long planId,
        long sessionId,
        ClaimsPrincipal user,
        LogStore logs,
        ClientLog log,
        ActivityRenewal renewal
    )
    {
        if (!logs.Delete(user.CoachId(), planId, sessionId))
        {
            return Problems.NotFound(What);
        }

        renewal.Ask(user.CoachId(), planId);
        return TypedResults.NoContent();
    }

    /// <summary>What a log file would bring in. Nothing is stored.</summary>
    private static Results<Ok<LogPreview>, ProblemHttpResult> Preview(
        long planId,
        LogUpload upload,
        ClaimsPrincipal user,
        PlanStore plans,
        LogReader reader,
        ClientLog log,
        ActivityRenewal renewal
    )
    {
        if (plans.Find(user.CoachId(), planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        try
        {
            return TypedResults.Ok(reader.Read(Convert.FromBase64String(upload.Content), plan.Value.Document.Plan.Lines, log.Today));
        }
        catch (UnreadableFileException wrong)
        {
            return Problems.Make(StatusCodes.Status400BadRequest, "unreadable-file", "The file cannot be read", wrong.Message);
        }
        catch (FormatException)
        {
            return Problems.Invalid("content", "The content is not base64.");
        }
    }

    private static Results<Ok<IReadOnlyList<long>>, ProblemHttpResult> AddFile(
        long planId,
        LoggedFile file,
        ClaimsPrincipal user,
        PlanStore plans,
        LogStore logs,
        ClientLog log,
        ActivityRenewal renewal,
        IdempotencyKey once
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        if (file.Sessions.IsDefaultOrEmpty || file.Sessions.Length > MostSessions)
        {
            return Problems.Invalid("sessions", $"A file brings in 1 to {MostSessions} sessions.");
        }

        if (file.Sessions.Select(s => log.WrongDay(s.Day)).FirstOrDefault(w => w is not null) is { } wrongDay)
        {
            return Problems.Invalid("sessions", wrongDay);
        }

        var records = file
            .Sessions.Select(s => new SessionRecord(
                plan.Value.Version,
                s.Day,
                log.Stamped(plan.Value.Document, s.Exercises.IsDefault ? [] : s.Exercises),
                s.Effort,
                PlannedSets: PlannedSets.Count(plan.Value.Document.Plan, s.Exercises.IsDefault ? [] : s.Exercises),
                Source: SessionSource.File
            ))
            .ToList();
        var validator = new SessionRecordValidator();
        if (records.Select(r => validator.Validate(r)).FirstOrDefault(v => !v.IsValid) is { } wrong)
        {
            return Problems.Invalid("sessions", wrong.Errors[0].ErrorMessage);
        }

        var added = logs.AddAll(coach, planId, records, once.Value);
        renewal.Ask(coach, planId);
        return added is null ? Problems.NotFound("plan version") : TypedResults.Ok(added);
    }

    private static Results<Ok<NextProposals>, ProblemHttpResult> Next(long planId, ClaimsPrincipal user, PlanStore plans, ClientLog log)
    {
        if (plans.Find(user.CoachId(), planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        var (proposals, matched) = log.Review(user.CoachId(), planId, plan.Value);
        return TypedResults.Ok(
            new NextProposals(
                matched.Sessions.IsEmpty ? null : matched.Sessions.Max(s => s.Day),
                proposals,
                matched.Aside,
                BlockGuide.PhaseOnce(proposals),
                [
                    .. from line in plan.Value.Document.Plan.Lines
                    from home in line.Chosen?.Exercises ?? []
                    select new PlannedEntry(line.Gym.Key, home.ExerciseId, LogShorthand.AsPlanned(home)),
                ]
            )
        );
    }
}
