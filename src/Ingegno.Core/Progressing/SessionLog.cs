using System.Collections.Immutable;
using Ingegno.Core.Catalogue;

namespace Ingegno.Core.Progressing;

/// <summary>One set as it was done.</summary>
public sealed record LoggedSet
{
    /// <summary>Reps, or seconds of a timed exercise, 0–500.</summary>
    public required int Reps { get; init; }

    /// <summary>External load used in kg, 0–500; null when as prescribed.</summary>
    public double? LoadKg { get; init; }

    /// <summary>Reps in reserve, 0–10; null when not noted.</summary>
    public int? Rir { get; init; }

    /// <summary>Pain 0–10; null when not noted.</summary>
    public int? Pain { get; init; }

    /// <summary>Where it hurt.</summary>
    public Joint? PainJoint { get; init; }
}

/// <summary>The sets of one exercise of a plan in one session.</summary>
/// <param name="Line">Line of the gym text the exercise stands for.</param>
/// <param name="ExerciseId">The home exercise done.</param>
/// <param name="Sets">Sets in the order they were done; may be fewer than prescribed.</param>
public sealed record LoggedExercise(int Line, string ExerciseId, ImmutableArray<LoggedSet> Sets);
