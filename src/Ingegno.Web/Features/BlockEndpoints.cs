using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Language;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A block to look at before it is kept.</summary>
/// <param name="Starts">First day.</param>
/// <param name="Weeks">Weeks; null for what is usual, or up to the event.</param>
/// <param name="EventOn">Day of an event.</param>
/// <param name="Setup">The block as the coach has it so far; null to propose one.</param>
/// <param name="Block">The block that is changed; null for a new one.</param>
/// <param name="Approach">Approach whose phases are laid out; null for that of the plan.</param>
/// <param name="Phases">Phases in place of those that the block has; null to leave them.</param>
public sealed record BlockQuestion(
    DateOnly Starts,
    int? Weeks = null,
    DateOnly? EventOn = null,
    BlockSetup? Setup = null,
    long? Block = null,
    string? Approach = null,
    ImmutableArray<BlockPhase>? Phases = null
);

/// <summary>A block that is not kept yet.</summary>
public sealed record BlockDraft(BlockSetup Setup, Block Block);

/// <summary>A block to keep.</summary>
public sealed record NewBlock(BlockSetup Setup);

/// <summary>A week to take into the plan.</summary>
/// <param name="Week">Its number, 1 first.</param>
/// <param name="PlanRevision">Revision of the plan that was seen.</param>
public sealed record WeekToTake(int Week, int PlanRevision);

/// <summary>The block of a plan.</summary>
/// <param name="Kept">The block; null when the plan has none.</param>
/// <param name="Done">Planned and done, week by week.</param>
/// <param name="ThisWeek">Number of the week that runs: below 1 before the block, above its weeks after it.</param>
/// <param name="NotInPlan">Cells of the week that runs whose figures the plan does not have.</param>
/// <param name="All">All blocks of the plan, newest first.</param>
/// <param name="Today">The day for which it is said.</param>
/// <param name="NextStart">When a next block would start: this Monday, or the day after the one before.</param>
public sealed record BlockView(
    Saved<BlockRecord>? Kept,
    ImmutableArray<DoneWeek> Done,
    int ThisWeek,
    ImmutableArray<BlockCell> NotInPlan,
    IReadOnlyList<BlockDates> All,
    DateOnly Today,
    DateOnly NextStart
);

public sealed class BlockSetupValidator : AbstractValidator<BlockSetup>
{
    public BlockSetupValidator()
    {
        RuleFor(s => s.Phases)
            .Must(p => p is { IsDefaultOrEmpty: false, Length: <= 6 } && p.All(x => x is { Weeks: >= 1 and <= 99 }))
            .WithMessage("A block has 1 to 6 phases of a week or more.");
        RuleFor(s => s.Edits)
            .Must(e => e is { IsDefault: false, Length: <= 500 } && e.All(x => x?.Figures is not null))
            .WithMessage("At most 500 cells are set by hand.");
        RuleFor(s => s.LighterWeeks).Must(w => w is { IsDefault: false, Length: <= 10 }).WithMessage("At most 10 weeks are lighter.");
        RuleForEach(s => s.Edits)
            .ChildRules(e => e.RuleFor(x => x.Figures).SetValidator(new HomeEditValidator()))
            .When(s => !s.Edits.IsDefault);
    }
}

public sealed class BlockQuestionValidator : AbstractValidator<BlockQuestion>
{
    public BlockQuestionValidator()
    {
        RuleFor(q => q.Setup!).SetValidator(new BlockSetupValidator()).When(q => q.Setup is not null);
        RuleFor(q => q.Approach).MaximumLength(60).WithMessage("An approach has a key of at most 60 characters.");
        RuleFor(q => q.Weeks).InclusiveBetween(1, 52).WithMessage("Weeks lie between 1 and 52.");
    }
}

public sealed class NewBlockValidator : AbstractValidator<NewBlock>
{
    public NewBlockValidator() => RuleFor(b => b.Setup).NotNull().SetValidator(new BlockSetupValidator());
}

public sealed class BlockChangeValidator : AbstractValidator<Change<BlockSetup>>
{
    public BlockChangeValidator() => RuleFor(c => c.Value).NotNull().SetValidator(new BlockSetupValidator());
}

/// <summary>Blocks of four to six weeks from a home plan.</summary>
public static class BlockEndpoints
{
    private const string What = "block";

