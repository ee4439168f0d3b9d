using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads rests: rest 90 s, R90, 2-3 min rest, no rest. A time without a word waits until the whole line is read.</summary>
internal static class RestReader
{
    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return Named(at, draft) || (at.Back(start) || Timed(at, draft)) || at.Back(start);
    }

    private static bool Named(TokenCursor at, LineDraft draft)
    {
        if (at.TakeAnyPhrase("no rest", "without rest", "minimal rest", "zero rest"))
        {
            return Take(draft, new Span(0, 0));
        }

        var letter =
            at.Now.Is("r")
            && (
                at.Ahead(1) is { IsNumber: true, Spaced: false }
                || at.Ahead(1).Is(":")
                || (at.Ahead(1).IsNumber && at.Ahead(2).Text is "s" or "sec" or "min" or "'" or "\"" or ":")
            );
        if (letter)
        {
            at.At++;
        }
        else if (at.TakeAny("rest", "rests", "resting", "rst", "ri", "pause", "recovery", "recover", "break").Length == 0)
        {
            return false;
        }

        at.TakeAny(":", "=", "-", "of", "for", "@");
        return Figures.Time(at, unitNeeded: at.Before.Is("pause")) is { } time && Take(draft, time) && Between(at);
    }

    private static bool Timed(TokenCursor at, LineDraft draft)
    {
        at.TakeAny("/", "w", "with");
        at.TakeAny("/");
        var start = at.Now.Start;
        if (Figures.Time(at, unitNeeded: true) is not { } time)
        {
            return false;
        }

        var end = at.Before.End;
        var plural = at.Before is { Text: "s", Spaced: false };
        at.TakeAny("-");
        if (
            at.TakeAny("rest", "rests", "recovery", "break", "off", "ri", "r", "pause").Length > 0
            || at.TakeAny("between", "btw", "bw").Length > 0
        )
        {
            return Take(draft, time) && Between(at);
        }

        if (at.Before.Is("-"))
        {
            at.At--;
        }

        var held = at.TakeAny("hold", "holds").Length > 0;
        if (time.To < LeastRest && draft.Current is { Unit: CountUnit.Reps, Counts.Count: > 0 })
        {
            draft.Notes.Add($"{time.From:0.#} s"); // of a rep: nobody rests three seconds
            return true;
        }

        draft.Durations.Add(new Duration(time, start, end - start, plural && !held));
        return true;
    }

    /// <summary>Shortest rest that anybody writes without the word, s.</summary>
    private const double LeastRest = 6;

    private static bool Between(TokenCursor at)
    {
        at.TakeAny("rest");
        if (at.TakeAny("between", "btw", "after", "b").Length > 0)
        {
            at.TakeAny("/");
            at.TakeAny("w");
            at.TakeAny("each", "every", "all");
            at.TakeAny("sets", "set", "rounds", "round", "exercises", "reps");
        }

        return true;
    }

    private static bool Take(LineDraft draft, Span time)
    {
        draft.Rest ??= time;
        return true;
    }
}
