using Microsoft.Extensions.Options;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Tells the computing of one request to stop: the caller has gone, or it has taken longer than <see cref="IngegnoOptions.LongestSeconds"/>.
/// One a request; <see cref="ProblemHandler"/> answers for it.
/// </summary>
public sealed class RequestDeadline : IDisposable
{
    private readonly CancellationTokenSource _source;

    public RequestDeadline(IHttpContextAccessor accessor, IOptions<IngegnoOptions> options)
    {
        ArgumentNullException.ThrowIfNull(accessor);
        ArgumentNullException.ThrowIfNull(options);
        Longest = TimeSpan.FromSeconds(options.Value.LongestSeconds);
        _source = CancellationTokenSource.CreateLinkedTokenSource(accessor.HttpContext?.RequestAborted ?? CancellationToken.None);
        if (Longest > TimeSpan.Zero)
        {
            _source.CancelAfter(Longest);
        }
        else
        {
            _source.Cancel(); // A timer of nothing would fire a little later.
        }
    }

    /// <summary>What the computing watches.</summary>
    public CancellationToken Token => _source.Token;

    /// <summary>The time it may take.</summary>
    public TimeSpan Longest { get; }

    public void Dispose() => _source.Dispose();
}
