using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What counts when a whole week is chosen together (<c>data/rules/matching.json</c>); 1 is an accessory's full match.</summary>
public sealed record WeekRules
{
    /// <summary>How much a line's match counts, by role.</summary>
    public required ImmutableDictionary<LineRole, double> RoleWeight { get; init; }

    /// <summary>Head start of what stood there before: a small change of kit changes only what it must.</summary>
    public required double Kept { get; init; }

    /// <summary>Head start of the gym exercise itself: what can stay as it is stays, though the bar be loaded anew for it.</summary>
    public required double SameExercise { get; init; }

    /// <summary>Share of the wanted load from which the same exercise is worth keeping.</summary>
    public required double SameFrom { get; init; }

    /// <summary>What each technique of a dose takes off the match: of two about equal ways the one that needs none is taken.</summary>
    public required double Technique { get; init; }

    /// <summary>Superset partners that need one thing at two loads.</summary>
    public required double RigConflict { get; init; }

    /// <summary>One thing at two loads in lines that follow one another.</summary>
    public required double RigChange { get; init; }

    /// <summary>Neighbours of one family on one day.</summary>
    public required double SameFamily { get; init; }

    /// <summary>Two exercises on one day that are the same but for their names.</summary>
    public required double SameStimulus { get; init; }

    /// <summary>A hard set that a muscle misses over the week.</summary>
    public required double MissedSet { get; init; }

    /// <summary>A hard set more than the gym week's.</summary>
    public required double ExtraSet { get; init; }

    /// <summary>A minute beyond the client's session.</summary>
    public required double OverMinute { get; init; }
}