    public static void MapBlocks(this IEndpointRouteBuilder api)
    {
        var blocks = api.MapGroup("/plans/{planId:long}").WithTags("blocks");
        blocks.MapGet("/block", View).ProducesProblem(StatusCodes.Status404NotFound);
        blocks.MapPost("/block/draft", Draft).Validate<BlockQuestion>().ProducesProblem(StatusCodes.Status404NotFound);
        blocks.MapPost("/blocks", Add).Validate<NewBlock>().ProducesProblem(StatusCodes.Status404NotFound);
        blocks.MapPut("/blocks/{blockId:long}", Update).Validate<Change<BlockSetup>>().ProducesProblem(StatusCodes.Status409Conflict);
        blocks.MapDelete("/blocks/{blockId:long}", Remove).ProducesProblem(StatusCodes.Status404NotFound);
        blocks.MapGet("/blocks/{blockId:long}.{form:regex(^(csv|xlsx)$)}", Export).ProducesProblem(StatusCodes.Status404NotFound);
        blocks.MapPost("/blocks/{blockId:long}/restore", Restore).ProducesProblem(StatusCodes.Status404NotFound);
        blocks.MapPost("/blocks/{blockId:long}/take", Take).ProducesProblem(StatusCodes.Status409Conflict);
    }

    /// <summary>The newest block of a plan, or one of those before.</summary>
    private static Results<Ok<BlockView>, ProblemHttpResult> View(
        long planId,
        ClaimsPrincipal user,
        PlanStore plans,
        BlockStore blocks,
        PlanBlocks of,
        long? block = null
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        var kept = block is { } id ? blocks.Find(coach, planId, id) : blocks.Newest(coach, planId);
        return kept is null && block is not null
            ? Problems.NotFound(What)
            : TypedResults.Ok(Seen(coach, planId, plan.Value, kept, blocks, of));
    }

    private static BlockView Seen(long coach, long planId, PlanRecord plan, Saved<BlockRecord>? kept, BlockStore blocks, PlanBlocks of)
    {
        var all = blocks.List(coach, planId);
        var next = BlockAndPlan.NextStart(of.Today, all.Count > 0 ? all[0].Ends : null);
        return kept is null
            ? new BlockView(null, [], 0, [], all, of.Today, next)
            : new BlockView(
                kept,
                of.Done(coach, planId, plan, kept.Value),
                kept.Value.Setup.WeekOf(of.Today),
                BlockAndPlan.NotInPlan(plan.Document.Plan, kept.Value.Setup, kept.Value.Block, of.Today),
                all,
                of.Today,
                next
            );
    }

    /// <summary>A block as it would be. Nothing is stored.</summary>
    private static Results<Ok<BlockDraft>, ProblemHttpResult> Draft(
        long planId,
        BlockQuestion question,
        ClaimsPrincipal user,
        PlanStore plans,
        BlockStore blocks,
        PlanBlocks of,
        DomainRules domain,
        Phrasebook words
    )
    {
        if (plans.Find(user.CoachId(), planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        var setup = question.Setup ?? of.Propose(plan.Value, question.Starts, question.Weeks, question.EventOn, question.Approach);
        setup = question.Phases is { IsDefault: false } phases ? BlockShape.WithPhases(setup, phases) : setup;
        var present = question.Block is { } id ? blocks.Find(user.CoachId(), planId, id)?.Value : null;
        var fault = Fault(setup, present?.Setup, domain, of, words);
        return fault
            ?? (Results<Ok<BlockDraft>, ProblemHttpResult>)
                TypedResults.Ok(new BlockDraft(setup, of.Lay(plan.Value, setup, present?.Block)));
    }

    private static Results<Ok<BlockView>, ProblemHttpResult> Add(
        long planId,
        NewBlock block,
        ClaimsPrincipal user,
        PlanStore plans,
        BlockStore blocks,
        PlanBlocks of,
        DomainRules domain,
        Phrasebook words
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, planId) is not { } plan)
        {
            return Problems.NotFound("plan");
        }

        if (Fault(block.Setup, null, domain, of, words) is { } fault)
        {
            return fault;
        }

        if (blocks.List(coach, planId).FirstOrDefault(b => b.Ends >= block.Setup.Starts) is { } running)
        {
            return Problems.Invalid(
                "starts",
                $"The block before it runs until {running.Ends:yyyy-MM-dd}. Start after that, or end it first."
            );
        }

        return blocks.Add(coach, planId, new BlockRecord(block.Setup, of.Lay(plan.Value, block.Setup, null))) is { } kept
            ? TypedResults.Ok(Seen(coach, planId, plan.Value, kept, blocks, of))
            : Problems.NotFound("plan");
    }

