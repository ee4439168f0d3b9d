using System.Numerics;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>
/// From a pose to joints in space. Lengths of the segments are those of Drillis and Contini (<see cref="BodyLengths"/>); joint
/// centres lie inside the breadths by the thickness of the limb.
/// </summary>
/// <param name="heights">Height of the thing that plays a role, in shares of stature; 0 for none.</param>
public sealed class PoseSolver(Func<string?, double> heights)
{
    /// <summary>Half the distance of the shoulder joints.</summary>
    public const float HalfShoulders = (float)(0.42 * BodyLengths.ShoulderWidth);

    /// <summary>Half the distance of the hip joints.</summary>
    public const float HalfHips = (float)(0.28 * BodyLengths.HipWidth);

    /// <summary>Hip joints over what one sits on.</summary>
    private const double SittingHips = 0.05;

    private const float Trunk = (float)(BodyLengths.ShoulderHeight - BodyLengths.HipHeight);
    private const float ToHead = 0.105f;
    private const double Grip = BodyLengths.Hand / 2;
    private const float SoleAhead = 0.1f;
    private const float SoleBehind = 0.037f;
    private const float ToeTip = (float)BodyLengths.FootLength - SoleBehind - SoleAhead;
    private const float Ankle = (float)BodyLengths.AnkleHeight;

    private static readonly BodySegments Masses = BodySegments.ForSex(Sex.Unknown);

    /// <summary>Solves a pose.</summary>
    /// <param name="pose">The pose.</param>
    /// <param name="planted">Where a line's hands are planted; null to plant them.</param>
    public SolvedPose Solve(Pose pose, Vector3? planted = null)
    {
        ArgumentNullException.ThrowIfNull(pose);
        return pose.Root switch
        {
            StandingRoot standing => Balanced(pose, standing),
            LineRoot line => Lined(pose, line, planted),
            HipRoot hip => Placed(pose, hip.At + Height(hip.On)),
            ShoulderRoot shoulder => Placed(pose, shoulder.At + Height(shoulder.On) - Spine(pose)),
            KneelingRoot kneel => Placed(pose, HipsOver(kneel)),
            _ => throw new ArgumentOutOfRangeException(nameof(pose), pose.Root, "No such root."),
        };
    }

    /// <summary>The pose with what its height follows from worked in.</summary>
    public Pose Grounded(Pose pose)
    {
        ArgumentNullException.ThrowIfNull(pose);
        return pose.Root is StandingRoot { Seat: { } seat } standing
            ? pose with
            {
                Root = standing with { Height = (heights(seat) + SittingHips) / BodyLengths.HipHeight, Seat = null },
            }
            : pose;
    }

    /// <summary>Where the hands of a line are planted at its start; null for what is no line.</summary>
    public Vector3? Plant(Pose pose)
    {
        ArgumentNullException.ThrowIfNull(pose);
        return pose.Root is LineRoot line ? Line(pose, line, null).Hands : null;
    }

    private Vector3 Height(string? role) => new(0, (float)heights(role), 0);

    private static Vector3 Spine(Pose pose)
    {
        var (pelvis, chest) = Frames(pose);
        return (Trunk / 2 * pelvis.Up) + (Trunk / 2 * chest.Up);
    }

    private static (BodyFrame Pelvis, BodyFrame Chest) Frames(Pose pose) =>
        (
            BodyFrame.FromAngles(pose.Pelvis, pose.Roll).Bent(pose.Lean),
            BodyFrame.FromAngles(pose.Chest, pose.Roll).Bent(pose.Lean + pose.Bend).Twisted(pose.Twist)
        );

    private Vector3 HipsOver(KneelingRoot kneel)
    {
        var (sin, cos) = BodyFrame.SinCos(kneel.ThighBack);
        var thigh = (float)BodyLengths.Thigh;
        return new Vector3((float)kneel.X - (thigh * sin), (float)SolvedLine.KneeOnFloor + (thigh * cos), 0) + Height(kneel.On);
    }

    /// <summary>The hips are moved until the centre of mass stands over the feet.</summary>
    private SolvedPose Balanced(Pose pose, StandingRoot root)
    {
        var (near, far) = (Sole(pose.Limbs.NearLeg, 1), Sole(pose.Limbs.FarLeg, -1));
        var over = (float)root.Over;
        var ground = (over * near) + ((1 - over) * far);
        var hips = new Vector3(ground.X, ground.Y + (float)(BodyLengths.HipHeight * root.Height), ground.Z);
        var solved = Placed(pose, hips);
        for (var i = 0; i < 12; i++)
        {
            var off = solved.CentreOfMass(Masses) - ground;
            off.X -= (float)(root.Lean ?? 0);
            if (Math.Abs(off.X) + Math.Abs(off.Z) < 1e-4)
            {
                break;
            }

            hips -= new Vector3(off.X, 0, off.Z);
            solved = Placed(pose, hips);
        }

        return solved;
    }

