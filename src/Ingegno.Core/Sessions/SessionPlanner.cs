using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Sessions;

/// <summary>A day laid out: its lines with their final doses, its blocks in order, its minutes, what was cut.</summary>
/// <param name="Lines">The lines, in the order of the gym text.</param>
/// <param name="Blocks">What is done with what, in order.</param>
/// <param name="Minutes">Minutes of the day.</param>
/// <param name="Cut">What was done to fit the client's minutes, in sentences.</param>
public sealed record PlannedSession(
    ImmutableArray<HomeLine> Lines, ImmutableArray<SessionBlock> Blocks, SessionMinutes Minutes, ImmutableArray<string> Cut);

/// <summary>Lays out a day: order, lines in turn, and what gives way when it takes longer than the client has.</summary>
public sealed class SessionPlanner(Trade trade, ClientProfile client)
{
    /// <summary>The session of a day.</summary>
    /// <param name="lines">Lines of the day in the order of the gym text.</param>
    /// <param name="approach">Approach of the day.</param>
    /// <param name="fit">Whether it may be cut to the client's minutes.</param>
    public PlannedSession Plan(ImmutableArray<HomeLine> lines, Approach approach, bool fit)
    {
        ArgumentNullException.ThrowIfNull(approach);
        var draft = new SessionDraft(lines, trade);
        if (approach.Prefers.Contains("pre-exhaust"))
        {
            PreExhaust(draft);
        }

        Pair(draft, approach);
        var limit = client.MinutesPerSession;
        var cut = fit && limit is { } minutes ? SessionFit.Cut(draft, approach, client, minutes) : [];
        var blocks = draft.Blocks(approach);
        return new PlannedSession(draft.Lines, blocks, new SessionMinutes(SessionTime.Minutes(blocks, draft.ByNumber()), limit), cut);
    }

    private void Pair(SessionDraft draft, Approach approach)
    {
        if (approach.Pairing == PairingRule.Opposite)
        {
            var free = draft.Free.Where(l => l.Role != LineRole.Activation).ToList();
            foreach (var (first, second, fit) in Pairing.Find(free, 2, trade.Catalogue))
            {
                draft.Join([first, second], fit == 3 ? "Opposite muscles in turn: one rests while the other works." : "Upper and lower body in turn: one rests while the other works.");
            }
        }
    }

    /// <summary>
    /// A compound line that stays too easy is tired beforehand by an isolation line of the same muscle on the same day.
    /// </summary>
    private void PreExhaust(SessionDraft draft)
    {
        if (trade.Techniques.FirstOrDefault(t => t.Scheme == SetScheme.PreExhaust) is not { } technique)
        {
            return;
        }

        foreach (var line in draft.Free.Where(l => IsTooEasy(l, technique)).ToList())
        {
            var muscles = trade.Catalogue.Get(line.Chosen!.Exercises[0].ExerciseId).PrimeMovers().ToList();
            var first = draft.Free.FirstOrDefault(l => l.Gym.Line != line.Gym.Line && IsIsolation(l)
                && trade.Catalogue.Get(l.Chosen!.Exercises[0].ExerciseId).PrimeMovers().Intersect(muscles).Any()
                && !RigUse.Conflict(l.Chosen.Exercises[0], line.Chosen.Exercises[0]));
            if (first is null)
            {
                continue;
            }

            var tired = Tired(line, technique);
            draft.Replace(tired);
            draft.Replace(first = Straight(first));
            draft.Join([first, tired], $"Pre-exhaust: {first.Chosen!.Exercises[0].Name} tires the muscle right before {tired.Chosen!.Exercises[0].Name}, whose load is light here.");
        }
    }

    private bool IsTooEasy(HomeLine line, Technique technique) =>
        line is { Role: LineRole.Main or LineRole.Secondary, Chosen.Exercises: [{ EditedByCoach: false, Dose.Scheme: null, Expected: not null, Wanted: not null } home] }
        && home.Expected.Mid > home.Wanted.Max * 1.25
        && technique.Fits(trade.Catalogue.Get(home.ExerciseId), client);

    private bool IsIsolation(HomeLine line) =>
        line.Chosen is { Exercises: [{ Dose.Timed: false } home] } && trade.Catalogue.Get(home.ExerciseId).Structure == Catalogue.ExerciseStructure.Isolation;

    /// <summary>Straight sets in place of one rest-pause set, so that both lines run the same rounds.</summary>
    private static HomeLine Straight(HomeLine line)
    {
        var home = line.Chosen!.Exercises[0];
        if (home.Dose.Scheme != SetScheme.RestPause)
        {
            return line;
        }

        var dose = home.Dose with
        {
            Scheme = null,
            Sets = line.Gym.Sets,
            Target = new Programs.SetTarget(Math.Max(1, (int)Math.Round(home.Dose.Target.Max * 0.8)), home.Dose.Target.Max),
            Techniques = home.Dose.Techniques.RemoveAll(t => t == "rest-pause"),
            Instructions = home.Dose.Instructions.RemoveAt(home.Dose.Instructions.Length - 1),
        };
        return line with { Chosen = line.Chosen with { Exercises = [home with { Dose = dose }] } };
    }

    private static HomeLine Tired(HomeLine line, Technique technique)
    {
        var home = line.Chosen!.Exercises[0];
        var reps = home.Expected!.Times(technique.RepsLeft);
        var top = Math.Clamp((int)Math.Floor(reps.Mid) - home.Dose.Rir, home.Wanted!.Min, DosePrescriber.MostUsefulReps);
        var bottom = Math.Min(home.Dose.Target.Min, Math.Max(home.Wanted.Min, (int)Math.Round(top * 0.8)));
        var dose = home.Dose with
        {
            Scheme = SetScheme.PreExhaust,
            Target = new Programs.SetTarget(bottom, Math.Max(bottom, top)),
            Techniques = home.Dose.Techniques.Add(technique.Id),
            Instructions = home.Dose.Instructions.Add(technique.How),
        };
        return line with { Chosen = line.Chosen with { Exercises = [home.WithReps(reps) with { Dose = dose }] } };
    }
}
