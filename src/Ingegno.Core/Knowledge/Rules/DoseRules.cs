using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Figures that a dose is set by (<c>data/rules/dose.json</c>).</summary>
public sealed record DoseRules
{
    /// <summary>What is taken for parts of a dose that nobody wrote.</summary>
    public required UnsaidDose Unsaid { get; init; }

    /// <summary>Rests of a line that names none.</summary>
    public required ImmutableArray<GoalRest> UsualRests { get; init; }

    /// <summary>Rest of a few reps at a stated effort, whatever the goal.</summary>
    public required StatedEffortRest StatedEffort { get; init; }

    /// <summary>Rests to which a day that is too long is cut.</summary>
    public required ImmutableArray<GoalRest> ShortestRests { get; init; }

    /// <summary>Sets that a day that is too long keeps.</summary>
    public required FewestSets FewestSets { get; init; }

    /// <summary>A line whose reps to failure lie this many times above the wanted ones is too easy: more reps, or tired
    /// beforehand.</summary>
    public required double TooEasy { get; init; }

    /// <summary>A load this many times too light for a heavy line is moved fast instead of often.</summary>
    public required double FarTooLight { get; init; }

    /// <summary>How long a set may last.</summary>
    public required TimeUnderTension SetSeconds { get; init; }

    /// <summary>What may be asked before a clearance that the screening wants.</summary>
    public required GentleRules Gentle { get; init; }

    /// <summary>How the planned reps are kept.</summary>
    public required KeptRules Kept { get; init; }

    /// <summary>Seconds of a hold that stands for reps.</summary>
    public required SetTarget HoldSeconds { get; init; }

    /// <summary>Shortest rest that still serves a goal (docs/domain/prescription), s.</summary>
    public int ShortestRest(Goal goal) => ShortestRests.First(r => r.Goal == goal).Seconds;

    /// <summary>Usual rest by goal and reps (docs/domain/prescription), s.</summary>
    public int UsualRest(Goal goal, SetTarget target)
    {
        ArgumentNullException.ThrowIfNull(target);
        return UsualRests.First(r => r.Goal == goal && (r.UpToReps is not { } reps || (!target.IsOpen && target.Max <= reps))).Seconds;
    }
}

/// <summary>Rest of a few reps at a stated effort.</summary>
/// <param name="UpToReps">At most so many reps.</param>
/// <param name="Seconds">Shortest usual rest, s.</param>
public sealed record StatedEffortRest(int UpToReps, int Seconds);

/// <summary>What is taken for parts of a dose that nobody wrote.</summary>
/// <param name="Sets">Sets.</param>
/// <param name="Reps">Reps of a set.</param>
/// <param name="RestSeconds">Rest where the goal is not known either, s.</param>
/// <param name="Rir">Reps in reserve: three sets are not done to failure.</param>
public sealed record UnsaidDose(int Sets, SetTarget Reps, int RestSeconds, int Rir);

/// <summary>Sets that are kept when a day is too long.</summary>
/// <param name="Any">Of every line.</param>
/// <param name="Main">Of a main lift, as long as anything else can go.</param>
public sealed record FewestSets(int Any, int Main);

/// <summary>A dose for who waits for a clearance.</summary>
/// <param name="Sets">Most sets.</param>
/// <param name="Rir">Fewest reps in reserve.</param>
/// <param name="Reps">Fewest reps of a set, so that no load is heavy.</param>
/// <param name="HoldSeconds">Longest hold, s.</param>
public sealed record GentleRules(int Sets, int Rir, int Reps, int HoldSeconds);

/// <summary>How planned reps are kept; all are shares.</summary>
/// <param name="LeastOfPlanned">Share of the planned reps below which no set starts as long as its load gives them.</param>
/// <param name="Care">How far below the middle of the expected range a careful reckoning stands, as a share of the way to its low end.</param>
/// <param name="LeastBelieved">Share of the planned reps of one's own body that must be expected for the plan to be believed.</param>
/// <param name="StillKept">Expected over wanted reps from which sets count as short.</param>
/// <param name="FarShort">The same from which they are as short as can be.</param>
public sealed record KeptRules(double LeastOfPlanned, double Care, double LeastBelieved, double StillKept, double FarShort)
{
    /// <summary>How short of the planned reps the sets would fall, 0–1.</summary>
    /// <param name="reps">Expected reps to failure.</param>
    /// <param name="low">Fewest that allow the planned reps.</param>
    public double Shortfall(double reps, double low) => Math.Clamp((StillKept - (reps / low)) / (StillKept - FarShort), 0, 1);
}

/// <summary>Time under tension of a set, s.</summary>
/// <param name="Heavy">Longest that techniques make of a set of few reps.</param>
/// <param name="Usual">Longest that techniques make of any other.</param>
/// <param name="Most">Longest of all, however many reps it takes.</param>
public sealed record TimeUnderTension(double Heavy, double Usual, double Most);

/// <summary>Rest between sets for a goal; the first that fits counts.</summary>
/// <param name="Goal">Goal of the client.</param>
/// <param name="Seconds">Rest in s.</param>
/// <param name="UpToReps">Only for sets of so many reps and fewer; null for all.</param>
public sealed record GoalRest(Goal Goal, int Seconds, int? UpToReps = null);
