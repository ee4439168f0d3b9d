using Dapper;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Storage.Tests;

/// <summary>A real SQLite file of its own, with two coaches; gone after the test.</summary>
public sealed class TestDatabase : IDisposable
{
    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("ingegno-storage-");

    public TestDatabase()
    {
        Database = new Database(Path.Combine(_folder.FullName, "ingegno.db"));
        Database.Migrate();
        Coach = Coaches.AddFirst("lena@boathouse.example", "Lena", "hash")!.Id;
        using var connection = Database.Open();
        Other = connection.ExecuteScalar<long>(
            "INSERT INTO coach (email, name, password_hash, created_at) VALUES ('odd@elsewhere.example', 'Odd', 'hash', '2026-01-01') RETURNING id"
        );
    }

    public Database Database { get; }

    public long Coach { get; }

    /// <summary>A coach who must never see anything of the first one.</summary>
    public long Other { get; }

    public CoachStore Coaches => new(Database, FixedClock.Monday);

    public ClientStore Clients => new(Database, FixedClock.Monday);

    public PlaceStore Places => new(Database, FixedClock.Monday);

    public GymWeekStore Weeks => new(Database, FixedClock.Monday);

    public PlanStore Plans => new(Database, FixedClock.Monday);

    public LogStore Logs => new(Database, FixedClock.Monday);

    public static ClientRecord Client(string name = "Tamsin") =>
        new(name, new ClientProfile { Level = Level.Intermediate, Goal = Goal.Muscle });

    public static PlanDocument Plan(string title = "Day 1")
    {
        var request = new RebuildRequest
        {
            Client = new ClientProfile
            {
                Level = Level.Intermediate,
                Goal = Goal.Muscle,
                BodyMassKg = 80,
                StatureCm = 180,
            },
            Kit = new PlaceKit { Name = "Flat" },
            GymLines = ["Bench press 4x8", "Back squat 4x6"],
        };
        return new PlanDocument(title, request, new RebuildEngine(Core.Knowledge.Rules.DomainRules.Shipped).Rebuild(request).Plan);
    }

    public long AddClient() => Clients.Add(Coach, Client()).Id;

    public Saved<PlanRecord> AddPlan() => Plans.Add(Coach, AddClient(), null, null, Plan())!;

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        _folder.Delete(recursive: true);
    }
}
