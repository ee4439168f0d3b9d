using System.Collections.Immutable;
using Ingegno.Core.Matching;
using Ingegno.Core.Programs;
using Ingegno.Core.Rebuilding;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Progressing.Blocks;

/// <summary>
/// Lays out the weeks of a block from a home plan: each phase starts as the engine prescribes it under its approach, and from week to
/// week a line goes on as double progression has it when every set is done as written. What is past stands as it was planned.
/// </summary>
public sealed class BlockPlanner(Trade trade, RebuildEngine engine, NextSession next)
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
        var steps = new WeekSteps(trade.WithCosts(request.Client.Costs), request, phases, next);
        var thisWeek = Math.Max(1, setup.WeekOf(today));
        var rows = plan.Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => Row(l.Gym.Line, e, setup, phases, steps, before, thisWeek))).ToList();
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
    public static RebuildRequest Taken(RebuildRequest request, HomePlan plan, BlockSetup setup, BlockWeek week, IReadOnlyCollection<LoggedSession> log)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(week);
        ArgumentNullException.ThrowIfNull(log);
        var phase = setup.PhaseOf(week.Number);
        var edits = week.Cells.Select(c => c.AsEdit() with { BlockWeek = week.Starts, DecidedAfter = LastDay(c) });
        return PhaseStarts.Under(request, plan, phase) with { Edits = [.. edits] };

        DateOnly? LastDay(BlockCell cell) => log
            .Where(s => s.Exercises.Any(e => e.Line == cell.Line && e.ExerciseId == cell.ExerciseId)).Select(s => (DateOnly?)s.Day).Max();
    }

    /// <summary>Edits that still stand: those of weeks that the plan has taken are figures of the plan by now.</summary>
    public static BlockSetup Settled(BlockSetup setup, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(plan);
        var taken = plan.Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Line, e.ExerciseId, e.Dose.BlockWeek))).ToList();
        return setup with { Edits = [.. setup.Edits.Where(e => !taken.Any(t => t.Line == e.Figures.Line && t.ExerciseId == e.Figures.ExerciseId && t.BlockWeek >= setup.StartOf(e.Week)))] };
    }

    private static BlockRow Row(int line, HomeExercise home, BlockSetup setup, PhaseStarts phases, WeekSteps steps, Block? before, int thisWeek)
    {
        var cells = new Dictionary<int, BlockCell>();

        // A week of another block says nothing here: its first day tells them apart.
        var taken = home.Dose.BlockWeek is { } day && day >= setup.Starts && day <= setup.Ends && phases.InForce(setup.WeekOf(day)) ? setup.WeekOf(day) : (int?)null;
        var first = Math.Max(taken ?? thisWeek, thisWeek);
        WeekState? state = null;
        for (var number = first; number <= setup.Weeks; number++)
        {
            var edit = setup.Edits.LastOrDefault(e => e.Week == number && e.Figures.Line == line && e.Figures.ExerciseId == home.ExerciseId);
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
        return new BlockWeek(number, setup.StartOf(number), kind, phase.Name, starts, Idea(kind, phase, setup, number), cells, Days(number, rows, request, plan, setup));
    }

    private ImmutableArray<BlockDay> Days(int number, List<BlockRow> rows, RebuildRequest request, HomePlan plan, BlockSetup setup)
    {
        var planner = new SessionPlanner(trade, request.Client);
        var phase = setup.PhaseOf(number);
        var under = request with { Approach = phase.Approach ?? request.Approach, Phase = phase.Phase };
        var lines = plan.Lines.Select(l => l with
        {
            Chosen = l.Chosen is not { } chosen ? null : chosen with
            {
                Exercises = [.. chosen.Exercises.Select(e => rows.First(r => r.Line == l.Gym.Line && r.ExerciseId == e.ExerciseId).Cells.GetValueOrDefault(number) is { } cell ? e with { Dose = cell.Dose } : e)],
            },
        }).ToList();
        return [.. plan.Days.Select((d, i) => new BlockDay(d.Name, planner.Plan([.. lines.Where(l => l.Gym.Day == i)], under.ApproachOn(d.Name, trade), fit: false).Minutes.Total))];
    }

    private string Idea(WeekKind kind, BlockPhase phase, BlockSetup setup, int week) => kind switch
    {
        WeekKind.Lighter when BlockShape.WeeksToEvent(setup, week) == -1 => "After the event: half the sets, same load.",
        WeekKind.Lighter => "Lighter: half the sets, same load.",
        WeekKind.Taper => $"A week to {Event(setup)}: a third of the sets less, same load, nothing new.",
        WeekKind.Event => $"{Words.Sentence(Event(setup))} on {setup.EventOn:dddd}: half the sets, same load, nothing to failure, rest on the day before.",
        _ when phase.Phase is { } name => trade.ApproachOf(phase.Approach).Phases.FirstOrDefault(p => p.Name == name)?.Idea ?? string.Empty,
        _ => string.Empty,
    };

    private static string Event(BlockSetup setup) => string.IsNullOrWhiteSpace(setup.EventName) ? "the event" : setup.EventName;

    private static IEnumerable<string> Notices(RebuildRequest request, BlockSetup setup, ImmutableArray<BlockWeek> weeks)
    {
        if (BlockShape.WeeksToEvent(setup, setup.Weeks) is > 1 and var after)
        {
            yield return $"{Words.Sentence(Event(setup))} comes {after} weeks after this block: a next block leads up to it.";
        }

        if (setup.EventOn is { } day && setup.WeekOf(day) == 1)
        {
            yield return $"{Words.Sentence(Event(setup))} lies in the first week: there is no time to build up before it.";
        }

        if (weeks.Length > MostWeeksWithoutRest && weeks.All(w => !w.IsLight))
        {
            yield return $"No lighter week in {weeks.Length}: most need one by now. Make one lighter, or watch effort and sleep.";
        }

        if (request.Client.MinutesPerSession is { } limit)
        {
            foreach (var over in weeks.SelectMany(w => w.Days.Where(d => d.Minutes > limit).Select(d => (w.Number, Day: d))).GroupBy(o => o.Day.Name))
            {
                var which = over.Count() == 1 ? $"week {over.First().Number}" : $"weeks {Words.Join([.. over.Select(o => o.Number.ToString(System.Globalization.CultureInfo.InvariantCulture))])}";
                yield return $"{(over.Key.Length > 0 ? over.Key : "The day")} takes up to {over.Max(o => o.Day.Minutes)} of {limit} minutes in {which}.";
            }
        }

        if (request.Client.DaysPerWeek is { } days && weeks.Length > 0 && weeks[0].Days.Length > 1 && days != weeks[0].Days.Length)
        {
            yield return $"The plan has {weeks[0].Days.Length} days and the client trains {days} a week: a week of this table is one round of its days.";
        }
    }

    private sealed record BlockRow(int Line, string ExerciseId, Dictionary<int, BlockCell> Cells);
}
