using System.Text;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Knowledge.Naming;

/// <summary>Takes a name apart into plain words: lower case, singular, spelt as the lexicon spells them. Linear in its length.</summary>
internal static class NameWords
{
    /// <summary>More words than any name has.</summary>
    private const int Most = 24;

    /// <summary>The words of a text, fractions as <c>1 1 4</c>, degrees as a word of their own.</summary>
    public static List<string> Split(string text, IReadOnlyDictionary<string, string> spellings)
    {
        var words = new List<string>();
        foreach (var raw in Split(text))
        {
            Add(raw, words, spellings);
            if (words.Count >= Most)
            {
                break;
            }
        }

        return words;
    }

    private static void Add(string raw, List<string> words, IReadOnlyDictionary<string, string> spellings)
    {
        var word = spellings.ContainsKey(raw) ? raw : Singular(raw);
        if (spellings.TryGetValue(word, out var spelt))
        {
            // A short form may stand for words that have a usual spelling of their own.
            words.AddRange(spelt.Split(' ').SelectMany(w => w != word && spellings.TryGetValue(w, out var usual) ? usual.Split(' ') : [w]));
        }
        else
        {
            words.Add(word);
        }
    }

    private static IEnumerable<string> Split(string text)
    {
        var word = new StringBuilder();
        for (var i = 0; i < text.Length; i++)
        {
            var c = Words.WithoutAccent(char.ToLowerInvariant(text[i]));
            var decimalPoint =
                c is '.' or ',' && word.Length > 0 && char.IsAsciiDigit(word[^1]) && i + 1 < text.Length && char.IsAsciiDigit(text[i + 1]);
            if (char.IsAsciiDigit(c) || char.IsAsciiLetter(c) || (char.IsLetter(c) && c > 127) || decimalPoint)
            {
                // A figure and letters after it are two words (45deg), but 1arm and 21s are one.
                word.Append(decimalPoint ? '.' : c);
                continue;
            }

            if (c is '\'' or '’')
            {
                continue;
            }

            if (word.Length > 0)
            {
                yield return word.ToString();
                word.Clear();
            }

            if (Sign(c) is { } said)
            {
                foreach (var part in said.Split(' '))
                {
                    yield return part;
                }
            }
        }

        if (word.Length > 0)
        {
            yield return word.ToString();
        }
    }

    private static string? Sign(char c) =>
        c switch
        {
            '¼' => "1 4",
            '½' => "1 2",
            '¾' => "3 4",
            '°' or 'º' => "degree",
            _ => null,
        };

    /// <summary>The word in the singular, where that is safe.</summary>
    internal static string Singular(string word) =>
        word switch
        {
            "biceps" or "triceps" or "quadriceps" or "abs" or "press" or "cross" or "grass" or "hiss" => word,
            _ when word.Length > 3 && word.EndsWith("ies", StringComparison.Ordinal) => word[..^3] + "y",
            _ when word.Length > 4
                    && (word.EndsWith("ches", StringComparison.Ordinal) || word.EndsWith("sses", StringComparison.Ordinal)) => word[..^2],
            _ when word.Length > 2 && word.EndsWith('s') && !word.EndsWith("ss", StringComparison.Ordinal) => word[..^1],
            _ => word,
        };
}
