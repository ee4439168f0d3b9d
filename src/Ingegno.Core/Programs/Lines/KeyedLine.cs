namespace Ingegno.Core.Programs.Lines;

/// <summary>A gym line as it was when it was last read: what its key is found again by.</summary>
/// <param name="Key">Its key.</param>
/// <param name="ExerciseId">Exercise of the line.</param>
/// <param name="Day">Name of its day.</param>
/// <param name="Text">The line in shorthand.</param>
/// <param name="Gone">It no longer stands in the text; it gets its key back when it returns.</param>
public sealed record KeyedLine(LineKey Key, string ExerciseId, string Day, string Text, bool Gone = false);
