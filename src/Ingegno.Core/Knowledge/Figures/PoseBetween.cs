using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>A pose between two others, by their figures; only where both are given in the same way.</summary>
internal static class PoseBetween
{
    /// <summary>The pose a share of the way from one to the other; null where its place is given in different ways. A limb that is given in
    /// different ways stays as it was: <see cref="JointsBetween.Limbs"/> turns it.</summary>
    public static Pose? Interpolate(Pose a, Pose b, double share)
    {
        if (Root(a.Root, b.Root, share) is not { } root)
        {
            return null;
        }

        return new Pose(
            root,
            Mix(a.Pelvis, b.Pelvis, share),
            Mix(a.Chest, b.Chest, share),
            Mix(a.Roll, b.Roll, share),
            Mix(a.Lean, b.Lean, share),
            Mix(a.Bend, b.Bend, share),
            Mix(a.Twist, b.Twist, share),
            Mix(a.Head, b.Head, share),
            Mix(a.Look, b.Look, share),
            new Limbs(
                Limb(a.Limbs.NearArm, b.Limbs.NearArm, share) ?? a.Limbs.NearArm,
                Limb(a.Limbs.FarArm, b.Limbs.FarArm, share) ?? a.Limbs.FarArm,
                Limb(a.Limbs.NearLeg, b.Limbs.NearLeg, share) ?? a.Limbs.NearLeg,
                Limb(a.Limbs.FarLeg, b.Limbs.FarLeg, share) ?? a.Limbs.FarLeg
            )
        );
    }

    private static PoseRoot? Root(PoseRoot a, PoseRoot b, double t) =>
        (a, b) switch
        {
            (StandingRoot x, StandingRoot y) => new StandingRoot(
                Mix(x.Height, y.Height, t),
                Mix(x.Over, y.Over, t),
                x.Lean is null && y.Lean is null ? null : Mix(x.Lean ?? 0, y.Lean ?? 0, t)
            ),
            (HipRoot x, HipRoot y) when x.On == y.On => new HipRoot(Vector3.Lerp(x.At, y.At, (float)t), x.On),
            (ShoulderRoot x, ShoulderRoot y) when x.On == y.On => new ShoulderRoot(Vector3.Lerp(x.At, y.At, (float)t), x.On),
            (KneelingRoot x, KneelingRoot y) when x.On == y.On => new KneelingRoot(
                Mix(x.X, y.X, t),
                Mix(x.ThighBack, y.ThighBack, t),
                x.On
            ),
            (LineRoot x, LineRoot y) when x.Pivot == y.Pivot && x.FaceUp == y.FaceUp && x.Angle.HasValue == y.Angle.HasValue => x with
            {
                Leg = Mix(x.Leg, y.Leg, t),
                Hip = Mix(x.Hip, y.Hip, t),
                Arm = Mix(x.Arm, y.Arm, t),
                Wide = Mix(x.Wide, y.Wide, t),
                Shift = Mix(x.Shift, y.Shift, t),
                Angle = x.Angle is { } from && y.Angle is { } to ? Mix(from, to, t) : null,
            },
            _ => null,
        };

    /// <summary>A limb between two; null where they are given in different ways.</summary>
    public static Limb? Limb(Limb a, Limb b, double t) =>
        (a, b) switch
        {
            (LimbByAngles x, LimbByAngles y) => new LimbByAngles(
                Mix(x.Flexion, y.Flexion, t),
                Mix(x.Out, y.Out, t),
                Mix(x.Bend, y.Bend, t),
                Mix(x.Turn, y.Turn, t),
                Mix(x.Point, y.Point, t)
            ),
            (LimbByEnd x, LimbByEnd y) when x.From == y.From && x.On == y.On && x.End == y.End => x with
            {
                At = Vector3.Lerp(x.At, y.At, (float)t),
                ToeOut = Mix(x.ToeOut, y.ToeOut, t),
                Pitch = Mix(x.Pitch, y.Pitch, t),
                Share = Mix(x.Share, y.Share, t),
                Pole = x.Pole is { } from && y.Pole is { } to ? Vector3.Lerp(from, to, (float)t) : x.Pole ?? y.Pole,
            },
            _ => null,
        };

    private static double Mix(double a, double b, double t) => a + ((b - a) * t);
}
