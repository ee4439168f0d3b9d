using Ingegno.Core.Foundation.Text;

namespace Ingegno.Storage;

/// <summary>A week of the gym program as the coach typed it, good lines and bad ones alike; its days stand under headings.</summary>
public sealed record GymWeek(string Name, string Text);

/// <summary>The gym weeks of a client.</summary>
public sealed class GymWeekStore(Database database, TimeProvider clock)
    : ClientDocumentStore<GymWeek>(new DocumentTable<GymWeek>(database, clock, "gym_week", "client_id", "id"), w => w.Name)
{
    /// <summary>Adds weeks in their order, all or none; null when the client is not this coach's.</summary>
    public IReadOnlyList<Saved<GymWeek>>? AddAll(long coachId, long clientId, IEnumerable<GymWeek> weeks, string? once = null) =>
        Table.AddAll(coachId, clientId, weeks.Select(w => (NameOf(w), Tidy(w))), once);

    private protected override GymWeek Tidy(GymWeek value) => value with { Name = PlainName.Normalize(value.Name) };
}
