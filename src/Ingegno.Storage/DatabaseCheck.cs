using System.Text.Json;
using Dapper;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Progress.ClientApp;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>Whether a database file is whole: its pages, its references, and every document in it.</summary>
public static class DatabaseCheck
{
    /// <summary>What is wrong with the file, in words for whoever runs it; empty when nothing is. It is only read.</summary>
    public static IReadOnlyList<string> FindFaults(string file)
    {
        if (!File.Exists(file))
        {
            return [$"there is no file {file}"];
        }

        if (new FileInfo(file).Length == 0)
        {
            return ["the file is empty"];
        }

        try
        {
            using var connection = new SqliteConnection(
                new SqliteConnectionStringBuilder
                {
                    DataSource = file,
                    Mode = SqliteOpenMode.ReadOnly,
                    Pooling = false,
                }.ToString()
            );
            connection.Open();
            return [.. Faults(connection)];
        }
        catch (SqliteException e)
        {
            return [$"SQLite says: {e.Message}"];
        }
    }

    private static IEnumerable<string> Faults(SqliteConnection connection)
    {
        foreach (var fault in connection.Query<string>("PRAGMA integrity_check(5)").Where(f => f != "ok"))
        {
            yield return fault;
        }

        foreach (var row in connection.Query("PRAGMA foreign_key_check").Take(5))
        {
            yield return $"row {row.rowid} of {row.table} belongs to a row of {row.parent} that is not there";
        }

        if (connection.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = 'SchemaVersions'") == 0)
        {
            yield return "it holds no data of Ingegno";
            yield break;
        }

        var unknown = connection.Query<string>("SELECT ScriptName FROM SchemaVersions").Except(Database.KnownScripts).FirstOrDefault();
        if (unknown is not null)
        {
            yield return $"it was written by a newer Ingegno (it contains {unknown})";
            yield break;
        }

        foreach (
            var fault in Documents<ClientRecord>(connection, "client")
                .Concat(Documents<PlaceKit>(connection, "place"))
                .Concat(Documents<GymWeek>(connection, "gym_week"))
                .Concat(Documents<PlanDocument>(connection, "plan_version"))
                .Concat(Documents<Release>(connection, "plan_release"))
        )
        {
            yield return fault;
        }
    }

    private static IEnumerable<string> Documents<T>(SqliteConnection connection, string table)
    {
        if (connection.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = @table", new { table }) == 0)
        {
            yield break; // An older schema.
        }

        foreach (var (row, document) in connection.Query<(long, object)>($"SELECT rowid, document FROM {table}", buffered: false))
        {
            string? wrong = null;
            try
            {
                _ = JsonSerializer.Deserialize<T>(PackedDocuments.Unpacked(document) ?? string.Empty, RulesJson.Lenient);
            }
            catch (JsonException e)
            {
                wrong = $"the document in row {row} of {table} cannot be read ({e.Path})";
            }

            if (wrong is not null)
            {
                yield return wrong;
            }
        }
    }
}
