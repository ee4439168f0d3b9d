using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Figures that are spelt out where they count something: "three sets of eight", "four by ten". "One arm" and "two-hand" stay words: they
/// are part of a name.
/// </summary>
internal static class NumberWords
{
    /// <summary>Puts figures in the place of words that count, and a cross between two of them.</summary>
    public static void Settle(List<LineToken> tokens)
    {
        for (var i = 0; i < tokens.Count; i++)
        {
            if (SpeltNumbers.TryParse(tokens[i].Text) is { } figure && Counts(tokens, i))
            {
                tokens[i] = tokens[i] with { Kind = TokenKind.Number, Text = $"{figure}", Room = tokens[i].Text.Length };
            }
        }

        for (var i = 1; i + 1 < tokens.Count; i++)
        {
            if (tokens[i].Is("by") && tokens[i - 1].IsNumber && tokens[i + 1].IsNumber)
            {
                tokens[i] = tokens[i] with { Text = "x", Room = 2 };
            }
        }
    }

    private static bool Counts(List<LineToken> tokens, int at)
    {
        var (before, after) = (Text(tokens, at - 1), Text(tokens, at + 1));
        return after is "sets" or "set" or "reps" or "rep" or "rounds" or "round" or "x"
            || before is "x"
            || (before is "of" && Text(tokens, at - 2) is "sets" or "set" or "rounds" or "round")
            || (after is "by" && IsFigure(tokens, at + 2))
            || (before is "by" && IsFigure(tokens, at - 2));
    }

    private static bool IsFigure(List<LineToken> tokens, int at) =>
        at >= 0 && at < tokens.Count && (tokens[at].IsNumber || SpeltNumbers.TryParse(tokens[at].Text) is not null);

    private static string Text(List<LineToken> tokens, int at) => at >= 0 && at < tokens.Count ? tokens[at].Text : string.Empty;
}
