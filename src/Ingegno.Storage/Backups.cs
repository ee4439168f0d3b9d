using System.Globalization;
using System.Text.RegularExpressions;
using Dapper;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>A backup in the folder.</summary>
/// <param name="Name">File name.</param>
/// <param name="At">When it was made.</param>
/// <param name="Bytes">How large it is.</param>
public sealed record Backup(string Name, DateTimeOffset At, long Bytes);

/// <summary>
/// Backups of the running database: consistent whatever is written meanwhile, opened and checked before they count, and forgotten by a
/// keep rule.
/// </summary>
public sealed partial class Backups(Database database, string folder, TimeProvider clock)
{
    /// <summary>Newest backup of so many days is kept.</summary>
    public const int Days = 7;

    /// <summary>And of so many weeks.</summary>
    public const int Weeks = 5;

    /// <summary>Copies made before a migration or a restore that are kept.</summary>
    public const int Before = 3;

    /// <summary>After so many days everything that was erased is gone from the backups, too.</summary>
    public const int ForgottenAfterDays = Weeks * 7;

    private const string Nightly = "ingegno-";
    private const string Stamp = "yyyyMMdd-HHmmss";

    public string Folder { get; } = Path.GetFullPath(folder);

    /// <summary>Those of the nightly rule, newest first.</summary>
    public IReadOnlyList<Backup> List() =>
        !Directory.Exists(Folder)
            ? []
            :
            [
                .. Directory
                    .EnumerateFiles(Folder, Nightly + "*.db")
                    .Select(f => new FileInfo(f))
                    .Select(f => (File: f, At: Read(f.Name)))
                    .Where(f => f.At is not null)
                    .OrderByDescending(f => f.At)
                    .Select(f => new Backup(f.File.Name, f.At!.Value, f.File.Length)),
            ];

    /// <summary>Makes the backup of a night and forgets what the rule no longer keeps; null when the newest is younger than a day.</summary>
    /// <exception cref="StartException">The copy is not whole; it is thrown away.</exception>
    public string? MakeWhenDue()
    {
        var now = clock.GetUtcNow();
        if (List().Any(b => b.At > now.AddDays(-1).AddMinutes(5) && b.At <= now))
        {
            return null;
        }

        var made = Make(Path.Combine(Folder, Nightly + now.ToString(Stamp, CultureInfo.InvariantCulture) + ".db"));
        foreach (var old in List().Except(Kept(List(), now)))
        {
            File.Delete(Path.Combine(Folder, old.Name));
        }

        return made;
    }

    /// <summary>
    /// Forgets copies of every kind, those before a migration or a restore among them, once they are older than what was promised to whoever
    /// was erased.
    /// </summary>
    public void ForgetOld()
    {
        if (!Directory.Exists(Folder))
        {
            return;
        }

        var oldest = clock.GetUtcNow().AddDays(-ForgottenAfterDays);
        foreach (var file in Directory.EnumerateFiles(Folder, "*.db*").Where(f => MadeAt(f) <= oldest).ToList())
        {
            File.Delete(file);
        }
    }

    [GeneratedRegex("[0-9]{8}-[0-9]{6}")]
    private static partial Regex StampIn();

    /// <summary>When a copy was made, by its name; null for a file with another one, which somebody put there.</summary>
    private static DateTimeOffset? MadeAt(string file)
    {
        var name = Path.GetFileName(file);
        return
            StampIn().Match(name) is { Success: true } stamp
            && DateTimeOffset.TryParseExact(stamp.Value, Stamp, CultureInfo.InvariantCulture, DateTimeStyles.AssumeUniversal, out var at)
            ? at
            : null;
    }

    /// <summary>Those that the rule keeps: the newest of each of seven days, and of each of five weeks.</summary>
    public static IReadOnlyList<Backup> Kept(IReadOnlyList<Backup> all, DateTimeOffset now)
    {
        static DateTime Week(DateTimeOffset at) => at.UtcDateTime.Date.AddDays(-(((int)at.UtcDateTime.DayOfWeek + 6) % 7));
        var days = all.GroupBy(b => b.At.UtcDateTime.Date).OrderByDescending(g => g.Key).Take(Days);
        var weeks = all.GroupBy(b => Week(b.At)).OrderByDescending(g => g.Key).Take(Weeks);
        return
        [
            .. days.Select(g => g.MaxBy(b => b.At)!)
                .Union(weeks.Select(g => g.MaxBy(b => b.At)!))
                .Where(b => b.At > now.AddDays(-ForgottenAfterDays)),
        ];
    }

