using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>What the place of the body follows from.</summary>
public abstract record PoseRoot;

/// <summary>Standing on planted feet, balanced over them.</summary>
/// <param name="Height">Height of the hips over the support as a share of standing upright, 0–1 (1.1 on the toes).</param>
/// <param name="Over">Share of the weight on the near foot, 0–1.</param>
/// <param name="Lean">Held by something: how far the body hangs beside its balance, in shares of stature; null when it stands free.</param>
/// <param name="Seat">Role of the thing that the hips come down to; it gives the height then.</param>
public sealed record StandingRoot(double Height, double Over, double? Lean, string? Seat = null) : PoseRoot;

/// <summary>The hips are at a point over a thing.</summary>
public sealed record HipRoot(Vector3 At, string? On) : PoseRoot;

/// <summary>The shoulders are at a point over a thing.</summary>
public sealed record ShoulderRoot(Vector3 At, string? On) : PoseRoot;

/// <summary>On the knees: where they are and how far the thighs lean back from upright, in degrees.</summary>
public sealed record KneelingRoot(double X, double ThighBack, string? On) : PoseRoot;

/// <summary>What a straight body turns about.</summary>
public enum LinePivot
{
    Toes,
    Heels,
    Feet,
    Knees,
}

/// <summary>A body held in a line between its feet or knees and its hands.</summary>
/// <param name="Pivot">What it turns about.</param>
/// <param name="FeetOn">Role of the thing under the feet.</param>
/// <param name="HandsOn">Role of the thing under or over the hands.</param>
/// <param name="HandHeight">Height of the hands where no thing gives it, in shares of stature.</param>
/// <param name="Leg">Distance of hip and ankle over that of a straight leg, 0–1.</param>
/// <param name="Hip">Angle at the hips in degrees: 180 straight, less with the hips high.</param>
/// <param name="Arm">Distance of shoulder and hand over that of a straight arm, 0–1.</param>
/// <param name="Wide">Hands outward of the shoulders, in shares of stature.</param>
/// <param name="Lean">Arms at the start: 0 upright, 1 at right angles to the body; null for the usual.</param>
/// <param name="FaceUp">Belly up, hanging under the hands.</param>
/// <param name="Angle">Angle of the body to the floor in degrees where the hands do not give it.</param>
/// <param name="Shift">How far the hands are planted towards the head of their usual place.</param>
public sealed record LineRoot(
    LinePivot Pivot,
    string? FeetOn,
    string? HandsOn,
    double HandHeight,
    double Leg,
    double Hip,
    double Arm,
    double Wide,
    double? Lean,
    bool FaceUp,
    double? Angle,
    double Shift
) : PoseRoot;

/// <summary>One key pose: where the body is, how the trunk is bent, and the limbs.</summary>
/// <param name="Root">What its place follows from.</param>
/// <param name="Pelvis">Pitch of the lower trunk in degrees: 0 upright, 90 on the front, −90 on the back.</param>
/// <param name="Chest">Pitch of the upper trunk.</param>
/// <param name="Roll">Roll about the spine; −90 the near side is up and the belly looks at the viewer.</param>
/// <param name="Lean">The whole body to the near side.</param>
/// <param name="Bend">The upper trunk further to the near side.</param>
/// <param name="Twist">The upper trunk turned to the near side.</param>
/// <param name="Head">Flexion of the neck, chin down positive.</param>
/// <param name="Look">Turn of the head to the near side.</param>
/// <param name="Limbs">Arms and legs.</param>
public sealed record Pose(
    PoseRoot Root,
    double Pelvis,
    double Chest,
    double Roll,
    double Lean,
    double Bend,
    double Twist,
    double Head,
    double Look,
    Limbs Limbs
);
