using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>What a piece of a line is.</summary>
internal enum TokenKind
{
    Number,
    Word,
    Sign,

    /// <summary>Past the last one.</summary>
    End,
}

/// <summary>A number, word or sign of a line.</summary>
/// <param name="Kind">What it is.</param>
/// <param name="Text">In lower case, plain characters.</param>
/// <param name="Start">Place in the row, 0 first.</param>
/// <param name="Spaced">A space, or the start of the row, stands before it.</param>
/// <param name="Room">Characters that it takes in the row where it was written otherwise; 0 for as it stands.</param>
internal readonly record struct LineToken(TokenKind Kind, string Text, int Start, bool Spaced, int Room = 0)
{
    public int End => Start + (Room > 0 ? Room : Text.Length);

    public bool IsNumber => Kind == TokenKind.Number;

    public bool Is(string text) => Kind != TokenKind.Number && Text == text;

    /// <summary>The number; 0 for other tokens, a million for one that is beyond all reason.</summary>
    public double Value =>
        Kind != TokenKind.Number ? 0
        : Text.Length > 9 ? 1e6
        : double.Parse(Text, System.Globalization.CultureInfo.InvariantCulture);

    /// <summary>A number without decimals.</summary>
    public bool IsWhole => Kind == TokenKind.Number && !Text.Contains('.', StringComparison.Ordinal);
}
