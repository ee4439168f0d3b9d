using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>What a set is counted in.</summary>
internal enum CountUnit
{
    Reps,
    Seconds,
    Metres,
}

/// <summary>Sets as they are written together: 3x8, 3x10/8/6, 2xmax. A line may hold several (1x5, 3x8).</summary>
internal sealed record SetGroup
{
    /// <summary>One set of as many reps as can be done with a load that allows no more.</summary>
    public static SetGroup OfMaximum(int reps) => new() { Sets = 1, Counts = [new Span(reps, reps)] };

    /// <summary>Number of sets; null when it was not given.</summary>
    public int? Sets { get; init; }

    /// <summary>Most sets of a range (2-3); null for one figure.</summary>
    public int? SetsTo { get; init; }

    /// <summary>One figure for all sets, or one for each; empty when none was given.</summary>
    public List<Span> Counts { get; init; } = [];

    public CountUnit Unit { get; init; }

    /// <summary>As many as possible.</summary>
    public bool Open { get; init; }

    /// <summary>The last set is.</summary>
    public bool LastOpen { get; init; }

    /// <summary>It was written with its load or share before the reps: 80x5, 80%x5.</summary>
    public bool LoadFirst { get; init; }

    /// <summary>Nothing stands between it and the dose before: 3x12 2x10.</summary>
    public bool Beside { get; init; }

    public PlannedLoad? Load { get; set; }

    public Span? Share { get; set; }

    /// <summary>Share of the first set's load: a back-off by ten percent is 0.9.</summary>
    public double? OfTop { get; set; }

    public Span? Rpe { get; set; }

    public Span? Rir { get; set; }
}
