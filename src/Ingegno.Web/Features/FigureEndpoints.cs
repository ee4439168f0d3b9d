using System.Collections.Immutable;
using System.Security.Claims;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Figures;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Storage;
using Ingegno.Web.Infrastructure;
using Microsoft.AspNetCore.Http.HttpResults;
using Microsoft.AspNetCore.Http.Json;
using Microsoft.Extensions.Options;

namespace Ingegno.Web.Features;

/// <summary>A figure of a release.</summary>
/// <param name="ExerciseId">The exercise.</param>
/// <param name="SetupId">Its set-up.</param>
/// <param name="DrawnWith">Things and load it is drawn with.</param>
/// <param name="Drawing">The drawing.</param>
public sealed record ReleaseFigure(string ExerciseId, string SetupId, string? DrawnWith, FigureDrawing Drawing);

/// <summary>A figure with parts moved by hand.</summary>
/// <param name="ExerciseId">Exercise whose figure is taken.</param>
/// <param name="Posed">What is moved.</param>
public sealed record PosedQuestion(string ExerciseId, FigureShift Posed);

/// <summary>A figure as it was moved, with what no body can do of it.</summary>
public sealed record PosedFigure(FigureDrawing Drawing, ImmutableArray<Reason> Faults);

/// <summary>How exercises look.</summary>
public static class FigureEndpoints
{
    /// <summary>Steps from pose to pose on the phone, which keeps all figures of its release.</summary>
    private const int StepsOnPhone = 6;

    public static void MapFigures(this IEndpointRouteBuilder api)
    {
        api.MapGet("/figures/{exerciseId}", One)
            .WithTags("trade")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status404NotFound);
        api.MapPost("/figures/posed", Posed)
            .WithTags("trade")
            .ProducesProblem(StatusCodes.Status400BadRequest)
            .ProducesProblem(StatusCodes.Status404NotFound);
        api.MapGroup("/training")
            .WithTags("training")
            .RequireAuthorization(LinkSignIn.Policy)
            .MapGet("/figures", OfReleases)
            .Produces<ImmutableArray<ReleaseFigure>>()
            .Produces(StatusCodes.Status304NotModified);
    }

    private static Results<Ok<FigureDrawing>, ProblemHttpResult> One(
        string exerciseId,
        DomainRules domain,
        string? setup = null,
        string? with = null,
        double? stature = null
    )
    {
        if (stature is not (null or (>= 100 and <= 250)))
        {
            return Problems.Invalid("stature", "A stature lies between 100 and 250 cm.");
        }

        if (with?.Length > FigureProps.MostCharacters)
        {
            return Problems.Invalid("with", $"The things of a figure take at most {FigureProps.MostCharacters} characters.");
        }

        if (domain.DrawingOf(exerciseId, setup, with, stature) is not { } drawing)
        {
            return Problems.NotFound("figure");
        }

        return TypedResults.Ok(drawing);
    }

    private static Results<Ok<PosedFigure>, ProblemHttpResult> Posed(PosedQuestion question, DomainRules domain)
    {
        if (!question.Posed.WithinLimits)
        {
            return Problems.Invalid(
                "posed",
                $"A part is moved by at most {FigureShift.Farthest} of the stature, the trunk by {FigureShift.MostTrunk}°."
            );
        }

        if (domain.Catalogue.Find(question.ExerciseId) is not { } exercise || domain.FigureOf(question.ExerciseId) is not { } figure)
        {
            return Problems.NotFound("figure");
        }

        var posed = figure.Shifted(question.Posed, FigureScene.Usual);
        return TypedResults.Ok(
            new PosedFigure(
                FigureDrawing.Draw(posed, FigureScene.Usual, exercise.Muscles, exercise.PrimeMovers()),
                FigureCheck.Check(posed, FigureScene.Usual)
            )
        );
    }

    private static IResult OfReleases(
        ClaimsPrincipal user,
        HttpContext context,
        IOptions<JsonOptions> json,
        ReleaseStore releases,
        ClientStore clients,
        PracticeRules trades
    )
    {
        var link = LinkHolder.Of(user);
        var domain = trades.Of(link.CoachId);
        var stature = clients.Find(link.CoachId, link.ClientId)?.Value.Profile.StatureCm;
        return TaggedJson.Of(
            context,
            releases
                .Current(link.CoachId, link.ClientId)
                .SelectMany(r => r.Release.Days)
                .SelectMany(d => d.Exercises)
                .SelectMany(e => e.Alternatives.Select(a => a.Exercise).Prepend(e))
                .DistinctBy(e => (e.ExerciseId, e.SetupId, e.DrawnWith))
                .Select(e =>
                    domain.DrawingOf(e.ExerciseId, e.SetupId, e.DrawnWith, stature, StepsOnPhone) is { } drawing
                        ? new ReleaseFigure(e.ExerciseId, e.SetupId, e.DrawnWith, drawing)
                        : null
                )
                .OfType<ReleaseFigure>()
                .ToImmutableArray(),
            json.Value.SerializerOptions
        );
    }
}
