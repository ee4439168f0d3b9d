using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Features;

/// <summary>Everything that a phone keeps.</summary>
/// <param name="Coach">Name of the coach.</param>
/// <param name="Releases">The last release of each plan, the one sent last first.</param>
/// <param name="Sessions">What was trained in the last weeks, newest first.</param>
/// <param name="Notes">Notes on these sessions, oldest first.</param>
public sealed record ClientAppContent(
    string Coach,
    ImmutableArray<SentRelease> Releases,
    ImmutableArray<SessionInClientApp> Sessions,
    ImmutableArray<MessageInClientApp> Notes
)
{
    /// <summary>Stop signs that can be tapped, those of the body first.</summary>
    public ImmutableArray<ClientAppStopSign> StopSigns { get; init; } = [];

    /// <summary>What signs of danger hold until the coach has answered; null where nothing is held.</summary>
    public ClientAppHold? Hold { get; init; }

    /// <summary>The coach's last answers to such signs, newest first.</summary>
    public ImmutableArray<ClientAppAnswer> Answers { get; init; } = [];
}

/// <summary>A sign that can be tapped on the phone.</summary>
/// <param name="Id">Its key.</param>
/// <param name="OfLimb">It is of one limb or joint, which is asked.</param>
/// <param name="Label">What it is called.</param>
/// <param name="ToDo">What to do now.</param>
public sealed record ClientAppStopSign(string Id, bool OfLimb, Reason Label, Reason ToDo);

/// <summary>What may not be trained now.</summary>
/// <param name="All">Nothing at all.</param>
/// <param name="Exercises">Exercises that are left out otherwise.</param>
/// <param name="ToDo">What the client is to do.</param>
/// <param name="Say">What is held, and until when.</param>
public sealed record ClientAppHold(bool All, ImmutableArray<string> Exercises, ImmutableArray<Reason> ToDo, Reason Say);

/// <summary>An answer of the coach to a sign of danger.</summary>
public sealed record ClientAppAnswer(string Text, DateTimeOffset At);

/// <summary>A session that the server has.</summary>
/// <param name="Key">The phone's key of it.</param>
/// <param name="Revision">State that the server has.</param>
/// <param name="Release">Its release.</param>
/// <param name="PlanId">Its plan: the days of a plan go on from release to release.</param>
/// <param name="Day">Place of the day in the release.</param>
/// <param name="PerformedOn">The day on which it was trained.</param>
/// <param name="Finished">Ended by the client.</param>
/// <param name="Sets">Sets done.</param>
/// <param name="SeenByCoach">The coach has looked at it.</param>
/// <param name="ClockWasOff">The phone's clock was wrong.</param>
/// <param name="Hurt">The joint that hurt most in it; null for none.</param>
public sealed record SessionInClientApp(
    string Key,
    int Revision,
    long Release,
    long PlanId,
    int Day,
    DateOnly PerformedOn,
    bool Finished,
    int Sets,
    bool SeenByCoach,
    bool ClockWasOff,
    Joint? Hurt
)
{
    /// <summary>What the client is told of a session; the joint that hurt most is asked about the next morning.</summary>
    public static SessionInClientApp Of(ClientAppRecord record)
    {
        ArgumentNullException.ThrowIfNull(record);
        var session = record.Session;
        return new SessionInClientApp(
            session.Key,
            session.Revision,
            session.Release,
            record.PlanId,
            session.Day,
            record.PerformedOn,
            session.Finished,
            session.SetsDone,
            record.SeenAt is not null,
            record.ClockWasOff,
            session.Exercises.SelectMany(e => e.Sets).Where(s => s.PainCounted > 0).MaxBy(s => s.PainCounted)?.PainJoint ?? session.Hurts
        );
    }
}

/// <summary>A session that another phone goes on with.</summary>
/// <param name="Session">As it was sent last.</param>
/// <param name="Sent">The release that is trained.</param>
public sealed record SessionToTakeOver(ClientAppSession Session, SentRelease Sent);

/// <summary>A note as the client has it.</summary>
public sealed record MessageInClientApp(string Session, string? ExerciseId, bool Mine, string Text, DateTimeOffset At);

