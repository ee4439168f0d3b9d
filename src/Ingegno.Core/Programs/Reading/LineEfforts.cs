using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Says of which sets the shares, efforts and loads of a row hold.</summary>
internal static class LineEfforts
{
    /// <summary>The line with how hard its sets are meant: for all of them, or one for each.</summary>
    public static GymLine Apply(GymLine line, List<SetGroup> groups, LineDraft draft)
    {
        var (share, rpe, rir, load) = (Only(draft.Shares), Only(draft.Rpes), Only(draft.Rirs), Possible.Load(draft.Load));
        var oneEach = OneEach(line, line.Each, draft);
        var sets = line.Each;

        // A figure after several groups holds for all; figures of each stay with each.
        if (groups.Count > 1 && !sets.IsEmpty)
        {
            var firstHas =
                groups[0].Load is not null
                || groups[0].Share is not null
                || groups[0].Rpe is not null
                || groups[0].Rir is not null
                || groups.Exists(g => g.OfTop is not null);
            if (firstHas)
            {
                (share, rpe, rir, load) = (null, null, null, null);
            }
            else
            {
                sets = [.. sets.Select(s => new PlannedSet(s.Target))];
                sets = sets.Select(s => s.Target).Distinct().Count() > 1 ? sets : [];
            }
        }

        if (!oneEach.IsDefault)
        {
            sets = oneEach;
            share = sets[0].ShareOfMax is null ? share : null;
            rpe = sets[0].Rpe is null ? rpe : null;
            rir = sets[0].Rir is null ? rir : null;
            load = sets[0].Load is null ? load : null;
        }

        return line with
        {
            Each = sets,
            Load = load,
            LoadWord = draft.LoadWord,
            RepMax = draft.RepMax,
            ShareOfMax = share is { } s ? Possible.Share(s.From) : null,
            ShareOfMaxTo = share?.Upper is { } sTo ? Possible.Share(sTo) : null,
            Rpe = rpe is { } p ? Possible.Rpe(p.From) : null,
            RpeTo = rpe?.Upper is { } pTo ? Possible.Rpe(pTo) : null,
            Rir = rir is { } i ? Possible.Rir(i.From) : null,
            RirTo = rir?.Upper is { } iTo ? Possible.Rir(iTo) : null,
        };
    }

    /// <summary>65/75/85 % of three sets: one for each. Nothing (default) when there is not one figure for each.</summary>
    private static ImmutableArray<PlannedSet> OneEach(GymLine line, ImmutableArray<PlannedSet> sets, LineDraft draft)
    {
        var own = sets.IsEmpty ? [.. Enumerable.Repeat(new PlannedSet(line.Target), line.Sets)] : sets;
        if (draft.Groups.Count <= 1 && draft.Loads.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { Load = Possible.Load(draft.Loads[i]) })];
        }

        if (draft.Groups.Count <= 1 && draft.Shares.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { ShareOfMax = Possible.Share(draft.Shares[i].From) })];
        }

        if (draft.Groups.Count <= 1 && draft.Rpes.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { Rpe = Possible.Rpe(draft.Rpes[i].From) })];
        }

        if (draft.Groups.Count <= 1 && draft.Rirs.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { Rir = Possible.Rir(draft.Rirs[i].From) })];
        }

        if (draft.Shares.Count > 1 && draft.Groups.Count <= 1)
        {
            draft.Doubt(0, 1, "shorthand.one-for-each", ("given", draft.Shares.Count), ("sets", line.Sets));
        }

        return default;
    }

    private static Span? Only(List<Span> found) =>
        found.Count switch
        {
            0 => null,
            1 => found[0],
            _ => new Span(found.Min(f => f.From), found.Max(f => f.To)),
        };
}
