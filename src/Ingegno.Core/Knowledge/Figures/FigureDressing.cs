using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>Puts the client's own things and load into a figure.</summary>
public static class FigureDressing
{
    /// <summary>Furniture whose place another piece may take.</summary>
    private static readonly ImmutableHashSet<string> Furniture = ["box", "step", "stairs", "chair", "sofa", "table", "bench", "block"];

    /// <summary>What belongs to the exercise and is no load of the kit.</summary>
    private static readonly ImmutableHashSet<string> Belongings = ["cushion", "towel", "stick", "block", "plate"];

    /// <summary>The figure with what the client has in it.</summary>
    public static Figure Dressed(this Figure figure, FigureProps props)
    {
        ArgumentNullException.ThrowIfNull(figure);
        ArgumentNullException.ThrowIfNull(props);
        return figure with { Things = [.. figure.Things.Select(t => Own(t, props))], Loads = Carried(figure, props.Load) };
    }

    /// <summary>Heights of the things by role, cm.</summary>
    public static ImmutableDictionary<string, double> Heights(this FigureProps props)
    {
        ArgumentNullException.ThrowIfNull(props);
        return props.Things.GroupBy(t => t.Role).ToImmutableDictionary(g => g.Key, g => g.First().HeightCm);
    }

    private static FigureThing Own(FigureThing thing, FigureProps props) =>
        Furniture.Contains(thing.Kind)
        && props.Things.FirstOrDefault(p => p.Role == thing.Role) is { Kind: not FigureProp.AsInFigure } own
        && Furniture.Contains(own.Kind)
            ? thing with
            {
                Kind = own.Kind,
            }
            : thing;

    private static ImmutableArray<FigureLoad> Carried(Figure figure, FigureCarry? load)
    {
        var belongings = figure.Loads.Where(l => Belongings.Contains(l.Kind)).ToImmutableArray();
        if (load is null)
        {
            return belongings;
        }

        var carried = figure.Loads.RemoveAll(l => Belongings.Contains(l.Kind));
        return carried.IsEmpty
            ? belongings.Add(new FigureLoad(figure.LoadAt ?? Place(load.Source), load.Kind))
            : belongings.AddRange(carried.Select(l => Same(l, load)));
    }

    private static FigureLoad Same(FigureLoad usual, FigureCarry load) =>
        load.Source == "worn" && usual.Where is "hands" or "both" or "nearHand" or "chest"
            ? new FigureLoad("back", load.Kind)
            : usual with
            {
                Kind = load.Kind == "rucksack" && usual.Where != "back" ? "bag" : load.Kind,
            };

    /// <summary>Where a load is that the figure has no place of its own for.</summary>
    private static string Place(string source) =>
        source switch
        {
            "worn" => "back",
            "bar" => "shoulders",
            "pair" or "mixed" => "hands",
            "held" => "chest",
            _ => "nearHand",
        };
}
