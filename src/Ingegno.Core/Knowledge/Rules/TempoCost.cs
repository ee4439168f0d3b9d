using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>
/// Share of straight-set reps that a tempo leaves, read off the steps of the techniques (docs/domain/prescription: three seconds down .80,
/// five .65, eight .5; a pause of two .85, three .75, five .65); both together leave the product.
/// </summary>
public sealed class TempoCost
{
    private readonly ImmutableArray<ImmutableArray<double>> _eccentric;
    private readonly ImmutableArray<ImmutableArray<double>> _pause;

    public TempoCost(IEnumerable<Technique> techniques)
    {
        var steps = techniques.ToList();
        _eccentric =
        [
            [Tempo.Usual.Eccentric, 1],
            .. steps
                .Where(t => t is { Eccentric: not null, Pause: null })
                .GroupBy(t => t.Eccentric!.Value)
                .OrderBy(g => g.Key)
                .Select(g => ImmutableArray.Create<double>(g.Key, g.Max(t => t.RepsLeft))), // a squeeze beside it costs more
        ];
        _pause =
        [
            [1, 1],
            .. steps
                .Where(t => t is { Eccentric: null, Pause: not null })
                .OrderBy(t => t.Pause)
                .Select(t => ImmutableArray.Create<double>(t.Pause!.Value, t.RepsLeft)),
        ];
    }

    /// <summary>Share left by a tempo, above 0, at most 1; the last step holds beyond it.</summary>
    public double Of(Tempo tempo) =>
        Interpolation.Linear(_eccentric, tempo.Eccentric).Value
        * Interpolation.Linear(_pause, Math.Max(tempo.PauseStretched, tempo.PauseShortened)).Value;
}
