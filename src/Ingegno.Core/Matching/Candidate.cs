using System.Collections.Immutable;
using Ingegno.Core.Loading;
using Ingegno.Core.Loading.Objects;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Rebuilding;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Matching;

/// <summary>One exercise of a home line, set up and loaded.</summary>
public sealed record HomeExercise
{
    public required string ExerciseId { get; init; }

    public required string Name { get; init; }

    public required string SetupId { get; init; }

    /// <summary>The set-up in words: implement, band, object.</summary>
    public required string Setup { get; init; }

    /// <summary>External load in kg, 0 for none; for a band its force.</summary>
    public required double ExternalKg { get; init; }

    /// <summary>Load that the working limbs move, kg; null where load is not the measure.</summary>
    public double? SystemLoadKg { get; init; }

    /// <summary>Resistance over the rep in kg: muscle long, middle, short; null where load is not the measure.</summary>
    public ResistanceRange? Resistance { get; init; }

    /// <summary>True when the body's part of the load is an estimate.</summary>
    public bool LoadEstimated { get; init; }

    /// <summary>What the body's part of the load rests on.</summary>
    public string? LoadBasis { get; init; }

    /// <summary>What was checked of the objects, with the sums.</summary>
    public ImmutableArray<ObjectVerdict> Checks { get; init; } = [];

    /// <summary>Expected reps to failure with the techniques; null where reps are not the measure.</summary>
    public RepRange? Expected { get; init; }

    /// <summary>Expected reps to failure in words, null where reps are not the measure.</summary>
    public string? ExpectedReps => Expected?.InWords;

    /// <summary>Middle of the expected reps to failure, with the techniques; null where reps are not the measure.</summary>
    public double? RepsToFailure => Expected is { } reps ? Math.Round(reps.Mid, 1) : null;

    /// <summary>Reps to failure that the line wants, as a zone.</summary>
    public Bounds? Wanted { get; init; }

    /// <summary>What the dose comes to; null for a candidate that is not taken.</summary>
    public DoseEffect? Effect { get; init; }

    /// <summary>Ids of technique steps that this client may do in it; empty for a candidate that is not taken.</summary>
    public ImmutableArray<string> TechniquesThatFit { get; init; } = [];

    /// <summary>A coach set figures of it; the engine leaves them alone.</summary>
    public bool EditedByCoach { get; init; }

    /// <summary>What the expectation rests on.</summary>
    public string? RestsOn { get; init; }

    public required Dose Dose { get; init; }

    /// <summary>How to rig it, in order.</summary>
    public ImmutableArray<string> Steps { get; init; } = [];

    public ImmutableArray<string> Cues { get; init; } = [];

    public ImmutableArray<string> Cautions { get; init; } = [];

    public string? EasierName { get; init; }

    public string? HarderName { get; init; }

    /// <summary>Ids of the kit items used.</summary>
    public ImmutableArray<string> UsesItems { get; init; } = [];

    /// <summary>The same with other expected reps.</summary>
    public HomeExercise WithReps(RepRange? reps) => this with { Expected = reps };
}

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
    public ImmutableArray<string> Why { get; init; } = [];

    /// <summary>What is lost against the gym line.</summary>
    public ImmutableArray<string> Lost { get; init; } = [];

    public string Name => string.Join(" + ", Exercises.Select(e => e.Name));
}

/// <summary>A relevant exercise that cannot be used, with the reason.</summary>
public sealed record RuledOut(string ExerciseId, string Name, string Code, string Reason);
