using Ingegno.Core.Knowledge.Figures;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Tests.Knowledge.Figures;

/// <summary>A figure that a practice poses by hand.</summary>
public class FigureShiftTests
{
    private static readonly PoseShift Still = new();

    private static Figure Shifted(string exercise, PoseShift start, PoseShift end) =>
        FigureBook.Shipped.Find(exercise)!.Shifted(new FigureShift(start, end), FigureScene.Usual);

    [Theory]
    [InlineData("bodyweight-squat")]
    [InlineData("push-up")]
    [InlineData("dumbbell-curl")]
    [InlineData("table-row")]
    [InlineData("glute-bridge")]
    [InlineData("bird-dog")]
    public void Nothing_moved_is_the_figure_as_it_is(string exercise)
    {
        var before = FigureMotion.Frames(FigureBook.Shipped.Find(exercise)!, FigureScene.Usual);
        var after = FigureMotion.Frames(Shifted(exercise, Still, Still), FigureScene.Usual);

        foreach (var (a, b) in ((SolvedPose, SolvedPose)[])[(before[0], after[0]), (before[^1], after[^1])])
        {
            a.Joints.Zip(b.Joints, (x, y) => (x - y).Length()).Max().ShouldBeLessThan(0.03f);
        }
    }

    [Fact]
    public void A_hand_goes_where_it_is_dragged_and_the_rest_stays()
    {
        var before = FigureMotion.Frames(FigureBook.Shipped.Find("dumbbell-curl")!, FigureScene.Usual)[0];
        var after = FigureMotion.Frames(Shifted("dumbbell-curl", Still with { NearHand = new Shift(0.1, 0.05) }, Still), FigureScene.Usual)[
            0
        ];

        (after.NearArm.Grip - before.NearArm.Grip).X.ShouldBe(0.1f, 0.02f);
        (after.NearArm.Grip - before.NearArm.Grip).Y.ShouldBe(0.05f, 0.02f);
        (after.FarArm.Grip - before.FarArm.Grip).Length().ShouldBeLessThan(0.02f);
        (after.NearLeg.Ankle - before.NearLeg.Ankle).Length().ShouldBeLessThan(0.02f);
    }

    [Fact]
    public void Hips_go_down_and_the_feet_stay()
    {
        var before = FigureMotion.Frames(FigureBook.Shipped.Find("bodyweight-squat")!, FigureScene.Usual)[^1];
        var after = FigureMotion.Frames(Shifted("bodyweight-squat", Still, Still with { Hips = new Shift(0, -0.06) }), FigureScene.Usual)[
            ^1
        ];

        (after.Hips - before.Hips).Y.ShouldBe(-0.06f, 0.002f);
        (after.NearLeg.Ankle - before.NearLeg.Ankle).Length().ShouldBeLessThan(0.01f);
    }

    [Fact]
    public void What_no_body_can_do_is_named()
    {
        var figure = Shifted("bodyweight-squat", Still, Still with { NearFoot = new Shift(0.4, -0.1) });

        FigureCheck.Check(figure, FigureScene.Usual).Select(f => f.Code).ShouldContain("figure.floor");
    }

    [Fact]
    public void An_exercise_of_a_practice_is_drawn_as_it_was_posed()
    {
        var own = DomainRules.Shipped.Catalogue.Get("goblet-squat") with
        {
            Id = "our-squat",
            Figure = "goblet-squat",
            Posed = new FigureShift(Still, Still with { Trunk = 20 }),
        };
        var domain = DomainRules.Shipped.With([own]);

        domain
            .DrawingOf("our-squat", null, null, null)!
            .Frames[^1]
            .ShouldNotBe(domain.DrawingOf("goblet-squat", null, null, null)!.Frames[^1]);
    }

    [Theory]
    [InlineData(0.81, 0, false)]
    [InlineData(0.8, 120, true)]
    [InlineData(0, 121, false)]
    public void It_is_moved_within_limits(double ahead, double trunk, bool within) =>
        new FigureShift(Still with { Hips = new Shift(ahead, 0), Trunk = trunk }, Still).WithinLimits.ShouldBe(within);

    [Theory]
    [InlineData("dumbbell-curl")]
    [InlineData("bodyweight-squat")]
    [InlineData("push-up")]
    [InlineData("single-leg-romanian-deadlift")]
    public void A_key_pose_half_way_that_moves_nothing_leaves_the_rep_where_it_passes(string exercise)
    {
        var figure = FigureBook.Shipped.Find(exercise)!;
        var before = FigureMotion.Frames(figure, FigureScene.Usual);
        var after = FigureMotion.Frames(
            figure.Shifted(new FigureShift(Still, Still) { Middle = new PoseShift() }, FigureScene.Usual),
            FigureScene.Usual
        );

        after.Length.ShouldBe(2 * FigureMotion.StepsBetween + 1);
        foreach (
            var (old, now) in new[]
            {
                (0, 0),
                (FigureMotion.StepsBetween / 2, FigureMotion.StepsBetween),
                (FigureMotion.StepsBetween, 2 * FigureMotion.StepsBetween),
            }
        )
        {
            (after[now].NearArm.Grip - before[old].NearArm.Grip).Length().ShouldBeLessThan(0.02f, $"{exercise}, hand at {old}");
            (after[now].Hips - before[old].Hips).Length().ShouldBeLessThan(0.02f, $"{exercise}, hips at {old}");
            (after[now].NearLeg.Ankle - before[old].NearLeg.Ankle).Length().ShouldBeLessThan(0.02f, $"{exercise}, foot at {old}");
        }
    }

    [Fact]
    public void A_hand_moved_half_way_goes_round_and_comes_back()
    {
        var figure = FigureBook.Shipped.Find("dumbbell-curl")!;
        var aside = new PoseShift { NearHand = new Shift(0.08, 0) };
        var before = FigureMotion.Frames(figure, FigureScene.Usual);
        var after = FigureMotion.Frames(
            figure.Shifted(new FigureShift(Still, Still) { Middle = aside }, FigureScene.Usual),
            FigureScene.Usual
        );

        (after[FigureMotion.StepsBetween].NearArm.Grip.X - before[FigureMotion.StepsBetween / 2].NearArm.Grip.X).ShouldBeInRange(
            0.02f,
            0.1f
        );
        (after[^1].NearArm.Grip - before[^1].NearArm.Grip).Length().ShouldBeLessThan(0.01f);
        FigureShift far = new(Still, Still) { Middle = new PoseShift { Hips = new Shift(2, 0) } };
        far.WithinLimits.ShouldBeFalse();
    }
}
