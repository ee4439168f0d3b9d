using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>What two exercises ask of a body, whatever they are called.</summary>
public static class Stimulus
{
    /// <summary>Overlap of muscles from which two exercises are one stimulus (own decision).</summary>
    private const double SameMuscles = 0.93;

    /// <summary>
    /// Same pattern, same muscles, same sides, hardest at the same point: done on one day, the second adds sets and nothing else
    /// (docs/domain/prescription).
    /// </summary>
    public static bool IsSame(Exercise one, Exercise other, PartRules parts)
    {
        ArgumentNullException.ThrowIfNull(one);
        ArgumentNullException.ThrowIfNull(other);
        return one.Pattern == other.Pattern
            && one.Profile == other.Profile
            && one.Sides == other.Sides
            && one.Pattern is not (MovementPattern.Mobility or MovementPattern.Breathing)
            && PartMatches.MuscleScore(one.Muscles, other.Muscles, parts) > SameMuscles;
    }
}
