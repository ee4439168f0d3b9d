using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Tells what is said to the reader of a program from its lines: how it goes on, what to do when, a greeting. Such a row stays a remark
/// though it may hold figures and the name of a lift ("Add 2.5 kg to the squat each week").
/// </summary>
internal static class Prose
{
    /// <summary>Fewer words are no sentence.</summary>
    private const int LeastWords = 4;

    /// <summary>Words that belong to sentences, at least so many of them in a row of at least so many words, make one.</summary>
    private const int LeastOfSentence = 2,
        LongRow = 8;

    /// <summary>First words of what is said about a program, and of no line of it (common practice).</summary>
    private static readonly ImmutableHashSet<string> Leads =
    [
        "add",
        "aim",
        "always",
        "deload",
        "goal",
        "here",
        "hello",
        "hey",
        "hi",
        "if",
        "increase",
        "let",
        "name",
        "nb",
        "never",
        "note",
        "notes",
        "once",
        "please",
        "progress",
        "progression",
        "remember",
        "try",
        "when",
    ];

    private static readonly ImmutableHashSet<string> OfSentences =
    [
        "are",
        "be",
        "but",
        "can",
        "do",
        "feel",
        "feels",
        "her",
        "here",
        "him",
        "if",
        "is",
        "it",
        "me",
        "miss",
        "must",
        "she",
        "should",
        "that",
        "there",
        "they",
        "this",
        "until",
        "we",
        "when",
        "will",
        "you",
        "your",
    ];

    /// <summary>Whether the row is said beside the program.</summary>
    /// <param name="row">The row.</param>
    public static bool Is(string row)
    {
        var tokens = LineTokens.Tokenize(row);
        var words = tokens.FindAll(t => t.Kind == TokenKind.Word);
        if (SeveralWeeks(tokens) && (words is [{ Text: "week" or "weeks" }, ..] || !RowReader.Read(row).Draft.HasDose))
        {
            return true; // "Week 1-2: RPE 7. Week 3: RPE 8."
        }

        if (words.Count < LeastWords)
        {
            return false;
        }

        var ofSentence = words.Count(w => OfSentences.Contains(w.Text));
        return (Leads.Contains(words[0].Text) && !Counts(row))
            || (words.Count >= LongRow && ofSentence >= LeastOfSentence && !RowReader.Read(row).Draft.HasDose);
    }

    /// <summary>Sets and reps stand in it: "Add weighted dips 3x8" is work, whatever it begins with.</summary>
    private static bool Counts(string row) =>
        RowReader.Read(row).Draft.Groups.Exists(g => g.Sets is not null && (g.Counts.Count > 0 || g.Open));

    private static bool SeveralWeeks(List<LineToken> tokens) =>
        Enumerable.Range(0, Math.Max(0, tokens.Count - 1)).Count(i => tokens[i].Text is "week" or "weeks" or "wk" && tokens[i + 1].IsWhole)
        > 1;
}
