using System.Globalization;

namespace Ingegno.Core.Foundation.Text;

/// <summary>
/// Makes the characters of a text plain without moving any: digits of every script become 0–9, letters of full width narrow, dashes,
/// quotes and crosses one of each kind, and what nobody can see (marks of direction, control characters) or say (emoji) a space.
/// </summary>
public static class PlainText
{
    /// <summary>The text, as long as before. Linear in its length.</summary>
    public static string Normalize(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return string.Create(
            text.Length,
            text,
            static (plain, from) =>
            {
                for (var i = 0; i < from.Length; i++)
                {
                    plain[i] = Of(from[i]);
                }
            }
        );
    }

    private static char Of(char c) =>
        c switch
        {
            < '\u007f' and >= ' ' => c,
            '\t' => '\t',
            '½' or '¼' or '¾' or '°' or 'º' => c,
            '×' or '✕' or '✖' or '╳' or '⨯' => 'x',
            '‐' or '‑' or '‒' or '–' or '—' or '―' or '−' or '﹣' or '－' => '-',
            '“' or '”' or '„' or '″' or '〃' or '＂' => '"',
            '‘' or '’' or '‚' or '′' or 'ʹ' or '`' or '´' => '\'',
            '•' or '●' or '▪' or '◦' or '‣' or '·' or '○' or '■' or '□' or '►' or '▶' or '→' or '➡' or '✓' or '✔' or '☐' or '☑' => '•',
            >= '！' and <= '～' => (char)(c - '！' + '!'),
            _ when CharUnicodeInfo.GetDecimalDigitValue(c) is >= 0 and var digit => (char)('0' + digit),
            _ when char.IsLetter(c) => c,
            _ => ' ',
        };
}
