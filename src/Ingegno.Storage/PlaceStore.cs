using Dapper;
using Ingegno.Core.AtHome.Kit;

namespace Ingegno.Storage;

/// <summary>A place at a glance. Set by property: an empty answer of SQLite does not say that a count is a number.</summary>
public sealed record PlaceAtAGlance
{
    /// <summary>Whose place.</summary>
    public long ClientId { get; init; }

    /// <summary>Key.</summary>
    public long Id { get; init; }

    /// <summary>Name.</summary>
    public string Name { get; init; } = string.Empty;

    /// <summary>How many things stand there.</summary>
    public long Items { get; init; }
}

/// <summary>The places of a client, each with its kit.</summary>
public sealed class PlaceStore(Database database, TimeProvider clock)
{
    private readonly DocumentTable<PlaceKit> _table = new(database, clock, "place", "client_id");

    public IReadOnlyList<Saved<PlaceKit>> List(long coachId, long clientId) => _table.List(coachId, clientId);

    /// <summary>The places of all clients of a coach, without their kit.</summary>
    public ILookup<long, PlaceAtAGlance> AtAGlance(long coachId)
    {
        using var connection = database.Open();
        return connection.Query<PlaceAtAGlance>(
            "SELECT client_id AS ClientId, id AS Id, name AS Name, json_array_length(document, '$.items') AS Items FROM place WHERE coach_id = @coachId ORDER BY name COLLATE NOCASE, id",
            new { coachId }).ToLookup(p => p.ClientId);
    }

    public Saved<PlaceKit>? Find(long coachId, long id) => _table.Find(coachId, id);

    /// <summary>Adds a place; null when the client is not this coach's.</summary>
    public Saved<PlaceKit>? Add(long coachId, long clientId, PlaceKit place) => _table.Add(coachId, clientId, place.Name, place);

    public Written<PlaceKit> Update(long coachId, long id, int revision, PlaceKit place) =>
        _table.Update(coachId, id, revision, place.Name, place);

    public bool Delete(long coachId, long id) => _table.Delete(coachId, id);
}
