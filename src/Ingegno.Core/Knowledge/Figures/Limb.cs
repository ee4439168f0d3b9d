using System.Collections.Immutable;
using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>Where an arm or a leg is: by its angles, or by where its end is.</summary>
public abstract record Limb;

/// <summary>
/// By angles in degrees: flexion at shoulder or hip (0 along the trunk, forward positive), outward, bend of elbow or knee,
/// turn of the limb about its own axis, and for the foot how far it is pointed.
/// </summary>
public sealed record LimbByAngles(double Flexion, double Out, double Bend, double Turn, double Point) : Limb;

/// <summary>Where the end of the limb is counted from.</summary>
public enum LimbOrigin
{
    /// <summary>The floor below the figure.</summary>
    World,

    /// <summary>The own shoulder, in directions of the world.</summary>
    Shoulder,

    /// <summary>The own hip, in directions of the world.</summary>
    Hip,

    /// <summary>The own knee, in directions of the world.</summary>
    Knee,

    /// <summary>The own ankle, in directions of the world.</summary>
    Ankle,

    /// <summary>The middle of the head, in directions of the chest.</summary>
    Head,

    /// <summary>Between the shoulders, in directions of the chest.</summary>
    Chest,
}

/// <summary>How the end of a limb meets what is there.</summary>
public enum LimbEnd
{
    /// <summary>A fist round something.</summary>
    Grip,

    /// <summary>Palm or sole flat on it.</summary>
    Flat,

    /// <summary>On the forearm.</summary>
    Forearm,

    /// <summary>On the ball of the foot.</summary>
    Toes,

    /// <summary>On the heel, toes up.</summary>
    Heel,

    /// <summary>The instep down or the foot pointed.</summary>
    Pointed,

    /// <summary>On the knee, the shank behind it.</summary>
    Knee,
}

/// <summary>By the point where its end is, in shares of stature: ahead, up and outward.</summary>
/// <param name="At">The point.</param>
/// <param name="From">Where it is counted from.</param>
/// <param name="On">Role of the thing whose height is added, null for none.</param>
/// <param name="End">How it meets what is there.</param>
/// <param name="ToeOut">Foot: degrees outward.</param>
/// <param name="Pitch">Foot: degrees of the sole to the floor when it stands on the toes.</param>
/// <param name="Pole">Where elbow or knee points, in directions of the body; null for the usual way.</param>
/// <param name="Free">It moves during the rep: no planted contact.</param>
/// <param name="Share">Share of the thing's height that is added, for a foot that goes from the floor to it.</param>
public sealed record LimbByEnd(
    Vector3 At,
    LimbOrigin From,
    string? On,
    LimbEnd End,
    double ToeOut,
    double Pitch,
    Vector3? Pole,
    bool Free,
    double Share = 1
) : Limb;

/// <summary>The four limbs of a pose; near is the right side, which works in one-sided exercises.</summary>
public sealed record Limbs(Limb NearArm, Limb FarArm, Limb NearLeg, Limb FarLeg)
{
    public ImmutableArray<Limb> All => [NearArm, FarArm, NearLeg, FarLeg];
}