    /// <summary>The middle of what a planted foot stands on; below the hips for a free one.</summary>
    private Vector3 Sole(Limb leg, float side)
    {
        if (leg is not LimbByEnd { From: LimbOrigin.World } end)
        {
            return new Vector3(0, 0, side * HalfHips);
        }

        var ahead = end.End == LimbEnd.Flat ? 0.03f : 0;
        return (end.At with { Z = side * end.At.Z }) + ((float)end.Share * Height(end.On)) + new Vector3(ahead, 0, 0);
    }

    private SolvedPose Lined(Pose pose, LineRoot line, Vector3? planted)
    {
        var solved = Line(pose, line, planted);
        var up = Vector3.Normalize(solved.Neck - solved.Hips);
        var pitch = Math.Atan2(up.X, up.Y) * 180 / Math.PI;
        return Placed(pose with { Pelvis = pitch, Chest = pitch }, solved.Hips, solved);
    }

    private SolvedLine Line(Pose pose, LineRoot line, Vector3? planted)
    {
        var touching = ((Limb[])[pose.Limbs.NearArm, pose.Limbs.FarArm])
            .OfType<LimbByEnd>()
            .FirstOrDefault(a => a.From == LimbOrigin.World);
        var (reach, over) = touching?.End switch
        {
            LimbEnd.Flat => (BodyLengths.UpperArm + BodyLengths.Forearm, SolvedLine.WristOnPalm),
            LimbEnd.Forearm => (BodyLengths.UpperArm, SolvedLine.ElbowOnFloor),
            _ => (BodyLengths.ArmToGrip, 0),
        };
        return SolvedLine.Of(line, reach, over, heights, planted);
    }

    private SolvedPose Placed(Pose pose, Vector3 hips, SolvedLine? line = null)
    {
        var (pelvis, chest) = Frames(pose);
        var middle = hips + (Trunk / 2 * pelvis.Up);
        var neck = middle + (Trunk / 2 * chest.Up);
        var face = BodyFrame.FromAngles(pose.Chest + pose.Head, pose.Roll).Bent(pose.Lean + pose.Bend).Twisted(pose.Twist + pose.Look);
        var head = neck + (ToHead * face.Up);
        var body = new Body(hips, neck, head, pelvis, chest, face, line);
        var (nearLeg, a) = Leg(pose.Limbs.NearLeg, body, 1);
        var (farLeg, b) = Leg(pose.Limbs.FarLeg, body, -1);
        var (nearArm, c) = Arm(pose.Limbs.NearArm, body, nearLeg, 1);
        var (farArm, d) = Arm(pose.Limbs.FarArm, body, farLeg, -1);
        return new SolvedPose(
            hips,
            middle,
            neck,
            head,
            head + (0.06f * face.Front),
            nearArm,
            farArm,
            nearLeg,
            farLeg,
            Math.Max(Math.Max(a, b), Math.Max(c, d))
        );
    }

    private (SolvedArm Arm, double Short) Arm(Limb limb, Body body, SolvedLeg leg, float side)
    {
        var shoulder = body.Neck + (side * HalfShoulders * body.Chest.Near);
        if (limb is LimbByAngles angles)
        {
            var (upper, lower) = Directions(angles, body.Chest, side, 1);
            var elbow = shoulder + ((float)BodyLengths.UpperArm * upper);
            return (ArmFrom(shoulder, elbow, elbow + ((float)BodyLengths.Forearm * lower), lower), 0);
        }

        var end = (LimbByEnd)limb;
        var target = Target(end, body, shoulder, leg, side);
        if (end.End == LimbEnd.Forearm)
        {
            var elbow = shoulder + ((float)BodyLengths.UpperArm * Vector3.Normalize(target - shoulder));
            var ahead = Vector3.Normalize(body.Ahead + new Vector3(0, 0, -0.25f * side));
            return (ArmFrom(shoulder, elbow, elbow + ((float)BodyLengths.Forearm * ahead), ahead), (target - elbow).Length());
        }

        var pole = end.Pole is { } asked
            ? body.Chest.Along(asked, side)
            : (0.45f * side * body.Chest.Near) - body.Chest.Up - (0.5f * body.Chest.Front);
        if (end.End == LimbEnd.Flat)
        {
            var (middle, wrist) = TwoBones.Reach(shoulder, target, BodyLengths.UpperArm, BodyLengths.Forearm, pole);
            return (ArmFrom(shoulder, middle, wrist, body.Palm), (target - wrist).Length());
        }

        var (bent, grip) = TwoBones.Reach(shoulder, target, BodyLengths.UpperArm, BodyLengths.Forearm + Grip, pole);
        var along = Vector3.Normalize(grip - bent);
        return (ArmFrom(shoulder, bent, bent + ((float)BodyLengths.Forearm * along), along), (target - grip).Length());
    }

