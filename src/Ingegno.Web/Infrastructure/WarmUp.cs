using Ingegno.Core.Trainee.Clients;

namespace Ingegno.Web.Infrastructure;

/// <summary>Builds what takes long the first time before a coach asks for it: the patterns of the intake.</summary>
public sealed class WarmUp : BackgroundService
{
    protected override Task ExecuteAsync(CancellationToken stoppingToken) =>
        Task.Run(() => _ = IntakeSentence.Read("woman, 34, 62 kg, sore knee, two days of 40 minutes"), stoppingToken);
}
