using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Practice;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A practice's own exercises, in the form of the catalogue; one with a shipped key takes its place.</summary>
public static class OwnExerciseEndpoints
{
    private const string What = "exercise";

    public static void MapOwnExercises(this IEndpointRouteBuilder api)
    {
        var own = api.MapGroup("/own-exercises").WithTags("trade");
        own.MapGet("/", List);
        own.MapPost("/", Add).ProducesProblem(StatusCodes.Status400BadRequest);
        own.MapPut("/{id:long}", Update).ProducesProblem(StatusCodes.Status409Conflict);
        own.MapDelete("/{id:long}", Delete).ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static Ok<IReadOnlyList<Saved<Exercise>>> List(ClaimsPrincipal user, OwnExerciseStore own) => TypedResults.Ok(own.List(user.CoachId()));

    private static Results<Created<Saved<Exercise>>, ProblemHttpResult> Add(Exercise exercise, ClaimsPrincipal user, OwnExerciseStore own, PracticeTrades trades)
    {
        var coach = user.CoachId();
        var present = own.List(coach);
        if (present.Count >= Limits.OwnExercises)
        {
            return Problems.Invalid("exercise", $"A practice keeps at most {Limits.OwnExercises} exercises of its own.");
        }

        if (present.Any(e => e.Value.Id == exercise.Id))
        {
            return Problems.Invalid("id", $"You already have an exercise with the key \"{exercise.Id}\". Open it and change it, or choose another key.");
        }

        if (Wrong(exercise, present.Select(e => e.Value)) is { } wrong)
        {
            return wrong;
        }

        var added = own.Add(coach, exercise);
        trades.Forget(coach);
        return TypedResults.Created($"/api/v1/own-exercises/{added.Id}", added);
    }

    private static Results<Ok<Saved<Exercise>>, ProblemHttpResult> Update(long id, Change<Exercise> change, ClaimsPrincipal user, OwnExerciseStore own, PracticeTrades trades)
    {
        var coach = user.CoachId();
        if (own.Find(coach, id) is not { } present)
        {
            return Problems.NotFound(What);
        }

        if (present.Value.Id != change.Value.Id)
        {
            return Problems.Invalid("id", "The key stays as it is: plans and logs know the exercise by it.");
        }

        if (Wrong(change.Value, own.List(coach).Where(e => e.Id != id).Select(e => e.Value)) is { } wrong)
        {
            return wrong;
        }

        var written = own.Update(coach, id, change.Revision, change.Value);
        trades.Forget(coach);
        return written.ToResult(What);
    }

    private static Results<NoContent, ProblemHttpResult> Delete(long id, ClaimsPrincipal user, OwnExerciseStore own, PracticeTrades trades)
    {
        var deleted = own.Delete(user.CoachId(), id);
        trades.Forget(user.CoachId());
        return deleted ? TypedResults.NoContent() : Problems.NotFound(What);
    }

    private static ProblemHttpResult? Wrong(Exercise exercise, IEnumerable<Exercise> others)
    {
        ImmutableArray<Exercise> own = [.. others, exercise];
        var faults = CatalogueCheck.FaultsOfOwn(exercise, Trade.Shipped.With(own));
        return faults.IsEmpty ? null : Problems.Invalid(new Dictionary<string, string[]> { ["exercise"] = [.. faults] });
    }
}
