using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Builds what takes long the first time before a coach asks for it: the patterns of the intake and of kit. On a machine that is busy the first
/// match of a pattern, with its building, could otherwise last longer than a pattern may. That happens here, too, and must not take the server
/// along: what was not warmed is slower once.
/// </summary>
public sealed partial class WarmUp(KitShorthand kit, ILogger<WarmUp> log) : BackgroundService
{
    protected override Task ExecuteAsync(CancellationToken stoppingToken) =>
        Task.Run(
            () =>
            {
                Warm(() => IntakeSentence.Read("woman, 34, 62 kg, sore knee, two days of 40 minutes"));
                Warm(() => new KitParagraph(kit).Read("pair of 20 lb dumbbells, rucksack 25 L, band 104 cm 13 mm, 2 chairs 46 cm"));
            },
            stoppingToken
        );

    /// <summary>Runs once; what lasts too long is noted and left.</summary>
    public void Warm(Func<object> first)
    {
        ArgumentNullException.ThrowIfNull(first);
        try
        {
            _ = first();
        }
#pragma warning disable CA1031 // Nothing that is only made early may take the server along.
        catch (Exception late)
#pragma warning restore CA1031
        {
            NotWarmed(log, late.Message);
        }
    }

    [LoggerMessage(
        Level = LogLevel.Information,
        Message = "The first request may be slow, for what it needs could not be made before: {Why}"
    )]
    private static partial void NotWarmed(ILogger log, string why);
}
