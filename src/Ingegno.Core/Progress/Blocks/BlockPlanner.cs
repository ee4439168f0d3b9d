using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>
/// Lays out the weeks of a block from a home plan: each phase starts as the engine prescribes it under its approach, and from week to
/// week a line goes on as double progression has it when every set is done as written. What is past stands as it was planned.
/// </summary>
public sealed class BlockPlanner(DomainRules domain, RebuildEngine engine, NextSession next)
{
    /// <summary>More weeks than this without a lighter one are remarked on (common practice: every fourth to sixth week).</summary>
    private const int MostWeeksWithoutRest = 5;

    /// <summary>The weeks of a block.</summary>
    /// <param name="request">What the plan is built from, with what the logs have taught.</param>
    /// <param name="plan">The plan as it is now.</param>
    /// <param name="setup">How the coach wants the block.</param>
    /// <param name="before">The block as it stood before; its past weeks are kept. Null for a new one.</param>
    /// <param name="today">The day for which it is asked.</param>
    public Block Plan(RebuildRequest request, HomePlan plan, BlockSetup setup, Block? before, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(setup);
        var phases = new PhaseStarts(request, plan, setup, engine);
        var steps = new WeekSteps(domain.WithCosts(request.Client.Costs), request, phases, next);
        var thisWeek = Math.Max(1, setup.WeekOf(today));
        var rows = plan
            .Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => Row(l.Gym.Key, e, setup, phases, steps, before, thisWeek)))
            .ToList();
        var weeks = Enumerable.Range(1, setup.Weeks).Select(week => Week(week, rows, request, plan, setup)).ToImmutableArray();
        return new Block(weeks, [.. Notices(request, setup, weeks)]);
    }

    /// <summary>
    /// What the plan is built from when a week is taken into it: its approach and phase, the exercises as they are, every figure of
    /// its cells.
    /// </summary>
    /// <param name="request">What the plan is built from.</param>
    /// <param name="plan">The plan.</param>
    /// <param name="setup">The block.</param>
    /// <param name="week">The week to take.</param>
    /// <param name="log">Sessions of the plan: what was decided waits until it is trained.</param>
    public static RebuildRequest Taken(
        RebuildRequest request,
        HomePlan plan,
        BlockSetup setup,
        BlockWeek week,
        IReadOnlyCollection<LoggedSession> log
    )
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(week);
        ArgumentNullException.ThrowIfNull(log);
        var phase = setup.PhaseOf(week.Number);
        var edits = week.Cells.Select(c => c.AsEdit() with { BlockWeek = week.Starts, DecidedAfter = LastDay(c) });
        return PlanCommandHandler.Handle(request, plan.Standing, new TakeWeek(phase.Approach, phase.Phase, [.. edits]));

        DateOnly? LastDay(BlockCell cell) =>
            log.Where(s => s.Exercises.Any(e => e.Line == cell.Line && e.ExerciseId == cell.ExerciseId))
                .Select(s => (DateOnly?)s.Day)
                .Max();
    }

    /// <summary>Edits that still stand: those of weeks that the plan has taken are figures of the plan by now.</summary>
    public static BlockSetup Settled(BlockSetup setup, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(plan);
        var taken = plan
            .Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Key, e.ExerciseId, e.Dose.BlockWeek)))
            .ToList();
        return setup with
        {
            Edits =
            [
                .. setup.Edits.Where(e =>
                    !taken.Any(t => t.Key == e.Figures.Line && t.ExerciseId == e.Figures.ExerciseId && t.BlockWeek >= setup.StartOf(e.Week))
                ),
            ],
        };
    }

    private static BlockRow Row(
        LineKey line,
        HomeExercise home,
        BlockSetup setup,
        PhaseStarts phases,
        WeekSteps steps,
        Block? before,
        int thisWeek
    )
    {
        var cells = new Dictionary<int, BlockCell>();

        // A week of another block says nothing here: its first day tells them apart.
        var taken =
            home.Dose.BlockWeek is { } day && day >= setup.Starts && day <= setup.Ends && phases.InForce(setup.WeekOf(day))
                ? setup.WeekOf(day)
                : (int?)null;
        var first = Math.Max(taken ?? thisWeek, thisWeek);
        WeekState? state = null;
        for (var number = first; number <= setup.Weeks; number++)
        {
            var edit = setup.Edits.LastOrDefault(e =>
                e.Week == number && e.Figures.Line == line && e.Figures.ExerciseId == home.ExerciseId
            );
            state = state is null ? steps.First(line, home, setup, number, taken == number) : steps.After(state, line, setup, number);
            (cells[number], state) = steps.Cell(state, home, line, number, setup, edit, taken == number);
        }

        foreach (var past in before?.Weeks.Where(w => w.Number < first) ?? [])
        {
            if ((past.Cell(line, home.ExerciseId) ?? past.Cells.FirstOrDefault(c => c.Line == line)) is { } kept)
            {
                cells[past.Number] = kept;
            }
        }

        return new BlockRow(line, home.ExerciseId, cells);
    }

    private BlockWeek Week(int number, List<BlockRow> rows, RebuildRequest request, HomePlan plan, BlockSetup setup)
    {
        var kind = BlockShape.KindOf(setup, number);
        var phase = setup.PhaseOf(number);
        var starts = number > 1 && setup.PhaseOf(number - 1) != phase;
        var cells = rows.Where(r => r.Cells.ContainsKey(number)).Select(r => r.Cells[number]).ToImmutableArray();
        return new BlockWeek(
            number,
            setup.StartOf(number),
            kind,
            phase.Name,
            starts,
            Idea(kind, phase, setup, number),
            cells,
            Days(number, rows, request, plan, setup)
        );
    }

    private ImmutableArray<BlockDay> Days(int number, List<BlockRow> rows, RebuildRequest request, HomePlan plan, BlockSetup setup)
    {
        var planner = new SessionPlanner(domain, request.Client);
        var phase = setup.PhaseOf(number);
        var under = request with { Approach = phase.Approach ?? request.Approach, Phase = phase.Phase };
        var lines = plan
            .Lines.Select(l =>
                l with
                {
                    Chosen = l.Chosen is not { } chosen
                        ? null
                        : chosen with
                        {
                            Exercises =
                            [
                                .. chosen.Exercises.Select(e =>
                                    rows.First(r => r.Line == l.Gym.Key && r.ExerciseId == e.ExerciseId).Cells.GetValueOrDefault(number)
                                        is { } cell
                                        ? e with
                                        {
                                            Dose = cell.Dose,
                                        }
                                        : e
                                ),
                            ],
                        },
                }
            )
            .ToList();
        return
        [
            .. plan.Days.Select(
                (d, i) =>
                    new BlockDay(
                        d.Name,
                        planner.Plan([.. lines.Where(l => l.Gym.Day == i)], under.ApproachOn(d.Name, domain), fit: false).Minutes.Total
                    )
            ),
        ];
    }

    private Reason Idea(WeekKind kind, BlockPhase phase, BlockSetup setup, int week) =>
        kind switch
        {
            WeekKind.Lighter when BlockShape.WeeksToEvent(setup, week) == -1 => Reason.Of("idea.after-event"),
            WeekKind.Lighter => Reason.Of("idea.lighter"),
            WeekKind.Taper => Reason.Of("idea.taper", ("event", Event(setup))),
            WeekKind.Event => Reason.Of("idea.event", ("event", Event(setup)), ("day", setup.EventOn!.Value.ToString("O"))),
            _ when phase.Phase is { } name => domain.ApproachOf(phase.Approach).Phases.FirstOrDefault(p => p.Name == name)?.Idea is { } idea
                ? Reason.Text(idea)
                : Reason.None,
            _ => Reason.None,
        };

    private static Reason Event(BlockSetup setup) =>
        string.IsNullOrWhiteSpace(setup.EventName) ? Reason.Of("the-event") : Reason.Text(setup.EventName);

    private static IEnumerable<Reason> Notices(RebuildRequest request, BlockSetup setup, ImmutableArray<BlockWeek> weeks)
    {
        if (BlockShape.WeeksToEvent(setup, setup.Weeks) is > 1 and var after)
        {
            yield return Reason.Of("block.event-after", ("event", Event(setup)), ("weeks", after));
        }

        if (setup.EventOn is { } day && setup.WeekOf(day) == 1)
        {
            yield return Reason.Of("block.event-first-week", ("event", Event(setup)));
        }

        if (weeks.Length > MostWeeksWithoutRest && weeks.All(w => !w.IsLight))
        {
            yield return Reason.Of("block.no-lighter", ("weeks", weeks.Length));
        }

        if (request.Client.MinutesPerSession is { } limit)
        {
            foreach (
                var over in weeks
                    .SelectMany(w => w.Days.Where(d => d.Minutes > limit).Select(d => (w.Number, Day: d)))
                    .GroupBy(o => o.Day.Name)
            )
            {
                Fact[] named = over.Key.Length > 0 ? [("day", over.Key)] : [];
                yield return Reason.Of(
                    "block.too-long",
                    [
                        .. named,
                        ("minutes", over.Max(o => o.Day.Minutes)),
                        ("limit", limit),
                        ("more", over.Count() > 1),
                        ("weeks", FactList.Of(over.Select(o => o.Number))),
                    ]
                );
            }
        }

        if (request.Client.DaysPerWeek is { } days && weeks.Length > 0 && weeks[0].Days.Length > 1 && days != weeks[0].Days.Length)
        {
            yield return Reason.Of("block.days", ("days", weeks[0].Days.Length), ("trains", days));
        }
    }

    private sealed record BlockRow(LineKey Line, string ExerciseId, Dictionary<int, BlockCell> Cells);
}
