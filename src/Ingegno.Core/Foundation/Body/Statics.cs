namespace Ingegno.Core.Foundation.Body;

/// <summary>
/// Quasi-static shares of body mass from segment masses and lengths: where nothing is published, this is the estimate.
/// Segments are taken as rods with their mass in the middle.
/// </summary>
public static class Statics
{
    /// <summary>
    /// Share of body mass on the hands of a straight body that pivots on its heels and hangs from arms at right angles to
    /// it: (distance of the centre of mass / distance of the shoulders) from the heels × cos(angle to the floor).
    /// </summary>
    /// <param name="segments">Segment masses.</param>
    /// <param name="angleDegrees">Angle of the body to the floor, 0 lying to 90 standing.</param>
    /// <exception cref="ArgumentOutOfRangeException">The angle is outside 0–90.</exception>
    public static double RowShare(BodySegments segments, double angleDegrees)
    {
        ArgumentNullException.ThrowIfNull(segments);
        if (!(angleDegrees is >= 0 and <= 90))
        {
            throw new ArgumentOutOfRangeException(nameof(angleDegrees), angleDegrees, "The angle lies between 0 and 90 degrees.");
        }

        return CentreOfMass(segments) / BodyLengths.ShoulderHeight * Math.Cos(angleDegrees * Math.PI / 180);
    }

    /// <summary>Height of the centre of mass of a straight body with the arms at the shoulders, as a share of stature.</summary>
    public static double CentreOfMass(BodySegments segments)
    {
        ArgumentNullException.ThrowIfNull(segments);
        return (segments.Head * Middle(BodyLengths.ShoulderHeight, 1))
            + (segments.Trunk * Middle(BodyLengths.HipHeight, BodyLengths.ShoulderHeight))
            + (segments.Arms * BodyLengths.ShoulderHeight)
            + (2 * segments.Thigh * Middle(BodyLengths.KneeHeight, BodyLengths.HipHeight))
            + (2 * segments.Shank * Middle(BodyLengths.AnkleHeight, BodyLengths.KneeHeight))
            + (2 * segments.Foot * BodyLengths.AnkleHeight / 2);
    }

    /// <summary>
    /// Load at the hips of a bridge on both legs, as a share of body mass: half of the trunk between shoulders and hips
    /// and half of the thighs between hips and knees; head, arms and shanks rest on the floor.
    /// </summary>
    public static double BridgeShare(BodySegments segments)
    {
        ArgumentNullException.ThrowIfNull(segments);
        return (segments.Trunk / 2) + segments.Thigh;
    }

    /// <summary>
    /// Both straight legs lifted from lying, as a share of body mass at the ankles: their moment about the hips over the
    /// length of the leg.
    /// </summary>
    public static double LegRaiseShare(BodySegments segments)
    {
        ArgumentNullException.ThrowIfNull(segments);
        var moment =
            (segments.Thigh * BodyLengths.Thigh / 2)
            + (segments.Shank * (BodyLengths.Thigh + (BodyLengths.Shank / 2)))
            + (segments.Foot * (BodyLengths.Thigh + BodyLengths.Shank));
        return 2 * moment / (BodyLengths.Thigh + BodyLengths.Shank);
    }

    private static double Middle(double a, double b) => (a + b) / 2;
}
