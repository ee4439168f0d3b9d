using Ingegno.Core.Catalogue;

namespace Ingegno.Core.Progressing;

/// <summary>
/// Standards that end the work on a rung, in good form and without pain (handbook 05, common practice): reps by rung are those of
/// the first approach that has standards, holds 30–60 s.
/// </summary>
public static class Milestones
{
    /// <summary>The standard of an exercise in words; with a load the zone is the standard.</summary>
    public static string For(Exercise exercise, Trade trade, bool loaded = false)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(trade);
        var reps = trade.Approaches.FirstOrDefault(a => !a.Standards.IsEmpty)?.Standard(exercise.Rung);
        return exercise switch
        {
            { Pattern: MovementPattern.Mobility } => "when the next one is comfortable",
            { Measure: Measure.Seconds } => exercise.Rung <= 3 ? "3×60 s" : "3×30 s",
            _ => reps is null || loaded ? "all sets at the top of the zone" : $"3×{reps}",
        };
    }
}
