using System.Text;
using Ingegno.Storage;
using MailKit;
using Microsoft.Extensions.Options;
using MimeKit;

namespace Ingegno.Web.Infrastructure;

/// <summary>Writes mail into the outbox, and carries it from there: at once, and again after a while where that fails.</summary>
public sealed class Postman(OutboxStore outbox, IMailCarrier carrier, IOptions<IngegnoOptions> options, TimeProvider clock)
    : BackgroundService
{
    private static readonly TimeSpan Look = TimeSpan.FromSeconds(5);
    private static readonly TimeSpan First = TimeSpan.FromMinutes(1);
    private static readonly TimeSpan Longest = TimeSpan.FromHours(6);

    /// <summary>Whether mail leaves this machine.</summary>
    public bool Leaves => carrier.Leaves;

    /// <summary>Puts a mail into the outbox; null when the client is not this coach's.</summary>
    /// <param name="coach">The coach who writes.</param>
    /// <param name="client">Client it is for.</param>
    /// <param name="address">Where it goes.</param>
    /// <param name="subject">Its subject, one line.</param>
    /// <param name="text">Its text.</param>
    /// <param name="calendar">A calendar to put in; null for none.</param>
    /// <param name="once">Key of the post.</param>
    public OutboxMail? Write(Coach coach, long client, string address, string subject, string text, string? calendar, string? once)
    {
        ArgumentNullException.ThrowIfNull(coach);
        var body = new BodyBuilder { TextBody = text };
        if (calendar is not null)
        {
            body.Attachments.Add("training.ics", Encoding.UTF8.GetBytes(calendar), new ContentType("text", "calendar"));
        }

        var message = Message(coach, address, subject, body.ToMessageBody());
        return outbox.Add(coach.Id, client, address, subject, message.ToString(), once);
    }

    /// <summary>Puts a mail to the coach into the outbox.</summary>
    public void WriteToCoach(Coach coach, string subject, string text)
    {
        ArgumentNullException.ThrowIfNull(coach);
        outbox.AddToCoach(
            coach.Id,
            coach.Email,
            subject,
            Message(coach, coach.Email, subject, new TextPart("plain") { Text = text }).ToString()
        );
    }

    private MimeMessage Message(Coach coach, string address, string subject, MimeEntity body)
    {
        var message = new MimeMessage
        {
            Subject = subject,
            Body = body,
            Date = clock.GetUtcNow(),
        };
        message.From.Add(new MailboxAddress(coach.Name, options.Value.MailFrom is { Length: > 0 } from ? from : coach.Email));
        message.ReplyTo.Add(new MailboxAddress(coach.Name, coach.Email));
        message.To.Add(MailboxAddress.Parse(address));
        return message;
    }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (Composition.IsDescribingApi)
        {
            return;
        }

        try
        {
            using var tick = new PeriodicTimer(Look);
            while (await tick.WaitForNextTickAsync(stoppingToken))
            {
                await CarryDue(stoppingToken);
            }
        }
        catch (OperationCanceledException)
        {
            // The server ends; what is not sent stands in the outbox.
        }
    }

    private async Task CarryDue(CancellationToken stop)
    {
        foreach (var mail in outbox.Due())
        {
            try
            {
                using var source = new MemoryStream(Encoding.UTF8.GetBytes(mail.Message));
                await carrier.Carry(await MimeMessage.LoadAsync(source, stop), stop);
                outbox.Sent(mail.Id);
            }
            catch (Exception e)
                when (e
                        is IOException
                            or CommandException
                            or ProtocolException
                            or System.Net.Sockets.SocketException
                            or FormatException
                            or MailKit.Security.AuthenticationException
                            or MailKit.Security.SslHandshakeException
                            or TimeoutException
                )
            {
                outbox.Failed(mail.Id, e.Message, Later(mail.Tries));
            }
        }
    }

    /// <summary>Doubles with every try: a minute, two, four … six hours.</summary>
    private static TimeSpan Later(int tries) => tries > 9 ? Longest : First * Math.Min(Longest / First, Math.Pow(2, tries));
}
