using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads sets that are written with a load of their own: 100x5x3, 60x5, 70x5, and 8 @ 60 kg, 6 @ 70 kg.</summary>
internal static class LoadedSets
{
    /// <summary>From so many on, what stands before a cross is a load (common practice).</summary>
    private const int LeastLoadFirst = 30;

    /// <summary>100x5x3: no plan has a hundred sets, so it is the load, the reps and the sets; so are the ones after it: 60x5, 70x5, 80x5x3.</summary>
    public static bool LoadFirst(TokenCursor at, LineDraft draft)
    {
        var (load, first) = (at.Now, at.Ahead(1));
        if (
            !load.IsNumber
            || load.Value is < LeastLoadFirst or > ShorthandLimits.LoadKg
            || first.Text is not ("x" or "*")
            || !at.Ahead(2).IsWhole
            || draft.Groups.Exists(g => !g.LoadFirst)
            || at.Ahead(3).Text is "kg" or "lb" or "s" or "sec"
        )
        {
            return false;
        }

        if (!draft.HasDose)
        {
            draft.Doubt(
                load.Start,
                load.Text.Length,
                draft.Habit.Pounds ? "shorthand.read-as-pounds" : "shorthand.load-unit",
                ("load", load.Value)
            );
        }

        var held = draft.WithoutUnit(load.Value);
        draft.Load ??= held;
        var reps = at.Ahead(2).Value;
        at.At += 3;
        int? sets = at.Now.Text is "x" or "*" && at.Ahead(1).IsWhole ? (int)at.Ahead(1).Value : null;
        at.At += sets is null ? 0 : 2;
        var several = draft.HasDose || at.Ahead(1) is { IsNumber: true, Value: >= LeastLoadFirst } && at.Ahead(2).Text is "x" or "*";
        several |= at.Now is { IsNumber: true, Value: >= LeastLoadFirst } && at.Ahead(1).Text is "x" or "*";
        if (sets is null && MoreReps(at) is [_, ..] more)
        {
            // 185x5, 5, 5: as many sets as figures.
            draft.Groups.Add(
                new SetGroup
                {
                    Sets = more.Count + 1,
                    Counts = [new Span(reps, reps), .. more],
                    Load = held,
                    LoadFirst = true,
                }
            );
            return true;
        }

        draft.Groups.Add(
            new SetGroup
            {
                Sets = sets ?? (several ? 1 : null),
                Counts = [new Span(reps, reps)],
                Load = held,
                LoadFirst = true,
            }
        );
        return true;
    }

    /// <summary>The figures of further sets with the same load.</summary>
    private static List<Span> MoreReps(TokenCursor at)
    {
        var more = new List<Span>();
        while (
            at.Now.Text is "," or "/"
            && at.Ahead(1) is { IsWhole: true, Value: >= 1 and < LeastLoadFirst }
            && at.Ahead(2) is { Kind: TokenKind.End } or { Text: "," or "/" or "@" or "rest" or "rpe" or ";" }
        )
        {
            more.Add(new Span(at.Ahead(1).Value, at.Ahead(1).Value));
            at.At += 2;
        }

        return more;
    }

    /// <summary>70%x5, 80%x3, 90%x1+: a share before its reps, and perhaps its sets.</summary>
    public static bool ShareFirst(TokenCursor at, LineDraft draft)
    {
        var share = at.Now;
        if (
            !share.IsNumber
            || !at.Ahead(1).Is("%")
            || at.Ahead(2).Text is not ("x" or "*")
            || !at.Ahead(3).IsWhole
            || at.Ahead(4).Text is "sets" or "set" or "rounds" or "%" or "kg" or "lb" or "-"
            || draft.Groups.Exists(g => !g.LoadFirst)
        )
        {
            return false;
        }

        var reps = at.Ahead(3).Value;
        at.At += 4;
        int? sets = at.Now.Text is "x" or "*" && at.Ahead(1).IsWhole ? (int)at.Ahead(1).Value : null;
        at.At += sets is null ? 0 : 2;
        var open = at.Now is { Text: "+", Spaced: false } && !at.Ahead(1).IsNumber && at.Take("+");
        at.TakeAny("reps", "rep");
        draft.Shares.Add(new Span(share.Value, share.Value));
        draft.Groups.Add(
            new SetGroup
            {
                Sets = sets ?? 1,
                Counts = [new Span(reps, reps)],
                Share = new Span(share.Value, share.Value),
                LoadFirst = true,
                LastOpen = open,
            }
        );
        return true;
    }

    /// <summary>5 @ 100, 5 @ 105: a figure without a unit where another such set stands before or behind it.</summary>
    private static bool GoesOn(TokenCursor at, LineDraft draft, int behind) =>
        at.Ahead(behind - 1).Value >= LeastLoadFirst
        && (draft.HasDose || (at.Ahead(behind).Text is "," or "/" or ";" && at.Ahead(behind + 1).IsWhole && at.Ahead(behind + 2).Is("@")));

    /// <summary>It is a share where so many reps of one are possible, and the load otherwise.</summary>
    private static void Unitless(TokenCursor at, LineDraft draft, double reps)
    {
        var figure = at.Ahead(1);
        if (LoadReader.IsNoShare(reps, figure.Value))
        {
            return; // read as a load behind an @
        }

        at.At += 2;
        draft.Shares.Add(new Span(figure.Value, figure.Value));
        draft.Groups[^1].Share = new Span(figure.Value, figure.Value);
        draft.Doubt(figure.Start, figure.Text.Length, "shorthand.share-assumed", ("figure", figure.Value));
    }

    /// <summary>8 @ 60 kg, 6 @ 70 kg: a set each, its load or share behind it.</summary>
    public static bool AtEach(TokenCursor at, LineDraft draft)
    {
        var (reps, plus) = (at.Now, at.Ahead(1) is { Text: "+", Spaced: false } ? 1 : 0);
        var alone = !draft.HasDose || draft.Groups.TrueForAll(g => g is { Sets: 1, Counts.Count: 1 });
        if (
            !reps.IsWhole
            || reps.Value is < 1 or > 50
            || !at.Ahead(1 + plus).Is("@")
            || !at.Ahead(2 + plus).IsNumber
            || at.Before.Text is "x" or "*"
            || !alone
            || (at.Ahead(3 + plus).Text is not ("%" or "kg" or "kgs" or "lb" or "lbs") && !GoesOn(at, draft, 3 + plus))
        )
        {
            return false;
        }

        at.At += 1 + plus;
        draft.Groups.Add(
            new SetGroup
            {
                Sets = 1,
                Counts = [new Span(reps.Value, reps.Value)],
                LastOpen = plus > 0,
            }
        );
        if (at.Ahead(1).Value >= LeastLoadFirst && !LoadReader.IsUnit(at.Ahead(2)) && !at.Ahead(2).Is("%"))
        {
            Unitless(at, draft, reps.Value);
        }

        return true;
    }
}
