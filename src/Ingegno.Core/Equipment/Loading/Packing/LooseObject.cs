using System.Collections.Immutable;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Loading.Packing;

/// <summary>A loose object that can be packed: mass in kg, volume in L, and how many there are.</summary>
public sealed record LooseObject(string Id, string Name, double MassKg, double VolumeL, int Count);

/// <summary>Something that fills: bulk density in kg/L and litres at hand.</summary>
/// <param name="Wet">It runs out of anything that does not hold water.</param>
public sealed record Filler(string Id, string Name, double DensityKgPerL, double AvailableL, bool Wet);

/// <summary>A container: its own mass in kg, its room in L, what its content may weigh in kg, and how many there are.</summary>
public sealed record Container(string Id, string Name, double TareKg, double VolumeL, double ContentLimitKg, bool HoldsWater, int Count);

/// <summary>Pieces of one object in a packing.</summary>
public sealed record PackedPieces(LooseObject Piece, int Count);

/// <summary>What was poured in.</summary>
public sealed record PouredFiller(Filler Filler, double Litres)
{
    public double MassKg => Litres * Filler.DensityKgPerL;
}

/// <summary>One way to reach a mass from loose objects.</summary>
public sealed record Packing(double MassKg, double VolumeL, ImmutableArray<PackedPieces> Pieces)
{
    /// <summary>How many pieces are packed.</summary>
    public int PieceCount => Pieces.Sum(p => p.Count);

    /// <summary>The recipe in words: "2 × bottle and dictionary".</summary>
    public string InWords => Words.Join([.. Pieces.Select(p => p.Count == 1 ? p.Piece.Name : $"{p.Count} × {p.Piece.Name}")]);
}
