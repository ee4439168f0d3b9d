using System.Collections.Immutable;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Clients.Health;

/// <summary>One or several words that must stand one after the other.</summary>
internal sealed class SaidPhrase
{
    /// <summary>Length from which a slip of spelling is forgiven; in shorter words two letters that changed places, or a double one alone.</summary>
    private const int Forgiven = 6;

    /// <summary>Length from which two slips are.</summary>
    private const int TwiceForgiven = 10;

    private readonly ImmutableArray<(string Word, bool Stem, bool Exact)> _words;

    public SaidPhrase(string said) =>
        _words = [
            .. said.Split(' ', StringSplitOptions.RemoveEmptyEntries)
                .Select(w => (w.Trim('=', '*'), w.EndsWith('*'), w.StartsWith('=') || w.Length < 5)),
        ];

    /// <summary>How many words it has.</summary>
    public int Length => _words.Length;

    /// <summary>Whether it stands in the words from a place on.</summary>
    public bool StandsAt(IReadOnlyList<SaidWord> words, int at)
    {
        if (at + _words.Length > words.Count)
        {
            return false;
        }

        for (var i = 0; i < _words.Length; i++)
        {
            if (!Is(words[at + i].Text, _words[i]))
            {
                return false;
            }
        }

        return true;
    }

    private static bool Is(string said, (string Word, bool Stem, bool Exact) meant)
    {
        if (said == meant.Word || (meant.Stem && said.StartsWith(meant.Word, StringComparison.Ordinal)))
        {
            return true;
        }

        if (meant.Stem && said.Length > meant.Word.Length)
        {
            said = said[..meant.Word.Length];
        }

        if (meant.Exact || said.Length < 4 || said[0] != meant.Word[0] || Math.Abs(said.Length - meant.Word.Length) > 2)
        {
            return false;
        }

        var slips = Spelling.Slips(said, meant.Word);
        return meant.Word.Length >= TwiceForgiven ? slips <= 2
            : meant.Word.Length >= Forgiven ? slips == 1
            : slips == 1 && said.ToHashSet().SetEquals(meant.Word);
    }
}
