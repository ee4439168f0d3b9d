using System.Collections.Immutable;
using Ingegno.Core.Matching;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Sessions;

/// <summary>
/// Minutes of a session (handbook 04): Σ sets × (reps × seconds per rep × sides + rest) + change-overs + warm-up and
/// cool-down. Lines done in turn share the rest of a round.
/// </summary>
public static class SessionTime
{
    /// <summary>Warm-up and cool-down in minutes (handbook 04: 5–10 and a few).</summary>
    public const int WarmUpAndCoolDownMinutes = 11;

    /// <summary>Change-over between exercises in seconds (handbook 04: 60–90).</summary>
    public const int ChangeOverSeconds = 75;

    /// <summary>From one exercise to the next within a round, s. Common practice.</summary>
    public const int WithinRoundSeconds = 10;

    /// <summary>Minutes of a day, rounded up; 0 when there is nothing on it.</summary>
    public static int Minutes(IEnumerable<SessionBlock> blocks, IReadOnlyDictionary<int, HomeLine> lines)
    {
        ArgumentNullException.ThrowIfNull(blocks);
        var seconds = blocks.Sum(b => Seconds(b, lines));
        return seconds <= 0 ? 0 : (int)Math.Ceiling((seconds / 60) + WarmUpAndCoolDownMinutes);
    }

    /// <summary>Seconds of a block with its change-overs.</summary>
    public static double Seconds(SessionBlock block, IReadOnlyDictionary<int, HomeLine> lines)
    {
        ArgumentNullException.ThrowIfNull(block);
        ArgumentNullException.ThrowIfNull(lines);
        var chosen = block.Lines.Select(l => lines[l].Chosen).OfType<Candidate>().ToList();
        return chosen.Sum(Work) + (chosen.Count * ChangeOverSeconds) + (block.Rounds * block.RestSeconds)
            + (Math.Max(0, chosen.Count - 1) * block.Rounds * WithinRoundSeconds);
    }

    /// <summary>Work of all sets of a candidate, s.</summary>
    public static double Work(Candidate candidate)
    {
        ArgumentNullException.ThrowIfNull(candidate);
        return candidate.Exercises.Sum(e => e.Dose.WorkSeconds());
    }
}
