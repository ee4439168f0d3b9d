using System.Collections.Immutable;

namespace Ingegno.Core.Kit;

/// <summary>A kit item joined with its kind: every measure answered, either measured or typical.</summary>
public sealed record Thing(KitItem Item, KitKind Kind)
{
    public string Id => Item.Id;

    public int Count => Item.Count;

    public double MassKg => Item.MassKg ?? Kind.TypicalMassKg ?? 0;

    public double ForceKg => Item.ForceKg ?? Kind.TypicalForceKg ?? 0;

    public double HeightCm => Item.HeightCm ?? Kind.TypicalHeightCm ?? 0;

    public double VolumeL => Item.VolumeL ?? Kind.TypicalVolumeL ?? 0;

    public double MaxLoadKg => Item.MaxLoadKg ?? Kind.TypicalMaxLoadKg ?? double.PositiveInfinity;

    public ImmutableArray<AnchorHeight> AnchorAt => Item.AnchorAt.IsDefaultOrEmpty ? Kind.TypicalAnchorAt : Item.AnchorAt;

    /// <summary>True when a measure that its kind is described by was not entered.</summary>
    public bool Estimated =>
        (Kind.Measures.Contains("mass") && Item.MassKg is null)
        || (Kind.Measures.Contains("force") && Item.ForceKg is null)
        || (Kind.Measures.Contains("height") && Item.HeightCm is null)
        || (Kind.Measures.Contains("volume") && Item.VolumeL is null);

    /// <summary>The thing in words, with the measure a client knows it by: "ottoman 40 cm".</summary>
    public string InWords
    {
        get
        {
            var name = string.IsNullOrWhiteSpace(Item.Name) ? Kind.Label.ToLowerInvariant() : Item.Name.Trim();
            var measure = Kind.Measures switch
            {
                var m when m.Contains("height") && HeightCm > 0 => Words.Number(HeightCm, 0) + " cm",
                var m when m.Contains("force") && ForceKg > 0 => "about " + Words.Number(ForceKg) + " kg",
                var m when m.Contains("mass") && !m.Contains("volume") && MassKg > 0 => Words.Number(MassKg, 2) + " kg",
                _ => string.Empty,
            };
            return measure.Length == 0 || name.Contains(measure, StringComparison.OrdinalIgnoreCase) ? name : name + " " + measure;
        }
    }
}
