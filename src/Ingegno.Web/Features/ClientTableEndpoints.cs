using System.Collections.Immutable;
using System.Security.Claims;
using FluentValidation;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Rebuilding.PracticeData;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Web.Features;

/// <summary>A list of clients as a file.</summary>
/// <param name="Content">Its bytes, base64.</param>
/// <param name="Fields">What each column holds, as the coach set it; null to go by the heads.</param>
public sealed record ClientTableFile(string Content, ImmutableArray<ClientField?>? Fields = null);

/// <summary>Clients to add, all or none.</summary>
public sealed record NewClients(ImmutableArray<ClientRecord> Clients);

public sealed class NewClientsValidator : AbstractValidator<NewClients>
{
    public NewClientsValidator()
    {
        RuleFor(c => c.Clients)
            .Must(c => c is { IsDefaultOrEmpty: false, Length: <= ClientTable.MostClients })
            .WithMessage("A list brings in 1 to 300 clients.");
        RuleForEach(c => c.Clients).SetValidator(new ClientRecordValidator()).When(c => !c.Clients.IsDefault);
    }
}

/// <summary>Clients from a spreadsheet.</summary>
public static class ClientTableEndpoints
{
    public static void MapClientTable(this RouteGroupBuilder clients)
    {
        clients
            .MapPost("/table", Preview)
            .WithMetadata(new RequestSizeLimitAttribute(2 * ExchangeLimits.FileBytes))
            .ProducesProblem(StatusCodes.Status400BadRequest);
        clients
            .MapPost("/many", Add)
            .WithMetadata(new RequestSizeLimitAttribute(2 * ExchangeLimits.FileBytes))
            .Validate<NewClients>()
            .ProducesProblem(StatusCodes.Status400BadRequest);
    }

    /// <summary>What a list would bring in. Nothing is kept.</summary>
    private static Results<Ok<ClientTablePreview>, ProblemHttpResult> Preview(ClientTableFile file, RequestDeadline deadline)
    {
        try
        {
            return Read(Convert.FromBase64String(file.Content), deadline.Token) is { } sheet
                ? TypedResults.Ok(ClientTable.Preview(sheet, file.Fields ?? default, deadline.Token))
                : Problems.Make(
                    StatusCodes.Status400BadRequest,
                    "unreadable-file",
                    "The file cannot be read",
                    "This is no table: save the list as .csv or .xlsx, one client a row, with heads above."
                );
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

    /// <summary>The first table of a file. A short list, or one of names alone, does not show what parts its columns: each sign is tried.</summary>
    private static Sheet? Read(byte[] bytes, CancellationToken stop)
    {
        var read = SheetFile.Read(bytes, stop: stop);
        return !read.Sheets.IsEmpty
            ? read.Sheets[0]
            : Separators
                .SelectMany(sign => SheetFile.Read(bytes, sign, stop).Sheets)
                .Where(sheet => ClientTable.HasHeads(sheet))
                .MaxBy(sheet => sheet.Rows.Max(r => r.Cells.Length));
    }

    private static readonly char[] Separators = [',', ';', '\t'];

    private static Results<Ok<int>, ProblemHttpResult> Add(
        NewClients clients,
        ClaimsPrincipal user,
        ClientStore store,
        IdempotencyKey once
    ) =>
        store.AddAll(user.CoachId(), clients.Clients, once.Value) is { } added ? TypedResults.Ok(added.Count) : Problems.NotFound("client");
}
