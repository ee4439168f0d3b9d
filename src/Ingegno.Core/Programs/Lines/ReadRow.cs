using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Naming;

namespace Ingegno.Core.Programs.Lines;

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

    /// <summary>Further lines of the text that were joined with it: its name above, its sets below.</summary>
    public ImmutableArray<int> JoinedLines { get; init; } = [];

    /// <summary>What was read, field by field, with the words that each came from; of lines alone.</summary>
    public ImmutableArray<ReadField> Fields { get; init; } = [];
}
