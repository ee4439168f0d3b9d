using System.Collections.Immutable;

namespace Ingegno.Core.Kit;

/// <summary>What a thing is used for; kit screens are grouped by it.</summary>
public enum KitGroup { Lift, PullAgainst, StandOrLieOn, Slide, Fill, Helps }

/// <summary>A kind of thing that a place may have, with typical values for what nobody has measured yet.</summary>
public sealed record KitKind
{
    public required string Id { get; init; }

    public required string Label { get; init; }

    public required KitGroup Group { get; init; }

    /// <summary>What it can stand in for in a requirement, for instance <c>surface</c>, <c>step-on</c>, <c>anchor</c>.</summary>
    public ImmutableArray<string> Can { get; init; } = [];

    /// <summary>Which measures the kind is described by: <c>mass</c>, <c>force</c>, <c>height</c>, <c>volume</c>, <c>max-load</c>, <c>anchor</c>.</summary>
    public ImmutableArray<string> Measures { get; init; } = [];

    public double? TypicalMassKg { get; init; }

    public double? TypicalForceKg { get; init; }

    public double? TypicalHeightCm { get; init; }

    public double? TypicalVolumeL { get; init; }

    public double? TypicalMaxLoadKg { get; init; }

    public ImmutableArray<AnchorHeight> TypicalAnchorAt { get; init; } = [];

    /// <summary>Where the typical values come from.</summary>
    public required string Source { get; init; }

    /// <summary>True when the kind, or one of its abilities, is named <paramref name="thing"/>.</summary>
    public bool Is(string thing) => Id == thing || Can.Contains(thing);
}
