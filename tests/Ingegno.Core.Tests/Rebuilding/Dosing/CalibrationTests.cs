using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Dosing;

/// <summary>The first session at home finds out what the client can do, where that is safe (docs/domain/progression and 06).</summary>
public class CalibrationTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);
    private static readonly ClientProfile Client = Examples.ClientA;

    [Fact]
    public void The_last_set_of_what_was_never_logged_is_open()
    {
        var home = Curl(Client);
        home.Dose.Figures.ShouldEndWith(" + AMRAP");
        home.Dose.Calibrates.ShouldBeTrue();
        home.Dose.Instructions.ShouldContain(i => i.Said().StartsWith("Last set: as many clean reps", StringComparison.Ordinal));
        Curl(Client, calibrate: false).Dose.LastSetOpen.ShouldBeFalse();
        Curl(Client with { Learned = [new LearnedLift("barbell-curl", "dumbbell-curl", 30, 0.06, Reason.Text("logs"))] })
            .Dose.LastSetOpen.ShouldBeFalse("it is known");
        Curl(Client with { Level = Level.Beginner }).Dose.Instructions.ShouldContain(i => i.Said().Contains("two more in you"));
    }

    [Fact]
    public void It_stays_closed_where_a_set_near_the_limit_is_not_safe()
    {
        Curl(Client with { HighBloodPressure = true }).Dose.LastSetOpen.ShouldBeFalse();
        Curl(Client with { SoreJoints = [new SoreJoint(Joint.Elbow, Soreness.Sore)] }).Dose.LastSetOpen.ShouldBeFalse();
        Curl(Client with { Screening = [ScreeningAnswer.HeartOrVascular] }).Dose.LastSetOpen.ShouldBeFalse();
        Curl(Client with { Screening = [ScreeningAnswer.HeartOrVascular], Clearance = new Clearance(Today, "a clinician") })
            .Dose.LastSetOpen.ShouldBeTrue();
        Rebuilt(Client, "Plank 3x30 s", "plank", true).Dose.LastSetOpen.ShouldBeFalse("a hold is not measured by a load");

        var notice = Plan(Client with { HighBloodPressure = true }, "Dumbbell curl 3x10", "dumbbell-curl", true)
            .Notices.Single(n => n.Code == "calibration");
        notice.Text.Said().ShouldContain("Dumbbell curl (high blood pressure)");
    }

    /// <summary>What was open only to find the dose is closed after it; what a coach left open stays so.</summary>
    [Fact]
    public void It_closes_once_it_is_done()
    {
        var found = Curl(Client).Dose;
        var closed = Calibration.Close(found);
        (closed.Calibrates, closed.LastSetOpen).ShouldBe((false, false));

        var open = found with { Calibrates = false };
        Calibration.Close(open).ShouldBe(open);
    }

    [Fact]
    public void Nobody_tests_a_bar_alone()
    {
        var home = Curl(Client, calibrate: false);
        var (bar, trap) = (
            new KitAtPlace(Examples.Kit("barbell 40"), DomainRules.Shipped.KitKinds),
            new KitAtPlace(Examples.Kit("trap-bar 60"), DomainRules.Shipped.KitKinds)
        );
        var exercise = DomainRules.Shipped.Catalogue.Get("dumbbell-curl");
        Calibration.Open(home with { UsesItems = ["k1"] }, exercise, Client, bar).WhyNot!.Code.ShouldBe("not-open.bar");
        Calibration.Open(home with { UsesItems = ["k1"] }, exercise, Client, trap).WhyNot!.Code.ShouldBe("not-open.bar");
        Calibration
            .Open(
                home with
                {
                    Expected = new RepRange(3, 4, 5),
                },
                exercise,
                Client,
                new KitAtPlace(Examples.Kit("dumbbell 8 x2"), DomainRules.Shipped.KitKinds)
            )
            .WhyNot!.Code.ShouldBe("not-open.maximum");
        Calibration
            .Open(home, exercise with { Skill = 4 }, Client, new KitAtPlace(Examples.Kit("dumbbell 8 x2"), DomainRules.Shipped.KitKinds))
            .WhyNot!.Code.ShouldBe("not-open.skill");
    }

    [Fact]
    public void An_open_set_is_stamped_as_a_test()
    {
        var plan = Plan(Client, "Dumbbell curl 3x10", "dumbbell-curl", true);
        var stamps = new LogStamps(DomainRules.Shipped, Client, Examples.Kit("dumbbell 8 x2", "dumbbell 10 x2"), plan.Lines);
        var sets = stamps
            .Stamp(new LoggedExercise(new LineKey(1), "dumbbell-curl", [.. Enumerable.Repeat(new LoggedSet { Reps = 10 }, 3)]))
            .Sets;
        sets.Select(s => s.Stamp!.PlannedReps is null).ShouldBe([false, false, true]);
        sets[2].Stamp!.PlannedRir.ShouldBe(Calibration.Reserve);
        sets[0].Stamp!.PlannedRir.ShouldNotBe(Calibration.Reserve);
    }

    [Fact]
    public void What_the_open_set_taught_sets_the_dose_unless_it_hurt()
    {
        var before = Plan(Client, "Dumbbell curl 3x10", "dumbbell-curl", true);
        var known = Client with
        {
            Learned =
            [
                new LearnedLift(
                    "barbell-curl",
                    "dumbbell-curl",
                    before.Lines[0].Chosen!.Exercises[0].SystemLoadKg!.Value * 1.15,
                    0.06,
                    Reason.Text("1 logged day")
                ),
            ],
        };
        var now = Plan(known, "Dumbbell curl 3x10", "dumbbell-curl", true);
        var context = new NextSession(DomainRules.Shipped)
            .Contexts(Client, Examples.Kit("dumbbell 8 x2", "dumbbell 10 x2"), before.Lines)[0]
            .Context;

        var set = AfterCalibration.Set([Next(0)], before.Lines, now.Lines)[0];
        set.Decision.ShouldBe(Decision.Calibrated);
        set.Dose.Figures.ShouldBe(now.Lines[0].Chosen!.Exercises[0].Dose.Figures);
        set.ExternalKg.ShouldBeLessThan(before.Lines[0].Chosen!.Exercises[0].ExternalKg, "weaker than thought: the lighter pair");
        AfterCalibration.Set([Next(6)], before.Lines, now.Lines)[0].Decision.ShouldBe(Decision.Swap);
        AfterCalibration.Set([Next(0)], now.Lines, now.Lines)[0].Decision.ShouldBe(Next(0).Decision, "nothing was calibrated");

        Proposal Next(int pain) =>
            DoubleProgression.Next(
                new LineKey(1),
                context,
                [
                    .. Enumerable.Repeat(
                        new LoggedSet
                        {
                            Reps = 12,
                            Rir = 2,
                            Pain = pain,
                        },
                        3
                    ),
                ]
            );
    }

    private static HomeExercise Curl(ClientProfile client, bool calibrate = true) =>
        Rebuilt(client, "Dumbbell curl 3x10 RIR 2", "dumbbell-curl", calibrate);

    private static HomeExercise Rebuilt(ClientProfile client, string line, string candidate, bool calibrate) =>
        Plan(client, line, candidate, calibrate).Lines[0].Chosen!.Exercises[0];

    private static HomePlan Plan(ClientProfile client, string line, string candidate, bool calibrate) =>
        new RebuildEngine(DomainRules.Shipped)
            .Rebuild(
                new RebuildRequest
                {
                    Client = client,
                    Kit = Examples.Kit("dumbbell 8 x2", "dumbbell 10 x2"),
                    GymLines = [line],
                    Choices = [new CoachChoice(new LineKey(1), candidate)],
                    Calibrate = calibrate,
                }
            )
            .Plan;
}
