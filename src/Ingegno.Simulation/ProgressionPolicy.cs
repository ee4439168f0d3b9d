using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Simulation;

/// <summary>How a plan goes on from week to week.</summary>
public interface IProgressionPolicy
{
    /// <summary>What it is called.</summary>
    string Name { get; }

    /// <summary>The exercises of the next week.</summary>
    ImmutableArray<PlannedExercise> NextWeek(ImmutableArray<PlannedExercise> plan, IReadOnlyList<LoggedSession> log, DateOnly today);
}

/// <summary>An exercise of a simulated plan: its line, and what the progression knows of it.</summary>
public sealed record PlannedExercise(LineKey Line, ProgressionContext Context)
{
    /// <summary>The exercise as prescribed.</summary>
    public HomeExercise Home => Context.Home;

    /// <summary>The same with another dose and load.</summary>
    public PlannedExercise With(Dose dose, double externalKg) =>
        this with
        {
            Context = Context with { Home = Home with { Dose = dose, ExternalKg = externalKg } },
        };

    /// <summary>A dose with so many reps more; an open or timed one stays.</summary>
    public static Dose Longer(Dose dose, int reps)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose.Target.IsOpen || dose.Timed
            ? dose
            : dose with
            {
                Target = new SetTarget(dose.Target.Min + reps, dose.Target.Max + reps),
            };
    }

    /// <summary>System load at its external load, kg; null where load is not the measure.</summary>
    public double? SystemKg =>
        Home.SystemLoadKg is null ? null
        : Context.Loads.IsEmpty ? Home.SystemLoadKg
        : Context.Loads.MinBy(l => Math.Abs(l.Load.MassKg - Home.ExternalKg)).SystemKg;
}

/// <summary>
/// Accepts every proposal of the engine, the way a coach does: by the decision that workbench and review take, after which the plan is
/// built anew. It remembers the plan, so each trial needs one of its own.
/// </summary>
/// <param name="domain">The domain rules.</param>
/// <param name="request">What the plan at the start was built from.</param>
/// <param name="keepsMinutes">Proposals keep the days within the client's minutes.</param>
public sealed class EngineAccepted(DomainRules domain, RebuildRequest request, bool keepsMinutes = false) : IProgressionPolicy
{
    private readonly RebuildEngine _engine = new(domain);
    private readonly NextSession _next = new(domain);
    private readonly Replacements _replacements = new(domain, new RebuildEngine(domain));
    private RebuildRequest _request = request;
    private HomePlan? _plan;

    public string Name => "Engine";

    /// <summary>What was proposed after each week.</summary>
    public IReadOnlyList<ImmutableArray<Proposal>> Said => _said;

    private readonly List<ImmutableArray<Proposal>> _said = [];

    /// <summary>Days laid out so far.</summary>
    public int Days { get; private set; }

    /// <summary>Those of them that are longer than the client's minutes.</summary>
    public int DaysOver { get; private set; }

    /// <summary>Exercises that another took the place of.</summary>
    public int Changed { get; private set; }

    /// <summary>Those of them that hurt.</summary>
    public int Swapped { get; private set; }

    public ImmutableArray<PlannedExercise> NextWeek(ImmutableArray<PlannedExercise> plan, IReadOnlyList<LoggedSession> log, DateOnly today)
    {
        _plan ??= _engine.Rebuild(_request).Plan;
        var proposals = _next.Propose(_request.Client, _request.Kit, _plan.Lines, log, today, days: keepsMinutes ? _plan.Days : null);
        proposals = _replacements.Name(proposals, _request, _plan, log.ToList());
        _said.Add(proposals);
        _request = PlanCommandHandler.Handle(
            _request,
            _plan.Standing,
            new AcceptProposals([.. proposals.Where(p => p.Changes).Select(p => p.Accepted)])
        );
        var before = _plan.Standing;
        _plan = _engine.Rebuild(_request).Plan;
        Count(before, proposals);
        return [.. _next.Contexts(_request.Client, _request.Kit, _plan.Lines).Select(c => new PlannedExercise(c.Line, c.Context))];
    }

    private void Count(ImmutableArray<StandingLine> before, ImmutableArray<Proposal> said)
    {
        Days += _plan!.Days.Length;
        DaysOver += _plan.Days.Count(d => d.Minutes.Limit is { } limit && d.Minutes.Total > limit);
        Changed += _plan.Standing.Count(s => before.Any(b => b.Line == s.Line && b.CandidateId != s.CandidateId));
        Swapped += said.Count(p => p is { Decision: Decision.Swap, Replacement: not null });
    }
}

/// <summary>The plan as it was, every week.</summary>
public sealed class RepeatLastWeek : IProgressionPolicy
{
    public string Name => "Repeat last week";

    public ImmutableArray<PlannedExercise> NextWeek(
        ImmutableArray<PlannedExercise> plan,
        IReadOnlyList<LoggedSession> log,
        DateOnly today
    ) => plan;
}

/// <summary>The usual home plan: a rep more every week at the same load, whatever was done.</summary>
public sealed class OneRepMoreEachWeek : IProgressionPolicy
{
    public string Name => "One rep more each week";

    public ImmutableArray<PlannedExercise> NextWeek(
        ImmutableArray<PlannedExercise> plan,
        IReadOnlyList<LoggedSession> log,
        DateOnly today
    ) => [.. plan.Select(p => p.With(PlannedExercise.Longer(p.Home.Dose, 1), p.Home.ExternalKg))];
}
