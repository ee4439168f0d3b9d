using Dapper;
using DbUp;
using DbUp.Engine;
using Microsoft.Data.Sqlite;

namespace Ingegno.Storage;

/// <summary>The SQLite file: opens connections with the settings the application relies on, and migrates at start.</summary>
public sealed class Database
{
    private readonly string _connectionString;

    /// <summary>A database in the given file, created when missing.</summary>
    public Database(string file)
    {
        ArgumentException.ThrowIfNullOrWhiteSpace(file);
        File = Path.GetFullPath(file);
        _connectionString = new SqliteConnectionStringBuilder
        {
            DataSource = File,
            ForeignKeys = true,
            Mode = SqliteOpenMode.ReadWriteCreate,
            DefaultTimeout = 5, // s; the library waits by itself as well, and thirty is its usual figure.
        }.ToString();
    }

    public string File { get; }

    /// <summary>
    /// An open connection: WAL, foreign keys on, waits five seconds for a lock, syncs fully, overwrites what is deleted.
    /// </summary>
    public SqliteConnection Open()
    {
        var connection = new SqliteConnection(_connectionString);
        connection.Open();
        connection.Execute("PRAGMA busy_timeout = 5000; PRAGMA synchronous = FULL; PRAGMA secure_delete = ON;");
        PackedDocuments.Register(connection);
        return connection;
    }

    /// <summary>Brings the file up to the program's schema.</summary>
    /// <param name="beforeChange">Called before a migration changes a file that holds something: the place for a backup.</param>
    /// <exception cref="StartException">
    /// The file is damaged, cannot be written, was written by a newer program, or a migration failed; it is as it was.
    /// </exception>
    public void Migrate(Action? beforeChange = null)
    {
        try
        {
            if (!System.IO.File.Exists(File))
            {
                Begin();
                return;
            }

            if (new FileInfo(File).Length == 0)
            {
                throw StartException.DamagedFile(File, "it is empty (0 bytes), and a new one never is");
            }

            using (var connection = Open())
            {
                connection.Execute("PRAGMA journal_mode = WAL;");
                if (connection.ExecuteScalar<string>("PRAGMA quick_check(1)") is var found and not "ok")
                {
                    throw StartException.DamagedFile(File, found ?? "unreadable");
                }

                RefuseNewer(connection);
            }

            var upgrader = Upgrader();
            if (upgrader.IsUpgradeRequired())
            {
                beforeChange?.Invoke();
                Upgrade(upgrader);
            }
        }
        catch (SqliteException e) when (StartException.From(e, File) is { } known)
        {
            throw known;
        }
    }

    /// <summary>Leaves nothing of what was deleted in the files: neither in free pages nor in the log of writes.</summary>
    public void Forget()
    {
        using var connection = Open();
        connection.Execute("PRAGMA wal_checkpoint(TRUNCATE);");
        connection.Execute("VACUUM;");
        connection.Execute("PRAGMA wal_checkpoint(TRUNCATE);");
    }

    /// <summary>Scripts that a database of this program has run.</summary>
    internal static IReadOnlyCollection<string> KnownScripts { get; } =
    [.. typeof(Database).Assembly.GetManifestResourceNames().Where(n => n.EndsWith(".sql", StringComparison.Ordinal))];

    /// <summary>A new database is made under another name: a start that breaks off leaves no half of one.</summary>
    private void Begin()
    {
        DataFolder.Create(Path.GetDirectoryName(File)!);
        var made = new Database(File + ".new");
        System.IO.File.Delete(made.File);
        using (
            new FileStream(
                made.File,
                new FileStreamOptions
                {
                    Mode = FileMode.CreateNew,
                    Access = FileAccess.Write,
                    UnixCreateMode = DataFolder.OwnFile, // SQLite gives its helpers the rights of the file.
                }
            )
        ) { }

        Upgrade(made.Upgrader());
        SqliteConnection.ClearPool(new SqliteConnection(made._connectionString));
        System.IO.File.Move(made.File, File);
        using var connection = Open();
        connection.Execute("PRAGMA journal_mode = WAL;");
    }

    private UpgradeEngine Upgrader() =>
        DeployChanges
            .To.SqliteDatabase(_connectionString)
            .WithScriptsEmbeddedInAssembly(typeof(Database).Assembly)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build();

    private void Upgrade(UpgradeEngine upgrader)
    {
        var result = upgrader.PerformUpgrade();
        if (!result.Successful)
        {
            throw result.Error is SqliteException e && StartException.From(e, File) is { } known
                ? known
                : new StartException(
                    StartException.MigrationFailed,
                    $"The migration {result.ErrorScript?.Name} of {File} failed: {result.Error.Message}",
                    result.Error
                );
        }
    }

    private void RefuseNewer(SqliteConnection connection)
    {
        if (connection.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = 'SchemaVersions'") == 0)
        {
            return;
        }

        var unknown = connection
            .Query<string>("SELECT ScriptName FROM SchemaVersions ORDER BY ScriptName")
            .Except(KnownScripts)
            .FirstOrDefault();
        if (unknown is not null)
        {
            throw new StartException(
                StartException.Newer,
                $"The database {File} was written by a newer Ingegno (it contains {unknown}). Start that version, or restore a backup made before the update; nothing was changed."
            );
        }
    }
}
