using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading.Bands;
using Ingegno.Core.Equipment.Loading.Sketches;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Equipment.Loading;

/// <summary>One external load, or one rigged band, that a place can provide.</summary>
/// <param name="MassKg">Total mass in kg, or the mean force of a band over the rep; 0 for no load.</param>
/// <param name="InWords">The recipe: "2 × 12 kg dumbbells", "rucksack with 2 × bottle 1.5 kg: 4.1 kg".</param>
/// <param name="ItemIds">Ids of the kit items used.</param>
public sealed record ReachableLoad(double MassKg, string InWords, ImmutableArray<string> ItemIds)
{
    /// <summary>No external load.</summary>
    public static ReachableLoad None { get; } = new(0, string.Empty, []);

    /// <summary>Force of a band over the rep; null for a mass, which is the same everywhere.</summary>
    public ResistanceRange? Band { get; init; }

    /// <summary>Mass among it in kg: all of it, or what is beside a band.</summary>
    public double WeightKg { get; init; } = MassKg;

    /// <summary>Where the weight is held; null for a band alone and for none.</summary>
    public LoadSource? Source { get; init; }

    /// <summary>What is packed; null where nothing is.</summary>
    public PackedBag? Bag { get; init; }

    /// <summary>Bands as they are rigged; empty without one.</summary>
    public ImmutableArray<RiggedBand> Rigged { get; init; } = [];

    /// <summary>A weight with a band beside it: what a light weight lacks toward lock-out.</summary>
    public ReachableLoad With(ReachableLoad band)
    {
        ArgumentNullException.ThrowIfNull(band);
        return new ReachableLoad(MassKg + band.MassKg, $"{InWords}, with it {band.InWords}", [.. ItemIds.Union(band.ItemIds)])
        {
            WeightKg = MassKg,
            Source = Source,
            Bag = Bag,
            Rigged = band.Rigged,
            Band = band.Band,
            Warning = band.Warning,
            Stretch = band.Stretch,
        };
    }

    /// <summary>Largest stretch of its band, times the rest length; null without a band.</summary>
    public double? Stretch { get; init; }

    /// <summary>A band is stretched farther than is preferred.</summary>
    public bool IsFarStretched => Stretch > BandForceCurve.ComfortStretch;

    /// <summary>Why to take care with it.</summary>
    public Reason? Warning { get; init; }
}
