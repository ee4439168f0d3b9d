using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Prescribing;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Making.Matching;

/// <summary>A gym line as the matcher sees it.</summary>
/// <param name="Line">What it asks for under the approach.</param>
/// <param name="Exercise">Exercise of the gym line.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Effort">How hard it is meant.</param>
/// <param name="Approach">The school that its day follows.</param>
public sealed record LineToMatch(GymLine Line, Exercise Exercise, LineRole Role, WantedEffort Effort, Approach Approach)
{
    /// <summary>Reps to failure that count as on target, with the tolerance of the role.</summary>
    public RepAim Aim(MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return new RepAim(Effort.Low, Effort.High * rules.Tolerance[Role]);
    }
}
