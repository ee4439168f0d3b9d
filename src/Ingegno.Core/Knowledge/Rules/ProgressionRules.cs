using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Figures that move a dose from week to week (<c>data/rules/progression.json</c>).</summary>
public sealed record ProgressionRules
{
    /// <summary>What a return is done at, by days away, shortest first.</summary>
    public required ImmutableArray<AwayRule> Away { get; init; }

    /// <summary>Steps of demand to another variation.</summary>
    public required StepRules Steps { get; init; }

    /// <summary>How a load moves that was far off.</summary>
    public required FarOffRules FarOff { get; init; }

    /// <summary>How far reps go past a full zone.</summary>
    public required PastZoneRules PastZone { get; init; }

    /// <summary>When an exercise that hurt is tried again.</summary>
    public required TryAgainRules TryAgain { get; init; }

    /// <summary>What a return after so many days is done at; null when nothing changes.</summary>
    public AwayRule? After(int days) => Away.LastOrDefault(a => days >= a.FromDays);
}

/// <summary>A return after some time away.</summary>
/// <param name="FromDays">Days away from which it counts.</param>
/// <param name="Share">Share of the load.</param>
/// <param name="SetsLess">Sets less.</param>
/// <param name="Calibrate">The dose is found anew, at an easier step.</param>
public sealed record AwayRule(int FromDays, double Share, int SetsLess = 0, bool Calibrate = false);

/// <summary>Steps of demand, as shares.</summary>
/// <param name="Least">Less than this is no step.</param>
/// <param name="Free">Up to here a full zone is enough.</param>
/// <param name="Earned">Up to here reps earn it.</param>
public sealed record StepRules(double Least, double Free, double Earned)
{
    /// <summary>Nobody measures a step closer: from 20 to 22 kg is a tenth, whatever binary fractions make of it.</summary>
    private const double Hair = 1e-9;

    /// <summary>A full zone is enough for the step (ACSM position stand 2009, "Progression Models in Resistance Training": 2–10 %).</summary>
    public bool IsFree(double step) => step <= Free + Hair;
}

/// <summary>A load that was far off.</summary>
/// <param name="Over">Reps in reserve beyond the planned from which it goes as far as the log says.</param>
/// <param name="Trust">Share of what was left over that is believed.</param>
/// <param name="LargestJump">Largest step of the system load, as a share.</param>
public sealed record FarOffRules(double Over, double Trust, double LargestJump);

/// <summary>When an exercise that hurt is tried again.</summary>
/// <param name="Days">Days without pain in its joint.</param>
/// <param name="Stops">Times that it was stopped for its joint from which it stays out until a clinician has looked.</param>
/// <param name="LeastMatch">Match from which another exercise that leaves the joint alone comes before one that loads it lightly.</param>
/// <param name="OtherMovement">Match that another movement may fall behind the same movement with another thing and still come before it.</param>
public sealed record TryAgainRules(int Days, int Stops, double LeastMatch, double OtherMovement);

/// <summary>Reps past a full zone.</summary>
/// <param name="TimesZone">So many times its top.</param>
/// <param name="AtLeast">At least to here.</param>
public sealed record PastZoneRules(double TimesZone, int AtLeast);
