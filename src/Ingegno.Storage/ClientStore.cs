using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Storage;

/// <summary>A client as the coach keeps it.</summary>
/// <param name="Name">Name shown, 1–80 characters.</param>
/// <param name="Profile">What rebuilding needs.</param>
/// <param name="Note">The coach's own remark.</param>
public sealed record ClientRecord(string Name, ClientProfile Profile, string? Note = null)
{
    /// <summary>Out of the roster, with everything kept, until brought back.</summary>
    public bool Archived { get; init; }
}

/// <summary>The clients of a coach; one that is erased goes with places, gym weeks, plans and logs.</summary>
public sealed class ClientStore(Database database, TimeProvider clock)
    : PracticeDocumentStore<ClientRecord>(new DocumentTable<ClientRecord>(database, clock, "client", null), c => c.Name)
{
    /// <summary>Adds clients, all or none; sent again under its key it gives those that were made then.</summary>
    public IReadOnlyList<Saved<ClientRecord>>? AddAll(long coachId, IEnumerable<ClientRecord> clients, string? once) =>
        Table.AddAll(coachId, null, clients.Select(c => (NameOf(c), Tidy(c))), once);

    /// <summary>Takes a client out of the roster, or brings one back; null when the coach has none with that key.</summary>
    public Saved<ClientRecord>? Archive(long coachId, long id, bool archived)
    {
        while (Find(coachId, id) is { } stands)
        {
            if (
                stands.Value.Archived == archived
                || Update(coachId, id, stands.Revision, stands.Value with { Archived = archived }).Outcome == WriteOutcome.Done
            )
            {
                return Find(coachId, id);
            }
        }

        return null;
    }

    private protected override ClientRecord Tidy(ClientRecord value) => value with { Name = PlainName.Normalize(value.Name) };
}
