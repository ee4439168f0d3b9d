using System.Buffers.Text;
using System.Security.Cryptography;
using Ingegno.Storage;
using Microsoft.AspNetCore.DataProtection;
using QRCoder;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Makes links for clients and opens them. The secret stands behind the # of the address, which no browser sends along: no proxy, log or
/// referrer ever has it; the session application sends it in a header.
/// </summary>
public sealed class ClientLinks(ClientLinkStore store, IDataProtectionProvider protection, TimeProvider clock)
{
    /// <summary>Where the session application stands.</summary>
    public const string Path = "/s/";

    private readonly IDataProtector _seal = protection.CreateProtector("client-link");

    /// <summary>Makes a link in place of the one before; null when the client is not this coach's.</summary>
    public ClientLink? Renew(long coachId, long clientId, DateTimeOffset? expiresAt)
    {
        var secret = Base64Url.EncodeToString(RandomNumberGenerator.GetBytes(ClientLinkStore.SecretBytes));
        return store.Renew(coachId, clientId, secret, _seal.Protect(secret), expiresAt);
    }

    /// <summary>The link that runs, made where there is none; null when the client is not this coach's.</summary>
    public ClientLink? Running(long coachId, long clientId) =>
        store.Last(coachId, clientId) is { } link && link.RunsAt(clock.GetUtcNow()) ? link : Renew(coachId, clientId, null);

    /// <summary>Address of a link below the application's own; null when this installation cannot open the seal, for instance after the
    /// data came from another.</summary>
    public string? AddressOf(ClientLink link)
    {
        ArgumentNullException.ThrowIfNull(link);
        try
        {
            return $"{Path}#{_seal.Unprotect(link.Sealed)}";
        }
        catch (CryptographicException)
        {
            return null;
        }
    }

    /// <summary>An address as a QR code, SVG.</summary>
    public static string Picture(string address)
    {
        using var code = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        using var picture = new SvgQRCode(code);
        return picture.GetGraphic(new System.Drawing.Size(200, 200), sizingMode: SvgQRCode.SizingMode.ViewBoxAttribute);
    }
}
