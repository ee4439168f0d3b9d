using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.Lines;

/// <summary>What else a row could mean.</summary>
/// <param name="Label">What it would be.</param>
/// <param name="Row">The row as it would then be written.</param>
/// <param name="ExerciseId">The exercise, when the name is what was in doubt: taking it can be remembered for the practice.</param>
public sealed record OtherReading(string Label, string Row, string? ExerciseId = null);

/// <summary>Something that was read as the likeliest and could be meant otherwise.</summary>
/// <param name="Column">Column, 1 first.</param>
/// <param name="Length">How many characters, at least 1.</param>
/// <param name="Message">What is in doubt and how it was read.</param>
/// <param name="Others">What else it could be, likeliest first.</param>
public sealed record ReadingDoubt(int Column, int Length, Reason Message, ImmutableArray<OtherReading> Others)
{
    /// <summary>What kind of question it is: the same one of several rows can be answered once.</summary>
    public string Question => Message.Code;

    /// <summary>A name is spelt nearly so, and nothing else is in doubt of it: it may be settled with others at once.</summary>
    public bool OnlySpelling { get; init; }
}
