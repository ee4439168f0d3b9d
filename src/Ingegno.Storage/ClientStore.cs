using Ingegno.Core.Trainee.Clients;

namespace Ingegno.Storage;

/// <summary>A client as the coach keeps it.</summary>
/// <param name="Name">Name shown, 1–80 characters.</param>
/// <param name="Profile">What rebuilding needs.</param>
/// <param name="Note">The coach's own remark.</param>
public sealed record ClientRecord(string Name, ClientProfile Profile, string? Note = null);

/// <summary>The clients of a coach.</summary>
public sealed class ClientStore(Database database, TimeProvider clock)
{
    private readonly DocumentTable<ClientRecord> _table = new(database, clock, "client", null);

    public IReadOnlyList<Saved<ClientRecord>> List(long coachId) => _table.List(coachId, null);

    public Saved<ClientRecord>? Find(long coachId, long id) => _table.Find(coachId, id);

    public Saved<ClientRecord> Add(long coachId, ClientRecord client) => _table.Add(coachId, null, client.Name, client)!;

    public Written<ClientRecord> Update(long coachId, long id, int revision, ClientRecord client) =>
        _table.Update(coachId, id, revision, client.Name, client);

    /// <summary>Erases the client with places, gym weeks, plans and logs.</summary>
    public bool Delete(long coachId, long id) => _table.Delete(coachId, id);
}
