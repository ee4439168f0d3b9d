using System.Collections.Immutable;
using System.Globalization;
using System.Security.Claims;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Web.Features;

/// <summary>Whether a client is to be out of the roster.</summary>
public sealed record Archiving(bool Archived);

/// <summary>A client that was taken out, here or elsewhere.</summary>
/// <param name="Content">The bytes of the file, base64.</param>
/// <param name="WithAdditions">Exercises, approaches and names of another practice's own that the file brings along come in, too.</param>
public sealed record ClientUpload(string Content, bool WithAdditions = false);

/// <summary>What a client's file would bring in.</summary>
/// <param name="Name">Name of the client.</param>
/// <param name="Comes">What of another practice's own comes along, under keys of its own.</param>
/// <param name="StaysOut">Names that mean something here already and stay out.</param>
public sealed record ClientInFile(string Name, ImmutableArray<Addition> Comes, ImmutableArray<Addition> StaysOut);

/// <summary>What erasing a client takes away.</summary>
/// <param name="Places">Places with their kit.</param>
/// <param name="GymWeeks">Gym weeks.</param>
/// <param name="Plans">Home plans.</param>
/// <param name="Versions">Versions of them.</param>
/// <param name="Sessions">Logged sessions.</param>
/// <param name="BackupDays">After so many days the backups have forgotten it, too.</param>
public sealed record WhatIsErased(int Places, int GymWeeks, int Plans, int Versions, int Sessions, int BackupDays);

