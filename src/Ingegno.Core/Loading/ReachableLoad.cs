using System.Collections.Immutable;

namespace Ingegno.Core.Loading;

/// <summary>One external load that a place can provide.</summary>
/// <param name="MassKg">Total mass in kg; 0 for no load.</param>
/// <param name="InWords">The recipe: "2 × 12 kg dumbbells", "rucksack with 2 × bottle 1.5 kg: 4.1 kg".</param>
/// <param name="ItemIds">Ids of the kit items used.</param>
public sealed record ReachableLoad(double MassKg, string InWords, ImmutableArray<string> ItemIds)
{
    /// <summary>No external load.</summary>
    public static ReachableLoad None { get; } = new(0, string.Empty, []);
}
