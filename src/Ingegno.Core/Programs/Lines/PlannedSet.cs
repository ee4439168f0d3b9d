using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Programs.Lines;

/// <summary>One set of a line whose sets are not all alike; what is not given is the line's.</summary>
/// <param name="Target">Its reps or seconds.</param>
public sealed record PlannedSet(SetTarget Target)
{
    public PlannedLoad? Load { get; init; }

    /// <summary>Share of the one-rep maximum, 0–1.1.</summary>
    public double? ShareOfMax { get; init; }

    /// <summary>Share of the load of the first set, 0–1: a back-off set.</summary>
    public double? ShareOfTop { get; init; }

    public double? Rpe { get; init; }

    public int? Rir { get; init; }
}
