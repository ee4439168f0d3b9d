using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads methods: drop set, rest-pause, cluster, myo-reps, EMOM, pyramid, top set, wave, 5/3/1, ladder, density.</summary>
internal static class MethodReader
{
    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return WaveOverWeeks.Read(at, draft)
            || (at.Back(start) || Emom(at, draft))
            || (at.Back(start) || Density(at, draft))
            || (at.Back(start) || Tabata(at, draft))
            || (at.Back(start) || Ladder(at, draft))
            || (at.Back(start) || TopSet(at, draft))
            || (at.Back(start) || Named(at, draft))
            || at.Back(start);
    }

    /// <summary>EMOM 10, 10 min EMOM x5, E2MOM 10 min, every 2 min x 5.</summary>
    private static bool Emom(TokenCursor at, LineDraft draft)
    {
        var every = 60.0;
        var total = (double?)null;
        var start = at.At;
        if (Figures.Time(at, unitNeeded: true) is { } first && at.Now.Is("emom"))
        {
            total = first.From;
        }
        else
        {
            at.At = start;
        }

        if (at.Take("emom"))
        {
            // every minute
        }
        else if (at.Now.Is("e") && at.Ahead(1) is { IsWhole: true, Spaced: false } minutes && at.Ahead(2) is { Text: "mom", Spaced: false })
        {
            (every, at.At) = (60 * minutes.Value, at.At + 3);
        }
        else if (at.TakeAnyPhrase("every minute on the minute", "on the minute", "otm"))
        {
            // spelt out
        }
        else if (at.Take("every") && Figures.Time(at, unitNeeded: true) is { } interval)
        {
            every = interval.From;
        }
        else
        {
            return false;
        }

        at.TakeAny("for", "x", ":", "-", "*");
        if (total is null && at.Now.IsWhole && !at.Before.Is("x"))
        {
            var back = at.At;
            total = Figures.Time(at, unitNeeded: true)?.From;
            if (total is null)
            {
                at.At = back;
                total = at.Ahead(1).Text is "x" or "reps" or "rep" or "sets" ? null : at.Now.Value * 60;
                at.At += total is null ? 0 : 1;
            }

            at.TakeAny(":", "-", ",", "of", "min");
        }

        draft.Method = SetMethod.Emom;
        draft.MethodFigures = every == 60 ? null : $"{every:0} s";
        if (total is { } whole && whole >= every && draft.Groups.TrueForAll(g => g.Sets is null))
        {
            var sets = (int)Math.Clamp(whole / every, 1, ShorthandLimits.Sets);
            if (draft.Current is { } known)
            {
                draft.Groups[^1] = known with { Sets = sets };
            }
            else
            {
                draft.Groups.Add(new SetGroup { Sets = sets });
            }
        }

        return true;
    }

    /// <summary>Density 10 min, AMRAP 10 min, and totals.</summary>
    private static bool Density(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        if (at.TakeAny("density", "amrap").Length > 0)
        {
            at.TakeAny("block", "in", ":", "for", "-");
            if (Figures.Time(at, unitNeeded: true) is not { } block || block.From < 120)
            {
                return false;
            }

            return Block(draft, block.From);
        }

        if (
            Figures.Time(at, unitNeeded: true) is { From: >= 120 } before
            && (at.Take("-") || true)
            && at.TakeAny("amrap", "density").Length > 0
        )
        {
            return Block(draft, before.From);
        }

        return at.Back(start) || Total(at, draft);
    }

    /// <summary>Reps of a set when a total is done in as many sets as it takes, and most sets (common practice).</summary>
    private const int OfTotal = 10;

    private const int MostOfTotal = 5;

    /// <summary>50 total reps, 30 total, 100 reps in as few sets as possible: sets of about ten.</summary>
    private static bool Total(TokenCursor at, LineDraft draft)
    {
        var said = at.TakePhrase("total of") || at.TakeAny("accumulate").Length > 0;
        if (!at.Now.IsWhole || at.Now.Value > ShorthandLimits.Reps * 2)
        {
            return false;
        }

        var all = (int)at.Now.Value;
        at.At++;
        said |= at.Take("total");
        var reps = at.TakeAny("reps", "rep").Length > 0;
        said |= at.Take("total") || at.TakePhrase("in total");
        said |= (said || reps) && at.TakeAnyPhrase("in as few sets as possible", "as few sets as possible", "in as few as possible");
        if (!said || (draft.HasDose && !reps) || all < 1)
        {
            return false;
        }

        draft.Method = SetMethod.Density;
        draft.MethodFigures = $"{all} reps";
        if (!draft.HasDose)
        {
            var sets = Math.Clamp((int)Math.Ceiling(all / (double)OfTotal), 1, MostOfTotal);
            var each = Math.Max(1, (int)Math.Round(all / (double)sets, MidpointRounding.AwayFromZero));
            draft.Groups.Add(new SetGroup { Sets = sets, Counts = [new Span(each, each)] });
        }

        return true;
    }

    private static bool Block(LineDraft draft, double seconds)
    {
        draft.Method = SetMethod.Density;
        draft.MethodFigures = $"{seconds / 60:0.#} min";
        if (!draft.HasDose)
        {
            draft.Groups.Add(new SetGroup { Sets = 1, Open = true });
        }

        return true;
    }

    /// <summary>Ladder 1-5, ladder 1-2-3-4-5, 1-2-3 ladder.</summary>
    private static bool Ladder(TokenCursor at, LineDraft draft)
    {
        var said = at.TakeAny("ladder", "ladders").Length > 0;
        var named = said || draft is { Method: SetMethod.Ladder, HasDose: false };
        at.TakeAny(":", "of");
        var figures = new List<double>();
        while (at.Now.IsWhole && figures.Count < ShorthandLimits.Sets)
        {
            figures.Add(at.Now.Value);
            at.At++;
            if (at.Now.Text is not ("-" or "," or "/" or "to") || !at.Ahead(1).IsWhole)
            {
                break;
            }

            at.At++;
        }

        if (!named && at.TakeAny("ladder", "ladders").Length == 0 || figures.Count < 2 || draft.Groups.Any(g => g.Counts.Count > 0))
        {
            return said && Set(draft, SetMethod.Ladder);
        }

        if (figures is [var low, var high] && low < high && high <= ShorthandLimits.Sets)
        {
            figures = [.. Enumerable.Range((int)low, (int)(high - low) + 1).Select(n => (double)n)];
        }

        // 1-2-3 x2: up the ladder twice.
        var times = at.Now.Text is "x" or "*" && at.Ahead(1).IsWhole ? (int)Math.Clamp(at.Ahead(1).Value, 1, ShorthandLimits.Sets) : 1;
        at.At += at.Now.Text is "x" or "*" && at.Ahead(1).IsWhole ? 2 : 0;
        var rungs = Enumerable.Repeat(figures, times).SelectMany(f => f).Take(ShorthandLimits.Sets).Select(f => new Span(f, f)).ToList();
        draft.Groups.Add(new SetGroup { Sets = rungs.Count, Counts = rungs });
        return Set(draft, SetMethod.Ladder);
    }

    /// <summary>Top set of 5, top set x5: one set, and what follows is lighter.</summary>
    private static bool TopSet(TokenCursor at, LineDraft draft)
    {
        if (at.TakeAnyPhrase("work up to", "build up to", "build to", "ramp up to", "ramp to", "working up to"))
        {
            return Peak(at, draft);
        }

        if (at.Now is { IsNumber: true, Text: "1" } && at.Ahead(1).Is("top"))
        {
            at.At++;
        }

        if (!at.TakeAnyPhrase("top sets", "top set", "topset", "topsets", "heavy single", "top single", "top triple", "top double"))
        {
            var start = at.At;
            at.TakeAny("then", "+", "followed");
            at.TakeAny("by");
            if (
                !at.TakeAnyPhrase(
                    "back off sets",
                    "backoff sets",
                    "back off set",
                    "backoff set",
                    "back offs",
                    "backoffs",
                    "back off",
                    "backoff",
                    "down sets",
                    "back down sets"
                )
            )
            {
                return at.Back(start);
            }

            at.TakeAny(":", "-");
            return Set(draft, SetMethod.TopSet);
        }

        int? said = at.Before.Text switch
        {
            "single" => 1,
            "double" => 2,
            "triple" => 3,
            _ => null,
        };
        at.TakeAny(":", "of", "-", "x");
        var reps = said ?? (at.Now.IsWhole && at.Ahead(1).Text is not ("x" or "sets" or "*") ? (int?)at.Now.Value : null);
        if (reps is { } count)
        {
            at.At += said is null ? 1 : 0;
            at.TakeAny("reps", "rep");
            draft.Groups.Add(new SetGroup { Sets = 1, Counts = [new Span(count, count)] });
        }

        return Set(draft, SetMethod.TopSet);
    }

    /// <summary>Work up to a heavy single, to a 5RM, to a top set of 3.</summary>
    private static bool Peak(TokenCursor at, LineDraft draft)
    {
        at.TakeAny("a", "an", "your", "the");
        at.TakeAny("heavy", "max", "top", "new", "hard");
        _ = at.TakeAnyPhrase("set of");
        var reps =
            at.TakeAny("single") is { Length: > 0 } ? 1
            : at.TakeAny("double").Length > 0 ? 2
            : at.TakeAny("triple").Length > 0 ? 3
            : 0;
        if (reps == 0 && at.Now is { IsWhole: true, Value: > 0 and <= 30 })
        {
            reps = (int)at.Now.Value;
            at.At++;
            draft.RepMax = at.TakeAny("rm").Length > 0 ? reps : null;
            at.TakeAny("reps", "rep");
        }

        if (reps == 0)
        {
            return false;
        }

        draft.Groups.Add(new SetGroup { Sets = 1, Counts = [new Span(reps, reps)] });
        return Set(draft, SetMethod.TopSet);
    }

    private static bool Named(TokenCursor at, LineDraft draft)
    {
        at.TakeAny("+", "w", "with", "then");
        at.TakeAny("/");
        at.TakeAny("a", "an", "one", "double", "triple");
        at.At += at.Now is { IsNumber: true, Text: "1" } && at.Ahead(1).Text is "drop" or "dropset" or "rest" or "myo" ? 1 : 0;
        at.At += at.Now is { IsWhole: true, Value: 2 or 3 or 4 } && at.Ahead(1).Text is "drops" or "dropsets" ? 1 : 0;
        var method =
            at.TakeAnyPhrase("drop sets", "drop set", "dropset", "dropsets", "strip set", "strip sets", "drops", "drop") ? SetMethod.DropSet
            : at.TakeAnyPhrase("rest pause", "restpause", "rest pauses") ? SetMethod.RestPause
            : at.TakeAnyPhrase("myo reps", "myoreps", "myo rep", "myo set", "myo sets", "myos", "myo") ? SetMethod.MyoReps
            : at.TakeAnyPhrase("cluster sets", "cluster set", "clusters", "cluster") ? SetMethod.Cluster
            : at.TakeAnyPhrase("ascending pyramid", "descending pyramid", "reverse pyramid", "pyramid", "pyramids", "rpt")
                ? SetMethod.Pyramid
            : at.TakeAnyPhrase("wave loading", "waves", "wave") ? SetMethod.Wave
            : at.TakeAny("circuit", "circuits").Length > 0 ? SetMethod.Circuit
            : at.Now is { Text: "rp", Spaced: true } or { Text: "ds", Spaced: true } && draft.HasDose ? Initials(at)
            : (SetMethod?)null;
        if (method is null)
        {
            return false;
        }

        _ = at.TakeAnyPhrase(
            "on last set",
            "on the last set",
            "on last",
            "last set",
            "on final set",
            "on the final set",
            "each set",
            "every set",
            "on the last",
            "on all sets",
            "on last 2 sets",
            "style",
            "format"
        );
        if (at.Before.Is("last") && at.Now.IsWhole && at.Ahead(1).Is("sets"))
        {
            draft.Notes.Add($"last {at.Now.Value:0} sets"); // of all of them
            at.At += 2;
        }

        at.TakeAny(":");
        if (method == SetMethod.DropSet)
        {
            Lighter(at, draft);
        }

        if (method == SetMethod.DropSet && at.Now.Text is "x" or "*" && at.Ahead(1) is { IsWhole: true, Value: <= MostDrops })
        {
            draft.Notes.Add($"drop x{at.Ahead(1).Value:0}"); // twice lighter
            at.At += 2;
        }

        return Set(draft, method.Value);
    }

    /// <summary>Drop set -20 %, drop 10 kg: by how much it is made lighter is said beside it.</summary>
    private static void Lighter(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        at.TakeAny("-", "by", "of");
        at.TakeAny("-");
        if (Figures.Range(at) is { } by && at.TakeAny("%", "kg", "lb", "lbs") is { Length: > 0 } unit)
        {
            var to = by.Upper is { } upper ? $"-{upper:0.#}" : string.Empty;
            draft.Notes.Add($"drop by {by.From:0.#}{to}{(unit == "%" ? string.Empty : " ")}{unit}");
            at.TakeAny("each", "off", "less");
            return;
        }

        at.At = start;
    }

    /// <summary>So often a set is made lighter at most.</summary>
    private const int MostDrops = 5;

    /// <summary>Tabata: eight times twenty seconds, ten between (Tabata et al. 1996, from memory).</summary>
    private static bool Tabata(TokenCursor at, LineDraft draft)
    {
        if (!at.Take("tabata"))
        {
            return false;
        }

        at.TakeAny("style", "protocol", "sets", "set");
        at.TakeAny(":", "-");
        if (!draft.HasDose && !at.Now.IsNumber)
        {
            draft.Groups.Add(
                new SetGroup
                {
                    Sets = 8,
                    Counts = [new Span(20, 20)],
                    Unit = CountUnit.Seconds,
                }
            );
            draft.Rest ??= new Span(10, 10);
        }

        return true;
    }

    private static SetMethod Initials(TokenCursor at)
    {
        at.At++;
        return at.Before.Is("rp") ? SetMethod.RestPause : SetMethod.DropSet;
    }

    private static bool Set(LineDraft draft, SetMethod method)
    {
        draft.Method = method;
        return true;
    }
}
