using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Naming;

namespace Ingegno.Core.Programs.Lines;

/// <summary>What cannot be read in a gym week, and where.</summary>
/// <param name="Line">Line, 1 first.</param>
/// <param name="Column">Column of the first wrong character, 1 first.</param>
/// <param name="Length">How many characters are concerned, at least 1.</param>
/// <param name="Code">Stable code, for instance <c>shorthand.unknown-exercise</c>.</param>
/// <param name="Message">What is wrong, what was expected and what to do.</param>
/// <param name="Suggestions">Nearest exercise names, best first, for an unknown one.</param>
public sealed record ShorthandError(int Line, int Column, int Length, string Code, Reason Message, ImmutableArray<string> Suggestions);

/// <summary>What a row of the text is.</summary>
public enum RowKind
{
    /// <summary>An exercise with its dose.</summary>
    Line,

    /// <summary>Heads a day.</summary>
    Day,

    /// <summary>Heads a week.</summary>
    Week,

    /// <summary>Heads a part of a day, such as a warm-up or a circuit.</summary>
    Section,

    /// <summary>Said beside the program.</summary>
    Comment,

    /// <summary>Work that no home exercise takes the place of; kept as written.</summary>
    Kept,

    /// <summary>Could not be read.</summary>
    Unread,
}

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
    /// <summary>A name is spelt nearly so, and nothing else is in doubt of it: it may be settled with others at once.</summary>
    public bool OnlySpelling { get; init; }
}

/// <summary>A row as it was understood.</summary>
/// <param name="Line">Line of the text, 1 first.</param>
/// <param name="Kind">What it is.</param>
/// <param name="Text">The same in Ingegno's own form; reading it gives the same.</param>
public sealed record ReadRow(int Line, RowKind Kind, string Text)
{
    /// <summary>The exercise it was read as, empty when it is none.</summary>
    public string ReadAs { get; init; } = string.Empty;

    /// <summary>What the name says beyond it, in words: paused, low bar.</summary>
    public ImmutableArray<string> Said { get; init; } = [];

    /// <summary>Its id; null when it is none.</summary>
    public string? ExerciseId { get; init; }

    /// <summary>The name as it was written, where it can be taught.</summary>
    public string? Name { get; init; }

    /// <summary>How sure the name is.</summary>
    public Certainty Certainty { get; init; }

    /// <summary>What is in doubt.</summary>
    public ImmutableArray<ReadingDoubt> Doubts { get; init; } = [];
}

/// <summary>Work that stands in the program and is kept as it was written.</summary>
/// <param name="Line">Line of the text, 1 first.</param>
/// <param name="Day">Day of the week it belongs to, 0 first.</param>
/// <param name="Kind">What kind of work it is.</param>
/// <param name="Text">As it was written.</param>
public sealed record KeptLine(int Line, int Day, OtherWork Kind, string Text);

/// <summary>What was read: the good lines, what is kept beside them, and what is wrong with the others.</summary>
public sealed record ShorthandResult(ImmutableArray<GymLine> Lines, ImmutableArray<ShorthandError> Errors)
{
    /// <summary>The days of the week in their order; one without a name when the text has no headings.</summary>
    public ImmutableArray<GymDay> Days { get; init; } = [];

    /// <summary>Every row that holds something, as it was understood.</summary>
    public ImmutableArray<ReadRow> Rows { get; init; } = [];

    /// <summary>Work that no exercise of the catalogue stands for.</summary>
    public ImmutableArray<KeptLine> Kept { get; init; } = [];
}
