using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>Height of an anchor point against the standing client.</summary>
public enum AnchorHeight
{
    Low,
    Knee,
    Chest,
    High,
}

/// <summary>The unit printed on a weight; inside, masses are always kg.</summary>
public enum MassUnit
{
    Kg,
    Lb,
}

/// <summary>State of a band at the last look.</summary>
public enum BandState
{
    Good,
    Worn,
    Nicked,
}

/// <summary>What rules an object out, whatever it could carry (docs/domain/kit-and-loads).</summary>
public enum Hazard
{
    Glass,
    Wheels,
    Folds,
    DoorOpensTowardPull,
    Moves,
    Radiator,
}

/// <summary>Plates of one mass.</summary>
/// <param name="MassKg">Mass of one in kg, above 0, at most 50.</param>
/// <param name="Count">How many, 1–40.</param>
public sealed record PlateSet(double MassKg, int Count);

/// <summary>Force of a band measured at a length.</summary>
/// <param name="LengthCm">Length end to end, in cm, longer than at rest.</param>
/// <param name="ForceKg">Force there in kg, above 0.</param>
public sealed record CalibrationPoint(double LengthCm, double ForceKg);

/// <summary>
/// One thing at a place. Which of the measures matter depends on its kind; those that are missing take the
/// typical value of the kind and the item then counts as estimated.
/// </summary>
public sealed record KitItem
{
    /// <summary>Key within the place.</summary>
    public required string Id { get; init; }

    /// <summary>Id of a kind in <c>data/rules/kit-kinds.json</c>.</summary>
    public required string Kind { get; init; }

    /// <summary>What the client calls it.</summary>
    public string? Name { get; init; }

    /// <summary>How many of them, 1–100.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Mass of one piece in kg, above 0, at most 500; of a container empty, of furniture its own.</summary>
    public double? MassKg { get; init; }

    /// <summary>Unit printed on it.</summary>
    public MassUnit Printed { get; init; }

    /// <summary>The mass was weighed, not read or guessed.</summary>
    public bool Weighed { get; init; }

    /// <summary>Adjustable weights: mass of the empty handle or bar in kg.</summary>
    public double? HandleKg { get; init; }

    /// <summary>Adjustable weights: plates that go on it, all handles together.</summary>
    public ImmutableArray<PlateSet> Plates { get; init; } = [];

    /// <summary>Bands: force in kg-force at twice the rest length, above 0, at most 150.</summary>
    public double? ForceKg { get; init; }

    /// <summary>Bands: length end to end lying flat, in cm, 10–500.</summary>
    public double? RestLengthCm { get; init; }

    /// <summary>Bands: width of one strand in mm, 1–200.</summary>
    public double? WidthMm { get; init; }

    /// <summary>Bands: thickness of one strand in mm, 0.1–20.</summary>
    public double? ThicknessMm { get; init; }

    /// <summary>Bands: measured lengths and forces; they go before size and nominal force.</summary>
    public ImmutableArray<CalibrationPoint> Calibration { get; init; } = [];

    /// <summary>Bands: state at the last look.</summary>
    public BandState State { get; init; }

    /// <summary>Height in cm of a surface, 1–250.</summary>
    public double? HeightCm { get; init; }

    /// <summary>Volume in litres of a container, of a piece to pack, or of a filler at hand; above 0, at most 1,000.</summary>
    public double? VolumeL { get; init; }

    /// <summary>Fillers: bulk density in kg/L, 0.05–12.</summary>
    public double? DensityKgPerL { get; init; }

    /// <summary>What it may carry, in kg: rated by the maker, or judged by the coach.</summary>
    public double? MaxLoadKg { get; init; }

    /// <summary>Tables: how far the edge hangs over the line of the legs, in cm, 0–100.</summary>
    public double? OverhangCm { get; init; }

    /// <summary>Tables and chairs: from the line of the legs to the middle of the object, in cm, 1–150.</summary>
    public double? LegToCentreCm { get; init; }

    /// <summary>Heights at which something can be anchored; empty takes those of the kind.</summary>
    public ImmutableArray<AnchorHeight> AnchorAt { get; init; } = [];

    /// <summary>What rules it out.</summary>
    public ImmutableArray<Hazard> Hazards { get; init; } = [];

    /// <summary>Keys of the steps of the first-use test that were ticked.</summary>
    public ImmutableArray<string> Tested { get; init; } = [];
}

/// <summary>The kit of one place.</summary>
public sealed record PlaceKit
{
    /// <summary>Name of the place, for instance "flat, third floor".</summary>
    public required string Name { get; init; }

    public ImmutableArray<KitItem> Items { get; init; } = [];

    /// <summary>Whether safeties, or somebody beside, take a bar that pins; null while nobody has been asked.</summary>
    public bool? Guarded { get; init; }
}
