using System.IO.Compression;
using System.Xml;

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
                var length = 0L;
                var inPassing =
                    entry.FullName.StartsWith("xl/worksheets/", StringComparison.OrdinalIgnoreCase)
                    || entry.FullName.StartsWith("xl/media/", StringComparison.OrdinalIgnoreCase)
                    || entry.FullName.Equals("xl/sharedStrings.xml", StringComparison.OrdinalIgnoreCase);
                using (var part = entry.Open())
                {
                    for (int read; (read = part.Read(buffer)) > 0; )
                    {
                        total += read;
                        length += read;
                        if (!inPassing && length > ExchangeLimits.TreeBytes)
                        {
                            throw new UnreadableFileException(
                                $"A part of the file that is no sheet ({entry.Name}) is larger than {ExchangeLimits.TreeBytes / 1024 / 1024} MB. Copy the program into a new spreadsheet and save that."
                            );
                        }

                        if (total > ExchangeLimits.UnpackedBytes)
                        {
                            throw new UnreadableFileException(
                                $"The file unpacks to more than {ExchangeLimits.UnpackedBytes / 1024 / 1024} MB. Copy the program into a new spreadsheet and save that."
                            );
                        }
                    }
                }

                CheckDepth(entry);
            }
        }
        catch (InvalidDataException wrong)
        {
            throw new UnreadableFileException("The file is damaged and cannot be unpacked. Save it again, or paste the cells.", wrong);
        }
    }

    /// <summary>
    /// Nesting is measured in one pass before a library builds a tree of it: elements nested some thousand deep cost that time and again for
    /// each level.
    /// </summary>
    private static void CheckDepth(ZipArchiveEntry entry)
    {
        using var part = entry.Open();
        var start = new byte[4];
        if (part.ReadAtLeast(start, start.Length, throwOnEndOfStream: false) == 0 || !start.Contains((byte)'<'))
        {
            return;
        }

        using var again = entry.Open();
        using var reader = XmlReader.Create(
            again,
            new XmlReaderSettings
            {
                DtdProcessing = DtdProcessing.Prohibit,
                XmlResolver = null,
                CheckCharacters = false,
            }
        );
        try
        {
            while (reader.Read())
            {
                if (reader.Depth > ExchangeLimits.Depth)
                {
                    throw new UnreadableFileException(
                        $"The file nests its contents more than {ExchangeLimits.Depth} deep; no spreadsheet does. Copy the program into a new one and save that."
                    );
                }
            }
        }
        catch (XmlException wrong)
        {
            throw new UnreadableFileException(
                "The file is damaged: a part of it cannot be read. Save it again, or paste the cells.",
                wrong
            );
        }
    }
}
