using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>A row of a text as its layout puts it: joined from several, taken out of a table, or as it was typed.</summary>
/// <param name="Number">Its line in the text, 1 first; of a joined row the first.</param>
/// <param name="Text">What is to be read.</param>
internal sealed record LaidOutRow(int Number, string Text)
{
    /// <summary>What it heads; null for other rows, and where its own words say so.</summary>
    public Heading? Heading { get; init; }

    /// <summary>It is said beside the program.</summary>
    public bool Remark { get; init; }

    /// <summary>What stands in the columns of the weeks, one for each; empty outside a table of weeks.</summary>
    public ImmutableArray<string> ByWeek { get; init; } = [];

    /// <summary>Where its text stands in the one that was given; empty where it is the row as it was typed.</summary>
    public ImmutableArray<Piece> Pieces { get; init; } = [];

    /// <summary>The row of a table that it was spelt out from; null for other rows.</summary>
    public string? Cells { get; init; }

    /// <summary>Where a stretch of it stands in the text that was given.</summary>
    /// <param name="start">Place in the row, 0 first.</param>
    /// <param name="length">Characters.</param>
    public TextPlace Place(int start, int length)
    {
        if (Cells is { } cells)
        {
            var words = Text.Substring(Math.Min(start, Text.Length), Math.Max(0, Math.Min(length, Text.Length - start)));
            var at = words.Length == 0 ? -1 : cells.IndexOf(words, StringComparison.OrdinalIgnoreCase);
            return at < 0 ? new TextPlace(Number, 1, Math.Max(1, cells.Length)) : new TextPlace(Number, at + 1, words.Length);
        }

        var piece = Pieces.LastOrDefault(p => p.At <= start);
        return piece is null ? new TextPlace(Number, start + 1, Math.Max(1, length))
            : start >= piece.At + piece.Length ? new TextPlace(piece.Line, piece.Column + Math.Max(0, piece.Length - 1), 1)
            : new TextPlace(piece.Line, piece.Column + start - piece.At, Math.Max(1, Math.Min(length, piece.At + piece.Length - start)));
    }

    /// <summary>Nothing stands in it.</summary>
    public bool Blank => string.IsNullOrWhiteSpace(Text);
}

/// <summary>A stretch of a joined row and where it comes from.</summary>
/// <param name="At">Place in the joined row, 0 first.</param>
/// <param name="Length">Characters.</param>
/// <param name="Line">Line of the text, 1 first.</param>
/// <param name="Column">Column in it, 1 first.</param>
internal sealed record Piece(int At, int Length, int Line, int Column);

/// <summary>A week of a text.</summary>
/// <param name="Name">What it is called; empty where the text names none.</param>
/// <param name="Line">Line of its heading; 0 when there is none.</param>
/// <param name="Rows">Its rows.</param>
internal sealed record LaidOutWeek(string Name, int Line, ImmutableArray<LaidOutRow> Rows);
