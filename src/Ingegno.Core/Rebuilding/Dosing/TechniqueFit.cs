using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>Whether a technique suits an exercise and a client.</summary>
public static class TechniqueFit
{
    /// <summary>Steps that leave fewer reps and that a client may take in an exercise under an approach, gladliest first.</summary>
    public static ImmutableArray<Technique> Fitting(Exercise exercise, ClientProfile client, Approach approach, IEnumerable<Technique> all)
    {
        ArgumentNullException.ThrowIfNull(approach);
        return
        [
            .. all.Where(t => t is { Scheme: null, RepsLeft: < 1 } && t.Fits(exercise, client) && !approach.Avoids.Contains(t.Of))
                .Where(t => !t.ByChoice || approach.Prefers.Contains(t.Of))
                .OrderBy(t => t.Order),
        ];
    }

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
            && (technique.Structure is null || technique.Structure == exercise.Structure)
            && (technique.Region is null || technique.Region == BodyRegions.ForPattern(exercise.Pattern))
            && client.Level >= technique.From
            && JointSparing.Slowest(exercise, client) is var slowest
            && !(technique.Eccentric > slowest.LoweringSeconds || technique.Pause > slowest.PauseSeconds)
            && (slowest == SlowestReps.Any || technique.Of != TechniqueName.LongerRange)
            && !(technique.NotWithHighBloodPressure && client.Avoids(HealthHazard.Straining));
    }
}
