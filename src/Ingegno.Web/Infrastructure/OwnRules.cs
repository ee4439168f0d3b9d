using System.Security.Claims;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Infrastructure;

/// <summary>What a practice adds to the domain rules: how a kind of it is known and checked.</summary>
/// <param name="What">What one is called.</param>
/// <param name="Most">So many a practice keeps.</param>
/// <param name="KeyOf">Key by which plans know one.</param>
/// <param name="IsTaken">Whether a key is taken: by the domain rules of the practice, or by its own documents.</param>
/// <param name="Faults">What is wrong with one in the domain rules of the practice, beside the others.</param>
public sealed record OwnKind<T>(
    string What,
    int Most,
    Func<T, string> KeyOf,
    Func<string, DomainRules, IEnumerable<T>, bool> IsTaken,
    Func<T, DomainRules, IEnumerable<T>, IReadOnlyCollection<string>> Faults
);

/// <summary>The endpoints of what a practice adds to the domain rules; each change is seen by the next request.</summary>
public static class OwnRules
{
    /// <summary>Maps list, add, change and erase below an address.</summary>
    public static void MapOwn<TStore, T>(this IEndpointRouteBuilder api, string path, OwnKind<T> kind)
        where TStore : PracticeDocumentStore<T>
        where T : class
    {
        var handlers = new Handlers<TStore, T>(path, kind);
        var list = (ClaimsPrincipal user, TStore store) => TypedResults.Ok(store.List(user.CoachId()));
        var add = (T value, ClaimsPrincipal user, TStore store, PracticeRules trades) => handlers.Add(value, user.CoachId(), store, trades);
        var update = (long id, Change<T> change, ClaimsPrincipal user, TStore store, PracticeRules trades) =>
            handlers.Update(id, change, user.CoachId(), store, trades);
        var erase = (long id, ClaimsPrincipal user, TStore store, PracticeRules trades) =>
            handlers.Delete(id, user.CoachId(), store, trades);
        var own = api.MapGroup(path).WithTags("trade");
        own.MapGet("/", list);
        own.MapPost("/", add).ProducesProblem(StatusCodes.Status400BadRequest);
        own.MapPut("/{id:long}", update).ProducesProblem(StatusCodes.Status409Conflict);
        own.MapDelete("/{id:long}", erase).ProducesProblem(StatusCodes.Status404NotFound);
    }

    private sealed class Handlers<TStore, T>(string path, OwnKind<T> kind)
        where TStore : PracticeDocumentStore<T>
        where T : class
    {
        public Results<Created<Saved<T>>, ProblemHttpResult> Add(T value, long coach, TStore store, PracticeRules trades)
        {
            var present = store.List(coach).Select(e => e.Value).ToList();
            if (present.Count >= kind.Most)
            {
                return Problems.Invalid(kind.What, $"A practice keeps at most {kind.Most} of its own of this kind: {kind.What}.");
            }

            if (kind.IsTaken(kind.KeyOf(value), trades.Of(coach), present))
            {
                return Problems.Invalid(
                    "id",
                    $"There is already one with the key \"{kind.KeyOf(value)}\" ({kind.What}). Open it and change it, or choose another name."
                );
            }

            if (Wrong(value, trades.Of(coach), present) is { } wrong)
            {
                return wrong;
            }

            var added = store.Add(coach, value);
            trades.Forget(coach);
            return TypedResults.Created($"/api/v1{path}/{added.Id}", added);
        }

        public Results<Ok<Saved<T>>, ProblemHttpResult> Update(long id, Change<T> change, long coach, TStore store, PracticeRules trades)
        {
            if (store.Find(coach, id) is not { } present)
            {
                return Problems.NotFound(kind.What);
            }

            if (kind.KeyOf(present.Value) != kind.KeyOf(change.Value))
            {
                return Problems.Invalid("id", $"The key stays as it is: plans and logs know the {kind.What} by it.");
            }

            if (Wrong(change.Value, trades.Of(coach), store.List(coach).Where(e => e.Id != id).Select(e => e.Value)) is { } wrong)
            {
                return wrong;
            }

            var written = store.Update(coach, id, change.Revision, change.Value);
            trades.Forget(coach);
            return written.ToResult(kind.What);
        }

        public Results<NoContent, ProblemHttpResult> Delete(long id, long coach, TStore store, PracticeRules trades)
        {
            var deleted = store.Delete(coach, id);
            trades.Forget(coach);
            return deleted ? TypedResults.NoContent() : Problems.NotFound(kind.What);
        }

        private ProblemHttpResult? Wrong(T value, DomainRules domain, IEnumerable<T> others) =>
            kind.Faults(value, domain, others) is { Count: > 0 } faults
                ? Problems.Invalid(new Dictionary<string, string[]> { [kind.What] = [.. faults] })
                : null;
    }
}
