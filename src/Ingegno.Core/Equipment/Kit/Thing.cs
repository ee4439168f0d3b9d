using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>A kit item joined with its kind: every measure answered, either measured or typical.</summary>
public sealed record Thing(KitItem Item, KitKind Kind)
{
    public string Id => Item.Id;

    /// <summary>The place on it that is used; null for the thing as such.</summary>
    public KitPart? Part { get; init; }

    /// <summary>Key of the thing with its part, by which a plan remembers which was used.</summary>
    public string SpotId => Part is null ? Id : $"{Id}:{Part.Id}";

    /// <summary>True when it is of that kind, or can stand in for it.</summary>
    public bool Is(string thing) => Part?.Can.Contains(thing) ?? Kind.Is(thing);

    /// <summary>Itself and every part of it.</summary>
    public IEnumerable<Thing> Spots => Kind.Parts.Select(p => this with { Part = p }).Prepend(this);

    public int Count => Item.Count;

    public double MassKg => Item.MassKg ?? Kind.TypicalMassKg ?? 0;

    public double ForceKg => Item.ForceKg ?? Kind.TypicalForceKg ?? 0;

    public double RestLengthCm => Item.RestLengthCm ?? Kind.TypicalRestLengthCm ?? 0;

    public double WidthMm => Item.WidthMm ?? Kind.TypicalWidthMm ?? 0;

    public double ThicknessMm => Item.ThicknessMm ?? Kind.TypicalThicknessMm ?? 0;

    public double HeightCm => Part?.TypicalHeightCm ?? (Part?.TimesHeight ?? 1) * (Item.HeightCm ?? Kind.TypicalHeightCm ?? 0);

    public double VolumeL => Item.VolumeL ?? Kind.TypicalVolumeL ?? 0;

    public double DensityKgPerL => Item.DensityKgPerL ?? Kind.TypicalDensityKgPerL ?? 0;

    public double MaxLoadKg => Item.MaxLoadKg ?? Kind.TypicalMaxLoadKg ?? double.PositiveInfinity;

    public double OverhangCm => Item.OverhangCm ?? Kind.TypicalOverhangCm ?? 0;

    public double LegToCentreCm => Item.LegToCentreCm ?? Kind.TypicalLegToCentreCm ?? 0;

    public ImmutableArray<AnchorHeight> AnchorAt => Item.AnchorAt.IsDefaultOrEmpty ? Kind.TypicalAnchorAt : Item.AnchorAt;

    /// <summary>Why it must not be used at all, null when nothing is known against it.</summary>
    public string? RuledOut =>
        !Item.Hazards.IsDefaultOrEmpty
            ? Item.Hazards[0] switch
            {
                Hazard.Glass => "glass breaks",
                Hazard.Wheels => "it stands on wheels",
                Hazard.Folds => "it folds up",
                Hazard.DoorOpensTowardPull => "the door opens toward the pull",
                Hazard.Moves => "it moves",
                _ => "a radiator is no anchor",
            }
        : Item.State == BandState.Nicked ? "it is nicked: replace it"
        : null;

    /// <summary>True when a measure that its kind is described by was not entered.</summary>
    public bool Estimated =>
        Kind.Measures.Any(m =>
            m switch
            {
                KitMeasure.Mass => Item.MassKg is null,
                KitMeasure.Plates => Item.HandleKg is null || Item.Plates.IsDefaultOrEmpty,
                KitMeasure.Force => Item.ForceKg is null
                    && Item.Calibration.IsDefaultOrEmpty
                    && (Item.RestLengthCm is null || Item.WidthMm is null),
                KitMeasure.Height => Item.HeightCm is null,
                KitMeasure.Volume => Item.VolumeL is null,
                KitMeasure.Density => Item.DensityKgPerL is null && Item.Kind != "water",
                _ => false,
            }
        );

    /// <summary>The thing in words, with the measure a client knows it by: "ottoman 40 cm", "dumbbell 20 lb".</summary>
    public string InWords
    {
        get
        {
            var name = string.IsNullOrWhiteSpace(Item.Name) ? Kind.Label.ToLowerInvariant() : Item.Name.Trim();
            if (Part is not null)
            {
                return $"{Part.Name} of the {name} {Words.Number(HeightCm, 0)} cm";
            }

            var measure = Kind switch
            {
                var k when k.Has(KitMeasure.Height) && HeightCm > 0 => Words.Number(HeightCm, 0) + " cm",
                var k when k.Has(KitMeasure.Force) && Item.WidthMm is { } width => Words.Number(width) + " mm",
                var k when k.Has(KitMeasure.Force) && ForceKg > 0 => "about " + Words.Number(ForceKg) + " kg",
                var k when k.Has(KitMeasure.Mass) && !k.Is("container") && !k.Is("filler") && MassKg > 0 => Mass(MassKg),
                _ => string.Empty,
            };
            return measure.Length == 0 || name.Contains(measure, StringComparison.OrdinalIgnoreCase) ? name : name + " " + measure;
        }
    }

    /// <summary>A mass in the unit that is printed on the thing.</summary>
    public string Mass(double kg) =>
        Item.Printed == MassUnit.Lb ? Words.Number(kg / Units.KgPerPound, 1) + " lb" : Words.Number(kg, 2) + " kg";
}
