using System.Text;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Clients.Health;

/// <summary>A word or sign of what somebody said, in the form in which words are compared.</summary>
/// <param name="Text">Lower case, without accents and apostrophes; one character for a sign.</param>
/// <param name="Start">Where it begins in the text.</param>
/// <param name="End">Where it ends.</param>
internal readonly record struct SaidWord(string Text, int Start, int End)
{
    /// <summary>It is a sign and no word.</summary>
    public bool IsSign => !char.IsLetterOrDigit(Text[0]);

    /// <summary>It ends a sentence.</summary>
    public bool EndsSentence => Text is "." or ";" or "!" or "?" or "\n";

    /// <summary>The words of a text in their order, linear in its length.</summary>
    public static List<SaidWord> All(string text)
    {
        var plain = PlainText.Normalize(text);
        var words = new List<SaidWord>();
        for (var i = 0; i < plain.Length; )
        {
            var start = i;
            if (text[i] is '\n' or '\r')
            {
                words.Add(new SaidWord("\n", i, ++i));
            }
            else if (char.IsLetterOrDigit(plain[i]))
            {
                var word = new StringBuilder();
                for (; i < plain.Length && (char.IsLetterOrDigit(plain[i]) || IsWithin(plain, i)); i++)
                {
                    if (plain[i] != '\'')
                    {
                        word.Append(Words.WithoutAccent(char.ToLowerInvariant(plain[i])));
                    }
                }

                words.Add(new SaidWord(word.ToString(), start, i));
            }
            else
            {
                i++;
                if (!char.IsWhiteSpace(plain[start]) && plain[start] is not ('"' or '\'') && !IsHyphen(plain, start))
                {
                    words.Add(new SaidWord(plain[start..i], start, i));
                }
            }
        }

        return words;
    }

    /// <summary>The hyphen of "light-headed": two words.</summary>
    private static bool IsHyphen(string text, int at) =>
        text[at] == '-' && at > 0 && at + 1 < text.Length && char.IsLetter(text[at - 1]) && char.IsLetter(text[at + 1]);

    /// <summary>The apostrophe of "can't", the mark of "4.5": they part no words.</summary>
    private static bool IsWithin(string text, int at) =>
        at > 0
        && at + 1 < text.Length
        && (
            (text[at] == '\'' && char.IsLetter(text[at + 1]))
            || (text[at] is '.' or ',' && char.IsDigit(text[at - 1]) && char.IsDigit(text[at + 1]))
        );
}
