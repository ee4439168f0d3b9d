using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Clients.Strength;

/// <summary>
/// Reps to failure at a share p of the one-rep maximum: reps = k·(1/p − 1). With k = 30 this is the formula of
/// Epley (1985), w·(1 + r/30). Large lower-body lifts allow more reps at the same share, single-joint ones fewer;
/// their k is set so that the curves lie between the points of Hoeger et al. (1990) at 60 and 80 %. Of a squat bar and body are counted
/// together, and 80 % of the bar are 87 % of both: 75 gives the 30 and 12 reps at 60 and 80 % of the bar of Shimano et al. (2006, J Strength
/// Cond Res 20(4), from memory) within a fifth. Past <see cref="EnduranceReps"/> it is breath and will that end a set of squats, not strength:
/// with the body alone about thirty to forty are done by people of no training (squat tests of fitness books, from memory), where 75 would
/// say seventy; from there k is that of any other lift.
/// </summary>
public static class RepMaxCurve
{
    /// <summary>Reps beyond which a count says nothing any more.</summary>
    public const double MostReps = 100;

    /// <summary>Reps of a squat past which endurance gives out before strength.</summary>
    public const double EnduranceReps = 30;

    /// <summary>k of the curve kind, as far as strength ends the set.</summary>
    public static double Constant(CurveKind kind) =>
        kind switch
        {
            CurveKind.TwoLegs => 75,
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

        return loadKg * MaxOverLoad(MostReps, kind) <= oneRepMaxKg ? MostReps : Math.Max(1, Reps(oneRepMaxKg / loadKg, kind));
    }

    /// <summary>Reps at a maximum that is so many times the load, 1 or more; without end, past what is counted.</summary>
    public static double Reps(double maxOverLoad, CurveKind kind)
    {
        var reps = Constant(kind) * (maxOverLoad - 1);
        return kind == CurveKind.TwoLegs && reps > EnduranceReps
            ? EnduranceReps + (Constant(CurveKind.Middle) * (maxOverLoad - MaxOverLoad(EnduranceReps, kind)))
            : reps;
    }

    /// <summary>How many times the load the maximum is, of which so many reps are done: the inverse of <see cref="Reps"/>.</summary>
    public static double MaxOverLoad(double reps, CurveKind kind) =>
        kind == CurveKind.TwoLegs && reps > EnduranceReps
            ? MaxOverLoad(EnduranceReps, kind) + ((reps - EnduranceReps) / Constant(CurveKind.Middle))
            : 1 + (reps / Constant(kind));

    /// <summary>One-rep maximum from a load and the reps to failure with it, the inverse of <see cref="RepsAt"/>.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The load is negative or the reps are below 1.</exception>
    public static double OneRepMax(double loadKg, double reps, CurveKind kind)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(loadKg);
        ArgumentOutOfRangeException.ThrowIfLessThan(reps, 1);
        return reps <= 1 ? loadKg : loadKg * MaxOverLoad(reps, kind);
    }

    /// <summary>A load that is done so many times, as a share of the one that is done <paramref name="wantedReps"/> times.</summary>
    public static double LoadShare(double reps, double wantedReps, CurveKind kind) =>
        MaxOverLoad(wantedReps, kind) / MaxOverLoad(reps, kind);

    /// <summary>Reps at a share of the one-rep maximum, 0–1, as planned in percent.</summary>
    public static double RepsAtShare(double share, CurveKind kind) => RepsAt(share, 1, kind);

    /// <summary>
    /// Reps that must be reached at the lighter load so that <paramref name="wantedReps"/> are expected at the heavier
    /// one (both system loads), rounded up (docs/domain/progression): 40 → 50 kg, 8 wanted, 18 needed at 40.
    /// </summary>
    public static int RepsToEarn(double lightKg, double heavyKg, int wantedReps, CurveKind kind) =>
        (int)Math.Ceiling(Reps(OneRepMax(heavyKg, wantedReps, kind) / lightKg, kind) - 1e-9);
}
