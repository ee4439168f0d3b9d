using System.Collections.Immutable;
using FluentValidation;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading.Packing;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>A load to build from a kit.</summary>
/// <param name="Kit">What there is; counts and masses may be changed for trying out.</param>
/// <param name="TargetKg">Wanted mass of one hand, container included.</param>
/// <param name="Hands">1, or 2 for the same in both hands.</param>
/// <param name="ContainerId">Only this container; null for the best of all.</param>
public sealed record LoadToBuild(PlaceKit Kit, double TargetKg, int Hands = 1, string? ContainerId = null);

/// <summary>What can be built.</summary>
/// <param name="Answer">The recipe, or the nearest ones.</param>
/// <param name="ReachableKg">Every mass of one hand that can be reached, lightest first, for the ruler.</param>
public sealed record BuiltLoads(LoadAnswer Answer, ImmutableArray<double> ReachableKg);

public sealed class LoadToBuildValidator : AbstractValidator<LoadToBuild>
{
    public LoadToBuildValidator()
    {
        RuleFor(l => l.Kit).SetValidator(new PlaceKitValidator());
        RuleFor(l => l.TargetKg)
            .GreaterThan(0)
            .LessThanOrEqualTo(LoadBuilder.MostKg)
            .WithMessage($"A load to build lies above 0 and at most at {LoadBuilder.MostKg} kg in a hand.");
        RuleFor(l => l.Hands).InclusiveBetween(1, 2).WithMessage("A load is built for one hand or two.");
    }
}

/// <summary>The load builder: stateless, nothing is stored.</summary>
public static class LoadBuilderEndpoints
{
    private const int MostReachable = 600;

    public static void MapLoadBuilder(this IEndpointRouteBuilder api) =>
        api.MapPost("/loads/build", Build).Validate<LoadToBuild>().WithTags("kit tools");

    private static Ok<BuiltLoads> Build(LoadToBuild load, DomainRules domain)
    {
        var kit = new KitAtPlace(load.Kit, domain.KitKinds);
        var containers = PlaceLoads.Containers(kit);
        ImmutableArray<Container> chosen = load.ContainerId is { } id ? [.. containers.Where(c => c.Id == id)] : containers;
        var builder = new LoadBuilder(chosen, PlaceLoads.Objects(kit), PlaceLoads.Fillers(kit));
        var reachable = chosen.IsEmpty ? [] : builder.Masses(load.Hands);
        var every = Math.Max(1, (int)Math.Ceiling(reachable.Length / (double)MostReachable));
        return TypedResults.Ok(
            new BuiltLoads(builder.Build(new LoadWish(load.TargetKg, load.Hands)), [.. reachable.Where((_, i) => i % every == 0)])
        );
    }
}
