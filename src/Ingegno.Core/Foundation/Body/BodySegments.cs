namespace Ingegno.Core.Foundation.Body;

/// <summary>
/// Segment masses as a share of body mass. Source: de Leva 1996, J Biomech 29(9), from memory. Limb segments count twice;
/// the sum is 1. Unknown sex takes the mean of both tables.
/// </summary>
public sealed record BodySegments(
    double Head,
    double Trunk,
    double UpperArm,
    double Forearm,
    double Hand,
    double Thigh,
    double Shank,
    double Foot
)
{
    private static readonly BodySegments Male = new(0.0694, 0.4346, 0.0271, 0.0162, 0.0061, 0.1416, 0.0433, 0.0137);
    private static readonly BodySegments Female = new(0.0668, 0.4257, 0.0255, 0.0138, 0.0056, 0.1478, 0.0481, 0.0129);

    private static readonly BodySegments Mean = new(
        (Male.Head + Female.Head) / 2,
        (Male.Trunk + Female.Trunk) / 2,
        (Male.UpperArm + Female.UpperArm) / 2,
        (Male.Forearm + Female.Forearm) / 2,
        (Male.Hand + Female.Hand) / 2,
        (Male.Thigh + Female.Thigh) / 2,
        (Male.Shank + Female.Shank) / 2,
        (Male.Foot + Female.Foot) / 2
    );

    /// <summary>Both arms.</summary>
    public double Arms => 2 * (UpperArm + Forearm + Hand);

    /// <summary>Both legs.</summary>
    public double Legs => 2 * (Thigh + Shank + Foot);

    /// <summary>All above the ankles and shanks: what a squat lifts. About .886 of a man's body, .878 of a woman's.</summary>
    public double AboveTheKnees => 1 - (2 * (Shank + Foot));

    /// <summary>All but hands and forearms: what a pull-up or dip lifts.</summary>
    public double LessForearms => 1 - (2 * (Forearm + Hand));

    /// <summary>The table of a sex.</summary>
    public static BodySegments ForSex(Sex sex) =>
        sex switch
        {
            Sex.Male => Male,
            Sex.Female => Female,
            _ => Mean,
        };
}

/// <summary>
/// Heights of a standing body and lengths of its segments as a share of stature. Source: Drillis and Contini 1966, as
/// given in Winter, Biomechanics and Motor Control of Human Movement, from memory.
/// </summary>
public static class BodyLengths
{
    public const double ShoulderHeight = 0.818;
    public const double ElbowHeight = 0.630;
    public const double WristHeight = 0.485;
    public const double FingertipHeight = 0.377;
    public const double HipHeight = 0.530;
    public const double KneeHeight = 0.285;
    public const double AnkleHeight = 0.039;
    public const double UpperArm = 0.186;
    public const double Forearm = 0.146;
    public const double Hand = 0.108;
    public const double Thigh = 0.245;
    public const double Shank = 0.246;
    public const double FootLength = 0.152;
    public const double ShoulderWidth = 0.259;
    public const double HipWidth = 0.191;

    /// <summary>Shoulder to the middle of the fist.</summary>
    public const double ArmToGrip = UpperArm + Forearm + (Hand / 2);
}
