using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Loading.Packing;

/// <summary>What is wanted: a mass in kg, container included, in one hand (or on the back) or the same in both hands.</summary>
public sealed record LoadWish(double TargetKg, int Hands = 1);

/// <summary>How to reach a load.</summary>
/// <param name="Container">What is filled; with two hands, one in each.</param>
/// <param name="Packed">Pieces in it, or in each of the two.</param>
/// <param name="Poured">Filler on top, or in each of the two.</param>
/// <param name="MassKg">Mass of one filled container in kg, exact to 10 g.</param>
/// <param name="Hands">1, or 2 for the same in each hand.</param>
public sealed record LoadRecipe(Container Container, Packing Packed, PouredFiller? Poured, double MassKg, int Hands)
{
    /// <summary>Mass of all hands together, kg.</summary>
    public double TotalKg => MassKg * Hands;

    /// <summary>Pieces to handle; a filler counts as one.</summary>
    public int PieceCount => Packed.PieceCount + (Poured is null ? 0 : 1);

    /// <summary>The recipe in words: "rucksack with 2 × bottle and dictionary: 4.1 kg".</summary>
    public string InWords
    {
        get
        {
            var content = new List<string>();
            if (Packed.PieceCount > 0)
            {
                content.Add(Packed.InWords);
            }

            if (Poured is { } poured)
            {
                content.Add($"{Words.Number(poured.Litres, 2)} L {poured.Filler.Name}");
            }

            var with = content.Count == 0 ? ", empty" : " with " + Words.Join(content);
            return $"{(Hands == 2 ? "in each hand a " : string.Empty)}{Container.Name}{with}: {Words.Number(MassKg, 2)} kg{(Hands == 2 ? $", {Words.Number(TotalKg, 2)} kg together" : string.Empty)}";
        }
    }
}

/// <summary>The answer of the builder.</summary>
/// <param name="Exact">A recipe that meets the wish to 10 g.</param>
/// <param name="Below">When there is none: the heaviest below.</param>
/// <param name="Above">When there is none: the lightest above.</param>
/// <param name="Limit">Why it ends where it ends, when even the heaviest is below the wish.</param>
/// <param name="Complete">False when there are so many things that these are the nearest found, and a nearer or simpler one may exist.</param>
public sealed record LoadAnswer(LoadRecipe? Exact, LoadRecipe? Below, LoadRecipe? Above, Reason? Limit, bool Complete = true);

/// <summary>
/// Reaches a target with containers, loose objects and fillers: exact to 10 g where the sum exists, else the nearest below
/// and above; fewest pieces first; never over the room of a container or over what it may carry.
/// </summary>
public sealed class LoadBuilder(ImmutableArray<Container> containers, ImmutableArray<LooseObject> objects, ImmutableArray<Filler> fillers)
{
    /// <summary>No single load is built above this, in kg.</summary>
    public const double MostKg = 100;

    private readonly PackingTable?[] _tables = new PackingTable?[3];

    /// <summary>Builds the wish from all containers and takes the best.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The target is not above 0, above 100 kg, or the hands are not 1 or 2.</exception>
    public LoadAnswer Build(LoadWish wish)
    {
        ArgumentNullException.ThrowIfNull(wish);
        if (!(wish.TargetKg is > 0 and <= MostKg))
        {
            throw new ArgumentOutOfRangeException(
                nameof(wish),
                wish.TargetKg,
                $"A load to build lies above 0 and at most at {MostKg} kg in a hand."
            );
        }

        ArgumentOutOfRangeException.ThrowIfLessThan(wish.Hands, 1);
        ArgumentOutOfRangeException.ThrowIfGreaterThan(wish.Hands, 2);
        var usable = containers.Where(c => c.Count >= wish.Hands).ToList();
        if (usable.Count == 0)
        {
            return new LoadAnswer(null, null, null, Reason.Of(wish.Hands == 2 ? "build.no-pair" : "build.nothing-to-fill"));
        }

        var found = usable.SelectMany(c => Near(c, wish)).ToList();
        var target = PackingTable.ToUnits(wish.TargetKg);
        int Units(LoadRecipe r) => PackingTable.ToUnits(r.MassKg);
        var exact = found
            .Where(r => Units(r) == target)
            .OrderBy(r => r.PieceCount)
            .ThenBy(r => r.Container.Id, StringComparer.Ordinal)
            .FirstOrDefault();
        if (exact is not null)
        {
            return new LoadAnswer(exact, null, null, null, Table(wish.Hands).Complete);
        }

        var below = found.Where(r => Units(r) < target).OrderByDescending(Units).ThenBy(r => r.PieceCount).FirstOrDefault();
        var above = found.Where(r => Units(r) > target).OrderBy(Units).ThenBy(r => r.PieceCount).FirstOrDefault();
        return new LoadAnswer(null, below, above, above is null ? Ends(usable, below, wish.Hands) : null, Table(wish.Hands).Complete);
    }

