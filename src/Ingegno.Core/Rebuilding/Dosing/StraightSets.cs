using Ingegno.Core.Foundation.Quantities;
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

    /// <summary>Share of the first part of a rest-pause set that several straight sets with full rests hold (own estimate).</summary>
    private const double OfRestPause = 0.8;

    /// <summary>The dose as straight sets: what a scheme adds falls away, and reps of a first part near failure come down.</summary>
    public static Dose InPlaceOf(Dose dose)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return dose.Scheme switch
        {
            null or SetScheme.PreExhaust => dose,
            SetScheme.RestPause => Plain(dose, TechniqueName.RestPause) with
            {
                Target = new SetTarget(Math.Max(1, (int)Math.Round(dose.Target.Max * OfRestPause)), dose.Target.Max),
            },
            _ => Plain(dose, "goes-on"),
        };

        static Dose Plain(Dose dose, string said) =>
            dose with
            {
                Scheme = null,
                Techniques = dose.Techniques.RemoveAll(t =>
                    t is TechniqueName.RestPause or TechniqueName.Drop or TechniqueName.MechanicalDrop
                ),
                Instructions = dose.Instructions.RemoveAll(i => i.Code == $"instruction.{said}"),
                Reason = dose.Reason.Without($"dose.{said}"),
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
