using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>A row of the practice's own that came in with a client.</summary>
/// <param name="Table">Its table.</param>
/// <param name="Id">Its key.</param>
public sealed record OwnRow(string Table, long Id);

/// <summary>The rows of one client on their way in.</summary>
internal sealed record RowsIn(SqliteConnection Connection, SqliteTransaction Transaction, long Coach, string Now)
{
    /// <summary>Adds what the practice does not have of its own under that key; the keys of the rows that were added.</summary>
    public IEnumerable<OwnRow> Missing(string table, IEnumerable<(string Name, string Path, string Key, string Document)> rows)
    {
        foreach (var (name, path, key, document) in rows)
        {
            var added = Connection.ExecuteScalar<long?>(
                $"""
                INSERT INTO {table} (coach_id, revision, name, document, updated_at)
                SELECT @Coach, 1, @name, @document, @Now
                WHERE NOT EXISTS (SELECT 1 FROM {table} WHERE coach_id = @Coach AND json_extract(document, @path) = @key COLLATE NOCASE)
                RETURNING id
                """,
                new
                {
                    Coach,
                    name,
                    document,
                    Now,
                    path,
                    key,
                },
                Transaction
            );
            if (added is { } id)
            {
                yield return new OwnRow(table, id);
            }
        }
    }

    public long Document(string table, long? client, string name, string document) =>
        Connection.ExecuteScalar<long>(
            $"""
            INSERT INTO {table} (coach_id, {(client is null ? string.Empty : "client_id,")} revision, name, document, updated_at)
            VALUES (@Coach, {(client is null ? string.Empty : "@client,")} 1, @name, @document, @Now)
            RETURNING id
            """,
            new
            {
                Coach,
                client,
                name,
                document,
                Now,
            },
            Transaction
        );

    public long Plan(long client, PlanInFile plan, long? place, long? week)
    {
        var id = Connection.ExecuteScalar<long>(
            """
            INSERT INTO plan (coach_id, client_id, place_id, gym_week_id, title, revision, head, created_at, updated_at, touched)
            VALUES (@Coach, @client, @place, @week, @Title, 1, @Head, @Now, @Now, (SELECT coalesce(max(touched), 0) + 1 FROM plan))
            RETURNING id
            """,
            new
            {
                Coach,
                client,
                place,
                week,
                plan.Title,
                plan.Head,
                Now,
            },
            Transaction
        );
        foreach (var version in plan.Versions)
        {
            PlanStore.AddVersion(Connection, Transaction, Coach, id, version.Number, version.Parent, version.Note, version.Document, Now);
        }

        return id;
    }
}
