using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Packing;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>Loads of fixed and adjustable weights, each as printed on them.</summary>
public static class HandWeights
{
    /// <summary>Every load of one piece of a fixed or adjustable weight, lightest first.</summary>
    public static IEnumerable<ReachableLoad> One(Thing thing) => Loaded(thing, handles: 1);

    /// <summary>Every load of two equal pieces; empty when there is only one.</summary>
    public static IEnumerable<ReachableLoad> Pair(Thing thing)
    {
        ArgumentNullException.ThrowIfNull(thing);
        return IsAPair(thing) ? Loaded(thing, handles: 2) : [];
    }

    /// <summary>There are two of it, and a hand holds each.</summary>
    public static bool IsAPair(Thing thing)
    {
        ArgumentNullException.ThrowIfNull(thing);
        return thing.Count > 1 && !(thing.Kind.Is("plate") && thing.MassKg > HeaviestInOneHandKg);
    }

    /// <summary>Two unequal weights, one in each hand: for legs and carries, swapped from set to set.</summary>
    public static IEnumerable<ReachableLoad> Mixed(IReadOnlyList<Thing> things)
    {
        ArgumentNullException.ThrowIfNull(things);
        var fixedOnes = things.Where(t => !t.Kind.Is("adjustable") && t.MassKg > 0).ToList();
        return from i in Enumerable.Range(0, fixedOnes.Count)
            from j in Enumerable.Range(i + 1, fixedOnes.Count - i - 1)
            let a = fixedOnes[i]
            let b = fixedOnes[j]
            where Math.Abs(a.MassKg - b.MassKg) > 0.05
            select new ReachableLoad(
                a.MassKg + b.MassKg,
                $"{a.InWords} in one hand, {b.InWords} in the other, swapped every set",
                [a.Id, b.Id]
            );
    }

    /// <summary>Heaviest plate that a hand holds by its rim, and heaviest that both hold, kg. Common practice.</summary>
    private const double HeaviestInOneHandKg = 5,
        HeaviestInBothHandsKg = 25;

    /// <summary>Plates of a bar held on their own, one or one in each hand: what is at hand for raises and small muscles beside a
    /// bar.</summary>
    public static IEnumerable<ReachableLoad> Plates(Thing bar, int hands)
    {
        ArgumentNullException.ThrowIfNull(bar);
        var heaviest = hands == 2 ? HeaviestInOneHandKg : HeaviestInBothHandsKg;
        return from plate in bar.Item.Plates
            where plate.Count >= hands && plate.MassKg <= heaviest
            select new ReachableLoad(
                hands * plate.MassKg,
                $"{(hands == 2 ? "2 × " : string.Empty)}plate {bar.Mass(plate.MassKg)} of the bar",
                [bar.Id]
            );
    }

    /// <summary>Mass of a plate of a cable column's stack, kg. Common practice.</summary>
    private const double StackPlateKg = 5;

    /// <summary>Heaviest stack, kg.</summary>
    private const double HeaviestStackKg = 200;

    /// <summary>Every load of a cable column: so many plates of its stack.</summary>
    public static IEnumerable<ReachableLoad> Stack(Thing column)
    {
        ArgumentNullException.ThrowIfNull(column);
        return from plates in Enumerable.Range(1, (int)(Math.Min(column.MassKg, HeaviestStackKg) / StackPlateKg))
            select new ReachableLoad(plates * StackPlateKg, $"{column.InWords}, {column.Mass(plates * StackPlateKg)} of it", [column.Id]);
    }

    private static IEnumerable<ReachableLoad> Loaded(Thing thing, int handles)
    {
        ArgumentNullException.ThrowIfNull(thing);
        var times = handles == 2 ? "2 × " : string.Empty;
        if (!thing.Kind.Is("adjustable"))
        {
            return thing.MassKg > 0 ? [new ReachableLoad(handles * thing.MassKg, times + thing.InWords, [thing.Id])] : [];
        }

        // Both sides of every handle are loaded alike, so plates go in twos, or in fours for a pair.
        // Where no plates are said, its mass is that of bar and plates together.
        var bare = thing.Item.HandleKg ?? (thing.Item.Plates.IsDefaultOrEmpty ? thing.Item.MassKg : null) ?? thing.Kind.TypicalMassKg ?? 0;
        var plates = thing.Item.Plates.Select(
            (p, i) => new LooseObject($"{i}", thing.Mass(p.MassKg), p.MassKg * 2, 0, p.Count / (2 * handles))
        );
        var most = Math.Min(PackingTable.MostKg, thing.Item.Plates.Sum(p => p.MassKg * p.Count));
        return new PackingTable(plates, most, double.PositiveInfinity)
            .All()
            .Select(p => new ReachableLoad(
                handles * (bare + p.MassKg),
                p.PieceCount == 0
                    ? $"{times}{thing.InWords}, bare: {thing.Mass(bare)}"
                    : $"{times}{thing.InWords} with {p.InWords} on each side: {thing.Mass(bare + p.MassKg)}",
                [thing.Id]
            ));
    }
}
