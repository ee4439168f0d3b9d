using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>What a block says in the review, and what comes before it (docs/domain/progression).</summary>
public class BlockGuideTests
{
    private static readonly BlockSetup Setup = BlockExamples.Setup(BlockExamples.Beginner) with { LighterWeeks = [2] };

    [Fact]
    public void A_lighter_week_comes_before_a_step_up()
    {
        var said = Review(Setup, Done(reps: 8, rir: 2));

        (said.Decision, said.Dose.Sets, said.Dose.SetsBefore, said.Dose.BlockWeek).ShouldBe((Decision.Deload, 2, 3, Setup.StartOf(2)));
        said.Dose.Target.Min.ShouldBe(8, "no rep more on top of less work");
        said.Reason.Said().ShouldStartWith("Week 2 of the block is a lighter one");
        Review(Setup with { LighterWeeks = [3] }, Done(8, 2)).Decision.ShouldBe(Decision.MoreReps);
    }

    [Fact]
    public void Where_the_log_goes_its_own_way_the_review_says_what_the_block_had_laid_out()
    {
        var ahead = Review(Setup with { LighterWeeks = [3] }, Done(reps: 12, rir: 4));
        var behind = Review(Setup with { LighterWeeks = [3] }, Done(reps: 5, rir: 0));

        ahead.Reason.Tells("block.ahead").ShouldBeTrue(ahead.Reason.Said());
        (behind.Reason.Tells("block.behind") || behind.Reason.Tells("block.laid-out")).ShouldBeTrue(behind.Reason.Said());
        behind.Reason.Said().ShouldContain("The block had laid out 3x");
        Review(Setup with { LighterWeeks = [2] }, Done(8, 2)).Reason.Tells("block.ahead").ShouldBeFalse("the block itself speaks");
    }

    [Fact]
    public void What_was_too_hard_gets_easier_in_a_lighter_week_too()
    {
        var said = Review(Setup, Done(reps: 5, rir: 0), of: WithoutBand);
        said.Decision.ShouldBe(Decision.Deload);
        said.Reason.Said().ShouldStartWith("5 reps in the best set");
        Of(WithoutBand).Dose.Techniques.ShouldNotBeEmpty();
        said.Dose.Techniques.ShouldBeEmpty("the technique goes first, in a lighter week as in any other");
    }

    [Theory]
    [InlineData(6, Decision.Swap)]
    [InlineData(3, Decision.Ease)]
    [InlineData(0, Decision.Deload)]
    public void Pain_comes_before_the_block(int pain, Decision decision) =>
        Review(Setup, [.. Done(8, 2).Select(s => s with { Pain = pain, PainJoint = Joint.Knee })]).Decision.ShouldBe(decision);

    [Fact]
    public void A_return_after_a_missed_week_comes_before_the_block() =>
        Review(Setup with { LighterWeeks = [3] }, Done(8, 2), daysLater: 16).Decision.ShouldBe(Decision.EaseIn);

    [Fact]
    public void A_cell_the_coach_set_comes_before_a_step_up_and_after_what_makes_it_easier()
    {
        var set = Setup with
        {
            LighterWeeks = [],
            Edits =
            [
                new BlockEdit(
                    2,
                    new HomeEdit
                    {
                        Line = new LineKey(1),
                        ExerciseId = Squat.ExerciseId,
                        Sets = 5,
                    }
                ),
            ],
        };

        var said = Review(set, Done(8, 2));
        (said.Decision, said.Dose.Sets).ShouldBe((Decision.AsPlanned, 5));
        said.Reason.Said().ShouldStartWith("You set 5x");
        var back = Review(set, Done(5, 0));
        back.Decision.ShouldBe(Decision.StepBack);
        back.Reason.Said().ShouldContain("The block had 5x");
    }

    [Fact]
    public void A_new_phase_is_announced_and_not_written_line_by_line()
    {
        var phases = Setup with
        {
            LighterWeeks = [],
            Phases = [new BlockPhase("First", 1), new BlockPhase("Strength", 4, "tension", "Strength")],
        };
        var said = Review(phases, Done(8, 2));
        said.Decision.ShouldBe(Decision.NewPhase);
        said.Dose.Figures.ShouldBe(Squat.Dose.Figures, "other days of the week may still be to come");
        Review(phases with { Phases = [new BlockPhase("First", 2), phases.Phases[1] with { Weeks = 3 }] }, Done(8, 2))
            .Decision.ShouldBe(Decision.MoreReps);
    }

    [Fact]
    public void Before_and_after_the_block_the_log_decides()
    {
        Review(Setup with { Starts = Setup.Starts.AddDays(28) }, Done(8, 2)).Decision.ShouldBe(Decision.MoreReps);
        Review(Setup with { Starts = Setup.Starts.AddDays(-60) }, Done(8, 2)).Decision.ShouldBe(Decision.MoreReps);
        Guide(Setup).For(new LineKey(1), Squat.ExerciseId, new LineHistory([], Setup.Starts, null)).ShouldBeNull();
    }

    [Fact]
    public void With_several_sessions_a_week_the_week_is_filled_first()
    {
        var day = new LineDay(Setup.Starts, Done(8, 2), null);
        var once = new LineHistory([day], Setup.Starts, Setup.Starts);
        var twice = new LineHistory([day with { Day = Setup.Starts.AddDays(3) }, day], Setup.Starts.AddDays(3), Setup.Starts.AddDays(3));
        Guide(Setup, sessionsPerWeek: 2).For(new LineKey(1), Squat.ExerciseId, once)!.Week.ShouldBe(1);
        Guide(Setup, sessionsPerWeek: 2).For(new LineKey(1), Squat.ExerciseId, twice)!.Week.ShouldBe(2);
    }

    private static HomeExercise Squat => Of(BlockExamples.Beginner);

    /// <summary>Light dumbbells alone: a squat has to be made hard by a technique.</summary>
    private static RebuildRequest WithoutBand =>
        BlockExamples.Beginner with
        {
            Kit = Examples.Kit("dumbbell 4 x2"),
            Client = BlockExamples.Beginner.Client with
            {
                Learned = [new LearnedLift("back-squat", null, 90, 0.1, Reason.Text("sessions of squats"))],
            },
        };

    private static HomeExercise Of(RebuildRequest request) => BlockExamples.Plan(request).Lines[0].Chosen!.Exercises[0];

    private static BlockGuide Guide(BlockSetup setup, int sessionsPerWeek = 1, RebuildRequest? of = null) =>
        new(setup, BlockExamples.Block(of ?? BlockExamples.Beginner, setup), sessionsPerWeek, DomainRules.Shipped.Blocks);

    private static ImmutableArray<LoggedSet> Done(int reps, int rir) => [.. Enumerable.Repeat(new LoggedSet { Reps = reps, Rir = rir }, 3)];

    private static Proposal Review(BlockSetup setup, ImmutableArray<LoggedSet> sets, int daysLater = 1, RebuildRequest? of = null)
    {
        var request = of ?? BlockExamples.Beginner;
        var log = new LoggedSession(BlockExamples.Monday, [new LoggedExercise(new LineKey(1), Of(request).ExerciseId, sets)]);
        return new NextSession(DomainRules.Shipped).Propose(
            request.Client,
            request.Kit,
            BlockExamples.Plan(request).Lines,
            [log],
            BlockExamples.Monday.AddDays(daysLater),
            Guide(setup, of: request)
        )[0];
    }
}
