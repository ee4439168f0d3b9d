using Ingegno.Storage;
using Microsoft.Extensions.Configuration;

namespace Ingegno.Web.Commands;

/// <summary>A command for whoever runs the server.</summary>
/// <param name="Name">Its word on the command line.</param>
/// <param name="Does">What it does; throws a <see cref="StartException"/> with the line to print when it cannot.</param>
public sealed record Command(string Name, Func<CommandCall, int> Does)
{
    /// <summary>All commands.</summary>
    public static IReadOnlyList<Command> All { get; } =
    [
        new("backup", BackupCommands.Backup),
        new("restore", BackupCommands.Restore),
        new("check", BackupCommands.Check),
        new("doctor", DoctorCommand.Look),
        new("password", PasswordCommand.Reset),
        new("figures", FiguresCommand.Write),
    ];

    /// <summary>The command that the arguments begin with; null when they name none.</summary>
    public static Command? Named(string[] args) => args is [var word, ..] ? All.FirstOrDefault(c => c.Name == word) : null;

    /// <summary>Runs it and gives the code to end with.</summary>
    public int Run(string[] args)
    {
        try
        {
            var given = new ConfigurationBuilder().AddEnvironmentVariables().AddCommandLine(args).Build();
            return Does(new CommandCall(given.Get<IngegnoOptions>() ?? new IngegnoOptions(), given, Console.Out));
        }
        catch (StartException wrong)
        {
            Console.Error.WriteLine(wrong.Message);
            return wrong.ExitCode;
        }
    }
}

/// <summary>What a command was called with.</summary>
/// <param name="Options">The settings of the server.</param>
/// <param name="Given">All that was given.</param>
/// <param name="Out">Where it writes.</param>
public sealed record CommandCall(IngegnoOptions Options, IConfiguration Given, TextWriter Out)
{
    /// <summary>The database that the settings name.</summary>
    /// <exception cref="StartException">There is none.</exception>
    public Database Database() =>
        File.Exists(Options.DatabaseFile)
            ? new Database(Options.DatabaseFile)
            : throw new StartException(
                StartException.NoSuchFile,
                $"There is no database {Path.GetFullPath(Options.DatabaseFile)}; name its folder with --data."
            );
}
