using System.Threading.Channels;
using Ingegno.Storage;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Writes mails with a link to another password, behind the answer to whoever asked: how long that takes tells nobody which addresses sign in
/// here. The link begins with the configured address and never with what a request calls this server.
/// </summary>
public sealed partial class PasswordResetMails(
    CoachStore coaches,
    PasswordResetStore resets,
    MailWorker postman,
    AuditStore audit,
    IOptions<IngegnoOptions> options,
    ILogger<PasswordResetMails> logger
) : BackgroundService
{
    /// <summary>Asked for and not written yet; a crowd beyond it is forgotten and may ask again.</summary>
    private const int MostWaiting = 100;

    private readonly Channel<string> _asked = Channel.CreateBounded<string>(
        new BoundedChannelOptions(MostWaiting) { FullMode = BoundedChannelFullMode.DropWrite }
    );

    /// <summary>Somebody forgot the password of an address.</summary>
    /// <param name="email">The address as it was typed.</param>
    public void Ask(string email) => _asked.Writer.TryWrite(email);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await foreach (var email in _asked.Reader.ReadAllAsync(stoppingToken))
        {
            try
            {
                Write(email);
            }
            catch (Exception failed) when (!stoppingToken.IsCancellationRequested)
            {
                LogFailed(failed.Message);
            }
        }
    }

    private void Write(string email)
    {
        if (options.Value.PublicAddress is not { } here || coaches.Find(email) is not { } coach)
        {
            return;
        }

        var link = new Uri(here, $"/#reset={resets.Begin(coach.Id)}");
        postman.WriteToCoach(
            coach,
            "Another password for Ingegno",
            $"Somebody asked for another password for this address. If it was you, open this link within an hour and choose one:\n\n{link}\n\nIf it was not you, leave it: nothing has changed."
        );
        audit.Note(coach.Id, "password-reset-asked");
    }

    [LoggerMessage(LogLevel.Warning, "A mail with a link to another password could not be written: {Why}")]
    private partial void LogFailed(string why);
}
