using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Ladders;

/// <summary>A step from one load to the next.</summary>
/// <param name="Step">How high it is, as a share of the lighter one.</param>
/// <param name="NeededKg">One-rep maximum that the heavier load asks for, kg.</param>
/// <param name="RepsNow">Reps at the lighter load that earn the step.</param>
/// <param name="Advice">What to do.</param>
public sealed record Jump(double Step, double NeededKg, int RepsNow, Reason Advice)
{
    /// <summary>The step between two system loads.</summary>
    /// <param name="fromKg">Load of now, kg, above 0.</param>
    /// <param name="toKg">Next load, kg, above 0.</param>
    /// <param name="wantedReps">Reps wanted at the next load.</param>
    /// <param name="curve">Curve of the kind of lift.</param>
    /// <param name="formula">A published formula in its place; null for the curve.</param>
    public static Jump Between(double fromKg, double toKg, int wantedReps, CurveKind curve, RepMaxFormula? formula)
    {
        var needed = formula?.OneRepMax(toKg, wantedReps) ?? RepMaxCurve.OneRepMax(toKg, wantedReps, curve);
        var reps = (int)Math.Ceiling((formula?.RepsAt(fromKg, needed) ?? RepMaxCurve.RepsAt(fromKg, needed, curve)) - 1e-9);
        var advice =
            toKg <= fromKg ? Reason.Of("jump.none")
            : reps <= DosePrescriber.MostUsefulReps
                ? Reason.Of("jump.earn", ("reps", reps), ("from", Quantity.Kg(fromKg)), ("wanted", wantedReps), ("to", Quantity.Kg(toKg)))
            : Reason.Of("jump.too-far", ("reps", reps), ("limit", DosePrescriber.MostUsefulReps));
        return new Jump((toKg / fromKg) - 1, Math.Round(needed, 1), reps, advice);
    }
}
