using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads what each set aims at: reps, seconds or metres, one figure or a list, small sets within one, as many as possible.</summary>
internal static class SetCounts
{
    /// <summary>What each set aims at, and the group that comes of it.</summary>
    public static bool Into(TokenCursor at, LineDraft draft, Span? sets, bool needed, bool bareTimeIsRest = false)
    {
        var number = (int?)sets?.From;
        var group = new SetGroup { Sets = number, SetsTo = (int?)sets?.Upper };
        if (Open(at))
        {
            Join(draft, group with { Open = true });
            LeavesSome(at, draft);
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

        if ((BeforeLoad(at) ?? Figures.Range(at)) is not { } count)
        {
            return !needed;
        }

        if (number is not null && at.Now.Is("%"))
        {
            Join(draft, group); // 5x80%: sets at a share of the maximum, of nobody knows how many
            _ = at.Back(start);
            return true;
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
        draft.InSteps |= at.TakeAny("steps", "step").Length > 0;
        at.TakeAny("reps", "rep", "breaths");
        draft.InAll |= group.Sets is not null && at.Now.Is("total");
        Join(draft, group with { Counts = [count], LastOpen = lastOpen });
        SideReader.Read(at, draft);
        return true;
    }

    /// <summary>8+3+2: the small sets of one, of which nobody says how many; two of them only where a method says so.</summary>
    public static bool Bursts(TokenCursor at, LineDraft draft)
    {
        bool Plus(int by) => at.Ahead(by) is { Text: "+", Spaced: false } && at.Ahead(by + 1) is { IsWhole: true, Spaced: false };
        var said = draft.Method is SetMethod.RestPause or SetMethod.MyoReps or SetMethod.Cluster;
        return !draft.HasDose && at.Now.IsWhole && Plus(1) && (said || Plus(3)) && Into(at, draft, new Span(1, 1), needed: true);
    }

    /// <summary>AMRAP-1, max - 2: as many as possible but so many.</summary>
    private static void LeavesSome(TokenCursor at, LineDraft draft)
    {
        var close = at.Now is { Text: "-", Spaced: false } && at.Ahead(1) is { Spaced: false };
        var apart = at.Now.Is("-") && (at.Ahead(2).Kind == TokenKind.End || at.Ahead(2).Text is "," or ")");
        if ((close || apart) && at.Ahead(1) is { IsWhole: true, Value: > 0 and <= 5 } left)
        {
            draft.Rirs.Add(new Span(left.Value, left.Value));
            at.At += 2;
        }
    }

    /// <summary>3x12 - 20kg: a dash that leads to a load makes no range of reps.</summary>
    private static Span? BeforeLoad(TokenCursor at)
    {
        if (
            at.Now.IsNumber
            && at.Ahead(1).Is("-")
            && at.Ahead(2).IsNumber
            && at.Ahead(3).Text is "kg" or "kgs" or "kilos" or "lb" or "lbs" or "pounds"
        )
        {
            var reps = at.Now.Value;
            at.At += 2;
            return new Span(reps, reps);
        }

        return null;
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
    public static SetGroup Listed(TokenCursor at, LineDraft draft, int? sets, List<Span> items)
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

    /// <summary>A sign that stands apart leads to a time or a share, and not to more reps: 3x10 - 90 s.</summary>
    private static bool Apart(TokenCursor at) =>
        at.Now.Spaced
        && (
            at.Ahead(2).Text is "s" or "sec" or "secs" or "seconds" or "min" or "mins" or "\"" or "'" or ":" or "%"
            || (at.Ahead(2).Text is "-" or "to" && at.Ahead(4).Is("%")) // 4x6 - 75-80 %
        );

    public static List<Span> Items(TokenCursor at, string separator, List<Span> items)
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

        // 2x12, 40 cm; 2x12, 60 kg; 2x12, 60 s: what has a unit of its own is none of the reps.
        var measured = LoadReader.IsUnit(after) || after.Text is "cm" or "mm" or "in" or "inch" or "inches" or "ft" or "m";
        measured |= sets == 2 && after.Text is "s" or "sec" or "secs" or "seconds" or "min" or "mins";
        return more > 0 && !measured && (more + 1 == sets || (free && sets is null or 1) || (free && more > 1));
    }

    /// <summary>Sets and reps may come apart: 3 sets, 10 reps.</summary>
    public static void Join(LineDraft draft, SetGroup group)
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
        else if (last is { Sets: null, Open: false, Load: null } && group.Sets is not null && last.Counts.SequenceEqual(group.Counts))
        {
            draft.Groups[^1] = group; // 20 rep squat 1x20
        }
        else
        {
            draft.Groups.Add(group);
        }

        if (draft is { NextLoad: { } next, Current: { } current })
        {
            current.Load ??= next;
            draft.NextLoad = null;
        }
    }

    public static bool OpenWord(LineToken token) =>
        token.Text is "amrap" or "max" or "maximum" or "failure" or "fail" or "f" or "tf" or "burnout" or "amsap" or "mr" or "amap";

    /// <summary>As many as possible: AMRAP, max reps, to failure.</summary>
    public static bool Open(TokenCursor at)
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
        return at.TakeAnyPhrase("as many reps as possible", "as many as possible", "as many reps as you can", "as many as you can");
    }
}
