using System.Collections.Immutable;

namespace Ingegno.Core.AtHome.Loading.Packing;

/// <summary>
/// Every mass that can be packed from loose objects, exact to 10 g, each with the fewest pieces that reach it without
/// overfilling. Bounded knapsack; where room is short, both pieces and volume are kept as long as neither is worse.
/// </summary>
public sealed class PackingTable
{
    /// <summary>Resolution of the sums, in kg.</summary>
    public const double ResolutionKg = 0.01;

    /// <summary>Largest limit that is searched, in kg.</summary>
    public const double MostKg = 200;

    private readonly ImmutableArray<LooseObject> _objects;
    private readonly Node?[] _best;

    /// <summary>Searches all masses from 0 to <paramref name="limitKg"/>, 0–200 kg, within <paramref name="volumeL"/>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The limit is negative, not a number or above 200 kg.</exception>
    public PackingTable(IEnumerable<LooseObject> objects, double limitKg, double volumeL)
    {
        ArgumentNullException.ThrowIfNull(objects);
        if (!(limitKg is >= 0 and <= MostKg))
        {
            throw new ArgumentOutOfRangeException(nameof(limitKg), limitKg, $"The limit must be between 0 and {MostKg} kg.");
        }

        _objects = [.. objects.Where(o => o.MassKg >= ResolutionKg / 2 && o.Count > 0).OrderBy(o => o.Id, StringComparer.Ordinal)];
        _best = new Node?[ToUnits(limitKg + 1e-9, down: true) + 1];
        _best[0] = new Node(0, 0, -1, 0, null, null);

        // When everything fits at once, room decides nothing and one way per mass is enough.
        var tight = _objects.Sum(o => o.VolumeL * o.Count) > volumeL;
        for (var i = 0; i < _objects.Length; i++)
        {
            Add(i, tight ? volumeL : double.PositiveInfinity, tight);
        }
    }

    /// <summary>Highest mass searched, in units of 10 g.</summary>
    public int Top => _best.Length - 1;

    /// <summary>A mass in units of 10 g.</summary>
    public static int ToUnits(double kg, bool down = false) =>
        down ? (int)Math.Floor(kg / ResolutionKg) : (int)Math.Round(kg / ResolutionKg, MidpointRounding.AwayFromZero);

    /// <summary>True when the mass, in units of 10 g, can be packed.</summary>
    public bool Reaches(int units) => units >= 0 && units <= Top && _best[units] is not null;

    /// <summary>The packing with the fewest pieces, null when the mass cannot be packed.</summary>
    public Packing? At(int units) => Reaches(units) ? Trace(units, _best[units]!) : null;

    /// <summary>Fewest pieces that reach the mass; it must be reachable.</summary>
    public int PiecesAt(int units) => _best[units]!.Pieces;

    /// <summary>Volume in L that the fewest pieces take; the mass must be reachable.</summary>
    public double VolumeAt(int units) => _best[units]!.VolumeL;

    /// <summary>
    /// All masses that can be packed, lightest first, from nothing up; of those nearer to one another than
    /// <paramref name="apartKg"/> the one with the fewest pieces.
    /// </summary>
    public IEnumerable<Packing> All(double apartKg = 0)
    {
        var apart = Math.Max(1, ToUnits(apartKg));
        for (var units = 0; units <= Top; units++)
        {
            if (_best[units] is null)
            {
                continue;
            }

            var simplest = units;
            for (var near = units + 1; near < units + apart && near <= Top; near++)
            {
                if (_best[near] is { } other && other.Pieces < _best[simplest]!.Pieces)
                {
                    simplest = near;
                }
            }

            yield return Trace(simplest, _best[simplest]!);
            units += apart - 1;
        }
    }

    private void Add(int index, double volumeL, bool tight)
    {
        var piece = _objects[index];
        var units = Math.Max(1, ToUnits(piece.MassKg));

        // From above: what lies below has not been touched by this object yet.
        for (var sum = Top; sum >= units; sum--)
        {
            for (var n = 1; n <= piece.Count && n * units <= sum; n++)
            {
                for (var from = _best[sum - (n * units)]; from is not null; from = from.Next)
                {
                    var volume = from.VolumeL + (n * piece.VolumeL);
                    if (volume <= volumeL + 1e-9)
                    {
                        _best[sum] = Insert(_best[sum], from.Pieces + n, volume, index, n, from, tight);
                    }
                }
            }
        }
    }

    /// <summary>Keeps a chain of ways, fewest pieces first, in which more pieces always take less room.</summary>
    private static Node? Insert(Node? chain, int pieces, double volume, int index, int count, Node from, bool tight)
    {
        if (chain is null || pieces < chain.Pieces || (pieces == chain.Pieces && volume < chain.VolumeL - 1e-12))
        {
            var rest = chain;
            while (rest is not null && (!tight || rest.VolumeL >= volume - 1e-12))
            {
                rest = rest.Next;
            }

            return new Node(pieces, volume, index, count, from, rest);
        }

        if (!tight || volume >= chain.VolumeL - 1e-12)
        {
            return chain;
        }

        var next = Insert(chain.Next, pieces, volume, index, count, from, tight);
        return ReferenceEquals(next, chain.Next) ? chain : chain with { Next = next };
    }

    private Packing Trace(int units, Node node)
    {
        var pieces = ImmutableArray.CreateBuilder<PackedPieces>();
        for (var at = node; at is { Index: >= 0 }; at = at.From!)
        {
            pieces.Add(new PackedPieces(_objects[at.Index], at.Count));
        }

        pieces.Reverse();
        return new Packing(units * ResolutionKg, node.VolumeL, pieces.ToImmutable());
    }

    private sealed record Node(int Pieces, double VolumeL, int Index, int Count, Node? From, Node? Next);
}
