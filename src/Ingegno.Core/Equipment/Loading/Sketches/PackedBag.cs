using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading.Packing;

namespace Ingegno.Core.Equipment.Loading.Sketches;

/// <summary>Pieces in a bag, or what was poured in.</summary>
/// <param name="Name">What they are.</param>
/// <param name="Count">How many; 1 for a filler.</param>
/// <param name="MassKg">Mass of one, kg.</param>
/// <param name="VolumeL">Room of one, L; 0 where it is not known.</param>
public sealed record BagContent(string Name, int Count, double MassKg, double VolumeL);

/// <summary>A packed container as it is drawn: what lies where.</summary>
/// <param name="Name">The container.</param>
/// <param name="Worn">On the back: the heaviest lies high and against it (common practice). Held, it lies in the middle at the bottom.</param>
/// <param name="Hands">1, or 2 for the same in each hand.</param>
/// <param name="MassKg">Mass of one, packed, kg.</param>
/// <param name="ContentKg">Mass of its content, kg.</param>
/// <param name="MostKg">What its content may weigh, kg.</param>
/// <param name="FilledL">Room that the content takes, L.</param>
/// <param name="VolumeL">Its room, L.</param>
/// <param name="Contents">What is in it, the heaviest piece first.</param>
public sealed record PackedBag(
    string Name,
    bool Worn,
    int Hands,
    double MassKg,
    double ContentKg,
    double MostKg,
    double FilledL,
    double VolumeL,
    ImmutableArray<BagContent> Contents
)
{
    /// <summary>The drawing of a recipe.</summary>
    public static PackedBag Pack(LoadRecipe recipe, bool worn)
    {
        ArgumentNullException.ThrowIfNull(recipe);
        var pieces = recipe.Packed.Pieces.Select(p => new BagContent(
            p.Piece.Name,
            p.Count,
            Math.Round(p.Piece.MassKg, 2),
            Math.Round(p.Piece.VolumeL, 1)
        ));
        BagContent[] poured = recipe.Poured is { } filler
            ? [new BagContent(filler.Filler.Name, 1, Math.Round(filler.MassKg, 2), Math.Round(filler.Litres, 2))]
            : [];
        return new PackedBag(
            recipe.Container.Name,
            worn,
            recipe.Hands,
            Math.Round(recipe.MassKg, 2),
            Math.Round(recipe.MassKg - recipe.Container.TareKg, 2),
            Math.Round(recipe.Container.ContentLimitKg, 1),
            Math.Round(recipe.Packed.VolumeL + (recipe.Poured?.Litres ?? 0), 1),
            Math.Round(recipe.Container.VolumeL, 1),
            [.. pieces.Concat(poured).OrderByDescending(c => c.MassKg).ThenBy(c => c.Name, StringComparer.Ordinal)]
        );
    }
}
