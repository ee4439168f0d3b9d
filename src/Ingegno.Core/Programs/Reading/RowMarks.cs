using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reads what stands before the name: bullets, numbers, boxes to tick, and the label of a superset.</summary>
internal static class RowMarks
{
    /// <summary>Takes the marks; the label in the form A1, or a letter alone; null when there is none.</summary>
    public static string? Read(TokenCursor at)
    {
        while (Mark(at))
        {
            // bullets may come in a row: - [ ] 1.
        }

        return Label(at);
    }

    private static bool Mark(TokenCursor at)
    {
        var start = at.At;
        if (at.Take("["))
        {
            at.TakeAny("x", "•");
            return at.Take("]") || at.Back(start);
        }

        if (at.Now.Text is "-" or "*" or "•" or ">" or "+" or "_" or "." or "~" or ":" or "|" or "\t")
        {
            at.At++;
            return true;
        }

        // 1. 2) (3) #4, and a number sign with a figure alone
        if (at.Now.Is("#") && IsNumbered(at))
        {
            at.At += 2;
            return true;
        }

        at.TakeAny("(", "#");
        if (
            at.Now.IsWhole
            && at.Now.Text.Length <= 2
            && at.Ahead(1) is { Spaced: false, Text: "." or ")" or ":" }
            && !(at.Ahead(1).Is(":") && at.Ahead(2).IsNumber)
        )
        {
            at.At += 2;
            at.Take(")");
            return true;
        }

        return at.Back(start);
    }

    /// <summary>True for a row that a number sign makes a comment; "#3 Lat pulldown" is the third line.</summary>
    public static bool IsComment(string row)
    {
        var said = row.TrimStart();
        return said.StartsWith('#') && !IsNumbered(new TokenCursor(LineTokens.Tokenize(said), said.Length));
    }

    private static bool IsNumbered(TokenCursor at) =>
        at.Ahead(1) is { IsWhole: true, Spaced: false, Text.Length: <= 2 } && at.Ahead(2) is { Kind: TokenKind.Word, Spaced: true };

    private static string? Label(TokenCursor at)
    {
        var start = at.At;
        at.TakeAny("(", "[");
        var (first, second) = (at.Now, at.Ahead(1));
        var letterFirst = first is { Kind: TokenKind.Word, Text.Length: 1 } && first.Text[0] is >= 'a' and <= 'z';

        // A1, B2) – but T2B is a name.
        if (letterFirst && second is { IsWhole: true, Spaced: false, Text.Length: <= 2 } && Ends(at.Ahead(2)))
        {
            at.At += 2;
            Close(at);
            return first.Text.ToUpperInvariant() + second.Text;
        }

        // 1a, 2b)
        if (
            first is { IsWhole: true, Text.Length: 1 }
            && first.Value >= 1
            && second is { Kind: TokenKind.Word, Spaced: false, Text.Length: 1 }
            && second.Text[0] is >= 'a' and <= 'f'
            && Ends(at.Ahead(2))
        )
        {
            at.At += 2;
            Close(at);
            return $"{(char)('A' + (int)first.Value - 1)}{second.Text[0] - 'a' + 1}";
        }

        if (letterFirst && second is { Spaced: false, Text: "." or ")" or ":" } && at.Ahead(2).Spaced)
        {
            at.At += 2;
            Close(at);
            return first.Text.ToUpperInvariant();
        }

        at.At = start;
        return null;
    }

    private static bool Ends(LineToken after) =>
        after.Kind is TokenKind.End || after.Spaced || after.Text is "." or ")" or ":" or "]" or "-";

    private static void Close(TokenCursor at)
    {
        while (at.TakeAny(".", ")", ":", "]", "-").Length > 0)
        {
            // "A1. -" and the like
        }
    }
}
