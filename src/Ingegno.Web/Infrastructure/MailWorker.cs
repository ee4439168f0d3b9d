using System.Text;
using System.Text.RegularExpressions;
using Ingegno.Storage;
using Microsoft.Data.Sqlite;
using Microsoft.Extensions.Options;
using MimeKit;

namespace Ingegno.Web.Infrastructure;

/// <summary>Writes mail into the outbox, and carries it from there: at once, and again after a while where that fails.</summary>
public sealed partial class MailWorker(
    OutboxStore outbox,
    IMailCarrier carrier,
    IOptions<IngegnoOptions> options,
    TimeProvider clock,
    ILogger<MailWorker> logger
) : BackgroundService
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
        return outbox.Add(coach.Id, client, address, subject, Bytes(message), once);
    }

    /// <summary>Puts a mail to the coach into the outbox.</summary>
    public void WriteToCoach(Coach coach, string subject, string text)
    {
        ArgumentNullException.ThrowIfNull(coach);
        outbox.AddToCoach(
            coach.Id,
            coach.Email,
            subject,
            Bytes(Message(coach, coach.Email, subject, new TextPart("plain") { Text = text }))
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
                await LookOnce(stoppingToken);
            }
        }
        catch (OperationCanceledException)
        {
            // The server ends; what is not sent stands in the outbox.
        }
    }

    /// <summary>One look; whatever goes wrong in it does not end the looking.</summary>
    private async Task LookOnce(CancellationToken stop)
    {
        try
        {
            await CarryDue(stop);
        }
        catch (Exception failed) when (!stop.IsCancellationRequested)
        {
            LogCannotLook(failed.Message);
        }
    }

    /// <summary>What has left and could not be noted as sent: the mail and what stays of it. It is noted first of all and never leaves twice.</summary>
    private readonly Dictionary<long, byte[]> _left = [];

    /// <summary>
    /// Hands over what is due. Whatever goes wrong with one mail, an answer of the relay, a line that breaks, a locked database, a full disk,
    /// stays with that mail: it is tried again later, the others go, and the server goes on.
    /// </summary>
    public async Task CarryDue(CancellationToken stop)
    {
        foreach (var (id, stays) in _left.ToList())
        {
            Noted(() => outbox.Sent(id, stays), () => _left.Remove(id));
        }

        IReadOnlyList<OutboxMail> due = [];
        Noted(() => due = outbox.Due());
        foreach (var mail in due.Where(m => !_left.ContainsKey(m.Id)))
        {
            if (!Noted(() => outbox.TakeUp(mail.Id, Later(mail.Tries))))
            {
                return;
            }

            await CarryOne(mail, stop);
        }
    }

    private async Task CarryOne(OutboxMail mail, CancellationToken stop)
    {
        try
        {
            using var source = new MemoryStream(mail.Message.ToArray());
            var message = await MimeMessage.LoadAsync(source, stop);
            await carrier.Carry(message, stop);
            _left[mail.Id] = mail.ClientId is null ? [] : Bytes(WithoutSecrets(message));
        }
        catch (Exception failed) when (!stop.IsCancellationRequested)
        {
            Noted(() => outbox.Failed(mail.Id, failed.Message));
            return;
        }

        Noted(() => outbox.Sent(mail.Id, _left[mail.Id]), () => _left.Remove(mail.Id));
    }

    /// <summary>True when the database took it; a fault of the database is logged, and the next look tries again.</summary>
    private bool Noted(Action write, Action? then = null)
    {
        try
        {
            write();
            then?.Invoke();
            return true;
        }
        catch (SqliteException failed)
        {
            LogCannotLook(failed.Message);
            return false;
        }
    }

    /// <summary>
    /// What stays of a mail that has left: its text, without the secrets of links and calendars. Whoever reads the database, or a backup, must
    /// not be able to open a client's link.
    /// </summary>
    private static MimeMessage WithoutSecrets(MimeMessage sent)
    {
        var stays = new MimeMessage
        {
            Subject = sent.Subject ?? string.Empty,
            Date = sent.Date,
            Body = new TextPart("plain") { Text = Secret().Replace(sent.TextBody ?? string.Empty, "…") },
        };
        stays.From.AddRange(sent.From);
        stays.ReplyTo.AddRange(sent.ReplyTo);
        stays.To.AddRange(sent.To);
        return stays;
    }

    /// <summary>32 random bytes as links and calendars carry them, base64url.</summary>
    [GeneratedRegex(
        "(?<![A-Za-z0-9_-])[A-Za-z0-9_-]{43}(?![A-Za-z0-9_-])",
        RegexOptions.CultureInvariant,
        Core.Foundation.Text.Patterns.TimeoutMs
    )]
    private static partial Regex Secret();

    /// <summary>The mail as it goes over the line. A string of it would be read as Latin-1 and come out garbled.</summary>
    private static byte[] Bytes(MimeMessage message)
    {
        using var target = new MemoryStream();
        message.WriteTo(target);
        return target.ToArray();
    }

    [LoggerMessage(LogLevel.Warning, "The outbox cannot be read or written now: {Why}")]
    private partial void LogCannotLook(string why);

    /// <summary>Doubles with every try: a minute, two, four … six hours.</summary>
    private static TimeSpan Later(int tries) => tries > 9 ? Longest : First * Math.Min(Longest / First, Math.Pow(2, tries));
}
