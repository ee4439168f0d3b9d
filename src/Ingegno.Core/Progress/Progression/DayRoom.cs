using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Minutes that the days of a plan have left before they pass the client's; each decision takes its part.</summary>
public sealed class DayRoom
{
    private readonly Dictionary<LineKey, int> _dayOfLine;
    private readonly Dictionary<int, double> _left;

    private DayRoom(Dictionary<LineKey, int> dayOfLine, Dictionary<int, double> left) => (_dayOfLine, _left) = (dayOfLine, left);

    /// <summary>The room of a plan; null when no day has a limit.</summary>
    /// <param name="lines">Its lines.</param>
    /// <param name="days">Its days with their minutes.</param>
    public static DayRoom? For(IEnumerable<HomeLine> lines, IReadOnlyList<HomeDay>? days)
    {
        ArgumentNullException.ThrowIfNull(lines);
        var left = (days ?? [])
            .Select((d, i) => (Day: i, d.Minutes))
            .Where(d => d.Minutes.Limit is not null)
            .ToDictionary(d => d.Day, d => (double)(d.Minutes.Limit!.Value - d.Minutes.Total));
        return left.Count == 0 ? null : new DayRoom(lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day), left);
    }

    /// <summary>Minutes left for a line, below 0 when the day is too long already; null when its day has no limit.</summary>
    public double? Left(LineKey line) => _dayOfLine.TryGetValue(line, out var day) && _left.TryGetValue(day, out var left) ? left : null;

    /// <summary>A line takes so many minutes more, or gives them back.</summary>
    public void Take(LineKey line, double minutes)
    {
        if (_dayOfLine.TryGetValue(line, out var day) && _left.ContainsKey(day))
        {
            _left[day] -= minutes;
        }
    }
}
