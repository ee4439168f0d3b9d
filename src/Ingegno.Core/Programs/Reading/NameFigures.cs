using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Figures that are part of a name.</summary>
internal static class NameFigures
{
    /// <summary>Figures that belong to a name: 1 arm, 45 degree, 90/90, 21s, 1.5 rep, 1 1/4, 3 point.</summary>
    public static bool Read(TokenCursor at)
    {
        var start = at.At;
        if (!at.Now.IsNumber || (at.Ahead(2).Is("at") && at.Ahead(3).Is("a") && at.Ahead(4).Is("time")))
        {
            return false;
        }

        if (at.Now.Text is "90" && at.Ahead(1).Is("/") && at.Ahead(2).Text is "90")
        {
            at.At += 3;
            return true;
        }

        if (at.Now.Text is "1" && at.Ahead(1) is { Text: "¼" or "½" } || at.Now.Text is "1.5" or "1.25")
        {
            at.At += at.Now.Text is "1" ? 2 : 1;
            var rep =
                at.TakeAny("-").Length >= 0
                && at.Now.Text
                    is "rep"
                        or "reps"
                        or "squat"
                        or "squats"
                        or "split"
                        or "bench"
                        or "press"
                        or "front"
                        or "back"
                        or "goblet"
                        or "lunge"
                        or "lunges"
                        or "rdl"
                        or "hip"
                        or "push"
                        or "dumbbell"
                        or "db"
                        or "curl"
                        or "row"
                        or "bulgarian";
            return rep || at.Back(start);
        }

        if (at.Now.Text is "1" && at.Ahead(1) is { Text: "1" } && at.Ahead(2).Is("/") && at.Ahead(3).Text is "4" or "2")
        {
            at.At += 4;
            return true;
        }

        if (at.Now.Text is "21" && at.Ahead(1) is { Text: "s", Spaced: false })
        {
            at.At += 2;
            return true;
        }

        at.At++;
        at.TakeAny("-");
        if (at.Now.Is("°"))
        {
            at.At++;
            return true;
        }

        return at.Now.Text
                is "arm"
                    or "arms"
                    or "armed"
                    or "leg"
                    or "legs"
                    or "legged"
                    or "handed"
                    or "degree"
                    or "degrees"
                    or "deg"
                    or "point"
                    or "board"
                    or "way"
                    or "hand"
                    or "dumbbell"
                    or "kb"
                    or "kettlebell"
                && at.Before.Text is not ("x")
                && Whole(at, start)
            || at.Back(start);
    }

    private static bool Whole(TokenCursor at, int start)
    {
        var figure = at.At;
        at.At = start;
        var (value, whole) = (at.Now.Value, at.Now.IsWhole);
        at.At = figure + 1;
        return whole && (value is 1 or 2 or 3 or 4 || (value is >= 15 and <= 90 && at.Before.Text is "degree" or "degrees" or "deg"));
    }
}
