using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.PracticeData;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;

namespace Ingegno.Web.Features;

/// <summary>A practice's own exercises, in the form of the catalogue; one with a shipped key takes its place.</summary>
public static class OwnExerciseEndpoints
{
    internal static readonly OwnKind<Exercise> Kind = new(
        "exercise",
        Limits.OwnExercises,
        e => e.Id,
        (key, _, own) => own.Any(e => e.Id == key),
        (exercise, _, others) => CatalogueCheck.FaultsOfOwn(exercise, DomainRules.Shipped.With([.. others, exercise]))
    );

    public static void MapOwnExercises(this IEndpointRouteBuilder api) => api.MapOwn<OwnExerciseStore, Exercise>("/own-exercises", Kind);
}