/// <summary>A note of the client.</summary>
/// <param name="Key">Made by the phone once: sent again, it is the same note.</param>
/// <param name="Session">Key of the session.</param>
/// <param name="Text">The note.</param>
/// <param name="ExerciseId">Exercise it is about; null for the day.</param>
public sealed record NewClientAppMessage(string Key, string Session, string Text, string? ExerciseId = null);

public sealed class ClientAppSessionValidator : AbstractValidator<ClientAppSession>
{
    public ClientAppSessionValidator()
    {
        RuleFor(s => s.Key).Must(ClientAppKey.IsOne).WithMessage(ClientAppKey.Form);
        RuleFor(s => s.Revision).InclusiveBetween(1, 1_000_000).WithMessage("A revision lies between 1 and 1,000,000.");
        RuleFor(s => s.Day).InclusiveBetween(0, 31).WithMessage("A release has no such day.");
        RuleFor(s => s.Course).InclusiveBetween(0, 20).WithMessage("A day has no such way through.");
        RuleFor(s => s.Form).MaximumLength(40).WithMessage("A form has a key of at most 40 characters.");
        RuleFor(s => s.Effort).InclusiveBetween(1, 10).WithMessage("Effort runs from 1 to 10.");
        RuleFor(s => s.Minutes).InclusiveBetween(1, 600).WithMessage("Minutes lie between 1 and 600.");
        RuleFor(s => s.Note).NotNull().MaximumLength(1000).WithMessage("A note takes at most 1,000 characters.");
        RuleFor(s => s.Exercises).Must(e => e is { IsDefault: false, Length: <= 100 }).WithMessage("A session has at most 100 exercises.");
        RuleForEach(s => s.Exercises)
            .ChildRules(exercise =>
            {
                exercise
                    .RuleFor(e => e.ExerciseId)
                    .NotEmpty()
                    .MaximumLength(100)
                    .WithMessage("An exercise has a key of at most 100 characters.");
                exercise.RuleFor(e => e.InPlaceOf).MaximumLength(100).WithMessage("An exercise has a key of at most 100 characters.");
                exercise.RuleFor(e => e.Meant).Must(m => m.IsDefault || m.Length <= 30).WithMessage("An exercise takes at most 30 sets.");
                exercise.HoldsSets(e => e.Sets);
            })
            .When(s => !s.Exercises.IsDefault);
    }
}

public sealed class StopSignTappedValidator : AbstractValidator<StopSignTapped>
{
    public StopSignTappedValidator()
    {
        RuleFor(s => s.Key).Must(ClientAppKey.IsOne).WithMessage(ClientAppKey.Form);
        RuleFor(s => s.Sign)
            .Must(s => s is not null && DomainRules.Shipped.Red.Find(s) is { Tapped: true })
            .WithMessage("There is no such stop sign.");
        RuleFor(s => s.Session).Must(ClientAppKey.IsOne).When(s => s.Session is not null).WithMessage(ClientAppKey.Form);
        RuleFor(s => s.ExerciseId).MaximumLength(100).WithMessage("An exercise has a key of at most 100 characters.");
        RuleFor(s => s.Joint).IsInEnum().WithMessage("There is no such joint.");
    }
}

public sealed class NewClientAppMessageValidator : AbstractValidator<NewClientAppMessage>
{
    public NewClientAppMessageValidator()
    {
        RuleFor(n => n.Key).Must(ClientAppKey.IsOne).WithMessage(ClientAppKey.Form);
        RuleFor(n => n.Session).Must(ClientAppKey.IsOne).WithMessage(ClientAppKey.Form);
        RuleFor(n => n.ExerciseId).MaximumLength(100).WithMessage("An exercise has a key of at most 100 characters.");
        RuleFor(n => n.Text)
            .Must(t => !string.IsNullOrWhiteSpace(t))
            .WithMessage("The note is empty.")
            .MaximumLength(ClientAppLimits.NoteCharacters)
            .WithMessage("A note takes at most 1,000 characters.");
    }
}

/// <summary>Keys that phones make.</summary>
internal static class ClientAppKey
{
    public const string Form = "A key has 8 to 64 letters, figures or hyphens.";

    public static bool IsOne(string? key) => key is { Length: >= 8 and <= 64 } && key.All(c => char.IsAsciiLetterOrDigit(c) || c == '-');
}

/// <summary>Bounds of what comes from phones.</summary>
internal static class ClientAppLimits
{
    /// <summary>Longest note, characters.</summary>
    public const int NoteCharacters = 1000;

