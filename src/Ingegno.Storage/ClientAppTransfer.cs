using System.Collections.Immutable;
using System.Globalization;
using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.ClientApp;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>
/// What was sent to a client and what came back, on its way out with the client and in again. The link itself stays behind: its secret
/// belongs to one installation.
/// </summary>
internal static class ClientAppTransfer
{
    private sealed record ReleaseRow(long Id, long Number, long PlanVersion, string MadeAt, string Document);

    private sealed class SessionRow
    {
        public long ReleaseNumber { get; init; }

        public string Document { get; init; } = string.Empty;

        public string PerformedOn { get; init; } = string.Empty;

        public long ClockWasOff { get; init; }

        public long? SessionId { get; init; }

        public long ChangedSince { get; init; }

        public long Differs { get; init; }

        public string ReceivedAt { get; init; } = string.Empty;

        public string? SeenAt { get; init; }
    }

    private sealed record NoteRow(string Key, string Session, string? ExerciseId, long FromClient, string Text, string At, string? SeenAt);

    /// <summary>The releases of a plan, the first first.</summary>
    public static ImmutableArray<ReleaseInFile> Releases(SqliteConnection connection, long planId) =>
        [
            .. connection
                .Query<ReleaseRow>(
                    """
                    SELECT id AS Id, number AS Number, plan_version AS PlanVersion, made_at AS MadeAt, unpacked(document) AS Document
                    FROM plan_release WHERE plan_id = @planId ORDER BY number
                    """,
                    new { planId }
                )
                .Select(r => new ReleaseInFile((int)r.Number, (int)r.PlanVersion, Timestamps.Read(r.MadeAt), Read<Release>(r.Document))),
        ];

    /// <summary>The sessions that came from the phone, the first first.</summary>
    /// <param name="connection">The database.</param>
    /// <param name="planId">The plan.</param>
    /// <param name="logged">Keys of the sessions of its log in the order of the file.</param>
    public static ImmutableArray<ClientAppSessionInFile> Sessions(SqliteConnection connection, long planId, List<long> logged) =>
        [
            .. connection
                .Query<SessionRow>(
                    """
                    SELECT r.number AS ReleaseNumber, f.document AS Document, f.performed_on AS PerformedOn, f.clock_was_off AS ClockWasOff,
                           f.session_id AS SessionId, l.revision IS NOT f.session_revision AS ChangedSince, f.differs AS Differs,
                           f.received_at AS ReceivedAt, f.seen_at AS SeenAt
                    FROM floor_session f JOIN plan_release r ON r.id = f.release_id LEFT JOIN session_log l ON l.id = f.session_id
                    WHERE f.plan_id = @planId ORDER BY f.id
                    """,
                    new { planId }
                )
                .Select(f => new ClientAppSessionInFile(
                    Read<ClientAppSession>(f.Document) with
                    {
                        Release = f.ReleaseNumber,
                    },
                    Day(f.PerformedOn),
                    f.ClockWasOff != 0,
                    f.SessionId is { } id && logged.IndexOf(id) is var at and >= 0 ? at : null,
                    f.SessionId is not null && f.ChangedSince != 0,
                    f.Differs != 0,
                    Timestamps.Read(f.ReceivedAt),
                    Time(f.SeenAt)
                )),
        ];

    /// <summary>The notes between client and coach, the first first.</summary>
    public static ImmutableArray<NoteInFile> Notes(SqliteConnection connection, long clientId) =>
        [
            .. connection
                .Query<NoteRow>(
                    """
                    SELECT key AS Key, session_key AS Session, exercise_id AS ExerciseId, from_client AS FromClient, text AS Text, at AS At,
                           seen_at AS SeenAt
                    FROM floor_note WHERE client_id = @clientId ORDER BY id
                    """,
                    new { clientId }
                )
                .Select(n => new NoteInFile(
                    n.Key,
                    n.Session,
                    n.ExerciseId,
                    n.FromClient != 0,
                    n.Text,
                    Timestamps.Read(n.At),
                    Time(n.SeenAt)
                )),
        ];

