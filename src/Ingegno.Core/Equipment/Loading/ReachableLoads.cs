using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Packing;
using Ingegno.Core.Equipment.Loading.Sketches;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>Which external loads a place can provide, lightest first.</summary>
public sealed class ReachableLoads
{
    /// <summary>Loads closer together than this, in kg, are merged: nobody trains by a difference of 200 g.</summary>
    private const double MergeKg = 0.2;

    /// <summary>Nobody wears or holds more than this at home, in kg.</summary>
    private const double MostHeldKg = 60;

    private readonly KitAtPlace _kit;
    private readonly Lazy<LoadBuilder> _builder;
    private readonly Dictionary<LoadSource, ImmutableArray<ReachableLoad>> _known = [];

    /// <summary>Sources together: dozens of set-ups take from the same.</summary>
    private readonly Dictionary<string, ImmutableArray<ReachableLoad>> _together = new(StringComparer.Ordinal);

    public ReachableLoads(KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(kit);
        _kit = kit;
        _builder = new Lazy<LoadBuilder>(() => PlaceLoads.Builder(kit));
    }

    /// <summary>All loads from the given sources, lightest first; never includes "no load".</summary>
    public ImmutableArray<ReachableLoad> From(ImmutableArray<LoadSource> sources)
    {
        if (sources.Length == 1)
        {
            return Of(sources[0]);
        }

        var key = string.Join(' ', sources);
        return _together.TryGetValue(key, out var known) ? known : _together[key] = Merge(sources.SelectMany(s => Of(s)));
    }

    /// <summary>Whether any of the sources has a load here, without listing what containers can be filled to.</summary>
    public bool Any(ImmutableArray<LoadSource> sources) =>
        sources.Any(source =>
            source switch
            {
                LoadSource.Pair => ForEachHand.Any(HandWeights.IsAPair)
                    || Plates(hands: 2).Any()
                    || PlaceLoads.Containers(_kit, "hold").Any(c => c.Count > 1 && CanFill(c)),
                LoadSource.One => _kit.UsableThatAre("hand-weight").Any() || Plates(hands: 1).Any(),
                LoadSource.Mixed => _kit.UsableThatAre("hand-weight").Count() > 1,
                LoadSource.Bar => _kit.UsableThatAre("loaded-bar").Any(),
                LoadSource.TrapBar => _kit.UsableThatAre("trap-bar").Any(),
                LoadSource.Stack => _kit.UsableThatAre("stack").Any(),
                LoadSource.Worn => _kit.UsableThatAre("vest").Any() || PlaceLoads.Containers(_kit, "wear").Any(CanFill),
                _ => PlaceLoads.Containers(_kit, "hold").Any(CanFill) || _kit.UsableThatAre("hold-whole").Any(),
            }
        );

    /// <summary>Weights with a handle, and what else a hand closes on when there are two of it: books and tins are held for raises, not swung.</summary>
    private IEnumerable<Thing> ForEachHand => _kit.UsableThatAre("hand-weight").Concat(_kit.UsableThatAre("in-each-hand"));

    private IEnumerable<ReachableLoad> Plates(int hands) =>
        _kit.UsableThatAre("loaded-bar").Concat(_kit.UsableThatAre("trap-bar")).SelectMany(bar => HandWeights.Plates(bar, hands));

    private bool CanFill(Packing.Container container) =>
        container.HoldsWater
        || PlaceLoads.Objects(_kit).Any(o => o.MassKg <= container.ContentLimitKg)
        || PlaceLoads.Fillers(_kit).Any(f => !f.Wet);

    private ImmutableArray<ReachableLoad> Of(LoadSource source)
    {
        if (!_known.TryGetValue(source, out var loads))
        {
            var found = source switch
            {
                LoadSource.Pair => ForEachHand.SelectMany(HandWeights.Pair).Concat(Plates(hands: 2)).Concat(Filled("hold", hands: 2)),
                LoadSource.One => _kit.UsableThatAre("hand-weight").SelectMany(HandWeights.One).Concat(Plates(hands: 1)),
                LoadSource.Mixed => HandWeights.Mixed([.. _kit.UsableThatAre("hand-weight")]),
                LoadSource.Bar => _kit.UsableThatAre("loaded-bar").SelectMany(HandWeights.One),
                LoadSource.TrapBar => _kit.UsableThatAre("trap-bar").SelectMany(HandWeights.One),
                LoadSource.Stack => _kit.UsableThatAre("stack").SelectMany(HandWeights.Stack),
                LoadSource.Worn => _kit.UsableThatAre("vest").SelectMany(HandWeights.One).Concat(Filled("wear", hands: 1)),
                LoadSource.Held => Filled("hold", hands: 1).Concat(_kit.UsableThatAre("hold-whole").SelectMany(HandWeights.One)),
                _ => throw new InvalidOperationException($"Unknown load source {source}."),
            };
            _known[source] = loads = Merge(found.Select(l => l with { Source = source }));
        }

        return loads;
    }

    /// <summary>Containers of one use, packed with loose objects or filled by the half litre.</summary>
    private IEnumerable<ReachableLoad> Filled(string use, int hands)
    {
        foreach (var container in PlaceLoads.Containers(_kit, use).Where(c => c.Count >= hands))
        {
            var others = container with { ContentLimitKg = Math.Min(container.ContentLimitKg, MostHeldKg) };
            foreach (var recipe in Merge(_builder.Value.Reachable(others, hands, MergeKg / hands), r => r.TotalKg, r => r.PieceCount))
            {
                yield return new ReachableLoad(
                    recipe.TotalKg,
                    recipe.InWords,
                    [container.Id, .. recipe.Packed.Pieces.Select(p => p.Piece.Id)]
                )
                {
                    Bag = PackedBag.Pack(recipe, use == "wear"),
                };
            }
        }
    }

    private static ImmutableArray<ReachableLoad> Merge(IEnumerable<ReachableLoad> loads) =>
        Merge(loads.OrderBy(l => l.InWords, StringComparer.Ordinal), l => l.MassKg, l => l.ItemIds.Length);

    /// <summary>Sorts by mass and keeps the simplest (fewest pieces) of those that are nearly equal.</summary>
    private static ImmutableArray<T> Merge<T>(IEnumerable<T> loads, Func<T, double> mass, Func<T, int> pieces)
    {
        var merged = ImmutableArray.CreateBuilder<T>();
        foreach (var load in loads.OrderBy(mass).ThenBy(pieces))
        {
            if (merged.Count > 0 && mass(load) - mass(merged[^1]) < MergeKg)
            {
                if (pieces(load) < pieces(merged[^1]))
                {
                    merged[^1] = load;
                }

                continue;
            }

            merged.Add(load);
        }

        return merged.ToImmutable();
    }
}
