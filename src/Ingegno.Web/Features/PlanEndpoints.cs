using System.Collections.Immutable;
using System.Security.Claims;
using System.Text;
using FluentValidation;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A plan to keep. The server rebuilds it from the request, so that what is stored is what the engine says.</summary>
public sealed record NewPlan(string Title, RebuildRequest Request, long? PlaceId = null, long? GymWeekId = null);

/// <summary>A new version of a plan.</summary>
/// <param name="Revision">Revision that was seen.</param>
/// <param name="Title">Title of the plan.</param>
/// <param name="Request">What the version is built from.</param>
/// <param name="Note">What changed, in a few words.</param>
public sealed record PlanChange(int Revision, string Title, RebuildRequest Request, string? Note = null);

/// <summary>What a plan is made from, as it stands now.</summary>
/// <param name="Client">The client.</param>
/// <param name="Kit">Kit of its place; null when that was deleted.</param>
/// <param name="GymText">Its gym week; null when that was deleted.</param>
public sealed record PlanBasis(ClientProfile Client, PlaceKit? Kit, string? GymText)
{
    /// <summary>The basis of a plan; null when its client is gone.</summary>
    public static PlanBasis? Of(long coach, PlanRecord plan, ClientStore clients, PlaceStore places, GymWeekStore weeks)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return clients.Find(coach, plan.ClientId) is { } client
            ? new PlanBasis(
                client.Value.Profile,
                plan.PlaceId is { } place ? places.Find(coach, place)?.Value : null,
                plan.GymWeekId is { } week ? weeks.Find(coach, week)?.Value.Text : null
            )
            : null;
    }
}

/// <summary>What has changed since a plan was made.</summary>
/// <param name="Of">What.</param>
/// <param name="Text">In a sentence; null when nothing has changed.</param>
/// <param name="Lines">Lines that a rebuild would look at again.</param>
public sealed record PlanDrifted(ImmutableArray<Drift> Of, Reason? Text, int Lines);

/// <summary>Names the revision that was seen, for undo and redo.</summary>
public sealed record SeenRevision(int Revision);

public sealed class NewPlanValidator : AbstractValidator<NewPlan>
{
    public NewPlanValidator()
    {
        RuleFor(p => p.Title)
            .Must(t => !string.IsNullOrWhiteSpace(t))
            .MaximumLength(80)
            .WithMessage("The plan needs a title of at most 80 characters.");
        RuleFor(p => p.Request).NotNull().SetValidator(new RebuildRequestValidator());
    }
}

public sealed class PlanChangeValidator : AbstractValidator<PlanChange>
{
    public PlanChangeValidator()
    {
        RuleFor(p => p.Title)
            .Must(t => !string.IsNullOrWhiteSpace(t))
            .MaximumLength(80)
            .WithMessage("The plan needs a title of at most 80 characters.");
        RuleFor(p => p.Note).MaximumLength(200).WithMessage("The note takes at most 200 characters.");
        RuleFor(p => p.Request).NotNull().SetValidator(new RebuildRequestValidator());
    }
}

/// <summary>Plans as immutable versions, with undo and redo.</summary>
public static class PlanEndpoints
{
    private const string What = "plan";

