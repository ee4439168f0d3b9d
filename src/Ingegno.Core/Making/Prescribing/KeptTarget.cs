using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Trainee.Strength;

namespace Ingegno.Core.Making.Prescribing;

/// <summary>
/// A rep target whose bottom every set can keep. Reps fall from set to set, and before anything is logged they are a guess: a figure
/// that only the fresh first set of a good day reaches makes the client grind all the others to failure. The top stays what is wanted.
/// </summary>
public static class KeptTarget
{
    /// <summary>How far below the middle of the expected range a careful reckoning stands, as a share of the way to its low end (own
    /// estimate).</summary>
    private const double Care = 0.5;

    /// <summary>The target with its bottom lowered to what the last set has; itself when the last set has it anyway.</summary>
    /// <param name="wanted">Reps wanted of every set.</param>
    /// <param name="expected">Expected reps to failure of the first set. Its width is what is not known: with logs it closes.</param>
    /// <param name="sets">Sets, 1 or more.</param>
    /// <param name="restSeconds">Rest between them, s.</param>
    /// <param name="rir">Reps in reserve at the end of each.</param>
    /// <param name="fatigue">What a set costs the next.</param>
    public static SetTarget Of(SetTarget wanted, RepRange expected, int sets, int restSeconds, int rir, SetFatigue fatigue)
    {
        ArgumentNullException.ThrowIfNull(wanted);
        ArgumentNullException.ThrowIfNull(expected);
        ArgumentNullException.ThrowIfNull(fatigue);
        var careful = expected.Mid - (Care * (expected.Mid - expected.Low));
        var last = fatigue.BySet(careful, sets, restSeconds, rir)[^1];
        return wanted.IsOpen || last >= wanted.Min ? wanted : wanted with { Min = Math.Clamp((int)Math.Floor(last), 1, wanted.Min) };
    }
}
