using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Progress.Logs;

/// <summary>Logged sets as evidence of strength.</summary>
public static class Evidence
{
    /// <summary>
    /// Every set that was stamped with a system load; where no reserve was noted, the planned one is taken. A technique counts as it
    /// costs this client, where that was learnt.
    /// </summary>
    /// <param name="sets">Logged sets.</param>
    /// <param name="costs">What was learnt of the client's costs.</param>
    public static IEnumerable<SetEvidence> FromSets(IEnumerable<LoggedSet> sets, IReadOnlyCollection<LearnedCost>? costs = null)
    {
        ArgumentNullException.ThrowIfNull(sets);
        return from set in sets
            where set.Stamp?.SystemKg is not null
            select new SetEvidence(set.Stamp!.SystemKg!.Value, set.Reps, set.Rir ?? set.Stamp.PlannedRir ?? 0, Share(set.Stamp, costs));
    }

    private static double Share(SetStamp stamp, IReadOnlyCollection<LearnedCost>? costs) =>
        stamp.Technique is { } technique && costs?.FirstOrDefault(c => c.Of == technique) is { } cost
            ? cost.Left(stamp.StraightShare)
            : stamp.StraightShare;
}
