using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.ClientApp;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>A session that came from a client's phone.</summary>
/// <param name="Id">Key.</param>
/// <param name="ClientId">Whose.</param>
/// <param name="PlanId">Plan that was trained.</param>
/// <param name="Session">As the phone has it.</param>
/// <param name="PerformedOn">Day on which it was trained.</param>
/// <param name="ClockWasOff">The phone's clock was wrong; the day is put right.</param>
/// <param name="LoggedAs">Key in the log; null while it runs, or after the coach took it out.</param>
/// <param name="Differs">The coach changed the session in the log, and the phone sent another state since: both are kept.</param>
/// <param name="ReceivedAt">When it came in last.</param>
/// <param name="SeenAt">When the coach looked at it; null before.</param>
public sealed record ClientAppRecord(
    long Id,
    long ClientId,
    long PlanId,
    ClientAppSession Session,
    DateOnly PerformedOn,
    bool ClockWasOff,
    long? LoggedAs,
    bool Differs,
    DateTimeOffset ReceivedAt,
    DateTimeOffset? SeenAt
);

/// <summary>A short note of the client or the coach on a session.</summary>
/// <param name="Id">Key.</param>
/// <param name="ClientId">Whose thread.</param>
/// <param name="Session">Key of the session, as the phone gave it.</param>
/// <param name="ExerciseId">Exercise it is about; null for the day.</param>
/// <param name="FromClient">Who wrote it.</param>
/// <param name="Text">The note.</param>
/// <param name="At">When it came in.</param>
/// <param name="SeenAt">When the other read it; null before.</param>
public sealed record ClientAppNote(
    long Id,
    long ClientId,
    string Session,
    string? ExerciseId,
    bool FromClient,
    string Text,
    DateTimeOffset At,
    DateTimeOffset? SeenAt
);

/// <summary>What comes from clients' phones: sessions and notes. Whatever is sent twice is kept once.</summary>
public sealed class ClientAppStore(Database database, LogStore logs, TimeProvider clock)
{
    private sealed class Row
    {
        public long Id { get; init; }

        public long ClientId { get; init; }

        public long PlanId { get; init; }

        public string Document { get; init; } = string.Empty;

        public string PerformedOn { get; init; } = string.Empty;

        public long ClockWasOff { get; init; }

        public long PhoneRevision { get; init; }

        public long? SessionId { get; init; }

        public long? SessionRevision { get; init; }

        public long Differs { get; init; }

        public long Finished { get; init; }

        public string ReceivedAt { get; init; } = string.Empty;

        public string? SeenAt { get; init; }

        public ClientAppRecord ToRecord() =>
            new(
                Id,
                ClientId,
                PlanId,
                JsonSerializer.Deserialize<ClientAppSession>(Document, RulesJson.Lenient)!,
                DateOnly.ParseExact(PerformedOn, "O", CultureInfo.InvariantCulture),
                ClockWasOff != 0,
                SessionId,
                Differs != 0,
                Timestamps.Read(ReceivedAt),
                SeenAt is null ? null : Timestamps.Read(SeenAt)
            );
    }

    private const string Columns =
        "f.id AS Id, f.client_id AS ClientId, f.plan_id AS PlanId, f.document AS Document, f.performed_on AS PerformedOn, f.clock_was_off AS ClockWasOff, f.phone_revision AS PhoneRevision, f.session_id AS SessionId, f.session_revision AS SessionRevision, f.differs AS Differs, f.finished AS Finished, f.received_at AS ReceivedAt, f.seen_at AS SeenAt";

    private const string OfSession = "n.client_id = f.client_id AND n.session_key = f.key";
    private const string Unread = "n.from_client = 1 AND n.seen_at IS NULL";

