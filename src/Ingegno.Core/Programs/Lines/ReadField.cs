using System.Collections.Immutable;

namespace Ingegno.Core.Programs.Lines;

/// <summary>What the words of a row were taken for.</summary>
public enum LineField
{
    /// <summary>Bullet, number or letter before the name.</summary>
    Label,

    /// <summary>The exercise, and how it is done.</summary>
    Name,

    /// <summary>Sets and reps, seconds or metres.</summary>
    Sets,

    /// <summary>Each side.</summary>
    Side,

    Load,

    /// <summary>Percent, RPE, RIR.</summary>
    Effort,

    Tempo,

    Rest,

    Method,

    /// <summary>Kept word for word beside the line.</summary>
    Remark,

    /// <summary>Joins and says nothing: and, of, the.</summary>
    Filler,

    /// <summary>Nothing was made of it.</summary>
    NotPlaced,
}

/// <summary>A stretch of the text.</summary>
/// <param name="Line">Line of the text, 1 first.</param>
/// <param name="Column">Column, 1 first.</param>
/// <param name="Length">Characters, at least 1.</param>
public sealed record TextPlace(int Line, int Column, int Length);

/// <summary>A field of a line and the words that it came from.</summary>
/// <param name="Field">What it is.</param>
/// <param name="Text">What was read, in Ingegno's own form; empty where the words say it all.</param>
/// <param name="Words">Where it stands in the text; none for what was assumed.</param>
public sealed record ReadField(LineField Field, string Text, ImmutableArray<TextPlace> Words);
