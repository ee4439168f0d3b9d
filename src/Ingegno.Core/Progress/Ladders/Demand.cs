using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Progress.Ladders;

/// <summary>
/// One unit for every state of a family, whatever its variation, load and technique: the share of the client's one-rep maximum at which
/// straight sets of a middle curve would end with these reps. 1 is all there is.
/// </summary>
public static class Demand
{
    /// <summary>What a state asks for.</summary>
    /// <param name="oneRepMaxKg">The client's maximum in the variation, kg of system load.</param>
    /// <param name="systemKg">System load, kg.</param>
    /// <param name="curve">Kind of lift.</param>
    /// <param name="shareLeft">Share of straight-set reps that techniques leave, above 0, at most 1.</param>
    public static double Of(double oneRepMaxKg, double systemKg, CurveKind curve, double shareLeft = 1)
    {
        if (systemKg >= oneRepMaxKg)
        {
            return systemKg / oneRepMaxKg / shareLeft;
        }

        var reps = RepMaxCurve.Reps(oneRepMaxKg / systemKg, curve) * shareLeft;
        return OfReps(reps);
    }

    /// <summary>The demand at which so many reps are all there are.</summary>
    public static double OfReps(double repsToFailure) => 1 / (1 + (repsToFailure / RepMaxCurve.Constant(CurveKind.Middle)));

    /// <summary>Reps to failure at a demand; 0 from 1 on.</summary>
    public static double Reps(double demand) => Math.Max(0, RepMaxCurve.Constant(CurveKind.Middle) * ((1 / demand) - 1));
}
