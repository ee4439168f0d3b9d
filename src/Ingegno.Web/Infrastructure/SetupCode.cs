using System.Security.Cryptography;
using System.Text;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// The code that the first coach enters: it is printed where the server was started, so that nobody else who finds a new server makes it
/// theirs. Another one at every start.
/// </summary>
public sealed class SetupCode
{
    /// <summary>Without letters and figures that are taken for one another.</summary>
    private const string Signs = "ABCDEFGHJKMNPQRSTUVWXYZ23456789";

    /// <summary>Three groups of four: 59 bits.</summary>
    public string Text { get; } = string.Join('-', Enumerable.Range(0, 3).Select(_ => RandomNumberGenerator.GetString(Signs, 4)));

    /// <summary>Whether that is the code, however it is spaced and cased.</summary>
    public bool Is(string? typed) =>
        System.Security.Cryptography.CryptographicOperations.FixedTimeEquals(Plain(typed ?? string.Empty), Plain(Text));

    private static byte[] Plain(string text) =>
        Encoding.UTF8.GetBytes(new string([.. text.ToUpperInvariant().Where(char.IsAsciiLetterOrDigit)]));
}
