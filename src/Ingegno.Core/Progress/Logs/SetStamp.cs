using System.Collections.Immutable;

namespace Ingegno.Core.Progress.Logs;

/// <summary>What a set was, as the plan of its day has it: with it a log can be read without the plan.</summary>
/// <param name="SystemKg">System load, kg; null where load is not the measure.</param>
/// <param name="StraightShare">Share of straight-set reps that tempo and techniques leave, above 0, at most 1.</param>
/// <param name="PlannedReps">Least reps, or seconds, that were planned; null for an open set or an exercise outside the plan.</param>
/// <param name="PlannedRir">Reps in reserve that were planned.</param>
public sealed record SetStamp(double? SystemKg, double StraightShare, int? PlannedReps, int? PlannedRir)
{
    /// <summary>Rest that was planned after it, s.</summary>
    public int? RestSeconds { get; init; }

    /// <summary>Technique that costs it reps, for instance <c>slow-eccentric</c>; null for straight sets.</summary>
    public string? Technique { get; init; }
}
