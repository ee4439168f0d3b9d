using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Progress.Ladders;

/// <summary>
/// Standards that end the work on a rung, in good form and without pain (docs/domain/progression, common practice): reps by rung are those
/// of
/// the first approach that has standards, holds 30–60 s.
/// </summary>
public static class Milestones
{
    /// <summary>The standard of an exercise in words; with a load the zone is the standard.</summary>
    public static Reason For(Exercise exercise, DomainRules domain, bool loaded = false)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(domain);
        var reps = domain.Approaches.FirstOrDefault(a => !a.Standards.IsEmpty)?.Standard(exercise.Rung);
        return exercise switch
        {
            { Pattern: MovementPattern.Mobility } => Reason.Of("standard.comfortable"),
            { Measure: Measure.Seconds } => Reason.Of("standard.hold", ("hold", Quantity.Seconds(exercise.Rung <= 3 ? 60 : 30))),
            _ => reps is null || loaded ? Reason.Of("standard.zone") : Reason.Of("standard.reps", ("reps", reps.Value)),
        };
    }
}
