using System.Collections.Immutable;

namespace Ingegno.Core.Loading;

/// <summary>A loose object that can be packed, with its mass in kg and how many there are.</summary>
public sealed record LooseObject(string Id, string Name, double MassKg, int Count);

/// <summary>One way to reach a mass from loose objects.</summary>
public sealed record Packing(double MassKg, ImmutableArray<(LooseObject Object, int Count)> Pieces)
{
    /// <summary>How many pieces are packed.</summary>
    public int PieceCount => Pieces.Sum(p => p.Count);

    /// <summary>The recipe in words: "2 × bottle and dictionary".</summary>
    public string InWords =>
        Words.Join([.. Pieces.Select(p => p.Count == 1 ? p.Object.Name : $"{p.Count} × {p.Object.Name}")]);
}

/// <summary>
/// Every mass that can be packed from loose objects, exact to 10 g, each with the fewest pieces that reach it.
/// </summary>
public static class SubsetSums
{
    /// <summary>Resolution of the sums, in kg.</summary>
    public const double ResolutionKg = 0.01;

    /// <summary>
    /// All reachable masses from 0 to <paramref name="limitKg"/> (at most 200 kg), lightest first. Objects without
    /// mass are left out. Bounded knapsack by number of pieces, O(limit × sum of counts).
    /// </summary>
    /// <exception cref="ArgumentOutOfRangeException">The limit is negative, not a number or above 200 kg.</exception>
    public static ImmutableArray<Packing> All(IReadOnlyList<LooseObject> objects, double limitKg)
    {
        ArgumentNullException.ThrowIfNull(objects);
        if (!(limitKg is >= 0 and <= 200))
        {
            throw new ArgumentOutOfRangeException(nameof(limitKg), limitKg, "The limit must be between 0 and 200 kg.");
        }

        var top = (int)Math.Floor((limitKg / ResolutionKg) + 1e-6);
        var fewest = new int[top + 1];
        Array.Fill(fewest, int.MaxValue);
        fewest[0] = 0;
        var usable = objects.Where(o => o.MassKg >= ResolutionKg / 2 && o.Count > 0)
            .OrderBy(o => o.Id, StringComparer.Ordinal).ToList();
        var taken = new List<int[]>();
        foreach (var piece in usable)
        {
            taken.Add(AddObject(piece, fewest, top));
        }

        var found = ImmutableArray.CreateBuilder<Packing>();
        for (var sum = 0; sum <= top; sum++)
        {
            if (fewest[sum] != int.MaxValue)
            {
                found.Add(Trace(sum, usable, taken));
            }
        }

        return found.ToImmutable();
    }

    private static int Units(LooseObject piece) => Math.Max(1, (int)Math.Round(piece.MassKg / ResolutionKg, MidpointRounding.AwayFromZero));

    private static int[] AddObject(LooseObject piece, int[] fewest, int top)
    {
        var units = Units(piece);
        var before = (int[])fewest.Clone();
        var count = new int[top + 1];
        for (var sum = units; sum <= top; sum++)
        {
            for (var n = 1; n <= piece.Count && n * units <= sum; n++)
            {
                var rest = before[sum - (n * units)];
                if (rest != int.MaxValue && rest + n < fewest[sum])
                {
                    fewest[sum] = rest + n;
                    count[sum] = n;
                }
            }
        }

        return count;
    }

    private static Packing Trace(int sum, List<LooseObject> usable, List<int[]> taken)
    {
        var pieces = ImmutableArray.CreateBuilder<(LooseObject, int)>();
        var left = sum;
        for (var i = usable.Count - 1; i >= 0; i--)
        {
            var n = taken[i][left];
            if (n > 0)
            {
                pieces.Add((usable[i], n));
                left -= n * Units(usable[i]);
            }
        }

        pieces.Reverse();
        return new Packing(sum * ResolutionKg, pieces.ToImmutable());
    }
}
