using System.Text.Json;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Text;
using Ingegno.Storage;
using Microsoft.AspNetCore.Antiforgery;
using Microsoft.AspNetCore.Diagnostics;
using Microsoft.Data.Sqlite;

namespace Ingegno.Web.Infrastructure;

/// <summary>Turns exceptions of the framework into problems with a code; what nobody foresaw is logged and owned up to.</summary>
public sealed partial class ProblemHandler(ILogger<ProblemHandler> logger) : IExceptionHandler
{
    public async ValueTask<bool> TryHandleAsync(HttpContext httpContext, Exception exception, CancellationToken cancellationToken)
    {
        ArgumentNullException.ThrowIfNull(httpContext);
        var problem = exception switch
        {
            BadHttpRequestException { StatusCode: StatusCodes.Status413PayloadTooLarge } => Problems.Make(
                StatusCodes.Status413PayloadTooLarge,
                "too-large",
                "That is too much at once",
                $"A request may be at most {Limits.RequestBytes / 1024} KB. Nothing was changed; paste one day at a time."
            ),
            BadHttpRequestException { InnerException: UnreadableValueException value } => Problems.Invalid(
                value.Path ?? "$",
                value.Message
            ),
            BadHttpRequestException { InnerException: JsonException json } => Json(json),
            NotSupportedException { Source: "System.Text.Json" } => Problems.Make(
                StatusCodes.Status400BadRequest,
                "json",
                "The document cannot be read",
                "A part that comes in several kinds names none: give its \"kind\" first. docs/rebuild-api.md lists the kinds."
            ),

            RegexMatchTimeoutException => Problems.Make(
                StatusCodes.Status400BadRequest,
                "too-tangled",
                "This text cannot be read",
                "It is so long or so tangled that reading was given up. Nothing was changed; send it in parts."
            ),
            KeyReusedException => Problems.Make(
                StatusCodes.Status422UnprocessableEntity,
                "key-reused",
                "This key was used for something else",
                $"{IdempotencyKey.Header} stands for another content that was stored before. Send a new key for new content; nothing was changed."
            ),
            BadHttpRequestException { StatusCode: StatusCodes.Status415UnsupportedMediaType } => Problems.Make(
                StatusCodes.Status415UnsupportedMediaType,
                "content-type",
                "This kind of content is not read here",
                "Send JSON in UTF-8, with the header Content-Type: application/json. Nothing was changed."
            ),
            SqliteException { SqliteErrorCode: SqliteFull or SqliteInput } => Full(httpContext),
            OperationCanceledException when httpContext.RequestAborted.IsCancellationRequested => Problems.Make(
                StatusCodes.Status499ClientClosedRequest,
                "gone",
                "The caller has gone",
                "Nothing more was done for it."
            ),
            OperationCanceledException when httpContext.RequestServices.GetService<RequestDeadline>() is { } late => Late(
                httpContext,
                late
            ),
            SqliteException { SqliteErrorCode: SqliteBusy or SqliteLocked } => Busy(httpContext),
            // The framework's own sentence speaks to who wrote the endpoint, not to who calls it.
            BadHttpRequestException bad => Problems.Make(
                bad.StatusCode,
                "bad-request",
                "The request cannot be read",
                "Its body is missing, or a part of its address is of the wrong kind. Nothing was changed; docs/rebuild-api.md lists what is expected."
            ),
            AntiforgeryValidationException => Problems.Make(
                StatusCodes.Status400BadRequest,
                "antiforgery",
                "The page is out of date",
                "Reload the page and try again; nothing was changed."
            ),
            _ => null,
        };
        if (problem is null)
        {
            LogUnexpected(exception, httpContext.Request.Method, httpContext.Request.Path);
            problem = Problems.Make(
                StatusCodes.Status500InternalServerError,
                "unexpected",
                "Something went wrong on the server",
                "It was logged. What you typed is still here; try again, or reload the page."
            );
        }

        await problem.ExecuteAsync(httpContext);
        return true;
    }

    // Result codes of SQLite (sqlite.org, "Result and Error Codes"): somebody else holds the file.
    private const int SqliteBusy = 5;
    private const int SqliteLocked = 6;
    private const int SqliteInput = 10;
    private const int SqliteFull = 13;

    private static Microsoft.AspNetCore.Http.HttpResults.ProblemHttpResult Full(HttpContext context)
    {
        context.Response.Headers.RetryAfter = "60";
        return Problems.Make(
            StatusCodes.Status503ServiceUnavailable,
            "disk",
            "The server cannot store it now",
            "Its disk is full or failing. Nothing was changed; tell whoever runs the server, and keep this page open."
        );
    }

    private static Microsoft.AspNetCore.Http.HttpResults.ProblemHttpResult Late(HttpContext context, RequestDeadline late)
    {
        context.Response.Headers.RetryAfter = "10";
        return Problems.Make(
            StatusCodes.Status503ServiceUnavailable,
            "too-much-work",
            "This takes too long",
            $"It was given up after {late.Longest.TotalSeconds:0.#} s. Ask for fewer lines or weeks at once, or try again when the server has less to do; a reload shows what stands."
        );
    }

    private static Microsoft.AspNetCore.Http.HttpResults.ProblemHttpResult Busy(HttpContext context)
    {
        context.Response.Headers.RetryAfter = "5";
        return Problems.Make(
            StatusCodes.Status503ServiceUnavailable,
            "busy",
            "The database is busy",
            "Something else holds it, for instance a backup. Nothing was changed; try again in a moment."
        );
    }

    private static Microsoft.AspNetCore.Http.HttpResults.ProblemHttpResult Json(JsonException json)
    {
        var where = string.IsNullOrEmpty(json.Path) || json.Path == "$" ? "the document" : json.Path;
        return Problems.Make(
            StatusCodes.Status400BadRequest,
            "json",
            "The document cannot be read",
            $"At {where}, line {json.LineNumber + 1}: the value is missing, misspelt or of the wrong kind. docs/rebuild-api.md lists the fields."
        );
    }

    [LoggerMessage(LogLevel.Error, "Unexpected failure of {Method} {Path}")]
    private partial void LogUnexpected(Exception exception, string method, string path);
}
