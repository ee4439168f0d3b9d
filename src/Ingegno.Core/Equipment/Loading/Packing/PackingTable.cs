using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Loading.Packing;

/// <summary>
/// Every mass that can be packed from loose objects, exact to 10 g, each with the fewest pieces that reach it without
/// overfilling. Bounded knapsack; where room is short, both pieces and volume are kept as long as neither is worse, so that
/// one table answers for rooms of every size. Its work is bounded: see <see cref="Complete"/>.
/// </summary>
public sealed class PackingTable
{
    /// <summary>Resolution of the sums, in kg.</summary>
    public const double ResolutionKg = 0.01;

    /// <summary>Largest limit that is searched, in kg.</summary>
    public const double MostKg = 200;

    /// <summary>Nobody packs more pieces than this for a set.</summary>
    public const int MostPieces = 60;

    /// <summary>Ways that are weighed before the search keeps the simplest and the smallest of each mass alone.</summary>
    private const long ThoroughWays = 12_000_000;

    /// <summary>Ways that are weighed before the kinds of things that are left stay out.</summary>
    private const long MostWays = 24_000_000;

    private readonly ImmutableArray<PackingKind> _kinds;

    /// <summary>All ways found, by their place in this list; a way names those it builds on by theirs.</summary>
    private Way[] _ways = new Way[1024];
    private int _count;

    /// <summary>For each mass its way with the fewest pieces, <see cref="None"/> when it cannot be packed.</summary>
    private readonly int[] _best;
    private long _weighed;

    /// <summary>Searches all masses from 0 to <paramref name="limitKg"/>, 0–200 kg, within <paramref name="volumeL"/>.</summary>
    /// <param name="objects">What there is to pack.</param>
    /// <param name="limitKg">Heaviest mass to search, kg.</param>
    /// <param name="volumeL">Room, L; of the largest container where the table answers for several.</param>
    /// <param name="smallestL">Room of the smallest container that is asked about, L; null for that of the only one.</param>
    /// <exception cref="ArgumentOutOfRangeException">The limit is negative, not a number or above 200 kg.</exception>
    public PackingTable(IEnumerable<LooseObject> objects, double limitKg, double volumeL, double? smallestL = null)
    {
        ArgumentNullException.ThrowIfNull(objects);
        if (!(limitKg is >= 0 and <= MostKg))
        {
            throw new ArgumentOutOfRangeException(nameof(limitKg), limitKg, $"The limit must be between 0 and {MostKg} kg.");
        }

        _best = new int[ToUnits(limitKg + 1e-9, down: true) + 1];
        Array.Fill(_best, None);
        _best[0] = Keep(new Way(0, 0, None, 0, None, None));
        _kinds = PackingKind.Group(objects, Top, volumeL);

        // When everything fits at once, room decides nothing and one way per mass is enough.
        var tight = _kinds.Sum(k => k.VolumeL * k.Count) > (smallestL ?? volumeL);
        Complete = true;
        for (var i = 0; i < _kinds.Length && _weighed <= MostWays; i++)
        {
            foreach (var chunk in Chunks(_kinds[i].Count))
            {
                Add(i, chunk, tight ? volumeL : double.PositiveInfinity, tight);
            }

            Complete &= i == _kinds.Length - 1 || _weighed <= MostWays;
        }
    }

    /// <summary>False when there was so much to weigh that a simpler way, or a mass, may have been left out.</summary>
    public bool Complete { get; private set; }

    /// <summary>Highest mass searched, in units of 10 g.</summary>
    public int Top => _best.Length - 1;

    /// <summary>A mass in units of 10 g.</summary>
    public static int ToUnits(double kg, bool down = false) =>
        down ? (int)Math.Floor(kg / ResolutionKg) : (int)Math.Round(kg / ResolutionKg, MidpointRounding.AwayFromZero);

    /// <summary>True when the mass, in units of 10 g, can be packed into a room of that many litres.</summary>
    public bool Reaches(int units, double roomL = double.PositiveInfinity) => Simplest(units, roomL) != None;

    /// <summary>The packing with the fewest pieces, null when the mass cannot be packed.</summary>
    public Packing? At(int units, double roomL = double.PositiveInfinity) =>
        Simplest(units, roomL) is var way and not None ? Trace(units, way) : null;

    /// <summary>Fewest pieces that reach the mass; it must be reachable.</summary>
    public int PiecesAt(int units, double roomL = double.PositiveInfinity) => _ways[Simplest(units, roomL)].Pieces;

    /// <summary>Volume in L that the fewest pieces take; the mass must be reachable.</summary>
    public double VolumeAt(int units, double roomL = double.PositiveInfinity) => _ways[Simplest(units, roomL)].VolumeL;

