using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>From a calibration session to doses: what is asked anew, and what stands.</summary>
public class AfterCalibrationTests
{
    private static readonly RebuildRequest Request = new()
    {
        Client = Examples.ClientB with { DaysPerWeek = 2 },
        Kit = Examples.Kit("dumbbell 4 x2", "dumbbell 8 x2"),
        GymLines = ["Dumbbell curl 3x10 RIR 2 90 s", "Plank 3x30 s"],
        Calibrate = true,
    };

    private static readonly HomePlan Plan = new RebuildEngine(DomainRules.Shipped).Rebuild(Request).Plan;

    [Fact]
    public void It_is_due_while_a_last_set_is_open()
    {
        AfterCalibration.IsDue(Plan).ShouldBeTrue();
        AfterCalibration.IsDue(new RebuildEngine(DomainRules.Shipped).Rebuild(Request with { Calibrate = false }).Plan).ShouldBeFalse();
    }

    [Fact]
    public void Figures_of_what_is_calibrated_go_and_those_of_others_stay()
    {
        var curl = Plan.Lines[0].Chosen!.Exercises[0].ExerciseId;
        var plank = Plan.Lines[1].Chosen!.Exercises[0].ExerciseId;
        var set = Request with
        {
            Edits =
            [
                new HomeEdit
                {
                    Line = new LineKey(1),
                    ExerciseId = curl,
                    Sets = 5,
                },
                new HomeEdit
                {
                    Line = new LineKey(2),
                    ExerciseId = plank,
                    Sets = 2,
                },
            ],
        };

        var anew = AfterCalibration.Anew(set, Plan);
        anew.Edits.Select(e => e.Line).ShouldBe([new LineKey(2)]);
        anew.Choices.Select(c => (c.Line, c.CandidateId))
            .ShouldBe([(new LineKey(1), Plan.Lines[0].Chosen!.Id), (new LineKey(2), Plan.Lines[1].Chosen!.Id)], "the exercises stand");
        anew.Choices.Select(c => c.Role!.Value).ShouldBe(Plan.Lines.Select(l => l.Role));
    }

    [Theory]
    [InlineData(Decision.MoreReps, Decision.Calibrated)]
    [InlineData(Decision.StepBack, Decision.Calibrated)]
    [InlineData(Decision.Swap, Decision.Swap)]
    [InlineData(Decision.Ease, Decision.Ease)]
    [InlineData(Decision.Wait, Decision.Wait)]
    public void Pain_and_what_was_not_trained_come_before_it(Decision said, Decision then)
    {
        var home = Plan.Lines[0].Chosen!.Exercises[0];
        var now = new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                Request with
                {
                    Calibrate = false,
                    Client = Request.Client with
                    {
                        Learned =
                        [
                            new LearnedLift(
                                "bench-press",
                                home.ExerciseId,
                                home.SystemLoadKg!.Value * 1.4,
                                0.05,
                                Reason.Text("one session")
                            ),
                        ],
                    },
                    Choices = [new CoachChoice(new LineKey(1), home.ExerciseId)],
                }
            )
            .Plan;

        var proposal = new Proposal(
            new LineKey(1),
            home.ExerciseId,
            home.Name,
            said,
            Reason.Text("As the log has it."),
            home.Dose,
            home.ExternalKg,
            string.Empty,
            true
        );
        var set = AfterCalibration.Set([proposal], Plan.Lines, now.Lines)[0];
        set.Decision.ShouldBe(then);
        set.Dose.LastSetOpen.ShouldBe(then != Decision.Calibrated);
        set.FlagsCoach.ShouldBe(then != Decision.Calibrated, "what is found anew is no alarm");
        set.Load.ShouldBe(then == Decision.Calibrated ? $"{now.Lines[0].Chosen!.Exercises[0].ExternalKg} kg" : string.Empty);
    }
}
