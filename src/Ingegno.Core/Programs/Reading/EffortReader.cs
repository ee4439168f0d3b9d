using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads how hard a set is meant: percent, RPE, RIR and their words.</summary>
internal static class EffortReader
{
    private const int MostBareRpe = 10;

    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return Percent(at, draft)
            || (at.Back(start) || Rpe(at, draft))
            || (at.Back(start) || Rir(at, draft))
            || (at.Back(start) || Failure(at, draft))
            || at.Back(start);
    }

    /// <summary>80%, 75-80 %, 65/75/85%, 75% 1RM, -10%.</summary>
    private static bool Percent(TokenCursor at, LineDraft draft)
    {
        at.TakeAny("@", "at", "~");
        var less = at.Now.Is("-") && at.Ahead(1) is { IsNumber: true, Spaced: false } && at.Take("-");
        var shares = new List<Span>();
        while (Figures.Range(at) is { } share)
        {
            shares.Add(share);
            var percent = at.Take("%") || at.TakeAny("percent", "pct", "prozent").Length > 0;
            if (at.Now.Text is "/" or "," && at.Ahead(1).IsNumber && HasPercent(at))
            {
                at.At++;
                continue;
            }

            if (!percent)
            {
                return false;
            }

            break;
        }

        if (shares.Count == 0)
        {
            return false;
        }

        var from = at.Now.Start;
        var of = at.Take("of");
        at.TakeAny("your", "the", "my", "a");
        if (at.TakeAny("tm").Length > 0 || at.TakePhrase("training max"))
        {
            draft.OfTrainingMax = true;
            draft.Doubt(from, at.Before.End - from, "shorthand.training-max", ("share", shares[0].From));
        }
        else if (of && at.TakeAnyPhrase("top set", "top single", "top"))
        {
            if (shares is [{ To: <= 100 } top] && draft.Current is { } back)
            {
                back.OfTop = draft.OfTop = top.From / 100;
                draft.Method ??= SetMethod.TopSet;
                return true;
            }
        }
        else if (at.Now is { IsNumber: true, Text: "1" } && at.Ahead(1) is { Text: "rm", Spaced: false })
        {
            at.At += 2;
        }
        else if (of && OfAnotherLift(at) is { } lift)
        {
            draft.Notes.Add($"{shares[0].From:0.#}% of {lift}");
        }
        else if (!less && at.TakeAny("lighter", "less", "off", "drop").Length > 0)
        {
            less = true;
        }
        else
        {
            at.TakeAny("max", "rm", "erm", "orm", "m");
            _ = at.TakeAnyPhrase("one rep max", "e 1 rm", "effort");
        }

        if (less && shares is [var drop] && drop.To < 60)
        {
            var left = 1 - (drop.From / 100);
            if (draft.Current is { } group)
            {
                group.OfTop = left;
            }

            draft.OfTop = left;
            draft.Method ??= draft.Groups.Count > 1 ? SetMethod.TopSet : null;
            return true;
        }

        draft.Shares.AddRange(shares);
        if (shares is [var one] && draft.Current is { } current)
        {
            current.Share ??= one;
        }

        return true;
    }

    /// <summary>Of the bench 1RM, of front squat max: the words of the lift that a share is of; null when none is named.</summary>
    private static string? OfAnotherLift(TokenCursor at)
    {
        var (start, words) = (at.At, new List<string>());
        while (at.Now is { Kind: TokenKind.Word, Text: not ("max" or "rm" or "erm") } && words.Count < LongestLift)
        {
            words.Add(at.Now.Text);
            at.At++;
        }

        var one = at.Now is { IsNumber: true, Text: "1" };
        at.At += one ? 1 : 0;
        if (words.Count == 0 || at.TakeAny("max", "rm", "erm").Length == 0)
        {
            at.At = start;
            return null;
        }

        return $"{string.Join(' ', words)} {(one ? "1RM" : "max")}";
    }

    private const int LongestLift = 3;

    /// <summary>True when a list of figures such as 65/75/85 ends in a percent sign.</summary>
    private static bool HasPercent(TokenCursor at)
    {
        var ahead = 0;
        while (at.Ahead(ahead).Text is "/" or "," && at.Ahead(ahead + 1).IsNumber)
        {
            ahead += 2;
        }

        return at.Ahead(ahead).Is("%");
    }

    /// <summary>RPE 8, RPE 7-8, 8 RPE, @8, RPE 7/8/9.</summary>
    private static bool Rpe(TokenCursor at, LineDraft draft)
    {
        var marked = at.TakeAny("@", "at").Length > 0;
        if (at.TakeAny("rpe", "rpes", "intensity").Length > 0)
        {
            at.TakeAny(":", "=", "@", "of");
            var found = OneOrEach(at, draft);
            return found.Count > 0 && TakeRpe(draft, found);
        }

        if (Figures.Range(at) is not { } range)
        {
            return false;
        }

        // @ 100 RPE 7: the load, and then how hard.
        if (range.To <= MostBareRpe && at.Take("rpe"))
        {
            return TakeRpe(draft, [range]);
        }

        // @8 has no unit: with sets and reps it is how hard, not how much.
        var unit = at.Now;
        var bare =
            unit.Kind is TokenKind.End
            || unit.Text is not ("%" or "kg" or "kgs" or "lb" or "lbs" or "rm" or "rir" or "-" or "kilos" or "x" or "/" or ":")
                && !IsTime(unit);
        return marked && bare && range is { From: >= 5, To: <= MostBareRpe } && TakeRpe(draft, [range]);
    }

    private static bool IsTime(LineToken unit) =>
        unit.Text is "s" or "sec" or "secs" or "second" or "seconds" or "min" or "mins" or "minutes" or "\"" or "'" or "m" or "cm";

    /// <summary>A figure of effort, or one for each set: 7/8/9, and 7, 7.5, 8 where there are as many as sets.</summary>
    private static List<Span> OneOrEach(TokenCursor at, LineDraft draft)
    {
        var listed = Listed(at) == draft.Current?.Sets;
        var found = new List<Span>();
        while (Figures.Range(at) is { } one)
        {
            found.Add(one);
            var more = at.Now.Text is "/" or "-" || (at.Now.Is(",") && (listed || !at.Ahead(1).Spaced));
            if (!more || at.Ahead(1) is not { IsNumber: true, Value: <= MostBareRpe } || Otherwise(at.Ahead(2)))
            {
                break;
            }

            at.At++;
        }

        return found;
    }

    /// <summary>How many small figures stand here with commas between them.</summary>
    private static int Listed(TokenCursor at)
    {
        var count = 0;
        while (at.Ahead(count * 2) is { IsNumber: true, Value: <= MostBareRpe })
        {
            count++;
            if (!at.Ahead((count * 2) - 1).Is(","))
            {
                break;
            }
        }

        return Otherwise(at.Ahead((count * 2) - 1)) ? count - 1 : count;
    }

    /// <summary>The figure before this is a rest, a share or sets, and no effort.</summary>
    private static bool Otherwise(LineToken unit) =>
        unit.Text is "x" or "s" or "sec" or "min" or "mins" or "m" or "'" or "\"" or "%" or "kg" or "sets" or "-" or ":";

    private static bool TakeRpe(LineDraft draft, List<Span> found)
    {
        draft.Rpes.AddRange(found);
        if (found is [var one] && draft.Current is { } group)
        {
            group.Rpe ??= one;
        }

        return true;
    }

    /// <summary>RIR 2, 2 RIR, 1-2 RIR, leave 2, 2 in the tank.</summary>
    private static bool Rir(TokenCursor at, LineDraft draft)
    {
        at.TakeAny("@", "at", "with");
        if (at.TakeAny("rir").Length > 0)
        {
            at.TakeAny(":", "=", "of");
            return OneOrEach(at, draft) is [_, ..] found && TakeRir(at, draft, found);
        }

        if (at.TakeAny("leave", "leaving", "keep", "keeping").Length > 0)
        {
            at.Take("about");
            if (Figures.Range(at) is not { } left)
            {
                return false;
            }

            Tank(at);
            return TakeRir(at, draft, left);
        }

        if (at.TakeAny("stop", "stopping").Length > 0 && Figures.Range(at) is { } before)
        {
            at.TakeAny("reps", "rep");
            return at.TakeAny("short", "before", "shy").Length > 0 && TakeRir(at, draft, before);
        }

        if (Figures.Range(at) is not { } range)
        {
            return false;
        }

        if (at.Take("rir"))
        {
            return TakeRir(at, draft, range);
        }

        at.TakeAny("reps", "rep");
        return Tank(at) && TakeRir(at, draft, range);
    }

    private static bool Tank(TokenCursor at) =>
        at.TakeAnyPhrase(
            "in reserve",
            "left in the tank",
            "in the tank",
            "in tank",
            "left in tank",
            "shy of failure",
            "short of failure",
            "reps in reserve",
            "reps in the tank",
            "reps left",
            "rep in the tank",
            "rep in reserve",
            "from failure",
            "left"
        );

    private static bool TakeRir(TokenCursor at, LineDraft draft, Span found) => TakeRir(at, draft, [found]);

    private static bool TakeRir(TokenCursor at, LineDraft draft, List<Span> found)
    {
        _ = Tank(at);
        draft.Rirs.AddRange(found);
        if (found is [var one] && draft.Current is { } group)
        {
            group.Rir ??= one;
        }

        return true;
    }

    /// <summary>To failure: nothing is left. With no reps the set is open instead.</summary>
    private static bool Failure(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        if (
            at.TakeAnyPhrase(
                "last set to failure",
                "last set amrap",
                "amrap last set",
                "last set max",
                "final set amrap",
                "final set to failure",
                "amrap on last set",
                "amrap on the last set",
                "amrap last",
                "last set to the max",
                "last one amrap",
                "failure on last set",
                "last amrap",
                "amrap final set",
                "last set failure",
                "last set as many as possible",
                "last set all out"
            )
        )
        {
            return draft.LastOpen = true;
        }

        at.TakeAny("to", "till", "until");
        if (at.At == start || at.TakeAny("failure", "fail", "exhaustion").Length == 0)
        {
            return false;
        }

        if (draft.Current is { Counts.Count: > 0 } || draft.Current is { Open: true })
        {
            return TakeRir(at, draft, new Span(0, 0));
        }

        if (draft.Current is { } sets)
        {
            draft.Groups[^1] = sets with { Open = true };
        }
        else
        {
            draft.Groups.Add(new SetGroup { Open = true });
        }

        return true;
    }
}
