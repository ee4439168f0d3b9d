using Ingegno.Core.Knowledge.TradeData;

namespace Ingegno.Storage;

/// <summary>The approaches that a practice made of those that ship.</summary>
public sealed class OwnApproachStore(Database database, TimeProvider clock)
{
    private readonly DocumentTable<Approach> _table = new(database, clock, "own_approach", null);

    public IReadOnlyList<Saved<Approach>> List(long coachId) => _table.List(coachId, null);

    public Saved<Approach>? Find(long coachId, long id) => _table.Find(coachId, id);

    public Saved<Approach> Add(long coachId, Approach approach) => _table.Add(coachId, null, approach.Name, approach)!;

    public Written<Approach> Update(long coachId, long id, int revision, Approach approach) =>
        _table.Update(coachId, id, revision, approach.Name, approach);

    public bool Delete(long coachId, long id) => _table.Delete(coachId, id);
}
