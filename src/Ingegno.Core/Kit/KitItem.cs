using System.Collections.Immutable;

namespace Ingegno.Core.Kit;

/// <summary>Height of an anchor point against the standing client.</summary>
public enum AnchorHeight { Low, Knee, Chest, High }

/// <summary>
/// One thing at a place. Which of the measures matter depends on its kind; those that are missing take the
/// typical value of the kind and the item then counts as estimated.
/// </summary>
public sealed record KitItem
{
    /// <summary>Key within the place.</summary>
    public required string Id { get; init; }

    /// <summary>Id of a kind in <c>data/trade/kit-kinds.json</c>.</summary>
    public required string Kind { get; init; }

    /// <summary>What the client calls it.</summary>
    public string? Name { get; init; }

    /// <summary>How many of them, 1–100.</summary>
    public int Count { get; init; } = 1;

    /// <summary>Mass of one piece in kg, above 0, at most 500.</summary>
    public double? MassKg { get; init; }

    /// <summary>Bands: nominal force in kg-force at a usual stretch, above 0, at most 150.</summary>
    public double? ForceKg { get; init; }

    /// <summary>Height in cm of a surface, 1–250.</summary>
    public double? HeightCm { get; init; }

    /// <summary>Volume in litres of a container, above 0, at most 300.</summary>
    public double? VolumeL { get; init; }

    /// <summary>What it may carry, in kg: rated, or judged by the coach.</summary>
    public double? MaxLoadKg { get; init; }

    /// <summary>Heights at which something can be anchored; empty takes those of the kind.</summary>
    public ImmutableArray<AnchorHeight> AnchorAt { get; init; } = [];
}

/// <summary>The kit of one place.</summary>
public sealed record PlaceKit
{
    /// <summary>Name of the place, for instance "flat, third floor".</summary>
    public required string Name { get; init; }

    public ImmutableArray<KitItem> Items { get; init; } = [];
}
