using Dapper;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.DataProtection;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Features;

/// <summary>For whoever watches over the server: is it alive, and can it do its work?</summary>
public static partial class HealthEndpoints
{
    public static void MapHealth(this IEndpointRouteBuilder app)
    {
        app.MapGet("/healthz", () => TypedResults.Text("alive")).AllowAnonymous().ExcludeFromDescription();
        app.MapGet("/readyz", Ready).AllowAnonymous().ExcludeFromDescription();
    }

    /// <summary>Reads and writes the database, looks for room on the disk, and uses the keys of the cookies. What is wrong goes into the log and tells nothing to strangers. A server that is not warm yet is ready all the same.</summary>
    private static ContentHttpResult Ready(
        Database database,
        IOptions<IngegnoOptions> options,
        IDataProtectionProvider protection,
        WarmUp warm,
        ILoggerFactory logs
    )
    {
        var wrong = Faults(database, options.Value, protection).FirstOrDefault();
        if (wrong is null)
        {
            return TypedResults.Text(warm.IsWarm ? "ready and warm" : "ready");
        }

        LogNotReady(logs.CreateLogger(typeof(HealthEndpoints)), wrong);
        return TypedResults.Text("not ready", statusCode: StatusCodes.Status503ServiceUnavailable);
    }

    /// <summary>What keeps the server from its work; empty when nothing does.</summary>
    public static IEnumerable<string> Faults(Database database, IngegnoOptions options, IDataProtectionProvider protection)
    {
        ArgumentNullException.ThrowIfNull(database);
        ArgumentNullException.ThrowIfNull(options);
        ArgumentNullException.ThrowIfNull(protection);
        if (Fails(() => Write(database)))
        {
            yield return "the database cannot be read or written";
        }

        var free = new DriveInfo(Path.GetFullPath(options.Data)).AvailableFreeSpace / 1_000_000;
        if (free < options.LeastFreeMegabytes)
        {
            yield return $"{free} MB are left on the disk, {options.LeastFreeMegabytes} are needed";
        }

        if (Fails(() => protection.CreateProtector("ready").Unprotect(protection.CreateProtector("ready").Protect("ready"))))
        {
            yield return "the keys of the cookies cannot be read";
        }
    }

    /// <summary>Takes the lock of a writer and gives it back, so that nothing is written and yet everything is tried.</summary>
    private static void Write(Database database)
    {
        using var connection = database.Open();
        connection.DefaultTimeout = 1; // s
        connection.Execute("PRAGMA busy_timeout = 1000"); // By itself: a failure after a statement that gives a row would be swallowed.
        connection.Execute("BEGIN IMMEDIATE");
        connection.Execute("UPDATE coach SET name = name WHERE 0");
        connection.Execute("ROLLBACK");
    }

    private static bool Fails(Action what)
    {
        try
        {
            what();
            return false;
        }
#pragma warning disable CA1031 // Whatever goes wrong, the answer is "not ready".
        catch (Exception)
#pragma warning restore CA1031
        {
            return true;
        }
    }

    [LoggerMessage(LogLevel.Warning, "Not ready: {Wrong}")]
    private static partial void LogNotReady(ILogger logger, string wrong);
}
