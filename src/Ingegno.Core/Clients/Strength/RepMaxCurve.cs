using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Clients.Strength;

/// <summary>
/// Reps to failure at a share p of the one-rep maximum: reps = k·(1/p − 1). With k = 30 this is the formula of
/// Epley (1985), w·(1 + r/30). Large lower-body lifts allow more reps at the same share, single-joint ones fewer;
/// their k is set so that the curves lie between the points of Hoeger et al. (1990) at 60 and 80 %.
/// </summary>
public static class RepMaxCurve
{
    /// <summary>Reps beyond which a count says nothing any more.</summary>
    public const double MostReps = 100;

    /// <summary>k of the curve kind.</summary>
    public static double Constant(CurveKind kind) =>
        kind switch
        {
            CurveKind.Lower => 50,
            CurveKind.Middle => 30,
            CurveKind.SingleJoint => 24,
            _ => throw new ArgumentOutOfRangeException(nameof(kind), kind, "Unknown rep-maximum curve."),
        };

    /// <summary>
    /// Reps to failure at a system load, 0 when it is above the one-rep maximum, at least 1 at or below it, at most
    /// <see cref="MostReps"/>.
    /// </summary>
    /// <exception cref="ArgumentOutOfRangeException">The one-rep maximum is not above 0, or the load is negative.</exception>
    public static double RepsAt(double loadKg, double oneRepMaxKg, CurveKind kind)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(oneRepMaxKg);
        ArgumentOutOfRangeException.ThrowIfNegative(loadKg);
        if (loadKg > oneRepMaxKg)
        {
            return 0;
        }

        if (loadKg * (MostReps + Constant(kind)) <= oneRepMaxKg * Constant(kind))
        {
            return MostReps;
        }

        return Math.Max(1, Constant(kind) * ((oneRepMaxKg / loadKg) - 1));
    }

    /// <summary>One-rep maximum from a load and the reps to failure with it, the inverse of <see cref="RepsAt"/>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The load is negative or the reps are below 1.</exception>
    public static double OneRepMax(double loadKg, double reps, CurveKind kind)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(loadKg);
        ArgumentOutOfRangeException.ThrowIfLessThan(reps, 1);
        return reps <= 1 ? loadKg : loadKg * (1 + (reps / Constant(kind)));
    }

    /// <summary>A load that is done so many times, as a share of the one that is done <paramref name="wantedReps"/> times.</summary>
    public static double LoadShare(double reps, double wantedReps, CurveKind kind) =>
        (Constant(kind) + wantedReps) / (Constant(kind) + reps);

    /// <summary>Reps at a share of the one-rep maximum, 0–1, as planned in percent.</summary>
    public static double RepsAtShare(double share, CurveKind kind) => RepsAt(share, 1, kind);

    /// <summary>
    /// Reps that must be reached at the lighter load so that <paramref name="wantedReps"/> are expected at the heavier
    /// one (both system loads), rounded up (docs/domain/progression): 40 → 50 kg, 8 wanted, 18 needed at 40.
    /// </summary>
    public static int RepsToEarn(double lightKg, double heavyKg, int wantedReps, CurveKind kind)
    {
        var needed = OneRepMax(heavyKg, wantedReps, kind);
        return (int)Math.Ceiling((Constant(kind) * ((needed / lightKg) - 1)) - 1e-9);
    }
}
