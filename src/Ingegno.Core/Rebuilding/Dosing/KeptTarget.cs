using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>
/// A rep target whose bottom every set can keep. Reps fall from set to set, and before anything is logged they are a guess: a figure
/// that only the fresh first set of a good day reaches makes the client grind all the others to failure. The top stays what is wanted.
/// </summary>
public static class KeptTarget
{
    /// <summary>Top from which the bottom of a range is a share of it; below, they lie two apart.</summary>
    private const int WideFrom = 8;

    private const int Apart = 2;

    /// <summary>The target with its bottom lowered to what the last set has; itself when the last set has it anyway.</summary>
    /// <param name="wanted">Reps wanted of every set.</param>
    /// <param name="expected">Expected reps to failure of the first set. Its width is what is not known: with logs it closes.</param>
    /// <param name="sets">Sets, 1 or more.</param>
    /// <param name="restSeconds">Rest between them, s.</param>
    /// <param name="rir">Reps in reserve at the end of each.</param>
    /// <param name="domain">What a set costs the next, and how reps are kept.</param>
    public static SetTarget Fit(SetTarget wanted, RepRange expected, int sets, int restSeconds, int rir, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(wanted);
        ArgumentNullException.ThrowIfNull(domain);
        var last = CarefulLast(expected, sets, restSeconds, rir, domain);
        return wanted.IsOpen || last >= wanted.Min
            ? wanted
            : wanted with
            {
                Min = Math.Clamp(
                    (int)Math.Floor(last),
                    Math.Min(wanted.Min, (int)Math.Ceiling(domain.Dose.Kept.LeastOfPlanned * wanted.Min)),
                    wanted.Min
                ),
            };
    }

    /// <summary>Reps to failure of the last set if the client turns out somewhat weaker than expected.</summary>
    public static double CarefulLast(RepRange expected, int sets, int restSeconds, int rir, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(expected);
        ArgumentNullException.ThrowIfNull(domain);
        var careful = expected.Mid - (domain.Dose.Kept.Care * (expected.Mid - expected.Low));
        return domain.Fatigue.BySet(careful, sets, restSeconds, rir)[^1];
    }

    /// <summary>A range that is made and not written by a coach: no wider than can be aimed at, from its top down.</summary>
    public static SetTarget Narrow(SetTarget made, KeptRules rules)
    {
        ArgumentNullException.ThrowIfNull(made);
        return made.IsOpen ? made : made with { Min = Math.Clamp(made.Min, Bottom(made.Max, rules), made.Max) };
    }

    /// <summary>The same from the bottom up: what the hardest set had stays, and the top comes down.</summary>
    public static SetTarget NarrowUp(SetTarget made, KeptRules rules)
    {
        ArgumentNullException.ThrowIfNull(made);
        var top = made.Max;
        while (top > made.Min && Bottom(top, rules) > made.Min)
        {
            top--;
        }

        return made with
        {
            Max = top,
        };
    }

    /// <summary>Lowest bottom of a range with that top.</summary>
    private static int Bottom(int top, KeptRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return Math.Max(1, top >= WideFrom ? (int)Math.Ceiling(rules.LeastOfPlanned * top) : top - Apart);
    }
}
