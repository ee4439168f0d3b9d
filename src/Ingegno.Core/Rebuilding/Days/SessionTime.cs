using System.Collections.Immutable;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>
/// Minutes of a session (docs/domain/prescription): Σ sets × (reps × seconds per rep × sides + rest) + change-overs + warm-up and
/// cool-down. Lines done in turn share the rest of a round.
/// </summary>
public static class SessionTime
{
    /// <summary>Warm-up and cool-down in minutes (docs/domain/prescription: 5–10 and a few).</summary>
    public const int WarmUpAndCoolDownMinutes = 11;

    /// <summary>Both at their shortest: the lower end of 5–10 minutes and two more.</summary>
    private const int ShortestPreparationMinutes = 7;

    /// <summary>Part of a short session that warm-up and cool-down take at most. Common practice.</summary>
    private const int PreparationIsAtMostOneIn = 4;

    /// <summary>Warm-up and cool-down of a session of so many minutes; at their usual length where nobody counts them.</summary>
    public static int PreparationMinutes(int? limit) =>
        limit is { } minutes
            ? Math.Clamp(minutes / PreparationIsAtMostOneIn, ShortestPreparationMinutes, WarmUpAndCoolDownMinutes)
            : WarmUpAndCoolDownMinutes;

    /// <summary>Warm-up and cool-down have to be kept short in a session of so many minutes.</summary>
    public static bool IsShort(int? limit) => PreparationMinutes(limit) < WarmUpAndCoolDownMinutes;

    /// <summary>Change-over between exercises in seconds (docs/domain/prescription: 60–90).</summary>
    public const int ChangeOverSeconds = 75;

    /// <summary>From one exercise to the next within a round, s. Common practice.</summary>
    public const int WithinRoundSeconds = 10;

    /// <summary>Minutes of a day, rounded up; 0 when there is nothing on it.</summary>
    /// <param name="groups">Its groups.</param>
    /// <param name="lines">Its lines.</param>
    /// <param name="limit">Minutes that there are for it; null when they do not count.</param>
    public static int Minutes(IEnumerable<RoundGroup> groups, IReadOnlyDictionary<LineKey, HomeLine> lines, int? limit)
    {
        ArgumentNullException.ThrowIfNull(groups);
        var seconds = groups.Sum(b => Seconds(b, lines));
        return seconds <= 0 ? 0 : (int)Math.Ceiling((seconds / 60) + PreparationMinutes(limit));
    }

    /// <summary>Seconds of a group with its change-overs.</summary>
    public static double Seconds(RoundGroup group, IReadOnlyDictionary<LineKey, HomeLine> lines)
    {
        ArgumentNullException.ThrowIfNull(group);
        ArgumentNullException.ThrowIfNull(lines);
        var chosen = group.Lines.Select(l => lines[l].Chosen).OfType<Candidate>().ToList();
        return chosen.Sum(Work)
            + (chosen.Count * ChangeOverSeconds)
            + (group.Rounds * group.RestSeconds)
            + (Math.Max(0, chosen.Count - 1) * group.Rounds * WithinRoundSeconds);
    }

    /// <summary>Work of all sets of a candidate, s.</summary>
    public static double Work(Candidate candidate)
    {
        ArgumentNullException.ThrowIfNull(candidate);
        return candidate.Exercises.Sum(e => e.Dose.WorkSeconds());
    }
}
