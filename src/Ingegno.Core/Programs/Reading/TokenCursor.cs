using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Walks over the tokens of a row and takes them when they are what is expected.</summary>
internal sealed class TokenCursor(List<LineToken> tokens, int rowLength)
{
    public int At { get; set; }

    public int Count => tokens.Count;

    public bool AtEnd => At >= tokens.Count;

    public LineToken Now => Ahead(0);

    public LineToken Before => At > 0 ? tokens[At - 1] : End;

    private LineToken End => new(TokenKind.End, string.Empty, rowLength, true);

    public LineToken Ahead(int by) => At + by < tokens.Count ? tokens[At + by] : End;

    /// <summary>Whether one of the words stands anywhere in the row.</summary>
    public bool Says(params string[] words) => tokens.Exists(t => words.Contains(t.Text));

    /// <summary>Takes one word or sign when it is the one.</summary>
    public bool Take(string text)
    {
        if (!Now.Is(text))
        {
            return false;
        }

        At++;
        return true;
    }

    /// <summary>Takes a sign or word that is one of these; empty when it is none.</summary>
    public string TakeAny(params ReadOnlySpan<string> texts)
    {
        foreach (var text in texts)
        {
            if (Take(text))
            {
                return text;
            }
        }

        return string.Empty;
    }

    /// <summary>Takes several words in a row, hyphens between them or not; nothing when they do not all stand here.</summary>
    public bool TakePhrase(string phrase)
    {
        // Asked of every row hundreds of times: nothing is made anew.
        var start = At;
        var words = phrase.AsSpan();
        foreach (var range in words.Split(' '))
        {
            if (At > start)
            {
                Take("-");
            }

            if (Now.IsNumber || !Now.Text.AsSpan().SequenceEqual(words[range]))
            {
                At = start;
                return false;
            }

            At++;
        }

        return true;
    }

    public bool TakeAnyPhrase(params ReadOnlySpan<string> phrases)
    {
        foreach (var phrase in phrases)
        {
            if (TakePhrase(phrase))
            {
                return true;
            }
        }

        return false;
    }

    /// <summary>Goes back and says no.</summary>
    public bool Back(int to)
    {
        At = to;
        return false;
    }
}
