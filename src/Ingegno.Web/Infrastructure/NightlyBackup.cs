using Ingegno.Storage;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Infrastructure;

/// <summary>Makes a backup a day and forgets old ones. It looks every hour, so that a server that sleeps at night has its backups, too.</summary>
public sealed partial class NightlyBackup(
    Backups backups,
    Database database,
    IOptions<IngegnoOptions> options,
    TimeProvider clock,
    ILogger<NightlyBackup> logger
) : BackgroundService
{
    private static readonly TimeSpan AfterStart = TimeSpan.FromMinutes(2);
    private static readonly TimeSpan Between = TimeSpan.FromHours(1);

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        if (options.Value.Demo || Composition.IsDescribingApi)
        {
            return;
        }

        for (var wait = AfterStart; ; wait = Between)
        {
            await Task.Delay(wait, clock, stoppingToken);
            try
            {
                backups.ForgetOld(); // Whoever was erased is forgotten in time, also where no backups are made.
                if (options.Value.NightlyBackups && backups.MakeWhenDue() is { } made)
                {
                    database.Forget();
                    LogMade(made);
                }
            }
            catch (Exception failed) when (!stoppingToken.IsCancellationRequested)
            {
                LogFailed(failed.Message);
            }
        }
    }

    [LoggerMessage(LogLevel.Information, "Backup made: {File}")]
    private partial void LogMade(string file);

    [LoggerMessage(LogLevel.Error, "The nightly backup failed: {Why}")]
    private partial void LogFailed(string why);
}
