using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.HomePlans;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>What a version of a plan holds: what was asked, and what came of it.</summary>
public sealed record PlanDocument(string Title, RebuildRequest Request, HomePlan Plan);

/// <summary>A plan at its current version.</summary>
/// <param name="ClientId">Whose plan.</param>
/// <param name="PlaceId">Place it was made for; null when that was deleted.</param>
/// <param name="GymWeekId">Gym week it was made from; null when that was deleted.</param>
/// <param name="Version">Number of the current version, 1 first.</param>
/// <param name="Versions">How many versions there are.</param>
/// <param name="CanUndo">There is a version before.</param>
/// <param name="CanRedo">There is a version that was undone.</param>
/// <param name="Document">The current version.</param>
public sealed record PlanRecord(
    long ClientId,
    long? PlaceId,
    long? GymWeekId,
    int Version,
    int Versions,
    bool CanUndo,
    bool CanRedo,
    PlanDocument Document
);

/// <summary>A plan in a list.</summary>
public sealed record PlanSummary(
    long Id,
    long ClientId,
    string Title,
    int Version,
    DateTimeOffset UpdatedAt,
    long? PlaceId = null,
    long? GymWeekId = null
);

/// <summary>Plans as immutable versions with a head that undo and redo move.</summary>
public sealed class PlanStore(Database database, TimeProvider clock)
{
    private const string ParentOfHead = "(SELECT parent FROM plan_version WHERE plan_id = p.id AND number = p.head)";
    private const string NewestChild = "(SELECT max(number) FROM plan_version WHERE plan_id = p.id AND parent = p.head)";

    /// <summary>Which plan was worked on last is counted, for a clock may be set back.</summary>
    private const string NextTouch = "(SELECT coalesce(max(touched), 0) + 1 FROM plan)";

    // Properties, not constructor parameters: SQLite does not type a computed column that is null.
    private sealed class Row
    {
        public long Id { get; init; }

        public long Revision { get; init; }

        public long ClientId { get; init; }

        public long? PlaceId { get; init; }

        public long? GymWeekId { get; init; }

        public long Head { get; init; }

        public long Versions { get; init; }

        public long? Parent { get; init; }

        public long? Child { get; init; }

        public string Document { get; init; } = string.Empty;

        public string UpdatedAt { get; init; } = string.Empty;
    }

