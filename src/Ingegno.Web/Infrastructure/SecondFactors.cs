using System.Collections.Immutable;
using System.Security.Cryptography;
using System.Text;
using Ingegno.Storage;
using Microsoft.AspNetCore.DataProtection;
using OtpNet;
using QRCoder;

namespace Ingegno.Web.Infrastructure;

/// <summary>What a coach puts into the device that gives the codes.</summary>
/// <param name="Secret">The secret in groups of four, to type.</param>
/// <param name="Address">The same as an <c>otpauth</c> address.</param>
/// <param name="Picture">The address as a QR code, SVG.</param>
public sealed record SecondFactorSecret(string Secret, string Address, string Picture);

/// <summary>
/// The second factor: codes of six figures that change every thirty seconds (TOTP, RFC 6238), and ten recovery codes for the day on which the
/// device is lost.
/// </summary>
public sealed class SecondFactors(SecondFactorStore store, IDataProtectionProvider protection, TimeProvider clock)
{
    private const int SecretBytes = 20; // 160 bits, as RFC 4226 recommends.
    private const int RecoveryCodes = 10;
    private const string Signs = "abcdefghjkmnpqrstuvwxyz23456789";

    private readonly IDataProtector _lock = protection.CreateProtector("second-factor");

    /// <summary>Begins with a new secret; null when a confirmed one stands.</summary>
    public SecondFactorSecret? Begin(Coach coach)
    {
        ArgumentNullException.ThrowIfNull(coach);
        var secret = Base32Encoding.ToString(RandomNumberGenerator.GetBytes(SecretBytes)).TrimEnd('=');
        if (!store.Begin(coach.Id, _lock.Protect(secret)))
        {
            return null;
        }

        var address = new OtpUri(OtpType.Totp, secret, coach.Email, "Ingegno").ToString();
        using var code = QRCodeGenerator.GenerateQrCode(address, QRCodeGenerator.ECCLevel.M);
        using var picture = new SvgQRCode(code);
        return new SecondFactorSecret(
            string.Join(' ', secret.Chunk(4).Select(g => new string(g))),
            address,
            picture.GetGraphic(new System.Drawing.Size(200, 200), sizingMode: SvgQRCode.SizingMode.ViewBoxAttribute)
        );
    }

    /// <summary>Confirms the device by a code of it; the recovery codes, told once, or null when the code is wrong.</summary>
    public ImmutableArray<string>? Confirm(long coachId, string code)
    {
        if (store.Find(coachId) is not { Confirmed: false } factor || StepOf(factor, code) is not { } step)
        {
            return null;
        }

        ImmutableArray<string> codes =
        [
            .. Enumerable
                .Range(0, RecoveryCodes)
                .Select(_ => $"{RandomNumberGenerator.GetString(Signs, HalfOfCode)}-{RandomNumberGenerator.GetString(Signs, HalfOfCode)}"),
        ];
        store.Confirm(coachId, step, codes.Select(Hash));
        return codes;
    }

    /// <summary>Whether the coach has one that is asked for at sign-in.</summary>
    public bool IsOn(long coachId) => store.Find(coachId) is { Confirmed: true };

    /// <summary>Whether a code, of the device or for recovery, opens now; either opens once.</summary>
    public bool Opens(long coachId, string code)
    {
        ArgumentNullException.ThrowIfNull(code);
        return store.Find(coachId) is { Confirmed: true } factor
            && (StepOf(factor, code) is { } step ? store.UseStep(coachId, step) : store.UseRecoveryCode(coachId, Hash(AsTold(code))));
    }

    /// <summary>The step of a code: the present one, or its neighbour where clocks differ by half a minute.</summary>
    private long? StepOf(SecondFactor factor, string code)
    {
        var figures = new string([.. code.Where(char.IsAsciiDigit)]);
        if (figures.Length != 6 || code.Any(char.IsAsciiLetter))
        {
            return null;
        }

        byte[] secret;
        try
        {
            secret = Base32Encoding.ToBytes(_lock.Unprotect(factor.Secret));
        }
        catch (CryptographicException)
        {
            return null; // The keys of the installation are gone; a recovery code, which stands hashed, still opens.
        }

        var totp = new Totp(secret);
        return totp.VerifyTotp(clock.GetUtcNow().UtcDateTime, figures, out var step, new VerificationWindow(1, 1)) ? step : null;
    }

    /// <summary>A recovery code as it was told, however it is typed: without its hyphen, with blanks, in capitals.</summary>
    private static string AsTold(string code)
    {
        var signs = new string([.. code.ToLowerInvariant().Where(char.IsAsciiLetterOrDigit)]);
        return signs.Length == 2 * HalfOfCode ? $"{signs[..HalfOfCode]}-{signs[HalfOfCode..]}" : signs;
    }

    private const int HalfOfCode = 5;

    /// <summary>A hash is enough: a recovery code has 49 random bits, and guesses are slowed.</summary>
    private static string Hash(string code) => Convert.ToHexString(SHA256.HashData(Encoding.UTF8.GetBytes(code)));
}