    /// <summary>A copy before something that may go wrong; the newest three of each kind stay.</summary>
    /// <param name="what">A word for the name of the file, for instance <c>migration</c>.</param>
    public string MakeBefore(string what)
    {
        var made = Make(
            Path.Combine(Folder, $"before-{what}-{clock.GetUtcNow().ToString(Stamp + "-fff", CultureInfo.InvariantCulture)}.db")
        );
        foreach (var old in Directory.EnumerateFiles(Folder, $"before-{what}-*.db").OrderDescending(StringComparer.Ordinal).Skip(Before))
        {
            File.Delete(old);
        }

        return made;
    }

    /// <summary>Copies the database, as it stands at one moment, into a file; the file appears only when it is whole.</summary>
    /// <returns>The path of the file.</returns>
    /// <exception cref="StartException">It cannot be written, or the copy is not whole.</exception>
    public string Make(string file)
    {
        var path = Path.GetFullPath(file);
        var part = path + ".part";
        try
        {
            DataFolder.Create(Path.GetDirectoryName(path)!);
            File.Delete(part);
            using (
                new FileStream(
                    part,
                    new FileStreamOptions
                    {
                        Mode = FileMode.CreateNew,
                        Access = FileAccess.Write,
                        UnixCreateMode = DataFolder.OwnFile,
                    }
                )
            ) { }

            using (var from = database.Open())
            using (var to = new SqliteConnection(At(part)))
            {
                to.Open();
                from.BackupDatabase(to);
                to.Execute("PRAGMA journal_mode = DELETE;"); // One file, without helpers beside it.
            }

            var faults = DatabaseCheck.FindFaults(part);
            if (faults.Count > 0)
            {
                throw new StartException(StartException.Damaged, $"The backup is not whole and was thrown away: {faults[0]}");
            }

            File.Move(part, path, overwrite: true);
            return path;
        }
        catch (SqliteException e) when (StartException.From(e, part) is { } known)
        {
            throw known;
        }
        catch (Exception e) when (e is UnauthorizedAccessException or IOException)
        {
            throw new StartException(StartException.FolderNotWritable, $"The backup {path} cannot be written: {e.Message}", e);
        }
        finally
        {
            File.Delete(part);
        }
    }

    /// <summary>
    /// Puts a backup in the place of the database; no server may run. What stood there is kept beside the backups.
    /// </summary>
    /// <returns>Where what stood there before is kept; null when nothing stood there.</returns>
    /// <exception cref="StartException">There is no such file, or it is not whole; nothing was changed.</exception>
    public string? Restore(string file)
    {
        var path = Path.GetFullPath(file);
        if (!File.Exists(path))
        {
            throw new StartException(StartException.NoSuchFile, $"There is no file {path}.");
        }

        var faults = DatabaseCheck.FindFaults(path);
        if (faults.Count > 0)
        {
            throw new StartException(StartException.Damaged, $"{path} cannot be restored, nothing was changed: {faults[0]}");
        }

        SqliteConnection.ClearAllPools();
        var stood = Aside();
        var part = database.File + ".restoring";
        File.Copy(path, part, overwrite: true);
        File.SetUnixFileMode(part, DataFolder.OwnFile);
        foreach (var helper in new[] { "-wal", "-shm" })
        {
            File.Delete(database.File + helper);
        }

        File.Move(part, database.File, overwrite: true);
        return stood;
    }

    /// <summary>Keeps what stands: a whole database as a backup, a damaged one byte by byte.</summary>
    private string? Aside()
    {
        if (!File.Exists(database.File))
        {
            return null;
        }

        try
        {
            return MakeBefore("restore");
        }
        catch (StartException)
        {
            DataFolder.Create(Folder);
            var kept = Path.Combine(
                Folder,
                $"before-restore-{clock.GetUtcNow().ToString(Stamp + "-fff", CultureInfo.InvariantCulture)}-damaged.db"
            );
            foreach (var helper in new[] { string.Empty, "-wal" }.Where(h => File.Exists(database.File + h)))
            {
                File.Copy(database.File + helper, kept + helper, overwrite: true);
                File.SetUnixFileMode(kept + helper, DataFolder.OwnFile);
            }

            return kept;
        }
        finally
        {
            SqliteConnection.ClearAllPools();
        }
    }

    private static string At(string file) => new SqliteConnectionStringBuilder { DataSource = file, Pooling = false }.ToString();

    private static DateTimeOffset? Read(string name) =>
        DateTimeOffset.TryParseExact(
            Path.GetFileNameWithoutExtension(name)[Nightly.Length..],
            Stamp,
            CultureInfo.InvariantCulture,
            DateTimeStyles.AssumeUniversal,
            out var at
        )
            ? at
            : null;
}
