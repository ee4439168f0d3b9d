using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Progress.FollowUp;

/// <summary>Twelve weeks of 200 simulated clients: the engine against a rep more every week (issue of progression, own design).</summary>
public class SimulationTests(Xunit.Abstractions.ITestOutputHelper output)
{
    private const int Clients = 200;
    private const int Weeks = 12;

    /// <summary>Weeks after which the log rules.</summary>
    private const int Calibrated = 3;

    private static readonly DateOnly Start = new(2026, 8, 31);

    [Fact]
    public void Over_two_hundred_clients_the_engine_gains_more_and_misses_less_than_a_rep_more_each_week()
    {
        var results = Enumerable.Range(1, Clients).AsParallel().AsOrdered().Select(Both).ToList();
        var (engine, rival) = (results.Select(r => r.Engine).ToList(), results.Select(r => r.Rival).ToList());
        var late = engine.Sum(r => r.PastFailureWeeks.Count(w => w >= Calibrated));
        output.WriteLine(
            $"gain {engine.Average(r => r.Gain):P2} against {rival.Average(r => r.Gain):P2}; missed {engine.Average(r => r.Missed):P1} against {rival.Average(r => r.Missed):P1}; late past-failure weeks {late} against {rival.Sum(r => r.PastFailureWeeks.Count(w => w >= Calibrated))}"
        );

        engine.Average(r => r.Gain).ShouldBeGreaterThan(rival.Average(r => r.Gain));
        engine.Average(r => r.Missed).ShouldBeLessThan(rival.Average(r => r.Missed) / 2);
        ((double)engine.Sum(r => r.PastFailureWeeks.Length) / (Clients * Weeks)).ShouldBeLessThan(
            0.015,
            "a week past failure is a bad day or a client nobody could guess, not a plan"
        );
        ((double)late / (Clients * (Weeks - Calibrated))).ShouldBeLessThan(0.015, "after the first weeks the log rules");
        engine.Count(r => r.Gain > 0.005).ShouldBeGreaterThan(Clients * 9 / 10, "progress keeps going");
    }

    [Fact]
    public void The_same_seed_gives_the_same_trainee()
    {
        var (a, b) = (Both(7), Both(7));
        (a.Engine.Gain, a.Engine.Missed).ShouldBe((b.Engine.Gain, b.Engine.Missed));
        Both(8).Engine.Gain.ShouldNotBe(a.Engine.Gain);
    }

    [Fact]
    public void Noise_is_about_normal()
    {
        var noise = new Noise(3);
        var drawn = Enumerable.Range(0, 20_000).Select(_ => noise.Normal(2)).ToList();
        drawn.Average().ShouldBe(0, 0.05);
        Math.Sqrt(drawn.Average(d => d * d)).ShouldBe(2, 0.05);
    }

    private static (TrialResult Engine, TrialResult Rival) Both(int seed)
    {
        var request = SimulatedClients.Draw(seed);
        var trial = new TrainingTrial(DomainRules.Shipped);
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;
        var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        var start = trial.Plan(request, plan);
        TrialResult Run(IProgressionPolicy policy) =>
            trial.Run(
                start,
                line => day[line],
                new SimulatedTrainee(DomainRules.Shipped, request.Client, TraineeTraits.ForLevel(request.Client.Level), seed),
                policy,
                Start,
                Weeks
            );
        return (Run(trial.Engine(request)), Run(new OneRepMoreEachWeek()));
    }
}