    /// <summary>
    /// All masses that can be packed, lightest first, from nothing up; of those nearer to one another than
    /// <paramref name="apartKg"/> the one with the fewest pieces.
    /// </summary>
    /// <param name="apartKg">Least distance, kg.</param>
    /// <param name="limitKg">Up to this mass, kg.</param>
    /// <param name="roomL">Into this room, L.</param>
    public IEnumerable<Packing> All(double apartKg = 0, double limitKg = MostKg, double roomL = double.PositiveInfinity)
    {
        var apart = Math.Max(1, ToUnits(apartKg));
        var top = Math.Min(Top, ToUnits(limitKg + 1e-9, down: true));
        for (var units = 0; units <= top; units++)
        {
            if (Simplest(units, roomL) is var simplest && simplest == None)
            {
                continue;
            }

            var at = units;
            for (var near = units + 1; near < units + apart && near <= top; near++)
            {
                if (Simplest(near, roomL) is var other and not None && _ways[other].Pieces < _ways[simplest].Pieces)
                {
                    (simplest, at) = (other, near);
                }
            }

            yield return Trace(at, simplest);
            units += apart - 1;
        }
    }

    /// <summary>All masses that can be packed, kg, lightest first, without telling how.</summary>
    public IEnumerable<double> Masses(double limitKg, double roomL) =>
        Enumerable
            .Range(0, Math.Min(Top, ToUnits(limitKg + 1e-9, down: true)) + 1)
            .Where(u => Reaches(u, roomL))
            .Select(u => u * ResolutionKg);

    private int Simplest(int units, double roomL)
    {
        var way = units >= 0 && units <= Top ? _best[units] : None;
        while (way != None && _ways[way].VolumeL > roomL + 1e-9)
        {
            way = _ways[way].Next;
        }

        return way;
    }

    /// <summary>Counts whose sums give every number up to <paramref name="count"/>: 1, 2, 4 … and the rest.</summary>
    private static IEnumerable<int> Chunks(int count)
    {
        for (var chunk = 1; count > 0; chunk *= 2)
        {
            yield return Math.Min(chunk, count);
            count -= chunk;
        }
    }

    private void Add(int index, int count, double volumeL, bool tight)
    {
        var kind = _kinds[index];
        var (units, more) = (kind.Units * count, kind.VolumeL * count);

        // From above: what lies below has not been touched by these pieces yet.
        for (var sum = Top; sum >= units; sum--)
        {
            for (var from = _best[sum - units]; from != None; from = _ways[from].Next)
            {
                _weighed++;
                var way = new Way(_ways[from].Pieces + count, _ways[from].VolumeL + more, index, count, from, None);
                if (way.VolumeL <= volumeL + 1e-9 && way.Pieces <= MostPieces)
                {
                    Insert(sum, way, tight);
                }
            }

            if (_weighed > ThoroughWays)
            {
                KeepTwo(_best[sum]);
            }
        }
    }

    /// <summary>Keeps a chain of ways, fewest pieces first, in which more pieces always take less room.</summary>
    private void Insert(int sum, Way way, bool tight)
    {
        var (before, at) = (None, _best[sum]);
        while (
            at != None && (_ways[at].Pieces < way.Pieces || (_ways[at].Pieces == way.Pieces && _ways[at].VolumeL <= way.VolumeL + 1e-12))
        )
        {
            if (!tight || _ways[at].VolumeL <= way.VolumeL + 1e-12)
            {
                return;
            }

            (before, at) = (at, _ways[at].Next);
        }

        while (at != None && (!tight || _ways[at].VolumeL >= way.VolumeL - 1e-12))
        {
            at = _ways[at].Next;
        }

        var kept = Keep(way with { Next = at });
        if (before == None)
        {
            _best[sum] = kept;
        }
        else
        {
            _ways[before].Next = kept;
        }
    }

    /// <summary>Of a chain the simplest way and the one that takes the least room.</summary>
    private void KeepTwo(int simplest)
    {
        if (simplest == None)
        {
            return;
        }

        var last = simplest;
        while (_ways[last].Next != None)
        {
            last = _ways[last].Next;
        }

        if (last != simplest && _ways[simplest].Next != last)
        {
            (_ways[simplest].Next, Complete) = (last, false);
        }
    }

    private int Keep(Way way)
    {
        if (_count == _ways.Length)
        {
            Array.Resize(ref _ways, _count * 2);
        }

        _ways[_count] = way;
        return _count++;
    }

    private Packing Trace(int units, int way)
    {
        var counts = new SortedDictionary<int, int>();
        for (var at = way; _ways[at].Kind != None; at = _ways[at].From)
        {
            counts[_ways[at].Kind] = counts.GetValueOrDefault(_ways[at].Kind) + _ways[at].Count;
        }

        return new Packing(units * ResolutionKg, _ways[way].VolumeL, [.. counts.SelectMany(c => _kinds[c.Key].Take(c.Value))]);
    }

    private const int None = -1;

    /// <summary>One way to reach a mass: pieces of a kind on top of another way.</summary>
    private record struct Way(int Pieces, double VolumeL, int Kind, int Count, int From, int Next);
}
