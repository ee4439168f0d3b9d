using System.Collections.Immutable;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Proposes the next session of a plan from what was logged.</summary>
public sealed class NextSession(DomainRules domain)
{
    /// <summary>One proposal per home exercise of the plan, in its order.</summary>
    /// <param name="client">The client.</param>
    /// <param name="place">The kit of the plan.</param>
    /// <param name="lines">Lines of the plan.</param>
    /// <param name="log">Sessions of the plan, in any order; those after <paramref name="today"/> are left out.</param>
    /// <param name="today">The day for which it is asked.</param>
    /// <param name="guide">What has a say beside the log, such as the block that the plan is in; null for nothing.</param>
    /// <param name="days">Days of the plan with their minutes; null to let them take what they take.</param>
    /// <param name="held">What signs of danger hold until the coach has answered; null for nothing.</param>
    public ImmutableArray<Proposal> Propose(
        ClientProfile client,
        PlaceKit place,
        IReadOnlyCollection<HomeLine> lines,
        IReadOnlyCollection<LoggedSession> log,
        DateOnly today,
        IProposalGuide? guide = null,
        IReadOnlyList<HomeDay>? days = null,
        HeldTraining? held = null
    )
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(place);
        ArgumentNullException.ThrowIfNull(lines);
        ArgumentNullException.ThrowIfNull(log);
        var contexts = Contexts(client, place, lines);
        var said = Decide(contexts, MatchedLogs.Of(lines, log).Sessions, today, guide, DayRoom.For(lines, days), held);
        if (client.LongestHold() is { } longest)
        {
            said =
            [
                .. said.Select(p => Holds(p, longest) ? Same(p, Reason.Of("next.hold-limit", ("longest", Quantity.Seconds(longest)))) : p),
            ];
        }

        if (client.NeedsClearance)
        {
            said = [.. said.Select(p => StepsUp(p) ? Same(p, Reason.Of("next.gentle")) : p)];
        }

        return DayRoom.For(lines, days) is { } room
            ? DayTrim.Apply(
                said,
                [.. contexts.Select(c => (c.Line, c.Context.Home))],
                line => lines.First(l => l.Gym.Key == line).Role,
                room
            )
            : said;

