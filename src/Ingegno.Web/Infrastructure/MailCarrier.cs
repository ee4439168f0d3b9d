using MailKit.Net.Smtp;
using MailKit.Security;
using Microsoft.Extensions.Options;
using MimeKit;

namespace Ingegno.Web.Infrastructure;

/// <summary>Hands mail over.</summary>
public interface IMailCarrier
{
    /// <summary>Whether mail leaves this machine; false for the one that ships, which keeps it in the outbox to be read there.</summary>
    bool Leaves { get; }

    /// <summary>Hands a mail over, or throws.</summary>
    Task Carry(MimeMessage message, CancellationToken cancellation);
}

/// <summary>The carrier that ships: nothing leaves the machine, and every mail can be read in the outbox.</summary>
public sealed class SimulatedMailCarrier : IMailCarrier
{
    public bool Leaves => false;

    public Task Carry(MimeMessage message, CancellationToken cancellation) => Task.CompletedTask;
}

/// <summary>Hands mail to the SMTP server of the configuration.</summary>
public sealed class SmtpMailCarrier(IOptions<IngegnoOptions> options) : IMailCarrier
{
    private const int Seconds = 30;

    public bool Leaves => true;

    public async Task Carry(MimeMessage message, CancellationToken cancellation)
    {
        var smtp = options.Value;
        using var client = new SmtpClient { Timeout = Seconds * 1000 };
        await client.ConnectAsync(
            smtp.SmtpHost!,
            smtp.SmtpPort,
            smtp.SmtpPort == 465 ? SecureSocketOptions.SslOnConnect
                : smtp.SmtpPlain ? SecureSocketOptions.None
                : SecureSocketOptions.StartTls,
            cancellation
        );
        if (smtp.SmtpUser is { Length: > 0 } user)
        {
            await client.AuthenticateAsync(user, smtp.SmtpPassword ?? string.Empty, cancellation);
        }

        await client.SendAsync(message, cancellation);
        await client.DisconnectAsync(true, cancellation);
    }
}
