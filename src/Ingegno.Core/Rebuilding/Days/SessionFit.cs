using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>
/// What gives way when a day takes longer than the client has (docs/domain/prescription), in this order: lines are done in turn, rests
/// are cut within the school, the least valuable sets are dropped: isolation before compound, a fourth set of a main lift before the last of
/// anything; at last whole lines, isolation first. Main lifts and what a coach set stay, and each cut is said.
/// </summary>
internal static class SessionFit
{
    private static readonly ImmutableArray<LineRole> GiveWay = [LineRole.Activation, LineRole.Accessory, LineRole.Secondary];

    /// <summary>Cuts the draft until it fits, or nothing is left to cut; what was done, in sentences.</summary>
    public static ImmutableArray<Reason> Cut(SessionDraft draft, Approach approach, ClientProfile client, int limit)
    {
        var said = ImmutableArray.CreateBuilder<Reason>();
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
            var gone = DropSets(draft, approach, limit, said);
            ImmutableArray<HomeLine> left =
            [
                .. DropLines(draft, approach, limit, l => IsIsolation(draft, l)),
                .. DropLines(draft, approach, limit, _ => true),
            ];
            said.AddRange(Refill(draft, approach, limit, left).Select(l => Reason.Of("fit.line", ("exercise", l.GymExerciseName))));
            GoNearer(draft, approach, limit, gone);
        }

        if (Over())
        {
            said.Add(Reason.Of(SessionPlanner.StillOver, ("over", draft.Minutes(approach) - limit)));
        }

