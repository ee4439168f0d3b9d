namespace Ingegno.Storage;

/// <summary>A day of the gym program as the coach typed it, good lines and bad ones alike.</summary>
public sealed record GymDay(string Name, string Text);

/// <summary>The gym days of a client.</summary>
public sealed class GymDayStore(Database database, TimeProvider clock)
{
    private readonly DocumentTable<GymDay> _table = new(database, clock, "gym_day", "client_id");

    public IReadOnlyList<Saved<GymDay>> List(long coachId, long clientId) => _table.List(coachId, clientId);

    public Saved<GymDay>? Find(long coachId, long id) => _table.Find(coachId, id);

    /// <summary>Adds a day; null when the client is not this coach's.</summary>
    public Saved<GymDay>? Add(long coachId, long clientId, GymDay day) => _table.Add(coachId, clientId, day.Name, day);

    public Written<GymDay> Update(long coachId, long id, int revision, GymDay day) =>
        _table.Update(coachId, id, revision, day.Name, day);

    public bool Delete(long coachId, long id) => _table.Delete(coachId, id);
}
