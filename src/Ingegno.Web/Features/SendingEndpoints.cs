using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.Reading;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>How it stands with a client's link.</summary>
/// <param name="Address">Address below the application's own; null where there is no link, or where this installation cannot show it
/// again.</param>
/// <param name="Whole">The whole address, under the host for clients where one is configured.</param>
/// <param name="Picture">The whole address as a QR code, SVG.</param>
/// <param name="MadeAt">When it was made; null where there is none.</param>
/// <param name="ExpiresAt">When it ends by itself.</param>
/// <param name="EndedAt">When it ended; null while it runs.</param>
/// <param name="OpenedAt">When the client opened it first.</param>
/// <param name="SeenAt">When the phone was in touch last.</param>
/// <param name="Releases">What the client has, the one sent last first.</param>
/// <param name="LastTrained">Day of the last session from the phone.</param>
public sealed record LinkState(
    string? Address,
    string? Whole,
    string? Picture,
    DateTimeOffset? MadeAt,
    DateTimeOffset? ExpiresAt,
    DateTimeOffset? EndedAt,
    DateTimeOffset? OpenedAt,
    DateTimeOffset? SeenAt,
    ImmutableArray<ReleaseInBrief> Releases,
    DateOnly? LastTrained
);

/// <summary>A plan to send.</summary>
/// <param name="Version">Version of the plan that the coach sees.</param>
/// <param name="Word">A word to the client.</param>
/// <param name="Sure">It is sent although lines of the gym week could not be read, and are not in it.</param>
public sealed record PlanToSend(int Version, string Word = "", bool Sure = false);

/// <summary>A plan that was sent.</summary>
/// <param name="Release">The release.</param>
/// <param name="Message">A message to the client with the link, ready to send.</param>
/// <param name="Link">The link.</param>
public sealed record PlanSent(ReleaseInBrief Release, string Message, LinkState Link);

/// <summary>A link to make.</summary>
/// <param name="Days">Days after which it ends by itself; null for never.</param>
public sealed record LinkToMake(int? Days = null);

/// <summary>A note to a client.</summary>
/// <param name="Session">Key of the session.</param>
/// <param name="Text">The note.</param>
/// <param name="ExerciseId">Exercise it is about; null for the day.</param>
public sealed record NoteToClient(string Session, string Text, string? ExerciseId = null);

/// <summary>A session from a phone as the coach reads it.</summary>
/// <param name="Id">Key.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="Client">Name of the client.</param>
/// <param name="PlanId">The plan.</param>
/// <param name="Title">Title of the release.</param>
/// <param name="Day">Name of the day.</param>
/// <param name="PerformedOn">The day on which it was trained.</param>
/// <param name="Finished">Ended by the client.</param>
/// <param name="SetsDone">Sets done.</param>
/// <param name="SetsPlanned">Sets of the way through the day that was taken.</param>
/// <param name="Seen">The coach has looked at it.</param>
/// <param name="Session">As the phone sent it.</param>
/// <param name="Exercises">Its exercises in words.</param>
/// <param name="Remarks">What the coach should know at a glance, the gravest first.</param>
/// <param name="LoggedAs">Key in the log; null while it runs.</param>
/// <param name="Differs">The coach changed it in the log, and the phone sent another state since.</param>
/// <param name="Notes">The thread, oldest first.</param>
/// <param name="StopFrom">Pain of 10 from which an exercise is stopped.</param>
public sealed record CameIn(
    long Id,
    long ClientId,
    string Client,
    long PlanId,
    string Title,
    string Day,
    DateOnly PerformedOn,
    bool Finished,
    int SetsDone,
    int SetsPlanned,
    bool Seen,
    ClientAppSession Session,
    ImmutableArray<ClientAppLine> Exercises,
    ImmutableArray<ClientAppRemark> Remarks,
    long? LoggedAs,
    bool Differs,
    ImmutableArray<ClientAppNote> Notes,
    int StopFrom
);

public sealed class PlanToSendValidator : AbstractValidator<PlanToSend>
{
    public PlanToSendValidator() => RuleFor(p => p.Word).NotNull().MaximumLength(600).WithMessage("A word takes at most 600 characters.");
}

public sealed class LinkToMakeValidator : AbstractValidator<LinkToMake>
{
    public LinkToMakeValidator() => RuleFor(l => l.Days).InclusiveBetween(1, 730).WithMessage("A link runs for 1 to 730 days.");
}

public sealed class NoteToClientValidator : AbstractValidator<NoteToClient>
{
    public NoteToClientValidator()
    {
        RuleFor(n => n.Session).Must(ClientAppKey.IsOne).WithMessage(ClientAppKey.Form);
        RuleFor(n => n.ExerciseId).MaximumLength(100).WithMessage("An exercise has a key of at most 100 characters.");
        RuleFor(n => n.Text)
            .Must(t => !string.IsNullOrWhiteSpace(t))
            .WithMessage("The note is empty.")
            .MaximumLength(ClientAppLimits.NoteCharacters)
            .WithMessage("A note takes at most 1,000 characters.");
    }
}

