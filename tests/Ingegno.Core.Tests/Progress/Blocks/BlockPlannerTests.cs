using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Blocks;

/// <summary>The weeks of a block, worked by hand for two clients (docs/domain/progression).</summary>
public class BlockPlannerTests
{
    private static readonly Block OfBeginner = BlockExamples.Block(BlockExamples.Beginner, BlockExamples.Setup(BlockExamples.Beginner));
    private static readonly Block OfStrong = BlockExamples.Block(BlockExamples.Strong, BlockExamples.Setup(BlockExamples.Strong));

    [Fact]
    public void A_line_goes_up_a_rep_a_week_and_the_last_week_is_half_of_the_one_before()
    {
        var squat = BlockExamples.Line(OfBeginner, new LineKey(1));

        squat.Select(c => c.Dose.Figures).ShouldBe(["3x8", "3x9", "3x10", "3x11", "3x12", "2x12"]);
        squat
            .Select(c => c.Step)
            .ShouldBe([null, Decision.MoreReps, Decision.MoreReps, Decision.MoreReps, Decision.MoreReps, Decision.Deload]);
        squat[5].ExternalKg.ShouldBe(squat[4].ExternalKg, "the load stays");
        squat.Select(c => c.Asks!.Value).Take(5).ShouldBeInOrder(SortDirection.Ascending);
        squat[4]
            .Asks!.Value.ShouldBeGreaterThan(
                1.01,
                "four reps more than today, of which the reserve bears a part: k = 75, (1 + 14/75) / (1 + 12/75) is 1.02"
            );
    }

    [Fact]
    public void After_a_lighter_week_it_goes_on_from_where_it_was()
    {
        var setup = BlockExamples.Setup(BlockExamples.Beginner) with { LighterWeeks = [3] };
        var squat = BlockExamples.Line(BlockExamples.Block(BlockExamples.Beginner, setup), new LineKey(1));
        squat.Select(c => c.Dose.Figures).ShouldBe(["3x8", "3x9", "2x9", "3x9", "3x10", "3x11"]);
        squat[3].Step.ShouldBe(Decision.Resume);
    }

    [Fact]
    public void Each_phase_starts_as_the_engine_prescribes_it()
    {
        var press = BlockExamples.Line(OfStrong, new LineKey(1));
        var strength = BlockExamples
            .Plan(
                BlockExamples.Strong with
                {
                    Phase = "Strength",
                    Choices = [new CoachChoice(new LineKey(1), press[0].ExerciseId, LineRole.Main)],
                }
            )
            .Lines[0]
            .Chosen!.Exercises[0];

        OfStrong.Weeks.Where(w => w.PhaseStarts).Select(w => (w.Number, w.Phase)).ShouldBe([(3, "Strength"), (5, "Size")]);
        press[2].Dose.Target.ShouldBe(strength.Dose.Target);
        press[2].ExternalKg.ShouldBe(strength.ExternalKg);
        press[2].Dose.Target.ShouldBe(new SetTarget(5, 8));
        press[0].Dose.Rir.ShouldBe(3);
        press[4].Dose.Rir.ShouldBe(1);
        OfStrong.Weeks[2].Idea.Said().ShouldBe("The hardest variations and loads that stay clean.");
    }

    /// <summary>The days of a week are reckoned under its phase's approach, and under the plan's where the phase names none.</summary>
    [Fact]
    public void The_minutes_of_a_week_are_those_of_its_approach()
    {
        var plan = BlockExamples.Plan(BlockExamples.Strong);
        int Minutes(string? planned, string? ofPhase)
        {
            var request = BlockExamples.Strong with { Approach = planned };
            var setup = BlockExamples.Setup(request) with { Phases = [new BlockPhase("One", 6, ofPhase)] };
            return BlockExamples.Planner.Plan(request, plan, setup, null, BlockExamples.Monday).Weeks[0].Days.Sum(d => d.Minutes);
        }

        var circuit = Minutes("mirror", "circuit");
        circuit.ShouldBeLessThan(Minutes("mirror", "mirror"));
        Minutes(null, "circuit").ShouldBe(circuit, "the phase has the last word");
        Minutes("circuit", null).ShouldBeLessThan(Minutes("mirror", null));
    }

