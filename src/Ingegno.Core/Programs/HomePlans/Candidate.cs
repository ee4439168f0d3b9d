using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>A proposal for a gym line: one exercise, or two done as a superset.</summary>
public sealed record Candidate
{
    /// <summary>Key by which it is chosen: exercise ids joined by a plus sign.</summary>
    public required string Id { get; init; }

    /// <summary>One exercise, or the two halves of a pair in order.</summary>
    public required ImmutableArray<HomeExercise> Exercises { get; init; }

    /// <summary>Weighted match, 0–1.</summary>
    public required double Match { get; init; }

    public required ImmutableArray<PartScore> Parts { get; init; }

    /// <summary>Why, in sentences.</summary>
    public ImmutableArray<Reason> Why { get; init; } = [];

    /// <summary>What is lost against the gym line.</summary>
    public ImmutableArray<Reason> Lost { get; init; } = [];

    public string Name => string.Join(" + ", Exercises.Select(e => e.Name));
}
