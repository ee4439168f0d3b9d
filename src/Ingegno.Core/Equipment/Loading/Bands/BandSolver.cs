namespace Ingegno.Core.Equipment.Loading.Bands;

/// <summary>What to change to reach a wanted force.</summary>
public enum BandKnob
{
    Choke,
    Stance,
    Anchor,
}

/// <summary>The other way round: which grip gives a wanted force where the rep is hardest?</summary>
public static class BandSolver
{
    /// <summary>
    /// The value of the knob, in cm, at which the largest force of the rep is <paramref name="wantedKg"/>; null when it
    /// cannot be reached between the knob's ends. The force rises with every knob, so halving the interval finds it.
    /// </summary>
    public static double? Solve(BandForceCurve curve, BandLoad load, BandGrip grip, double statureCm, BandKnob knob, double wantedKg)
    {
        ArgumentNullException.ThrowIfNull(curve);
        ArgumentNullException.ThrowIfNull(grip);
        var (low, high) = Range(curve, grip, statureCm, knob);
        high = Reach(low, high);
        if (Force(low) is not { } least || least > wantedKg + 1e-9 || Force(high) is not { } most || most < wantedKg - 1e-9)
        {
            return null;
        }

        for (var i = 0; i < 60; i++)
        {
            var middle = (low + high) / 2;
            if (Force(middle) < wantedKg)
            {
                low = middle;
            }
            else
            {
                high = middle;
            }
        }

        return high;

        double? Force(double cm) => BandRig.RepWithin(curve, load, Turn(grip, knob, cm), statureCm)?.Force.Most;

        // The largest value at which the band still bears it.
        double Reach(double from, double to)
        {
            if (Force(to) is not null)
            {
                return to;
            }

            for (var i = 0; i < 60; i++)
            {
                var middle = (from + to) / 2;
                (from, to) = Force(middle) is null ? (from, middle) : (middle, to);
            }

            return from;
        }
    }

    /// <summary>The grip with one knob turned to a value in cm.</summary>
    public static BandGrip Turn(BandGrip grip, BandKnob knob, double cm)
    {
        ArgumentNullException.ThrowIfNull(grip);
        return knob switch
        {
            BandKnob.Choke => grip with { ChokeCm = cm },
            BandKnob.Stance => grip with { StanceCm = cm },
            _ => grip with { AnchorCm = cm },
        };
    }

    private static (double Low, double High) Range(BandForceCurve curve, BandGrip grip, double statureCm, BandKnob knob) =>
        knob switch
        {
            BandKnob.Choke => (0, 0.75 * curve.FlatCm / (grip.Doubled ? 2 : 1)),
            BandKnob.Stance => (0, 0.6 * statureCm),
            _ => (BandRig.TautCm(curve, grip) * 0.6, 400),
        };
}
