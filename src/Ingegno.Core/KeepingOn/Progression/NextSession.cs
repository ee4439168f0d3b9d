using System.Collections.Immutable;
using Ingegno.Core.AtHome.Kit;
using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.KeepingOn.Logs;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Matching;
using Ingegno.Core.Trainee.Clients;
using Ingegno.Core.Trainee.Strength;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.KeepingOn.Progression;

/// <summary>Proposes the next session of a plan from what was logged.</summary>
public sealed class NextSession(Trade trade)
{
    /// <summary>Effort of a session from which two running ask for a lighter week, with strength falling.</summary>
    private const int HardSession = 9;

    /// <summary>Fewest reps that a step to a harder exercise must leave.</summary>
    private const double LeastRepsOfStep = 3;

    /// <summary>One proposal per home exercise of the plan, in its order.</summary>
    /// <param name="client">The client.</param>
    /// <param name="place">The kit of the plan.</param>
    /// <param name="lines">Lines of the plan.</param>
    /// <param name="log">Sessions of the plan, in any order; those after <paramref name="today"/> are left out.</param>
    /// <param name="today">The day for which it is asked.</param>
    /// <param name="guide">What has a say beside the log, such as the block that the plan is in; null for nothing.</param>
    /// <param name="days">Days of the plan with their minutes; null to let them take what they take.</param>
    public ImmutableArray<Proposal> Propose(
        ClientProfile client,
        PlaceKit place,
        IReadOnlyCollection<HomeLine> lines,
        IReadOnlyCollection<LoggedSession> log,
        DateOnly today,
        IProposalGuide? guide = null,
        IReadOnlyList<HomeDay>? days = null
    )
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(lines);
        ArgumentNullException.ThrowIfNull(log);
        var contexts = Contexts(client, place, lines);
        var said = Decide(contexts, MatchedLogs.Of(lines, log).Sessions, today, guide, DayRoom.Of(lines, days));
        return DayRoom.Of(lines, days) is { } room
            ? DayTrim.Apply(
                said,
                [.. contexts.Select(c => (c.Line, c.Context.Home))],
                line => lines.First(l => l.Gym.Key == line).Role,
                room
            )
            : said;
    }

    /// <summary>What the progression knows of every exercise of a plan beside its log.</summary>
    public ImmutableArray<(LineKey Line, ProgressionContext Context)> Contexts(
        ClientProfile client,
        PlaceKit place,
        IEnumerable<HomeLine> lines
    )
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(lines);
        var at = new ClientAtPlace(client, place, trade);
        return
        [
            .. from line in lines
            from home in line.Chosen?.Exercises ?? []
            where trade.Catalogue.Find(home.ExerciseId) is not null // a practice may have removed its own
            select (line.Gym.Key, Context(home, at) with { TempoCost = at.Trade.TempoCost }),
        ];
    }

    /// <summary>Decides the next session from logs whose lines are those of the contexts.</summary>
    public ImmutableArray<Proposal> Decide(
        ImmutableArray<(LineKey Line, ProgressionContext Context)> contexts,
        IEnumerable<LoggedSession> log,
        DateOnly today,
        IProposalGuide? guide = null,
        DayRoom? room = null
    )
    {
        var past = log.Where(s => s.Day <= today).OrderByDescending(s => s.Day).ToList();
        var decided = contexts
            .Select(c => (c.Line, c.Context, History: History(c.Line, c.Context.Home.ExerciseId, past, today)))
            .Select(c => (c.Context, c.History, Proposal: Next(c.Line, c.Context, c.History, room)))
            .ToList();
        var tired = Tired(past, [.. decided.Where(d => !Rested(d.Context.Home, d.History)).Select(d => d.History)]);
        return [.. decided.Select(d => Final(d.Context, d.History, d.Proposal, tired, guide))];
    }

    /// <summary>The proposal of a line, with the time that those before it have left of the day.</summary>
    private static Proposal Next(LineKey line, ProgressionContext context, LineHistory history, DayRoom? room)
    {
        var said = DoubleProgression.Next(line, context with { MinutesLeft = room?.Left(line) }, history);
        room?.Take(line, said.Dose.Minutes - context.Home.Dose.Minutes);
        return said;
    }

    private static Proposal Final(ProgressionContext context, LineHistory history, Proposal decided, Reason? tired, IProposalGuide? guide)
    {
        var said = tired is not null && MayDeload(decided) ? DoubleProgression.Deload(decided.Line, context, history, tired) : decided;
        said = guide?.Guide(said, context, history) ?? said;
        return said.Decision == Decision.Wait ? said : said with { Dose = said.Dose with { DecidedAfter = history.Days[0].Day } };
    }

    /// <summary>What is known of an exercise of a plan.</summary>
    public LineHistory History(LineKey line, string exerciseId, IReadOnlyCollection<LoggedSession> log, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(log);
        var exercise = trade.Catalogue.Find(exerciseId);
        var days = log.Where(s => s.Day <= today)
            .SelectMany(s =>
                s.Exercises.Where(e => e.Line == line && e.ExerciseId == exerciseId && !e.Sets.IsDefaultOrEmpty)
                    .Select(e => LineDay.Of(s.Day, exercise, e.Sets))
            )
            .GroupBy(d => d.Day)
            .Select(g => g.MaxBy(d => d.Sets.Length)!) // logged twice: the fuller entry decides, both stay visible
            .OrderByDescending(d => d.Day);
        return new LineHistory([.. days], today, log.Count == 0 ? null : log.Max(s => s.Day));
    }

    /// <summary>Why the whole plan wants a lighter week: stalls on half of it, or two all-out sessions running; null when it does
    /// not.</summary>
    private static Reason? Tired(List<LoggedSession> past, List<LineHistory> lines)
    {
        var judged = lines.Where(l => l.Days.Length > LineHistory.SessionsOfStall).ToList();
        var stalled = judged.Count(l => l.Stalled);
        if (stalled >= 2 && stalled * 2 >= judged.Count)
        {
            return Reason.Of("tired.flat", ("stalled", stalled), ("judged", judged.Count));
        }

        return
            past.Count > 1
            && past.Take(2).All(s => s.Effort >= HardSession)
            && judged.Any(l => l.Days[0].OneRepMaxKg < l.Days[1].OneRepMaxKg * 0.95)
            ? Reason.Of("tired.all-out", ("effort", HardSession))
            : null;
    }

    /// <summary>A lighter week lies among the last sessions, or is planned: it must show first.</summary>
    private static bool Rested(HomeExercise home, LineHistory history) =>
        home.Dose.SetsBefore is not null
        || history.Days.Take(LineHistory.SessionsOfStall + 1).Any(d => d.Sets.Length * 2 <= home.Dose.Sets);

    /// <summary>Pain and a return come before a lighter week; what was not logged waits.</summary>
    private static bool MayDeload(Proposal proposal) =>
        proposal.Decision is not (Decision.Wait or Decision.Swap or Decision.Ease or Decision.EaseIn or Decision.Resume);

    private ProgressionContext Context(HomeExercise home, ClientAtPlace at)
    {
        var exercise = trade.Catalogue.Get(home.ExerciseId);
        return new ProgressionContext(
            home,
            exercise,
            [.. (at.Ways.Of(home)?.Safe ?? []).Select(w => (w.Load, w.System.Kg))],
            Possible(exercise.Harder, at) is { } harder && Reachable(harder, at, home.Dose) ? harder : null,
            Possible(exercise.Easier, at)
        );
    }

    /// <summary>At its lightest here the client gets at least half the reps of the zone: below that it is no step but a wall.</summary>
    private static bool Reachable(Exercise exercise, ClientAtPlace at, Dose dose)
    {
        if (exercise.Measure == Measure.Seconds || at.Strength.For(exercise) is not { } estimate)
        {
            return true;
        }

        var wanted = Math.Max(LeastRepsOfStep, (dose.Zone ?? dose.Target).Min / 2.0);
        return at
            .Ways.Of(exercise)
            .Where(w => w.System.Kg > 0)
            .Any(w => ClientStrength.RepsAt(estimate, w.System.Kg, exercise.Strength!.Curve).Mid >= wanted);
    }

    private Exercise? Possible(string? id, ClientAtPlace at) =>
        id is not null && trade.Catalogue.Find(id) is { } exercise && at.CanDo(exercise) ? exercise : null;
}
