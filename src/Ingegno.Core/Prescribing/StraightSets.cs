using Ingegno.Core.Programs;

namespace Ingegno.Core.Prescribing;

/// <summary>Compares a dose with straight sets at the usual tempo.</summary>
public static class StraightSets
{
    /// <summary>Share of straight-set reps that a dose leaves, above 0: its techniques, or a tempo that was typed.</summary>
    public static double ShareLeft(Dose dose, Trade trade)
    {
        ArgumentNullException.ThrowIfNull(dose);
        ArgumentNullException.ThrowIfNull(trade);
        var taken = trade.Techniques.Where(t => dose.Techniques.Contains(t.Id) && t.Scheme is null).ToList();
        var inTempo = taken.Where(t => t.Eccentric is not null || t.Pause is not null || t.Concentric is not null).ToList();
        var tempo = inTempo.Count == 0 && Tempo.TryParse(dose.Tempo, out var read) ? trade.TempoCost.Of(read) : 1;
        return TechniqueChoice.RepsLeft(taken) * tempo;
    }
}
