using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Figures;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>With which of the client's things the figure of a set-up is drawn.</summary>
public static class FigureSetting
{
    /// <summary>Things and load as a figure takes them.</summary>
    /// <param name="bindings">What plays its roles.</param>
    /// <param name="load">The load, <see cref="ReachableLoad.None"/> for none.</param>
    /// <param name="kit">Kit of the place.</param>
    public static string Describe(ImmutableArray<Binding> bindings, ReachableLoad load, KitAtPlace kit)
    {
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(kit);
        var things = bindings
            .Where(b => b.Thing.HeightCm > 0)
            .Select(b => new FigureProp(b.Role, b.Thing.Kind.Drawn ?? FigureProp.AsInFigure, Math.Round(b.Thing.HeightCm)));
        return new FigureProps([.. things], Carried(load, kit)).Written;
    }

    private static FigureCarry? Carried(ReachableLoad load, KitAtPlace kit)
    {
        if (load is not { WeightKg: > 0, Source: { } source })
        {
            return null;
        }

        // A packed rucksack is drawn as a rucksack, whatever lies in it.
        var kind = load
            .ItemIds.Select(id => kit.Things.FirstOrDefault(t => t.Id == id)?.Kind)
            .OfType<KitKind>()
            .Where(k => k.Drawn is not null)
            .OrderByDescending(k => k.Can.Contains("container"))
            .ThenBy(k => k.Group)
            .FirstOrDefault();
        return new FigureCarry(kind?.Drawn ?? "bag", source.ToString().ToLowerInvariant());
    }
}
