using System.Numerics;
using CsCheck;
using Ingegno.Core.Knowledge.Figures;

namespace Ingegno.Core.Tests.Knowledge.Figures;

/// <summary>Inverse kinematics against trigonometry.</summary>
public class TwoBonesTests
{
    [Fact]
    public void Bones_of_three_and_four_over_a_way_of_five_stand_at_right_angles()
    {
        var (middle, end) = TwoBones.Reach(Vector3.Zero, new Vector3(5, 0, 0), 3, 4, Vector3.UnitY);

        end.ShouldBe(new Vector3(5, 0, 0));
        Vector3.Dot(middle, end - middle).ShouldBe(0, 1e-4f);
        middle.Y.ShouldBe(2.4f, 1e-4f);
    }

    [Fact]
    public void The_middle_joint_points_to_its_pole()
    {
        var up = TwoBones.Reach(Vector3.Zero, new Vector3(1, 0, 0), 0.7, 0.7, Vector3.UnitY).Middle;
        var aside = TwoBones.Reach(Vector3.Zero, new Vector3(1, 0, 0), 0.7, 0.7, -Vector3.UnitZ).Middle;

        up.Y.ShouldBe(MathF.Sqrt(0.49f - 0.25f), 1e-4f);
        aside.Z.ShouldBe(-MathF.Sqrt(0.49f - 0.25f), 1e-4f);
    }

    [Fact]
    public void What_is_too_far_is_reached_for_with_a_straight_limb()
    {
        var (middle, end) = TwoBones.Reach(Vector3.Zero, new Vector3(0, -2, 0), 0.3, 0.4, Vector3.UnitX);

        end.Length().ShouldBe(0.7f, 1e-3f);
        Vector3.Cross(middle, end).Length().ShouldBeLessThan(1e-2f);
    }

    [Fact]
    public void Bones_keep_their_length_wherever_the_end_is()
    {
        var place = Gen.Float[-1, 1].Select(Gen.Float[-1, 1], Gen.Float[-1, 1]).Select(p => new Vector3(p.Item1, p.Item2, p.Item3));
        place
            .Select(place)
            .Sample(
                (target, pole) =>
                {
                    var (middle, end) = TwoBones.Reach(Vector3.Zero, target, 0.245, 0.246, pole);
                    middle.Length().ShouldBe(0.245f, 1e-3f);
                    (end - middle).Length().ShouldBe(0.246f, 1e-3f);
                },
                iter: 400
            );
    }
}
