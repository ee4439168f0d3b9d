using System.Globalization;

namespace Ingegno.Core.Progress.Logs;

/// <summary>A figure of a message, with what stands about it.</summary>
/// <param name="Value">The figure.</param>
/// <param name="Times">How often it counts: 3x12 is three times twelve.</param>
/// <param name="Unit">The letters behind it; empty when there are none.</param>
/// <param name="Marked">"@", "with" or "at" stand before it, as before a load.</param>
/// <param name="Reserve">What was left in that set; null when it is not said of this one.</param>
/// <param name="Last">No figure follows.</param>
/// <param name="Start">Where it starts in the text.</param>
internal sealed record LogFigure(double Value, int Times, string Unit, bool Marked, int? Reserve, bool Last, int Start)
{
    /// <summary>Nobody does more sets of an exercise: what stands before the cross is then the reps.</summary>
    private const int MostSets = 6;

    /// <summary>The figures of a text, in its order.</summary>
    public static IEnumerable<LogFigure> In(string text)
    {
        var found = new List<LogFigure>();
        for (var i = 0; i < text.Length; i++)
        {
            if (!char.IsAsciiDigit(text[i]) || (i > 0 && char.IsAsciiLetter(text[i - 1]) && text[i - 1] != 'x'))
            {
                continue;
            }

            var (value, end) = Read(text, i);
            var times = 1;
            var back = text[..i].TrimEnd();
            var marked =
                back.EndsWith('@') || back.EndsWith(" with", StringComparison.Ordinal) || back.EndsWith(" at", StringComparison.Ordinal);
            var after = end;
            while (after < text.Length && text[after] == ' ')
            {
                after++;
            }

            if (after + 1 < text.Length && text[after] is 'x' or '*' && NextDigit(text, after + 1) is { } next)
            {
                var first = value;
                (value, end) = Read(text, next);
                (times, value) =
                    first > MostSets && value is >= 1 and <= MostSets ? ((int)value, first) : ((int)Math.Min(first, 30), value);
                after = end;
            }

            int? reserve = null;
            if (after + 1 < text.Length && text[after] == LogPhrases.Reserve)
            {
                var (left, behind) = Read(text, after + 1);
                (reserve, end, after) = ((int)Math.Min(left, 10), behind, behind);
            }

            var unitEnd = after;
            while (unitEnd < text.Length && char.IsAsciiLetter(text[unitEnd]))
            {
                unitEnd++;
            }

            found.Add(new LogFigure(value, times, text[after..unitEnd], marked, reserve, false, i));
            i = end - 1;
        }

        return found.Select((f, i) => f with { Last = i == found.Count - 1 });
    }

    private static int? NextDigit(string text, int at)
    {
        while (at < text.Length && text[at] == ' ')
        {
            at++;
        }

        return at < text.Length && char.IsAsciiDigit(text[at]) ? at : null;
    }

    private static (double Value, int End) Read(string text, int at)
    {
        var end = at;
        while (
            end < text.Length
            && (char.IsAsciiDigit(text[end]) || (text[end] == '.' && end + 1 < text.Length && char.IsAsciiDigit(text[end + 1])))
        )
        {
            end++;
        }

        return (
            end - at <= 8
            && double.TryParse(text.AsSpan(at, end - at), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value)
                ? value
                : 1e6,
            end
        );
    }
}