    /// <summary>Plans of a coach or of one client, the one worked on last first.</summary>
    public IReadOnlyList<PlanSummary> List(long coachId, long? clientId = null)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<(long Id, long ClientId, string Title, long Head, string UpdatedAt, long? PlaceId, long? GymWeekId)>(
                    """
                    SELECT id, client_id, title, head, updated_at, place_id, gym_week_id FROM plan
                    WHERE coach_id = @coachId AND (@clientId IS NULL OR client_id = @clientId)
                    ORDER BY touched DESC, id DESC
                    """,
                    new { coachId, clientId }
                )
                .Select(r => new PlanSummary(r.Id, r.ClientId, r.Title, (int)r.Head, Timestamps.Read(r.UpdatedAt), r.PlaceId, r.GymWeekId)),
        ];
    }

    public Saved<PlanRecord>? Find(long coachId, long id)
    {
        using var connection = database.Open();
        return Find(connection, coachId, id);
    }

    /// <summary>A version of a plan; null when there is none of that number.</summary>
    public PlanDocument? FindVersion(long coachId, long id, int number)
    {
        using var connection = database.Open();
        return
            connection.QuerySingleOrDefault<string>(
                "SELECT unpacked(document) FROM plan_version WHERE plan_id = @id AND coach_id = @coachId AND number = @number",
                new
                {
                    coachId,
                    id,
                    number,
                }
            )
                is { } document
            ? JsonSerializer.Deserialize<PlanDocument>(document, RulesJson.Lenient)
            : null;
    }

    /// <summary>All versions of a plan by their number.</summary>
    public IReadOnlyList<PlanVersionInFile> Versions(long coachId, long id)
    {
        using var connection = database.Open();
        return
        [
            .. connection
                .Query<(long Number, long? Parent, string Note, string Document)>(
                    "SELECT number, parent, note, unpacked(document) FROM plan_version WHERE plan_id = @id AND coach_id = @coachId ORDER BY number",
                    new { coachId, id }
                )
                .Select(v => new PlanVersionInFile(
                    (int)v.Number,
                    (int?)v.Parent,
                    v.Note,
                    JsonSerializer.Deserialize<PlanDocument>(v.Document, RulesJson.Lenient)!
                )),
        ];
    }

    /// <summary>Adds a plan with its first version; null when client, place or gym week are not this coach's.</summary>
    public Saved<PlanRecord>? Add(long coachId, long clientId, long? placeId, long? gymWeekId, PlanDocument document, string? once = null)
    {
        ArgumentNullException.ThrowIfNull(document);
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var now = Timestamps.Write(clock.GetUtcNow());
        var content = $"plan {clientId} {placeId} {gymWeekId} {document.Title}"; // The rest rests on the logs of the moment.
        if (IdempotentWrites.Find(connection, transaction, coachId, once, content) is [var made])
        {
            return Find(connection, coachId, made);
        }

        var id = connection.ExecuteScalar<long?>(
            $"""
            INSERT INTO plan (coach_id, client_id, place_id, gym_week_id, title, revision, head, created_at, updated_at, touched)
            SELECT @coachId, @clientId, @placeId, @gymWeekId, @title, 1, 1, @now, @now, {NextTouch}
            WHERE EXISTS (SELECT 1 FROM client WHERE id = @clientId AND coach_id = @coachId)
              AND (@placeId IS NULL OR EXISTS (SELECT 1 FROM place WHERE id = @placeId AND client_id = @clientId))
              AND (@gymWeekId IS NULL OR EXISTS (SELECT 1 FROM gym_week WHERE id = @gymWeekId AND client_id = @clientId))
            RETURNING id
            """,
            new
            {
                coachId,
                clientId,
                placeId,
                gymWeekId,
                title = document.Title,
                now,
            },
            transaction
        );
        if (id is null)
        {
            return null;
        }

        AddVersion(connection, transaction, coachId, id.Value, 1, null, "first version", document, now);
        IdempotentWrites.Note(connection, transaction, coachId, once, content, [id.Value], clock.GetUtcNow());
        transaction.Commit();
        return Find(connection, coachId, id.Value);
    }

    /// <summary>
    /// Writes a new version on top of the one the coach saw. What stands there already is done, whatever the revision: a write whose
    /// answer was lost may be sent again.
    /// </summary>
    public Written<PlanRecord> Save(long coachId, long id, int revision, string note, PlanDocument document)
    {
        ArgumentNullException.ThrowIfNull(document);
        var written = Move(
            coachId,
            id,
            revision,
            (connection, transaction, row, now) =>
            {
                var number = (int)row.Versions + 1;
                AddVersion(connection, transaction, coachId, id, number, (int)row.Head, note, document, now);
                connection.Execute("UPDATE plan SET title = @title WHERE id = @id", new { id, title = document.Title }, transaction);
                return number;
            }
        );
        return written is { Outcome: WriteOutcome.Conflict, Current: { } current } && Write(current.Value.Document) == Write(document)
            ? written with
            {
                Outcome = WriteOutcome.Done,
            }
            : written;
    }

    private static string Write(PlanDocument document) => JsonSerializer.Serialize(document, RulesJson.Lenient);

    /// <summary>Goes back to the version before; a plan at its first version stays where it is.</summary>
    public Written<PlanRecord> Undo(long coachId, long id, int revision) => Move(coachId, id, revision, (_, _, row, _) => (int?)row.Parent);

    /// <summary>Goes forward to the version that was undone last.</summary>
    public Written<PlanRecord> Redo(long coachId, long id, int revision) => Move(coachId, id, revision, (_, _, row, _) => (int?)row.Child);

    public bool Delete(long coachId, long id)
    {
        using var connection = database.Open();
        return connection.Execute("DELETE FROM plan WHERE coach_id = @coachId AND id = @id", new { coachId, id }) == 1;
    }

    private Written<PlanRecord> Move(
        long coachId,
        long id,
        int revision,
        Func<SqliteConnection, SqliteTransaction, Row, string, int?> target
    )
    {
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var row = Read(connection, coachId, id);
        if (row is null)
        {
            return new Written<PlanRecord>(WriteOutcome.NotFound, null);
        }

        if (row.Revision != revision)
        {
            return new Written<PlanRecord>(WriteOutcome.Conflict, ToSaved(row));
        }

        var now = Timestamps.Write(clock.GetUtcNow());
        if (target(connection, transaction, row, now) is { } head)
        {
            connection.Execute(
                $"UPDATE plan SET head = @head, revision = revision + 1, updated_at = @now, touched = {NextTouch} WHERE id = @id AND coach_id = @coachId",
                new
                {
                    coachId,
                    id,
                    head,
                    now,
                },
                transaction
            );
            transaction.Commit();
        }
        else
        {
            transaction.Rollback();
        }

        return new Written<PlanRecord>(WriteOutcome.Done, Find(connection, coachId, id));
    }

    internal static void AddVersion(
        SqliteConnection connection,
        SqliteTransaction transaction,
        long coachId,
        long planId,
        int number,
        int? parent,
        string note,
        PlanDocument document,
        string now
    ) =>
        connection.Execute(
            """
            INSERT INTO plan_version (plan_id, coach_id, number, parent, note, document, created_at)
            VALUES (@planId, @coachId, @number, @parent, @note, @document, @now)
            """,
            new
            {
                planId,
                coachId,
                number,
                parent,
                note,
                document = PackedDocuments.Pack(document),
                now,
            },
            transaction
        );

    private static Saved<PlanRecord>? Find(SqliteConnection connection, long coachId, long id) =>
        Read(connection, coachId, id) is { } row ? ToSaved(row) : null;

    private static Row? Read(SqliteConnection connection, long coachId, long id) =>
        connection.QuerySingleOrDefault<Row>(
            $"""
            SELECT p.id AS Id, p.revision AS Revision, p.client_id AS ClientId, p.place_id AS PlaceId, p.gym_week_id AS GymWeekId, p.head AS Head,
                   (SELECT max(number) FROM plan_version WHERE plan_id = p.id) AS Versions,
                   {ParentOfHead} AS Parent, {NewestChild} AS Child, unpacked(v.document) AS Document, p.updated_at AS UpdatedAt
            FROM plan p JOIN plan_version v ON v.plan_id = p.id AND v.number = p.head
            WHERE p.coach_id = @coachId AND p.id = @id
            """,
            new { coachId, id }
        );

    private static Saved<PlanRecord> ToSaved(Row row) =>
        new(
            row.Id,
            (int)row.Revision,
            new PlanRecord(
                row.ClientId,
                row.PlaceId,
                row.GymWeekId,
                (int)row.Head,
                (int)row.Versions,
                row.Parent is not null,
                row.Child is not null,
                JsonSerializer.Deserialize<PlanDocument>(row.Document, RulesJson.Lenient)!
            ),
            Timestamps.Read(row.UpdatedAt)
        );
}
