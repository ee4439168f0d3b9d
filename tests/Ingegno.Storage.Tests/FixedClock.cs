namespace Ingegno.Storage.Tests;

/// <summary>A clock that stands: no test depends on the day on which it runs.</summary>
internal sealed class FixedClock(DateTimeOffset now) : TimeProvider
{
    public static TimeProvider Monday { get; } = new FixedClock(new DateTimeOffset(2026, 3, 2, 9, 0, 0, TimeSpan.Zero));

    public override DateTimeOffset GetUtcNow() => now;
}
