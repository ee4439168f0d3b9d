using Dapper;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Text;

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
    : ClientDocumentStore<PlaceKit>(new DocumentTable<PlaceKit>(database, clock, "place", "client_id"), p => p.Name)
{
    private readonly Database _database = database;

    /// <summary>The places of all clients of a coach, without their kit.</summary>
    public ILookup<long, PlaceAtAGlance> AtAGlance(long coachId)
    {
        using var connection = _database.Open();
        return connection
            .Query<PlaceAtAGlance>(
                "SELECT client_id AS ClientId, id AS Id, name AS Name, json_array_length(document, '$.items') AS Items FROM place WHERE coach_id = @coachId ORDER BY name COLLATE NOCASE, id",
                new { coachId }
            )
            .ToLookup(p => p.ClientId);
    }

    private protected override PlaceKit Tidy(PlaceKit value) => value with { Name = PlainName.Normalize(value.Name) };
}
