using System.Collections.Immutable;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>What stood for a gym exercise before.</summary>
/// <param name="GymExerciseId">Exercise of the gym line.</param>
/// <param name="CandidateId">What was taken for it.</param>
/// <param name="Day">Name of its day; null for any.</param>
public sealed record StoodBefore(string GymExerciseId, string CandidateId, string? Day = null);