    /// <summary>Every mass of one hand that can be reached, kg, lightest first, fillers by the half litre.</summary>
    public ImmutableArray<double> Masses(int hands = 1) =>
        [
            .. containers
                .Where(c => c.Count >= hands)
                .SelectMany(c =>
                    Table(hands)
                        .Masses(Math.Min(c.ContentLimitKg, MostKg), c.VolumeL)
                        .Where(kg => kg > 0)
                        .Concat(Poured(c, hands).Select(p => p.MassKg))
                        .Select(kg => Math.Round(c.TareKg + kg, 2, MidpointRounding.AwayFromZero))
                )
                .Distinct()
                .Order(),
        ];

    /// <summary>
    /// Everything that one container can be filled to, fillers by the half litre; masses nearer to one another than
    /// <paramref name="apartKg"/> count as one.
    /// </summary>
    public IEnumerable<LoadRecipe> Reachable(Container container, int hands = 1, double apartKg = 0)
    {
        ArgumentNullException.ThrowIfNull(container);
        foreach (
            var packing in Table(hands)
                .All(apartKg, Math.Min(container.ContentLimitKg, MostKg), container.VolumeL)
                .Where(p => p.PieceCount > 0)
        )
        {
            yield return Recipe(container, packing, null, hands);
        }

        foreach (var poured in Poured(container, hands))
        {
            yield return Recipe(container, Nothing, poured, hands);
        }
    }

    private IEnumerable<PouredFiller> Poured(Container container, int hands)
    {
        foreach (var filler in Fits(container, hands))
        {
            for (var litres = 0.5; litres <= MostLitres(container, filler, 0, 0) + 1e-9; litres += 0.5)
            {
                yield return new PouredFiller(filler, litres);
            }
        }
    }

    /// <summary>One table for all containers: each looks up to its own limit and within its own room.</summary>
    private PackingTable Table(int hands) =>
        _tables[hands] ??= new PackingTable(
            Shared(hands),
            Math.Min(containers.Max(c => c.ContentLimitKg), MostKg),
            containers.Max(c => c.VolumeL),
            containers.Min(c => c.VolumeL)
        );

    private static Packing Nothing { get; } = new(0, 0, []);

    /// <summary>The recipes of one container that may be the answer: exact, nearest below, nearest above.</summary>
    private IEnumerable<LoadRecipe> Near(Container container, LoadWish wish)
    {
        var content = wish.TargetKg - container.TareKg;
        var limit = Math.Min(container.ContentLimitKg, MostKg);
        if (content < 0)
        {
            yield return Recipe(container, Nothing, null, wish.Hands);
            yield break;
        }

        var table = Table(wish.Hands);
        var top = Math.Min(table.Top, PackingTable.ToUnits(limit + 1e-9, down: true));
        var wanted = PackingTable.ToUnits(content);
        for (var units = Math.Min(wanted, top); units >= 0; units--)
        {
            if (table.At(units, container.VolumeL) is { } below)
            {
                yield return Recipe(container, below, null, wish.Hands);
                break;
            }
        }

        for (var units = wanted + 1; units <= top; units++)
        {
            if (table.At(units, container.VolumeL) is { } above)
            {
                yield return Recipe(container, above, null, wish.Hands);
                break;
            }
        }

        foreach (var filler in Fits(container, wish.Hands))
        {
            if (Topped(container, table, filler, wanted, wish.Hands) is { } topped)
            {
                yield return topped;
            }
        }
    }

