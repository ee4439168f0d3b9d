using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Figures;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Figures of the exercises of a trade, a practice's own among them.</summary>
public static class ExerciseFigures
{
    /// <summary>Draws an exercise; null where it has no figure.</summary>
    /// <param name="domain">The domain rules.</param>
    /// <param name="exerciseId">The exercise.</param>
    /// <param name="setupId">Set-up; null for the usual one.</param>
    /// <param name="drawnWith">Things and load of the client as <see cref="FigureProps.Written"/> gives them; null for the usual ones.</param>
    /// <param name="statureCm">Stature, cm; null for the usual one.</param>
    /// <param name="steps">Steps from one key pose to the next.</param>
    public static FigureDrawing? DrawingOf(
        this DomainRules domain,
        string exerciseId,
        string? setupId,
        string? drawnWith,
        double? statureCm,
        int steps = FigureMotion.StepsBetween
    )
    {
        ArgumentNullException.ThrowIfNull(domain);
        if (domain.Catalogue.Find(exerciseId) is not { } exercise || domain.FigureOf(exerciseId, setupId) is not { } figure)
        {
            return null;
        }

        var stature = statureCm ?? AssumedBody.StatureCm;
        var props = drawnWith is null ? null : FigureProps.Read(drawnWith);
        var scene = new FigureScene(stature, props?.Heights() ?? ImmutableDictionary<string, double>.Empty);
        var posed = exercise.Posed is { WithinLimits: true } shift ? figure.Shifted(shift, scene) : figure;
        return FigureDrawing.Draw(props is null ? posed : posed.Dressed(props), scene, exercise.Muscles, exercise.PrimeMovers(), steps);
    }

    /// <summary>The figure of an exercise: that of the exercise it was made from, its own, or that of a neighbour in its family.</summary>
    public static Figure? FigureOf(this DomainRules domain, string exerciseId, string? setupId = null)
    {
        ArgumentNullException.ThrowIfNull(domain);
        if (domain.Catalogue.Find(exerciseId) is not { } exercise)
        {
            return null;
        }

        return (exercise.Figure is { } from ? domain.Figures.Find(from, setupId) : null)
            ?? domain.Figures.Find(exerciseId, setupId)
            ?? domain
                .Catalogue.All.Where(e => e.Family == exercise.Family && e.Id != exercise.Id)
                .OrderBy(e => Math.Abs(e.Rung - exercise.Rung))
                .Select(e => domain.Figures.Find(e.Id))
                .FirstOrDefault(f => f is not null);
    }
}
