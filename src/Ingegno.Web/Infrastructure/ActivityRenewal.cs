using System.Threading.Channels;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Storage;
using Ingegno.Web.Features;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Works out anew what the roster shows of plans whose log was changed, behind the answer: what was stored is answered for at once, however
/// long the reckoning takes. What is not done when the server ends is due, and the roster does it when it is looked at.
/// </summary>
public sealed partial class ActivityRenewal(
    PracticeRules trades,
    PlanStore plans,
    LogStore logs,
    ActivityStore pulses,
    BlockStore blocks,
    AlertStore alerts,
    TimeProvider clock,
    ILogger<ActivityRenewal> logger
) : BackgroundService
{
    /// <summary>Plans that wait; those beyond stay due and are done by the roster.</summary>
    private const int MostWaiting = 1000;

    private readonly Channel<(long Coach, long Plan)> _asked = Channel.CreateBounded<(long, long)>(
        new BoundedChannelOptions(MostWaiting) { FullMode = BoundedChannelFullMode.DropWrite }
    );

    /// <summary>The log of a plan was changed.</summary>
    /// <param name="coach">The coach.</param>
    /// <param name="plan">The plan.</param>
    public void Ask(long coach, long plan) => _asked.Writer.TryWrite((coach, plan));

    protected override async Task ExecuteAsync(CancellationToken stoppingToken)
    {
        await foreach (var (coach, plan) in _asked.Reader.ReadAllAsync(stoppingToken))
        {
            try
            {
                if (pulses.Due(coach).ContainsKey(plan))
                {
                    LogOf(coach, stoppingToken).RenewPulse(coach, plan);
                }
            }
            catch (Exception failed) when (!stoppingToken.IsCancellationRequested)
            {
                LogFailed(plan, failed.Message);
            }
        }
    }

    private ClientLog LogOf(long coach, CancellationToken stop)
    {
        var domain = trades.Of(coach);
        var (engine, next) = (new RebuildEngine(domain, stop), new NextSession(domain));
        return new ClientLog(
            domain,
            plans,
            logs,
            pulses,
            new PlanBlocks(domain, blocks, logs, new BlockPlanner(domain, engine, next), clock),
            next,
            engine,
            new Replacements(domain, engine),
            alerts,
            clock
        );
    }

    [LoggerMessage(
        LogLevel.Warning,
        "What the roster shows of plan {Plan} could not be worked out; it is done when the roster is looked at: {Why}"
    )]
    private partial void LogFailed(long plan, string why);
}
