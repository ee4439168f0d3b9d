using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>
/// A school of home training that a coach picks for a client, a week or a day (<c>data/rules/approaches.json</c>): it
/// changes what a gym line asks for, and which techniques are taken first.
/// </summary>
public sealed record Approach
{
    /// <summary>Key of the default: the gym plan's own figures.</summary>
    public const string Default = "mirror";

    public required string Id { get; init; }

    public required string Name { get; init; }

    /// <summary>What it is about, in a sentence.</summary>
    public required string Idea { get; init; }

    /// <summary>Where schools disagree with it, in a sentence.</summary>
    public required string Against { get; init; }

    /// <summary>Reps of a set; null for those of the gym line.</summary>
    public Bounds? Reps { get; init; }

    /// <summary>One-sided exercises do half the reps a side.</summary>
    public bool HalvedPerSide { get; init; }

    /// <summary>Main lines of six reps and fewer keep their reps.</summary>
    public bool KeepsHeavy { get; init; } = true;

    /// <summary>Sets; null for those of the gym line.</summary>
    public Bounds? Sets { get; init; }

    /// <summary>Roles whose sets are changed; empty for all.</summary>
    public ImmutableArray<LineRole> SetsFor { get; init; } = [];

    /// <summary>Rest after a set, s; null for that of the gym line.</summary>
    public Bounds? Rest { get; init; }

    /// <summary>Reps in reserve; null for those of the gym line.</summary>
    public int? Rir { get; init; }

    /// <summary>Techniques that are taken first, best first.</summary>
    public ImmutableArray<string> Prefers { get; init; } = [];

    /// <summary>Techniques that are not taken.</summary>
    public ImmutableArray<string> Avoids { get; init; } = [];

    /// <summary>In which order the lines of a day are done.</summary>
    public SessionOrder Order { get; init; }

    /// <summary>What it does with lines that could be done in turn.</summary>
    public PairingRule Pairing { get; init; }

    /// <summary>Lines may be done in turn when the time is short.</summary>
    public bool FitsByPairing { get; init; } = true;

    /// <summary>Phases of a block, in order; empty when it has none.</summary>
    public ImmutableArray<ApproachPhase> Phases { get; init; } = [];

    /// <summary>The phase that it is in; null outside a block.</summary>
    [JsonIgnore]
    public ApproachPhase? Phase { get; init; }

    /// <summary>Reps that end the work on a rung, easiest rung first; empty when it has none.</summary>
    public ImmutableArray<int> Standards { get; init; } = [];

    /// <summary>It trains breath more than strength and is shown as such.</summary>
    public bool Conditioning { get; init; }

    /// <summary>What the client should know of it, in a sentence.</summary>
    public string? Note { get; init; }

    /// <summary>Place of a technique among those preferred, 0 first; those not named come after.</summary>
    public int RankOf(string technique) => Prefers.IndexOf(technique) is >= 0 and var rank ? rank : Prefers.Length;

    /// <summary>Reps that end the work on a rung; null when the approach has no standards.</summary>
    public int? Standard(int rung) => Standards.IsEmpty ? null : Standards[Math.Clamp(rung - 1, 0, Standards.Length - 1)];

    /// <summary>The approach in one of its phases; as it is when it has none of that name.</summary>
    public Approach InPhase(string? name) => this with { Phase = name is null ? null : Phases.FirstOrDefault(p => p.Name == name) };
}
