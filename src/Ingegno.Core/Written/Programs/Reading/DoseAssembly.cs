using System.Collections.Immutable;
using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Knowledge.Catalogue;

namespace Ingegno.Core.Written.Programs.Reading;

/// <summary>A figure that cannot be a plan; ends the reading of its row and of no other.</summary>
internal sealed class UnreadableRowException(string code, Reason message) : Exception(code)
{
    public string Code { get; } = code;

    public Reason Said { get; } = message;
}

/// <summary>Puts the parts of a row together into the dose of a line.</summary>
internal static class DoseAssembly
{
    /// <summary>Reps taken where a line names sets alone (common practice).</summary>
    public static readonly SetTarget UsualReps = new(8, 12);

    /// <summary>Sets taken where a line names nothing (common practice).</summary>
    public const int UsualSets = 3;

    /// <summary>Metres walked in a second under load, and of a lunge's step (common practice).</summary>
    private const double MetresPerSecond = 1;

    private const double MetresPerStep = 0.75;

    /// <summary>The line with its dose.</summary>
    /// <param name="line">Name and exercise.</param>
    /// <param name="draft">What was read.</param>
    /// <param name="exercise">The exercise.</param>
    /// <exception cref="UnreadableRowException">A figure is beyond what a plan can be.</exception>
    public static GymLine Of(GymLine line, LineDraft draft, Exercise exercise)
    {
        var rest = draft.Rest;
        var groups = draft.Groups.ToList();
        var holds = exercise.Measure == Measure.Seconds;
        StepOfNextWeek(draft, exercise);
        TwentyOnes(line, draft, groups);
        SettleBare(draft, groups);
        PairOfTwenties.Settle(draft, groups, exercise);
        SettleDurations(draft, groups, holds, ref rest);
        if (groups.Count == 0 && draft.RepMax is { } maximum)
        {
            groups.Add(SetGroup.OfMaximum(maximum)); // bench 5RM: it is found out, and that is the line
            draft.Method ??= SetMethod.TopSet;
        }
        else if (groups.Count == 0)
        {
            groups.Add(new SetGroup { Sets = UsualSets, Counts = [new Span(UsualReps.Min, UsualReps.Max)] });
            draft.Doubt(0, 1, "shorthand.no-dose");
        }

        line = line with
        {
            PerSide = draft.PerSide,
            Method = draft.Method,
            MethodFigures = draft.MethodFigures ?? (draft.Week is { } w ? $"week {w}" : null),
        };
        line = Sets(line, groups, draft, exercise, holds);
        line = InAll(Efforts(line, groups, draft), draft, exercise);
        return line with
        {
            Tempo = draft.Tempo,
            RestSeconds = rest is { } r ? InRange(r.From, 0, ShorthandLimits.RestSeconds, OutOfRange.Rest) : null,
            RestTo = rest?.Upper is { } to ? InRange(to, 0, ShorthandLimits.RestSeconds, OutOfRange.Rest) : null,
        };
    }

    /// <summary>"+2.5 kg" beside a lift that is a bar's anyway is how it goes on, and no load: it is said beside the dose.</summary>
    private static void StepOfNextWeek(LineDraft draft, Exercise exercise)
    {
        var barbell =
            !exercise.Setups.IsEmpty
            && exercise.Setups.All(s => s.Load.External is { Required: true } load && load.From.Contains(LoadSource.Bar));
        if (!barbell || draft.Load is not { Added: true } step || draft.Loads.Count > 0)
        {
            return;
        }

        draft.Load = null;
        foreach (var group in draft.Groups)
        {
            group.Load = null;
        }

        draft.Notes.Add($"+{Ground.Text.Words.Number(step.Kg, 2)} kg");
    }

    /// <summary>From so many on, steps of walking lunges and reps of alternating limbs are counted in all (common practice).</summary>
    private const int LeastInAll = 16;

    private static bool CountsSteps(LineDraft draft, Exercise exercise) => draft.InSteps && exercise.Pattern == MovementPattern.Lunge;

