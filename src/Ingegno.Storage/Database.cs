using System.Data;
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

    /// <summary>An open connection: WAL, foreign keys on, waits five seconds for a lock, syncs fully.</summary>
    public SqliteConnection Open()
    {
        var connection = new SqliteConnection(_connectionString);
        connection.Open();
        connection.Execute("PRAGMA busy_timeout = 5000; PRAGMA synchronous = FULL;");
        return connection;
    }

    /// <summary>Brings the file up to the program's schema.</summary>
    /// <exception cref="NewerDatabaseException">The file was written by a newer program.</exception>
    /// <exception cref="InvalidOperationException">A migration failed; the file is as it was before that migration.</exception>
    public void Migrate()
    {
        Directory.CreateDirectory(Path.GetDirectoryName(File)!);
        using (var connection = Open())
        {
            connection.Execute("PRAGMA journal_mode = WAL;");
            RefuseNewer(connection);
        }

        var result = DeployChanges
            .To.SqliteDatabase(_connectionString)
            .WithScriptsEmbeddedInAssembly(typeof(Database).Assembly)
            .WithTransactionPerScript()
            .LogToNowhere()
            .Build()
            .PerformUpgrade();
        if (!result.Successful)
        {
            throw new InvalidOperationException($"The migration {result.ErrorScript?.Name} of {File} failed.", result.Error);
        }
    }

    private void RefuseNewer(SqliteConnection connection)
    {
        var known = typeof(Database).Assembly.GetManifestResourceNames();
        if (connection.ExecuteScalar<long>("SELECT count(*) FROM sqlite_master WHERE name = 'SchemaVersions'") == 0)
        {
            return;
        }

        var unknown = connection.Query<string>("SELECT ScriptName FROM SchemaVersions ORDER BY ScriptName").Except(known).FirstOrDefault();
        if (unknown is not null)
        {
            throw new NewerDatabaseException(File, unknown);
        }
    }
}

/// <summary>The database file was written by a newer program than this one.</summary>
public sealed class NewerDatabaseException(string file, string script)
    : Exception(
        $"The database {file} was written by a newer Ingegno (it contains {script}). Start that version, or restore a backup made before the update; nothing was changed."
    );
