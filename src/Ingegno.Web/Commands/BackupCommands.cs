using System.Globalization;
using Ingegno.Storage;

namespace Ingegno.Web.Commands;

/// <summary>Backup, restore and check.</summary>
public static class BackupCommands
{
    /// <summary>Makes a backup, while the server runs or not.</summary>
    public static int Backup(CommandCall call)
    {
        ArgumentNullException.ThrowIfNull(call);
        var backups = new Backups(call.Database(), call.Options.BackupFolder, TimeProvider.System);
        var file =
            call.Given["to"]
            ?? Path.Combine(
                backups.Folder,
                $"ingegno-{DateTimeOffset.UtcNow.ToString("yyyyMMdd-HHmmss", CultureInfo.InvariantCulture)}.db"
            );
        var made = backups.Make(file);
        call.Out.WriteLine($"Made and checked: {made} ({new FileInfo(made).Length / 1024} KB)");
        return 0;
    }

    /// <summary>Puts a backup in the place of the database; the server must be stopped.</summary>
    public static int Restore(CommandCall call)
    {
        ArgumentNullException.ThrowIfNull(call);
        if (call.Given["from"] is not { Length: > 0 } from)
        {
            throw new StartException(1, "Say which backup: --from FILE.");
        }

        using var folder = DataFolder.Take(call.Options.Data);
        var backups = new Backups(new Database(call.Options.DatabaseFile), call.Options.BackupFolder, TimeProvider.System);
        var before = backups.Restore(from);
        call.Out.WriteLine($"Restored from {Path.GetFullPath(from)}.");
        if (before is not null)
        {
            call.Out.WriteLine($"What stood there before is kept: {before}");
        }

        return 0;
    }

    /// <summary>Checks the database, or the file that is named.</summary>
    public static int Check(CommandCall call)
    {
        ArgumentNullException.ThrowIfNull(call);
        var file = call.Given["file"] ?? call.Database().File;
        var faults = DatabaseCheck.FindFaults(file);
        foreach (var fault in faults)
        {
            call.Out.WriteLine(fault);
        }

        call.Out.WriteLine(
            faults.Count == 0 ? $"{file} is whole." : $"{file} is damaged. Bring a backup back with: ./ingegno restore --from FILE"
        );
        return faults.Count == 0 ? 0 : StartException.Damaged;
    }
}
