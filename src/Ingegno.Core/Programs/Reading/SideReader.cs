using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads that figures hold for each side: /side, per leg, each, ea, e/s, L/R.</summary>
internal static class SideReader
{
    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        at.Take("(");
        var said =
            Slash(at, draft)
            || (at.TakeAny("per").Length > 0 && at.TakeAny("/").Length >= 0 && Part(at))
            || (at.Before is { IsNumber: true } or { Text: "reps" or "s" or "sec" or "m" or "min" } && at.Take("a") && Part(at))
            || Each(at)
            || at.TakeAnyPhrase("both sides", "every side", "every leg", "every arm")
            || OneAtATime(at)
            || LeftThenRight(at)
            || (at.Take("l") && at.TakeAny("/", "+", "&", "and").Length > 0 && at.Take("r"))
            || at.TakeAnyPhrase("left and right", "left right", "unilaterally");
        if (!said)
        {
            return at.Back(start);
        }

        if (at.Before.Text != ")" && start < at.At && Opened(at, start))
        {
            at.Take(")");
        }

        return draft.PerSide = true;
    }

    /// <summary>10L/10R, 8 right, 8 left: the same count for one side and for the other.</summary>
    private static bool LeftThenRight(TokenCursor at)
    {
        var (start, count) = (at.At, at.Before);
        if (!count.IsWhole || at.TakeAny("l", "r", "left", "right") is not { Length: > 0 } one)
        {
            return false;
        }

        at.TakeAny("/", ",", "+", "&", "and");
        return at.Now.IsWhole
                && at.Now.Value == count.Value
                && at.Ahead(1).Text is "l" or "r" or "left" or "right"
                && at.Ahead(1).Text[0] != one[0]
                && (at.At += 2) > start
            || at.Back(start);
    }

    /// <summary>One leg at a time.</summary>
    private static bool OneAtATime(TokenCursor at)
    {
        var start = at.At;
        at.At += at.Now.Text is "1" or "one" ? 1 : 0;
        return at.At > start && Part(at) && at.TakePhrase("at a time") || at.Back(start);
    }

    private static bool Opened(TokenCursor at, int start)
    {
        var now = at.At;
        at.At = start;
        var opened = at.Now.Is("(");
        at.At = now;
        return opened;
    }

    private static bool Slash(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return at.Take("/")
                && (Part(at) || at.TakeAny("s", "l", "sd", "ls", "ea", "each").Length > 0)
                && (draft.HasDose || at.Now.Kind != TokenKind.Word || at.Now.Is("x")) // squat/leg press names two
            || at.Back(start);
    }

    private static bool Each(TokenCursor at)
    {
        var start = at.At;
        if (at.TakeAny("each", "ea", "es", "ps", "e").Length == 0)
        {
            return false;
        }

        var letter = at.Before.Is("e");
        var slash = at.Take("/");
        at.TakeAny(".", "-");
        if (Part(at) || (slash && at.TakeAny("s", "l", "side", "a").Length > 0))
        {
            return true;
        }

        // "e" alone only right after a figure: 10e.
        return !slash
                && (!letter || !at.Ahead(-1).Spaced)
                && at.Now.Text is not ("set" or "rep" or "time" or "round" or "week" or "exercise" or "minute" or "min")
            || at.Back(start);
    }

    private static bool Part(TokenCursor at) =>
        at.TakeAny(
            "side",
            "sides",
            "leg",
            "legs",
            "arm",
            "arms",
            "hand",
            "hands",
            "way",
            "ways",
            "direction",
            "directions",
            "limb",
            "foot",
            "sd",
            "knee",
            "hip",
            "sid"
        ).Length > 0;
}
