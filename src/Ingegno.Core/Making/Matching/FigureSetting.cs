using System.Collections.Immutable;
using Ingegno.Core.AtHome.Kit;
using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.Figures;

namespace Ingegno.Core.Making.Matching;

/// <summary>With which of the client's things the figure of a set-up is drawn.</summary>
public static class FigureSetting
{
    /// <summary>Things and load as a figure takes them.</summary>
    /// <param name="setup">The set-up.</param>
    /// <param name="bindings">What plays its roles.</param>
    /// <param name="load">The load, <see cref="ReachableLoad.None"/> for none.</param>
    /// <param name="kit">Kit of the place.</param>
    public static string Of(Setup setup, ImmutableArray<Binding> bindings, ReachableLoad load, KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(setup);
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(kit);
        var things = bindings
            .Where(b => b.Thing.HeightCm > 0)
            .Select(b => new FigureProp(b.Role, b.Thing.Kind.Drawn ?? FigureProp.AsInFigure, Math.Round(b.Thing.HeightCm)));
        return new FigureProps([.. things], Carried(setup, load, kit)).Written;
    }

    private static FigureCarry? Carried(Setup setup, ReachableLoad load, KitAtPlace kit)
    {
        if (load.WeightKg <= 0 || setup.Load.External is not { } external)
        {
            return null;
        }

        var kinds = load
            .ItemIds.Select(id => kit.Things.FirstOrDefault(t => t.Id == id)?.Kind)
            .OfType<KitKind>()
            .Where(k => k.Drawn is not null)
            .OrderByDescending(k => k.Can.Contains("container"))
            .ThenBy(k => k.Group)
            .ToList();
        var kind = kinds.FirstOrDefault();
        var source = external.From switch
        {
            var from when from.Contains(LoadSource.Bar) && kind?.Drawn == "bar" => LoadSource.Bar,
            var from when from.Contains(LoadSource.Worn) && kind?.Drawn == "rucksack" => LoadSource.Worn,
            var from when from.Contains(LoadSource.Pair) && load.InWords.StartsWith("2 ×", StringComparison.Ordinal) => LoadSource.Pair,
            var from => from.FirstOrDefault(s => s is LoadSource.One or LoadSource.Held, from[0]),
        };
        return new FigureCarry(kind?.Drawn ?? "bag", source.ToString().ToLowerInvariant());
    }
}
