using Ingegno.Core.Trainee.Clients;

namespace Ingegno.Storage;

/// <summary>A client as the coach keeps it.</summary>
/// <param name="Name">Name shown, 1–80 characters.</param>
/// <param name="Profile">What rebuilding needs.</param>
/// <param name="Note">The coach's own remark.</param>
public sealed record ClientRecord(string Name, ClientProfile Profile, string? Note = null);

/// <summary>The clients of a coach; one that is erased goes with places, gym weeks, plans and logs.</summary>
public sealed class ClientStore(Database database, TimeProvider clock)
    : PracticeDocumentStore<ClientRecord>(new DocumentTable<ClientRecord>(database, clock, "client", null), c => c.Name)
{
    private protected override ClientRecord Tidy(ClientRecord value) => value with { Name = value.Name.Trim() };
}
