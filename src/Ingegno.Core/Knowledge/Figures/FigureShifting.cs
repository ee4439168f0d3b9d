using System.Collections.Immutable;
using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>Moves hips, hands and feet of a figure's key poses, as a practice drags them.</summary>
public static class FigureShifting
{
    /// <summary>The figure with its start and its end moved.</summary>
    /// <param name="figure">The figure.</param>
    /// <param name="shift">What is moved.</param>
    /// <param name="scene">For whom and with what: what is moved is moved from where it is there.</param>
    public static Figure Shifted(this Figure figure, FigureShift shift, FigureScene scene)
    {
        ArgumentNullException.ThrowIfNull(figure);
        ArgumentNullException.ThrowIfNull(shift);
        ArgumentNullException.ThrowIfNull(scene);
        var solver = new PoseSolver(role => scene.HeightOf(figure, role));
        var planted = solver.Plant(figure.Poses[0]);
        var last = figure.Poses.Length - 1;

        // A body in a line, and hips that were moved by hand, are placed where they are: then every pose is, for a rep to stay in one piece.
        var placed =
            shift.Start.Hips is not null
            || shift.Middle is not null
            || (last > 0 && shift.End.Hips is not null)
            || figure.Poses.Any(p => p.Root is LineRoot);
        var poses = figure
            .Poses.Select(
                (pose, i) =>
                {
                    var by =
                        i == 0 ? shift.Start
                        : i == last ? shift.End
                        : i == figure.Poses.Length / 2 && shift.Middle is { } middle ? middle
                        : new PoseShift();
                    var grounded = solver.Grounded(pose);
                    return Moved(grounded, solver.Solve(grounded, planted), by, placed);
                }
            )
            .ToImmutableArray();
        return figure with
        {
            Poses = shift.Middle is { } between && poses.Length == 2 ? poses.Insert(1, HalfWay(figure, scene, between)) : poses,
        };
    }

    /// <summary>A key pose half-way through a rep that has none: where the body passes by itself, moved from there.</summary>
    private static Pose HalfWay(Figure figure, FigureScene scene, PoseShift by)
    {
        var solver = new PoseSolver(role => scene.HeightOf(figure, role));
        var (start, end) = (solver.Grounded(figure.Poses[0]), solver.Grounded(figure.Poses[1]));
        var passing = FigureMotion.Frames(figure, scene)[FigureMotion.StepsBetween / 2];
        var still = new Shift(0, 0);
        return PoseBetween.Interpolate(start, end, 0.5) is { } pose
            ? Moved(pose, passing, by, placed: true)
            : Moved(
                start with
                {
                    Pelvis = (start.Pelvis + end.Pelvis) / 2,
                    Chest = (start.Chest + end.Chest) / 2,
                },
                passing,
                by with
                {
                    NearHand = by.NearHand ?? still,
                    FarHand = by.FarHand ?? still,
                    NearFoot = by.NearFoot ?? still,
                    FarFoot = by.FarFoot ?? still,
                },
                placed: true
            );
    }

    private static Pose Moved(Pose pose, SolvedPose body, PoseShift by, bool placed)
    {
        var line = pose.Root is LineRoot;
        var trunk = line ? PitchOf(body.Neck - body.Hips) : 0;
        return pose with
        {
            Root = placed ? new HipRoot(body.Hips + Of(by.Hips), null) : pose.Root,
            Pelvis = (line ? trunk : pose.Pelvis) + by.Trunk,
            Chest = (line ? trunk : pose.Chest) + by.Trunk,
            Limbs = new Limbs(
                Arm(pose.Limbs.NearArm, body.NearArm, by.NearHand, 1),
                Arm(pose.Limbs.FarArm, body.FarArm, by.FarHand, -1),
                Leg(pose.Limbs.NearLeg, body.NearLeg, by.NearFoot, 1),
                Leg(pose.Limbs.FarLeg, body.FarLeg, by.FarFoot, -1)
            ),
        };
    }

    private static Limb Arm(Limb limb, SolvedArm arm, Shift? by, float side)
    {
        if (by is null && limb is not LimbByEnd { From: LimbOrigin.World })
        {
            return limb;
        }

        var end = (limb as LimbByEnd)?.End ?? LimbEnd.Grip;
        var at = end switch
        {
            LimbEnd.Flat => arm.Wrist - new Vector3(0, (float)SolvedLine.WristOnPalm, 0),
            LimbEnd.Forearm => arm.Elbow - new Vector3(0, (float)SolvedLine.ElbowOnFloor, 0),
            _ => arm.Grip,
        };
        return Ending(limb, end, at + Of(by), side);
    }

    private static Limb Leg(Limb limb, SolvedLeg leg, Shift? by, float side)
    {
        if (by is null && limb is not LimbByEnd { From: LimbOrigin.World })
        {
            return limb;
        }

        var end = (limb as LimbByEnd)?.End ?? LimbEnd.Grip;
        var at = end switch
        {
            LimbEnd.Flat => leg.Ankle - new Vector3(0, (leg.Ankle.Y - Math.Min(leg.Heel.Y, leg.Toe.Y)), 0),
            LimbEnd.Toes => leg.Toe - new Vector3(0.015f, 0, 0),
            LimbEnd.Heel => leg.Heel,
            LimbEnd.Knee => leg.Knee - new Vector3(0, (float)SolvedLine.KneeOnFloor, 0),
            _ => leg.Ankle,
        };
        return Ending(limb, end, at + Of(by), side);
    }

    private static LimbByEnd Ending(Limb limb, LimbEnd end, Vector3 at, float side)
    {
        var place = at with { Z = side * at.Z };
        return limb is LimbByEnd by
            ? by with
            {
                At = place,
                From = LimbOrigin.World,
                On = null,
            }
            : new LimbByEnd(place, LimbOrigin.World, null, end, 0, 0, null, true);
    }

    private static Vector3 Of(Shift? by) => by is null ? Vector3.Zero : new Vector3((float)by.Ahead, (float)by.Up, 0);

    private static double PitchOf(Vector3 up) => Math.Atan2(up.X, up.Y) * 180 / Math.PI;
}
