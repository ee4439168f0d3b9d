using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What a set costs the next one (<c>data/rules/set-fatigue.json</c>).</summary>
/// <param name="Left">Points (rest in s, share of the reps of the set before that is left), shortest rest first.</param>
/// <param name="SparedPerRir">Share of the cost that each rep in reserve spares.</param>
public sealed record SetFatigue(ImmutableArray<ImmutableArray<double>> Left, double SparedPerRir)
{
    /// <summary>Share of reps to failure that the next set has after a set to failure and a rest in seconds.</summary>
    public double ShareAfter(int restSeconds) => Interpolation.Linear(Left, restSeconds).Value;

    /// <summary>
    /// Reps to failure of each set in turn: r, r·s, r·s² … where s is the share after the rest, closer to 1 the more reps
    /// stay in reserve.
    /// </summary>
    /// <param name="first">Reps to failure of the first set, fresh.</param>
    /// <param name="sets">Sets, 1 or more.</param>
    /// <param name="restSeconds">Rest between them, s.</param>
    /// <param name="rir">Reps in reserve at the end of each.</param>
    public ImmutableArray<double> BySet(double first, int sets, int restSeconds, int rir)
    {
        var cost = (1 - ShareAfter(restSeconds)) * Math.Max(0, 1 - (SparedPerRir * rir));
        return [.. Enumerable.Range(0, Math.Max(1, sets)).Select(i => first * Math.Pow(Math.Clamp(1 - cost, 0.1, 1), i))];
    }
}