    /// <summary>Fewest pieces, and the rest poured; when the filler does not reach that far, as much as goes in.</summary>
    private static LoadRecipe? Topped(Container container, PackingTable table, Filler filler, int wanted, int hands)
    {
        (int Units, double Litres, int Pieces)? best = null;
        var most = PackingTable.ToUnits(Math.Min(container.ContentLimitKg, MostKg) + 1e-9, down: true);
        for (var units = Math.Min(wanted, Math.Min(table.Top, most)); units >= 0; units--)
        {
            if (!table.Reaches(units, container.VolumeL))
            {
                continue;
            }

            var packed = table.VolumeAt(units, container.VolumeL);
            var room = MostLitres(container, filler, units * PackingTable.ResolutionKg, packed);
            var litres = (wanted - units) * PackingTable.ResolutionKg / filler.DensityKgPerL;
            if (litres <= room + 1e-9 && (best is null || table.PiecesAt(units, container.VolumeL) < best.Value.Pieces))
            {
                best = (units, litres, table.PiecesAt(units, container.VolumeL));
            }
        }

        if (best is { Litres: > 0 } found)
        {
            return Recipe(container, table.At(found.Units, container.VolumeL)!, new PouredFiller(filler, found.Litres), hands);
        }

        var full = MostLitres(container, filler, 0, 0);
        return best is null && full > 0 ? Recipe(container, Nothing, new PouredFiller(filler, full), hands) : null;
    }

    private static double MostLitres(Container container, Filler filler, double packedKg, double packedL) =>
        Math.Max(
            0,
            Math.Min(
                Math.Min(container.VolumeL - packedL, filler.AvailableL),
                (Math.Min(container.ContentLimitKg, MostKg) - packedKg) / filler.DensityKgPerL
            )
        );

    private static LoadRecipe Recipe(Container container, Packing packed, PouredFiller? poured, int hands) =>
        new(
            container,
            packed,
            poured,
            Math.Round(container.TareKg + packed.MassKg + (poured?.MassKg ?? 0), 2, MidpointRounding.AwayFromZero),
            hands
        );

    /// <summary>What each hand gets of the loose objects.</summary>
    private IEnumerable<LooseObject> Shared(int hands) => objects.Select(o => o with { Count = o.Count / hands });

    private IEnumerable<Filler> Fits(Container container, int hands) =>
        fillers
            .Where(f => (container.HoldsWater || !f.Wet) && f.DensityKgPerL > 0)
            .Select(f => f with { AvailableL = f.AvailableL / hands });

    /// <summary>Why even the heaviest recipe stays below the wish.</summary>
    private Reason Ends(List<Container> usable, LoadRecipe? heaviest, int hands)
    {
        var container = heaviest?.Container ?? usable[0];
        var here = Shared(hands).ToList();
        var endless = Fits(container, hands).Any(f => f.AvailableL >= container.VolumeL);
        if (
            endless
                ? container.VolumeL * Fits(container, hands).Max(f => f.DensityKgPerL) > container.ContentLimitKg
                : here.Sum(o => o.MassKg * o.Count) > container.ContentLimitKg
        )
        {
            return Reason.Of("build.carries", ("container", container.Name), ("most", Quantity.Kg(container.ContentLimitKg)));
        }

        return endless || here.Sum(o => o.VolumeL * o.Count) > container.VolumeL
            ? Reason.Of("build.full", ("container", container.Name), ("litres", container.VolumeL))
            : Reason.Of("build.all-in", ("container", container.Name));
    }
}
