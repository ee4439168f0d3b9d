using Ingegno.Core.Kit;

namespace Ingegno.Storage;

/// <summary>The places of a client, each with its kit.</summary>
public sealed class PlaceStore(Database database, TimeProvider clock)
{
    private readonly DocumentTable<PlaceKit> _table = new(database, clock, "place", "client_id");

    public IReadOnlyList<Saved<PlaceKit>> List(long coachId, long clientId) => _table.List(coachId, clientId);

    public Saved<PlaceKit>? Find(long coachId, long id) => _table.Find(coachId, id);

    /// <summary>Adds a place; null when the client is not this coach's.</summary>
    public Saved<PlaceKit>? Add(long coachId, long clientId, PlaceKit place) => _table.Add(coachId, clientId, place.Name, place);

    public Written<PlaceKit> Update(long coachId, long id, int revision, PlaceKit place) =>
        _table.Update(coachId, id, revision, place.Name, place);

    public bool Delete(long coachId, long id) => _table.Delete(coachId, id);
}
