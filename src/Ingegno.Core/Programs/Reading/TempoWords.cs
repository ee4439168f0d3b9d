using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads tempo in words, the figure before or behind them: 3 s down, 2 s pause at the bottom, squeeze 1 s, hold 2 s at the top.</summary>
internal static class TempoWords
{
    private enum Phase
    {
        Lowering,
        Stretched,
        Lifting,
        Shortened,
    }

    private static readonly string[] Units = ["s", "sec", "secs", "second", "seconds", "count", "counts", "ct", "\""];

    private static readonly string[] Bottom =
    [
        "hold at bottom",
        "hold at the bottom",
        "stop at the bottom",
        "hold in the bottom",
        "at the bottom",
        "at bottom",
        "in the bottom",
        "in the hole",
        "on the chest",
        "on chest",
        "at the chest",
        "at chest",
        "iso at the bottom",
        "bottom",
    ];

    private static readonly string[] Top =
    [
        "hold at top",
        "hold at the top",
        "hold at peak",
        "peak hold",
        "top hold",
        "at the top",
        "at top",
        "up top",
        "on top",
        "at lockout",
        "at contraction",
        "at the peak",
        "top",
    ];

    public static bool Read(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        return FigureFirst(at, draft) || (at.Back(start) || WordFirst(at, draft)) || at.Back(start);
    }

    private static bool FigureFirst(TokenCursor at, LineDraft draft)
    {
        at.TakeAny("with", "w");
        at.TakeAny("/");
        var start = at.At;
        if (Seconds(at) is not { } seconds)
        {
            at.At = start;
            return InTurn(at, draft);
        }

        at.Take("-");
        at.TakeAny("slow", "controlled");
        var counted = at.Before.Text is "ct" or "count" or "counts";
        return PhaseSaid(at) is { } phase ? Put(draft, phase, seconds)
            : counted && at.Says("pause", "paused") ? Put(draft, Phase.Stretched, seconds) // paused bench (2 ct)
            : draft.Current is { Unit: CountUnit.Reps, Counts.Count: > 0 }
                && at.TakeAny("hold", "holds").Length > 0
                && Put(draft, Place(at) ?? Phase.Shortened, seconds); // 3x6 w/ 3s hold
    }

    /// <summary>2 up, 1 pause, 3 down: seconds without a unit, where at least two phases are said in a row.</summary>
    private static bool InTurn(TokenCursor at, LineDraft draft)
    {
        var phases = new List<(Phase Phase, int Seconds)>();
        while (at.Now is { IsWhole: true, Value: <= Tempo.LongestPhase })
        {
            var start = at.At;
            var seconds = (int)at.Now.Value;
            at.At++;
            at.TakeAny("-");
            if (PhaseSaid(at) is not { } phase)
            {
                at.At = start;
                break;
            }

            phases.Add((phase, seconds));
            at.TakeAny(",", "/", "-", ";");
        }

        return phases.Count > 1 && phases.TrueForAll(p => Put(draft, p.Phase, p.Seconds));
    }

    /// <summary>The word stands first only beside a dose: "hollow hold 10 s" is an exercise.</summary>
    private static bool WordFirst(TokenCursor at, LineDraft draft)
    {
        at.TakeAny("with", "w");
        at.TakeAny("/");
        at.TakeAny("a", "slow");
        var held = at.TakeAny("hold", "holds", "isohold").Length > 0;
        var phase = held ? Phase.Shortened : PhaseSaid(at);
        if (phase is not { } said || !draft.HasDose)
        {
            return false;
        }

        at.TakeAny(":", "=", "for", "of", "-", "about");
        if (Seconds(at) is not { } seconds)
        {
            return false;
        }

        return Put(draft, Place(at) ?? said, seconds);
    }

    private static int? Seconds(TokenCursor at)
    {
        if (Figures.Range(at) is not { } range || range.To > Tempo.LongestPhase)
        {
            return null;
        }

        at.Take("-");
        return at.TakeAny(Units).Length > 0 ? (int)Math.Round(range.To) : null;
    }

    private static Phase? PhaseSaid(TokenCursor at)
    {
        if (
            at.TakeAny(
                "ecc",
                "eccentric",
                "eccentrics",
                "negative",
                "negatives",
                "lowering",
                "lower",
                "down",
                "descent",
                "neg",
                "excentric"
            ).Length > 0
        )
        {
            at.TakeAny("phase", "portion");
            return Phase.Lowering;
        }

        if (at.TakeAny("pause", "pauses", "paused").Length > 0)
        {
            return Place(at) ?? Phase.Stretched;
        }

        if (at.TakeAny("stretch", "stretches").Length > 0)
        {
            return Phase.Stretched;
        }

        if (at.TakeAny("squeeze", "squeezes", "contraction").Length > 0)
        {
            _ = at.TakeAnyPhrase(Top);
            return Phase.Shortened;
        }

        return Place(at) ?? (at.TakeAny("up", "concentric", "raise").Length > 0 ? Phase.Lifting : null);
    }

    private static Phase? Place(TokenCursor at) =>
        at.TakeAnyPhrase(Bottom) ? Phase.Stretched
        : at.TakeAnyPhrase(Top) ? Phase.Shortened
        : null;

    private static bool Put(LineDraft draft, Phase phase, int seconds)
    {
        var basis = draft.Tempo ?? Tempo.Usual;
        draft.Tempo = phase switch
        {
            Phase.Lowering => basis with { Eccentric = seconds },
            Phase.Stretched => basis with { PauseStretched = seconds },
            Phase.Lifting => basis with { Concentric = seconds },
            _ => basis with { PauseShortened = seconds },
        };
        return true;
    }
}