    public static void MapPlans(this IEndpointRouteBuilder api)
    {
        var plans = api.MapGroup("").WithTags("plans");
        plans.MapGet("/clients/{clientId:long}/plans", List);
        plans.MapPost("/clients/{clientId:long}/plans", Add).Validate<NewPlan>().ProducesProblem(StatusCodes.Status404NotFound);
        plans.MapGet("/plans/{id:long}", Find).ProducesProblem(StatusCodes.Status404NotFound);
        plans.MapPost("/plans/{id:long}/versions", Save).Validate<PlanChange>().ProducesProblem(StatusCodes.Status409Conflict);
        plans.MapPost("/plans/{id:long}/undo", Undo).ProducesProblem(StatusCodes.Status409Conflict);
        plans.MapPost("/plans/{id:long}/redo", Redo).ProducesProblem(StatusCodes.Status409Conflict);
        plans.MapGet("/plans/{id:long}/drift", Drifted).ProducesProblem(StatusCodes.Status404NotFound);
        plans.MapGet("/plans/{id:long}/home-plan.{form:regex(^(csv|xlsx|json|txt)$)}", File).ProducesProblem(StatusCodes.Status404NotFound);
        plans.MapDelete("/plans/{id:long}", Delete).ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>
    /// What a version keeps of a rebuild: decisions and what came of them, without candidates and the reasons of the match, which a
    /// rebuild of the same request finds again.
    /// </summary>
    public static PlanDocument Document(string title, RebuildRequest request, RebuildEngine engine)
    {
        ArgumentNullException.ThrowIfNull(engine);
        var result = engine.Rebuild(request);
        var plan = result.Plan;
        return new PlanDocument(
            PlainName.Normalize(title),
            request with
            {
                Keyed = result.Keyed,
            },
            plan with
            {
                Lines = [.. plan.Lines.Select(WithoutWhy)],
            }
        );
    }

    private static HomeLine WithoutWhy(HomeLine line) =>
        line with
        {
            Candidates = [],
            RuledOut = [],
            Better = [],
            Chosen = line.Chosen is { } chosen
                ? chosen with
                {
                    Why = [],
                    Parts = [.. chosen.Parts.Select(p => p with { Reason = Reason.None })],
                }
                : null,
        };

    private static Ok<IReadOnlyList<PlanSummary>> List(long clientId, ClaimsPrincipal user, PlanStore plans) =>
        TypedResults.Ok(plans.List(user.CoachId(), clientId));

    private static Results<Created<Saved<PlanRecord>>, ProblemHttpResult> Add(
        long clientId,
        NewPlan plan,
        ClaimsPrincipal user,
        PlanStore plans,
        RebuildEngine engine,
        ClientLog log,
        IdempotencyKey once
    ) =>
        plans.Add(
            user.CoachId(),
            clientId,
            plan.PlaceId,
            plan.GymWeekId,
            Document(plan.Title, log.Taught(user.CoachId(), clientId, plan.Request), engine),
            once.Value
        )
            is { } added
            ? TypedResults.Created($"/api/v1/plans/{added.Id}", added)
            : Problems.NotFound("client");

    private static Results<Ok<Saved<PlanRecord>>, ProblemHttpResult> Find(long id, ClaimsPrincipal user, PlanStore plans) =>
        plans.Find(user.CoachId(), id) is { } plan ? TypedResults.Ok(plan) : Problems.NotFound(What);

    /// <summary>The home plan as a table, as JSON or in shorthand.</summary>
    private static Results<FileContentHttpResult, ProblemHttpResult> File(
        long id,
        string form,
        ClaimsPrincipal user,
        PlanStore plans,
        ProgramRows rows
    )
    {
        if (plans.Find(user.CoachId(), id)?.Value.Document is not { } document)
        {
            return Problems.NotFound(What);
        }

        var table = HomeRows.Build(document.Title, document.Plan);
        var text = rows.Write(table).Text;
        return form switch
        {
            "csv" or "xlsx" => ProgramDownload.Of(table, form, "home-plan", "Home plan"),
            "json" => TypedResults.File(
                ProgramDocument.From([(document.Title, text)], rows).ToJson(),
                "application/json",
                "home-plan.json"
            ),
            _ => TypedResults.File(
                Encoding.UTF8.GetBytes($"== {SafeCell.OneLine(document.Title)}\n{text}\n"),
                "text/plain; charset=utf-8",
                "home-plan.txt"
            ),
        };
    }

    private static Results<Ok<PlanDrifted>, ProblemHttpResult> Drifted(
        long id,
        ClaimsPrincipal user,
        PlanStore plans,
        ClientStore clients,
        PlaceStore places,
        GymWeekStore weeks,
        ClientLog log
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, id)?.Value is not { } plan || PlanBasis.Of(coach, plan, clients, places, weeks) is not { } stands)
        {
            return Problems.NotFound(What);
        }

        var drift = log.DriftOf(coach, plan, stands);
        return TypedResults.Ok(new PlanDrifted(drift, PlanDrift.InWords(drift), plan.Document.Plan.Lines.Length));
    }

    private static Results<Ok<Saved<PlanRecord>>, ProblemHttpResult> Save(
        long id,
        PlanChange change,
        ClaimsPrincipal user,
        PlanStore plans,
        RebuildEngine engine,
        ClientLog log,
        PlanBlocks blocks
    )
    {
        if (plans.Find(user.CoachId(), id) is not { } present)
        {
            return Problems.NotFound(What);
        }

        var request = log.Taught(user.CoachId(), present.Value.ClientId, change.Request);
        return Followed(
                user.CoachId(),
                id,
                plans.Save(user.CoachId(), id, change.Revision, change.Note ?? string.Empty, Document(change.Title, request, engine)),
                blocks
            )
            .ToResult(What);
    }

    /// <summary>The weeks of a block that are left follow what was written.</summary>
    public static Written<PlanRecord> Followed(long coach, long id, Written<PlanRecord> written, PlanBlocks blocks)
    {
        ArgumentNullException.ThrowIfNull(written);
        ArgumentNullException.ThrowIfNull(blocks);
        if (written is { Outcome: WriteOutcome.Done, Current: { } plan })
        {
            blocks.Follow(coach, id, plan.Value);
        }

        return written;
    }

    private static Results<Ok<Saved<PlanRecord>>, ProblemHttpResult> Undo(
        long id,
        SeenRevision seen,
        ClaimsPrincipal user,
        PlanStore plans,
        PlanBlocks blocks
    ) => Followed(user.CoachId(), id, plans.Undo(user.CoachId(), id, seen.Revision), blocks).ToResult(What);

    private static Results<Ok<Saved<PlanRecord>>, ProblemHttpResult> Redo(
        long id,
        SeenRevision seen,
        ClaimsPrincipal user,
        PlanStore plans,
        PlanBlocks blocks
    ) => Followed(user.CoachId(), id, plans.Redo(user.CoachId(), id, seen.Revision), blocks).ToResult(What);

    private static Results<NoContent, ProblemHttpResult> Delete(long id, ClaimsPrincipal user, PlanStore plans) =>
        plans.Delete(user.CoachId(), id) ? TypedResults.NoContent() : Problems.NotFound(What);
}
