using System.Globalization;

namespace Ingegno.Core.Written.Programs;

/// <summary>Reads one line of text from left to right and knows where it stands.</summary>
internal sealed class TextCursor(string text)
{
    public int Position { get; set; }

    public bool AtEnd => Position >= text.Length;

    public char Current => AtEnd ? '\0' : text[Position];

    public string Rest => text[Position..];

    public void SkipSpaces()
    {
        while (!AtEnd && (char.IsWhiteSpace(Current) || Current == ','))
        {
            Position++;
        }
    }

    /// <summary>Takes the word, ignoring case, when it stands here and does not run on into another word.</summary>
    public bool TakeWord(params ReadOnlySpan<string> words)
    {
        foreach (var word in words)
        {
            var end = Position + word.Length;
            if (
                end <= text.Length
                && string.Compare(text, Position, word, 0, word.Length, StringComparison.OrdinalIgnoreCase) == 0
                && (end == text.Length || !char.IsLetter(text[end]) || !char.IsLetter(word[^1]))
            )
            {
                Position = end;
                return true;
            }
        }

        return false;
    }

    public bool Take(char c)
    {
        if (Current != c)
        {
            return false;
        }

        Position++;
        return true;
    }

    public bool TakeAny(string characters)
    {
        if (AtEnd || !characters.Contains(Current, StringComparison.Ordinal))
        {
            return false;
        }

        Position++;
        return true;
    }

    /// <summary>Takes digits; values too large for an <see cref="int"/> come back as <see cref="int.MaxValue"/>.</summary>
    public int? TakeInteger()
    {
        var start = Position;
        while (char.IsAsciiDigit(Current))
        {
            Position++;
        }

        if (start == Position)
        {
            return null;
        }

        return int.TryParse(text.AsSpan(start, Position - start), NumberStyles.None, CultureInfo.InvariantCulture, out var value)
            ? value
            : int.MaxValue;
    }

    /// <summary>Takes a number with an optional decimal part after a dot.</summary>
    public double? TakeNumber()
    {
        var start = Position;
        var whole = TakeInteger();
        if (whole is null)
        {
            return null;
        }

        if (Current == '.' && Position + 1 < text.Length && char.IsAsciiDigit(text[Position + 1]))
        {
            Position++;
            TakeInteger();
        }

        return double.Parse(text.AsSpan(start, Position - start), CultureInfo.InvariantCulture);
    }

    /// <summary>Length of the word that starts here, at least 1.</summary>
    public int WordLength()
    {
        var end = Position;
        while (end < text.Length && !char.IsWhiteSpace(text[end]))
        {
            end++;
        }

        return Math.Max(1, end - Position);
    }
}