    /// <summary>
    /// Keeps what a phone sent. An older state than the one that is kept changes nothing. A finished session goes into the log in the
    /// same transaction; where the coach changed it there meanwhile, the log stays and the phone's state is kept beside it.
    /// </summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="clientId">The client.</param>
    /// <param name="release">The release that was trained.</param>
    /// <param name="session">What the phone sent.</param>
    /// <param name="logged">The session for the log; null while it runs or where nothing was done.</param>
    public ClientAppRecord Keep(long coachId, long clientId, SentRelease release, ClientAppSession session, SessionRecord? logged)
    {
        ArgumentNullException.ThrowIfNull(release);
        ArgumentNullException.ThrowIfNull(session);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var before = Find(connection, clientId, session.Key);
        if (before is not null && before.PhoneRevision >= session.Revision)
        {
            return before.ToRecord();
        }

        var (day, off) = session.TrainedOn(Moments.ToMoment(clock.GetUtcNow()));
        if (before is not null)
        {
            // The day is that of its beginning: it does not move with what is sent later.
            (day, off) = (DateOnly.ParseExact(before.PerformedOn, "O", CultureInfo.InvariantCulture), before.ClockWasOff != 0);
        }

        var (id, revision, differs) = ToLog(
            connection,
            transaction,
            coachId,
            release.PlanId,
            before,
            logged is null ? null : logged with { PerformedOn = day }
        );
        connection.Execute(
            """
            INSERT INTO floor_session (coach_id, client_id, plan_id, release_id, key, phone_revision, performed_on, clock_was_off, finished, document, session_id, session_revision, differs, received_at)
            VALUES (@coachId, @clientId, @PlanId, @releaseId, @Key, @Revision, @day, @off, @Finished, @document, @id, @revision, @differs, @now)
            ON CONFLICT (client_id, key) DO UPDATE SET phone_revision = excluded.phone_revision, finished = excluded.finished, document = excluded.document,
                session_id = excluded.session_id, session_revision = excluded.session_revision, differs = excluded.differs, received_at = excluded.received_at, seen_at = NULL
            """,
            new
            {
                coachId,
                clientId,
                release.PlanId,
                releaseId = release.Id,
                session.Key,
                session.Revision,
                day = day.ToString("O", CultureInfo.InvariantCulture),
                off,
                session.Finished,
                document = JsonSerializer.Serialize(session, RulesJson.Lenient),
                id,
                revision,
                differs,
                now = Timestamps.Write(clock.GetUtcNow()),
            },
            transaction
        );
        transaction.Commit();
        return Find(connection, clientId, session.Key)!.ToRecord();
    }

    /// <summary>A session of a client's phone by its key; null when there is none.</summary>
    public ClientAppRecord? Find(long coachId, long clientId, string key)
    {
        using var connection = database.Open();
        return connection
            .QuerySingleOrDefault<Row>(
                $"SELECT {Columns} FROM floor_session f WHERE f.coach_id = @coachId AND f.client_id = @clientId AND f.key = @key",
                new
                {
                    coachId,
                    clientId,
                    key,
                }
            )
            ?.ToRecord();
    }

    /// <summary>Whether a client's phone sent a session of that key.</summary>
    public bool Has(long clientId, string key)
    {
        using var connection = database.Open();
        return connection.ExecuteScalar<bool>(
            "SELECT EXISTS (SELECT 1 FROM floor_session WHERE client_id = @clientId AND key = @key)",
            new { clientId, key }
        );
    }

    /// <summary>How many sessions of a client are kept.</summary>
    public int CountOf(long clientId)
    {
        using var connection = database.Open();
        return connection.ExecuteScalar<int>("SELECT count(*) FROM floor_session WHERE client_id = @clientId", new { clientId });
    }

    /// <summary>Sessions of a client's phone from a day on, newest first.</summary>
    public IReadOnlyList<ClientAppRecord> OfClient(long coachId, long clientId, DateOnly since) =>
        Read(
            "f.coach_id = @coachId AND f.client_id = @owner AND f.performed_on >= @since ORDER BY f.performed_on DESC, f.id DESC",
            coachId,
            clientId,
            since
        );

    /// <summary>Sessions of a plan, newest first.</summary>
    public IReadOnlyList<ClientAppRecord> OfPlan(long coachId, long planId) =>
        Read("f.coach_id = @coachId AND f.plan_id = @owner ORDER BY f.performed_on DESC, f.id DESC", coachId, planId, null);

    /// <summary>Sessions that the coach has not looked at, and those with a note that is not read, oldest first.</summary>
    public IReadOnlyList<ClientAppRecord> Unseen(long coachId) =>
        Read(
            $"f.coach_id = @coachId AND (f.seen_at IS NULL OR EXISTS (SELECT 1 FROM floor_note n WHERE {OfSession} AND {Unread})) ORDER BY f.received_at, f.id",
            coachId,
            0,
            null
        );

    /// <summary>The last day on which something was trained on a phone, by client.</summary>
    public IReadOnlyDictionary<long, DateOnly> LastTrained(long coachId)
    {
        using var connection = database.Open();
        return connection
            .Query<(long Client, string Day)>(
                "SELECT client_id, max(performed_on) FROM floor_session WHERE coach_id = @coachId GROUP BY client_id",
                new { coachId }
            )
            .ToDictionary(r => r.Client, r => DateOnly.ParseExact(r.Day, "O", CultureInfo.InvariantCulture));
    }

    /// <summary>The coach has looked at a session, and at the notes on it; false when it is not this coach's.</summary>
    public bool Seen(long coachId, long id)
    {
        using var connection = database.Open();
        return connection.Execute(
                """
                UPDATE floor_session SET seen_at = @now WHERE coach_id = @coachId AND id = @id;
                UPDATE floor_note SET seen_at = @now WHERE coach_id = @coachId AND from_client = 1 AND seen_at IS NULL
                  AND (client_id, session_key) = (SELECT client_id, key FROM floor_session WHERE id = @id AND coach_id = @coachId);
                """,
                new
                {
                    coachId,
                    id,
                    now = Timestamps.Write(clock.GetUtcNow()),
                }
            ) > 0;
    }

