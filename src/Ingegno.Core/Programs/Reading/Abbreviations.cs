using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// A dot behind a short word cuts it short and does not end a sentence: lat. raises, ext. rotation, incl. DB press. It is joined with what
/// follows where the two together are understood better than they are apart.
/// </summary>
internal static class Abbreviations
{
    private const int LongestStub = 6;

    /// <summary>Readings tried for a name with several short words.</summary>
    private const int MostTried = 24;

    /// <summary>Words joined to one name, and places of a row where it is tried: a name is short, and a row may be hostile.</summary>
    private const int MostParts = 4;

    private const int MostInRow = 4;

    /// <summary>The runs of a row with those that a dot parts joined where that helps.</summary>
    /// <param name="row">The row.</param>
    /// <param name="runs">Runs of words with their text.</param>
    /// <param name="names">What names mean.</param>
    /// <param name="usual">Where a name is ambiguous, what is usual.</param>
    public static List<(Run Run, string Text)> Join(string row, List<(Run Run, string Text)> runs, ExerciseNames names, string? usual)
    {
        var joined = new List<(Run Run, string Text)>();
        var tried = 0;
        for (var i = 0; i < runs.Count; )
        {
            var parts = 1;
            while (parts < MostParts && i + parts < runs.Count && CutsShort(row, runs[i + parts - 1], runs[i + parts]))
            {
                parts++;
            }

            var whole = parts > 1 && tried++ < MostInRow ? Whole(runs.GetRange(i, parts), names, usual) : null;
            joined.Add(whole ?? runs[i]);
            i += whole is null ? 1 : parts;
        }

        return joined;
    }

    private static bool CutsShort(string row, (Run Run, string Text) word, (Run Run, string Text) next) =>
        LastWord(word.Text) is { Length: >= 2 and <= LongestStub } stub
        && stub.All(char.IsLetter)
        && word.Run is { Bracketed: false }
        && next.Run is { Bracketed: false }
        && row[word.Run.Start..next.Run.Start].Trim() == word.Text + ".";

    private static string LastWord(string text) => text[(text.LastIndexOf(' ') + 1)..];

    private static (Run Run, string Text)? Whole(List<(Run Run, string Text)> parts, ExerciseNames names, string? usual)
    {
        var apart = parts.Select(p => names.Read(p.Text, usual)).ToList();
        if (apart[0] is { Exercise: not null, Certainty: Certainty.Sure })
        {
            return null; // "Squat. Stay upright": a sentence that ended
        }

        IEnumerable<string> texts = [string.Empty];
        foreach (var (part, i) in parts.Select((p, i) => (p.Text, i)))
        {
            var stub = LastWord(part);
            IEnumerable<string> meant =
                i == parts.Count - 1 ? [part] : [part, .. names.Lexicon.Completions(stub).Select(c => part[..^stub.Length] + c)];
            texts = texts.SelectMany(t => meant.Select(m => $"{t} {m}".Trim()));
        }

        var best = texts
            .Take(MostTried)
            .Select(t => (Text: t, Reading: names.Read(t, usual)))
            .OrderBy(t => t.Reading.Certainty)
            .ThenBy(t => t.Reading.Modifiers.Count(m => m.Kind == NameFeatureKind.Word))
            .First();
        return best.Reading.Exercise is not null && best.Reading.Certainty <= apart.Min(a => a.Certainty)
            ? (parts[0].Run with { End = parts[^1].Run.End }, best.Text)
            : null;
    }
}
