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

    /// <summary>The pain was sharp: it stops the exercise, however little it was.</summary>
    public bool Sharp { get; init; }

    /// <summary>What the set was against the plan of its day; null until the log has looked at it.</summary>
    public SetStamp? Stamp { get; init; }
}

/// <summary>What a set was, as the plan of its day has it: with it a log can be read without the plan.</summary>
/// <param name="SystemKg">System load, kg; null where load is not the measure.</param>
/// <param name="StraightShare">Share of straight-set reps that tempo and techniques leave, above 0, at most 1.</param>
/// <param name="PlannedReps">Least reps, or seconds, that were planned; null for an open set or an exercise outside the plan.</param>
/// <param name="PlannedRir">Reps in reserve that were planned.</param>
public sealed record SetStamp(double? SystemKg, double StraightShare, int? PlannedReps, int? PlannedRir)
{
    /// <summary>Stands for more than one technique at a time.</summary>
    public const string Several = "several";

    /// <summary>Rest that was planned after it, s.</summary>
    public int? RestSeconds { get; init; }

    /// <summary>Technique that costs it reps, for instance <c>slow-eccentric</c>; null for straight sets.</summary>
    public string? Technique { get; init; }
}

/// <summary>The sets of one exercise of a plan in one session.</summary>
/// <param name="Line">Line of the gym text the exercise stands for.</param>
/// <param name="ExerciseId">The home exercise done.</param>
/// <param name="Sets">Sets in the order they were done; may be fewer than prescribed.</param>
public sealed record LoggedExercise(int Line, string ExerciseId, ImmutableArray<LoggedSet> Sets);
