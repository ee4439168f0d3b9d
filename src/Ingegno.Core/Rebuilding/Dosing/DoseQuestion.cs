using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>What a dose is asked for.</summary>
/// <param name="Line">The gym line under its approach.</param>
/// <param name="Home">The exercise that takes its place.</param>
/// <param name="Effort">How hard the line is meant.</param>
/// <param name="Expected">Expected reps to failure with <paramref name="Techniques"/>; null when reps are not the measure.</param>
/// <param name="Techniques">Techniques taken.</param>
/// <param name="Approach">The school that the line follows.</param>
public sealed record DoseQuestion(
    GymLine Line,
    Exercise Home,
    WantedEffort Effort,
    RepRange? Expected,
    ImmutableArray<Technique> Techniques,
    Approach Approach
)
{
    /// <summary>It is the exercise of the line itself at the load that the line names: its reps are the coach's.</summary>
    public bool AsNamed { get; init; }

    /// <summary>Something is held, worn or stretched: the way on is the load, and no standard of body-weight steps.</summary>
    public bool Loaded { get; init; }
}
