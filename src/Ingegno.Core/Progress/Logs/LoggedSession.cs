using System.Collections.Immutable;

namespace Ingegno.Core.Progress.Logs;

/// <summary>A session as it was done.</summary>
/// <param name="Day">The day.</param>
/// <param name="Exercises">What was done.</param>
/// <param name="Effort">Effort of the whole session, 1–10; null when not noted.</param>
public sealed record LoggedSession(DateOnly Day, ImmutableArray<LoggedExercise> Exercises, int? Effort = null);
