namespace Ingegno.Exchange;

/// <summary>
/// Cells that a spreadsheet would take for a formula are written with an apostrophe before them, and read without it
/// (OWASP, CSV Injection, from memory).
/// </summary>
internal static class SafeCell
{
    private static readonly char[] Starts = ['=', '+', '-', '@', '\t', '\r'];

    public static string Write(string cell) => cell.Length > 0 && Starts.Contains(cell[0]) ? "'" + cell : cell;

    public static string Read(string cell) => cell.Length > 1 && cell[0] == '\'' && Starts.Contains(cell[1]) ? cell[1..] : cell;
}
