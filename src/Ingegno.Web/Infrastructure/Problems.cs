using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Infrastructure;

/// <summary>
/// Every error the API gives, as RFC 9457 problem details with a stable <c>code</c>. The texts say what happened and
/// what to do; the interface shows them as they are.
/// </summary>
public static class Problems
{
    /// <summary>Nothing there, or it belongs to somebody else: the two are not told apart.</summary>
    public static ProblemHttpResult NotFound(string what) =>
        Make(
            StatusCodes.Status404NotFound,
            "not-found",
            $"This {what} does not exist",
            $"It may have been deleted. Go back and open another {what}."
        );

    /// <summary>Somebody else wrote first; <paramref name="current"/> is what stands now.</summary>
    public static ProblemHttpResult Conflict<T>(string what, T current) =>
        Make(
            StatusCodes.Status409Conflict,
            "conflict",
            $"This {what} was changed elsewhere",
            "Another tab or person saved it after you opened it. Your version is still here: keep yours or take theirs.",
            new Dictionary<string, object?> { ["current"] = current }
        );

    /// <summary>Something in the request cannot be.</summary>
    public static ProblemHttpResult Invalid(IDictionary<string, string[]> errors) =>
        Make(
            StatusCodes.Status400BadRequest,
            "validation",
            "Some entries cannot be right",
            string.Join(" ", errors.Values.SelectMany(e => e).Distinct().Take(3)),
            new Dictionary<string, object?> { ["errors"] = errors }
        );

    /// <summary>A single entry is wrong.</summary>
    public static ProblemHttpResult Invalid(string field, string message) =>
        Invalid(new Dictionary<string, string[]> { [field] = [message] });

    /// <summary>A problem with its code.</summary>
    public static ProblemHttpResult Make(
        int status,
        string code,
        string title,
        string detail,
        IDictionary<string, object?>? extensions = null
    ) =>
        TypedResults.Problem(
            detail,
            statusCode: status,
            title: title,
            type: $"urn:ingegno:problem:{code}",
            extensions: new Dictionary<string, object?>(extensions ?? new Dictionary<string, object?>()) { ["code"] = code }
        );
}
