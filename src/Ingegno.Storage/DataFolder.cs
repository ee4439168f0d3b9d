namespace Ingegno.Storage;

/// <summary>The folder of one installation: nobody but the program's own account reads it, and one server works in it at a time.</summary>
public sealed class DataFolder : IDisposable
{
    /// <summary>Read, written and entered by its owner alone.</summary>
    private const UnixFileMode OwnFolder = UnixFileMode.UserRead | UnixFileMode.UserWrite | UnixFileMode.UserExecute;

    /// <summary>Read and written by its owner alone.</summary>
    public const UnixFileMode OwnFile = UnixFileMode.UserRead | UnixFileMode.UserWrite;

    private readonly FileStream _lock;

    private DataFolder(FileStream held) => _lock = held;

    /// <summary>Creates the folder where it is missing, closes it to others, and takes its lock.</summary>
    /// <exception cref="StartException">It cannot be written, or another server works in it.</exception>
    public static DataFolder Take(string path)
    {
        ArgumentException.ThrowIfNullOrWhiteSpace(path);
        var folder = Path.GetFullPath(path);
        try
        {
            Create(folder);
            Close(folder);
        }
        catch (Exception e) when (e is UnauthorizedAccessException or IOException)
        {
            throw new StartException(
                StartException.FolderNotWritable,
                $"The folder {folder} cannot be written: give it to the account that runs Ingegno, or name another with --data.",
                e
            );
        }

        var file = Path.Combine(folder, "ingegno.lock");
        try
        {
            return new DataFolder(
                new FileStream(
                    file,
                    new FileStreamOptions
                    {
                        Mode = FileMode.OpenOrCreate,
                        Access = FileAccess.ReadWrite,
                        Share = FileShare.None, // An advisory lock on Linux: it ends with the process, however that ends.
                        UnixCreateMode = OwnFile,
                    }
                )
            );
        }
        catch (UnauthorizedAccessException e)
        {
            throw new StartException(
                StartException.FolderNotWritable,
                $"The folder {folder} cannot be written: give it to the account that runs Ingegno, or name another with --data.",
                e
            );
        }
        catch (IOException e)
        {
            throw new StartException(
                StartException.FolderTaken,
                $"Another Ingegno works in {folder}. Stop it first, or name another folder with --data.",
                e
            );
        }
    }

    /// <summary>Creates a folder that only its owner enters.</summary>
    public static void Create(string folder) => Directory.CreateDirectory(folder, OwnFolder);

    /// <summary>Takes from others what an older version, or a careless copy, left open to them.</summary>
    private static void Close(string folder)
    {
        File.SetUnixFileMode(folder, OwnFolder);
        foreach (var below in Directory.EnumerateDirectories(folder, "*", SearchOption.AllDirectories))
        {
            File.SetUnixFileMode(below, OwnFolder);
        }

        foreach (var file in Directory.EnumerateFiles(folder, "*", SearchOption.AllDirectories))
        {
            File.SetUnixFileMode(file, OwnFile);
        }
    }

    public void Dispose() => _lock.Dispose();
}