    private static bool IsInTurn(GymLine line, Exercise exercise) =>
        exercise.Id == "walking-lunge" || line.Modifiers.Any(m => m.Id == "alternating");

    /// <summary>Twenty walking lunges are ten a side.</summary>
    private static GymLine InAll(GymLine line, LineDraft draft, Exercise exercise)
    {
        var (low, high) = (line.Target.Min, line.Target.Max);
        if (
            line.PerSide
            || line.Timed
            || line.Target.IsOpen
            || !line.Each.IsEmpty
            || low % 2 + high % 2 > 0
            || !(CountsSteps(draft, exercise) || (low >= LeastInAll && IsInTurn(line, exercise)))
        )
        {
            return line;
        }

        var side = new SetTarget(low / 2, high / 2);
        draft.Doubt(0, 1, "shorthand.in-all", ("given", line.Target.InWords), ("side", side.InWords));
        return line with { Target = side, PerSide = true };
    }

    /// <summary>Twenty-ones say their reps: seven low, seven high, seven whole.</summary>
    private static void TwentyOnes(GymLine line, LineDraft draft, List<SetGroup> groups)
    {
        if (!line.Modifiers.Any(m => m.Id == "twenty-ones"))
        {
            return;
        }

        draft.Method ??= SetMethod.TwentyOnes;
        if (groups is [] or [{ Counts.Count: 0, Open: false }] || groups is [{ Sets: null, Counts: [{ To: <= 6 }] }])
        {
            var sets = groups is [var one] ? one.Sets ?? (int)one.Counts[0].To : 1;
            groups.Clear();
            groups.Add(new SetGroup { Sets = sets, Counts = [new Span(21, 21)] });
        }
    }

    /// <summary>Two bare figures are sets and reps, as in a table; one is the reps of a set.</summary>
    private static void SettleBare(LineDraft draft, List<SetGroup> groups)
    {
        var counted = groups.Any(g => g.Counts.Count > 0 || g.Open);
        var timed = draft.Durations.Count > 0 && groups.Count == 0 && draft.Bare.Count < 2;
        if (!counted && !timed && draft.Bare.Count > 0)
        {
            var first = draft.Bare[0];
            if (groups.Count == 0 && draft.Bare.Count > 1 && first.Value.To <= ShorthandLimits.Sets)
            {
                groups.Add(
                    new SetGroup
                    {
                        Sets = (int)first.Value.From,
                        SetsTo = (int?)first.Value.Upper,
                        Counts = [draft.Bare[1].Value],
                    }
                );
                draft.Bare.RemoveRange(0, 2);
            }
            else if (groups.Count > 0)
            {
                groups[^1] = groups[^1] with { Counts = [first.Value] };
                draft.Bare.RemoveAt(0);
            }
            else
            {
                groups.Add(new SetGroup { Counts = [first.Value] });
                draft.Bare.RemoveAt(0);
            }
        }

        foreach (var (value, start, length) in draft.Bare)
        {
            draft.Doubt(start, length, "shorthand.figure-without-unit", ("figure", value.From));
        }
    }

    /// <summary>A time beside reps is a rest; without them it is how long to hold.</summary>
    private static void SettleDurations(LineDraft draft, List<SetGroup> groups, bool holds, ref Span? rest)
    {
        var times = draft.Durations.ToList();
        var counted = groups.Any(g => g.Counts.Count > 0 || g.Open);
        if (!counted && times.Count > 0 && draft.Method != SetMethod.Density && draft.Method != SetMethod.Emom)
        {
            var hold = new SetGroup { Counts = [times[0].Seconds], Unit = CountUnit.Seconds };
            times.RemoveAt(0);
            if (groups.Count > 0)
            {
                groups[^1] = hold with { Sets = groups[^1].Sets, SetsTo = groups[^1].SetsTo };
            }
            else
            {
                groups.Add(hold);
            }
        }

        foreach (var time in times)
        {
            if (rest is null)
            {
                rest = time.Seconds;
            }
            else if (holds && groups is [{ Unit: CountUnit.Reps, Counts: [_] } only] && only.Counts[0].To <= 3)
            {
                groups[0] = only with { Counts = [time.Seconds], Unit = CountUnit.Seconds, Sets = only.Sets };
            }
            else
            {
                draft.Doubt(time.Start, time.Length, "shorthand.time-left-over", ("seconds", Quantity.Seconds(time.Seconds.From)));
            }
        }
    }

