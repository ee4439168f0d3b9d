using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>What a thing is used for; kit screens are grouped by it.</summary>
public enum KitGroup
{
    Lift,
    PullAgainst,
    StandOrLieOn,
    Slide,
    Fill,
    Helps,
}

/// <summary>A measure by which things are described.</summary>
public enum KitMeasure
{
    Mass,
    Plates,
    Force,
    RestLength,
    Width,
    Thickness,
    Height,
    Volume,
    Density,
    MaxLoad,
    Overhang,
    LegToCentre,
    Anchor,
}

/// <summary>A kind of thing that a place may have, with typical values for what nobody has measured yet.</summary>
public sealed record KitKind
{
    public required string Id { get; init; }

    public required string Label { get; init; }

    /// <summary>Other words for it, by which quick entry finds it.</summary>
    public ImmutableArray<string> Synonyms { get; init; } = [];

    public required KitGroup Group { get; init; }

    /// <summary>How it is drawn in a figure; null for what has no drawing of its own.</summary>
    public string? Drawn { get; init; }

    /// <summary>What it can stand in for in a requirement, for instance <c>surface</c>, <c>step-on</c>, <c>anchor</c>.</summary>
    public ImmutableArray<string> Can { get; init; } = [];

    /// <summary>Which measures the kind is described by.</summary>
    public ImmutableArray<KitMeasure> Measures { get; init; } = [];

    public double? TypicalMassKg { get; init; }

    public double? TypicalForceKg { get; init; }

    public double? TypicalRestLengthCm { get; init; }

    public double? TypicalWidthMm { get; init; }

    public double? TypicalThicknessMm { get; init; }

    public double? TypicalHeightCm { get; init; }

    public double? TypicalVolumeL { get; init; }

    public double? TypicalDensityKgPerL { get; init; }

    public double? TypicalMaxLoadKg { get; init; }

    public double? TypicalOverhangCm { get; init; }

    public double? TypicalLegToCentreCm { get; init; }

    public ImmutableArray<AnchorHeight> TypicalAnchorAt { get; init; } = [];

    /// <summary>Other heights that it offers beside its own.</summary>
    public ImmutableArray<KitPart> Parts { get; init; } = [];

    /// <summary>What may rule such a thing out: stairs are neither of glass nor fold up, and nobody is asked.</summary>
    public ImmutableArray<Hazard> MayBe { get; init; } = [];

    /// <summary>What to try before the first use: keys of <see cref="FirstUseStep"/>.</summary>
    public ImmutableArray<string> FirstUse { get; init; } = [];

    /// <summary>Where the typical values come from.</summary>
    public required string Source { get; init; }

    /// <summary>True when the kind, or one of its abilities, is named <paramref name="thing"/>.</summary>
    public bool Is(string thing) => Id == thing || Can.Contains(thing);

    private static readonly ImmutableHashSet<string> Bearing =
    [
        "surface",
        "sit-on",
        "step-on",
        "lean-on",
        "lie-on",
        "pull-under",
        "hang-from",
        "support",
        "straps",
    ];

    /// <summary>Somebody sits, stands, lies, leans or hangs on it.</summary>
    public bool Bears => Can.Any(Bearing.Contains);

    /// <summary>True when the kind is described by the measure.</summary>
    public bool Has(KitMeasure measure) => Measures.Contains(measure);
}

/// <summary>A step of the test before a thing is used for the first time.</summary>
public sealed record FirstUseStep(string Id, string Text);
