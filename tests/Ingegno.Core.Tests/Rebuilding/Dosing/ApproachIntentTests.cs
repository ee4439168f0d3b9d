using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>What a school changes in a line, figure by figure, and what it leaves: on made-up schools that change one thing each.</summary>
[Trait("source", "docs/domain/prescription: schools; common practice")]
public class ApproachIntentTests
{
    private static readonly Approach Plain = new()
    {
        Id = "plain",
        Name = "Plain",
        Idea = "As it stands.",
        Against = "Nothing.",
    };

    private static readonly GymLine Line = new()
    {
        Line = 1,
        ExerciseId = "back-squat",
        Name = "Squat",
        Sets = 4,
        Target = new SetTarget(5, 5),
        Each = [new PlannedSet(new SetTarget(5, 5)), new PlannedSet(new SetTarget(3, 3))],
        ShareOfMax = 0.8,
        ShareOfMaxTo = 0.85,
        RepMax = 6,
        Rpe = 7,
        RpeTo = 8,
        Rir = 3,
        RirTo = 4,
        LastSetOpen = true,
    };

    private static readonly Bounds Eights = new(8, 12);

    [Fact]
    public void A_school_that_changes_nothing_leaves_every_figure() =>
        Plain.Intent(Line, LineRole.Main, 90).ShouldBe(Line with { RestSeconds = null });

    [Fact]
    public void Other_reps_take_the_percentages_the_sets_one_by_one_and_the_rep_maximum_with_them()
    {
        var asked = (Plain with { Reps = Eights, KeepsHeavy = false }).Intent(Line, LineRole.Main, 90);

        asked.Target.ShouldBe(new SetTarget(8, 12));
        (asked.ShareOfMax, asked.ShareOfMaxTo, asked.RepMax, asked.Each.IsEmpty).ShouldBe((null, null, null, true));
        (asked.Rpe, asked.RpeTo, asked.Rir, asked.RirTo).ShouldBe((7, 8, 3, 4), "how hard it is stays");
    }

    [Fact]
    public void Another_reserve_takes_the_efforts_with_it_and_leaves_reps_and_percentages()
    {
        var asked = (Plain with { Rir = 1 }).Intent(Line, LineRole.Main, 90);

        (asked.Rir, asked.RirTo, asked.Rpe, asked.RpeTo, asked.RepMax, asked.Each.IsEmpty).ShouldBe((1, null, null, null, null, true));
        (asked.Target, asked.ShareOfMax, asked.ShareOfMaxTo).ShouldBe((new SetTarget(5, 5), 0.8, 0.85));
    }

    [Fact]
    public void Another_number_of_sets_ends_the_sets_one_by_one_and_a_single_one_is_not_open()
    {
        var three = (Plain with { Sets = new Bounds(1, 3) }).Intent(Line, LineRole.Main, 90);
        (three.Sets, three.Each.IsEmpty, three.RepMax, three.LastSetOpen).ShouldBe((3, true, 6, true));

        var one = (Plain with { Sets = new Bounds(1, 1) }).Intent(Line, LineRole.Main, 90);
        (one.Sets, one.LastSetOpen).ShouldBe((1, false));
        (Plain with { Sets = new Bounds(1, 6) }).Intent(Line, LineRole.Main, 90).Each.Length.ShouldBe(2, "as many as before");
        (Plain with { Sets = new Bounds(1, 3), SetsFor = [LineRole.Accessory] }).Intent(Line, LineRole.Main, 90).Sets.ShouldBe(4);
        (Plain with { Sets = new Bounds(1, 3), SetsFor = [LineRole.Main] }).Intent(Line, LineRole.Main, 90).Sets.ShouldBe(3);
    }

    /// <summary>A main line of six reps and fewer is there for strength: a school of more reps keeps it where it says so.</summary>
    [Theory]
    [InlineData(5, 6, LineRole.Main, true, 5)]
    [InlineData(5, 7, LineRole.Main, true, 8)]
    [InlineData(5, 6, LineRole.Secondary, true, 8)]
    [InlineData(5, 6, LineRole.Main, false, 8)]
    public void Heavy_main_lines_keep_their_reps(int min, int max, LineRole role, bool keeps, int least) =>
        (Plain with { Reps = Eights, KeepsHeavy = keeps })
            .Intent(Line with { Target = new SetTarget(min, max) }, role, 90)
            .Target.Min.ShouldBe(least);

    [Fact]
    public void Timed_and_open_sets_keep_their_target()
    {
        var school = Plain with { Reps = Eights, KeepsHeavy = false };

        school
            .Intent(Line with { Timed = true, Target = new SetTarget(40, 40) }, LineRole.Accessory, 90)
            .Target.ShouldBe(new SetTarget(40, 40));
        school.Intent(Line with { Target = SetTarget.Open }, LineRole.Main, 90).Target.IsOpen.ShouldBeTrue();
    }

    [Fact]
    public void A_phase_comes_before_the_school()
    {
        var phase = new ApproachPhase("Size", 1, new Bounds(10, 15), new Bounds(2, 2), 0, "More.") { RepsFor = [LineRole.Main] };
        var school = Plain with { Reps = Eights, Sets = new Bounds(6, 6), Rir = 2, Phase = phase };

        var main = school.Intent(Line, LineRole.Main, 90);
        (main.Target, main.Sets, main.Rir).ShouldBe((new SetTarget(10, 15), 2, 0), "a phase speaks for heavy lines too");
        school.Intent(Line, LineRole.Accessory, 90).Target.ShouldBe(new SetTarget(8, 12));
    }

    [Fact]
    public void Half_the_reps_a_side_and_rests_within_the_school()
    {
        var school = Plain with { Reps = new Bounds(20, 20), HalvedPerSide = true, Rest = new Bounds(30, 60) };
        var both = Line with { Target = new SetTarget(10, 10), RestSeconds = 120 };

        school.Intent(both with { PerSide = true }, LineRole.Accessory, 90).Target.ShouldBe(new SetTarget(10, 10));
        school.Intent(both, LineRole.Accessory, 90).Target.ShouldBe(new SetTarget(20, 20));
        school.Intent(both, LineRole.Accessory, 90).RestSeconds.ShouldBe(60);
        school.Intent(both with { RestSeconds = null }, LineRole.Accessory, 45).RestSeconds.ShouldBe(45);
    }
}
