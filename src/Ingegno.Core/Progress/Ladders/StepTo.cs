using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Rebuilding.Candidates;

namespace Ingegno.Core.Progress.Ladders;

/// <summary>Another variation of the family at one of its loads, seen from where a client is.</summary>
/// <param name="Exercise">The variation.</param>
/// <param name="Load">Its external load.</param>
/// <param name="Setup">Set-up and load in words.</param>
/// <param name="Demand">What it asks for (<see cref="LadderBuilder.Demand"/>).</param>
/// <param name="Step">How much more that is than where the client is, as a share; below 0 for less.</param>
public sealed record StepTo(Exercise Exercise, ReachableLoad Load, string Setup, double Demand, double Step)
{
    /// <summary>The set-up with what plays its roles.</summary>
    public required Way Way { get; init; }
}
