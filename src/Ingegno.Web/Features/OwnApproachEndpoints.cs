using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.PracticeData;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>Approaches of a practice: copies of those that ship, changed.</summary>
public static class OwnApproachEndpoints
{
    internal static readonly OwnKind<Approach> Kind = new(
        "approach",
        Limits.OwnApproaches,
        a => a.Id,
        (key, domain, _) => domain.Approaches.Any(a => a.Id == key),
        (approach, _, _) => ApproachCheck.Faults(approach, DomainRules.Shipped)
    );

    public static void MapOwnApproaches(this IEndpointRouteBuilder api)
    {
        api.MapGet("/approaches", All).WithTags("trade");
        api.MapOwn<OwnApproachStore, Approach>("/own-approaches", Kind);
    }

    /// <summary>Every approach with all that is known of it, the practice's own among them.</summary>
    private static Ok<ImmutableArray<Approach>> All(DomainRules domain) => TypedResults.Ok(domain.Approaches);
}
