using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Kit;
using Ingegno.Core.Loading;

namespace Ingegno.Core.Matching;

/// <summary>A set-up at a place with every load it can take.</summary>
/// <param name="Setup">The set-up.</param>
/// <param name="Bindings">Things that play its roles.</param>
/// <param name="Loads">Loads, lightest first, with their system load in kg.</param>
public sealed record SetupLoads(Setup Setup, ImmutableArray<Binding> Bindings, ImmutableArray<(ReachableLoad Load, double SystemKg)> Loads)
{
    /// <summary>The set-up of a home exercise, null when the catalogue or the kit no longer has it.</summary>
    public static SetupLoads? Of(HomeExercise home, ExerciseCatalogue catalogue, KitAtPlace kit, ResistanceMatch resistance)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(catalogue);
        ArgumentNullException.ThrowIfNull(kit);
        ArgumentNullException.ThrowIfNull(resistance);
        var setup = catalogue.Find(home.ExerciseId)?.Setups.FirstOrDefault(s => s.Id == home.SetupId);
        if (setup is null || !kit.Meets(setup.Needs).Possible)
        {
            return null;
        }

        var bindings = kit.Meets(setup.Needs).Bindings;
        return new SetupLoads(
            setup, bindings, [.. resistance.Options(setup.Load).Select(l => (l, resistance.SystemLoad(setup.Load, bindings, l).Kg))]);
    }
}
