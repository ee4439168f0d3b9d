using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>A gym line as the matcher sees it.</summary>
/// <param name="Line">What it asks for under the approach.</param>
/// <param name="Exercise">Exercise of the gym line.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Effort">How hard it is meant.</param>
/// <param name="Approach">The school that its day follows.</param>
public sealed record LineToMatch(GymLine Line, Exercise Exercise, LineRole Role, WantedEffort Effort, Approach Approach)
{
    /// <summary>
    /// The line as an exercise answers it. An open set of the line's own exercise is as long as it is in the gym, where nobody eased it;
    /// of any other it should be a set.
    /// </summary>
    public LineToMatch For(Exercise home, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        var least = rules.Resistance.LeastOfOwnOpen;
        return Line.Target.IsOpen && home.Id == Exercise.Id && least < Effort.Low
            ? this with
            {
                Effort = Effort with { Low = least, Start = least },
            }
            : this;
    }

    /// <summary>Few reps of the line's own movement: where the load is light, and yet no toy, it is moved fast (docs/domain/prescription).</summary>
    /// <param name="home">What is done at home.</param>
    /// <param name="resistance">Its resistance part, 0–1.</param>
    /// <param name="rules">Thresholds.</param>
    public bool IsAnsweredBySpeed(Exercise home, double resistance, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        return Line.IsHeavy && home.Pattern == Exercise.Pattern && resistance >= rules.HopelessBelow;
    }

    /// <summary>Reps to failure that count as on target, with the tolerance of the role.</summary>
    public RepAim Aim(MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return new RepAim(Effort.Low, Effort.High * rules.Tolerance[Role]);
    }
}