    [Fact]
    public void Later_weeks_follow_a_cell_that_was_set_and_earlier_ones_stand()
    {
        var setup = BlockExamples.Setup(BlockExamples.Beginner);
        var before = BlockExamples.Line(OfBeginner, new LineKey(1));
        var after = Edited(BlockExamples.Edit(before[2], 3, sets: 4));

        after.Select(c => c.Dose.Figures).ShouldBe(["3x8", "3x9", "4x10", "4x11", "4x12", "2x12"]);
        after.Select(c => c.SetByCoach).ShouldBe([false, false, true, false, false, false]);
        Edited(BlockExamples.Edit(before[2], 3, sets: 4, onlyThisWeek: true))
            .Select(c => c.Dose.Figures)
            .ShouldBe(["3x8", "3x9", "4x10", "3x11", "3x12", "2x12"]);
        Edited(BlockExamples.Edit(before[2], 3, sets: 4, onlyThisWeek: true)).ElementAt(2).Reason.Code.ShouldBe("week.this-alone");
        Edited(BlockExamples.Edit(before[2], 3, sets: 4)).ElementAt(2).Reason.Code.ShouldBe("week.from-here");
        Edited(BlockExamples.Edit(before[5], 6, sets: 1))
            .ElementAt(5)
            .Reason.Code.ShouldBe("week.this-alone", "a lighter week leads nowhere");
        Edited(BlockExamples.Edit(before[2], 3, sets: 4))
            .ElementAt(1)
            .Reason.ShouldBe(before[1].Reason, "what nobody set keeps its reason");
        BlockExamples
            .Line(BlockExamples.Block(BlockExamples.Beginner, setup with { Edits = [BlockExamples.Edit(before[2], 3, 4)] }), new LineKey(2))
            .Select(c => c.Dose.Figures)
            .ShouldBe(BlockExamples.Line(OfBeginner, new LineKey(2)).Select(c => c.Dose.Figures), "other lines are not touched");

        IEnumerable<BlockCell> Edited(BlockEdit edit) =>
            BlockExamples.Line(BlockExamples.Block(BlockExamples.Beginner, setup with { Edits = [edit] }), new LineKey(1));
    }

    [Fact]
    public void A_figure_set_inside_the_zone_moves_in_it_and_one_outside_is_its_own()
    {
        var push = BlockExamples.Line(OfStrong, new LineKey(1))[0];
        Week2(new SetTarget(11, 11)).Dose.Target.Min.ShouldBe(12, "8–12: from 11 to 12");
        Week2(new SetTarget(20, 20)).Dose.Target.Min.ShouldBe(21);

        BlockCell Week2(SetTarget target) =>
            BlockExamples.Line(
                BlockExamples.Block(
                    BlockExamples.Strong,
                    BlockExamples.Setup(BlockExamples.Strong) with
                    {
                        Edits =
                        [
                            new BlockEdit(
                                1,
                                new HomeEdit
                                {
                                    Line = new LineKey(1),
                                    ExerciseId = push.ExerciseId,
                                    Target = target,
                                }
                            ),
                        ],
                    }
                ),
                new LineKey(1)
            )[1];
    }

    [Theory]
    [InlineData(1)]
    [InlineData(3)]
    [InlineData(5)]
    [InlineData(6)]
    public void A_week_that_is_taken_is_what_the_plan_then_says(int number)
    {
        foreach (var (request, block) in new[] { (BlockExamples.Strong, OfStrong), (BlockExamples.Beginner, OfBeginner) })
        {
            var week = block.Weeks[number - 1];
            var taken = BlockPlanner.Taken(request, BlockExamples.Plan(request), BlockExamples.Setup(request), week, []);
            var exercises = BlockExamples.Plan(taken).Lines.SelectMany(l => l.Chosen!.Exercises.Select(e => (l.Gym.Key, Home: e))).ToList();

            foreach (var cell in week.Cells)
            {
                var (_, home) = exercises.Single(e => e.Key == cell.Line && e.Home.ExerciseId == cell.ExerciseId);
                (home.Dose.Figures, home.Dose.Tempo, home.Dose.RestSeconds, home.Dose.Rir, home.ExternalKg).ShouldBe(
                    (cell.Dose.Figures, cell.Dose.Tempo, cell.Dose.RestSeconds, cell.Dose.Rir, cell.ExternalKg),
                    $"{cell.Name}, week {number}"
                );
                home.Dose.BlockWeek.ShouldBe(week.Starts);
                home.Dose.Techniques.ShouldBe(cell.Dose.Techniques, cell.Name);
            }

            // Laid out anew from the plan that has taken it, the week is the same, and so are those after it.
            var again = BlockExamples.Planner.Plan(taken, BlockExamples.Plan(taken), BlockExamples.Setup(request), block, week.Starts);
            again
                .Weeks.Select(w => string.Join(';', w.Cells.Select(c => $"{c.Dose.Figures}@{c.ExternalKg}")))
                .ShouldBe(
                    block.Weeks.Select(w => string.Join(';', w.Cells.Select(c => $"{c.Dose.Figures}@{c.ExternalKg}"))),
                    $"week {number} taken"
                );
        }
    }

