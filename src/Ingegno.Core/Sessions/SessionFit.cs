using System.Collections.Immutable;
using Ingegno.Core.Clients;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Sessions;

/// <summary>
/// What gives way when a day takes longer than the client has (handbook 04), in this order: lines are done in turn, rests
/// are cut within the school, the least valuable sets are dropped. Main lifts and what a coach set stay as they are, and
/// each cut is said.
/// </summary>
internal static class SessionFit
{
    private const int FewestSets = 2;

    private static readonly ImmutableArray<LineRole> GiveWay = [LineRole.Activation, LineRole.Accessory, LineRole.Secondary];

    /// <summary>Cuts the draft until it fits, or nothing is left to cut; what was done, in sentences.</summary>
    public static ImmutableArray<string> Cut(SessionDraft draft, Approach approach, ClientProfile client, int limit)
    {
        var said = ImmutableArray.CreateBuilder<string>();
        bool Over() => draft.Minutes(approach) > limit;
        if (Over() && approach.Pairing == PairingRule.None && approach.FitsByPairing)
        {
            Pair(draft, approach, limit, said);
        }

        foreach (var role in GiveWay.Where(_ => Over()))
        {
            CutRests(draft, approach, client, role, said);
        }

        if (Over())
        {
            DropSets(draft, approach, limit, said);
        }

        if (Over())
        {
            said.Add($"Still {draft.Minutes(approach) - limit} minutes over: what is left are main lifts, two sets of the rest, and what you set yourself.");
        }

        return said.ToImmutable();
    }

    private static bool MayGive(HomeLine line) => line.Role != LineRole.Main && line.Chosen!.Exercises.All(e => !e.EditedByCoach);

    private static void Pair(SessionDraft draft, Approach approach, int limit, ImmutableArray<string>.Builder said)
    {
        var free = draft.Free.Where(l => l.Role is LineRole.Accessory or LineRole.Secondary && MayGive(l)).ToList();
        foreach (var (first, second, _) in Pairing.Find(free, 1, draft.Trade.Catalogue).TakeWhile(_ => draft.Minutes(approach) > limit))
        {
            draft.Join([first, second], "In turn, to fit the time there is.");
            said.Add($"{first.Chosen!.Name} and {second.Chosen!.Name} in turn.");
        }
    }

    private static void CutRests(SessionDraft draft, Approach approach, ClientProfile client, LineRole role, ImmutableArray<string>.Builder said)
    {
        var shortest = approach.Rest?.Min ?? ShortestRest(client.Goal);
        var cut = draft.Lines.Where(l => l.Role == role && l.Chosen is not null && MayGive(l) && l.Chosen.Exercises[^1].Dose.RestSeconds > shortest).ToList();
        foreach (var line in cut)
        {
            draft.Dose(line, d => d with { RestSeconds = Math.Min(d.RestSeconds, shortest) });
        }

        if (cut.Count > 0)
        {
            said.Add($"Rests of {Words.Join([.. cut.Select(l => l.Chosen!.Name).Distinct()])} cut to {shortest} s.");
        }
    }

    /// <summary>Shortest rest that still serves the goal (handbook 04: strength 2–5 min on main lifts, muscle 1–2 min, endurance 30–60 s), s.</summary>
    private static int ShortestRest(Goal goal) => goal switch
    {
        Goal.Strength => 90,
        Goal.Muscle => 60,
        Goal.Endurance => 30,
        _ => 45,
    };

    private static void DropSets(SessionDraft draft, Approach approach, int limit, ImmutableArray<string>.Builder said)
    {
        var dropped = new Dictionary<int, int>();
        while (draft.Minutes(approach) > limit)
        {
            // Least valuable first; among equals the longest line, then the later one.
            var line = draft.Lines.Where(l => l.Chosen is not null && MayGive(l) && l.Chosen.Exercises[^1].Dose.Sets > FewestSets)
                .OrderByDescending(l => l.Role).ThenByDescending(l => l.Chosen!.Exercises[^1].Dose.Sets).ThenByDescending(l => l.Gym.Line).FirstOrDefault();
            if (line is null)
            {
                break;
            }

            draft.Dose(line, d => d with { Sets = Math.Max(FewestSets, d.Sets - 1) });
            dropped[line.Gym.Line] = dropped.GetValueOrDefault(line.Gym.Line) + 1;
        }

        said.AddRange(dropped.OrderBy(d => d.Key).Select(d =>
            $"{(d.Value == 1 ? "One set" : $"{d.Value} sets")} fewer of {draft.Lines.First(l => l.Gym.Line == d.Key).Chosen!.Name}."));
    }
}
