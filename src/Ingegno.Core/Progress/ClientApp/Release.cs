using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Progress.ClientApp;

/// <summary>
/// A plan as it is sent to its client: everything a session needs and nothing else. No profile, no screening, no gym week. What may
/// happen on the floor (a shorter day, another exercise, pain) is worked out before, so that a phone without a net has no rules to
/// know.
/// </summary>
public sealed record Release
{
    public required string Title { get; init; }

    /// <summary>Name of the place it is for.</summary>
    public required string Place { get; init; }

    /// <summary>A word of the coach; empty for none.</summary>
    public string Word { get; init; } = string.Empty;

    public required ImmutableArray<ReleaseDay> Days { get; init; }

    public required PainOnTheSpot Pain { get; init; }

    /// <summary>What a client may say of how they are today, and what follows.</summary>
    public required ImmutableArray<DayForm> Forms { get; init; }
}

/// <summary>A day of a release.</summary>
public sealed record ReleaseDay
{
    /// <summary>Name of the day; empty when the plan has one without a name.</summary>
    public required string Name { get; init; }

    /// <summary>Things to lay out.</summary>
    public required ImmutableArray<string> LayOut { get; init; }

    public required ImmutableArray<TimedStep> WarmUp { get; init; }

    public required ImmutableArray<TimedStep> CoolDown { get; init; }

    /// <summary>Work of the gym week that stays as written.</summary>
    public required ImmutableArray<string> Kept { get; init; }

    /// <summary>Its exercises, each once.</summary>
    public required ImmutableArray<ReleaseExercise> Exercises { get; init; }

    /// <summary>The session in full, then shorter ones, longest first.</summary>
    public required ImmutableArray<Course> Courses { get; init; }
}

/// <summary>Something to do before or after, with a timer where time is in it.</summary>
/// <param name="Text">What.</param>
/// <param name="Seconds">How long, s; null where it is not timed.</param>
public sealed record TimedStep(Reason Text, int? Seconds);

/// <summary>A way through a day.</summary>
/// <param name="Minutes">About how long it takes, min.</param>
/// <param name="GivesWay">What is left out against the full day; empty for that.</param>
/// <param name="Turns">Every set in the order in which it is done.</param>
public sealed record Course(int Minutes, ImmutableArray<Reason> GivesWay, ImmutableArray<Turn> Turns);

/// <summary>One set of one exercise in its turn.</summary>
/// <param name="Exercise">Key of the exercise, see <see cref="ReleaseExercise.Key"/>.</param>
/// <param name="Set">Number of the set, 1 first.</param>
/// <param name="Of">How many sets of it the course has.</param>
/// <param name="RestSeconds">Rest after it, s; 0 after the last of the day.</param>
/// <param name="Group">Letter of its group.</param>
/// <param name="Round">Round of the group, 1 first.</param>
/// <param name="Rounds">Rounds of the group; 1 for an exercise on its own.</param>
public sealed record Turn(string Exercise, int Set, int Of, int RestSeconds, string Group, int Round, int Rounds);