    private static SolvedArm ArmFrom(Vector3 shoulder, Vector3 elbow, Vector3 wrist, Vector3 hand) =>
        new(shoulder, elbow, wrist, wrist + ((float)Grip * hand), wrist + ((float)BodyLengths.Hand * 0.8f * hand));

    private (SolvedLeg Leg, double Short) Leg(Limb limb, Body body, float side)
    {
        var hip = body.Hips + (side * HalfHips * body.Pelvis.Near);
        if (limb is LimbByAngles angles)
        {
            var (upper, lower) = Directions(angles, body.Pelvis, side, -1);
            var knee = hip + ((float)BodyLengths.Thigh * upper);
            var ankle = knee + ((float)BodyLengths.Shank * lower);
            var front = FrontOfShank(angles, body.Pelvis, side);
            var (sin, cos) = BodyFrame.SinCos(angles.Point);
            return (LegFrom(hip, knee, ankle, (cos * front) + (sin * lower), (cos * lower) - (sin * front)), 0);
        }

        var end = (LimbByEnd)limb;
        var (sinOut, cosOut) = BodyFrame.SinCos(end.ToeOut);
        var toe = (cosOut * Vector3.UnitX) + (sinOut * side * Vector3.UnitZ);
        var ground = Ground(end, body, hip, side);
        if (end.End == LimbEnd.Knee)
        {
            var knee =
                hip + ((float)BodyLengths.Thigh * Vector3.Normalize(ground + new Vector3(0, (float)SolvedLine.KneeOnFloor, 0) - hip));
            var tucked = end.Pitch > 0;
            var down = ((tucked ? (float)SolvedLine.AnkleOnToes : Ankle) - knee.Y + ground.Y) / (float)BodyLengths.Shank;
            var back = Vector3.Normalize(new Vector3(-1, Math.Clamp(down, -0.5f, 0.5f), 0));
            var heel = knee + ((float)BodyLengths.Shank * back);
            var foot = tucked ? Vector3.Normalize(new Vector3(0.7f, -1, 0)) : Vector3.Normalize(new Vector3(-1, -0.15f, 0));
            var sole = tucked ? new Vector3(-1, -0.7f, 0) : new Vector3(0.15f, -1, 0);
            return (
                LegFrom(hip, knee, heel, foot, Vector3.Normalize(tucked ? sole : -sole)),
                (ground + new Vector3(0, (float)SolvedLine.KneeOnFloor, 0) - knee).Length()
            );
        }

        var (target, along, under) = Foot(end, ground, toe);
        if (body.Line is { } line && end is { From: LimbOrigin.World, End: LimbEnd.Toes })
        {
            target = line.Pivot with { Z = target.Z };
        }
        else if (body.Line is { } heels && end is { From: LimbOrigin.World, End: LimbEnd.Heel })
        {
            var lying = heels.Pivot + (Ankle * Vector3.Normalize(body.Hips - heels.Pivot));
            target = new Vector3(lying.X, Math.Max(lying.Y, target.Y), target.Z);
        }

        var pole = end.Pole is { } asked
            ? body.Pelvis.Along(asked, side)
            : body.Pelvis.Front + (0.8f * toe) + (0.12f * side * body.Pelvis.Near);
        var (bent, reached) = TwoBones.Reach(hip, target, BodyLengths.Thigh, BodyLengths.Shank, pole);
        if (end.End == LimbEnd.Pointed)
        {
            var shank = Vector3.Normalize(reached - bent);
            var front = TwoBones.Across(pole, shank);
            (along, under) = (Vector3.Normalize(shank + (0.35f * front)), Vector3.Normalize((0.35f * shank) - front));
        }

        var leg = LegFrom(hip, bent, reached, along, under);
        return (end.End == LimbEnd.Toes ? leg with { Toe = BallOf(leg, along, under) + (ToeTip * toe) } : leg, (target - reached).Length());
    }

    /// <summary>Where a foot on its toes bends.</summary>
    private static Vector3 BallOf(SolvedLeg leg, Vector3 along, Vector3 under) => leg.Ankle + (SoleAhead * along) + (Ankle * under);

