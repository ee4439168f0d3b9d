namespace Ingegno.Exchange;

/// <summary>Limits past which a file is no gym program but a mistake, or worse.</summary>
public static class ExchangeLimits
{
    /// <summary>Largest file, bytes.</summary>
    public const int FileBytes = 4 * 1024 * 1024;

    /// <summary>Most bytes that a packed file may unpack to.</summary>
    public const long UnpackedBytes = 48L * 1024 * 1024;

    /// <summary>Most bytes of a part that a library builds a tree of: names of sheets, formats. Sheets and texts are read in passing.</summary>
    public const long TreeBytes = 2L * 1024 * 1024;

    /// <summary>Most texts that the cells of a file share.</summary>
    public const int SharedTexts = 60_000;

    /// <summary>Most parts of a packed file.</summary>
    public const int Parts = 500;

    /// <summary>Most rows of a sheet.</summary>
    public const int Rows = 5_000;

    /// <summary>Most columns of a sheet.</summary>
    public const int Columns = 60;

    /// <summary>Most sheets of a file.</summary>
    public const int Sheets = 60;

    /// <summary>Most cells of all sheets together.</summary>
    public const int Cells = 60_000;

    /// <summary>Most ranges of joined cells in a sheet.</summary>
    public const int Merges = 2_000;

    /// <summary>Deepest nesting of elements: spreadsheets have some ten, drawings in them some twenty.</summary>
    public const int Depth = 40;

    /// <summary>Longest text of a cell, characters; the rest is cut.</summary>
    public const int CellLength = 1_000;
}

/// <summary>A file that cannot be read, in words for the coach.</summary>
public sealed class UnreadableFileException(string message, Exception? inner = null) : Exception(message, inner);
