using System.Globalization;

namespace Ingegno.Storage.Tests;

public sealed class DataFolderTests : IDisposable
{
    private readonly DirectoryInfo _folder = Directory.CreateTempSubdirectory("ingegno-folder-");

    public void Dispose()
    {
        Microsoft.Data.Sqlite.SqliteConnection.ClearAllPools();
        _folder.Delete(recursive: true);
    }

    [Fact]
    public void Two_servers_never_work_in_one_folder()
    {
        using (DataFolder.Take(_folder.FullName))
        {
            Should.Throw<StartException>(() => DataFolder.Take(_folder.FullName)).ExitCode.ShouldBe(StartException.FolderTaken);
        }

        using var after = DataFolder.Take(_folder.FullName);
        after.ShouldNotBeNull();
    }

    [Fact]
    public void Nobody_else_reads_the_files_also_where_an_older_version_left_them_open()
    {
        var old = Path.Combine(_folder.FullName, "old.db");
        File.WriteAllText(old, "x");
        File.SetUnixFileMode(old, UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.OtherRead | UnixFileMode.GroupRead);

        using var taken = DataFolder.Take(_folder.FullName);
        var database = new Database(Path.Combine(_folder.FullName, "ingegno.db"));
        database.Migrate();
        using var connection = database.Open();
        new CoachStore(database, FixedClock.Monday).AddFirst("a@b.example", "A", "hash");

        Mode(_folder.FullName).ShouldBe("700");
        var files = Directory.GetFiles(_folder.FullName);
        files.Length.ShouldBeGreaterThan(3, "database, log of writes, index of it, lock");
        files.ShouldAllBe(f => Mode(f) == "600");
    }

    [Fact]
    public void A_start_that_breaks_off_leaves_no_half_of_a_database()
    {
        var file = Path.Combine(_folder.FullName, "ingegno.db");
        File.WriteAllBytes(file + ".new", new byte[100]);
        var database = new Database(file);

        database.Migrate();

        new CoachStore(database, FixedClock.Monday).IsEmpty().ShouldBeTrue();
        File.Exists(file + ".new").ShouldBeFalse();
    }

    private static string Mode(string path) => Convert.ToString((int)File.GetUnixFileMode(path), 8).ToString(CultureInfo.InvariantCulture);
}
