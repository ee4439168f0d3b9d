namespace Ingegno.Storage;

/// <summary>A week of the gym program as the coach typed it, good lines and bad ones alike; its days stand under headings.</summary>
public sealed record GymWeek(string Name, string Text);

/// <summary>The gym weeks of a client.</summary>
public sealed class GymWeekStore(Database database, TimeProvider clock)
{
    private readonly DocumentTable<GymWeek> _table = new(database, clock, "gym_week", "client_id", "id");

    public IReadOnlyList<Saved<GymWeek>> List(long coachId, long clientId) => _table.List(coachId, clientId);

    public Saved<GymWeek>? Find(long coachId, long id) => _table.Find(coachId, id);

    /// <summary>Adds a week; null when the client is not this coach's.</summary>
    public Saved<GymWeek>? Add(long coachId, long clientId, GymWeek week) => _table.Add(coachId, clientId, week.Name, week);

    /// <summary>Adds weeks in their order, all or none; null when the client is not this coach's.</summary>
    public IReadOnlyList<Saved<GymWeek>>? AddAll(long coachId, long clientId, IEnumerable<GymWeek> weeks) =>
        _table.AddAll(coachId, clientId, weeks.Select(w => (w.Name, w)));

    public Written<GymWeek> Update(long coachId, long id, int revision, GymWeek week) =>
        _table.Update(coachId, id, revision, week.Name, week);

    public bool Delete(long coachId, long id) => _table.Delete(coachId, id);
}
