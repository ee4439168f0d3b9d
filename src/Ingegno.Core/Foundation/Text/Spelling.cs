namespace Ingegno.Core.Foundation.Text;

/// <summary>Finds the word that was meant by one that is misspelt.</summary>
public static class Spelling
{
    /// <summary>Length from which two slips are forgiven.</summary>
    private const int LongWord = 8;

    /// <summary>The known word that a slip or two away is the only nearest; null when there is none, or several are equally near.</summary>
    /// <param name="word">Word that is not known.</param>
    /// <param name="known">Words that are.</param>
    public static string? Nearest(string word, IEnumerable<string> known)
    {
        ArgumentNullException.ThrowIfNull(word);
        ArgumentNullException.ThrowIfNull(known);
        var most = word.Length >= LongWord ? 2 : 1;
        var (best, distance, several) = ((string?)null, most + 1, false);
        foreach (var other in known)
        {
            // The first letter is seldom wrong, and short words are too alike.
            if (Math.Abs(other.Length - word.Length) > most || other.Length < 4 || other[0] != word[0])
            {
                continue;
            }

            var slips = Slips(word, other);
            if (slips < distance)
            {
                (best, distance, several) = (other, slips, false);
            }
            else if (slips == distance)
            {
                several = true;
            }
        }

        return several ? null : best;
    }

    /// <summary>Letters left out, added, mistaken or swapped (optimal string alignment).</summary>
    public static int Slips(string a, string b)
    {
        ArgumentNullException.ThrowIfNull(a);
        ArgumentNullException.ThrowIfNull(b);
        var rows = new int[a.Length + 1, b.Length + 1];
        for (var i = 0; i <= a.Length; i++)
        {
            for (var j = 0; j <= b.Length; j++)
            {
                rows[i, j] =
                    i == 0 ? j
                    : j == 0 ? i
                    : Math.Min(Math.Min(rows[i - 1, j], rows[i, j - 1]) + 1, rows[i - 1, j - 1] + (a[i - 1] == b[j - 1] ? 0 : 1));
                if (i > 1 && j > 1 && a[i - 1] == b[j - 2] && a[i - 2] == b[j - 1])
                {
                    rows[i, j] = Math.Min(rows[i, j], rows[i - 2, j - 2] + 1);
                }
            }
        }

        return rows[a.Length, b.Length];
    }
}
