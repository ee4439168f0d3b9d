using System.Collections.Immutable;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange;

/// <summary>A file or paste as it was read.</summary>
/// <param name="Sheets">Its tables; none when it is no table.</param>
/// <param name="Text">Its text when it is one.</param>
/// <param name="Separator">What parts the columns of a text table; null when nothing does.</param>
/// <param name="Notes">What to know about the reading.</param>
public sealed record SheetFile(ImmutableArray<Sheet> Sheets, string? Text, char? Separator, ImmutableArray<string> Notes)
{
    private static readonly byte[] ZipStart = [(byte)'P', (byte)'K', 3, 4];
    private static readonly byte[] OldOfficeStart = [0xD0, 0xCF, 0x11, 0xE0];

    /// <summary>Reads a file by what is in it, not by its name.</summary>
    /// <param name="bytes">Its bytes.</param>
    /// <param name="separator">What parts the columns; null to find out.</param>
    /// <param name="stop">Gives up between two rows once nobody waits for the answer, or it has taken too long.</param>
    /// <exception cref="UnreadableFileException">It is too large, damaged, or of another kind.</exception>
    public static SheetFile Read(byte[] bytes, char? separator = null, CancellationToken stop = default)
    {
        ArgumentNullException.ThrowIfNull(bytes);
        if (bytes.Length > ExchangeLimits.FileBytes)
        {
            throw new UnreadableFileException(
                $"The file has {bytes.Length / 1024:N0} KB; a gym program takes at most {ExchangeLimits.FileBytes / 1024:N0} KB."
            );
        }

        if (bytes.AsSpan().StartsWith(ZipStart))
        {
            return XlsxReader.Read(bytes, stop);
        }

        if (bytes.AsSpan().StartsWith(OldOfficeStart))
        {
            throw new UnreadableFileException(
                "This is a spreadsheet of the old binary kind (.xls), or one with a password. Save it as .xlsx or .csv without a password."
            );
        }

        var (text, note) = TextEncoding.Decode(bytes);
        return CsvReader.Read(text, separator, note is null ? [] : [note]);
    }
}
