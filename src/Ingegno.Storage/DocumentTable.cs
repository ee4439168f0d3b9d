using System.Text.Json;
using Dapper;
using Ingegno.Core.Foundation.Text;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>
/// Shared SQL of aggregates kept as one JSON document per row: client, place, gym week. Optimistic concurrency by
/// revision; every statement names the coach.
/// </summary>
internal sealed class DocumentTable<T>(
    Database database,
    TimeProvider clock,
    string table,
    string? ownerColumn,
    string order = "name COLLATE NOCASE, id"
)
    where T : class
{
    private sealed record Row(long Id, long Revision, string Document, string UpdatedAt)
    {
        public Saved<T> ToSaved() =>
            new(Id, (int)Revision, JsonSerializer.Deserialize<T>(Document, RulesJson.Lenient)!, Timestamps.Read(UpdatedAt));
    }

    private const string Columns = "id AS Id, revision AS Revision, document AS Document, updated_at AS UpdatedAt";

    public IReadOnlyList<Saved<T>> List(long coachId, long? ownerId)
    {
        using var connection = database.Open();
        var owned = ownerId is null ? string.Empty : $"AND {ownerColumn} = @ownerId";
        return
        [
            .. connection
                .Query<Row>($"SELECT {Columns} FROM {table} WHERE coach_id = @coachId {owned} ORDER BY {order}", new { coachId, ownerId })
                .Select(r => r.ToSaved()),
        ];
    }

    public Saved<T>? Find(long coachId, long id)
    {
        using var connection = database.Open();
        return connection
            .QuerySingleOrDefault<Row>($"SELECT {Columns} FROM {table} WHERE coach_id = @coachId AND id = @id", new { coachId, id })
            ?.ToSaved();
    }

    /// <summary>Adds a row; null when the owner is not this coach's.</summary>
    /// <param name="coachId">The coach.</param>
    /// <param name="ownerId">The client that it belongs to; null when it is the practice's.</param>
    /// <param name="name">Name to sort by.</param>
    /// <param name="value">The document.</param>
    /// <param name="once">Key of the post: sent again, it gives the row that was made then.</param>
    public Saved<T>? Add(long coachId, long? ownerId, string name, T value, string? once = null) =>
        AddAll(coachId, ownerId, [(name, value)], once) is [var added] ? added : null;

    /// <summary>Adds rows, all or none; null when the owner is not this coach's.</summary>
    public IReadOnlyList<Saved<T>>? AddAll(long coachId, long? ownerId, IEnumerable<(string Name, T Value)> values, string? once = null)
    {
        var rows = values.ToList();
        var content = $"{table} {ownerId} {string.Concat(rows.Select(r => Write(r.Value)))}";
        using var connection = database.Open();
        using var transaction = connection.BeginTransaction();
        var added = IdempotentWrites.Find(connection, transaction, coachId, once, content)?.ToList();
        if (added is null)
        {
            added = [];
            foreach (var (name, value) in rows)
            {
                if (Insert(connection, transaction, coachId, ownerId, name, value) is not { } id)
                {
                    return null;
                }

                added.Add(id);
            }

            IdempotentWrites.Note(connection, transaction, coachId, once, content, added, clock.GetUtcNow());
        }

        transaction.Commit();
        return [.. added.Select(id => Find(coachId, id)).OfType<Saved<T>>()];
    }

    private long? Insert(SqliteConnection connection, SqliteTransaction? transaction, long coachId, long? ownerId, string name, T value)
    {
        var (column, parameter, guard) = ownerColumn is null
            ? (string.Empty, string.Empty, string.Empty)
            : ($"{ownerColumn},", "@ownerId,", "WHERE EXISTS (SELECT 1 FROM client WHERE id = @ownerId AND coach_id = @coachId)");
        return connection.ExecuteScalar<long?>(
            $"""
            INSERT INTO {table} (coach_id, {column} revision, name, document, updated_at)
            SELECT @coachId, {parameter} 1, @name, @document, @now {guard}
            RETURNING id
            """,
            new
            {
                coachId,
                ownerId,
                name,
                document = Write(value),
                now = Timestamps.Write(clock.GetUtcNow()),
            },
            transaction
        );
    }

    /// <summary>
    /// Changes a row if nobody else did since that revision. What stands there already is done, whatever the revision: a write whose
    /// answer was lost may be sent again.
    /// </summary>
    public Written<T> Update(long coachId, long id, int revision, string name, T value)
    {
        using var connection = database.Open();
        var document = Write(value);
        var changed = connection.Execute(
            $"""
            UPDATE {table} SET revision = revision + 1, name = @name, document = @document, updated_at = @now
            WHERE coach_id = @coachId AND id = @id AND revision = @revision
            """,
            new
            {
                coachId,
                id,
                revision,
                name,
                document,
                now = Timestamps.Write(clock.GetUtcNow()),
            }
        );
        var current = Find(coachId, id);
        return new Written<T>(
            current is null ? WriteOutcome.NotFound
                : changed == 1 || Write(current.Value) == document ? WriteOutcome.Done
                : WriteOutcome.Conflict,
            current
        );
    }

    public bool Delete(long coachId, long id)
    {
        using var connection = database.Open();
        return connection.Execute($"DELETE FROM {table} WHERE coach_id = @coachId AND id = @id", new { coachId, id }) == 1;
    }

    private static string Write(T value) => JsonSerializer.Serialize(value, RulesJson.Lenient);
}
