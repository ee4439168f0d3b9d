namespace Ingegno.Web.Tests;

/// <summary>A clock that runs from a Monday of its own, so that no test depends on the day on which it runs. It lies ahead: a browser drops cookies of the past.</summary>
public sealed class TestClock : TimeProvider
{
    private static readonly DateTimeOffset Start = new(2031, 3, 3, 9, 0, 0, TimeSpan.Zero);

    private readonly long _started = System.GetTimestamp();

    public static DateOnly Today => DateOnly.FromDateTime(Start.Date);

    private TimeSpan _ahead;

    public override DateTimeOffset GetUtcNow() => Start + System.GetElapsedTime(_started) + _ahead;

    /// <summary>Lets time pass.</summary>
    public void Pass(TimeSpan time) => _ahead += time;

    /// <summary>A day counted from today, as it is sent.</summary>
    public static string Day(int fromToday = 0) =>
        Today.AddDays(fromToday).ToString("yyyy-MM-dd", global::System.Globalization.CultureInfo.InvariantCulture);
}
