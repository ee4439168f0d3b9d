using System.Collections.Immutable;
using System.Security.Claims;
using System.Text;
using FluentValidation;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Exchange;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Mvc;

namespace Ingegno.Web.Features;

/// <summary>A file or a paste to look at.</summary>
/// <param name="Content">The bytes of the file, base64.</param>
/// <param name="Separator">What parts the columns of a text table; null to find out.</param>
/// <param name="Settings">How to read it; null to find out.</param>
public sealed record ProgramUpload(string Content, string? Separator = null, ImportSettings? Settings = null);

/// <summary>Rows of one week.</summary>
public sealed record WeekRows(ImmutableArray<ProgramRow> Rows);

/// <summary>Weeks to bring in, all or none.</summary>
public sealed record NewWeeks(ImmutableArray<GymWeek> Weeks);

public sealed class WeekRowsValidator : AbstractValidator<WeekRows>
{
    public WeekRowsValidator() =>
        RuleFor(r => r.Rows.Length).LessThanOrEqualTo(Limits.GymLines).WithMessage($"A week takes at most {Limits.GymLines} lines.");
}

public sealed class NewWeeksValidator : AbstractValidator<NewWeeks>
{
    public NewWeeksValidator()
    {
        RuleFor(w => w.Weeks.Length).InclusiveBetween(1, Limits.GymWeeks).WithMessage($"Bring in 1 to {Limits.GymWeeks} weeks at once.");
        RuleForEach(w => w.Weeks).SetValidator(new GymWeekValidator());
    }
}

/// <summary>Gym programs as tables and files: looked at first, brought in when a coach says so, written out again.</summary>
public static class ProgramEndpoints
{
    public static void MapPrograms(this IEndpointRouteBuilder api)
    {
        var programs = api.MapGroup("").WithTags("gym program");
        programs
            .MapPost("/program/preview", Preview)
            .WithMetadata(new RequestSizeLimitAttribute(2 * ExchangeLimits.FileBytes))
            .ProducesProblem(StatusCodes.Status400BadRequest);
        programs.MapPost("/program/rows", Rows);
        programs.MapPost("/program/text", Text).Validate<WeekRows>();
        programs.MapPost("/clients/{clientId:long}/program", Add).Validate<NewWeeks>().ProducesProblem(StatusCodes.Status404NotFound);
        programs
            .MapGet("/clients/{clientId:long}/program.{form:regex(^(csv|xlsx|json|txt)$)}", Export)
            .ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>What a file would bring in. Nothing is stored.</summary>
    private static Results<Ok<ReadProgram>, ProblemHttpResult> Preview(ProgramUpload upload, ProgramReader reader)
    {
        if (upload.Separator is not (null or "" or "," or ";" or "\t" or "|"))
        {
            return Problems.Invalid("separator", "Columns are parted by a comma, a semicolon, a tab or a bar.");
        }

        try
        {
            var separator = upload.Separator is [var sign] ? sign : (char?)null;
            return TypedResults.Ok(
                reader.Read(Convert.FromBase64String(upload.Content), separator, upload.Settings ?? new ImportSettings())
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

    /// <summary>A week as the rows of a table.</summary>
    private static Ok<WeekRows> Rows(ShorthandText shorthand, ProgramRows rows) =>
        TypedResults.Ok(new WeekRows(rows.Read(shorthand.Text ?? string.Empty)));

    /// <summary>Rows of a table as the text of a week, with the cells that cannot be taken as they are.</summary>
    private static Ok<WrittenRows> Text(WeekRows week, ProgramRows rows) => TypedResults.Ok(rows.Write(week.Rows));

    private static Results<Ok<IReadOnlyList<Saved<GymWeek>>>, ProblemHttpResult> Add(
        long clientId,
        NewWeeks weeks,
        ClaimsPrincipal user,
        GymWeekStore store,
        IdempotencyKey once
    ) =>
        store.AddAll(user.CoachId(), clientId, weeks.Weeks, once.Value) is { } added ? TypedResults.Ok(added) : Problems.NotFound("client");

    private static Results<FileContentHttpResult, ProblemHttpResult> Export(
        long clientId,
        string form,
        ClaimsPrincipal user,
        ClientStore clients,
        GymWeekStore store,
        ProgramRows rows
    )
    {
        if (clients.Find(user.CoachId(), clientId) is null)
        {
            return Problems.NotFound("client");
        }

        var weeks = store.List(user.CoachId(), clientId).Select(w => w.Value).ToList();
        var table = weeks.SelectMany(w => rows.Read(w.Text, w.Name));
        return form switch
        {
            "csv" or "xlsx" => ProgramDownload.Of(table, form, "gym-program", "Gym program"),
            "json" => TypedResults.File(
                ProgramDocument.From(weeks.Select(w => (w.Name, w.Text)), rows).ToJson(),
                "application/json",
                "gym-program.json"
            ),
            _ => TypedResults.File(
                Encoding.UTF8.GetBytes(string.Join("\n\n", weeks.Select(w => $"== {SafeCell.OneLine(w.Name)}\n{w.Text}")) + "\n"),
                "text/plain; charset=utf-8",
                "gym-program.txt"
            ),
        };
    }
}
