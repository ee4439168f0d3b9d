using System.Security.Claims;
using FluentValidation;
using Ingegno.Core;
using Ingegno.Core.Programs;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Text to read as shorthand.</summary>
public sealed record ShorthandText(string Text);

public sealed class GymDayValidator : AbstractValidator<GymDay>
{
    public GymDayValidator()
    {
        RuleFor(d => d.Name).Must(n => !string.IsNullOrWhiteSpace(n)).WithMessage("The day needs a name.");
        RuleFor(d => d.Name).MaximumLength(60).WithMessage("The name of a day takes at most 60 characters.");
        RuleFor(d => d.Text).NotNull().MaximumLength(ShorthandLimits.TextLength).WithMessage($"A gym day takes at most {ShorthandLimits.TextLength:N0} characters.");
    }
}

public sealed class GymDayChangeValidator : AbstractValidator<Change<GymDay>>
{
    public GymDayChangeValidator() => RuleFor(c => c.Value).SetValidator(new GymDayValidator());
}

/// <summary>Gym days and their shorthand.</summary>
public static class GymDayEndpoints
{
    private const string What = "gym day";

    public static void MapGymDays(this IEndpointRouteBuilder api)
    {
        var days = api.MapGroup("").WithTags("gym days");
        days.MapPost("/shorthand", Read);
        days.MapGet("/clients/{clientId:long}/gym-days", List);
        days.MapPost("/clients/{clientId:long}/gym-days", Add).Validate<GymDay>().ProducesProblem(StatusCodes.Status404NotFound);
        days.MapPut("/gym-days/{id:long}", Update).Validate<Change<GymDay>>().ProducesProblem(StatusCodes.Status409Conflict);
        days.MapDelete("/gym-days/{id:long}", Delete).ProducesProblem(StatusCodes.Status404NotFound);
    }

    private static Ok<ShorthandResult> Read(ShorthandText shorthand, Trade trade) =>
        TypedResults.Ok(new ShorthandParser(trade.Names).Parse(shorthand.Text ?? string.Empty));

    private static Ok<IReadOnlyList<Saved<GymDay>>> List(long clientId, ClaimsPrincipal user, GymDayStore days) =>
        TypedResults.Ok(days.List(user.CoachId(), clientId));

    private static Results<Created<Saved<GymDay>>, ProblemHttpResult> Add(long clientId, GymDay day, ClaimsPrincipal user, GymDayStore days) =>
        days.Add(user.CoachId(), clientId, day) is { } added
            ? TypedResults.Created($"/api/v1/gym-days/{added.Id}", added)
            : Problems.NotFound("client");

    private static Results<Ok<Saved<GymDay>>, ProblemHttpResult> Update(long id, Change<GymDay> change, ClaimsPrincipal user, GymDayStore days) =>
        days.Update(user.CoachId(), id, change.Revision, change.Value).ToResult(What);

    private static Results<NoContent, ProblemHttpResult> Delete(long id, ClaimsPrincipal user, GymDayStore days) =>
        days.Delete(user.CoachId(), id) ? TypedResults.NoContent() : Problems.NotFound(What);
}
