namespace Ingegno.Core.Written.Programs.Reading;

/// <summary>Reads sets and reps in every order and spelling: 5x5, 4 sets of 8-10, 12/10/8, 3xmax, 8 reps x 3, 5x3 + 1x5+.</summary>
internal static class SetsReader
{
    /// <summary>From so many on, what stands before a cross is a load (common practice).</summary>
    private const int LeastLoadFirst = 30;

    /// <summary>More sets than this are another figure.</summary>
    private const int MostSets = 100;

    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return Labelled(at, draft)
            || (at.Back(start) || LoadFirst(at, draft))
            || (at.Back(start) || AtEach(at, draft))
            || (at.Back(start) || Times(at, draft))
            || (at.Back(start) || Counted(at, draft))
            || (at.Back(start) || Reps(at, draft))
            || (at.Back(start) || Crossed(at, draft))
            || (at.Back(start) || List(at, draft))
            || (at.Back(start) || Measured(at, draft))
            || at.Back(start);
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
            Join(draft, new SetGroup { Sets = (int)number.From, SetsTo = (int?)number.Upper });
            return true;
        }

        return !sets && Into(at, draft, null, needed: true);
    }

    /// <summary>100x5x3: no plan has a hundred sets, so it is the load, the reps and the sets.</summary>
    private static bool LoadFirst(TokenCursor at, LineDraft draft)
    {
        var (load, first) = (at.Now, at.Ahead(1));
        if (
            !load.IsNumber
            || load.Value is < LeastLoadFirst or > ShorthandLimits.LoadKg
            || first.Text is not ("x" or "*")
            || !at.Ahead(2).IsWhole
            || draft.HasDose
            || at.Ahead(3).Text is "kg" or "lb" or "s" or "sec"
        )
        {
            return false;
        }

        draft.Load ??= new PlannedLoad(load.Value);
        draft.Doubt(load.Start, load.Text.Length, "shorthand.load-unit", ("load", load.Value));
        var reps = at.Ahead(2).Value;
        at.At += 3;
        int? sets = at.Now.Text is "x" or "*" && at.Ahead(1).IsWhole ? (int)at.Ahead(1).Value : null;
        at.At += sets is null ? 0 : 2;
        draft.Groups.Add(new SetGroup { Sets = sets, Counts = [new Span(reps, reps)] });
        return true;
    }

    /// <summary>8 @ 60 kg, 6 @ 70 kg: a set each, its load or share behind it.</summary>
    private static bool AtEach(TokenCursor at, LineDraft draft)
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
            || at.Ahead(3 + plus).Text is not ("%" or "kg" or "kgs" or "lb" or "lbs")
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
        return true;
    }

    /// <summary>3x8, 2-3 x 12, 3 x max.</summary>
    private static bool Times(TokenCursor at, LineDraft draft)
    {
        if (SetNumber(at) is not { } sets || !Cross(at))
        {
            return false;
        }

        // A pair of weights: 2x20 kg; of twenties when the sets are known.
        if (at.Now.IsNumber && IsLoad(at, draft))
        {
            return false;
        }

        at.Take("("); // cluster written in brackets: 5x(2+2+2)
        return Into(at, draft, sets, needed: true);
    }

    /// <summary>4 sets of 8, 3 rounds, 3 sets x 10.</summary>
    private static bool Counted(TokenCursor at, LineDraft draft)
    {
        if (SetNumber(at) is not { } sets)
        {
            return false;
        }

        at.Take("-");
        var backOff = BackOff(at);
        if (at.TakeAny("sets", "set", "rounds", "round", "rds", "rd", "series").Length == 0)
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
        else if (Into(at, draft, sets, needed: true, bareTimeIsRest: true))
        {
            return true;
        }

        at.At = after;
        Join(draft, new SetGroup { Sets = (int)sets.From, SetsTo = (int?)sets.Upper });
        return true;
    }

    /// <summary>2 reps shy of failure, 2 in the tank: what is left, and not what is done.</summary>
    private static bool Spared(TokenCursor at)
    {
        var behind = at.Ahead(1).Text is "reps" or "rep" ? at.Ahead(2) : at.Ahead(1);
        return behind.Text is "shy" or "short" or "in" or "left" or "away" or "before";
    }

    /// <summary>8 reps, 8-10 reps x 3 sets, 12 reps x 4.</summary>
    private static bool Reps(TokenCursor at, LineDraft draft)
    {
        if (
            Figures.Range(at) is not { } reps
            || reps.To > ShorthandLimits.Reps * 10
            || at.TakeAny("reps", "rep", "breaths", "steps", "strides").Length == 0
        )
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
            Join(
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
        Join(draft, new SetGroup { Counts = [reps] });
        return true;
    }

    /// <summary>x10: reps without sets; x3 sets; xmax.</summary>
    private static bool Crossed(TokenCursor at, LineDraft draft)
    {
        if (at.TakeAny("x", "*").Length == 0 || !(at.Now.IsNumber || OpenWord(at.Now)))
        {
            return false;
        }

        var start = at.At;
        if (SetNumber(at) is { } sets && at.TakeAny("sets", "set", "rounds", "round").Length > 0)
        {
            Join(draft, new SetGroup { Sets = (int)sets.From, SetsTo = (int?)sets.Upper });
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
        if (!Into(at, draft, null, needed: true))
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
        var items = Items(at, separator, []);
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

        Join(draft, Listed(at, draft, draft.Current?.Sets, items));
        return true;
    }

    /// <summary>40 m, 500 m, 2 laps.</summary>
    private static bool Measured(TokenCursor at, LineDraft draft)
    {
        if (draft.Groups.Any(g => g.Counts.Count > 0) || Figures.Range(at) is not { } length || Figures.Length(at) is not { } metres)
        {
            return false;
        }

        Join(draft, new SetGroup { Counts = [new Span(length.From * metres, length.To * metres)], Unit = CountUnit.Metres });
        return true;
    }

    /// <summary>What each set aims at, and the group that comes of it.</summary>
    private static bool Into(TokenCursor at, LineDraft draft, Span? sets, bool needed, bool bareTimeIsRest = false)
    {
        var number = (int?)sets?.From;
        var group = new SetGroup { Sets = number, SetsTo = (int?)sets?.Upper };
        if (Open(at))
        {
            Join(draft, group with { Open = true });
            SideReader.Read(at, draft);
            return true;
        }

        var start = at.At;
        if (Figures.Time(at, unitNeeded: true, metres: true) is { } time)
        {
            if (bareTimeIsRest && at.Now.Is("rest"))
            {
                return at.Back(start);
            }

            Join(draft, group with { Counts = [time], Unit = CountUnit.Seconds });
            at.TakeAny("hold", "holds", "on");
            SideReader.Read(at, draft);
            return true;
        }

        if (Figures.Range(at) is not { } count)
        {
            return !needed;
        }

        if (Figures.Length(at) is { } metres)
        {
            Join(draft, group with { Counts = [new Span(count.From * metres, count.To * metres)], Unit = CountUnit.Metres });
            SideReader.Read(at, draft);
            return true;
        }

        if (at.Now.Text is "/" or "-" && at.Ahead(1).IsWhole && count.Upper is null && !Apart(at) || at.Now.Is(",") && Goes(at, number))
        {
            Join(draft, Listed(at, draft, number, Items(at, at.Now.Text, [count])));
            return true;
        }

        if (count.Upper is not null && at.Now.Is("-") && at.Ahead(1).IsWhole && !Apart(at))
        {
            Join(draft, Listed(at, draft, number, Items(at, "-", [new Span(count.From, count.From), new Span(count.To, count.To)])));
            return true;
        }

        if (
            at.Now is { Text: "+" or ".", Spaced: false }
            && at.Ahead(1) is { IsWhole: true, Spaced: false }
            && at.Ahead(2).Text is not ("x" or "sets" or "kg" or "kgs" or "lb" or "lbs")
        )
        {
            return Cluster(at, draft, group, count);
        }

        if (
            at.Now is { Text: "-", Spaced: false }
            && ProgramCell.MeantBy($"{count.From:0}-{at.Ahead(1).Text}") is not null
            && at.Ahead(1).Kind == TokenKind.Word
        )
        {
            // A spreadsheet made 12-Aug of 8-12.
            var month = ProgramCell.MonthOf(at.Ahead(1).Text);
            draft.Doubt(
                at.Before.Start,
                at.Ahead(1).End - at.Before.Start,
                "shorthand.date",
                ("low", Math.Min(month, count.From)),
                ("high", Math.Max(month, count.From))
            );
            count = new Span(Math.Min(month, count.From), Math.Max(month, count.From));
            at.At += 2;
        }

        var lastOpen = at.Now is { Text: "+", Spaced: false } && !at.Ahead(1).IsNumber && at.Take("+");
        at.TakeAny("reps", "rep", "breaths", "steps");
        Join(draft, group with { Counts = [count], LastOpen = lastOpen });
        SideReader.Read(at, draft);
        return true;
    }

    /// <summary>Small sets within one: 2+2+2, or 15+5+5+5 of a rest-pause.</summary>
    private static bool Cluster(TokenCursor at, LineDraft draft, SetGroup group, Span first)
    {
        var parts = new List<double> { first.From };
        while (at.Now.Text is "+" or "." && at.Ahead(1).IsWhole)
        {
            at.At++;
            parts.Add(at.Now.Value);
            at.At++;
        }

        at.Take(")");

        // Equal halves are sides; a long first part with small ones is a rest-pause.
        if (parts is [var left, var right] && left == right)
        {
            draft.PerSide = true;
            Join(draft, group with { Counts = [first] });
            return true;
        }

        draft.Method ??= parts[0] > 2 * parts[1] ? SetMethod.RestPause : SetMethod.Cluster;
        draft.MethodFigures = string.Join('+', parts.Select(p => $"{p:0}"));
        var whole = draft.Method == SetMethod.Cluster ? parts.Sum() : parts[0];
        Join(draft, group with { Sets = group.Sets ?? 1, Counts = [new Span(whole, whole)] });
        return true;
    }

    /// <summary>A figure for each set, or one for each side when there are two equal ones.</summary>
    private static SetGroup Listed(TokenCursor at, LineDraft draft, int? sets, List<Span> items)
    {
        var open = false;
        if (at.Now.Text is "," or "/" && OpenWord(at.Ahead(1)))
        {
            // 12,12,AMRAP: the open one is the last of the sets.
            (open, at.At) = (true, at.At + 2);
            items.Add(items[^1]);
        }

        if (items.Count == 2 && items[0] == items[1] && sets != 2)
        {
            draft.PerSide = true;
            items = [items[0]];
        }

        var lastOpen = open || (at.Now is { Text: "+", Spaced: false } && at.Take("+"));
        var unit = CountUnit.Reps;
        if (at.Now.Text is "s" or "sec" or "secs" or "seconds")
        {
            (unit, at.At) = (CountUnit.Seconds, at.At + 1);
        }
        else
        {
            at.TakeAny("reps", "rep");
        }

        SideReader.Read(at, draft);
        return new SetGroup
        {
            Sets = items.Count > 1 ? items.Count : sets,
            Counts = items,
            LastOpen = lastOpen,
            Unit = unit,
        };
    }

    /// <summary>A sign that stands apart leads to a time, and not to more reps: 3x10 - 90 s.</summary>
    private static bool Apart(TokenCursor at) =>
        at.Now.Spaced && at.Ahead(2).Text is "s" or "sec" or "secs" or "seconds" or "min" or "mins" or "\"" or "'" or ":";

    private static List<Span> Items(TokenCursor at, string separator, List<Span> items)
    {
        while (true)
        {
            if (
                items.Count > 0
                && !(
                    at.Now.Is(separator)
                    && at.Ahead(1).IsWhole
                    && at.Ahead(2).Text is not ("x" or "%" or "kg" or "lb" or "lbs" or "min" or "sets")
                )
            )
            {
                return items;
            }

            at.At += items.Count > 0 ? 1 : 0;
            items.Add(new Span(at.Now.Value, at.Now.Value));
            at.At++;
        }
    }

    /// <summary>A comma after reps leads to more of them when as many follow as there are sets, or at least when another follows.</summary>
    private static bool Goes(TokenCursor at, int? sets)
    {
        var more = 0;
        while (at.Ahead(more * 2).Is(",") && at.Ahead((more * 2) + 1).IsWhole)
        {
            more++;
        }

        var after = at.Ahead(more * 2);
        if (after.Is(",") && OpenWord(at.Ahead((more * 2) + 1)) && (sets is null || more + 2 == sets))
        {
            return true;
        }

        var free =
            after.Kind is TokenKind.End
            || after.Text
                is not (
                    "%"
                    or "kg"
                    or "lb"
                    or "lbs"
                    or "s"
                    or "sec"
                    or "secs"
                    or "seconds"
                    or "min"
                    or "mins"
                    or "x"
                    or "rpe"
                    or "rir"
                    or "-"
                    or "sets"
                    or "m"
                    or "\""
                    or "'"
                    or ":"
                );
        return more > 0 && (more + 1 == sets || (free && sets is null or 1 && more > 0) || (free && more > 1));
    }

    /// <summary>Sets and reps may come apart: 3 sets, 10 reps.</summary>
    private static void Join(LineDraft draft, SetGroup group)
    {
        var last = draft.Current;
        if (last is { Counts.Count: 0, Open: false } && group.Sets is null)
        {
            draft.Groups[^1] = group with { Sets = last.Sets, SetsTo = last.SetsTo };
        }
        else if (last is { Sets: null } && group is { Counts.Count: 0, Open: false })
        {
            draft.Groups[^1] = last with { Sets = group.Sets, SetsTo = group.SetsTo };
        }
        else
        {
            draft.Groups.Add(group);
        }
    }

    private static Span? SetNumber(TokenCursor at)
    {
        if (!at.Now.IsWhole || at.Now.Value > MostSets * 100)
        {
            return null;
        }

        return Figures.Range(at);
    }

    private static bool Cross(TokenCursor at) => at.TakeAny("x", "*").Length > 0;

    /// <summary>What follows a cross is a weight: 2x20 kg, 2x20s where the sets are known.</summary>
    private static bool IsLoad(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        _ = Figures.Number(at);
        var unit = at.Now;
        var twenties = unit is { Text: "s", Spaced: false } && draft.Groups.Any(g => g.Counts.Count > 0);
        at.At = start;
        return unit.Text is "kg" or "kgs" or "kilos" or "kilo" or "lb" or "lbs" or "pounds" || twenties;
    }

    internal static bool OpenWord(LineToken token) =>
        token.Text is "amrap" or "max" or "maximum" or "failure" or "fail" or "f" or "tf" or "burnout" or "amsap" or "mr" or "amap";

    /// <summary>As many as possible: AMRAP, max reps, to failure.</summary>
    internal static bool Open(TokenCursor at)
    {
        var start = at.At;
        at.TakeAny("to", "till", "until");
        at.TakeAny("technical", "near", "form");
        if (OpenWord(at.Now))
        {
            at.At++;
            at.TakeAny("reps", "effort", "hold", "time", "out");
            return true;
        }

        at.At = start;
        return at.TakeAnyPhrase("as many reps as possible", "as many as possible");
    }

    internal static bool BackOff(TokenCursor at) =>
        at.TakeAnyPhrase("back off", "backoff", "backoffs", "back offs", "back down", "down") && at.TakeAny("-").Length >= 0;
}
