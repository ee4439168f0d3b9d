using CsCheck;
using Ingegno.Core.Clients.Health;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Progress.Progression;

/// <summary>Health in the progression: nothing is stepped up before a clearance, no hold grows past what is left, and what an alert holds waits.</summary>
public sealed class GentleStepsTests
{
    private static readonly string[] Week =
    [
        "Goblet squat 3x8-12",
        "Dumbbell floor press 3x8-12",
        "One-arm dumbbell row 3x10",
        "Plank 3x20-30 s",
        "Dumbbell curl 3x12",
    ];
    private static readonly DateOnly Day = new(2026, 11, 20);

    private static readonly ScreeningAnswer[] All = Enum.GetValues<ScreeningAnswer>();

    /// <summary>Drawn logs, good and bad, for every answer: the dose of the next session asks no more of any line.</summary>
    [Fact]
    public void Before_a_clearance_nothing_asks_for_more() =>
        Gen.Select(Gen.Int[0, All.Length - 1], Gen.Int[6, 25].List[5], Gen.Int[0, 4])
            .Sample(
                (answer, reps, rir) =>
                {
                    var client = Examples.ClientA with { Screening = [All[answer]] };
                    foreach (var (said, home) in Next(client, reps, rir))
                    {
                        said.Dose.Target.Max.ShouldBeLessThanOrEqualTo(home.Dose.Target.Max, said.Decision.ToString());
                        said.Dose.Sets.ShouldBeLessThanOrEqualTo(home.Dose.Sets);
                        if (said.ToExerciseId is null) // loads of two exercises are not of one kind
                        {
                            said.ExternalKg.ShouldBeLessThanOrEqualTo(home.ExternalKg + 0.01, said.Decision.ToString());
                        }

                        said.Dose.Techniques.Length.ShouldBeLessThanOrEqualTo(home.Dose.Techniques.Length);
                    }
                },
                iter: 60,
                threads: 1
            );

    /// <summary>Whatever the logs, cleared or not, a hold stays within what the answers leave.</summary>
    [Fact]
    public void No_hold_outgrows_what_health_leaves() =>
        Gen.Select(Gen.Int[0, All.Length - 1], Gen.Int[6, 60].List[5], Gen.Bool)
            .Sample(
                (answer, reps, pressure) =>
                {
                    var client = Examples.ClientA with
                    {
                        Screening = [All[answer]],
                        Clearance = new Clearance(Day, "Dr. Hale, sports physician"),
                        HighBloodPressure = pressure,
                    };
                    if (client.LongestHold() is not { } longest)
                    {
                        return;
                    }

                    foreach (var (said, home) in Next(client, reps, 3))
                    {
                        (home.Dose.Timed ? home.Dose.Target.Max : 0).ShouldBeLessThanOrEqualTo(longest);
                        (said.Dose.Timed ? said.Dose.Target.Max : 0).ShouldBeLessThanOrEqualTo(longest);
                    }
                },
                iter: 60,
                threads: 1
            );

    [Fact]
    public void What_an_alert_holds_waits()
    {
        var held = HeldTraining.By([Alert("locked", Joint.Knee)], DomainRules.Shipped.Red);
        var proposals = Next(Examples.ClientA, [12, 12, 12, 30, 12], 4, held).ToList();
        proposals.ShouldContain(p => p.Said.Decision == Decision.Wait && p.Said.Reason.Code == "alert.holds-joints");
        proposals.ShouldContain(p => p.Said.Decision != Decision.Wait);
        Next(Examples.ClientA, [12, 12, 12, 30, 12], 4, HeldTraining.By([Alert("chest", null)], DomainRules.Shipped.Red))
            .ShouldAllBe(p => p.Said.Decision == Decision.Wait);
    }

    private static SafetyAlert Alert(string sign, Joint? joint) =>
        new() { Source = AlertSource.StopSign, Signs = [new AlertSign(sign, joint)] };

    private static IEnumerable<(Proposal Said, Core.Programs.HomePlans.HomeExercise Home)> Next(
        ClientProfile client,
        List<int> reps,
        int rir,
        HeldTraining? held = null
    )
    {
        var kit = Examples.Kit("dumbbell 8 x2", "dumbbell 12 x2", "dumbbell 16 x2", "dumbbell 20");
        var plan = Examples.Rebuild(client, kit, Week).Plan;
        var homes = plan.Lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Key, e))).ToList();
        var log = new LoggedSession(
            Day,
            [
                .. homes.Select(
                    (h, i) =>
                        new LoggedExercise(
                            h.Key,
                            h.e.ExerciseId,
                            [.. Enumerable.Repeat(new LoggedSet { Reps = reps[i % reps.Count], Rir = rir }, h.e.Dose.Sets)]
                        )
                ),
            ]
        );
        var said = new NextSession(DomainRules.Shipped).Propose(client, kit, plan.Lines, [log], Day.AddDays(2), held: held);
        return said.Select(p => (p, homes.First(h => h.Key == p.Line && h.e.ExerciseId == p.ExerciseId).e));
    }
}
