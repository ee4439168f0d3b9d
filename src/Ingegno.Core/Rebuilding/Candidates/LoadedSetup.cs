using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Equipment.Loading.Objects;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>The best way to load an exercise at a place for the wanted effort.</summary>
/// <param name="Setup">Set-up taken.</param>
/// <param name="Bindings">Things used in it.</param>
/// <param name="External">External load or band.</param>
/// <param name="System">System load, null where load is not the measure.</param>
/// <param name="Reps">Expected reps to failure with the techniques, null where reps are not the measure.</param>
/// <param name="Techniques">Techniques that bring the reps into the zone.</param>
/// <param name="Score">Resistance part of the match, 0–1.</param>
/// <param name="RestsOn">What the expected reps rest on.</param>
public sealed record LoadedSetup(
    Setup Setup,
    ImmutableArray<Binding> Bindings,
    ReachableLoad External,
    SystemLoad? System,
    RepRange? Reps,
    ImmutableArray<Technique> Techniques,
    double Score,
    Reason? RestsOn
)
{
    /// <summary>The exercise of the line itself at the load that the line names.</summary>
    public bool AsNamed { get; init; }

    /// <summary>What was checked of the objects.</summary>
    public ImmutableArray<ObjectVerdict> Checks { get; init; } = [];

    /// <summary>The same as a way to do it.</summary>
    public Way Way => new(Setup, Bindings, External, System ?? NotMeasured, Checks);

    /// <summary>Stands where load is not the measure; nobody reads it.</summary>
    private static readonly SystemLoad NotMeasured = new(ResistanceRange.Even(0), false, Reason.None);
}