    /// <summary>Changes a block; its weeks that are past stand as they were planned.</summary>
    private static Results<Ok<BlockView>, ProblemHttpResult> Update(
        long planId,
        long blockId,
        Change<BlockSetup> change,
        ClaimsPrincipal user,
        PlanStore plans,
        BlockStore blocks,
        PlanBlocks of,
        DomainRules domain,
        Phrasebook words
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, planId) is not { } plan || blocks.Find(coach, planId, blockId) is not { } present)
        {
            return Problems.NotFound(What);
        }

        if (Fault(change.Value, present.Value.Setup, domain, of, words) is { } fault)
        {
            return fault;
        }

        var written = blocks.Update(
            coach,
            planId,
            blockId,
            change.Revision,
            new BlockRecord(change.Value, of.Lay(plan.Value, change.Value, present.Value.Block))
        );
        return written switch
        {
            { Outcome: WriteOutcome.Done, Current: { } kept } => TypedResults.Ok(Seen(coach, planId, plan.Value, kept, blocks, of)),
            { Outcome: WriteOutcome.Conflict, Current: { } theirs } => Problems.Conflict(What, theirs),
            _ => Problems.NotFound(What),
        };
    }

    /// <summary>The weeks of a block as a table that the program screen reads again.</summary>
    private static Results<FileContentHttpResult, ProblemHttpResult> Export(
        long planId,
        long blockId,
        string form,
        ClaimsPrincipal user,
        PlanStore plans,
        BlockStore blocks
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, planId) is not { } plan || blocks.Find(coach, planId, blockId) is not { } block)
        {
            return Problems.NotFound(What);
        }

        var rows = BlockRows.Build(block.Value.Block, plan.Value.Document.Plan);
        return ProgramDownload.Of(rows, form, $"block-{block.Value.Setup.Starts:yyyy-MM-dd}", "Block");
    }

    private static Results<NoContent, ProblemHttpResult> Remove(long planId, long blockId, ClaimsPrincipal user, BlockStore blocks) =>
        blocks.Remove(user.CoachId(), planId, blockId) ? TypedResults.NoContent() : Problems.NotFound(What);

    private static Results<NoContent, ProblemHttpResult> Restore(long planId, long blockId, ClaimsPrincipal user, BlockStore blocks) =>
        blocks.Remove(user.CoachId(), planId, blockId, bringBack: true) ? TypedResults.NoContent() : Problems.NotFound(What);

    /// <summary>Takes a week into the plan, as a new version of it.</summary>
    private static Results<Ok<Saved<PlanRecord>>, ProblemHttpResult> Take(
        long planId,
        long blockId,
        WeekToTake take,
        ClaimsPrincipal user,
        PlanStore plans,
        BlockStore blocks,
        PlanBlocks of,
        ClientLog log,
        RebuildEngine engine
    )
    {
        var coach = user.CoachId();
        if (plans.Find(coach, planId) is not { } plan || blocks.Find(coach, planId, blockId) is not { } block)
        {
            return Problems.NotFound(What);
        }

        if (
            block.Value.Block.Weeks.FirstOrDefault(w => w.Number == take.Week) is not { } week
            || take.Week < block.Value.Setup.WeekOf(of.Today)
        )
        {
            return Problems.Invalid("week", "Only a week of the block that runs or is to come can be taken.");
        }

        var request = log.Taught(coach, plan.Value.ClientId, of.Taken(coach, planId, plan.Value, block.Value, week));
        var document = PlanEndpoints.Document(plan.Value.Document.Title, request, engine);
        return PlanEndpoints
            .Followed(coach, planId, plans.Save(coach, planId, take.PlanRevision, $"week {take.Week} of the block", document), of)
            .ToResult("plan");
    }

    private static ProblemHttpResult? Fault(BlockSetup setup, BlockSetup? before, DomainRules domain, PlanBlocks of, Phrasebook words) =>
        BlockShape.Fault(setup, before, of.Today, domain.Blocks, domain) is { } found
            ? Problems.Invalid(found.Part, words.Say(found.Fault))
            : null;
}
