using System.Text;

namespace Ingegno.Exchange;

/// <summary>Finds out how a text is encoded: by its mark, else as UTF-8, else as Windows-1252, which older spreadsheets write.</summary>
internal static class TextEncoding
{
    /// <summary>The text, and a remark when the encoding was a guess.</summary>
    /// <exception cref="UnreadableFileException">It is no text.</exception>
    public static (string Text, string? Note) Decode(byte[] bytes)
    {
        foreach (
            var marked in new Encoding[]
            {
                new UTF8Encoding(true, true),
                new UnicodeEncoding(false, true, true),
                new UnicodeEncoding(true, true, true),
            }
        )
        {
            if (bytes.AsSpan().StartsWith(marked.Preamble))
            {
                return (Strict(marked, bytes[marked.Preamble.Length..]), null);
            }
        }

        if (bytes.Contains((byte)0))
        {
            throw new UnreadableFileException("This is no text and no .xlsx spreadsheet. Save the program as .xlsx, .csv or .json.");
        }

        try
        {
            return (new UTF8Encoding(false, true).GetString(bytes), null);
        }
        catch (DecoderFallbackException)
        {
            Encoding.RegisterProvider(CodePagesEncodingProvider.Instance);
            return (
                Encoding.GetEncoding(1252).GetString(bytes),
                "The file is not in UTF-8; it was read as Windows-1252. Look whether accents and dashes came out right."
            );
        }
    }

    private static string Strict(Encoding encoding, byte[] bytes)
    {
        try
        {
            return encoding.GetString(bytes);
        }
        catch (DecoderFallbackException wrong)
        {
            throw new UnreadableFileException(
                "The text of the file is damaged: it does not keep to the encoding it names. Save it again as UTF-8.",
                wrong
            );
        }
    }
}
