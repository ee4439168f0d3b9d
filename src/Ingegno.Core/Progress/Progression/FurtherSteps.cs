using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>
/// The last two ways to grow without load, after seconds and density (docs/domain/progression): a longer range, and another technique. Each brings
/// the reps back into the zone, where more of them would train something else.
/// </summary>
internal sealed class FurtherSteps(ProposalWriter say)
{
    /// <summary>Techniques that leave nearly the same reps are one to a client, as a share.</summary>
    private const double Clearly = 0.97;

    private readonly TempoSteps _tempo = new(say);

    /// <summary>The same on something a hand's breadth high; null where that is no help, or nothing such is here.</summary>
    /// <param name="able">Reps of a set as it is done now.</param>
    public Proposal? Deeper(double able) =>
        say.Dose is { Timed: false, Scheme: null }
        && say.Taken.All(TempoSteps.IsSaidByTempo)
        && say.Context.Techniques.FirstOrDefault(t => t.Of == TechniqueName.LongerRange) is { } range
        && _tempo.Leads(say.With(range), able) is { } dose
            ? say.Make(Decision.TechniqueOn, Reason.Of("harder.deeper"), dose)
            : null;

    /// <summary>
    /// The gentlest technique that still asks for more than what is done now, in its place: two at a time are for few. Null where none does.
    /// </summary>
    /// <param name="able">Reps of a set as it is done now.</param>
    public Proposal? Technique(double able)
    {
        if (say.Dose is not { Timed: false, Scheme: null } || say.Taken.Any(t => t.Explosive))
        {
            return null;
        }

        return say
            .Context.Techniques.Where(t => t.Of is not (TechniqueName.SlowEccentric or TechniqueName.LongerRange) && IsNext(t))
            .OrderByDescending(t => t.RepsLeft)
            .ThenBy(t => t.Order)
            .Select(t => (Step: t, Dose: _tempo.Leads(say.Only(t), able)))
            .Where(t => t.Dose is not null)
            .Select(t =>
                say.Make(Decision.TechniqueOn, Reason.Of("harder.technique", ("technique", t.Step.Label), ("how", t.Step.How)), t.Dose!)
            )
            .FirstOrDefault();
    }

    /// <summary>It asks for more than the dose as it is, however long it lasts.</summary>
    private bool IsNext(Technique step) => say.Context.ShareLeft(say.Only(step)) <= say.Left() * Clearly;
}
