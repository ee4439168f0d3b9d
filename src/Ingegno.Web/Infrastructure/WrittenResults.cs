using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Infrastructure;

/// <summary>Turns the outcome of a write into an answer.</summary>
public static class WrittenResults
{
    /// <summary>200 with the new state, 404, or 409 with what stands now.</summary>
    public static Results<Ok<Saved<T>>, ProblemHttpResult> ToResult<T>(this Written<T> written, string what)
        where T : class
    {
        ArgumentNullException.ThrowIfNull(written);
        return written.Outcome switch
        {
            WriteOutcome.Done => TypedResults.Ok(written.Current!),
            WriteOutcome.Conflict => Problems.Conflict(what, written.Current!),
            _ => Problems.NotFound(what),
        };
    }
}