    /// <summary>Adds a note; one with a key that is there already changes nothing. Null when the client is not this coach's.</summary>
    public ClientAppNote? Say(long coachId, long clientId, string session, string? exerciseId, bool fromClient, string text, string key)
    {
        using var connection = database.Open();
        connection.Execute(
            """
            INSERT INTO floor_note (coach_id, client_id, session_key, exercise_id, from_client, text, key, at)
            SELECT @coachId, @clientId, @session, @exerciseId, @fromClient, @text, @key, @now
            WHERE EXISTS (SELECT 1 FROM client WHERE id = @clientId AND coach_id = @coachId)
            ON CONFLICT (client_id, key) DO NOTHING
            """,
            new
            {
                coachId,
                clientId,
                session,
                exerciseId,
                fromClient,
                text,
                key,
                now = Timestamps.Write(clock.GetUtcNow()),
            }
        );
        return Notes(connection, "client_id = @clientId AND key = @key", new { clientId, key }).SingleOrDefault();
    }

    /// <summary>The notes of a client, oldest first.</summary>
    public IReadOnlyList<ClientAppNote> Notes(long coachId, long clientId)
    {
        using var connection = database.Open();
        return Notes(connection, "coach_id = @coachId AND client_id = @clientId", new { coachId, clientId });
    }

    /// <summary>Notes of clients that the coach has not read, oldest first. One that came before its session waits for it.</summary>
    public IReadOnlyList<ClientAppNote> UnreadNotes(long coachId)
    {
        using var connection = database.Open();
        return Notes(
            connection,
            $"id IN (SELECT n.id FROM floor_note n JOIN floor_session f ON {OfSession} WHERE n.coach_id = @coachId AND {Unread})",
            new { coachId }
        );
    }

    /// <summary>The client has read what the coach wrote.</summary>
    public void ReadByClient(long clientId)
    {
        using var connection = database.Open();
        connection.Execute(
            "UPDATE floor_note SET seen_at = @now WHERE client_id = @clientId AND from_client = 0 AND seen_at IS NULL",
            new { clientId, now = Timestamps.Write(clock.GetUtcNow()) }
        );
    }

    private (long? Id, long? Revision, bool Differs) ToLog(
        SqliteConnection connection,
        SqliteTransaction transaction,
        long coachId,
        long planId,
        Row? before,
        SessionRecord? logged
    )
    {
        if (logged is null)
        {
            return (before?.SessionId, before?.SessionRevision, before?.Differs is > 0);
        }

        // By the session's own key: it stands in the log once, whatever it was in between, finished, gone on with, finished without a set.
        if (before is null or { SessionId: null, SessionRevision: null })
        {
            return (logs.Insert(connection, transaction, coachId, planId, logged), 1, false);
        }

        // Taken out or changed by the coach: what the coach did stands.
        return
            before.SessionId is { } id
            && LogStore.Replace(connection, transaction, coachId, id, (int)(before.SessionRevision ?? 0), logged) is { } revision
            ? (id, revision, false)
            : (before.SessionId, before.SessionRevision, true);
    }

    private static Row? Find(SqliteConnection connection, long clientId, string key) =>
        connection.QuerySingleOrDefault<Row>(
            $"SELECT {Columns} FROM floor_session f WHERE f.client_id = @clientId AND f.key = @key",
            new { clientId, key }
        );

    private List<ClientAppRecord> Read(string which, long coachId, long owner, DateOnly? since)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<Row>(
                    $"SELECT {Columns} FROM floor_session f WHERE {which}",
                    new
                    {
                        coachId,
                        owner,
                        since = since?.ToString("O", CultureInfo.InvariantCulture),
                    }
                )
                .Select(r => r.ToRecord()),
        ];
    }

    private static List<ClientAppNote> Notes(SqliteConnection connection, string which, object asked) =>
        [
            .. connection
                .Query<(
                    long Id,
                    long ClientId,
                    string Session,
                    string? ExerciseId,
                    long FromClient,
                    string Text,
                    string At,
                    string? SeenAt
                )>(
                    $"SELECT id, client_id, session_key, exercise_id, from_client, text, at, seen_at FROM floor_note WHERE {which} ORDER BY id",
                    asked
                )
                .Select(n => new ClientAppNote(
                    n.Id,
                    n.ClientId,
                    n.Session,
                    n.ExerciseId,
                    n.FromClient != 0,
                    n.Text,
                    Timestamps.Read(n.At),
                    n.SeenAt is null ? null : Timestamps.Read(n.SeenAt)
                )),
        ];
}
