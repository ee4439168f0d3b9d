using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Equipment.Loading.Packing;

/// <summary>Reads containers, loose objects and fillers from a place.</summary>
public static class PlaceLoads
{
    /// <summary>A builder over all that is at the place.</summary>
    public static LoadBuilder Builder(KitAtPlace kit) => new(Containers(kit), Objects(kit), Fillers(kit));

    /// <summary>Containers of the place; <paramref name="use"/> is <c>wear</c>, <c>hold</c> or <c>container</c>.</summary>
    public static ImmutableArray<Container> Containers(KitAtPlace kit, string use = "container")
    {
        ArgumentNullException.ThrowIfNull(kit);
        return [.. kit.UsableThatAre(use).Where(t => t.Kind.Is("container")).Select(ToContainer)];
    }

    public static ImmutableArray<LooseObject> Objects(KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(kit);
        return
        [
            .. kit.UsableThatAre("pack")
                .Where(t => t.MassKg > 0)
                .Select(t => new LooseObject(t.Id, t.InWords, t.MassKg, t.VolumeL, t.Count)),
            .. kit.UsableThatAre("holds-water").Where(t => t.VolumeL is > 0 and <= MostCarriedInABagL).Select(FullOfWater),
        ];
    }

    /// <summary>Largest water container that goes into a bag, L. Common practice.</summary>
    private const double MostCarriedInABagL = 10;

    /// <summary>Walls and handle: outside over inside.</summary>
    private const double OutsideOverInside = 1.15;

    /// <summary>A full canister is a thing to pack into a bag like any other.</summary>
    private static LooseObject FullOfWater(Thing thing)
    {
        var water = Math.Min(thing.VolumeL * Units.WaterKgPerLitre, thing.MaxLoadKg);
        return new LooseObject(
            thing.Id,
            $"{thing.InWords} full of water {thing.Mass(thing.MassKg + water)}",
            thing.MassKg + water,
            thing.VolumeL * OutsideOverInside,
            thing.Count
        );
    }

    public static ImmutableArray<Filler> Fillers(KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(kit);
        var here = kit.UsableThatAre("filler")
            .Select(t => new Filler(t.Id, t.Kind.Label.ToLowerInvariant(), t.DensityKgPerL, t.VolumeL, IsWet(t.Kind)));
        return [.. here.Concat(kit.ThatAre("water").Any() ? [] : [Tap])];
    }

    /// <summary>Water from the tap, which every place has.</summary>
    public static Filler Tap { get; } = new("tap-water", "water", Units.WaterKgPerLitre, 1000, true);

    public static Container ToContainer(Thing thing)
    {
        ArgumentNullException.ThrowIfNull(thing);
        return new(
            thing.Id,
            thing.InWords,
            thing.MassKg,
            thing.VolumeL,
            Math.Min(thing.MaxLoadKg, PackingTable.MostKg),
            thing.Kind.Is("holds-water"),
            thing.Count
        );
    }

    private static bool IsWet(KitKind kind) => kind.Id is "water" or "milk" or "detergent" or "wet-towels";
}