/// <summary>Clients rest, leave with all that is theirs, come from elsewhere, and are erased.</summary>
public static class ClientKeepingEndpoints
{
    public static void MapClientKeeping(this RouteGroupBuilder clients)
    {
        clients.MapPut("/{id:long}/archived", Archive).ProducesProblem(StatusCodes.Status404NotFound);
        clients.MapGet("/{id:long}/export.{form:regex(^(zip|json)$)}", Export).ProducesProblem(StatusCodes.Status404NotFound);
        clients
            .MapPost("/import/look", Look)
            .WithMetadata(new RequestSizeLimitAttribute(16 * 1024 * 1024))
            .ProducesProblem(StatusCodes.Status400BadRequest);
        clients
            .MapPost("/import", Import)
            .WithMetadata(new RequestSizeLimitAttribute(16 * 1024 * 1024))
            .ProducesProblem(StatusCodes.Status400BadRequest);
        clients.MapGet("/{id:long}/erasing", WouldErase).ProducesProblem(StatusCodes.Status404NotFound);
        clients.MapDelete("/{id:long}", Erase).ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static Results<Ok<Saved<ClientRecord>>, ProblemHttpResult> Archive(
        long id,
        Archiving archiving,
        ClaimsPrincipal user,
        ClientStore clients
    ) => clients.Archive(user.CoachId(), id, archiving.Archived) is { } client ? TypedResults.Ok(client) : Problems.NotFound("client");

    private static Results<FileContentHttpResult, ProblemHttpResult> Export(
        long id,
        string form,
        ClaimsPrincipal user,
        ClientTransfer transfer,
        AuditStore audit
    )
    {
        if (transfer.Export(user.CoachId(), id) is not { } file)
        {
            return Problems.NotFound("client");
        }

        audit.Note(user.CoachId(), "client-exported", About(id));
        return form == "zip"
            ? TypedResults.File(ClientFiles.Zip(file), "application/zip", $"client-{About(id)}.zip")
            : TypedResults.File(ClientFiles.Json(file), "application/json", $"client-{About(id)}.json");
    }

    /// <summary>Brings a client in. A plan that cannot be worked with is no plan: then nothing comes in.</summary>
    private static Results<Created<Saved<ClientRecord>>, ProblemHttpResult> Import(
        ClientUpload upload,
        ClaimsPrincipal user,
        ClientFiles files,
        ClientTransfer transfer,
        ClientStore clients,
        PracticeRules trades,
        IServiceScopeFactory scopes,
        AuditStore audit,
        IdempotencyKey once
    )
    {
        var coach = user.CoachId();
        ClientFile file;
        try
        {
            file = files.Read(Convert.FromBase64String(upload.Content));
        }
        catch (UnreadableFileException wrong)
        {
            return Problems.Make(StatusCodes.Status400BadRequest, "unreadable-file", "The file cannot be read", wrong.Message);
        }
        catch (FormatException)
        {
            return Problems.Invalid("content", "The content is not base64.");
        }

        BroughtIn? brought = null;
        try
        {
            file = Taken(transfer.ToTake(coach, file), upload.WithAdditions);
            RefuseBadOwn(file);
            var came = transfer.Import(coach, file, once.Value, $"{upload.WithAdditions} {upload.Content}");
            if (came.JustNow)
            {
                brought = came;
                trades.Forget(coach);

                // What came in with the file belongs to the domain rules now: the log is asked by one that knows it.
                using var scope = scopes.CreateScope();
                var log = scope.ServiceProvider.GetRequiredService<ClientLog>();
                foreach (var plan in came.Plans)
                {
                    log.RenewPulse(coach, plan);
                }

                audit.Note(coach, "client-imported", About(came.Client));
            }

            return TypedResults.Created($"/api/v1/clients/{came.Client}", clients.Find(coach, came.Client));
        }
        catch (UnreadableFileException wrong)
        {
            return Problems.Make(StatusCodes.Status400BadRequest, "unreadable-file", "The file cannot be read", wrong.Message);
        }
        catch (KeyReusedException)
        {
            throw;
        }
        catch (OperationCanceledException)
        {
            // The caller went, or it took too long: the file is not at fault, and half a client is none.
            if (brought is not null)
            {
                transfer.TakeBack(coach, brought);
                trades.Forget(coach);
            }

            throw;
        }
        catch (Microsoft.Data.Sqlite.SqliteException e) when (e.SqliteErrorCode is not 19) // 19: it breaks a rule of the tables.
        {
            throw;
        }
#pragma warning disable CA1031 // Whatever a made-up plan breaks, it is the file that is wrong.
        catch (Exception)
#pragma warning restore CA1031
        {
            if (brought is not null)
            {
                transfer.TakeBack(coach, brought);
                trades.Forget(coach);
            }

            return Problems.Make(
                StatusCodes.Status400BadRequest,
                "unreadable-file",
                "The file cannot be read",
                "A plan in it is damaged. Nothing was brought in."
            );
        }
    }

    /// <summary>The file with what it brings along, or without: the practice's own catalogue grows by a coach's word alone.</summary>
    private static ClientFile Taken(FileToTake file, bool withAdditions) =>
        withAdditions ? file.File : file.File with { OwnExercises = [], OwnApproaches = [], TaughtNames = [] };

    /// <summary>What a file would bring in; nothing is stored.</summary>
    private static Results<Ok<ClientInFile>, ProblemHttpResult> Look(
        ClientUpload upload,
        ClaimsPrincipal user,
        ClientFiles files,
        ClientTransfer transfer
    )
    {
        try
        {
            var file = transfer.ToTake(user.CoachId(), files.Read(Convert.FromBase64String(upload.Content)));
            return TypedResults.Ok(new ClientInFile(file.File.Client.Name, file.Comes, file.StaysOut));
        }
        catch (UnreadableFileException wrong)
        {
            return Problems.Make(StatusCodes.Status400BadRequest, "unreadable-file", "The file cannot be read", wrong.Message);
        }
        catch (FormatException)
        {
            return Problems.Invalid("content", "The content is not base64.");
        }
    }

    /// <summary>What no practice lets its coaches add it does not take from a file either.</summary>
    private static void RefuseBadOwn(ClientFile file)
    {
        var domain = DomainRules.Shipped;
        var faults = file
            .OwnExercises.SelectMany(e => OwnExerciseEndpoints.Kind.Faults(e, domain, file.OwnExercises.Where(o => o != e)))
            .Concat(file.OwnApproaches.SelectMany(a => OwnApproachEndpoints.Kind.Faults(a, domain, file.OwnApproaches.Where(o => o != a))))
            .Concat(file.TaughtNames.SelectMany(n => TaughtNameEndpoints.Kind.Faults(n, domain.With(file.OwnExercises), [])))
            .FirstOrDefault();
        if (faults is not null)
        {
            throw new UnreadableFileException($"Something of the practice's own in the file cannot be taken: {faults}");
        }
    }

    private static Results<Ok<WhatIsErased>, ProblemHttpResult> WouldErase(long id, ClaimsPrincipal user, ClientTransfer transfer) =>
        transfer.Counts(user.CoachId(), id) is var (places, weeks, plans, versions, sessions)
            ? TypedResults.Ok(new WhatIsErased(places, weeks, plans, versions, sessions, Backups.ForgottenAfterDays))
            : Problems.NotFound("client");

    /// <summary>Erases a client with all that hangs on it, and what the files still remember of it.</summary>
    private static Results<NoContent, ProblemHttpResult> Erase(
        long id,
        ClaimsPrincipal user,
        ClientTransfer transfer,
        PracticeRules trades,
        Database database,
        AuditStore audit
    )
    {
        if (!transfer.Erase(user.CoachId(), id))
        {
            return Problems.NotFound("client");
        }

        trades.Forget(user.CoachId());

        audit.Note(user.CoachId(), "client-erased", About(id));
        try
        {
            database.Forget();
        }
        catch (Microsoft.Data.Sqlite.SqliteException)
        {
            // Somebody reads or writes just now: what was freed is overwritten already, and the nightly backup tries again.
        }

        return TypedResults.NoContent();
    }

    private static string About(long id) => id.ToString(CultureInfo.InvariantCulture);
}
