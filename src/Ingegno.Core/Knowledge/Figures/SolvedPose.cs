using System.Collections.Immutable;
using System.Numerics;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>An arm in space: joint centres in shares of stature.</summary>
public sealed record SolvedArm(Vector3 Shoulder, Vector3 Elbow, Vector3 Wrist, Vector3 Grip, Vector3 Fingers);

/// <summary>A leg in space: joint centres in shares of stature.</summary>
public sealed record SolvedLeg(Vector3 Hip, Vector3 Knee, Vector3 Ankle, Vector3 Heel, Vector3 Toe);

/// <summary>A body in space: joint centres in shares of stature; x ahead, y up, z to its right, the near side.</summary>
/// <param name="Reached">How far the ends of the limbs fell short of where they should be, the worst of the four.</param>
public sealed record SolvedPose(
    Vector3 Hips,
    Vector3 Middle,
    Vector3 Neck,
    Vector3 Head,
    Vector3 Face,
    SolvedArm NearArm,
    SolvedArm FarArm,
    SolvedLeg NearLeg,
    SolvedLeg FarLeg,
    double Reached
)
{
    /// <summary>All joints in the order in which they go out: <see cref="Names"/>.</summary>
    public ImmutableArray<Vector3> Joints =>
        [Hips, Middle, Neck, Head, Face, .. OfArm(NearArm), .. OfArm(FarArm), .. OfLeg(NearLeg), .. OfLeg(FarLeg)];

    /// <summary>Names of <see cref="Joints"/>, in order.</summary>
    public static ImmutableArray<string> Names { get; } =
    [
        "hips",
        "middle",
        "neck",
        "head",
        "face",
        .. from side in (string[])["near", "far"] from j in (string[])["Shoulder", "Elbow", "Wrist", "Grip", "Fingers"] select side + j,
        .. from side in (string[])["near", "far"] from j in (string[])["Hip", "Knee", "Ankle", "Heel", "Toe"] select side + j,
    ];

    /// <summary>Pitch of the trunk from hips to shoulders in degrees: 0 upright, 90 level.</summary>
    public double TrunkPitch => Math.Atan2(Horizontal(Neck - Hips), Neck.Y - Hips.Y) * 180 / Math.PI;

    /// <summary>Centre of mass from segment masses (de Leva 1996) with each mass in the middle of its segment, in shares of stature.</summary>
    public Vector3 CentreOfMass(BodySegments segments)
    {
        ArgumentNullException.ThrowIfNull(segments);
        var sum = ((float)segments.Head * Head) + ((float)segments.Trunk * (Hips + Middle + Middle + Neck) / 4);
        foreach (var arm in (SolvedArm[])[NearArm, FarArm])
        {
            sum += (float)segments.UpperArm * (arm.Shoulder + arm.Elbow) / 2;
            sum += (float)segments.Forearm * (arm.Elbow + arm.Wrist) / 2;
            sum += (float)segments.Hand * arm.Grip;
        }

        foreach (var leg in (SolvedLeg[])[NearLeg, FarLeg])
        {
            sum += (float)segments.Thigh * (leg.Hip + leg.Knee) / 2;
            sum += (float)segments.Shank * (leg.Knee + leg.Ankle) / 2;
            sum += (float)segments.Foot * (leg.Heel + leg.Toe) / 2;
        }

        return sum;
    }

    private static Vector3[] OfArm(SolvedArm a) => [a.Shoulder, a.Elbow, a.Wrist, a.Grip, a.Fingers];

    private static Vector3[] OfLeg(SolvedLeg l) => [l.Hip, l.Knee, l.Ankle, l.Heel, l.Toe];

    private static double Horizontal(Vector3 v) => Math.Sqrt((v.X * v.X) + (v.Z * v.Z));
}
