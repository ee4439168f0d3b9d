using Ingegno.Core.AtHome.Kit;
using Ingegno.Core.Trainee.Clients;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Builds what takes long the first time before a coach asks for it: the patterns of the intake and of kit. On a machine that is busy the first
/// match of a pattern, with its building, could otherwise last longer than a pattern may.
/// </summary>
public sealed class WarmUp(KitShorthand kit) : BackgroundService
{
    protected override Task ExecuteAsync(CancellationToken stoppingToken) =>
        Task.Run(
            () =>
            {
                _ = IntakeSentence.Read("woman, 34, 62 kg, sore knee, two days of 40 minutes");
                _ = new KitParagraph(kit).Read("pair of 20 lb dumbbells, rucksack 25 L, band 104 cm 13 mm, 2 chairs 46 cm");
            },
            stoppingToken
        );
}
