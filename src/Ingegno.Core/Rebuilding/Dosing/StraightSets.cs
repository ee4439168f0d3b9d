using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>Compares a dose with straight sets at the usual tempo.</summary>
public static class StraightSets
{
    /// <summary>Stands for more than one technique at a time.</summary>
    public const string Several = "several";

    /// <summary>Share of straight-set reps that a dose leaves, above 0: its techniques, or a tempo that was typed.</summary>
    public static double ShareLeft(Dose dose, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(domain);
        var taken = domain.Techniques.Where(t => dose.Techniques.Contains(t.Id) && t.Scheme is null).ToList();
        var inTempo = taken.Where(t => t.Eccentric is not null || t.Pause is not null || t.Concentric is not null).ToList();
        var tempo = inTempo.Count == 0 ? domain.TempoCost.Of(dose.Tempo) : 1;
        return TechniqueChoice.RepsLeft(taken) * tempo;
    }

    /// <summary>The dose as straight sets: what a scheme adds falls away, and reps of a first part near failure come down.</summary>
    public static Dose InPlaceOf(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose.Scheme is not { OfTheDay: false } scheme
            ? dose
            : dose with
            {
                Scheme = null,
                Target = scheme.Straightened(dose.Target),
                Techniques = dose.Techniques.RemoveAll(t => t == scheme.Key),
                Instructions = dose.Instructions.RemoveAll(i => i.Code == scheme.ToldAs),
                Reason = scheme.Because == Reason.None ? dose.Reason : dose.Reason.Without(scheme.Because.Code),
            };
    }

    /// <summary>The technique that takes the reps, whether chosen or typed as a tempo; several when it is more than one, null for
    /// straight sets.</summary>
    public static string? TechniqueOf(Dose dose, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(domain);
        var taken = domain.Techniques.Where(t => dose.Techniques.Contains(t.Id) && t.RepsLeft < 1).Select(t => t.Of).Distinct().ToList();
        if (taken.Count == 0)
        {
            IEnumerable<string> typed =
            [
                .. dose.Tempo.Eccentric > Tempo.Usual.Eccentric ? [TechniqueName.SlowEccentric] : Array.Empty<string>(),
                .. Math.Max(dose.Tempo.PauseStretched, dose.Tempo.PauseShortened) > 1 ? [TechniqueName.Pause] : Array.Empty<string>(),
            ];
            taken.AddRange(typed);
        }

        return taken.Count switch
        {
            0 => null,
            1 => taken[0],
            _ => Several,
        };
    }
}
