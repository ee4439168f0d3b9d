using System.Numerics;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>A body in a line between feet and hands: push-ups, planks, rows under a bar.</summary>
/// <param name="Hips">Where the hips are.</param>
/// <param name="Neck">Where the shoulders are.</param>
/// <param name="Hands">Where the hands are planted, between the two.</param>
/// <param name="Pivot">What the body turns about.</param>
internal sealed record SolvedLine(Vector3 Hips, Vector3 Neck, Vector3 Hands, Vector3 Pivot)
{
    /// <summary>Height of the ankle of a foot that stands on its toes, in shares of stature.</summary>
    public const double AnkleOnToes = 0.107;

    /// <summary>Degrees of the sole to the floor of a foot that stands on its toes.</summary>
    public const double FootOnToes = 70;

    /// <summary>Height of the middle of a knee on the floor.</summary>
    public const double KneeOnFloor = 0.035;

    /// <summary>Wrist over the surface under a flat hand.</summary>
    public const double WristOnPalm = 0.022;

    /// <summary>Elbow over the surface under a forearm.</summary>
    public const double ElbowOnFloor = 0.022;

    private const double Trunk = BodyLengths.ShoulderHeight - BodyLengths.HipHeight;

    /// <summary>Solves a line.</summary>
    /// <param name="line">What is asked.</param>
    /// <param name="reach">Length of a straight arm to what touches the support.</param>
    /// <param name="over">Height of wrist, grip or elbow over the support.</param>
    /// <param name="heights">Heights of the things by role.</param>
    /// <param name="planted">Where the hands were planted by the start of the rep; null at the start.</param>
    public static SolvedLine Of(LineRoot line, double reach, double over, Func<string?, double> heights, Vector3? planted)
    {
        var pivot = PivotHeight(line.Pivot) + heights(line.FeetOn);
        var leg = line.Leg * LegLength(line.Pivot);
        var bend = line.Hip * Math.PI / 180;
        var body = Math.Sqrt((leg * leg) + (Trunk * Trunk) - (2 * leg * Trunk * Math.Cos(bend)));
        var side = line.FaceUp ? -1 : 1;
        var hands = heights(line.HandsOn) + line.HandHeight + over;
        var arm = Math.Sqrt(Math.Max(0.0004, (line.Arm * reach * line.Arm * reach) - (line.Wide * line.Wide)));
        Vector3 shoulder;
        if (line.Angle is { } angle)
        {
            var (sin, cos) = Math.SinCos(angle * Math.PI / 180);
            shoulder = At(body * cos, pivot + (body * sin));
            planted ??= shoulder + At(0, -arm);
        }
        else if (planted is { } at)
        {
            shoulder = Meet(At(0, pivot), body, at, arm, line.FaceUp);
        }
        else
        {
            var lean = line.Lean ?? (line.FaceUp ? 0 : Math.Clamp(((hands - pivot) / 0.35) + 0.15, 0, 1));
            var tilt = Tilt(body, arm, lean, hands - pivot, line.FaceUp);
            shoulder = At(body * Math.Cos(tilt), pivot + (body * Math.Sin(tilt)));
            var swing = lean * tilt;
            planted = line.FaceUp
                ? shoulder + At(-(arm * Math.Sin(swing)) + line.Shift, arm * Math.Cos(swing))
                : shoulder + At((arm * Math.Sin(swing)) + line.Shift, -(arm * Math.Cos(swing)));
        }

        var hips = Hinge(At(0, pivot), shoulder, leg, body, line.Hip, line.FaceUp);
        return new SolvedLine(hips, shoulder, planted.Value, At(0, pivot));

        Vector3 At(double x, double y) => new((float)(side * x), (float)y, 0);
    }

    /// <summary>Height of what the body turns about over its support.</summary>
    public static double PivotHeight(LinePivot pivot) =>
        pivot switch
        {
            LinePivot.Toes => AnkleOnToes,
            LinePivot.Heels => 0,
            LinePivot.Knees => KneeOnFloor,
            _ => BodyLengths.AnkleHeight,
        };

    /// <summary>From what the body turns about to the hip.</summary>
    public static double LegLength(LinePivot pivot) =>
        pivot switch
        {
            LinePivot.Heels => BodyLengths.HipHeight,
            LinePivot.Knees => BodyLengths.Thigh,
            _ => BodyLengths.Thigh + BodyLengths.Shank,
        };

    /// <summary>Angle of the body to the floor with which the hands come to that height, found by halving.</summary>
    private static double Tilt(double body, double arm, double lean, double height, bool faceUp)
    {
        var (low, high) = (-0.6, Math.PI / 2);
        for (var i = 0; i < 40; i++)
        {
            var tilt = (low + high) / 2;
            var reached = (body * Math.Sin(tilt)) + ((faceUp ? 1 : -1) * arm * Math.Cos(lean * tilt));
            (low, high) = reached < height ? (tilt, high) : (low, tilt);
        }

        return (low + high) / 2;
    }

    /// <summary>Where two circles meet: above their line for one who presses, below it for one who hangs.</summary>
    private static Vector3 Meet(Vector3 a, double ra, Vector3 b, double rb, bool below)
    {
        var way = b - a;
        var d = Math.Clamp(way.Length(), Math.Abs(ra - rb) + 1e-5, ra + rb - 1e-5);
        var along = Vector3.Normalize(way);
        var x = ((d * d) + (ra * ra) - (rb * rb)) / (2 * d);
        var up = new Vector3(-along.Y, along.X, 0);
        up *= up.Y < 0 ? -1 : 1;
        var h = Math.Sqrt(Math.Max(0, (ra * ra) - (x * x)));
        return a + ((float)x * along) + ((below ? -1 : 1) * (float)h * up);
    }

    private static Vector3 Hinge(Vector3 pivot, Vector3 shoulder, double leg, double body, double angle, bool faceUp)
    {
        var along = (shoulder - pivot) / (float)body;
        var x = ((leg * leg) + (body * body) - (Trunk * Trunk)) / (2 * body);
        var h = Math.Sqrt(Math.Max(0, (leg * leg) - (x * x)));
        var up = new Vector3(-along.Y, along.X, 0);
        up *= up.Y < 0 ? -1 : 1;
        var sign = (angle > 180 ? -1 : 1) * (faceUp ? -1 : 1);
        return pivot + ((float)x * along) + (sign * (float)h * up);
    }
}
