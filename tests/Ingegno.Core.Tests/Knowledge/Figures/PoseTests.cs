using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Figures;

namespace Ingegno.Core.Tests.Knowledge.Figures;

/// <summary>Poses against published lengths, and against what is reckoned by hand.</summary>
public class PoseTests
{
    private static Figure FigureOf(string id) => FigureBook.Shipped.Find(id) ?? throw new KeyNotFoundException(id);

    private static ImmutableArray<SolvedPose> Frames(string id, params (string Role, double Cm)[] heights) =>
        FigureMotion.Frames(FigureOf(id), FigureScene.Usual with { HeightsCm = heights.ToImmutableDictionary(h => h.Role, h => h.Cm) });

    [Fact]
    public void Whoever_stands_upright_has_the_published_heights()
    {
        // Drillis and Contini 1966, in Winter, from memory: shoulder .818, hip .530, knee .285, ankle .039.
        var standing = Frames("bodyweight-squat")[0];

        standing.Neck.Y.ShouldBe(0.818f, 0.008f);
        standing.Hips.Y.ShouldBe(0.530f, 0.005f);
        standing.NearLeg.Knee.Y.ShouldBe(0.285f, 0.012f);
        standing.NearLeg.Ankle.Y.ShouldBe(0.039f, 0.001f);
        standing.Head.Y.ShouldBeInRange(0.9f, 0.95f);
    }

    [Fact]
    public void The_centre_of_mass_of_one_who_stands_lies_at_55_to_58_hundredths()
    {
        // Common practice, and what de Leva's masses give: a little above half of the stature.
        var standing = Frames("hand-weight-shrug")[0];

        standing.CentreOfMass(BodySegments.ForSex(Sex.Male)).Y.ShouldBeInRange(0.54f, 0.585f);
        standing.CentreOfMass(BodySegments.ForSex(Sex.Female)).Y.ShouldBeLessThan(standing.CentreOfMass(BodySegments.ForSex(Sex.Male)).Y);
    }

    [Fact]
    public void The_body_in_a_push_up_slopes_as_the_sine_says()
    {
        var top = Frames("push-up")[0];
        // Shoulder over a straight arm and the palm; ankle of a foot on its toes; the body between is straight.
        var arm = Math.Sqrt(Math.Pow(0.99 * (0.186 + 0.146), 2) - (0.03 * 0.03));
        var slope = Math.Asin((arm * Math.Cos(0.15 * Slope(top)) + 0.022 - 0.107) / (0.818 - 0.039));

        Slope(top).ShouldBe(slope, 0.02);
        (top.Hips.Y - top.NearLeg.Ankle.Y).ShouldBe((float)((0.53 - 0.039) * Math.Sin(Slope(top))), 0.01f);
    }

    [Fact]
    public void Hands_on_a_higher_edge_make_a_steeper_push_up()
    {
        var slopes = ((double[])[30, 44, 74]).Select(h => Slope(Frames("hands-raised-push-up", ("hands", h))[0])).ToList();

        slopes.ShouldBeInOrder();
        slopes[2].ShouldBeGreaterThan(slopes[0] + 0.25);
    }

    [Fact]
    public void Feet_on_a_sofa_bring_the_head_down()
    {
        var frames = Frames("feet-raised-push-up", ("feet", 44));

        frames[0].NearLeg.Ankle.Y.ShouldBeGreaterThan((float)(44 / AssumedBody.StatureCm));
        frames[0].Neck.Y.ShouldBeLessThan(frames[0].Hips.Y + 0.02f);
    }

    [Fact]
    public void A_squat_stays_over_its_feet_all_the_way_down()
    {
        foreach (var frame in Frames("bodyweight-squat"))
        {
            var mass = frame.CentreOfMass(BodySegments.ForSex(Sex.Unknown));
            mass.X.ShouldBeInRange(frame.NearLeg.Heel.X, frame.NearLeg.Toe.X);
            mass.Z.ShouldBe(0, 0.02f);
        }
    }

    [Fact]
    public void A_squat_to_a_seat_ends_on_the_seat_whatever_its_height()
    {
        foreach (var cm in (double[])[38, 45, 52])
        {
            Frames("chair-squat", ("seat", cm))[^1].Hips.Y.ShouldBe((float)((cm / AssumedBody.StatureCm) + 0.05), 0.003f);
        }
    }

    [Fact]
    public void Planted_hands_and_feet_stay_where_they_are()
    {
        var frames = Frames("push-up");

        foreach (var frame in frames)
        {
            (frame.NearArm.Wrist - frames[0].NearArm.Wrist).Length().ShouldBeLessThan(0.01f);
            (frame.NearLeg.Toe - frames[0].NearLeg.Toe).Length().ShouldBeLessThan(0.01f);
        }
    }

    [Fact]
    public void A_curl_turns_about_the_elbow()
    {
        var (down, up) = (Frames("dumbbell-curl")[0], Frames("dumbbell-curl")[^1]);

        FigureCheck.Bend(down.NearArm).ShouldBeLessThan(15);
        FigureCheck.Bend(up.NearArm).ShouldBeInRange(125, 150);
        (up.NearArm.Elbow - down.NearArm.Elbow).Length().ShouldBeLessThan(0.05f);
        up.NearArm.Grip.Y.ShouldBeGreaterThan(up.NearArm.Elbow.Y + 0.1f);
    }

    [Fact]
    public void Hips_bend_forward_and_not_back()
    {
        var squat = Frames("bodyweight-squat")[^1];
        var kickback = Frames("mini-band-kickback")[^1];

        FigureCheck.HipBend(squat, squat.NearLeg).ShouldBeInRange(90, 135);
        FigureCheck.HipBend(kickback, kickback.NearLeg).ShouldBeLessThan(-10);
    }

    private static double Slope(SolvedPose pose) => Math.Atan2(pose.Neck.Y - pose.NearLeg.Ankle.Y, pose.Neck.X - pose.NearLeg.Ankle.X);
}
