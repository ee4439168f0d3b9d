using System.Globalization;

namespace Ingegno.Storage;

/// <summary>Times are stored as ISO 8601 text in UTC.</summary>
internal static class Timestamps
{
    public static string Write(DateTimeOffset time) =>
        time.UtcDateTime.ToString("yyyy-MM-dd'T'HH:mm:ss.fff'Z'", CultureInfo.InvariantCulture);

    public static DateTimeOffset Read(string text) =>
        DateTimeOffset.Parse(text, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal);
}
