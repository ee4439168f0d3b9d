using System.Numerics;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>A figure in words, made from its joints: what a coach who does not see the drawing is told.</summary>
public static class FigureWords
{
    /// <summary>Bends below this are straight, degrees.</summary>
    private const double Straight = 15;

    /// <summary>Sides that differ by more than this are told apart, degrees.</summary>
    private const double Apart = 25;

    /// <summary>What the drawing shows.</summary>
    /// <param name="figure">The figure.</param>
    /// <param name="start">Body at the start of the rep.</param>
    /// <param name="end">Body at the far end.</param>
    public static Reason Describe(Figure figure, SolvedPose start, SolvedPose end)
    {
        ArgumentNullException.ThrowIfNull(figure);
        ArgumentNullException.ThrowIfNull(start);
        ArgumentNullException.ThrowIfNull(end);
        var first = Posture(figure.Poses[0], start);
        return figure.Holds
            ? Reason.Of("figure.hold", ("posture", first))
            : Reason.Of("figure.rep", ("start", first), ("end", Posture(figure.Poses[^1], end)));
    }

    private static Reason Posture(Pose pose, SolvedPose body) =>
        Reason.Of(
            "figure.posture",
            ("stance", Reason.Of(Stance(pose))),
            ("trunk", Reason.Of(Lean(body), ("degrees", Rounded(body.TrunkPitch)))),
            ("hips", Bends("figure.hips", FigureCheck.HipBend(body, body.NearLeg), FigureCheck.HipBend(body, body.FarLeg))),
            ("knees", Bends("figure.knees", FigureCheck.Bend(body.NearLeg), FigureCheck.Bend(body.FarLeg))),
            ("elbows", Bends("figure.elbows", FigureCheck.Bend(body.NearArm), FigureCheck.Bend(body.FarArm))),
            ("hands", Reason.Of(Hands(body)))
        );

    private static string Stance(Pose pose) =>
        pose.Root switch
        {
            StandingRoot { Over: > 0.95 or < 0.05 } => "figure.one-leg",
            StandingRoot => "figure.standing",
            KneelingRoot => Math.Abs(pose.Pelvis) > 55 ? "figure.hands-and-knees" : "figure.kneeling",
            LineRoot { FaceUp: true } => "figure.hanging-back",
            LineRoot => "figure.on-hands",
            _ when Math.Abs(pose.Roll) > 45 => "figure.on-the-side",
            _ when pose.Limbs.NearArm is LimbByEnd { On: "bar" or "grip" } => "figure.hanging",
            _ when pose.Pelvis < -55 => "figure.on-the-back",
            _ when pose.Pelvis > 55 => "figure.on-the-front",
            ShoulderRoot => "figure.on-the-arms",
            _ => "figure.sitting",
        };

    private static string Lean(SolvedPose body) =>
        body.TrunkPitch switch
        {
            < 12 => "figure.upright",
            > 78 and < 102 => "figure.level",
            >= 102 => "figure.head-low",
            _ => "figure.leaning",
        };

    /// <summary>Where the hands are: by height for a body that is up, along the body for one that lies.</summary>
    private static string Hands(SolvedPose body)
    {
        var along =
            body.Neck.Y - body.Hips.Y > 0.1 || body.Hips.Y - body.Neck.Y > 0.2 ? Vector3.UnitY : Vector3.Normalize(body.Neck - body.Hips);
        var hands = Vector3.Dot((body.NearArm.Grip + body.FarArm.Grip) / 2, along);
        return hands > Vector3.Dot(body.Head, along) ? "figure.above-head"
            : hands > Vector3.Dot(body.Neck, along) - 0.06 ? "figure.at-shoulders"
            : hands > Vector3.Dot(body.Hips, along) ? "figure.at-trunk"
            : "figure.below-hips";
    }

    private static Reason Bends(string code, double near, double far) =>
        Math.Abs(near - far) > Apart
            ? Reason.Of(code, ("near", Rounded(near)), ("far", Rounded(far)), ("straight", false), ("both", false))
            : Reason.Of(code, ("near", Rounded(near)), ("far", Rounded(far)), ("straight", Math.Max(near, far) < Straight), ("both", true));

    private static double Rounded(double degrees) => Math.Round(Math.Max(0, degrees) / 5) * 5;
}