    private static GymLine Sets(GymLine line, List<SetGroup> groups, LineDraft draft, Exercise exercise, bool holds)
    {
        var each = new List<(SetTarget Target, SetGroup Group)>();
        var (lastOpen, timed, metres) = (draft.LastOpen, holds, (SetTarget?)null);
        foreach (var group in groups)
        {
            var sets = InRange(
                group.Sets ?? Math.Max(1, group.Counts.Count > 1 ? group.Counts.Count : 1),
                1,
                ShorthandLimits.Sets,
                OutOfRange.Sets
            );
            if (group is { Open: true, Sets: 1 or null } && groups.Count > 1 && group == groups[^1])
            {
                lastOpen = true;
                each.Add((each.Count > 0 ? each[^1].Target : SetTarget.Open, group));
                continue;
            }

            lastOpen |= group.LastOpen;
            for (var i = 0; i < sets; i++)
            {
                var count = group.Counts.Count == 0 ? (Span?)null : group.Counts[Math.Min(i, group.Counts.Count - 1)];
                each.Add((Target(count, group, draft), group));
            }
        }

        if (each.Count > ShorthandLimits.Sets)
        {
            InRange(each.Count, 1, ShorthandLimits.Sets, OutOfRange.Sets);
        }

        if (groups.Exists(g => g.Unit == CountUnit.Metres))
        {
            (metres, timed) = Walked(groups, exercise, each, ref line);
        }
        else if (groups.Exists(g => g.Unit == CountUnit.Seconds))
        {
            timed = true;
        }

        var targets = each.Select(e => e.Target).ToList();
        var counted = targets.Where(t => !t.IsOpen).ToList();
        var whole = counted.Count == 0 ? SetTarget.Open : new SetTarget(counted.Min(t => t.Min), counted.Max(t => t.Max));
        var differ =
            targets.Distinct().Count() > 1
            || (groups.Count > 1 && groups.Select(g => (g.Load, g.Share, g.OfTop, g.Rpe, g.Rir)).Distinct().Count() > 1);
        if (groups is [{ SetsTo: { } most }])
        {
            draft.Doubt(0, 1, "shorthand.sets-range", ("from", each.Count), ("to", most));
        }

        return line with
        {
            Sets = each.Count,
            Target = whole,
            Timed = timed && !(whole.IsOpen && !holds),
            Metres = metres,
            LastSetOpen = lastOpen && !whole.IsOpen,
            Each = differ && metres is null ? [.. each.Select(e => Set(e.Target, e.Group, groups.Count > 1))] : [],
        };
    }

    /// <summary>A distance as what the exercise is counted in: seconds of a carry, steps of a lunge.</summary>
    private static (SetTarget Metres, bool Timed) Walked(
        List<SetGroup> groups,
        Exercise exercise,
        List<(SetTarget Target, SetGroup Group)> each,
        ref GymLine line
    )
    {
        var metres = groups.First(g => g.Unit == CountUnit.Metres).Counts[0];
        var steps = exercise.Measure == Measure.Reps && exercise.Pattern == MovementPattern.Lunge;
        var perUnit = steps ? 2 * MetresPerStep : MetresPerSecond;
        line = line with { PerSide = line.PerSide || steps };
        var target = new SetTarget(Math.Max(1, (int)Math.Round(metres.From / perUnit)), Math.Max(1, (int)Math.Round(metres.To / perUnit)));
        for (var i = 0; i < each.Count; i++)
        {
            each[i] = (target, each[i].Group);
        }

        return (new SetTarget((int)Math.Round(metres.From), (int)Math.Round(metres.To)), !steps);
    }

