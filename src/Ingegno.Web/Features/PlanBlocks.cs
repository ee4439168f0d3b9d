using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Logs;
using Ingegno.Storage;

namespace Ingegno.Web.Features;

/// <summary>Brings stored plans, logs and blocks together.</summary>
public sealed class PlanBlocks(DomainRules domain, BlockStore blocks, LogStore logs, BlockPlanner planner, TimeProvider clock)
{
    /// <summary>The day it is for the server.</summary>
    public DateOnly Today => DateOnly.FromDateTime(clock.GetUtcNow().Date);

    /// <summary>The weeks of a block as a coach wants it, from the plan as it is.</summary>
    public Block Lay(PlanRecord plan, BlockSetup setup, Block? before)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return planner.Plan(plan.Document.Request, plan.Document.Plan, setup, before, Today);
    }

    /// <summary>A block as an approach has it; null for that of the plan.</summary>
    public BlockSetup Propose(PlanRecord plan, DateOnly starts, int? weeks, DateOnly? eventOn, string? approach = null)
    {
        ArgumentNullException.ThrowIfNull(plan);
        var request = plan.Document.Request;
        return BlockShape.Propose(
            domain.ApproachOf(approach ?? request.Approach ?? request.Client.Approach),
            domain.Blocks,
            starts,
            weeks,
            eventOn
        );
    }

    /// <summary>The weeks that are left follow a plan that has changed.</summary>
    public void Follow(long coach, long planId, PlanRecord plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        if (blocks.Newest(coach, planId) is { } block && block.Value.Setup.Ends >= Today)
        {
            var setup = BlockPlanner.Settled(block.Value.Setup, plan.Document.Plan);
            blocks.Update(coach, planId, block.Id, block.Revision, new BlockRecord(setup, Lay(plan, setup, block.Value.Block)));
        }
    }

    /// <summary>What the newest block says in the review; null outside one.</summary>
    public BlockGuide? Guide(long coach, long planId, PlanRecord plan)
    {
        ArgumentNullException.ThrowIfNull(plan);
        return blocks.Newest(coach, planId) is { } block && block.Value.Setup.Starts <= Today && block.Value.Setup.Ends >= Today
            ? new BlockGuide(
                block.Value.Setup,
                block.Value.Block,
                BlockAndPlan.SessionsPerLine(plan.Document.Request, plan.Document.Plan),
                domain.Blocks
            )
            : null;
    }

    /// <summary>Planned and done, week by week.</summary>
    public ImmutableArray<DoneWeek> Done(long coach, long planId, PlanRecord plan, BlockRecord block)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(block);
        return BlockReport.Compare(
            block.Setup,
            block.Block,
            Sessions(coach, planId),
            BlockAndPlan.SessionsPerLine(plan.Document.Request, plan.Document.Plan),
            Today
        );
    }

    /// <summary>What the plan is built from when a week is taken into it.</summary>
    public RebuildRequest Taken(long coach, long planId, PlanRecord plan, BlockRecord block, BlockWeek week)
    {
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(block);
        return BlockPlanner.Taken(plan.Document.Request, plan.Document.Plan, block.Setup, week, Sessions(coach, planId));
    }

    private ImmutableArray<LoggedSession> Sessions(long coach, long planId) => [.. logs.List(coach, planId).Select(s => s.Value.AsLogged)];
}
