using System.Globalization;
using System.Text;
using CsvHelper;
using CsvHelper.Configuration;

namespace Ingegno.Exchange;

/// <summary>Writes tables as comma-separated values after RFC 4180, in UTF-8 with a mark, which spreadsheets need to see accents.</summary>
public static class TextTable
{
    /// <summary>Heads and rows as a file; every cell goes through the safe writer.</summary>
    public static byte[] Write(IEnumerable<string> heads, IEnumerable<IEnumerable<string>> rows)
    {
        ArgumentNullException.ThrowIfNull(heads);
        ArgumentNullException.ThrowIfNull(rows);
        using var stream = new MemoryStream();
        using (
            var writer = new CsvWriter(
                new StreamWriter(stream, new UTF8Encoding(true)),
                new CsvConfiguration(CultureInfo.InvariantCulture) { NewLine = "\r\n" }
            )
        )
        {
            foreach (var cells in rows.Prepend(heads))
            {
                foreach (var cell in cells)
                {
                    writer.WriteField(SafeCell.Write(cell));
                }

                writer.NextRecord();
            }
        }

        return stream.ToArray();
    }
}