    private static SetTarget Target(Span? count, SetGroup group, LineDraft draft)
    {
        if (group.Open)
        {
            return SetTarget.Open;
        }

        if (count is not { } given)
        {
            draft.Doubt(0, 1, "shorthand.no-reps");
            return UsualReps;
        }

        if (given.To < given.From)
        {
            draft.Doubt(0, 1, "shorthand.range-reversed", ("from", given.To), ("to", given.From));
            given = new Span(given.To, given.From);
        }

        var (most, what) =
            group.Unit == CountUnit.Reps ? (ShorthandLimits.Reps, OutOfRange.Reps) : (ShorthandLimits.HoldSeconds, OutOfRange.Seconds);
        most = group.Unit == CountUnit.Metres ? ShorthandLimits.Metres : most;
        return new SetTarget(InRange(given.From, 1, most, what), InRange(given.To, 1, most, what));
    }

    private static PlannedSet Set(SetTarget target, SetGroup group, bool own) =>
        own
            ? new PlannedSet(target)
            {
                Load = Checked(group.Load),
                ShareOfMax = group.Share is { } share ? Share(share.From) : null,
                ShareOfTop = group.OfTop,
                Rpe = group.Rpe is { } rpe ? Rpe(rpe.From) : null,
                Rir = group.Rir is { } rir ? Rir(rir.From) : null,
            }
            : new PlannedSet(target);

    private static GymLine Efforts(GymLine line, List<SetGroup> groups, LineDraft draft)
    {
        var (share, rpe, rir, load) = (Only(draft.Shares), Only(draft.Rpes), Only(draft.Rirs), Checked(draft.Load));
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
            ShareOfMax = share is { } s ? Share(s.From) : null,
            ShareOfMaxTo = share?.Upper is { } sTo ? Share(sTo) : null,
            Rpe = rpe is { } p ? Rpe(p.From) : null,
            RpeTo = rpe?.Upper is { } pTo ? Rpe(pTo) : null,
            Rir = rir is { } i ? Rir(i.From) : null,
            RirTo = rir?.Upper is { } iTo ? Rir(iTo) : null,
        };
    }

    /// <summary>65/75/85 % of three sets: one for each. Nothing (default) when there is not one figure for each.</summary>
    private static ImmutableArray<PlannedSet> OneEach(GymLine line, ImmutableArray<PlannedSet> sets, LineDraft draft)
    {
        var own = sets.IsEmpty ? [.. Enumerable.Repeat(new PlannedSet(line.Target), line.Sets)] : sets;
        if (draft.Groups.Count <= 1 && draft.Loads.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { Load = Checked(draft.Loads[i]) })];
        }

        if (draft.Groups.Count <= 1 && draft.Shares.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { ShareOfMax = Share(draft.Shares[i].From) })];
        }

        if (draft.Groups.Count <= 1 && draft.Rpes.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { Rpe = Rpe(draft.Rpes[i].From) })];
        }

        if (draft.Groups.Count <= 1 && draft.Rirs.Count == line.Sets && line.Sets > 1)
        {
            return [.. own.Select((s, i) => s with { Rir = Rir(draft.Rirs[i].From) })];
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

    private static PlannedLoad? Checked(PlannedLoad? load)
    {
        if (load is not null && (load.Kg <= 0 || (load.ToKg ?? load.Kg) * load.Pieces > ShorthandLimits.LoadKg))
        {
            throw Beyond(OutOfRange.Load);
        }

        return load;
    }

    private static double Share(double percent) =>
        percent is >= 5 and <= 110 ? Math.Round(percent / 100, 4) : throw Beyond(OutOfRange.Share);

    private static double Rpe(double rpe) => rpe is >= 1 and <= 10 && rpe * 2 % 1 == 0 ? rpe : throw Beyond(OutOfRange.Rpe);

    private static int Rir(double rir) => rir is >= 0 and <= 10 && rir % 1 == 0 ? (int)rir : throw Beyond(OutOfRange.Rir);

    private static int InRange(double value, double lowest, double highest, Reason what) =>
        value >= lowest && value <= highest ? (int)Math.Round(value) : throw Beyond(what);

    private static UnreadableRowException Beyond(Reason what) => new("shorthand.out-of-range", what);
}
