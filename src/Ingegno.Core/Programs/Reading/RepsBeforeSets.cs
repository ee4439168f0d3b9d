using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads reps that stand before their sets: 8/8 x 3, 12-15 x 3, 45 s 3 times.</summary>
internal static class RepsBeforeSets
{
    /// <summary>What stands behind the cross is the sets where it is so few and a range of more stands before it: 12-15 x 3.</summary>
    public const int MostSetsBehind = 6;

    /// <summary>8/8 x 3, 30+30 x 3: the same for one side and the other, so many times.</summary>
    public static bool OfSides(TokenCursor at, LineDraft draft)
    {
        var (count, other) = (at.Now, at.Ahead(2));
        if (
            !count.IsWhole
            || at.Ahead(1) is not { Text: "/" or "+", Spaced: false }
            || !other.IsWhole
            || other.Value != count.Value
            || at.Ahead(3).Text is not ("x" or "*")
            || at.Ahead(4) is not { IsWhole: true, Value: <= MostSetsBehind } sets
            || draft.HasDose
        )
        {
            return false;
        }

        at.At += 5;
        at.TakeAny("sets", "set", "rounds");
        draft.PerSide = true;
        SetCounts.Join(draft, new SetGroup { Sets = (int)sets.Value, Counts = [new Span(count.Value, count.Value)] });
        return true;
    }

    /// <summary>"45 seconds, 3 times": so many sets of what stands before; "3 times a week" says when.</summary>
    public static bool Repeated(TokenCursor at, LineDraft draft)
    {
        if (
            draft.Current is not (null or { Sets: null or 1, Counts.Count: > 0 })
            || (draft.Current is null && draft.Durations.Count == 0)
            || SetsReader.SetNumber(at) is not { From: >= 1 and <= ShorthandLimits.Sets } times
            || !at.Take("times")
            || at.Now.Text is "a" or "per" or "/" or "weekly" or "daily" or "each" or "every"
        )
        {
            return false;
        }

        if (draft.Current is { } group)
        {
            draft.Groups[^1] = group with { Sets = (int)times.From };
        }
        else
        {
            draft.Groups.Add(new SetGroup { Sets = (int)times.From });
        }

        return true;
    }

    /// <summary>12-15 x 3: what stands before the cross was read as a count of sets.</summary>
    public static bool Range(TokenCursor at, LineDraft draft, Span reps)
    {
        if (
            reps is not { Upper: not null, From: >= MostSetsBehind }
            || at.Now is not { IsWhole: true, Value: <= MostSetsBehind } sets
            || at.Ahead(1).Text is "-" or "/" or "," or "x" or "%" or "kg" or "lb" or "s" or "sec" or "min"
        )
        {
            return false;
        }

        at.At++;
        at.TakeAny("sets", "set", "rounds");
        SetCounts.Join(draft, new SetGroup { Sets = (int)sets.Value, Counts = [reps] });
        return true;
    }
}