    /// <summary>Brings in the releases of a plan and what was trained by them.</summary>
    /// <param name="into">Where to.</param>
    /// <param name="clientId">The client, as it came in.</param>
    /// <param name="planId">The plan, as it came in.</param>
    /// <param name="plan">What the file holds of it.</param>
    /// <param name="logged">Keys of its logged sessions, in the order of the file.</param>
    public static void Add(RowsIn into, long clientId, long planId, PlanInFile plan, List<long> logged)
    {
        var keys = plan.Releases.ToDictionary(r => (long)r.Number, r => Add(into, clientId, planId, r));
        foreach (var session in plan.PhoneSessions)
        {
            var release = keys[session.Session.Release];
            into.Connection.Execute(
                """
                INSERT INTO floor_session (coach_id, client_id, plan_id, release_id, key, phone_revision, performed_on, clock_was_off, finished, document, session_id, session_revision, differs, received_at, seen_at)
                VALUES (@Coach, @clientId, @planId, @release, @Key, @Revision, @day, @ClockWasOff, @Finished, @document, @log, @logRevision, @Differs, @received, @seen)
                """,
                new
                {
                    into.Coach,
                    clientId,
                    planId,
                    release,
                    session.Session.Key,
                    session.Session.Revision,
                    day = session.PerformedOn.ToString("O", CultureInfo.InvariantCulture),
                    session.ClockWasOff,
                    session.Session.Finished,
                    document = Write(session.Session with { Release = release }),
                    log = session.LoggedAs is { } at ? logged[at] : (long?)null,
                    logRevision = session.LoggedAs is null ? null
                    : session.ChangedSince ? 0
                    : (int?)1,
                    session.Differs,
                    received = Timestamps.Write(session.ReceivedAt),
                    seen = session.SeenAt is { } seen ? Timestamps.Write(seen) : null,
                },
                into.Transaction
            );
        }
    }

    /// <summary>Brings in notes.</summary>
    public static void Add(RowsIn into, long clientId, IEnumerable<NoteInFile> notes)
    {
        foreach (var note in notes)
        {
            into.Connection.Execute(
                """
                INSERT INTO floor_note (coach_id, client_id, session_key, exercise_id, from_client, text, key, at, seen_at)
                VALUES (@Coach, @clientId, @Session, @ExerciseId, @FromClient, @Text, @Key, @at, @seen)
                """,
                new
                {
                    into.Coach,
                    clientId,
                    note.Session,
                    note.ExerciseId,
                    note.FromClient,
                    note.Text,
                    note.Key,
                    at = Timestamps.Write(note.At),
                    seen = note.SeenAt is { } seen ? Timestamps.Write(seen) : null,
                },
                into.Transaction
            );
        }
    }

    private static long Add(RowsIn into, long clientId, long planId, ReleaseInFile release) =>
        into.Connection.ExecuteScalar<long>(
            """
            INSERT INTO plan_release (coach_id, client_id, plan_id, plan_version, number, document, made_at)
            VALUES (@Coach, @clientId, @planId, @PlanVersion, @Number, @document, @made)
            RETURNING id
            """,
            new
            {
                into.Coach,
                clientId,
                planId,
                release.PlanVersion,
                release.Number,
                document = PackedDocuments.Pack(release.Release),
                made = Timestamps.Write(release.MadeAt),
            },
            into.Transaction
        );

    private static DateTimeOffset? Time(string? text) => text is null ? null : Timestamps.Read(text);

    private static DateOnly Day(string text) => DateOnly.ParseExact(text, "O", CultureInfo.InvariantCulture);

    private static T Read<T>(string document) => JsonSerializer.Deserialize<T>(document, RulesJson.Lenient)!;

    private static string Write<T>(T value) => JsonSerializer.Serialize(value, RulesJson.Lenient);
}
