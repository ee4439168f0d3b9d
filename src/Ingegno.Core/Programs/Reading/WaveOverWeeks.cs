using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads a wave over weeks: 5/3/1 or 531, with its week beside it or farther on.</summary>
internal static class WaveOverWeeks
{
    private const int Weeks = 4;

    /// <summary>Nobody counts on further.</summary>
    private const int MostWeeks = 104;

    public static bool Read(TokenCursor at, LineDraft draft) => Said(at, draft) || LaterWeek(at, draft);

    private static bool Said(TokenCursor at, LineDraft draft)
    {
        var length =
            at.Now is { IsNumber: true, Text: "531" } ? 1
            : IsFigure(at.Now, "5")
            && at.Ahead(1).Text is "/" or "-"
            && IsFigure(at.Ahead(2), "3")
            && at.Ahead(3).Text is "/" or "-"
            && IsFigure(at.Ahead(4), "1")
                ? 5
            : 0;
        if (length == 0 || at.Ahead(length).Text is "-" or "/" or "%" or "x" or "kg" or "lb" || draft.HasDose)
        {
            return false;
        }

        at.At += length;
        var open = at.Take("+");
        draft.Method = SetMethod.FiveThreeOne;
        at.TakeAny(",", "(", "-");
        draft.Groups.Add(Sets(null, open));
        if (LaterWeek(at, draft))
        {
            at.Take(")");
        }

        return true;
    }

    /// <summary>5/3/1 squat, week 2.</summary>
    private static bool LaterWeek(TokenCursor at, LineDraft draft)
    {
        if (
            draft is not { Method: SetMethod.FiveThreeOne, Week: null, Groups: [var wave, ..] }
            || at.Now.Text is not ("week" or "wk" or "w")
            || !at.Ahead(1).IsWhole
        )
        {
            return false;
        }

        // The wave begins anew after its last week: the ninth is a first one.
        draft.Week = (int)((Math.Clamp(at.Ahead(1).Value, 1, MostWeeks) - 1) % Weeks) + 1;
        at.At += 2;
        draft.Groups[0] = Sets(draft.Week, wave.LastOpen);
        return true;
    }

    /// <summary>Weeks of the wave: fives, threes, then five, three and one; the last set of each open (published method, figures from
    /// memory).</summary>
    private static SetGroup Sets(int? week, bool open) =>
        new()
        {
            Sets = 3,
            Counts = week switch
            {
                1 or Weeks => [new(5, 5), new(5, 5), new(5, 5)],
                2 => [new(3, 3), new(3, 3), new(3, 3)],
                _ => [new(5, 5), new(3, 3), new(1, 1)],
            },
            LastOpen = open || week is not (null or Weeks),
        };

    private static bool IsFigure(LineToken token, string text) => token.IsNumber && token.Text == text;
}
