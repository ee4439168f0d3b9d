namespace Ingegno.Storage;

/// <summary>Why the program cannot start or do what it was told, in one line for whoever runs it, with the code it ends with.</summary>
public sealed class StartException(int exitCode, string message, Exception? inner = null) : Exception(message, inner)
{
    // docs/operating.md lists them for operators.
    public const int PortTaken = 3;
    public const int FolderNotWritable = 4;
    public const int DiskFull = 5;
    public const int Damaged = 6;
    public const int Newer = 7;
    public const int FolderTaken = 8;
    public const int MigrationFailed = 9;
    public const int NoSuchFile = 10;

    /// <summary>Code that the process ends with.</summary>
    public int ExitCode => exitCode;

    /// <summary>What an exception of SQLite means for a start; null when it is none that is foreseen.</summary>
    public static StartException? From(Microsoft.Data.Sqlite.SqliteException e, string file)
    {
        ArgumentNullException.ThrowIfNull(e);

        // Result codes: sqlite.org, "Result and Error Codes".
        return e.SqliteErrorCode switch
        {
            8 or 14 or 23 => new StartException(
                FolderNotWritable,
                $"The database {file} cannot be written: look at the rights of the file and of its folder.",
                e
            ),
            10 or 13 => new StartException(
                DiskFull,
                $"The database {file} cannot be written: the disk is full or failing. Nothing was changed; make room and start again.",
                e
            ),
            11 or 26 => DamagedFile(file, "it is no database, or a part of it is unreadable", e),
            _ => null,
        };
    }

    /// <summary>The database is damaged.</summary>
    public static StartException DamagedFile(string file, string how, Exception? inner = null) =>
        new(
            Damaged,
            $"The database {file} is damaged: {how}. Nothing was changed. Bring a backup back with: ./ingegno restore --from FILE",
            inner
        );
}
