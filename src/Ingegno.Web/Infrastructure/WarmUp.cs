using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Makes what takes long the first time behind the first answer: the domain rules, the patterns of the intake and of kit, a rebuild. On a
/// machine that is busy the first match of a pattern, with its building, could otherwise last longer than a pattern may. That happens here,
/// too, and must not take the server along: what was not warmed is slower once. Nothing of it is made before the server listens, and whoever
/// asks earlier waits for no more than what was asked.
/// </summary>
public sealed partial class WarmUp(IServiceProvider services, IHostApplicationLifetime server, ILogger<WarmUp> log) : BackgroundService
{
    /// <summary>All that was to be made is made, or was left.</summary>
    public bool IsWarm { get; private set; }

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        var listening = new TaskCompletionSource(TaskCreationOptions.RunContinuationsAsynchronously);
        await using var started = server.ApplicationStarted.Register(() => listening.TrySetResult()).ConfigureAwait(false);
        await listening.Task.WaitAsync(stoppingToken);
        await Task.Run(
            () =>
            {
                Warm(() => IntakeSentence.Read("woman, 34, 62 kg, sore knee, two days of 40 minutes"));
                Warm(() =>
                    new KitParagraph(services.GetRequiredService<KitShorthand>()).Read(
                        "pair of 20 lb dumbbells, rucksack 25 L, band 104 cm 13 mm, 2 chairs 46 cm"
                    )
                );
                Warm(() => new RebuildEngine(DomainRules.Shipped).Rebuild(Smallest));
                IsWarm = true;
            },
            stoppingToken
        );
    }

    private static readonly RebuildRequest Smallest = new()
    {
        Client = new ClientProfile { Level = Level.Novice, Goal = Goal.GeneralFitness },
        Kit = new PlaceKit { Name = "home", Items = [] },
        GymLines = ["Push-up 3x10", "Bodyweight squat 3x12"],
    };

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
