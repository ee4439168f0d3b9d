namespace Ingegno.Core.Foundation.Text;

/// <summary>A name as it is kept and shown.</summary>
public static class PlainName
{
    /// <summary>
    /// The name without blanks around it and without signs that nobody sees but that turn what follows them around: embeddings, overrides and
    /// isolates of direction (Unicode Standard Annex 9).
    /// </summary>
    /// <param name="name">The name as it was typed.</param>
    public static string Normalize(string name)
    {
        ArgumentNullException.ThrowIfNull(name);
        return string.Concat(name.Where(c => c is not ((>= '\u202A' and <= '\u202E') or (>= '\u2066' and <= '\u2069')))).Trim();
    }
}
