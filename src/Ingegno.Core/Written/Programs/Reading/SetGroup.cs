namespace Ingegno.Core.Written.Programs.Reading;

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

    /// <summary>It was written with its load before the reps, without a unit: 80x5.</summary>
    public bool LoadFirst { get; init; }

    public PlannedLoad? Load { get; set; }

    public Span? Share { get; set; }

    /// <summary>Share of the first set's load: a back-off by ten percent is 0.9.</summary>
    public double? OfTop { get; set; }

    public Span? Rpe { get; set; }

    public Span? Rir { get; set; }
}
