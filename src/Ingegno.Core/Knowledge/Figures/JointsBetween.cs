using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>A body between two others where their poses are given in different ways: every bone turns from the one to the other and
/// keeps its length.</summary>
internal static class JointsBetween
{
    public static SolvedPose Interpolate(SolvedPose a, SolvedPose b, double share)
    {
        var t = (float)share;
        var hips = Vector3.Lerp(a.Hips, b.Hips, t);
        var middle = hips + Bone(a.Middle - a.Hips, b.Middle - b.Hips, t);
        var neck = middle + Bone(a.Neck - a.Middle, b.Neck - b.Middle, t);
        var head = neck + Bone(a.Head - a.Neck, b.Head - b.Neck, t);
        var between = new SolvedPose(
            hips,
            middle,
            neck,
            head,
            head + Bone(a.Face - a.Head, b.Face - b.Head, t),
            Arm(a, b, a.NearArm, b.NearArm, neck, t),
            Arm(a, b, a.FarArm, b.FarArm, neck, t),
            Leg(a, b, a.NearLeg, b.NearLeg, hips, t),
            Leg(a, b, a.FarLeg, b.FarLeg, hips, t),
            Math.Max(a.Reached, b.Reached)
        );

        // On its way nothing goes through the floor.
        var sunk = between.Joints.Min(j => j.Y);
        return sunk < 0 ? Lifted(between, new Vector3(0, -sunk, 0)) : between;
    }

    private static SolvedPose Lifted(SolvedPose pose, Vector3 by) =>
        pose with
        {
            Hips = pose.Hips + by,
            Middle = pose.Middle + by,
            Neck = pose.Neck + by,
            Head = pose.Head + by,
            Face = pose.Face + by,
            NearArm = Lifted(pose.NearArm, by),
            FarArm = Lifted(pose.FarArm, by),
            NearLeg = Lifted(pose.NearLeg, by),
            FarLeg = Lifted(pose.FarLeg, by),
        };

    private static SolvedArm Lifted(SolvedArm a, Vector3 by) =>
        new(a.Shoulder + by, a.Elbow + by, a.Wrist + by, a.Grip + by, a.Fingers + by);

    private static SolvedLeg Lifted(SolvedLeg l, Vector3 by) => new(l.Hip + by, l.Knee + by, l.Ankle + by, l.Heel + by, l.Toe + by);

    /// <summary>The body with those limbs turned from the one to the other whose poses give them in different ways.</summary>
    public static SolvedPose Limbs(SolvedPose now, Pose from, Pose to, SolvedPose a, SolvedPose b, double share)
    {
        var t = (float)share;
        return now with
        {
            NearArm = Same(from.Limbs.NearArm, to.Limbs.NearArm)
                ? now.NearArm
                : Turned(now.NearArm, Arm(a, b, a.NearArm, b.NearArm, now.Neck, t)),
            FarArm = Same(from.Limbs.FarArm, to.Limbs.FarArm) ? now.FarArm : Turned(now.FarArm, Arm(a, b, a.FarArm, b.FarArm, now.Neck, t)),
            NearLeg = Same(from.Limbs.NearLeg, to.Limbs.NearLeg) ? now.NearLeg : Leg(a, b, a.NearLeg, b.NearLeg, now.Hips, t),
            FarLeg = Same(from.Limbs.FarLeg, to.Limbs.FarLeg) ? now.FarLeg : Leg(a, b, a.FarLeg, b.FarLeg, now.Hips, t),
            // What a limb that was turned should have reached before does not count.
            Reached = from.Limbs.All.Zip(to.Limbs.All).All(l => Same(l.First, l.Second)) ? now.Reached : Math.Max(a.Reached, b.Reached),
        };
    }

    private static bool Same(Limb a, Limb b) => PoseBetween.Limb(a, b, 0.5) is not null;

    /// <summary>An arm hung on the shoulder that is.</summary>
    private static SolvedArm Turned(SolvedArm now, SolvedArm arm) => Lifted(arm, now.Shoulder - arm.Shoulder);

    private static SolvedArm Arm(SolvedPose a, SolvedPose b, SolvedArm x, SolvedArm y, Vector3 neck, float t)
    {
        var shoulder = neck + Bone(x.Shoulder - a.Neck, y.Shoulder - b.Neck, t);
        var elbow = shoulder + Bone(x.Elbow - x.Shoulder, y.Elbow - y.Shoulder, t);
        var wrist = elbow + Bone(x.Wrist - x.Elbow, y.Wrist - y.Elbow, t);
        return new SolvedArm(
            shoulder,
            elbow,
            wrist,
            wrist + Bone(x.Grip - x.Wrist, y.Grip - y.Wrist, t),
            wrist + Bone(x.Fingers - x.Wrist, y.Fingers - y.Wrist, t)
        );
    }

    private static SolvedLeg Leg(SolvedPose a, SolvedPose b, SolvedLeg x, SolvedLeg y, Vector3 hips, float t)
    {
        var hip = hips + Bone(x.Hip - a.Hips, y.Hip - b.Hips, t);
        var knee = hip + Bone(x.Knee - x.Hip, y.Knee - y.Hip, t);
        var ankle = knee + Bone(x.Ankle - x.Knee, y.Ankle - y.Knee, t);
        return new SolvedLeg(
            hip,
            knee,
            ankle,
            ankle + Bone(x.Heel - x.Ankle, y.Heel - y.Ankle, t),
            ankle + Bone(x.Toe - x.Ankle, y.Toe - y.Ankle, t)
        );
    }

    /// <summary>A direction between two, with the length between theirs.</summary>
    private static Vector3 Bone(Vector3 a, Vector3 b, float t)
    {
        var (from, to) = (a.Length(), b.Length());
        if (from < 1e-6f || to < 1e-6f)
        {
            return Vector3.Lerp(a, b, t);
        }

        var angle = MathF.Acos(Math.Clamp(Vector3.Dot(a, b) / (from * to), -1, 1));
        var mixed =
            angle < 1e-3f ? Vector3.Lerp(a, b, t)
            : angle > MathF.PI - 1e-2f ? Opposite(a, t)
            : ((MathF.Sin((1 - t) * angle) * a) + (MathF.Sin(t * angle) * b)) / MathF.Sin(angle);
        return (from + ((to - from) * t)) * Vector3.Normalize(mixed);
    }

    /// <summary>Straight about: by way of the front.</summary>
    private static Vector3 Opposite(Vector3 a, float t)
    {
        var over = TwoBones.Across(Vector3.UnitX, Vector3.Normalize(a)) * a.Length();
        return (MathF.Cos(t * MathF.PI) * a) + (MathF.Sin(t * MathF.PI) * over);
    }
}
