using System.Collections.Immutable;
using System.Text.Json;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Programs.HomePlans;

/// <summary>The one verb of a plan: what each decision changes, and what it leaves alone.</summary>
public class PlanCommandHandlerTests
{
    private static readonly RebuildRequest Request = new()
    {
        Client = Examples.ClientA,
        Kit = Examples.Kit("dumbbell 12 x2", "chair 46"),
        GymLines = ["Bench press 3x8", "Barbell row 3x8"],
        Edits =
        [
            new HomeEdit
            {
                Line = new LineKey(1),
                ExerciseId = "push-up",
                Sets = 2,
            },
            new HomeEdit
            {
                Line = new LineKey(2),
                ExerciseId = "row",
                Sets = 4,
            },
        ],
    };

    private static readonly ImmutableArray<StandingLine> Standing =
    [
        new(new LineKey(1), "Upper", "bench-press", "push-up+band-fly", LineRole.Main),
        new(new LineKey(2), string.Empty, "barbell-row", "row", LineRole.Secondary),
    ];

    private static readonly HomeEdit Figures = new()
    {
        Line = new LineKey(1),
        ExerciseId = "push-up",
        Sets = 3,
        Target = new SetTarget(9, 12),
        Tempo = Tempo.Parse("2-0-1-0"),
        Rir = 2,
    };

    [Fact]
    public void What_stands_gets_the_head_start() =>
        Take(new FitToMinutes(false))
            .Before.ShouldBe([new StoodBefore("bench-press", "push-up+band-fly", "Upper"), new StoodBefore("barbell-row", "row")]);

    [Fact]
    public void A_candidate_is_taken_and_left_while_the_role_stays()
    {
        var taken = Take(new SetRole(new LineKey(1), LineRole.Accessory), new ChooseCandidate(new LineKey(1), "dip"));
        taken.Choices.ShouldBe([new CoachChoice(new LineKey(1), "dip", LineRole.Accessory)]);

        var left = PlanCommandHandler.Handle(taken, Standing, new LeaveToEngine(new LineKey(1)));
        left.Choices.ShouldBe([new CoachChoice(new LineKey(1), null, LineRole.Accessory)]);
        PlanCommandHandler.Handle(left, Standing, new SetRole(new LineKey(1), null)).Choices.ShouldBeEmpty();
    }

    [Fact]
    public void A_choice_for_one_line_leaves_the_others_and_the_last_one_counts()
    {
        var other = new CoachChoice(new LineKey(2), "row", LineRole.Main);
        var chosen = Request with { Choices = [new CoachChoice(new LineKey(1), "dip"), other, new CoachChoice(new LineKey(1), "push-up")] };

        PlanCommandHandler
            .Handle(chosen, Standing, new SetRole(new LineKey(1), LineRole.Accessory))
            .Choices.ShouldBe([other, new CoachChoice(new LineKey(1), "push-up", LineRole.Accessory)]);
        PlanCommandHandler.Handle(chosen, Standing, new LeaveToEngine(new LineKey(1))).Choices.ShouldBe([other]);
    }

    [Fact]
    public void An_exercise_left_out_leaves_pairs_too()
    {
        var chosen = Request with
        {
            Choices = [new CoachChoice(new LineKey(1), "push-up+band-fly"), new CoachChoice(new LineKey(2), "row")],
        };
        PlanCommandHandler
            .Handle(chosen, Standing, new LeaveOutExercise("band-fly"))
            .Choices.ShouldBe([new CoachChoice(new LineKey(2), "row")]);
    }

