using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage.Tests;

public sealed class BackupTests : IDisposable
{
    private readonly TestDatabase _db = new();

    private string Folder => Path.Combine(Path.GetDirectoryName(_db.Database.File)!, "backups");

    public void Dispose() => _db.Dispose();

    [Fact]
    public async Task A_backup_taken_while_others_write_is_whole_and_comes_back_row_by_row()
    {
        _db.AddPlan();
        using var stop = new CancellationTokenSource();
        var writing = Task.Run(() =>
        {
            while (!stop.IsCancellationRequested)
            {
                _db.AddClient();
            }
        });
        var made = Backups().Make(Path.Combine(Folder, "under-load.db"));
        await stop.CancelAsync();
        await writing;

        var rows = Rows(made);
        rows["plan_version"].Count.ShouldBe(1);
        rows["client"].Count.ShouldBeGreaterThan(0);
        File.GetUnixFileMode(made).ShouldBe(UnixFileMode.UserRead | UnixFileMode.UserWrite);
        var before = Backups().Restore(made)!;
        foreach (var (table, stored) in Rows(_db.Database.File))
        {
            stored.ShouldBe(rows[table], table);
        }

        Rows(before)["client"].Count.ShouldBeGreaterThanOrEqualTo(rows["client"].Count, "what stood there is kept");
        _db.Clients.List(_db.Coach).Count.ShouldBe(rows["client"].Count);
    }

    [Fact]
    public void What_is_no_whole_database_is_not_restored()
    {
        _db.AddClient();
        var backups = Backups();
        var made = backups.Make(Path.Combine(Folder, "good.db"));
        var half = Path.Combine(Folder, "half.db");
        File.WriteAllBytes(half, File.ReadAllBytes(made)[..20_000]);
        var empty = Path.Combine(Folder, "empty.db");
        File.WriteAllBytes(empty, []);

        Should.Throw<StartException>(() => backups.Restore(half)).ExitCode.ShouldBe(StartException.Damaged);
        Should.Throw<StartException>(() => backups.Restore(empty)).ExitCode.ShouldBe(StartException.Damaged);
        Should.Throw<StartException>(() => backups.Restore(Path.Combine(Folder, "none.db"))).ExitCode.ShouldBe(StartException.NoSuchFile);
        _db.Clients.List(_db.Coach).Count.ShouldBe(1);
    }

    [Fact]
    public void A_damaged_database_is_told_as_such_and_a_backup_brings_it_back()
    {
        _db.AddClient();
        var backups = Backups();
        var made = backups.Make(Path.Combine(Folder, "good.db"));
        SqliteConnection.ClearAllPools();
        File.WriteAllBytes(_db.Database.File, new byte[5000]);
        Should.Throw<StartException>(() => _db.Database.Migrate()).ExitCode.ShouldBe(StartException.Damaged);
        File.WriteAllBytes(_db.Database.File, []);
        Should.Throw<StartException>(() => _db.Database.Migrate()).Message.ShouldContain("0 bytes");

        backups.Restore(made);

        _db.Database.Migrate();
        _db.Clients.List(_db.Coach).Count.ShouldBe(1);
    }

    [Fact]
    public void A_document_that_nobody_can_read_is_found()
    {
        var client = _db.AddClient();
        DatabaseCheck.FindFaults(_db.Database.File).ShouldBeEmpty();
        using (var connection = _db.Database.Open())
        {
            connection.Execute("UPDATE client SET document = '{\"name\":1}' WHERE id = @client", new { client });
        }

        DatabaseCheck.FindFaults(_db.Database.File).ShouldHaveSingleItem().ShouldContain($"row {client} of client");
    }

    [Fact]
    public void Of_a_year_of_nights_the_rule_keeps_seven_days_and_five_weeks_and_nothing_older()
    {
        var now = new DateTimeOffset(2026, 12, 31, 3, 0, 0, TimeSpan.Zero);
        var all = Enumerable.Range(0, 365).Select(d => new Backup($"{d}", now.AddDays(-d), 1)).ToList();

        var kept = Ingegno.Storage.Backups.Kept(all, now).OrderByDescending(b => b.At).ToList();

        kept.Take(7).Select(b => b.Name).ShouldBe(["0", "1", "2", "3", "4", "5", "6"]);
        kept.Count.ShouldBeInRange(10, 12);
        kept.ShouldAllBe(b => b.At > now.AddDays(-Ingegno.Storage.Backups.ForgottenAfterDays));
    }

    [Fact]
    public void The_nightly_backup_is_made_once_a_day()
    {
        _db.AddClient();
        string? Night(int day) =>
            new Backups(_db.Database, Folder, new FixedClock(new DateTimeOffset(2026, 3, day, 3, 0, 0, TimeSpan.Zero))).MakeWhenDue();

        Night(1).ShouldNotBeNull();
        Night(1).ShouldBeNull();
        Night(2).ShouldNotBeNull();
        Backups().List().Count.ShouldBe(2);
    }

    [Fact]
    public void What_is_erased_is_found_nowhere_in_the_files()
    {
        const string Secret = "Quillfeather-Marrowby";
        var id = _db.Clients.Add(_db.Coach, TestDatabase.Client(Secret)).Id;
        var stored = _db.Clients.Find(_db.Coach, id)!;
        _db.Clients.Update(_db.Coach, id, stored.Revision, stored.Value with { Note = Secret + new string('x', 20_000) });
        _db.Clients.Delete(_db.Coach, id).ShouldBeTrue();

        _db.Database.Forget();

        foreach (var file in Directory.EnumerateFiles(Path.GetDirectoryName(_db.Database.File)!))
        {
            using var stream = new FileStream(file, FileMode.Open, FileAccess.Read, FileShare.ReadWrite);
            using var reader = new StreamReader(stream, System.Text.Encoding.Latin1);
            reader.ReadToEnd().ShouldNotContain(Secret, Case.Insensitive, file);
        }
    }

    private Backups Backups() => new(_db.Database, Folder, FixedClock.Monday);

    /// <summary>Every row of every table, as text.</summary>
    private static Dictionary<string, List<string>> Rows(string file)
    {
        using var connection = new SqliteConnection($"Data Source={file};Pooling=False");
        connection.Open();
        return connection
            .Query<string>("SELECT name FROM sqlite_master WHERE type = 'table' AND name NOT LIKE 'sqlite_%'")
            .ToDictionary(
                t => t,
                t =>
                    connection
                        .Query($"SELECT * FROM {t}")
                        .Select(r => string.Join('|', ((IDictionary<string, object>)r).Values.Select(InText)))
                        .ToList()
            );
    }

    /// <summary>Packed documents byte by byte.</summary>
    private static object InText(object value) => value is byte[] packed ? Convert.ToHexString(packed) : value;
}