        return said.ToImmutable();
    }

    private static bool MayGive(HomeLine line) => line.Role != LineRole.Main && line.Chosen!.Exercises.All(e => e.MayGiveWay);

    private static bool RestMayGive(HomeLine line) => line.Role != LineRole.Main && line.Chosen!.Exercises.All(e => e.RestMayGiveWay);

    private static void Pair(SessionDraft draft, Approach approach, int limit, ImmutableArray<Reason>.Builder said)
    {
        var free = draft.Free.Where(l => l.Role is LineRole.Accessory or LineRole.Secondary && RestMayGive(l)).ToList();
        foreach (
            var (first, second, _) in Pairing.Find(free, 1, draft.DomainRules.Catalogue).TakeWhile(_ => draft.Minutes(approach) > limit)
        )
        {
            draft.Join([first, second], Reason.Of("group.to-fit"));
            said.Add(Reason.Of(SessionPlanner.InTurn, ("first", first.Chosen!.Name), ("second", second.Chosen!.Name)));
        }
    }

    private static void CutRests(
        SessionDraft draft,
        Approach approach,
        ClientProfile client,
        LineRole role,
        ImmutableArray<Reason>.Builder said
    )
    {
        var shortest = approach.Rest?.Min ?? draft.DomainRules.Dose.ShortestRest(client.Goal);
        var cut = draft
            .Lines.Where(l =>
                l.Role == role && l.Chosen is not null && RestMayGive(l) && l.Chosen.Exercises[^1].Dose.RestSeconds > shortest
            )
            .ToList();
        foreach (var line in cut)
        {
            draft.Dose(line, d => d with { RestSeconds = Math.Min(d.RestSeconds, shortest) });
        }

        if (cut.Count > 0)
        {
            said.Add(
                Reason.Of(
                    "fit.rests",
                    ("exercises", FactList.Of(cut.Select(l => l.Chosen!.Name).Distinct())),
                    ("rest", Quantity.Seconds(shortest))
                )
            );
        }
    }

    /// <summary>Drops sets until the day fits; how many of each line went.</summary>
    private static Dictionary<LineKey, int> DropSets(SessionDraft draft, Approach approach, int limit, ImmutableArray<Reason>.Builder said)
    {
        var dropped = new Dictionary<LineKey, int>();
        while (draft.Minutes(approach) > limit)
        {
            if (Least(draft) is not { } line)
            {
                break;
            }

            draft.Dose(line, FewerSets.Of);
            dropped[line.Gym.Key] = dropped.GetValueOrDefault(line.Gym.Key) + 1;
        }

        said.AddRange(
            from line in draft.Lines
            where dropped.ContainsKey(line.Gym.Key)
            let sets = dropped[line.Gym.Key]
            select Reason.Of("fit.sets", ("sets", sets), ("exercise", line.Chosen!.Name))
        );
        return dropped;
    }

    /// <summary>What sets are left take the reps that they can, as far as the minutes reach.</summary>
    private static void GoNearer(SessionDraft draft, Approach approach, int limit, Dictionary<LineKey, int> gone)
    {
        foreach (var line in draft.Lines.Where(l => l.Chosen is not null && gone.ContainsKey(l.Gym.Key)).ToList())
        {
            draft.Dose(line, home => FewerSets.Nearer(home, gone[line.Gym.Key], line.Gym, draft.DomainRules) ?? home.Dose);
            if (draft.Minutes(approach) > limit)
            {
                draft.Replace(line);
            }
        }
    }

    private static bool IsIsolation(SessionDraft draft, HomeLine line) =>
        draft.DomainRules.Catalogue.Get(line.Gym.ExerciseId).Structure == ExerciseStructure.Isolation;

    /// <summary>
    /// Leaves lines out until the day fits or none may go: what the day trains twice first, then what is worth least. The lines as they were, in
    /// the order in which they went.
    /// </summary>
    private static ImmutableArray<HomeLine> DropLines(SessionDraft draft, Approach approach, int limit, Func<HomeLine, bool> which)
    {
        var left = ImmutableArray.CreateBuilder<HomeLine>();
        while (
            draft.Minutes(approach) > limit
            && draft
                .Lines.Where(l => l is { Chosen: not null, Locked: false } && MayGive(l) && which(l))
                .OrderByDescending(l => IsTwice(draft, l))
                .ThenByDescending(l => l.Role)
                .ThenByDescending(l => l.Gym.Line)
                .FirstOrDefault()
                is { } line
        )
        {
            draft.Replace(line with { Chosen = null, LeftOut = true });
            left.Add(line);
        }

        return left.ToImmutable();
    }

    /// <summary>Another line that stays trains the same movement on this day: a second press goes before the only hinge.</summary>
    private static bool IsTwice(SessionDraft draft, HomeLine line) =>
        draft.Lines.Any(l => l.Gym.Key != line.Gym.Key && l.Chosen is not null && PatternOf(draft, l) == PatternOf(draft, line));

    private static MovementPattern PatternOf(SessionDraft draft, HomeLine line) =>
        draft.DomainRules.Catalogue.Get(line.Gym.ExerciseId).Pattern;

    /// <summary>A long line that went makes room for a short one that went before it: the last to go come back first. What stays out.</summary>
    private static IEnumerable<HomeLine> Refill(SessionDraft draft, Approach approach, int limit, ImmutableArray<HomeLine> left)
    {
        var back = new HashSet<LineKey>();
        foreach (var line in left.Reverse().Where(_ => draft.Minutes(approach) < limit))
        {
            draft.Replace(line);
            if (draft.Minutes(approach) <= limit)
            {
                back.Add(line.Gym.Key);
            }
            else
            {
                draft.Replace(line with { Chosen = null, LeftOut = true });
            }
        }

        return left.Where(l => !back.Contains(l.Gym.Key));
    }

    /// <summary>
    /// The line whose next set is worth least: thirds of accessories and secondary lines, then a fourth set of a main lift, then the second
    /// set of a small muscle, then the third of a main lift; null when only the coach can say what goes. Among equals the longest, then the later one.
    /// </summary>
    private static HomeLine? Least(SessionDraft draft)
    {
        var (fewest, ofMain) = draft.DomainRules.Dose.FewestSets;
        int Sets(HomeLine line) => line.Chosen!.Exercises[^1].Dose.Sets;
        bool Small(HomeLine line) => line.Role > LineRole.Secondary && IsIsolation(draft, line);
        var lines = draft.Lines.Where(l => l.Chosen is not null && l.Chosen.Exercises.All(e => e.MayGiveWay)).ToList();
        return Of(l => l.Role != LineRole.Main && Sets(l) > fewest)
            ?? Of(l => l.Role == LineRole.Main && Sets(l) > ofMain)
            ?? Of(l => Small(l) && Sets(l) > 1)
            ?? Of(l => Sets(l) > fewest);

        HomeLine? Of(Func<HomeLine, bool> may) =>
            lines.Where(may).OrderByDescending(l => l.Role).ThenByDescending(Sets).ThenByDescending(l => l.Gym.Line).FirstOrDefault();
    }
}