    [Fact]
    public void Weeks_that_are_past_stand_as_they_were_planned()
    {
        var setup = BlockExamples.Setup(BlockExamples.Beginner);
        var thinner = BlockExamples.Beginner with
        {
            Edits =
            [
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = BlockExamples.Line(OfBeginner, new LineKey(1))[0].ExerciseId,
                    Sets = 2,
                },
            ],
        };
        var now = BlockExamples.Line(BlockExamples.Block(thinner, setup, OfBeginner, BlockExamples.Monday.AddDays(15)), new LineKey(1));

        now.Take(2).ShouldBe(BlockExamples.Line(OfBeginner, new LineKey(1)).Take(2));
        now[2].Dose.Sets.ShouldBe(2, "the week that runs is what the plan says");
        BlockExamples
            .Block(thinner, setup, OfBeginner, BlockExamples.Monday.AddDays(60))
            .Weeks.SelectMany(w => w.Cells)
            .ShouldBe(OfBeginner.Weeks.SelectMany(w => w.Cells), "after its end nothing moves");
    }

    [Fact]
    public void A_next_block_starts_anew_from_a_plan_that_a_block_before_has_written()
    {
        var first = BlockExamples.Setup(BlockExamples.Beginner);
        var taken = BlockPlanner.Taken(BlockExamples.Beginner, BlockExamples.Plan(BlockExamples.Beginner), first, OfBeginner.Weeks[4], []);
        var next = first with { Starts = first.Ends.AddDays(1) };

        var laid = BlockExamples.Planner.Plan(taken, BlockExamples.Plan(taken), next, null, next.Starts);
        BlockExamples.Line(laid, new LineKey(1))[0].Dose.Figures.ShouldBe("3x12", "from where the one before ended");
        laid.Weeks.ShouldAllBe(w => w.Cells.Length == 3, "a week of the block before does not count as taken");
    }

    [Fact]
    public void Cells_that_the_plan_has_taken_are_no_edits_any_more()
    {
        var cell = BlockExamples.Line(OfBeginner, new LineKey(1))[1];
        var setup = BlockExamples.Setup(BlockExamples.Beginner) with
        {
            Edits = [BlockExamples.Edit(cell, 2, 4), BlockExamples.Edit(cell, 3, 5)],
        };
        var block = BlockExamples.Block(BlockExamples.Beginner, setup);
        var taken = BlockExamples.Plan(
            BlockPlanner.Taken(BlockExamples.Beginner, BlockExamples.Plan(BlockExamples.Beginner), setup, block.Weeks[1], [])
        );

        BlockPlanner.Settled(setup, taken).Edits.ShouldBe([setup.Edits[1]]);
        BlockPlanner.Settled(setup, BlockExamples.Plan(BlockExamples.Beginner)).Edits.ShouldBe(setup.Edits);
    }

    [Fact]
    public void The_whole_is_remarked_on()
    {
        var setup = BlockExamples.Setup(BlockExamples.Beginner);
        Notices(setup with { LighterWeeks = [] }).ShouldContain(n => n.StartsWith("No lighter week in 6", StringComparison.Ordinal));
        Notices(setup).ShouldNotContain(n => n.StartsWith("No lighter week", StringComparison.Ordinal));
        Notices(setup with { EventOn = setup.Ends.AddDays(20), EventName = "the spring head race" })
            .ShouldContain("The spring head race comes 3 weeks after this block: a next block leads up to it.");
        Notices(setup with { EventOn = setup.Starts.AddDays(2) }).ShouldContain(n => n.Contains("no time to build up"));
        Notices(setup, BlockExamples.Beginner.Client with { MinutesPerSession = 20 }).ShouldContain(n => n.Contains("of 20 minutes"));
        Notices(setup, BlockExamples.Beginner.Client with { MinutesPerSession = 200 }).ShouldNotContain(n => n.Contains("minutes"));

        IEnumerable<string> Notices(BlockSetup with, ClientProfile? client = null) =>
            BlockExamples
                .Block(BlockExamples.Beginner with { Client = client ?? BlockExamples.Beginner.Client }, with)
                .Notices.Select(n => n.Said());
    }
}
