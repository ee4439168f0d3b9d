using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>A tempo as it is counted aloud: its phases in the order of the movement.</summary>
public static class RepCounting
{
    /// <summary>Phases of a rep; those of no length are left out.</summary>
    /// <param name="tempo">The tempo, eccentric first as it is written.</param>
    /// <param name="count">How the movement is counted.</param>
    public static ImmutableArray<RepPhase> Phases(Tempo tempo, RepCount count)
    {
        ArgumentNullException.ThrowIfNull(count);
        RepPhase[] back = [new(count.Eccentric, tempo.Eccentric, RepWay.Return), new("hold", tempo.PauseStretched, RepWay.HoldLong)];
        RepPhase[] work =
        [
            new(count.Concentric, tempo.Explosive ? 1 : tempo.Concentric, RepWay.Work, tempo.Explosive),
            new("hold", tempo.PauseShortened, RepWay.HoldShort),
        ];
        return [.. (count.First == FirstPhase.Eccentric ? back.Concat(work) : work.Concat(back)).Where(p => p.Seconds > 0)];
    }

    /// <summary>The phases in words: "down 3, hold 2, up fast".</summary>
    public static Reason InWords(IEnumerable<RepPhase> phases) =>
        Reason.Of(
            "count.rep",
            (
                "phases",
                FactList.Of(phases.Select(p => Reason.Of("count.phase", ("word", p.Word), ("seconds", p.Seconds), ("fast", p.Fast))))
            )
        );
}
