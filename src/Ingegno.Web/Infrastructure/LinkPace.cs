using System.Threading.RateLimiting;

namespace Ingegno.Web.Infrastructure;

/// <summary>How often a link may ask.</summary>
public sealed class LinkPace : IDisposable
{
    /// <summary>Answers of one link within a minute; a phone that trains needs a dozen.</summary>
    public const int PerMinute = 240;

    private readonly PartitionedRateLimiter<long> _pace = PartitionedRateLimiter.Create<long, long>(link =>
        RateLimitPartition.GetSlidingWindowLimiter(
            link,
            _ => new SlidingWindowRateLimiterOptions
            {
                PermitLimit = PerMinute,
                Window = TimeSpan.FromMinutes(1),
                SegmentsPerWindow = 6,
            }
        )
    );

    /// <summary>Whether it may ask now; counts it.</summary>
    public bool May(long link)
    {
        using var lease = _pace.AttemptAcquire(link);
        return lease.IsAcquired;
    }

    public void Dispose() => _pace.Dispose();
}
