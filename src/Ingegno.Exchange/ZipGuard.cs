using System.IO.Compression;

namespace Ingegno.Exchange;

/// <summary>Looks into a packed file before a library does: what it says of its size is not believed, it is unpacked and counted.</summary>
internal static class ZipGuard
{
    /// <exception cref="UnreadableFileException">The file is damaged or unpacks to more than it may.</exception>
    public static void Check(byte[] bytes)
    {
        try
        {
            using var zip = new ZipArchive(new MemoryStream(bytes), ZipArchiveMode.Read);
            if (zip.Entries.Count > ExchangeLimits.Parts)
            {
                throw new UnreadableFileException(
                    $"The file holds {zip.Entries.Count:N0} parts; a spreadsheet with a gym program has far fewer."
                );
            }

            var (total, buffer) = (0L, new byte[64 * 1024]);
            foreach (var entry in zip.Entries)
            {
                using var part = entry.Open();
                for (int read; (read = part.Read(buffer)) > 0; )
                {
                    total += read;
                    if (total > ExchangeLimits.UnpackedBytes)
                    {
                        throw new UnreadableFileException(
                            $"The file unpacks to more than {ExchangeLimits.UnpackedBytes / 1024 / 1024} MB. Copy the program into a new spreadsheet and save that."
                        );
                    }
                }
            }
        }
        catch (InvalidDataException wrong)
        {
            throw new UnreadableFileException("The file is damaged and cannot be unpacked. Save it again, or paste the cells.", wrong);
        }
    }
}
