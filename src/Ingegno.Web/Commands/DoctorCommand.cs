using System.Globalization;
using Ingegno.Storage;

namespace Ingegno.Web.Commands;

/// <summary>Looks an installation over: what is wrong here, and what to do about it.</summary>
public static class DoctorCommand
{
    private const UnixFileMode Others = UnixFileMode.GroupRead | UnixFileMode.GroupWrite | UnixFileMode.OtherRead | UnixFileMode.OtherWrite;

    /// <summary>Prints one line for each thing looked at; the code is 0 when all is well.</summary>
    public static int Look(CommandCall call)
    {
        ArgumentNullException.ThrowIfNull(call);
        var wrong = 0;
        foreach (var (what, fault, remedy) in Findings(call.Options))
        {
            call.Out.WriteLine(fault is null ? $"well   {what}" : $"WRONG  {what}: {fault}\n       {remedy}");
            wrong += fault is null ? 0 : 1;
        }

        call.Out.WriteLine(wrong == 0 ? "All is well." : $"{wrong} to look after.");
        return wrong == 0 ? 0 : 1;
    }

    private static IEnumerable<(string What, string? Fault, string Remedy)> Findings(IngegnoOptions options)
    {
        var folder = Path.GetFullPath(options.Data);
        if (!Directory.Exists(folder))
        {
            yield return ($"folder {folder}", "it is not there", "Name the folder of the server with --data.");
            yield break;
        }

        yield return ($"folder {folder}", null, string.Empty);
        var open = Directory
            .EnumerateFiles(folder, "*", SearchOption.AllDirectories)
            .Where(f => (File.GetUnixFileMode(f) & Others) != 0)
            .Take(3)
            .ToList();
        yield return (
            "rights of the files",
            open.Count == 0 ? null : $"others may read {string.Join(", ", open)}",
            $"chmod -R go= {folder}   (the server does it at its start)"
        );
        if (!File.Exists(options.DatabaseFile))
        {
            yield return ("database", "there is none yet", "Start the server once, or restore a backup.");
            yield break;
        }

        var faults = DatabaseCheck.FindFaults(options.DatabaseFile);
        yield return ("database", faults.Count == 0 ? null : faults[0], "Bring a backup back with: ./ingegno restore --from FILE");
        var free = new DriveInfo(folder).AvailableFreeSpace / 1_000_000;
        yield return (
            $"room on the disk ({free} MB)",
            free < options.LeastFreeMegabytes ? $"less than {options.LeastFreeMegabytes} MB" : null,
            "Make room: a full disk stores nothing."
        );
        var newest = new Backups(new Database(options.DatabaseFile), options.BackupFolder, TimeProvider.System).List() is [var first, ..]
            ? first
            : null;
        yield return (
            newest is null ? "backups" : $"newest backup {newest.At.ToString("d MMM yyyy HH:mm", CultureInfo.InvariantCulture)}",
            newest is null ? "there is none"
            : DateTimeOffset.UtcNow - newest.At > TimeSpan.FromDays(2) ? "it is older than two days"
            : null,
            "Make one with ./ingegno backup, and look whether the server runs at all."
        );
        if (newest is not null)
        {
            var damage = DatabaseCheck.FindFaults(Path.Combine(options.BackupFolder, newest.Name));
            yield return ("newest backup opens", damage.Count == 0 ? null : damage[0], "Make another with ./ingegno backup.");
        }

        string? proxies = null;
        try
        {
            _ = options.Proxies;
        }
        catch (StartException e)
        {
            proxies = e.Message;
        }

        yield return ("named proxies", proxies, "Give IP addresses, parted by commas.");
    }
}
