using System.Collections.Immutable;
using System.Numerics;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>Faults of a figure: what no body can do, or what the drawing would tell wrongly.</summary>
public static class FigureCheck
{
    /// <summary>How far below the floor a joint may lie, for the roundness of a limb, in shares of stature.</summary>
    private const double Floor = 0.0125;

    /// <summary>How far a planted contact may move during the rep (docs/domain/figures): 1 % of stature.</summary>
    private const double Slip = 0.01;

    /// <summary>How far the centre of mass may stand outside the feet: 4 % of stature.</summary>
    private const double Balance = 0.04;

    /// <summary>Ranges of motion, degrees: American Academy of Orthopaedic Surgeons, from memory; a knee folds further under the weight of the
    /// body, a hip where the pelvis goes with it (common practice).</summary>
    private const double Elbow = 152;

    private const double Knee = 158;

    private const double HipFlexion = 140;

    private const double HipExtension = 35;

    /// <summary>Faults of a figure in a scene, the worst of each kind.</summary>
    public static ImmutableArray<Reason> Check(Figure figure, FigureScene scene)
    {
        ArgumentNullException.ThrowIfNull(figure);
        ArgumentNullException.ThrowIfNull(scene);
        var frames = FigureMotion.Frames(figure, scene);
        return
        [
            .. Worst("figure.reach", frames.Select(f => f.Reached), 0.02, 100),
            .. Worst("figure.floor", frames.Select(f => (double)-f.Joints.Min(j => j.Y)), Floor, 100),
            .. Worst("figure.slip", frames.Select(f => Slipped(figure, frames[0], f)), Slip, 100),
            .. Worst("figure.elbow", frames.Select(f => Math.Max(Bend(f.NearArm), Bend(f.FarArm))), Elbow, 1),
            .. Worst("figure.knee", frames.Select(f => Math.Max(Bend(f.NearLeg), Bend(f.FarLeg))), Knee, 1),
            .. Worst("figure.hip", frames.Select(f => Math.Max(HipBend(f, f.NearLeg), HipBend(f, f.FarLeg))), HipFlexion, 1),
            .. Worst("figure.hip-back", frames.Select(f => -Math.Min(HipBend(f, f.NearLeg), HipBend(f, f.FarLeg))), HipExtension, 1),
            .. Worst("figure.balance", frames.Select(f => OffBalance(figure, f)), Balance, 100),
            .. Worst("figure.band", frames.Select(f => Slack(figure, scene, frames[0], f)), 0.02, 100),
        ];
    }

    private static IEnumerable<Reason> Worst(string code, IEnumerable<double> values, double limit, double scale)
    {
        var worst = values.Max();
        if (worst > limit)
        {
            yield return Reason.Of(code, ("worst", Math.Round(worst * scale, 1)), ("limit", Math.Round(limit * scale, 1)));
        }
    }

    /// <summary>How far planted feet and hands have moved since the start.</summary>
    private static double Slipped(Figure figure, SolvedPose start, SolvedPose now)
    {
        var (first, last) = (figure.Poses[0].Limbs, figure.Poses[^1].Limbs);
        return (
            (double[])
                [
                    Moved(first.NearLeg, last.NearLeg, end => Contact(start.NearLeg, end) - Contact(now.NearLeg, end)),
                    Moved(first.FarLeg, last.FarLeg, end => Contact(start.FarLeg, end) - Contact(now.FarLeg, end)),
                    Moved(first.NearArm, last.NearArm, end => Contact(start.NearArm, end) - Contact(now.NearArm, end)),
                    Moved(first.FarArm, last.FarArm, end => Contact(start.FarArm, end) - Contact(now.FarArm, end)),
                ]
        ).Max();

        // The heel may rise on a planted ball, and knees and elbows may turn.
        static double Moved(Limb a, Limb b, Func<LimbEnd, Vector3> by) =>
            a is LimbByEnd { From: LimbOrigin.World, Free: false } x
            && b is LimbByEnd y
            && (x with { Pole = y.Pole, Pitch = y.Pitch, ToeOut = y.ToeOut }) == y
                ? by(x.End).Length()
                : 0;
    }

