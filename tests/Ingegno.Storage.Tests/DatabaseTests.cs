using Dapper;

namespace Ingegno.Storage.Tests;

public sealed class DatabaseTests : IDisposable
{
    private readonly TestDatabase _db = new();

    public void Dispose() => _db.Dispose();

    [Fact]
    public void Connections_have_the_settings_that_the_application_relies_on()
    {
        using var connection = _db.Database.Open();

        connection.ExecuteScalar<string>("PRAGMA journal_mode").ShouldBe("wal");
        connection.ExecuteScalar<long>("PRAGMA foreign_keys").ShouldBe(1);
        connection.ExecuteScalar<long>("PRAGMA synchronous").ShouldBe(2, "FULL");
        connection.ExecuteScalar<long>("PRAGMA busy_timeout").ShouldBeGreaterThan(0);
    }

    [Fact]
    public void Migrating_again_changes_nothing()
    {
        var id = _db.AddClient();
        _db.Database.Migrate();

        _db.Clients.Find(_db.Coach, id).ShouldNotBeNull();
    }

    [Fact]
    public void A_database_of_a_newer_program_is_refused_with_what_to_do()
    {
        using (var connection = _db.Database.Open())
        {
            connection.Execute(
                "INSERT INTO SchemaVersions (ScriptName, Applied) VALUES ('Ingegno.Storage.Migrations.9999_future.sql', '2030-01-01')"
            );
        }

        var refused = Should.Throw<StartException>(() => _db.Database.Migrate());
        refused.ExitCode.ShouldBe(StartException.Newer);
        refused.Message.ShouldContain("9999_future.sql");
        refused.Message.ShouldContain("backup");
    }

    [Fact]
    public void Every_table_that_holds_a_coachs_rows_carries_the_coach()
    {
        using var connection = _db.Database.Open();
        var tables = connection
            .Query<string>(
                "SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%' AND name NOT IN ('SchemaVersions', 'coach')"
            )
            .ToList();

        tables.Count.ShouldBeGreaterThan(5);
        foreach (var table in tables)
        {
            connection.Query<string>($"SELECT name FROM pragma_table_info('{table}')").ShouldContain("coach_id", table);
        }
    }

    [Fact]
    public void A_row_cannot_belong_to_one_coach_and_hang_on_a_client_of_another()
    {
        var client = _db.AddClient();
        using var connection = _db.Database.Open();

        Should.Throw<Microsoft.Data.Sqlite.SqliteException>(() =>
            connection.Execute(
                "INSERT INTO place (coach_id, client_id, revision, name, document, updated_at) VALUES (@coach, @client, 1, 'x', '{}', 'now')",
                new { coach = _db.Other, client }
            )
        );
    }

    [Fact]
    public void A_plan_version_can_never_be_rewritten()
    {
        var plan = _db.AddPlan();
        using var connection = _db.Database.Open();

        Should
            .Throw<Microsoft.Data.Sqlite.SqliteException>(() =>
                connection.Execute("UPDATE plan_version SET document = '{}' WHERE plan_id = @Id", new { plan.Id })
            )
            .Message.ShouldContain("immutable");
    }

    [Fact]
    public void Only_one_first_coach_can_be_made()
    {
        _db.Coaches.AddFirst("second@boathouse.example", "Second", "hash").ShouldBeNull();
        _db.Coaches.Find("LENA@boathouse.example").ShouldNotBeNull("addresses do not care for case");
    }
}