        Proposal Same(Proposal p, Reason why) =>
            new ProposalWriter(p.Line, contexts.First(c => c.Line == p.Line && c.Context.Home.ExerciseId == p.ExerciseId).Context, []).Keep(
                Decision.Repeat,
                why,
                p.FlagsCoach
            );
    }

    /// <summary>It would hold longer than the client's health lets it.</summary>
    private static bool Holds(Proposal said, int longest) =>
        said.Dose.Timed && said.Changes && said.ToExerciseId is null && said.Dose.Target.Max > longest;

    /// <summary>What is not stepped up before a clearance: more of anything.</summary>
    private static bool StepsUp(Proposal said) =>
        said.Decision
            is not (
                Decision.Wait
                or Decision.Repeat
                or Decision.FewerSets
                or Decision.FewerReps
                or Decision.TechniqueOff
                or Decision.StepBack
                or Decision.EaseIn
                or Decision.LongerRest
                or Decision.Deload
                or Decision.Change
                or Decision.Ease
                or Decision.Swap
            );

    /// <summary>What the progression knows of every exercise of a plan beside its log.</summary>
    public ImmutableArray<(LineKey Line, ProgressionContext Context)> Contexts(
        ClientProfile client,
        PlaceKit place,
        IEnumerable<HomeLine> lines
    )
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(lines);
        var all = lines.ToList();
        var at = new ClientAtPlace(LineEvidence.Learn(all, client, domain), place, domain);
        return
        [
            .. from line in all
            from home in line.Chosen?.Exercises ?? []
            where domain.Catalogue.Find(home.ExerciseId) is not null // a practice may have removed its own
            select (line.Gym.Key, Context(home, at)),
        ];
    }

    /// <summary>Decides the next session from logs whose lines are those of the contexts.</summary>
    public ImmutableArray<Proposal> Decide(
        ImmutableArray<(LineKey Line, ProgressionContext Context)> contexts,
        IEnumerable<LoggedSession> log,
        DateOnly today,
        IProposalGuide? guide = null,
        DayRoom? room = null,
        HeldTraining? held = null
    )
    {
        var past = log.Where(s => s.Day <= today).OrderByDescending(s => s.Day).ToList();
        var decided = contexts
            .Select(c =>
                (c.Line, c.Context, History: History(c.Line, c.Context.Home.ExerciseId, past, today, c.Context.Home.Dose.CountsAfter))
            )
            .Select(c => (c.Context, c.History, Proposal: Next(c.Line, c.Context, c.History, room, held)))
            .ToList();
        var tired = Fatigue.Detect(
            past,
            [.. decided.Where(d => !Rested(d.Context.Home, d.History)).Select(d => (d.Context.Exercise, d.History))]
        );
        return HurtOnAnotherDay.Heard([
            .. decided.Select(d => new HurtOnAnotherDay.Said(
                d.Context,
                d.History,
                Final(d.Context, d.History, d.Proposal, tired.Why(d.Context.Exercise, d.History), guide)
            )),
        ]);
    }

    /// <summary>The proposal of a line, with the time that those before it have left of the day.</summary>
    private static Proposal Next(LineKey line, ProgressionContext context, LineHistory history, DayRoom? room, HeldTraining? held)
    {
        if (held?.Holds(context.Exercise) == true)
        {
            return new ProposalWriter(line, context, []).Keep(Decision.Wait, AlertWords.Held(held, toCoach: true));
        }

        var said = DoubleProgression.Next(line, context with { MinutesLeft = room?.Left(line) }, history);
        room?.Take(line, said.Dose.Minutes - context.Home.Dose.Minutes);
        return said;
    }

    private static Proposal Final(ProgressionContext context, LineHistory history, Proposal decided, Reason? tired, IProposalGuide? guide)
    {
        var said = tired is not null && MayDeload(decided) ? DoubleProgression.Deload(decided.Line, context, history, tired) : decided;
        said = guide?.Guide(said, context, history) ?? said;
        return said.Decision == Decision.Wait ? said : Dated(said, history.Days[0].Day);
    }

    /// <summary>The proposal, and what stands behind it where no other exercise is found, as an answer to the log of a day.</summary>
    private static Proposal Dated(Proposal said, DateOnly day) =>
        said with
        {
            Dose = said.Dose with { DecidedAfter = day },
            Otherwise = said.Otherwise is { } other ? Dated(other, day) : null,
        };

    /// <summary>What is known of an exercise of a plan.</summary>
    /// <param name="line">Key of its line.</param>
    /// <param name="exerciseId">The exercise.</param>
    /// <param name="log">Sessions of the plan.</param>
    /// <param name="today">The day for which it is asked.</param>
    /// <param name="countsAfter">Day up to which sessions decide nothing more; null when all count.</param>
    public LineHistory History(
        LineKey line,
        string exerciseId,
        IReadOnlyCollection<LoggedSession> log,
        DateOnly today,
        DateOnly? countsAfter = null
    )
    {
        ArgumentNullException.ThrowIfNull(log);
        var exercise = domain.Catalogue.Find(exerciseId);
        var days = log.Where(s => s.Day <= today)
            .SelectMany(s =>
                s.Exercises.Where(e => e.Line == line && e.ExerciseId == exerciseId && !e.Sets.IsDefaultOrEmpty)
                    .Select(e => LineDay.From(s.Day, exercise, e.Sets))
            )
            .GroupBy(d => d.Day)
            .Select(g => g.MaxBy(d => d.Sets.Length)!) // logged twice: the fuller entry decides, both stay visible
            .OrderByDescending(d => d.Day)
            .ToImmutableArray();
        return new LineHistory([.. days.Where(d => !(d.Day <= countsAfter))], today, log.Count == 0 ? null : log.Max(s => s.Day))
        {
            WithPain = days,
        };
    }

    /// <summary>A lighter week lies among the last sessions, or is planned: it must show first.</summary>
    private static bool Rested(HomeExercise home, LineHistory history) =>
        home.Dose.SetsBefore is not null
        || history.Days.Take(LineHistory.SessionsOfStall + 1).Any(d => d.Sets.Length * 2 <= home.Dose.Sets);

    /// <summary>Pain and a return come before a lighter week; what was not logged waits.</summary>
    private static bool MayDeload(Proposal proposal) =>
        proposal.Decision is not (Decision.Wait or Decision.Swap or Decision.Ease or Decision.EaseIn or Decision.Resume);

    /// <summary>What the progression knows of an exercise beside its log, for a client at a place.</summary>
    internal ProgressionContext Context(HomeExercise home, ClientAtPlace at)
    {
        var exercise = domain.Catalogue.Get(home.ExerciseId);
        var others = FamilySteps.From(home, exercise, at);
        var (up, down) = (StepUp(home, exercise, others), StepDown(exercise, others));
        var measured = FamilySteps.DemandOf(home, exercise, at) is not null;
        return new ProgressionContext(
            home,
            exercise,
            [.. (at.Ways.Of(home)?.Safe ?? []).Select(w => (w.Load, w.System.Kg))],
            measured ? up?.Exercise : Possible(exercise.Harder, at),
            measured ? down?.Exercise : Possible(exercise.Easier, at)
        )
        {
            Others = others,
            Costs = at.DomainRules,
            Techniques =
            [
                .. TechniqueFit
                    .Fitting(exercise, at.Client, at.DomainRules.ApproachOf(at.Client.Approach), at.DomainRules.Techniques)
                    .Where(t => at.Kit.Meets(t.Needs).Possible),
            ],
            SetSeconds = domain.Dose.SetSeconds.Most,
            Up = up,
            Rules = domain.Progression,
            MayFindAnew = Calibration
                .Again(home with { Dose = Calibration.Close(home.Dose) }, exercise, at.Client, at.Kit)
                .Home.Dose.Calibrates,
        };
    }

    /// <summary>
    /// The step up to another variation: among those that need no more than a full zone the best known, the catalogue's own next rung before
    /// others; else the smallest that reps can earn, or that what was shown here has earned already, however large it is.
    /// </summary>
    private StepTo? StepUp(HomeExercise home, Exercise exercise, ImmutableArray<StepTo> others)
    {
        var rules = domain.Progression.Steps;
        var wanted =
            home.Dose is { Timed: false, Zone: var zone, Target: var target } && !(zone ?? target).IsOpen
                ? (zone ?? target).Min + home.Dose.Rir
                : int.MaxValue;
        var up = others.Where(o => o.Step > rules.Least && (o.Step <= rules.Earned || Demand.Reps(o.Demand) >= wanted)).ToList();
        return up.Where(o => rules.IsFree(o.Step))
                .OrderByDescending(o => o.Exercise.Id == exercise.Harder)
                .ThenByDescending(o => o.Exercise.Familiarity)
                .ThenBy(o => o.Step)
                .FirstOrDefault()
            ?? up.MinBy(o => o.Step);
    }

    /// <summary>The step down: the catalogue's own easier rung where it asks for less, else the nearest.</summary>
    private StepTo? StepDown(Exercise exercise, ImmutableArray<StepTo> others)
    {
        var rules = domain.Progression.Steps;
        var down = others.Where(o => o.Step < -rules.Least && o.Step >= -rules.Earned).ToList();
        return down.Where(o => o.Exercise.Id == exercise.Easier).MaxBy(o => o.Step) ?? down.MaxBy(o => o.Step);
    }

    private Exercise? Possible(string? id, ClientAtPlace at) =>
        id is not null && domain.Catalogue.Find(id) is { } exercise && at.CanDo(exercise) ? exercise : null;
}