    /// <summary>Notes that a client may write in a thread.</summary>
    public const int NotesOfSession = 100;

    /// <summary>Sessions that a client may send within the weeks that are looked back.</summary>
    public const int Sessions = 400;

    /// <summary>Sessions of a client that are kept in all: ten a week for six years.</summary>
    public const int SessionsInAll = 3000;

    /// <summary>Notes of a client that are kept in all, the coach's among them.</summary>
    public const int NotesInAll = 3000;

    /// <summary>Days that a phone is told of.</summary>
    public const int DaysBack = 42;
}

/// <summary>What the session application of a client asks: its releases, and what was done.</summary>
public static class TrainingEndpoints
{
    public static void MapTraining(this IEndpointRouteBuilder api)
    {
        var training = api.MapGroup("/training").WithTags("training").RequireAuthorization(LinkSignIn.Policy);
        training.MapGet("/sessions/{key}", Take).ProducesProblem(StatusCodes.Status404NotFound).ProducesProblem(StatusCodes.Status410Gone);
        training
            .MapGet("", Content)
            .Produces<ClientAppContent>()
            .Produces(StatusCodes.Status304NotModified)
            .ProducesProblem(StatusCodes.Status401Unauthorized)
            .ProducesProblem(StatusCodes.Status410Gone);
        training
            .MapPut("/sessions/{key}", Keep)
            .Validate<ClientAppSession>()
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status410Gone);
        training.MapPost("/stop-signs", Tap).Validate<StopSignTapped>().ProducesProblem(StatusCodes.Status400BadRequest);
        training.MapPost("/notes", Say).Validate<NewClientAppMessage>().ProducesProblem(StatusCodes.Status400BadRequest);
    }

    private static IResult Content(
        ClaimsPrincipal user,
        HttpContext context,
        IOptions<JsonOptions> json,
        ReleaseStore releases,
        ClientAppStore floor,
        CoachStore coaches,
        ClientAppSafety safety,
        TimeProvider clock
    )
    {
        var link = LinkHolder.Of(user);
        var since = DateOnly.FromDateTime(clock.GetUtcNow().Date).AddDays(-ClientAppLimits.DaysBack);
        var sessions = floor.OfClient(link.CoachId, link.ClientId, since);
        var keys = sessions.Select(s => s.Session.Key).ToHashSet();
        var notes = floor.Notes(link.CoachId, link.ClientId).Where(n => keys.Contains(n.Session));
        var current = releases.Current(link.CoachId, link.ClientId).ToImmutableArray();
        var content = new ClientAppContent(
            coaches.Find(link.CoachId)?.Name ?? string.Empty,
            current,
            [.. sessions.Select(SessionInClientApp.Of)],
            [.. notes.Select(n => new MessageInClientApp(n.Session, n.ExerciseId, n.FromClient, n.Text, n.At))]
        )
        {
            StopSigns = safety.StopSigns,
            Hold = safety.HoldOf(link.CoachId, link.ClientId, current),
            Answers = safety.AnswersTo(link.CoachId, link.ClientId),
        };
        if (!context.Request.Headers.ContainsKey(LinkSignIn.PreviewHeader))
        {
            floor.ReadByClient(link.ClientId);
        }

        return TaggedJson.Of(context, content, json.Value.SerializerOptions);
    }

    private static Results<Ok<SessionInClientApp>, ProblemHttpResult> Keep(
        string key,
        ClientAppSession session,
        ClaimsPrincipal user,
        ReleaseStore releases,
        ClientAppStore floor,
        PlanStore plans,
        ClientLog log,
        ActivityRenewal renewal,
        SafetyWatch watch,
        TimeProvider clock
    )
    {
        var link = LinkHolder.Of(user);
        if (key != session.Key)
        {
            return Problems.Invalid("key", "The address and the session name two keys.");
        }

        // Heard before anything else: a session that is refused may still say that somebody is in danger.
        watch.Hear(link.CoachId, link.ClientId, AlertSource.MessageInClientApp, session.Key, session.Note, session.Key);

        // A release of another client is as good as none.
        if (
            releases.Find(link.CoachId, session.Release) is not { } release
            || plans.Find(link.CoachId, release.PlanId) is not { } plan
            || plan.Value.ClientId != link.ClientId
        )
        {
            return Problems.NotFound("release");
        }

        if (session.Day >= release.Release.Days.Length)
        {
            return Problems.Invalid("day", "A release has no such day.");
        }

        // The day is that of its beginning, as it was when the session first came: a phone whose clock moves meanwhile moves no day.
        var known = floor.Find(link.CoachId, link.ClientId, key);
        var day = known?.PerformedOn ?? session.TrainedOn(Moments.ToMoment(clock.GetUtcNow())).Day;
        if (log.WrongDay(day) is { } wrong)
        {
            return Problems.Invalid("startedAt", wrong);
        }

        // Nobody trains a plan before it was sent; a day is let for clocks and time zones.
        if (known is null && day < DateOnly.FromDateTime(release.MadeAt.Date).AddDays(-1))
        {
            return Problems.Invalid("startedAt", "The day of the session lies before the plan was sent: look at the phone's clock.");
        }

        if (floor.CountOf(link.ClientId) >= ClientAppLimits.SessionsInAll && known is null)
        {
            return Problems.Invalid("key", $"At most {ClientAppLimits.SessionsInAll} sessions of a client are kept.");
        }

        var since = log.Today.AddDays(-ClientAppLimits.DaysBack);
        var before = floor.OfClient(link.CoachId, link.ClientId, since);
        if (before.Count >= ClientAppLimits.Sessions && before.All(s => s.Session.Key != key))
        {
            return Problems.Invalid("key", $"At most {ClientAppLimits.Sessions} sessions in six weeks.");
        }

        var kept = floor.Keep(
            link.CoachId,
            link.ClientId,
            release,
            session,
            ClientAppLog.ToSessionRecord(link.CoachId, release, session, day, plan.Value, log)
        );
        renewal.Ask(link.CoachId, release.PlanId);
        return TypedResults.Ok(SessionInClientApp.Of(kept));
    }

    /// <summary>A session as the server has it, with its release: another phone goes on with it.</summary>
    private static Results<Ok<SessionToTakeOver>, ProblemHttpResult> Take(
        string key,
        ClaimsPrincipal user,
        ReleaseStore releases,
        ClientAppStore floor
    )
    {
        var link = LinkHolder.Of(user);
        return
            floor.Find(link.CoachId, link.ClientId, key) is { } record && releases.Find(link.CoachId, record.Session.Release) is { } release
            ? TypedResults.Ok(new SessionToTakeOver(record.Session, release))
            : Problems.NotFound("session");
    }

    /// <summary>A stop sign: an event of its own, also without a session, also from an hour ago.</summary>
    private static Results<NoContent, ProblemHttpResult> Tap(StopSignTapped tapped, ClaimsPrincipal user, SafetyWatch watch)
    {
        var link = LinkHolder.Of(user);
        return watch.Tapped(link.CoachId, link.ClientId, tapped) is null
            ? Problems.Invalid("key", $"At most {SafetyWatch.MostAlerts} alerts of a client are kept.")
            : TypedResults.NoContent();
    }

    private static Results<Ok<MessageInClientApp>, ProblemHttpResult> Say(
        NewClientAppMessage note,
        ClaimsPrincipal user,
        ClientAppStore floor,
        SafetyWatch watch
    )
    {
        var link = LinkHolder.Of(user);
        watch.Hear(link.CoachId, link.ClientId, AlertSource.MessageInClientApp, note.Session, note.Text, note.Session, note.ExerciseId);
        if (!floor.Has(link.ClientId, note.Session))
        {
            return Problems.NotFound("session");
        }

        var notes = floor.Notes(link.CoachId, link.ClientId);
        var thread = notes.Where(n => n.Session == note.Session).ToList();
        if (
            (thread.Count >= ClientAppLimits.NotesOfSession || notes.Count >= ClientAppLimits.NotesInAll)
            && thread.All(n => n.Text != note.Text.Trim())
        )
        {
            return Problems.Invalid("text", "This thread is full; write to your coach another way.");
        }

        return floor.Say(link.CoachId, link.ClientId, note.Session, note.ExerciseId, true, note.Text.Trim(), note.Key) is { } said
            ? TypedResults.Ok(new MessageInClientApp(said.Session, said.ExerciseId, said.FromClient, said.Text, said.At))
            : Problems.NotFound("client");
    }
}
