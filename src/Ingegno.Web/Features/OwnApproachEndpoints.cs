using System.Security.Claims;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Practice;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Approaches of a practice: copies of those that ship, changed.</summary>
public static class OwnApproachEndpoints
{
    private const string What = "approach";

    public static void MapOwnApproaches(this IEndpointRouteBuilder api)
    {
        api.MapGet("/approaches", All).WithTags("trade");
        var own = api.MapGroup("/own-approaches").WithTags("trade");
        own.MapGet("/", List);
        own.MapPost("/", Add).ProducesProblem(StatusCodes.Status400BadRequest);
        own.MapPut("/{id:long}", Update).ProducesProblem(StatusCodes.Status409Conflict);
        own.MapDelete("/{id:long}", Delete).ProducesProblem(StatusCodes.Status404NotFound);
    }

    /// <summary>Every approach with all that is known of it, the practice's own among them.</summary>
    private static Ok<System.Collections.Immutable.ImmutableArray<Approach>> All(Trade trade) => TypedResults.Ok(trade.Approaches);

    private static Ok<IReadOnlyList<Saved<Approach>>> List(ClaimsPrincipal user, OwnApproachStore own) => TypedResults.Ok(own.List(user.CoachId()));

    private static Results<Created<Saved<Approach>>, ProblemHttpResult> Add(Approach approach, ClaimsPrincipal user, OwnApproachStore own, PracticeTrades trades)
    {
        var coach = user.CoachId();
        if (own.List(coach).Count >= Limits.OwnApproaches)
        {
            return Problems.Invalid("approach", $"A practice keeps at most {Limits.OwnApproaches} approaches of its own.");
        }

        if (trades.Of(coach).Approaches.Any(a => a.Id == approach.Id))
        {
            return Problems.Invalid("id", $"There is an approach with the key \"{approach.Id}\" already. Choose another name.");
        }

        if (Wrong(approach) is { } wrong)
        {
            return wrong;
        }

        var added = own.Add(coach, approach);
        trades.Forget(coach);
        return TypedResults.Created($"/api/v1/own-approaches/{added.Id}", added);
    }

    private static Results<Ok<Saved<Approach>>, ProblemHttpResult> Update(long id, Change<Approach> change, ClaimsPrincipal user, OwnApproachStore own, PracticeTrades trades)
    {
        var coach = user.CoachId();
        if (own.Find(coach, id) is not { } present)
        {
            return Problems.NotFound(What);
        }

        if (present.Value.Id != change.Value.Id)
        {
            return Problems.Invalid("id", "The key stays as it is: plans know the approach by it.");
        }

        if (Wrong(change.Value) is { } wrong)
        {
            return wrong;
        }

        var written = own.Update(coach, id, change.Revision, change.Value);
        trades.Forget(coach);
        return written.ToResult(What);
    }

    private static Results<NoContent, ProblemHttpResult> Delete(long id, ClaimsPrincipal user, OwnApproachStore own, PracticeTrades trades)
    {
        var deleted = own.Delete(user.CoachId(), id);
        trades.Forget(user.CoachId());
        return deleted ? TypedResults.NoContent() : Problems.NotFound(What);
    }

    private static ProblemHttpResult? Wrong(Approach approach)
    {
        var faults = ApproachCheck.Faults(approach, Trade.Shipped);
        return faults.IsEmpty ? null : Problems.Invalid(new Dictionary<string, string[]> { ["approach"] = [.. faults] });
    }
}