/// <summary>Sends plans to clients, and reads what comes back.</summary>
public static class SendingEndpoints
{
    public static void MapSending(this IEndpointRouteBuilder api)
    {
        var sending = api.MapGroup("").WithTags("clients' phones");
        sending.MapPost("/plans/{id:long}/releases", Send).Validate<PlanToSend>().ProducesProblem(StatusCodes.Status409Conflict);
        sending.MapGet("/clients/{id:long}/link", Link).ProducesProblem(StatusCodes.Status404NotFound);
        sending.MapPost("/clients/{id:long}/link", Renew).Validate<LinkToMake>().ProducesProblem(StatusCodes.Status404NotFound);
        sending.MapDelete("/clients/{id:long}/link", Revoke).ProducesProblem(StatusCodes.Status404NotFound);
        sending.MapGet("/came-in", Unseen);
        sending.MapGet("/plans/{id:long}/came-in", OfPlan).ProducesProblem(StatusCodes.Status404NotFound);
        sending.MapPost("/came-in/{id:long}/seen", Seen).ProducesProblem(StatusCodes.Status404NotFound);
        sending.MapPost("/clients/{id:long}/notes", Say).Validate<NoteToClient>().ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static Results<Ok<PlanSent>, ProblemHttpResult> Send(
        long id,
        PlanToSend send,
        HttpContext context,
        PlanStore plans,
        RebuildEngine engine,
        ReleaseWriter writer,
        ShorthandParser parser,
        SentPlans sent,
        AuditStore audit,
        IdempotencyKey once
    )
    {
        var coach = context.User.CoachId();
        if (plans.Find(coach, id) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        if (plan.Value.Version != send.Version)
        {
            return Problems.Conflict("plan", plan);
        }

        var document = plan.Value.Document;
        if (document.Plan.Lines.All(l => l.Chosen is null))
        {
            return Problems.Invalid("plan", "The plan has no exercise that could be sent.");
        }

        if (!send.Sure && Unread(document.Request.GymLines, parser) is [_, ..] unread)
        {
            return Problems.Make(
                StatusCodes.Status409Conflict,
                "unread-lines",
                "Lines of the gym week are not in the plan",
                $"They could not be read: {string.Join("; ", unread)}. Mend them at the workbench, or send the plan without them."
            );
        }

        var written = ClientAppLog.Release(document, engine, writer, send.Word);
        var release = sent.Add(coach, id, plan.Value, written, once.Value);
        if (release is null || sent.Link(coach, plan.Value.ClientId, context.Request, make: true) is not { } link)
        {
            return Problems.NotFound("plan");
        }

        audit.Note(coach, "plan-sent", $"plan {id}");
        return TypedResults.Ok(
            new PlanSent(SentPlans.InBrief(release, plan.Value.ClientId), sent.Message(release, link, context.Request), link)
        );
    }

    /// <summary>Most unread lines that are named.</summary>
    private const int LinesNamed = 6;

    /// <summary>Lines that could not be read, with their places and words.</summary>
    private static ImmutableArray<string> Unread(ImmutableArray<string> gymLines, ShorthandParser parser) =>
        [
            .. parser
                .Parse(string.Join('\n', gymLines))
                .Errors.Select(e => e.Line)
                .Distinct()
                .Take(LinesNamed)
                .Select(line => $"line {line}, \"{(line <= gymLines.Length ? gymLines[line - 1].Trim() : string.Empty)}\""),
        ];

    private static Results<Ok<LinkState>, ProblemHttpResult> Link(long id, HttpContext context, SentPlans sent) =>
        sent.Link(context.User.CoachId(), id, context.Request, make: false) is { } link
            ? TypedResults.Ok(link)
            : Problems.NotFound("client");

    private static Results<Ok<LinkState>, ProblemHttpResult> Renew(
        long id,
        LinkToMake make,
        HttpContext context,
        ClientLinks links,
        SentPlans sent,
        AuditStore audit,
        TimeProvider clock
    )
    {
        var coach = context.User.CoachId();
        if (links.Renew(coach, id, make.Days is { } days ? clock.GetUtcNow().AddDays(days) : null) is null)
        {
            return Problems.NotFound("client");
        }

        audit.Note(coach, "link-made", $"client {id}");
        return Link(id, context, sent);
    }

    private static Results<Ok<LinkState>, ProblemHttpResult> Revoke(
        long id,
        HttpContext context,
        ClientLinkStore links,
        SentPlans sent,
        AuditStore audit
    )
    {
        var coach = context.User.CoachId();
        if (links.Revoke(coach, id))
        {
            audit.Note(coach, "link-ended", $"client {id}");
        }

        return Link(id, context, sent);
    }

    private static Ok<ImmutableArray<CameIn>> Unseen(ClaimsPrincipal user, ClientAppReading reading, ClientAppStore floor) =>
        TypedResults.Ok(reading.Of(user.CoachId(), floor.Unseen(user.CoachId())));

    private static Results<Ok<ImmutableArray<CameIn>>, ProblemHttpResult> OfPlan(
        long id,
        ClaimsPrincipal user,
        ClientAppReading reading,
        ClientAppStore floor,
        PlanStore plans
    ) =>
        plans.Find(user.CoachId(), id) is null
            ? Problems.NotFound("plan")
            : TypedResults.Ok(reading.Of(user.CoachId(), floor.OfPlan(user.CoachId(), id)));

    private static Results<NoContent, ProblemHttpResult> Seen(long id, ClaimsPrincipal user, ClientAppStore floor) =>
        floor.Seen(user.CoachId(), id) ? TypedResults.NoContent() : Problems.NotFound("session");

    private static Results<Ok<ClientAppNote>, ProblemHttpResult> Say(
        long id,
        NoteToClient note,
        ClaimsPrincipal user,
        ClientAppStore floor,
        IdempotencyKey once
    ) =>
        floor.Say(user.CoachId(), id, note.Session, note.ExerciseId, false, note.Text.Trim(), once.Value ?? Guid.NewGuid().ToString())
            is { } said
            ? TypedResults.Ok(said)
            : Problems.NotFound("client");
}
