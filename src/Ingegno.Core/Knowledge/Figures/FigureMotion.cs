using System.Collections.Immutable;
using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>A figure in motion: bodies at even steps along the rep, from the start pose to the last.</summary>
public static class FigureMotion
{
    /// <summary>Steps from one key pose to the next.</summary>
    public const int StepsBetween = 10;

    /// <summary>Solves a figure for a scene.</summary>
    /// <param name="figure">The figure.</param>
    /// <param name="scene">For whom and with what.</param>
    /// <param name="steps">Steps from one key pose to the next, at least 1.</param>
    public static ImmutableArray<SolvedPose> Frames(Figure figure, FigureScene scene, int steps = StepsBetween)
    {
        ArgumentNullException.ThrowIfNull(figure);
        ArgumentNullException.ThrowIfNull(scene);
        ArgumentOutOfRangeException.ThrowIfLessThan(steps, 1);
        var solver = new PoseSolver(role => scene.HeightOf(figure, role));
        var poses = figure.Poses.Select(solver.Grounded).ToList();
        var planted = solver.Plant(poses[0]);
        var frames = ImmutableArray.CreateBuilder<SolvedPose>();
        frames.Add(solver.Solve(poses[0], planted));
        for (var i = 1; i < poses.Count; i++)
        {
            var (from, to) = (poses[i - 1], poses[i]);
            var (a, b) = (Solve(from), Solve(to));
            for (var step = 1; step <= steps; step++)
            {
                var share = (double)step / steps;
                frames.Add(
                    step == steps ? b
                    : PoseBetween.Interpolate(from, to, share) is { } pose ? JointsBetween.Limbs(Solve(pose), from, to, a, b, share)
                    : JointsBetween.Interpolate(a, b, share)
                );
            }
        }

        return frames.ToImmutable();

        SolvedPose Solve(Pose pose) => solver.Solve(pose, pose.Root is LineRoot ? planted ?? solver.Plant(pose) : null);
    }

    /// <summary>Where a thing stands: the middle of its top, in shares of stature.</summary>
    public static Vector3 PlaceOf(FigureThing thing, Figure figure, FigureScene scene, SolvedPose start)
    {
        ArgumentNullException.ThrowIfNull(thing);
        ArgumentNullException.ThrowIfNull(scene);
        ArgumentNullException.ThrowIfNull(start);
        var under = thing.Under is { } part ? PointOf(part, start) ?? Vector3.Zero : Vector3.Zero;
        return new Vector3(
            under.X + (float)(thing.X ?? 0),
            (float)scene.HeightOf(figure, thing.Role ?? thing.Kind),
            under.Z + (float)thing.Z
        );
    }

    /// <summary>Length of a band at a moment of the rep, in shares of stature.</summary>
    public static double LengthOf(FigureBand band, Figure figure, FigureScene scene, SolvedPose start, SolvedPose now)
    {
        ArgumentNullException.ThrowIfNull(band);
        return (End(band.To) - End(band.From)).Length();

        Vector3 End(string name) =>
            PointOf(name, now)
            ?? (
                figure.Things.FirstOrDefault(t => (t.Role ?? t.Kind) == name) is { } thing
                    ? PlaceOf(thing, figure, scene, start)
                    : Vector3.Zero
            );
    }

    /// <summary>A part of the body by its name; null where it names none.</summary>
    public static Vector3? PointOf(string part, SolvedPose pose)
    {
        ArgumentNullException.ThrowIfNull(pose);
        return part switch
        {
            "hands" => (pose.NearArm.Grip + pose.FarArm.Grip) / 2,
            "nearHand" => pose.NearArm.Grip,
            "farHand" => pose.FarArm.Grip,
            "elbows" => (pose.NearArm.Elbow + pose.FarArm.Elbow) / 2,
            "shoulders" => pose.Neck,
            "bothHips" => pose.Hips,
            "nearShoulder" => pose.NearArm.Shoulder,
            "farShoulder" => pose.FarArm.Shoulder,
            "feet" => (Sole(pose.NearLeg) + Sole(pose.FarLeg)) / 2,
            "nearFoot" => Sole(pose.NearLeg),
            "farFoot" => Sole(pose.FarLeg),
            "heels" => (pose.NearLeg.Heel + pose.FarLeg.Heel) / 2,
            "nearAnkle" => pose.NearLeg.Ankle,
            "farAnkle" => pose.FarLeg.Ankle,
            "ankles" => (pose.NearLeg.Ankle + pose.FarLeg.Ankle) / 2,
            "bothFeet" => (pose.NearLeg.Toe + pose.FarLeg.Toe) / 2,
            "nearToe" => pose.NearLeg.Toe,
            "nearElbow" => pose.NearArm.Elbow,
            "farElbow" => pose.FarArm.Elbow,
            "nearKnee" => pose.NearLeg.Knee,
            "farKnee" => pose.FarLeg.Knee,
            "knees" => (pose.NearLeg.Knee + pose.FarLeg.Knee) / 2,
            "hips" => pose.Hips,
            "middle" => pose.Middle,
            "neck" => pose.Neck,
            "head" => pose.Head,
            _ => null,
        };
    }

    private static Vector3 Sole(SolvedLeg leg) => (leg.Heel + leg.Toe) / 2;
}
