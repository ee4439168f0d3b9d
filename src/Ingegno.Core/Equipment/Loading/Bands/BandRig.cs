using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Loading.Bands;

/// <summary>What can be changed about a rig on the spot.</summary>
/// <param name="Doubled">The band is folded: half as long, twice the strands.</param>
/// <param name="ChokeCm">How much shorter it is gripped, in cm of its length end to end, 0 or more.</param>
/// <param name="StanceCm">Stood on: distance between the feet in cm; 0 for one foot.</param>
/// <param name="AnchorCm">Anchored: level distance from the anchor to the hand at the start of the rep, in cm.</param>
/// <param name="AnchorHeightCm">Anchored: height of the anchor in cm; null when it is level with the hands.</param>
public sealed record BandGrip(
    bool Doubled = false,
    double ChokeCm = 0,
    double StanceCm = 0,
    double AnchorCm = 0,
    double? AnchorHeightCm = null
);

/// <summary>Force of a rigged band at three points of a rep.</summary>
/// <param name="Force">kg at the start (muscle long), middle and end (muscle short).</param>
/// <param name="StartStretch">Stretch at the start.</param>
/// <param name="EndStretch">Stretch at the end.</param>
public sealed record BandRep(ResistanceRange Force, double StartStretch, double EndStretch)
{
    /// <summary>Largest stretch of the rep.</summary>
    public double MostStretch => Math.Max(StartStretch, EndStretch);

    /// <summary>Why to take care, null when there is no reason.</summary>
    public Reason? Warning =>
        MostStretch > BandForceCurve.WarnStretch
            ? Reason.Of(
                "band.far",
                ("stretch", Math.Round(MostStretch, 1, MidpointRounding.AwayFromZero)),
                ("limit", BandForceCurve.WarnStretch)
            )
            : null;
}

/// <summary>Geometry of a band in a set-up: from stature and grip to the force over the rep.</summary>
public static class BandRig
{
    /// <summary>Force at start, middle and end of the rep.</summary>
    /// <param name="curve">The band.</param>
    /// <param name="load">How the catalogue rigs it.</param>
    /// <param name="grip">How it is gripped on the spot.</param>
    /// <param name="statureCm">Stature of the client, above 0.</param>
    /// <exception cref="StretchLimitException">The band would be stretched beyond its limit.</exception>
    /// <exception cref="BandMeasureException">The grip leaves nothing of the band.</exception>
    public static BandRep Rep(BandForceCurve curve, BandLoad load, BandGrip grip, double statureCm)
    {
        ArgumentNullException.ThrowIfNull(curve);
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(grip);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(statureCm);
        var (start, end) = Positions(load, grip, statureCm);
        var middle = (start + end) / 2;
        return new BandRep(new ResistanceRange(At(start).ForceKg, At(middle).ForceKg, At(end).ForceKg), At(start).Stretch, At(end).Stretch);

        (double ForceKg, double Stretch) At(double cm) => ForceAt(curve, load, grip, cm, statureCm);
    }

    /// <summary>The same, or null where the band would be stretched beyond its limit or the grip leaves nothing of it: most grips that are tried.</summary>
    public static BandRep? RepWithin(BandForceCurve curve, BandLoad load, BandGrip grip, double statureCm)
    {
        ArgumentNullException.ThrowIfNull(curve);
        ArgumentNullException.ThrowIfNull(load);
        ArgumentNullException.ThrowIfNull(grip);
        if (Left(curve, grip, Bundles(curve, load.Rig, grip)) is null)
        {
            return null;
        }

        var (start, end) = Positions(load, grip, statureCm);
        return Bears(start) && Bears(end) && Bears((start + end) / 2) ? Rep(curve, load, grip, statureCm) : null;

        bool Bears(double cm) => curve.Bears(At(curve, load, grip, cm, statureCm).Stretch);
    }

    /// <summary>Shortest useful distance to an anchor: the band just taut.</summary>
    public static double TautCm(BandForceCurve curve, BandGrip grip)
    {
        ArgumentNullException.ThrowIfNull(curve);
        ArgumentNullException.ThrowIfNull(grip);
        return Active(curve, grip, Bundles(curve, BandRigKind.Anchored, grip)) / Bundles(curve, BandRigKind.Anchored, grip);
    }

    /// <summary>Height of the hands, or length of the band, at start and end of the rep, in cm.</summary>
    internal static (double Start, double End) Positions(BandLoad load, BandGrip grip, double statureCm) =>
        load.Rig == BandRigKind.Anchored
            ? (grip.AnchorCm, grip.AnchorCm + (load.Travel * statureCm))
            : (load.Start * statureCm, load.End * statureCm);

    private static (double ForceKg, double Stretch) ForceAt(BandForceCurve curve, BandLoad load, BandGrip grip, double cm, double statureCm)
    {
        var (bundles, stretch, along) = At(curve, load, grip, cm, statureCm);
        return (Units.ToKg(bundles * curve.TensionN(stretch)) * along * load.Hands, stretch);
    }

    /// <summary>Strands, stretch, and the share of the pull that goes along the movement.</summary>
    private static (int Bundles, double Stretch, double Along) At(
        BandForceCurve curve,
        BandLoad load,
        BandGrip grip,
        double cm,
        double statureCm
    )
    {
        var bundles = Bundles(curve, load.Rig, grip);

        // Off the line of the pull: half the stance, or the anchor above or below the hands.
        var half = load.Rig == BandRigKind.StoodOn ? grip.StanceCm / 2 : 0;
        var aside = load.Rig == BandRigKind.Anchored && grip.AnchorHeightCm is { } height ? height - (load.HandHeight * statureCm) : half;
        var run = Math.Sqrt((cm * cm) + (aside * aside));

        // Feet apart, a part of the band lies between them.
        var stretch = bundles * (run + half) / Active(curve, grip, bundles);
        return (bundles, stretch, run > 0 ? cm / run : 1);
    }

    /// <summary>Strands that run from end to end of the rig.</summary>
    private static int Bundles(BandForceCurve curve, BandRigKind rig, BandGrip grip)
    {
        // A tube or strip that is stood on or led round an anchor is held at both its ends.
        var single = curve.Strands == 1 && rig is BandRigKind.StoodOn or BandRigKind.Anchored ? 2 : curve.Strands;
        return grip.Doubled ? 2 * single : single;
    }

    /// <summary>Rest length of strand that is left to stretch, in cm; null when it is next to nothing.</summary>
    private static double? Left(BandForceCurve curve, BandGrip grip, int bundles)
    {
        var left = curve.RestCm - (bundles * grip.ChokeCm);
        return left > 0.2 * curve.RestCm ? left : null;
    }

    private static double Active(BandForceCurve curve, BandGrip grip, int bundles) =>
        Left(curve, grip, bundles)
        ?? throw new BandMeasureException(
            Reason.Of("band.nothing-left", ("short", Quantity.Cm(grip.ChokeCm)), ("flat", Quantity.Cm(curve.FlatCm)))
        );
}
