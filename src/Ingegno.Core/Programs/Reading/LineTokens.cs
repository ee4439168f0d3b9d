using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Takes a row apart into numbers, words and signs. Linear in its length.</summary>
internal static class LineTokens
{
    public static List<LineToken> Tokenize(string row)
    {
        var text = PlainText.Normalize(row).ToLowerInvariant();
        var tokens = new List<LineToken>(text.Length / 2);
        var spaced = true;
        for (var i = 0; i < text.Length; )
        {
            var c = text[i];
            if (c == '\'' && i > 0 && char.IsAsciiDigit(text[i - 1]) && i + 1 < text.Length && text[i + 1] == 's' && !IsInWord(text, i + 2))
            {
                i++; // 20's are 20s
                continue;
            }

            if (c == ' ')
            {
                (spaced, i) = (true, i + 1);
                continue;
            }

            var end =
                char.IsAsciiDigit(c) ? NumberEnd(text, i)
                : char.IsLetter(c) ? WordEnd(text, i)
                : i + 1;
            Add(tokens, text, i, end, spaced);
            (spaced, i) = (c == '\t', end);
        }

        ForeignWords.Settle(tokens);
        NumberWords.Settle(tokens);
        return tokens;
    }

    private static bool IsInWord(string text, int at) => at < text.Length && char.IsLetterOrDigit(text[at]);

    private static void Add(List<LineToken> tokens, string text, int start, int end, bool spaced)
    {
        var piece = text[start..end];
        var kind =
            char.IsAsciiDigit(piece[0]) ? TokenKind.Number
            : char.IsLetter(piece[0]) ? TokenKind.Word
            : TokenKind.Sign;

        // 3xmax and 3xf: the cross belongs to the sets; setsx10: to the reps.
        var afterNumber = tokens.Count > 0 && !spaced && tokens[^1].IsNumber;
        if (kind == TokenKind.Word && afterNumber && piece.Length > 1 && piece[0] == 'x')
        {
            tokens.Add(new LineToken(TokenKind.Word, "x", start, false));
            Add(tokens, text, start + 1, end, false);
            return;
        }

        if (
            kind == TokenKind.Word
            && (piece.Length > 3 || piece is "kgx" or "lbx")
            && piece[^1] == 'x'
            && end < text.Length
            && char.IsAsciiDigit(text[end])
        )
        {
            tokens.Add(new LineToken(TokenKind.Word, piece[..^1], start, spaced));
            tokens.Add(new LineToken(TokenKind.Word, "x", end - 1, false));
            return;
        }

        // 3x15 → 12 → 10: an arrow between figures parts them, as a stroke does.
        var arrow = piece == "•" && tokens.Count > 0 && tokens[^1].IsNumber && text.AsSpan(end).TrimStart() is [>= '0' and <= '9', ..];
        tokens.Add(new LineToken(kind, arrow ? "/" : piece, start, spaced));
    }

    /// <summary>Where a number ends: a dot belongs to it when a single one stands between digits.</summary>
    private static int NumberEnd(string text, int start)
    {
        var end = Digits(text, start);
        if (end + 1 >= text.Length || text[end] != '.' || !char.IsAsciiDigit(text[end + 1]) || (start > 1 && text[start - 1] == '.'))
        {
            return end;
        }

        var after = Digits(text, end + 1);
        return after + 1 < text.Length && text[after] == '.' && char.IsAsciiDigit(text[after + 1]) ? end : after;
    }

    private static int Digits(string text, int at)
    {
        while (at < text.Length && char.IsAsciiDigit(text[at]))
        {
            at++;
        }

        return at;
    }

    private static int WordEnd(string text, int at)
    {
        while (at < text.Length && char.IsLetter(text[at]))
        {
            at++;
        }

        return at;
    }
}
