using Ingegno.Core.Strength;

namespace Ingegno.Core.Progressing;

/// <summary>Logged sets as evidence of strength.</summary>
public static class Evidence
{
    /// <summary>Every set that was stamped with a system load; where no reserve was noted, the planned one is taken.</summary>
    public static IEnumerable<SetEvidence> Of(IEnumerable<LoggedSet> sets)
    {
        ArgumentNullException.ThrowIfNull(sets);
        return from set in sets
               where set.Stamp?.SystemKg is not null
               select new SetEvidence(set.Stamp!.SystemKg!.Value, set.Reps, set.Rir ?? set.Stamp.PlannedRir ?? 0, set.Stamp.StraightShare);
    }
}
