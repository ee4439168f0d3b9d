namespace Ingegno.Core.Foundation.Text;

/// <summary>How alike two normalised names are, for offering the nearest ones.</summary>
public static class Likeness
{
    /// <summary>0–1: mean of shared words (Dice) and of letters that need no change (Levenshtein).</summary>
    public static double Between(string a, string b)
    {
        var (wordsA, wordsB) = (a.Split(' '), b.Split(' '));
        var shared = wordsA.Count(w => wordsB.Any(v => v == w || (w.Length > 3 && Distance(w, v) == 1)));
        var words = 2.0 * Math.Min(shared, wordsB.Length) / (wordsA.Length + wordsB.Length);
        var letters = 1 - (Distance(a, b) / (double)Math.Max(a.Length, b.Length));
        return (words + letters) / 2;
    }

    private static int Distance(string a, string b)
    {
        var row = Enumerable.Range(0, b.Length + 1).ToArray();
        for (var i = 1; i <= a.Length; i++)
        {
            var diagonal = row[0];
            row[0] = i;
            for (var j = 1; j <= b.Length; j++)
            {
                var above = row[j];
                row[j] = Math.Min(Math.Min(row[j], row[j - 1]) + 1, diagonal + (a[i - 1] == b[j - 1] ? 0 : 1));
                diagonal = above;
            }
        }

        return row[b.Length];
    }
}
