using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Trainee.Clients;

namespace Ingegno.Core.Making.Prescribing;

/// <summary>Whether a technique suits an exercise and a client.</summary>
public static class TechniqueFit
{
    /// <summary>Whether a client may do it in an exercise: the exercise names it, or it fits everywhere within its limits.</summary>
    public static bool Fits(this Technique technique, Exercise exercise, ClientProfile client)
    {
        ArgumentNullException.ThrowIfNull(technique);
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(client);
        var named = technique.Requires.IsEmpty
            ? exercise.Techniques.Contains(technique.Of)
            : technique.Requires.All(r => exercise.Techniques.Contains(r));
        var everywhere =
            technique.Everywhere
            && exercise
                is {
                    Measure: Measure.Reps,
                    Impact: 0,
                    Strength: not null,
                    Pattern: not (MovementPattern.Mobility or MovementPattern.Breathing)
                };
        return (named || everywhere)
            && (technique.Patterns.IsEmpty || technique.Patterns.Contains(exercise.Pattern))
            && (technique.Structure is null || technique.Structure == exercise.Structure)
            && (technique.Region is null || technique.Region == BodyRegions.Of(exercise.Pattern))
            && client.Level >= technique.From
            && !(technique.NotWithHighBloodPressure && client.HighBloodPressure);
    }
}
