using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Microsoft.AspNetCore.Http.HttpResults;

namespace Ingegno.Web.Features;

/// <summary>What Ingegno believes: the figures of its rules with what they mean and where they come from.</summary>
public static class BeliefEndpoints
{
    public static void MapBeliefs(this IEndpointRouteBuilder api) => api.MapGet("/beliefs", All).WithTags("trade");

    private static Ok<ImmutableArray<BeliefTopic>> All() => TypedResults.Ok(Beliefs.Shipped);
}
