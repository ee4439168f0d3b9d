using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Logs;

/// <summary>The sets of one exercise of a plan in one session.</summary>
/// <param name="Line">Key of the gym line the exercise stands for.</param>
/// <param name="ExerciseId">The home exercise done.</param>
/// <param name="Sets">Sets in the order they were done; may be fewer than prescribed.</param>
public sealed record LoggedExercise(LineKey Line, string ExerciseId, ImmutableArray<LoggedSet> Sets)
{
    /// <summary>The sets in the shorthand of the log.</summary>
    public string Written => LogShorthand.Write(Sets);
}
