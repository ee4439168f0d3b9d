using System.Threading.RateLimiting;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// How much of the machine one coach, one client's phone or one stranger has at the same time. What is more waits in a queue of its own, so
/// that two hundred rebuilds of one coach delay that coach alone; health is asked outside of it.
/// </summary>
public static class FairShare
{
    /// <summary>Name of the policy.</summary>
    public const string Policy = "fair-share";

    /// <summary>Requests of one at the same time: a page that opens asks for several things at once.</summary>
    private const int AtOnce = 4;

    /// <summary>Requests of one that wait.</summary>
    private const int Waiting = 250;

    /// <summary>The share of whoever asks.</summary>
    public static RateLimitPartition<string> PartitionOf(HttpContext context)
    {
        ArgumentNullException.ThrowIfNull(context);
        return RateLimitPartition.GetConcurrencyLimiter(
            WhoAsks(context),
            _ => new ConcurrencyLimiterOptions
            {
                PermitLimit = AtOnce,
                QueueLimit = Waiting,
                QueueProcessingOrder = QueueProcessingOrder.OldestFirst,
            }
        );
    }

    private static string WhoAsks(HttpContext context) =>
        context.User.Identity is { IsAuthenticated: true } && context.User.PracticeId() is { } practice
            ? $"{context.User.Identity.AuthenticationType} {practice} {context.User.FindFirst("client")?.Value}"
            : $"address {context.Connection.RemoteIpAddress}";
}
