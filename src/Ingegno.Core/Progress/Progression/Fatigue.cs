using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Core.Progress.Progression;

/// <summary>
/// What wants a lighter week: everything after two all-out sessions with strength falling, or where most exercises are stuck at once; one half
/// of the body where the stuck ones are all there. What still gains goes on.
/// </summary>
internal sealed class Fatigue
{
    /// <summary>Effort of a session from which two running ask for a lighter week, with strength falling.</summary>
    private const int HardSession = 9;

    /// <summary>Fewer stuck exercises than this are no sign of fatigue.</summary>
    private const int Several = 2;

    private readonly Reason? _all;
    private readonly DateOnly _since;
    private readonly Dictionary<BodyRegion, Reason> _of = [];

    private Fatigue(Reason? all, DateOnly since = default) => (_all, _since) = (all, since);

    /// <summary>Why an exercise wants a lighter week; null when it does not.</summary>
    public Reason? Why(Exercise exercise, LineHistory history) =>
        Gains(history) ? null : _all ?? _of.GetValueOrDefault(BodyRegions.ForPattern(exercise.Pattern));

    /// <summary>Reads it off the sessions and the exercises that were not rested lately.</summary>
    public static Fatigue Detect(List<LoggedSession> past, List<(Exercise Exercise, LineHistory History)> lines)
    {
        var judged = lines.Where(l => l.History.Days.Length > LineHistory.SessionsOfStall).ToList();
        if (
            past.Count > 1
            && past.Take(2).All(s => s.Effort >= HardSession)
            && judged.Exists(l => l.History.Days[0].OneRepMaxKg < l.History.Days[1].OneRepMaxKg * 0.95)
        )
        {
            return new Fatigue(Reason.Of("tired.all-out", ("effort", HardSession)), past[1].Day);
        }

        var regions = judged
            .GroupBy(l => BodyRegions.ForPattern(l.Exercise.Pattern))
            .Select(g => (Region: g.Key, Judged: g.Count(), Stuck: g.Count(l => l.History.Stalled)))
            .ToList();
        var stuck = regions.Sum(r => r.Stuck);
        if (stuck >= Several && stuck * 2 >= judged.Count && regions.Count(r => r.Stuck > 0) > 1)
        {
            return new Fatigue(Reason.Of("tired.flat", ("stalled", stuck), ("judged", judged.Count)));
        }

        var tired = new Fatigue(null);
        foreach (var region in regions.Where(r => r.Stuck >= Several && r.Stuck * 2 >= r.Judged))
        {
            tired._of[region.Region] = Reason.Of(
                "tired.region",
                ("stalled", region.Stuck),
                ("judged", region.Judged),
                ("region", Term.For(region.Region))
            );
        }

        return tired;
    }

    /// <summary>It gained the last time, and that was no earlier than what tired: what gained three weeks ago says nothing of today.</summary>
    private bool Gains(LineHistory history) =>
        history.Days.Length > 1 && history.Days[0].Day >= _since && history.Days[0].GainsOn(history.Days[1]);
}
