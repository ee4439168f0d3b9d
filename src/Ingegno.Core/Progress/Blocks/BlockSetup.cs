using System.Collections.Immutable;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>How a coach wants a block: when, how long, in which phases, towards what, and what was set by hand.</summary>
public sealed record BlockSetup
{
    /// <summary>First day; weeks run seven days from it.</summary>
    public required DateOnly Starts { get; init; }

    /// <summary>Phases in order; their weeks add up to the block.</summary>
    public required ImmutableArray<BlockPhase> Phases { get; init; }

    /// <summary>Numbers of the weeks that are lighter, 1 first; before an event its own shape comes first.</summary>
    public ImmutableArray<int> LighterWeeks { get; init; } = [];

    /// <summary>Day of an event that the last two weeks before it lead up to; null for none.</summary>
    public DateOnly? EventOn { get; init; }

    /// <summary>Name of the event.</summary>
    public string? EventName { get; init; }

    /// <summary>Cells that the coach set.</summary>
    public ImmutableArray<BlockEdit> Edits { get; init; } = [];

    /// <summary>Weeks of the block.</summary>
    public int Weeks => Phases.Sum(p => p.Weeks);

    /// <summary>Last day.</summary>
    public DateOnly Ends => Starts.AddDays((7 * Weeks) - 1);

    /// <summary>First day of a week, 1 first.</summary>
    public DateOnly StartOf(int week) => Starts.AddDays(7 * (week - 1));

    /// <summary>Week in which a day lies: 1 first, below 1 before the block, above its weeks after it.</summary>
    public int WeekOf(DateOnly day) => 1 + (int)Math.Floor((day.DayNumber - Starts.DayNumber) / 7.0);

    /// <summary>Phase of a week, 1 first; the first or last one outside the block.</summary>
    public BlockPhase PhaseOf(int week)
    {
        var left = week;
        foreach (var phase in Phases)
        {
            left -= phase.Weeks;
            if (left <= 0)
            {
                return phase;
            }
        }

        return Phases[^1];
    }
}

/// <summary>Weeks of a block under one approach.</summary>
/// <param name="Name">Name of the phase.</param>
/// <param name="Weeks">How many weeks, 1 or more.</param>
/// <param name="Approach">Key of the approach; null for the plan's.</param>
/// <param name="Phase">Name of the phase of that approach; null for the approach as it is.</param>
public sealed record BlockPhase(string Name, int Weeks, string? Approach = null, string? Phase = null);

/// <summary>A cell that the coach set.</summary>
/// <param name="Week">Week, 1 first.</param>
/// <param name="Figures">What was set; what is left open stays as it would be.</param>
/// <param name="OnlyThisWeek">Later weeks go on as if it had not been set.</param>
public sealed record BlockEdit(int Week, HomeEdit Figures, bool OnlyThisWeek = false);
