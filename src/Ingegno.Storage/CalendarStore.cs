using System.Collections.Immutable;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.ClientApp;

namespace Ingegno.Storage;

/// <summary>A client's calendar.</summary>
/// <param name="CoachId">The coach.</param>
/// <param name="ClientId">The client.</param>
/// <param name="LinkId">Link that it belongs to: it ends with it.</param>
/// <param name="Sealed">Its secret, sealed.</param>
/// <param name="Times">When the days are trained; empty where nobody chose.</param>
public sealed record ClientCalendar(long CoachId, long ClientId, long LinkId, string Sealed, ImmutableArray<TrainingTime> Times);

/// <summary>Calendars of clients, one each.</summary>
public sealed class CalendarStore(Database database)
{
    private sealed record Row(long CoachId, long ClientId, long LinkId, string Sealed, string Times)
    {
        public ClientCalendar ToCalendar() =>
            new(CoachId, ClientId, LinkId, Sealed, JsonSerializer.Deserialize<ImmutableArray<TrainingTime>>(Times, RulesJson.Lenient));
    }

    private const string Columns = "coach_id AS CoachId, client_id AS ClientId, link_id AS LinkId, sealed AS Sealed, times AS Times";

    /// <summary>The calendar of a client; null when none was made.</summary>
    public ClientCalendar? Of(long clientId)
    {
        using var connection = database.Open();
        return connection
            .QuerySingleOrDefault<Row>($"SELECT {Columns} FROM client_calendar WHERE client_id = @clientId", new { clientId })
            ?.ToCalendar();
    }

    /// <summary>The calendar of a secret; null when there is none.</summary>
    public ClientCalendar? Find(string secret)
    {
        using var connection = database.Open();
        return connection
            .QuerySingleOrDefault<Row>(
                $"SELECT {Columns} FROM client_calendar WHERE secret_hash = @hash",
                new { hash = ClientLinkStore.Hash(secret) }
            )
            ?.ToCalendar();
    }

    /// <summary>Makes the calendar of a link; the times that were chosen before stay.</summary>
    public void Make(ClientLink link, string secret, string seal)
    {
        ArgumentNullException.ThrowIfNull(link);
        using var connection = database.Open();
        connection.Execute(
            """
            INSERT INTO client_calendar (client_id, coach_id, link_id, secret_hash, sealed, times)
            VALUES (@ClientId, @CoachId, @Id, @hash, @seal, '[]')
            ON CONFLICT (client_id) DO UPDATE SET link_id = excluded.link_id, secret_hash = excluded.secret_hash, sealed = excluded.sealed
            """,
            new
            {
                link.ClientId,
                link.CoachId,
                link.Id,
                hash = ClientLinkStore.Hash(secret),
                seal,
            }
        );
    }

    /// <summary>Keeps when the days are trained.</summary>
    public void Choose(long clientId, ImmutableArray<TrainingTime> times)
    {
        using var connection = database.Open();
        connection.Execute(
            "UPDATE client_calendar SET times = @times WHERE client_id = @clientId",
            new { clientId, times = JsonSerializer.Serialize(times, RulesJson.Lenient) }
        );
    }
}
