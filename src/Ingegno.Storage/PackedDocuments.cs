using System.Buffers;
using System.IO.Compression;
using System.Text;
using System.Text.Json;
using Ingegno.Core.Foundation.Text;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>
/// Large documents (versions of plans, releases) are written packed: bytes of Brotli in place of the text, about a tenth of it. Text,
/// as versions of before wrote it, is read as it stands; SQL reads either through the function <c>unpacked</c>.
/// </summary>
internal static class PackedDocuments
{
    /// <summary>Of 0 to 11; higher ones take much longer for a few hundredths less.</summary>
    private const int Quality = 5;

    private const int WindowBits = 22;

    /// <summary>No document is longer, in bytes: what unpacks to more was not written here.</summary>
    private const int Longest = 32 * 1024 * 1024;

    /// <summary>A document as it is stored.</summary>
    public static byte[] Pack<T>(T document)
    {
        var text = JsonSerializer.SerializeToUtf8Bytes(document, RulesJson.Lenient);
        var packed = new byte[BrotliEncoder.GetMaxCompressedLength(text.Length)];
        return BrotliEncoder.TryCompress(text, packed, out var length, Quality, WindowBits)
            ? packed[..length]
            : throw new InvalidOperationException("A document could not be packed.");
    }

    /// <summary>Makes the function known on a connection.</summary>
    public static void Register(SqliteConnection connection) =>
        connection.CreateFunction<object?, string?>("unpacked", Unpacked, isDeterministic: true);

    /// <summary>The text of a document; null for none.</summary>
    /// <param name="stored">Text or packed bytes.</param>
    /// <exception cref="JsonException">The bytes are no packed document.</exception>
    public static string? Unpacked(object? stored) =>
        stored switch
        {
            byte[] packed => Text(packed),
            string text => text,
            _ => null,
        };

    private static string Text(byte[] packed)
    {
        using var brotli = new BrotliDecoder();
        var text = new ArrayBufferWriter<byte>(Math.Max(4096, packed.Length * 8));
        var rest = packed.AsSpan();
        while (true)
        {
            var status = brotli.Decompress(rest, text.GetSpan(4096), out var read, out var written);
            text.Advance(written);
            rest = rest[read..];
            if (status == OperationStatus.Done)
            {
                return Encoding.UTF8.GetString(text.WrittenSpan);
            }

            if (status != OperationStatus.DestinationTooSmall || text.WrittenCount > Longest)
            {
                throw new JsonException("The packed document is damaged.");
            }
        }
    }
}
