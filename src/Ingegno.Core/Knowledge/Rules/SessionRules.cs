using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Phase of a rep with which it begins.</summary>
public enum FirstPhase
{
    /// <summary>It begins long: lowered first, as a squat.</summary>
    Eccentric,

    /// <summary>It begins short of work: lifted or pulled first, as a row.</summary>
    Concentric,
}

/// <summary>How a rep of some patterns is counted aloud.</summary>
/// <param name="Patterns">The patterns.</param>
/// <param name="First">The phase it begins with.</param>
/// <param name="Eccentric">Word of the way back, for instance "down".</param>
/// <param name="Concentric">Word of the way that is work, for instance "up".</param>
public sealed record RepCount(ImmutableArray<MovementPattern> Patterns, FirstPhase First, string Eccentric, string Concentric);

/// <summary>Shorter days that are offered.</summary>
/// <param name="Minutes">Lengths, min, longest first.</param>
/// <param name="LeastGain">Minutes by which a day must be shorter than the one before.</param>
public sealed record ShorterDays(ImmutableArray<int> Minutes, int LeastGain);

/// <summary>Minutes of warm-up and cool-down together.</summary>
/// <param name="Usual">As long as they usually are.</param>
/// <param name="Least">At their shortest.</param>
/// <param name="AtMostOneIn">Part of a short session that they take at most: one in so many.</param>
public sealed record PreparationMinutes(int Usual, int Least, int AtMostOneIn);

/// <summary>How a session is led on the floor (<c>data/rules/session.json</c>).</summary>
/// <param name="Counts">How reps are counted, by pattern.</param>
/// <param name="Shorter">Shorter days.</param>
/// <param name="Alternatives">Most other exercises that may be taken in place of one.</param>
/// <param name="ChangeOverSeconds">From one exercise to another, s: in the minutes of a day, and the least rest before it on the phone.</param>
/// <param name="WithinRoundSeconds">From one exercise to the next within a round, s.</param>
/// <param name="Preparation">Warm-up and cool-down.</param>
/// <param name="OtherSideSeconds">From one side to the other, s.</param>
/// <param name="Timed">Seconds of timed parts of warm-up and cool-down, by the code of their sentence.</param>
public sealed record SessionRules(
    ImmutableArray<RepCount> Counts,
    ShorterDays Shorter,
    int Alternatives,
    int ChangeOverSeconds,
    int WithinRoundSeconds,
    PreparationMinutes Preparation,
    int OtherSideSeconds,
    ImmutableDictionary<string, int> Timed
)
{
    private static readonly RepCount Plain = new([], FirstPhase.Eccentric, "down", "up");

    /// <summary>How a rep of a pattern is counted.</summary>
    public RepCount CountOf(MovementPattern pattern) => Counts.FirstOrDefault(c => c.Patterns.Contains(pattern)) ?? Plain;
}