    /// <summary>Ankle, direction of the toes and direction under the sole of a foot that touches the ground at a point.</summary>
    private static (Vector3 Ankle, Vector3 Along, Vector3 Under) Foot(LimbByEnd end, Vector3 ground, Vector3 toe)
    {
        switch (end.End)
        {
            case LimbEnd.Toes:
                var (sin, cos) = BodyFrame.SinCos(end.Pitch == 0 ? SolvedLine.FootOnToes : end.Pitch);
                var along = (cos * toe) - (sin * Vector3.UnitY);
                var under = -(sin * toe) - (cos * Vector3.UnitY);
                return (ground - (SoleAhead * along) - (Ankle * under), along, under);
            case LimbEnd.Heel:
                var tilt = BodyFrame.SinCos(Math.Max(end.Pitch, 45));
                var up = (tilt.Cos * toe) + (tilt.Sin * Vector3.UnitY);
                var below = (tilt.Sin * toe) - (tilt.Cos * Vector3.UnitY);
                return (ground + (SoleBehind * up) - (Ankle * below), up, below);
            case LimbEnd.Pointed:
            case LimbEnd.Grip:
                return (ground, toe, -Vector3.UnitY);
            default:
                return (ground + new Vector3(0, Ankle, 0), toe, -Vector3.UnitY);
        }
    }

    private static SolvedLeg LegFrom(Vector3 hip, Vector3 knee, Vector3 ankle, Vector3 along, Vector3 under) =>
        new(hip, knee, ankle, ankle - (SoleBehind * along) + (Ankle * under), ankle + ((SoleAhead + ToeTip) * along) + (Ankle * under));

    private Vector3 Ground(LimbByEnd end, Body body, Vector3 hip, float side) =>
        end.From switch
        {
            LimbOrigin.Hip => hip + (end.At with { Z = side * end.At.Z }),
            LimbOrigin.Chest => body.Neck + body.Chest.Along(end.At, side),
            _ => (end.At with { Z = side * end.At.Z }) + ((float)end.Share * Height(end.On)),
        };

    private Vector3 Target(LimbByEnd end, Body body, Vector3 shoulder, SolvedLeg leg, float side)
    {
        var at = end.At with { Z = side * end.At.Z };
        var lift = end.End switch
        {
            LimbEnd.Flat => (float)SolvedLine.WristOnPalm,
            LimbEnd.Forearm => (float)SolvedLine.ElbowOnFloor,
            _ => 0,
        };
        return end.From switch
        {
            LimbOrigin.Shoulder => shoulder + at,
            LimbOrigin.Hip => leg.Hip + at,
            LimbOrigin.Knee => leg.Knee + at,
            LimbOrigin.Ankle => leg.Ankle + at,
            LimbOrigin.Head => body.Head + body.Chest.Along(end.At, side),
            LimbOrigin.Chest => body.Neck + body.Chest.Along(end.At, side),
            _ when body.Line is { } line => line.Hands + new Vector3(at.X, at.Y, shoulder.Z + at.Z),
            _ => at + Height(end.On) + new Vector3(0, lift, 0),
        };
    }

    /// <summary>Directions of the two bones; elbows bend to the front, knees (bend −1) to the back.</summary>
    private static (Vector3 Upper, Vector3 Lower) Directions(LimbByAngles limb, BodyFrame frame, float side, float bends)
    {
        var (upper, front) = Root(limb, frame, side);
        var (sin, cos) = BodyFrame.SinCos(limb.Bend);
        return (upper, (cos * upper) + (bends * sin * front));
    }

    private static Vector3 FrontOfShank(LimbByAngles limb, BodyFrame frame, float side)
    {
        var (upper, front) = Root(limb, frame, side);
        var (sin, cos) = BodyFrame.SinCos(limb.Bend);
        return (cos * front) + (sin * upper);
    }

    private static (Vector3 Upper, Vector3 Front) Root(LimbByAngles limb, BodyFrame frame, float side)
    {
        var (sin, cos) = BodyFrame.SinCos(limb.Flexion);
        var (sinOut, cosOut) = BodyFrame.SinCos(limb.Out);
        var upper = (cosOut * ((sin * frame.Front) - (cos * frame.Up))) + (sinOut * side * frame.Near);
        var front = (sin * frame.Up) + (cos * frame.Front);
        var (sinTurn, cosTurn) = BodyFrame.SinCos(limb.Turn);
        return (upper, (cosTurn * front) + (sinTurn * side * Vector3.Cross(upper, front)));
    }

    private sealed record Body(
        Vector3 Hips,
        Vector3 Neck,
        Vector3 Head,
        BodyFrame Pelvis,
        BodyFrame Chest,
        BodyFrame Face,
        SolvedLine? Line
    )
    {
        /// <summary>Level direction to the head, of a body on its front; ahead, of one that stands.</summary>
        public Vector3 Ahead =>
            Math.Abs(Chest.Front.Z) > 0.7 ? Math.Sign(Chest.Front.Z) * Vector3.UnitZ
            : Level(Chest.Up) is { } level && level.Length() > 0.5 ? Vector3.Normalize(level)
            : Vector3.UnitX;

        /// <summary>Where the fingers of a flat hand point.</summary>
        public Vector3 Palm => Line is not null && Math.Abs(Chest.Up.Y) > 0.93 ? Vector3.UnitY : Ahead;

        private static Vector3 Level(Vector3 v) => v with { Y = 0 };
    }
}
