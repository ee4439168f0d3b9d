using System.Numerics;

namespace Ingegno.Core.Knowledge.Figures;

/// <summary>Inverse kinematics of a limb of two bones, by the law of cosines.</summary>
public static class TwoBones
{
    /// <summary>Where the middle joint and the end are; the end lies on the way to the target when that is out of reach.</summary>
    /// <param name="root">Shoulder or hip.</param>
    /// <param name="target">Where the end should be.</param>
    /// <param name="upper">Length of the first bone, above 0.</param>
    /// <param name="lower">Length of the second bone, above 0.</param>
    /// <param name="pole">Direction to which the middle joint points.</param>
    public static (Vector3 Middle, Vector3 End) Reach(Vector3 root, Vector3 target, double upper, double lower, Vector3 pole)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(upper);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(lower);
        var way = target - root;
        var far = Math.Clamp(way.Length(), Math.Abs(upper - lower) + 1e-4, upper + lower - 1e-5);
        var along = way.LengthSquared() > 1e-10f ? Vector3.Normalize(way) : -Vector3.UnitY;
        var cosine = ((upper * upper) + (far * far) - (lower * lower)) / (2 * upper * far);
        var aside = Across(pole, along);
        var middle = root + ((float)(upper * cosine) * along) + ((float)(upper * Math.Sqrt(Math.Max(0, 1 - (cosine * cosine)))) * aside);
        return (middle, root + ((float)far * along));
    }

    /// <summary>The part of a direction at right angles to an axis, of length 1.</summary>
    internal static Vector3 Across(Vector3 direction, Vector3 axis)
    {
        var part = direction - (Vector3.Dot(direction, axis) * axis);
        if (part.LengthSquared() < 1e-6f)
        {
            var other = Math.Abs(axis.Y) < 0.9f ? Vector3.UnitY : Vector3.UnitX;
            part = other - (Vector3.Dot(other, axis) * axis);
        }

        return Vector3.Normalize(part);
    }
}
