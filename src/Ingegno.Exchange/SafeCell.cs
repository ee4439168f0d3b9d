namespace Ingegno.Exchange;

/// <summary>
/// The one writer of text cells. A cell holds one line: line breaks and other control characters become blanks, so that none begins a new
/// row where quotes are not understood. A cell that a spreadsheet would take for a formula is written with an apostrophe before it, and read
/// without it (OWASP, CSV Injection, from memory).
/// </summary>
public static class SafeCell
{
    /// <summary>Signs that start a formula, the wide ones of East Asian keyboards among them.</summary>
    private static readonly char[] Starts = ['=', '+', '-', '@', '＝', '＋', '－', '＠'];

    /// <summary>Where a program of another country, or a paste, begins a new cell: there, too, nothing may begin a formula.</summary>
    private const char Splits = ';';

    /// <summary>The text as a cell of a text table.</summary>
    public static string Write(string cell) => string.Join(Splits, OneLine(cell).Split(Splits).Select(Written));

    /// <summary>The text of a cell of a text table.</summary>
    public static string Read(string cell)
    {
        ArgumentNullException.ThrowIfNull(cell);
        return string.Join(Splits, cell.Split(Splits).Select(Plain));
    }

    private static string Written(string part) => StartsFormula(part) ? "'" + part : part;

    private static string Plain(string part) => part.Length > 1 && part[0] == '\'' && StartsFormula(part[1..]) ? part[1..] : part;

    /// <summary>The text in one line, without control characters and halves of characters.</summary>
    public static string OneLine(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        return string.Create(
            text.Length,
            text,
            (line, from) =>
            {
                for (var i = 0; i < from.Length; i++)
                {
                    var alone =
                        char.IsSurrogate(from[i])
                        && !(i + 1 < from.Length && char.IsSurrogatePair(from[i], from[i + 1]))
                        && !(i > 0 && char.IsSurrogatePair(from[i - 1], from[i]));
                    line[i] = char.IsControl(from[i]) || alone || from[i] is '\u2028' or '\u2029' or '\uFFFE' or '\uFFFF' ? ' ' : from[i];
                }
            }
        );
    }

    /// <summary>Spreadsheets trim what they paste: blanks and marks of no width before a sign do not make it harmless.</summary>
    private static bool StartsFormula(string line) =>
        line.SkipWhile(c => char.IsWhiteSpace(c) || c is '\u200B' or '\u200E' or '\u200F' or '\uFEFF').FirstOrDefault() is var first
        && Starts.Contains(first);
}
