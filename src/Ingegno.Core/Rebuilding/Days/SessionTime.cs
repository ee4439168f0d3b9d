using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Days;

/// <summary>
/// Minutes of a session (docs/domain/prescription): Σ sets × (reps × seconds per rep × sides + rest) + change-overs + warm-up and
/// cool-down. Lines done in turn share the rest of a round.
/// </summary>
/// <param name="rules">Seconds and minutes around the work.</param>
public sealed class SessionTime(SessionRules rules)
{
    /// <summary>Warm-up and cool-down of a session of so many minutes; at their usual length where nobody counts them.</summary>
    public int PreparationMinutes(int? limit) =>
        limit is { } minutes
            ? Math.Clamp(minutes / rules.Preparation.AtMostOneIn, rules.Preparation.Least, rules.Preparation.Usual)
            : rules.Preparation.Usual;

    /// <summary>Warm-up and cool-down have to be kept short in a session of so many minutes.</summary>
    public bool IsShort(int? limit) => PreparationMinutes(limit) < rules.Preparation.Usual;

    /// <summary>Minutes of a day, rounded up; 0 when there is nothing on it.</summary>
    /// <param name="groups">Its groups.</param>
    /// <param name="lines">Its lines.</param>
    /// <param name="limit">Minutes that there are for it; null when they do not count.</param>
    public int Minutes(IEnumerable<RoundGroup> groups, IReadOnlyDictionary<LineKey, HomeLine> lines, int? limit)
    {
        ArgumentNullException.ThrowIfNull(groups);
        var seconds = groups.Sum(b => Seconds(b, lines));
        return seconds <= 0 ? 0 : (int)Math.Ceiling((seconds / 60) + PreparationMinutes(limit));
    }

    /// <summary>Seconds of a group with its change-overs.</summary>
    public double Seconds(RoundGroup group, IReadOnlyDictionary<LineKey, HomeLine> lines)
    {
        ArgumentNullException.ThrowIfNull(group);
        ArgumentNullException.ThrowIfNull(lines);
        var chosen = group.Lines.Select(l => lines[l].Chosen).OfType<Candidate>().ToList();
        return chosen.Sum(Work)
            + (chosen.Count * rules.ChangeOverSeconds)
            + (group.Rounds * group.RestSeconds)
            + (Math.Max(0, chosen.Count - 1) * group.Rounds * rules.WithinRoundSeconds);
    }

    /// <summary>Work of a candidate and the change-over to it, s.</summary>
    public double WithChangeOver(Candidate candidate) => Work(candidate) + rules.ChangeOverSeconds;

    /// <summary>Work of all sets of a candidate, s.</summary>
    private static double Work(Candidate candidate)
    {
        ArgumentNullException.ThrowIfNull(candidate);
        return candidate.Exercises.Sum(e => e.Dose.WorkSeconds());
    }
}
