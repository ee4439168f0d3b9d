using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Loading.Packing;

/// <summary>Loose objects that are the same to a packer: of one mass, and of one volume.</summary>
/// <param name="Units">Mass of a piece in units of 10 g.</param>
/// <param name="VolumeL">Volume of a piece, L.</param>
/// <param name="Count">How many are worth a thought.</param>
/// <param name="Members">Which objects they are.</param>
internal sealed record PackingKind(int Units, double VolumeL, int Count, ImmutableArray<LooseObject> Members)
{
    /// <summary>
    /// The kinds among the objects, by id of the first. No kind has more pieces than the limit or the room can take; of a mass the smallest
    /// go first, and what is larger stays out once smaller ones are enough.
    /// </summary>
    public static ImmutableArray<PackingKind> Group(IEnumerable<LooseObject> objects, int top, double volumeL) =>
        [
            .. objects
                .GroupBy(o => PackingTable.ToUnits(o.MassKg))
                .Where(mass => mass.Key > 0)
                .SelectMany(mass => OfMass(mass.Key, mass, Math.Min(top / mass.Key, PackingTable.MostPieces), volumeL))
                .OrderBy(k => k.Members[0].Id, StringComparer.Ordinal),
        ];

    private static IEnumerable<PackingKind> OfMass(int units, IEnumerable<LooseObject> objects, int most, double volumeL)
    {
        foreach (var same in objects.GroupBy(o => o.VolumeL).OrderBy(g => g.Key))
        {
            var room = same.Key > 0 && double.IsFinite(volumeL) ? (int)Math.Min(most, (volumeL + 1e-9) / same.Key) : most;
            var count = Math.Min(room, same.Sum(o => o.Count));
            if (count > 0)
            {
                yield return new PackingKind(units, same.Key, count, [.. same.OrderBy(o => o.Id, StringComparer.Ordinal)]);
                most -= count;
            }
        }
    }

    /// <summary>So many pieces, of the first objects first.</summary>
    public IEnumerable<PackedPieces> Take(int count)
    {
        foreach (var piece in Members)
        {
            var taken = Math.Min(count, piece.Count);
            if (taken > 0)
            {
                yield return new PackedPieces(piece, taken);
            }

            count -= taken;
        }
    }
}
