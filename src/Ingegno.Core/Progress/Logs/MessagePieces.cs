namespace Ingegno.Core.Progress.Logs;

/// <summary>Cuts a message where one exercise ends and the next begins.</summary>
internal static class MessagePieces
{
    /// <summary>A part of the message for each exercise: commas part reps too, so what begins with a figure goes on with what stood before.</summary>
    public static List<string> Cut(string text)
    {
        var pieces = new List<string>();
        foreach (var raw in Split(text))
        {
            var piece = raw.Trim(' ', '-', '•', '*', ',', '.');
            if (piece.Length == 0)
            {
                continue;
            }

            var goesOn = pieces.Count > 0 && char.IsAsciiDigit(piece[0]) && !LogWords.Read(WithoutAside(piece)).NameAfterFigures;
            if (goesOn)
            {
                pieces[^1] += ", " + piece;
            }
            else
            {
                pieces.Add(piece);
            }
        }

        return pieces;
    }

    /// <summary>"7 (last one a grinder)" names nothing behind its figure.</summary>
    private static string WithoutAside(string piece) =>
        piece.IndexOf('(', StringComparison.Ordinal) is > 0 and var at ? piece[..at] : piece;

    private static IEnumerable<string> Split(string text)
    {
        var start = 0;
        for (var i = 0; i <= text.Length; i++)
        {
            var ends =
                i == text.Length
                || text[i] is ';' or '!' or '\n'
                || (text[i] == ',' && !OtherSide(text.AsSpan(i + 1)))
                || (
                    text[i] == '-' && i > 0 && text[i - 1] == ' ' && i + 2 < text.Length && text[i + 1] == ' ' && char.IsLetter(text[i + 2])
                )
                || (text[i] == '.' && !(i > 0 && char.IsAsciiDigit(text[i - 1]) && i + 1 < text.Length && char.IsAsciiDigit(text[i + 1])));
            var and =
                !ends
                && text[i] == ' '
                && string.Compare(text, i, " and ", 0, 5, StringComparison.OrdinalIgnoreCase) == 0
                && i + 5 < text.Length
                && char.IsLetter(text[i + 5]);
            var then =
                !ends
                && !and
                && text[i] == ' '
                && string.Compare(text, i, " then ", 0, 6, StringComparison.OrdinalIgnoreCase) == 0
                && i + 6 < text.Length
                && char.IsLetter(text[i + 6]);
            if (then)
            {
                yield return text[start..i];
                start = i + 6;
                i = start - 1;
            }
            else if (ends || and)
            {
                yield return text[start..i];
                start = Math.Min(text.Length, i + (and ? 5 : 1));
                i = Math.Max(i, start - 1);
            }
            else if (i > start && Excepts(text, i))
            {
                yield return text[start..i];
                start = i; // what is excepted is said with its word
            }
        }
    }

    /// <summary>"all as planned except the lunges": the exception is a piece of its own.</summary>
    private static bool Excepts(string text, int at) =>
        text[at] == ' '
        && LogVocabulary.Exceptions.Any(e =>
            string.Compare(text, at + 1, e, 0, e.Length, StringComparison.OrdinalIgnoreCase) == 0
            && at + 1 + e.Length < text.Length
            && text[at + 1 + e.Length] == ' '
        );

    /// <summary>"left 12, right 10" is one set.</summary>
    private static bool OtherSide(ReadOnlySpan<char> rest)
    {
        var after = rest.TrimStart();
        var side =
            after.StartsWith("right", StringComparison.OrdinalIgnoreCase) ? 5
            : after.StartsWith("left", StringComparison.OrdinalIgnoreCase) ? 4
            : 0;
        return side > 0 && after[side..].TrimStart() is [>= '0' and <= '9', ..];
    }
}