    [Fact]
    public void Figures_keep_what_they_leave_open_and_other_exercises()
    {
        var edits = Take(
            new SetFigures([
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = "push-up",
                    Rir = 1,
                },
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = "dip",
                    Sets = 5,
                },
            ])
        ).Edits;
        edits.Length.ShouldBe(3);
        (edits[0].Sets, edits[0].Rir).ShouldBe((2, 1));
    }

    [Fact]
    public void Techniques_take_the_place_of_a_tempo_typed_before()
    {
        var slow = Request with
        {
            Edits =
            [
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = "push-up",
                    Tempo = Tempo.Parse("5-0-1-0"),
                },
            ],
        };
        var edit = PlanCommandHandler
            .Handle(
                slow,
                Standing,
                new SetFigures([
                    new HomeEdit
                    {
                        Line = new LineKey(1),
                        ExerciseId = "push-up",
                        Techniques = ["pause-2"],
                    },
                ])
            )
            .Edits.Single();
        (edit.Tempo, edit.Techniques!.Value.Single()).ShouldBe((null, "pause-2"));
    }

    [Fact]
    public void Repeating_figures_takes_all_but_the_load_to_both_halves_of_a_pair()
    {
        var edits = Take(
            new RepeatFigures(Figures with { ExternalKg = 12, Line = new LineKey(9), ExerciseId = "curl" }, [new LineKey(1)])
        ).Edits;
        var changed = edits.Where(e => e.Sets == 3).ToList();
        changed
            .Select(e => (e.Line, e.ExerciseId, e.ExternalKg))
            .ShouldBe([(new LineKey(1), "push-up", null), (new LineKey(1), "band-fly", null)]);
    }

    [Fact]
    public void A_finding_is_accepted_with_a_reason_and_taken_back_by_an_empty_one()
    {
        var accepted = Take(new AcceptFinding("sides/1", "as meant"));
        accepted.Accepted.ShouldBe([new AcceptedFinding("sides/1", "as meant")]);
        PlanCommandHandler.Handle(accepted, Standing, new AcceptFinding("sides/1", string.Empty)).Accepted.ShouldBeEmpty();
    }

    [Fact]
    public void A_day_under_the_approach_of_the_week_needs_none_of_its_own_and_a_new_approach_ends_the_phase()
    {
        var day = Take(new FollowApproach("density", "Upper"));
        day.DayApproaches.ShouldBe([new DayApproach("Upper", "density")]);
        PlanCommandHandler.Handle(day, Standing, new FollowApproach(Approach.Default, "Upper")).DayApproaches.ShouldBeEmpty();
        PlanCommandHandler.Handle(Request with { Phase = "Strength" }, Standing, new FollowApproach("tension")).Phase.ShouldBeNull();
    }

    [Fact]
    public void Accepted_figures_replace_those_of_before_and_every_exercise_stays()
    {
        var accepted = Take(new AcceptProposals([new AcceptedProposal(new LineKey(1), "push-up", Figures)]));
        accepted.Edits.Select(e => (e.ExerciseId, e.Sets)).ShouldBe([("row", 4), ("push-up", 3)]);
        accepted.Choices.Select(c => c.CandidateId).ShouldBe(["push-up+band-fly", "row"]);
        accepted.Choices.Select(c => c.Role).ShouldBe([LineRole.Main, LineRole.Secondary]);
    }

    [Fact]
    public void What_the_coach_typed_goes_before_what_was_proposed()
    {
        var typed = new HomeEdit
        {
            Line = new LineKey(1),
            ExerciseId = "push-up",
            Sets = 5,
        };
        var edit = Take(new AcceptProposals([new AcceptedProposal(new LineKey(1), "push-up", Figures) { Typed = typed }])).Edits[^1];
        (edit.Sets, edit.Rir, edit.Tempo).ShouldBe((5, 2, Tempo.Usual));
    }

    [Fact]
    public void A_step_changes_its_half_of_a_pair_and_old_figures_go_with_it()
    {
        var stepped = Take(new AcceptProposals([new AcceptedProposal(new LineKey(1), "push-up", null, "archer-push-up")]));
        stepped.Choices[0].CandidateId.ShouldBe("archer-push-up+band-fly");
        stepped.Edits.Select(e => e.ExerciseId).ShouldBe(["row"]);
    }

    [Fact]
    public void Techniques_taken_off_before_stay_off()
    {
        var plain = Request with
        {
            Edits =
            [
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = "push-up",
                    Techniques = [],
                },
            ],
        };
        PlanCommandHandler
            .Handle(plain, Standing, new AcceptProposals([new AcceptedProposal(new LineKey(1), "push-up", Figures)]))
            .Edits.Single()
            .Techniques!.Value.ShouldBeEmpty();
    }

    [Theory]
    [InlineData(Decision.Wait, false)]
    [InlineData(Decision.Repeat, false)]
    [InlineData(Decision.Swap, false)]
    [InlineData(Decision.Change, false)]
    [InlineData(Decision.CheckForm, false)]
    [InlineData(Decision.NewPhase, false)]
    [InlineData(Decision.FewerReps, true)]
    [InlineData(Decision.FewerSets, true)]
    [InlineData(Decision.ShorterRest, true)]
    [InlineData(Decision.LongerRest, true)]
    [InlineData(Decision.Ease, true)]
    public void Only_what_can_be_written_changes_a_plan(Decision decision, bool changes)
    {
        var dose = new Dose
        {
            Sets = 3,
            Target = new SetTarget(8, 12),
            Tempo = Tempo.Parse("2-0-1-0"),
            RestSeconds = 90,
            Rir = 2,
        };
        new Proposal(new LineKey(1), "push-up", "Push-up", decision, Reason.None, dose, 0, string.Empty, false).Changes.ShouldBe(changes);
    }

    [Fact]
    public void Decisions_are_written_and_read_by_their_kind()
    {
        PlanCommand decision = new TakeWeek("tension", "Strength", [Figures]);
        var json = JsonSerializer.Serialize(decision, RulesJson.Strict);
        json.ShouldContain("\"kind\":\"take-week\"");
        JsonSerializer.Deserialize<PlanCommand>(json, RulesJson.Strict).ShouldBeOfType<TakeWeek>().Cells.Single().Sets.ShouldBe(3);
    }

    /// <summary>Review and trial accept by the same verb: the figures that were proposed are those of the plan that is built.</summary>
    [Theory]
    [InlineData(1)]
    [InlineData(4)]
    [InlineData(11)]
    [InlineData(23)]
    public void What_is_proposed_is_what_the_plan_has_once_it_is_accepted(int seed)
    {
        var request = SimulatedClients.Draw(seed);
        var (engine, next, trial) = (
            new RebuildEngine(DomainRules.Shipped),
            new NextSession(DomainRules.Shipped),
            new TrainingTrial(DomainRules.Shipped)
        );
        var plan = engine.Rebuild(request).Plan;
        var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        var start = new DateOnly(2026, 9, 7);
        var trainee = new SimulatedTrainee(DomainRules.Shipped, request.Client, TraineeTraits.ForLevel(Level.Novice), seed);
        var run = trial.Run(trial.Plan(request, plan), line => day[line], trainee, trial.Engine(request), start, 1);

        var proposals = next.Propose(request.Client, request.Kit, plan.Lines, run.Log, start.AddDays(6));
        var byReview = engine
            .Rebuild(
                PlanCommandHandler.Handle(
                    request,
                    plan.Standing,
                    new AcceptProposals([.. proposals.Where(p => p.Changes).Select(p => p.Accepted)])
                )
            )
            .Plan;
        var reviewed = byReview.Lines.SelectMany(l => l.Chosen?.Exercises ?? []).ToList();

        reviewed
            .Select(e => (e.ExerciseId, e.Dose.Figures, e.Dose.Tempo, e.Dose.RestSeconds, e.ExternalKg))
            .ShouldBe(
                run.Plan.Select(p =>
                    (p.Home.ExerciseId, p.Home.Dose.Figures, p.Home.Dose.Tempo, p.Home.Dose.RestSeconds, p.Home.ExternalKg)
                ),
                "the trial trains what a review gives"
            );
        foreach (var p in proposals.Where(p => p is { Changes: true, ToExerciseId: null }))
        {
            var now = reviewed.Single(e => e.ExerciseId == p.ExerciseId);
            (now.Dose.Figures, now.Dose.Tempo, now.Dose.RestSeconds, now.Dose.Rir).ShouldBe(
                (p.Dose.Figures, p.Dose.Tempo, p.Dose.RestSeconds, p.Dose.Rir),
                p.Name
            );
            now.ExternalKg.ShouldBe(p.ExternalKg, 0.01, p.Name);
        }
    }

    private static RebuildRequest Take(params PlanCommand[] decisions) => PlanCommandHandler.Handle(Request, Standing, decisions);
}
