using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads sets and reps in every order and spelling: 5x5, 4 sets of 8-10, 12/10/8, 3xmax, 8 reps x 3, 5x3 + 1x5+.</summary>
internal static class SetsReader
{
    /// <summary>More sets than this are another figure.</summary>
    private const int MostSets = 100;

    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return WarmUps(at, draft)
            || (at.Back(start) || SetCounts.Bursts(at, draft))
            || (at.Back(start) || HalfEach(at, draft))
            || (at.Back(start) || Labelled(at, draft))
            || (at.Back(start) || RepsBeforeSets.OfSides(at, draft))
            || (at.Back(start) || LoadedSets.LoadFirst(at, draft))
            || (at.Back(start) || LoadedSets.ShareFirst(at, draft))
            || (at.Back(start) || LoadedSets.AtEach(at, draft))
            || (at.Back(start) || RepsBeforeSets.Repeated(at, draft))
            || (at.Back(start) || Times(at, draft))
            || (at.Back(start) || Counted(at, draft))
            || (at.Back(start) || Reps(at, draft))
            || (at.Back(start) || Crossed(at, draft))
            || (at.Back(start) || List(at, draft))
            || (at.Back(start) || Measured(at, draft))
            || at.Back(start);
    }

    /// <summary>2 warm-up sets: said beside the work, and none of it.</summary>
    private static bool WarmUps(TokenCursor at, LineDraft draft)
    {
        if (Figures.Range(at) is not { To: <= ShorthandLimits.Sets } sets)
        {
            return false;
        }

        at.TakeAny("x");
        at.TakeAny("-");
        var said = at.TakeAny("warmup", "warmups").Length > 0;
        said = said || (at.Take("warm") && at.TakeAny("-").Length >= 0 && at.TakeAny("up", "ups").Length > 0);
        if (!said)
        {
            return false;
        }

        at.TakeAny("set", "sets");
        at.TakeAny(",", "+", "then");
        draft.Notes.Add($"{(sets.Upper is { } to ? $"{sets.From:0}-{to:0}" : $"{sets.From:0}")} warm-up");
        return true;
    }

    /// <summary>3x20 (10 each): the half of it is done on a side.</summary>
    private static bool HalfEach(TokenCursor at, LineDraft draft)
    {
        if (
            draft.Current is not { Unit: CountUnit.Reps, Open: false, Counts: [{ Upper: null } whole] } both
            || !at.Now.IsWhole
            || at.Now.Value * 2 != whole.From
        )
        {
            return false;
        }

        var half = at.Now.Value;
        at.At++;
        at.TakeAny("reps", "rep");
        if (!SideReader.Read(at, draft))
        {
            return false;
        }

        draft.Groups[^1] = both with { Counts = [new Span(half, half)] };
        return true;
    }

    /// <summary>Sets: 4, reps: 8-10.</summary>
    private static bool Labelled(TokenCursor at, LineDraft draft)
    {
        var sets = at.TakeAny("sets", "rounds").Length > 0;
        if ((!sets && at.TakeAny("reps").Length == 0) || at.TakeAny(":", "=").Length == 0)
        {
            return false;
        }

        if (sets && SetNumber(at) is { } number)
        {
            SetCounts.Join(draft, new SetGroup { Sets = (int)number.From, SetsTo = (int?)number.Upper });
            return true;
        }

        return !sets && SetCounts.Into(at, draft, null, needed: true);
    }

    /// <summary>3x8, 2-3 x 12, 3 x max.</summary>
    private static bool Times(TokenCursor at, LineDraft draft)
    {
        var beside =
            draft.Groups.Exists(g => g.Counts.Count > 0 || g.Open) && at.Before.Text is not ("+" or "," or "then" or "and" or "&" or "/");
        if (SetNumber(at) is not { } sets || !Cross(at))
        {
            return false;
        }

        if (RepsBeforeSets.Range(at, draft, sets))
        {
            return true;
        }

        // A pair of weights: 2x20 kg; of twenties when the sets are known.
        if (at.Now.IsNumber && IsLoad(at, draft))
        {
            return false;
        }

        if (at.AtEnd || Unfinished(at))
        {
            // 3x, 3x submax: the sets alone.
            var open = !at.AtEnd && at.At++ >= 0;
            SetCounts.Join(
                draft,
                new SetGroup
                {
                    Sets = (int)sets.From,
                    SetsTo = (int?)sets.Upper,
                    Open = open,
                }
            );
            return true;
        }

        at.Take("("); // cluster written in brackets: 5x(2+2+2)
        if (!SetCounts.Into(at, draft, sets, needed: true))
        {
            return false;
        }

        draft.Groups[^1] = draft.Groups[^1] with { Beside = beside };
        return true;
    }

    private static bool Unfinished(TokenCursor at) => at.Now.Text is "submax" or "submaximal" or "submaximally";

    /// <summary>4 sets of 8, 3 rounds, 3 sets x 10.</summary>
    private static bool Counted(TokenCursor at, LineDraft draft)
    {
        if (SetNumber(at) is not { } sets)
        {
            return false;
        }

        at.Take("-");
        var backOff = BackOff(at);
        if (
            at.TakeAny("sets", "set", "rounds", "round", "rds", "rd", "series", "trips", "lengths", "laps").Length == 0
            && !(backOff && draft.HasDose)
        )
        {
            return false;
        }

        draft.Method ??= backOff ? SetMethod.TopSet : null;
        var after = at.At;
        at.TakeAny(",", ":", "-", "@", "|");
        at.TakeAny("of", "x", "*", "by");
        at.Take("about");
        if (at.Now.IsNumber && (at.Ahead(1).Text is "rir" or "rpe" or "%" or "kg" or "lb" or "lbs" || Spared(at)))
        {
            at.At = after;
        }
        else if (SetCounts.Into(at, draft, sets, needed: true, bareTimeIsRest: true))
        {
            return true;
        }

        at.At = after;
        var counts = backOff && draft.Current is { Counts.Count: > 0 } top ? top.Counts : []; // lighter, and as many reps
        SetCounts.Join(
            draft,
            new SetGroup
            {
                Sets = (int)sets.From,
                SetsTo = (int?)sets.Upper,
                Counts = counts,
            }
        );
        return true;
    }

    /// <summary>2 reps shy of failure, 2 in the tank: what is left, and not what is done.</summary>
    private static bool Spared(TokenCursor at)
    {
        var behind = at.Ahead(1).Text is "reps" or "rep" ? at.Ahead(2) : at.Ahead(1);
        return behind.Text is "shy" or "short" or "in" or "left" or "away" or "before";
    }

    /// <summary>8 reps, 8-10 reps x 3 sets, 12 reps x 4, 8/side x3.</summary>
    private static bool Reps(TokenCursor at, LineDraft draft)
    {
        if (Figures.Range(at) is not { } reps || reps.To > ShorthandLimits.Reps * 10)
        {
            return false;
        }

        if (at.TakeAny("reps", "rep", "breaths", "steps", "strides").Length == 0 && !IsOfASide(at, draft))
        {
            return false;
        }

        if (at.TakeAnyPhrase("in reserve", "left", "short", "shy", "from failure", "in the tank", "away from", "before failure"))
        {
            return false;
        }

        SideReader.Read(at, draft);
        var back = at.At;
        var by = at.TakeAny("x", "*", "for", ",", "by").Length > 0;
        if (
            by
            && SetNumber(at) is { } sets
            && at.TakeAny("sets", "set", "rounds", "round").Length + (at.Before.IsNumber ? 1 : 0) > 0
            && !at.Now.Is("x")
        )
        {
            SetCounts.Join(
                draft,
                new SetGroup
                {
                    Sets = (int)sets.From,
                    SetsTo = (int?)sets.Upper,
                    Counts = [reps],
                }
            );
            return true;
        }

        at.At = back;
        SetCounts.Join(draft, new SetGroup { Counts = [reps] });
        return true;
    }

    /// <summary>The side stands behind the figure, and behind that how often.</summary>
    private static bool IsOfASide(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        var side = SideReader.Read(at, draft) && at.Now.Text is "x" or "*" && at.Ahead(1).IsWhole;
        _ = at.Back(start);
        return side;
    }

    /// <summary>x10: reps without sets; x3 sets; xmax.</summary>
    private static bool Crossed(TokenCursor at, LineDraft draft)
    {
        if (
            at.TakeAny("x", "*").Length == 0
            || !(at.Now.IsNumber || SetCounts.OpenWord(at.Now))
            || (draft.HasDose && LoadReader.IsUnit(at.Ahead(1)))
        )
        {
            return false; // 3 x 10 x 55 kg is a load
        }

        var start = at.At;
        if (SetNumber(at) is { } sets && at.TakeAny("sets", "set", "rounds", "round").Length > 0)
        {
            SetCounts.Join(draft, new SetGroup { Sets = (int)sets.From, SetsTo = (int?)sets.Upper });
            return true;
        }

        at.At = start;

        // 60kg x 8 x 3: the reps, then the sets. 30 s x 4: a hold, then the sets.
        if (
            draft.LeadLoad is null
            && draft.Current is { Sets: null } open
            && (open.Open || open.Counts.Count > 0)
            && SetNumber(at) is { } number
        )
        {
            draft.Groups[^1] = open with { Sets = (int)number.From, SetsTo = (int?)number.Upper };
            return true;
        }

        at.At = start;
        if (draft.Durations.Count > 0 && !draft.HasDose && SetNumber(at) is { } times)
        {
            var hold = draft.Durations[^1];
            draft.Durations.RemoveAt(draft.Durations.Count - 1);
            draft.Groups.Add(
                new SetGroup
                {
                    Sets = (int)times.From,
                    SetsTo = (int?)times.Upper,
                    Counts = [hold.Seconds],
                    Unit = CountUnit.Seconds,
                }
            );
            return true;
        }

        at.At = start;
        var lead = draft.LeadLoad;
        if (!SetCounts.Into(at, draft, null, needed: true))
        {
            return false;
        }

        if (lead is not null && draft.Current is { } after)
        {
            after.Load = lead;
            draft.LeadLoad = null;
        }

        return true;
    }

    /// <summary>12/10/8, 10-8-6-4, 5,5,5,3,3: a figure for each set.</summary>
    private static bool List(TokenCursor at, LineDraft draft)
    {
        if (draft.Groups.Any(g => g.Counts.Count > 0) || !at.Now.IsWhole || at.Ahead(1).Text is not ("/" or "-" or ","))
        {
            return false;
        }

        var separator = at.Ahead(1).Text;
        var items = SetCounts.Items(at, separator, []);
        if (
            items.Count < (separator == "/" ? 2 : 3)
            || at.Now.Text is "%" or "kg" or "lb" or "lbs" or "rir" or "s" or "sec" or "min" or "x" or ":" or "-" or "°"
            || items.Exists(i => i.From == 0)
        )
        {
            return false;
        }

        // Ten and ten is one set of ten on each side, not two sets.
        if (separator == "/" && items.Count == 2)
        {
            if (items[0] != items[1])
            {
                return false;
            }

            draft.PerSide = true;
            items.RemoveAt(1);
        }

        SetCounts.Join(draft, SetCounts.Listed(at, draft, draft.Current?.Sets, items));
        return true;
    }

    /// <summary>40 m, 500 m, 2 laps.</summary>
    private static bool Measured(TokenCursor at, LineDraft draft)
    {
        if (draft.Groups.Any(g => g.Counts.Count > 0) || Figures.Range(at) is not { } length || Figures.Length(at) is not { } metres)
        {
            return false;
        }

        SetCounts.Join(draft, new SetGroup { Counts = [new Span(length.From * metres, length.To * metres)], Unit = CountUnit.Metres });
        return true;
    }

    internal static Span? SetNumber(TokenCursor at)
    {
        if (!at.Now.IsWhole || at.Now.Value > MostSets * 100)
        {
            return null;
        }

        return Figures.Range(at);
    }

    private static bool Cross(TokenCursor at) => at.TakeAny("x", "*").Length > 0;

    /// <summary>What follows a cross is a weight: 2x20 kg, and 2x20s or 2x22.5 where the sets are known.</summary>
    private static bool IsLoad(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        var part = Figures.Number(at) % 1 > 0;
        var unit = at.Now;
        var twenties = (part || unit is { Text: "s", Spaced: false }) && draft.Groups.Any(g => g.Counts.Count > 0);
        at.At = start;
        return unit.Text is "kg" or "kgs" or "kilos" or "kilo" or "lb" or "lbs" or "pounds" || twenties;
    }

    internal static bool BackOff(TokenCursor at) =>
        at.TakeAnyPhrase("back off", "backoff", "backoffs", "back offs", "back down", "down") && at.TakeAny("-").Length >= 0;
}
