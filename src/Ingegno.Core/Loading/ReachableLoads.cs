using System.Collections.Immutable;
using Ingegno.Core.Kit;

namespace Ingegno.Core.Loading;

/// <summary>Which external loads and band forces a place can provide, lightest first.</summary>
public sealed class ReachableLoads
{
    /// <summary>Water at 20 °C, kg/L. Source: CRC Handbook of Chemistry and Physics.</summary>
    public const double WaterKgPerLitre = 0.998;

    /// <summary>Loads closer together than this, in kg, are merged: nobody trains by a difference of 200 g.</summary>
    private const double MergeKg = 0.2;

    private readonly KitAtPlace _kit;
    private readonly Dictionary<LoadSource, ImmutableArray<ReachableLoad>> _known = [];

    public ReachableLoads(KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(kit);
        _kit = kit;
        Bands = BandForces();
        foreach (var source in Enum.GetValues<LoadSource>())
        {
            _known[source] = Merge(source switch
            {
                LoadSource.Pair => Pairs(),
                LoadSource.One => Singles(),
                LoadSource.Bar => Bars(),
                LoadSource.Worn => Vests().Concat(Filled("wear")),
                LoadSource.Held => Filled("hold"),
                _ => throw new InvalidOperationException($"Unknown load source {source}."),
            });
        }
    }

    /// <summary>Forces in kg-force that one band, or two together, give at their nominal stretch.</summary>
    public ImmutableArray<ReachableLoad> Bands { get; }

    /// <summary>All loads from the given sources, lightest first; never includes "no load".</summary>
    public ImmutableArray<ReachableLoad> From(ImmutableArray<LoadSource> sources) =>
        sources.Length == 1 ? _known[sources[0]] : Merge(sources.SelectMany(s => _known[s]));

    private IEnumerable<ReachableLoad> Pairs() =>
        from thing in _kit.ThatAre("hand-weight")
        where thing.Count >= 2 && thing.MassKg > 0
        select new ReachableLoad(2 * thing.MassKg, $"2 × {thing.InWords}", [thing.Id]);

    private IEnumerable<ReachableLoad> Singles() =>
        from thing in _kit.ThatAre("hand-weight")
        where thing.MassKg > 0
        select new ReachableLoad(thing.MassKg, thing.InWords, [thing.Id]);

    private IEnumerable<ReachableLoad> Bars() =>
        from thing in _kit.ThatAre("loaded-bar")
        where thing.MassKg > 0
        select new ReachableLoad(thing.MassKg, thing.InWords, [thing.Id]);

    private IEnumerable<ReachableLoad> Vests() =>
        from thing in _kit.ThatAre("vest")
        where thing.MassKg > 0
        select new ReachableLoad(thing.MassKg, thing.InWords, [thing.Id]);

    /// <summary>Containers of one use, packed with loose objects or filled with water by the half litre.</summary>
    private IEnumerable<ReachableLoad> Filled(string use)
    {
        foreach (var container in _kit.ThatAre(use))
        {
            var limit = Math.Min(container.MaxLoadKg, 60);
            if (container.Kind.Is("holds-water"))
            {
                var volume = Math.Min(container.VolumeL, limit / WaterKgPerLitre);
                for (var litres = 0.5; litres <= volume + 1e-9; litres += 0.5)
                {
                    var mass = container.MassKg + (litres * WaterKgPerLitre);
                    yield return new ReachableLoad(
                        mass, $"{container.InWords} with {Words.Number(litres)} L water: {Words.Number(mass)} kg", [container.Id]);
                }

                continue;
            }

            foreach (var packing in SubsetSums.All(LooseObjects(container), limit).Where(p => p.PieceCount > 0))
            {
                var mass = container.MassKg + packing.MassKg;
                yield return new ReachableLoad(
                    mass,
                    $"{container.InWords} with {packing.InWords}: {Words.Number(mass)} kg",
                    [container.Id, .. packing.Pieces.Select(p => p.Object.Id)]);
            }
        }
    }

    private List<LooseObject> LooseObjects(Thing container) =>
        [.. _kit.ThatAre("pack").Where(t => t.Id != container.Id && t.MassKg > 0)
            .Select(t => new LooseObject(t.Id, t.InWords, t.MassKg, t.Count))];

    private ImmutableArray<ReachableLoad> BandForces()
    {
        var single = _kit.ThatAre("band").Where(t => t.ForceKg > 0)
            .SelectMany(t => Enumerable.Repeat(t, Math.Min(t.Count, 2))).ToList();
        var loads = single.Select(t => new ReachableLoad(t.ForceKg, t.InWords, [t.Id])).ToList();
        for (var i = 0; i < single.Count; i++)
        {
            for (var j = i + 1; j < single.Count; j++)
            {
                var names = single[i].Id == single[j].Id ? $"2 × {single[i].InWords}" : $"{single[i].InWords} + {single[j].InWords}";
                loads.Add(new ReachableLoad(single[i].ForceKg + single[j].ForceKg, names, [single[i].Id, single[j].Id]));
            }
        }

        return Merge(loads);
    }

    /// <summary>Sorts by mass and keeps the simplest recipe (fewest items) of loads that are nearly equal.</summary>
    private static ImmutableArray<ReachableLoad> Merge(IEnumerable<ReachableLoad> loads)
    {
        var merged = ImmutableArray.CreateBuilder<ReachableLoad>();
        foreach (var load in loads.OrderBy(l => l.MassKg).ThenBy(l => l.ItemIds.Length).ThenBy(l => l.InWords, StringComparer.Ordinal))
        {
            if (merged.Count > 0 && load.MassKg - merged[^1].MassKg < MergeKg)
            {
                if (load.ItemIds.Length < merged[^1].ItemIds.Length)
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