    /// <summary>What of an arm touches its support.</summary>
    private static Vector3 Contact(SolvedArm arm, LimbEnd end) =>
        end switch
        {
            LimbEnd.Flat => arm.Wrist,
            LimbEnd.Forearm => arm.Elbow,
            _ => arm.Grip,
        };

    /// <summary>What of a leg touches its support.</summary>
    private static Vector3 Contact(SolvedLeg leg, LimbEnd end) =>
        end switch
        {
            LimbEnd.Flat or LimbEnd.Toes => leg.Toe,
            LimbEnd.Heel => leg.Heel,
            LimbEnd.Knee => leg.Knee,
            _ => leg.Ankle,
        };

    /// <summary>Bend of the elbow, degrees.</summary>
    public static double Bend(SolvedArm arm)
    {
        ArgumentNullException.ThrowIfNull(arm);
        return AngleOf(arm.Elbow - arm.Shoulder, arm.Wrist - arm.Elbow);
    }

    /// <summary>Bend of the knee, degrees.</summary>
    public static double Bend(SolvedLeg leg)
    {
        ArgumentNullException.ThrowIfNull(leg);
        return AngleOf(leg.Knee - leg.Hip, leg.Ankle - leg.Knee);
    }

    /// <summary>Flexion at the hip, degrees; negative where the thigh is behind the trunk.</summary>
    public static double HipBend(SolvedPose pose, SolvedLeg leg)
    {
        ArgumentNullException.ThrowIfNull(pose);
        ArgumentNullException.ThrowIfNull(leg);
        var (thigh, down) = (leg.Knee - leg.Hip, pose.Hips - pose.Middle);
        var across = Vector3.Normalize(pose.NearLeg.Hip - pose.FarLeg.Hip);
        var angle = AngleOf(thigh - (Vector3.Dot(thigh, across) * across), down);
        return Vector3.Dot(Vector3.Cross(down, thigh), across) >= 0 ? angle : -angle;
    }

    private static double AngleOf(Vector3 a, Vector3 b) =>
        a.Length() < 1e-3 || b.Length() < 1e-3
            ? 0
            : Math.Acos(Math.Clamp(Vector3.Dot(a, b) / (a.Length() * b.Length()), -1, 1)) * 180 / Math.PI;

    /// <summary>How far the centre of mass stands outside the feet of a free standing figure.</summary>
    private static double OffBalance(Figure figure, SolvedPose pose)
    {
        if (figure.Supported || !figure.Poses.All(p => p.Root is StandingRoot { Lean: null }))
        {
            return 0;
        }

        var feet = ((SolvedLeg[])[pose.NearLeg, pose.FarLeg]).Where(l => Math.Min(l.Heel.Y, l.Toe.Y) < Lowest(pose) + 0.6).ToList();
        var standing = feet.Where(l => Planted(figure, l == pose.NearLeg)).DefaultIfEmpty(feet[0]).ToList();
        var mass = pose.CentreOfMass(BodySegments.ForSex(Sex.Unknown));
        var x = Outside(mass.X, standing.Min(l => Math.Min(l.Heel.X, l.Toe.X)), standing.Max(l => Math.Max(l.Heel.X, l.Toe.X)));
        var z = Outside(
            mass.Z,
            standing.Min(l => Math.Min(l.Heel.Z, l.Toe.Z)) - 0.03,
            standing.Max(l => Math.Max(l.Heel.Z, l.Toe.Z)) + 0.03
        );
        return Math.Sqrt((x * x) + (z * z));
    }

    private static double Lowest(SolvedPose pose) => pose.Joints.Min(j => j.Y);

    private static bool Planted(Figure figure, bool near) =>
        figure.Poses.All(p => (near ? p.Limbs.NearLeg : p.Limbs.FarLeg) is LimbByEnd { From: LimbOrigin.World });

    private static double Outside(double value, double low, double high) => Math.Max(0, Math.Max(low - value, value - high));

    /// <summary>How much shorter than at the start a band has become: it would hang slack.</summary>
    private static double Slack(Figure figure, FigureScene scene, SolvedPose start, SolvedPose now) =>
        figure
            .Bands.Where(b => b.Kind is "band" or "miniBand")
            .Select(b => FigureMotion.LengthOf(b, figure, scene, start, start) - FigureMotion.LengthOf(b, figure, scene, start, now))
            .DefaultIfEmpty(0)
            .Max();
}
