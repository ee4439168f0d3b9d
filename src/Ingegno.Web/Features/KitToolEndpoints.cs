using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A thing as typed.</summary>
public sealed record KitText(string Text);

/// <summary>A client at a place.</summary>
public sealed record ClientAtPlace(ClientProfile Client, PlaceKit Kit);

/// <summary>An exercise for a client at a place.</summary>
public sealed record ExerciseAtPlace(ClientProfile Client, PlaceKit Kit, string ExerciseId);

public sealed class ClientAtPlaceValidator : AbstractValidator<ClientAtPlace>
{
    public ClientAtPlaceValidator()
    {
        RuleFor(c => c.Client).SetValidator(new ClientProfileValidator());
        RuleFor(c => c.Kit).SetValidator(new PlaceKitValidator());
    }
}

public sealed class ExerciseAtPlaceValidator : AbstractValidator<ExerciseAtPlace>
{
    public ExerciseAtPlaceValidator()
    {
        RuleFor(c => c.Client).SetValidator(new ClientProfileValidator());
        RuleFor(c => c.Kit).SetValidator(new PlaceKitValidator());
    }
}

/// <summary>What a kit can be used for: stateless, nothing is stored.</summary>
public static class KitToolEndpoints
{
    public static void MapKitTools(this IEndpointRouteBuilder api)
    {
        var tools = api.MapGroup("").WithTags("kit tools");
        tools.MapPost("/kit/read", Read);
        tools.MapPost("/kit/paragraph", ReadParagraph);
        tools.MapPost("/kit/possibilities", Possibilities).Validate<ClientAtPlace>();
        tools.MapPost("/setups", Setups).Validate<ExerciseAtPlace>().ProducesProblem(StatusCodes.Status400BadRequest);
    }

    private static Ok<KitEntry> Read(KitText text, KitShorthand shorthand) => TypedResults.Ok(shorthand.Read(text.Text));

    /// <summary>Reads a paragraph of kit, thing by thing; nothing is added before a coach says so.</summary>
    private static Ok<ImmutableArray<KitFind>> ReadParagraph(KitText text, KitShorthand shorthand) =>
        TypedResults.Ok(new KitParagraph(shorthand).Read(text.Text));

    private static Ok<KitPossibilities> Possibilities(ClientAtPlace at, KitValue value) => TypedResults.Ok(value.Of(at.Client, at.Kit));

    private static Results<Ok<SetupRange>, ProblemHttpResult> Setups(ExerciseAtPlace at, ReachableSetups setups, DomainRules domain) =>
        domain.Catalogue.Find(at.ExerciseId) is { AtHome: true } exercise
            ? TypedResults.Ok(setups.For(exercise, at.Client, at.Kit))
            : Problems.Invalid("exerciseId", "That exercise is not one for the home.");
}
