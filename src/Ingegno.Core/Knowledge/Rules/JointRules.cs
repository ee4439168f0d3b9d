using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What a provocation of a joint leaves out.</summary>
public sealed record ProvocationRule
{
    public required Provocation Id { get; init; }

    public required Joint Joint { get; init; }

    /// <summary>Strains that are left out whatever else an exercise has.</summary>
    public ImmutableArray<JointStrain> LeavesOut { get; init; } = [];

    /// <summary>The joint counts as injured, and a clinician is asked before it is loaded.</summary>
    public bool Clinician { get; init; }

    /// <summary>Ways to say it in an intake, as phrases; read only where the joint itself is said.</summary>
    public ImmutableArray<string> Words { get; init; } = [];

    /// <summary>Where the rule is from.</summary>
    public required string Source { get; init; }
}

/// <summary>What is asked of a joint that hurts, and what the answers leave out.</summary>
public sealed record JointRules
{
    public required ImmutableArray<ProvocationRule> Provocations { get; init; }

    /// <summary>The rule of a provocation.</summary>
    public ProvocationRule Of(Provocation provocation) => Provocations.First(p => p.Id == provocation);
}
