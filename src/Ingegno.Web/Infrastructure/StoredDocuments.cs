using System.Security.Claims;
using Ingegno.Storage;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Infrastructure;

/// <summary>A change of something stored: the revision that was seen, and the new value.</summary>
public sealed record Change<T>(int Revision, T Value)
    where T : class;

/// <summary>
/// The endpoints that every kind of stored document has: list, add, find, change, erase. Handlers stand in variables: the framework's
/// analyzer of route handlers fails on generic ones in place.
/// </summary>
public static class StoredDocuments
{
    /// <summary>Documents of a client, below it in a list and by their own key.</summary>
    /// <param name="group">Where they are mapped.</param>
    /// <param name="path">Their part of the address, for instance <c>places</c>.</param>
    /// <param name="what">What one is called, for instance <c>place</c>.</param>
    public static void MapOfClient<TStore, T>(this RouteGroupBuilder group, string path, string what)
        where TStore : ClientDocumentStore<T>
        where T : class
    {
        var list = (long clientId, ClaimsPrincipal user, TStore store) => TypedResults.Ok(store.List(user.CoachId(), clientId));
        var add = (long clientId, T value, ClaimsPrincipal user, TStore store, IdempotencyKey once) =>
            Added(path, store.Add(user.CoachId(), clientId, value, once.Value));
        var below = group.MapGroup($"/clients/{{clientId:long}}/{path}");
        below.MapGet("", list);
        below.MapPost("", add).Validate<T>().ProducesProblem(StatusCodes.Status404NotFound);
        group.MapStored<TStore, T>($"/{path}", what);
    }

    /// <summary>One document by its key.</summary>
    /// <param name="group">Where it is mapped.</param>
    /// <param name="path">Address of the list.</param>
    /// <param name="what">What one is called.</param>
    /// <param name="erases">Whether it is erased here; false where more hangs on it.</param>
    public static void MapStored<TStore, T>(this RouteGroupBuilder group, string path, string what, bool erases = true)
        where TStore : DocumentStore<T>
        where T : class
    {
        var find = (long id, ClaimsPrincipal user, TStore store) => Found(what, store.Find(user.CoachId(), id));
        var update = (long id, Change<T> change, ClaimsPrincipal user, TStore store) =>
            store.Update(user.CoachId(), id, change.Revision, change.Value).ToResult(what);
        var erase = (long id, ClaimsPrincipal user, TStore store) => Erased(what, store.Delete(user.CoachId(), id));
        var one = group.MapGroup(path);
        one.MapGet("/{id:long}", find).ProducesProblem(StatusCodes.Status404NotFound);
        one.MapPut("/{id:long}", update).Validate<Change<T>>().ProducesProblem(StatusCodes.Status409Conflict);
        if (erases)
        {
            one.MapDelete("/{id:long}", erase).ProducesProblem(StatusCodes.Status404NotFound);
        }
    }

    private static Results<Created<Saved<T>>, ProblemHttpResult> Added<T>(string path, Saved<T>? added)
        where T : class => added is null ? Problems.NotFound("client") : TypedResults.Created($"/api/v1/{path}/{added.Id}", added);

    private static Results<Ok<Saved<T>>, ProblemHttpResult> Found<T>(string what, Saved<T>? found)
        where T : class => found is null ? Problems.NotFound(what) : TypedResults.Ok(found);

    private static Results<NoContent, ProblemHttpResult> Erased(string what, bool done) =>
        done ? TypedResults.NoContent() : Problems.NotFound(what);
}
