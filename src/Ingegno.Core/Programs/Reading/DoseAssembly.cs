using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

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
    /// <param name="spoken">What loads are taken for where they do not say it.</param>
    /// <exception cref="UnreadableRowException">A figure is beyond what a plan can be.</exception>
    public static GymLine Assemble(GymLine line, LineDraft draft, Exercise exercise, SpokenLoads spoken)
    {
        var rest = draft.Rest;
        var groups = draft.Groups.ToList();
        var holds = exercise.Measure == Measure.Seconds;
        StepOfNextWeek(draft, exercise);
        LoadsAmongShares(draft, groups);
        OfTrainingMax(draft, groups, spoken.TrainingMax);
        TwentyOnes(line, draft, groups);
        SettleBare(draft, groups, exercise);
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
        line = CountedInAll.Settle(LineEfforts.Apply(line, groups, draft), draft, exercise);
        return line with
        {
            Tempo = draft.Tempo,
            RestSeconds = rest is { } r ? Possible.Figure(r.From, 0, ShorthandLimits.RestSeconds, OutOfRange.Rest) : null,
            RestTo = rest?.Upper is { } to ? Possible.Figure(to, 0, ShorthandLimits.RestSeconds, OutOfRange.Rest) : null,
        };
    }

    /// <summary>8 @ 60, 6 @ 80, 2x2 @ 100: where one of the figures cannot be a share of the maximum, none is.</summary>
    private static void LoadsAmongShares(LineDraft draft, List<SetGroup> groups)
    {
        var assumed = draft.Doubts.RemoveAll(d =>
            d.What.Code == "shorthand.share-assumed" && groups.Exists(g => g is { Load: not null, Share: null })
        );
        if (assumed == 0)
        {
            return;
        }

        foreach (var group in groups.Where(g => g is { Load: null, Share: not null }))
        {
            (group.Load, group.Share) = (draft.WithoutUnit(group.Share!.Value.From), null);
        }

        draft.Shares.Clear();
        draft.Load = groups[0].Load;
        draft.Doubt(0, 1, "shorthand.loads-assumed", ("figures", string.Join('/', groups.Select(g => g.Load!.Kg))));
    }

    /// <summary>Shares of a training maximum as shares of what can be lifted once; which one is meant is asked.</summary>
    private static void OfTrainingMax(LineDraft draft, List<SetGroup> groups, double trainingMax)
    {
        if (!draft.OfTrainingMax)
        {
            return;
        }

        Span Less(Span share) => new(Math.Round(share.From * trainingMax, 2), Math.Round(share.To * trainingMax, 2));
        for (var i = 0; i < draft.Shares.Count; i++)
        {
            draft.Shares[i] = Less(draft.Shares[i]);
        }

        foreach (var group in groups)
        {
            group.Share = group.Share is { } share ? Less(share) : null;
        }
    }

    private static bool IsLiftOfTheBar(Exercise exercise) =>
        !exercise.Setups.IsEmpty
        && exercise.Setups.All(s => s.Load.External is { Required: true } load && load.From.Contains(LoadSource.Bar));

    /// <summary>"+2.5 kg" beside a lift that is a bar's anyway is how it goes on, and no load: it is said beside the dose.</summary>
    private static void StepOfNextWeek(LineDraft draft, Exercise exercise)
    {
        if (!IsLiftOfTheBar(exercise) || draft.Load is not { Added: true } step || draft.Loads.Count > 0)
        {
            return;
        }

        draft.Load = null;
        foreach (var group in draft.Groups)
        {
            group.Load = null;
        }

        draft.Notes.Add($"+{Foundation.Text.Words.Number(step.Kg, 2)} kg");
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
    private static void SettleBare(LineDraft draft, List<SetGroup> groups, Exercise exercise)
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

        if (LoadAssumed(draft, groups, exercise))
        {
            return;
        }

        foreach (var (value, start, length, _) in draft.Bare)
        {
            draft.Doubt(start, length, "shorthand.figure-without-unit", ("figure", value.From));
        }
    }

    /// <summary>One figure more beside sets and reps is what is on the bar, in kilograms; so are as many as there are groups of sets. Said as a
    /// doubt. Behind an @ it may as well be a share where a bar is lifted, or an effort.</summary>
    private static bool LoadAssumed(LineDraft draft, List<SetGroup> groups, Exercise exercise)
    {
        bool MayBeOther(BareFigure bare) => bare.Signed && (bare.Value.From <= LoadReader.MostEffort || IsLiftOfTheBar(exercise));

        var least = draft.Bare.Count > 1 ? LeastOfSeveral : LeastLoad;
        if (
            draft is not { Load: null, LoadWord: null, RepMax: null, Loads.Count: 0, Shares.Count: 0, Bare.Count: > 0 }
            || !draft.Bare.TrueForAll(b =>
                b.Value.Upper is null && !MayBeOther(b) && b.Value.From >= least && b.Value.From <= ShorthandLimits.LoadKg
            )
            || !groups.TrueForAll(g => g.Unit == CountUnit.Reps && g.Load is null)
            || groups.Exists(g => g.Counts.Exists(c => c.From == draft.Bare[0].Value.From)) // 3x8 (8 each)
            || (draft.Bare.Count > 1 && draft.Bare.Count != groups.Count)
            || groups.Count == 0 // a time and a figure, and no sets that one could be a load of
        )
        {
            return false;
        }

        draft.Load = draft.WithoutUnit(draft.Bare[0].Value.From);
        for (var i = 0; i < draft.Bare.Count; i++)
        {
            var (value, start, length, _) = draft.Bare[i];
            groups[i].Load ??= draft.Bare.Count > 1 ? draft.WithoutUnit(value.From) : null;
            if (draft.Habit.Pounds)
            {
                draft.Doubt(start, length, "shorthand.read-as-pounds", ("load", value.From));
            }
            else
            {
                draft.Doubt(start, length, "shorthand.load-assumed", ("figure", value.From));
            }
        }

        draft.Bare.Clear();
        return true;
    }

    /// <summary>A lighter figure beside sets and reps may be anything.</summary>
    private const double LeastLoad = 4;

    private const double LeastOfSeveral = 20;

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
            var sets = Possible.Figure(
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
            Possible.Figure(each.Count, 1, ShorthandLimits.Sets, OutOfRange.Sets);
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
        return new SetTarget(Possible.Figure(given.From, 1, most, what), Possible.Figure(given.To, 1, most, what));
    }

    private static PlannedSet Set(SetTarget target, SetGroup group, bool own) =>
        own
            ? new PlannedSet(target)
            {
                Load = Possible.Load(group.Load),
                ShareOfMax = group.Share is { } share ? Possible.Share(share.From) : null,
                ShareOfTop = group.OfTop,
                Rpe = group.Rpe is { } rpe ? Possible.Rpe(rpe.From) : null,
                Rir = group.Rir is { } rir ? Possible.Rir(rir.From) : null,
            }
            : new PlannedSet(target);
}
