using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>
/// Directions of a part of the trunk: along it to the head, out of the belly, and to the near side. The world: x ahead of a
/// standing figure, y up, z to its right, which is the near side.
/// </summary>
internal readonly record struct BodyFrame(Vector3 Up, Vector3 Front, Vector3 Near)
{
    /// <summary>A frame from its pitch (0 upright, 90 lying on the front, −90 on the back) and its roll about the spine, in degrees;
    /// rolled −90 the near side is up and the belly looks at the viewer.</summary>
    public static BodyFrame FromAngles(double pitch, double roll)
    {
        var (sin, cos) = SinCos(pitch);
        var (up, front, near) = (new Vector3(sin, cos, 0), new Vector3(cos, -sin, 0), Vector3.UnitZ);
        var (sinRoll, cosRoll) = SinCos(roll);
        return new BodyFrame(up, (cosRoll * front) - (sinRoll * near), (cosRoll * near) + (sinRoll * front));
    }

    /// <summary>Bent to the near side, in degrees.</summary>
    public BodyFrame Bent(double degrees)
    {
        var (sin, cos) = SinCos(degrees);
        return this with { Up = (cos * Up) + (sin * Near), Near = (cos * Near) - (sin * Up) };
    }

    /// <summary>Turned about the spine with the front to the near side, in degrees.</summary>
    public BodyFrame Twisted(double degrees)
    {
        var (sin, cos) = SinCos(degrees);
        return this with { Front = (cos * Front) + (sin * Near), Near = (cos * Near) - (sin * Front) };
    }

    /// <summary>A vector given as ahead, along and outward.</summary>
    public Vector3 Along(Vector3 share, float side) => (share.X * Front) + (share.Y * Up) + (share.Z * side * Near);

    internal static (float Sin, float Cos) SinCos(double degrees)
    {
        var (sin, cos) = Math.SinCos(degrees * Math.PI / 180);
        return ((float)sin, (float)cos);
    }
}
