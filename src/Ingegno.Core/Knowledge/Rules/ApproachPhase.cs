using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>A phase of a block under an approach.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Share">Share of the weeks of a block, above 0; the phases share them in proportion.</param>
/// <param name="Reps">Reps of a set; null for those of the approach or line.</param>
/// <param name="Sets">Sets; null for those of the approach or line.</param>
/// <param name="Rir">Reps in reserve; null for those of the approach or line.</param>
/// <param name="Idea">What it is for, in a sentence.</param>
public sealed record ApproachPhase(string Name, double Share, Bounds? Reps, Bounds? Sets, int? Rir, string Idea)
{
    /// <summary>Roles whose reps the phase sets; empty for all.</summary>
    public ImmutableArray<LineRole> RepsFor { get; init; } = [];
}
