using System.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Takes marks of formatting out of a row without moving anything: **bold**, __underlined__, `code`.</summary>
internal static class RowText
{
    public static string Plain(string row)
    {
        var text = new StringBuilder(row);
        for (var i = 0; i < text.Length; i++)
        {
            if (text[i] == Keycap)
            {
                // 1️⃣ is a bullet, and no figure of a dose.
                var digit = i > 1 && text[i - 1] == Variation ? i - 2 : i - 1;
                for (var at = Math.Max(0, digit); at <= i; at++)
                {
                    text[at] = ' ';
                }

                continue;
            }

            var pair = text[i] is '*' or '_' && i + 1 < text.Length && text[i + 1] == text[i];
            if (pair)
            {
                text[i] = text[i + 1] = ' ';
            }
            else if (text[i] is '`' or '_' or '\\')
            {
                text[i] = ' ';
            }
            else if (text[i] is '*' && !BetweenFigures(text, i))
            {
                text[i] = ' ';
            }
        }

        return text.ToString();
    }

    private const char Keycap = '\u20e3',
        Variation = '\ufe0f';

    /// <summary>A star between figures or words of a dose is a cross.</summary>
    private static bool BetweenFigures(StringBuilder text, int at)
    {
        var (before, after) = (at - 1, at + 1);
        while (before >= 0 && text[before] == ' ')
        {
            before--;
        }

        while (after < text.Length && text[after] == ' ')
        {
            after++;
        }

        return before >= 0 && char.IsAsciiDigit(text[before]) && after < text.Length && char.IsLetterOrDigit(text[after]);
    }
}
