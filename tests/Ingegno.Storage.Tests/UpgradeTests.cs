using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage.Tests;

/// <summary>A database of the first version is brought up with everything in it.</summary>
public sealed class UpgradeTests : IDisposable
{
    private const string First = "Ingegno.Storage.Migrations.0001_initial.sql";

    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("ingegno-upgrade-");

    public void Dispose()
    {
        SqliteConnection.ClearAllPools();
        _folder.Delete(recursive: true);
    }

    [Fact]
    public void Gym_days_of_the_first_version_become_weeks_and_plans_still_know_them()
    {
        var database = new Database(Path.Combine(_folder.FullName, "ingegno.db"));
        using (var connection = database.Open())
        {
            connection.Execute(Script(First));
            connection.Execute(
                """
                CREATE TABLE SchemaVersions (SchemaVersionID INTEGER CONSTRAINT pk PRIMARY KEY AUTOINCREMENT NOT NULL, ScriptName TEXT NOT NULL, Applied DATETIME NOT NULL);
                INSERT INTO SchemaVersions (ScriptName, Applied) VALUES (@First, '2026-11-01');
                INSERT INTO coach VALUES (1, 'lena@boathouse.example', 'Lena', 'hash', '2026-11-01T00:00:00Z');
                INSERT INTO client VALUES (1, 1, 1, 'Tamsin', '{"name":"Tamsin","profile":{"level":"novice","goal":"muscle"}}', '2026-11-01T00:00:00Z');
                INSERT INTO gym_day VALUES (1, 1, 1, 1, 'Day 1', '{"name":"Day 1","text":"Bench press 4x8"}', '2026-11-01T00:00:00Z');
                INSERT INTO plan VALUES (1, 1, 1, NULL, 1, 'Day 1, home', 1, 1, '2026-11-01T00:00:00Z', '2026-11-01T00:00:00Z');
                """,
                new { First }
            );
        }

        database.Migrate();
        var weeks = new GymWeekStore(database, FixedClock.Monday).List(1, 1);
        var plan = new PlanStore(database, FixedClock.Monday).List(1).ShouldHaveSingleItem();

        weeks.ShouldHaveSingleItem().Value.ShouldBe(new GymWeek("Day 1", "Bench press 4x8"));
        plan.GymWeekId.ShouldBe(1);
        using var after = database.Open();
        after.Execute("DELETE FROM gym_week WHERE id = 1");
        new PlanStore(database, FixedClock.Monday)
            .List(1)
            .ShouldHaveSingleItem()
            .GymWeekId.ShouldBeNull("the rule of the foreign key came along");
    }

    private static string Script(string name)
    {
        using var reader = new StreamReader(typeof(Database).Assembly.GetManifestResourceStream(name)!);
        return reader.ReadToEnd();
    }
}
