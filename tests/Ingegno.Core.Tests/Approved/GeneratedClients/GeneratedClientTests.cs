using System.Globalization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Approved.GeneratedClients;

/// <summary>What comes out today for drawn clients: weeks, what logs propose, what decisions do, weeks of training.</summary>
public class GeneratedClientTests
{
    private static readonly RebuildEngine Engine = new(DomainRules.Shipped);
    private static readonly NextSession Next = new(DomainRules.Shipped);

    [Fact]
    public Task Rebuilt_weeks()
    {
        var register = new ClientSnapshots(
            "seed",
            "line",
            "exercise",
            "dose",
            "kg",
            "expected",
            "match",
            "why",
            "lost",
            "then",
            "ruled out",
            "mark"
        );
        foreach (var seed in Enumerable.Range(1, 48))
        {
            var plan = Engine.Rebuild(DrawnRequests.Of(seed)).Plan;
            foreach (var line in plan.Lines)
            {
                var homes = line.Chosen?.Exercises ?? [];
                register.Row(
                    seed,
                    $"{line.GymExerciseName} {line.GymDose}",
                    homes.Select(e => e.ExerciseId),
                    string.Join(" + ", homes.Select(Dose)),
                    string.Join(" + ", homes.Select(e => Kg(e.ExternalKg))),
                    string.Join(" + ", homes.Select(e => e.ExpectedReps ?? "–")),
                    line.Chosen?.Match,
                    line.Chosen?.Why.Select(r => r.Code) ?? [],
                    line.Chosen?.Lost.Select(r => r.Code) ?? [],
                    line.Candidates.Where(c => c.Id != line.Chosen?.Id).Take(2).Select(c => c.Id),
                    line.RuledOut.Length,
                    ClientSnapshots.Mark(line)
                );
            }

            register.Row(
                seed,
                "= week",
                "",
                plan.Days.Select(d => $"{d.Minutes.Total}/{d.Minutes.Limit}"),
                "",
                "",
                null,
                plan.Notices.Select(n => n.Code),
                plan.Findings.Select(f => f.Key),
                plan.Days.SelectMany(d => d.Cut).Select(r => r.Code),
                "",
                ClientSnapshots.Mark((plan.Days, plan.Findings, plan.HardSets, plan.Notices, plan.Kept))
            );
        }

        return ShouldBeAsBefore(register, "weeks");
    }

    [Fact]
    public Task Proposals_for_the_next_session()
    {
        var register = new ClientSnapshots("seed", "log", "away", "decisions", "next", "mark");
        var replacements = new Replacements(DomainRules.Shipped, Engine);
        foreach (var seed in Enumerable.Range(101, 10))
        {
            var request = DrawnRequests.Of(seed);
            var plan = Engine.Rebuild(request).Plan;
            foreach (var draw in Enumerable.Range(1, 16))
            {
                var log = DrawnLogs.Of(plan, (seed * 100) + draw);
                var said = Next.Propose(
                    request.Client,
                    request.Kit,
                    plan.Lines,
                    log,
                    DrawnLogs.Today,
                    days: draw % 4 == 0 ? null : plan.Days
                );
                said = replacements.Name(said, request, plan, log);
                register.Row(
                    seed,
                    draw,
                    DrawnLogs.Today.DayNumber - log.Max(s => s.Day).DayNumber,
                    said.Select(p => p.Decision.ToString()),
                    string.Join(
                        " | ",
                        said.Select(p => $"{p.ToExerciseId ?? p.Replacement?.CandidateId} {p.Dose.Figures} {Kg(p.ExternalKg)}".Trim())
                    ),
                    ClientSnapshots.Mark(said)
                );
            }
        }

        return ShouldBeAsBefore(register, "proposals");
    }

    [Fact]
    public Task Decisions_of_a_coach()
    {
        var register = new ClientSnapshots("seed", "decision", "changed", "mark");
        foreach (var seed in Enumerable.Range(201, 8))
        {
            var noise = new Noise(seed);
            var request = DrawnRequests.Of(seed);
            var before = Engine.Rebuild(request).Plan;
            foreach (var decision in Decisions(before, noise))
            {
                var taken = PlanCommandHandler.Handle(request, before.Standing, decision);
                var after = Engine.Rebuild(taken).Plan;
                register.Row(
                    seed,
                    decision.GetType().Name,
                    string.Join(
                        " | ",
                        after
                            .Lines.Zip(before.Lines)
                            .Where(l => Short(l.First) != Short(l.Second))
                            .Select(l => $"{l.First.Gym.Key}: {Short(l.First)}")
                    ),
                    ClientSnapshots.Mark((taken, after.Lines, after.Days, after.Findings))
                );
            }
        }

        return ShouldBeAsBefore(register, "decisions");
    }

    /// <summary>Twelve trainees of the simulation, every proposal accepted.</summary>
    [Fact]
    public Task Weeks_of_training()
    {
        var register = new ClientSnapshots("seed", "week", "done", "proposed", "mark");
        foreach (var seed in Enumerable.Range(301, 10))
        {
            var request = SimulatedClients.Draw(seed);
            request = request with { Client = request.Client with { MinutesPerSession = 40 }, FitToMinutes = true };
            var trial = new TrainingTrial(DomainRules.Shipped);
            var plan = Engine.Rebuild(request).Plan;
            var policy = (EngineAccepted)trial.Engine(request, keepsMinutes: true);
            var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
            var trainee = new SimulatedTrainee(DomainRules.Shipped, request.Client, TraineeTraits.ForLevel(request.Client.Level), seed);
            var done = trial.Run(trial.Plan(request, plan), line => day[line], trainee, policy, new DateOnly(2026, 8, 31), weeks: 6);
            foreach (var (week, trained) in done.Trained.Index())
            {
                var said = policy.Said.ElementAtOrDefault(week);
                register.Row(
                    seed,
                    week + 1,
                    string.Join(" | ", trained.Select(p => $"{p.Home.ExerciseId} {Dose(p.Home)} {Kg(p.Home.ExternalKg)}")),
                    said.IsDefault ? [] : said.Select(p => p.Decision.ToString()),
                    ClientSnapshots.Mark(said.IsDefault ? done.Log : said)
                );
            }
        }

        return ShouldBeAsBefore(register, "training");
    }

    private static IEnumerable<PlanCommand> Decisions(HomePlan plan, Noise noise)
    {
        var lines = plan.Lines.Where(l => l.Chosen is not null && l.Candidates.Length > 1).ToList();
        if (lines.Count == 0)
        {
            yield break;
        }

        var line = noise.Of(lines);
        yield return new ChooseCandidate(
            line.Gym.Key,
            line.Candidates[Math.Min(line.Candidates.Length - 1, 1 + (int)(noise.Next() * 5))].Id
        );
        yield return new SetFigures([Figures(noise.Of(lines), noise), Figures(noise.Of(lines), noise)]);
        yield return new SetRole(noise.Of(lines).Gym.Key, noise.Of(Enum.GetValues<LineRole>()));
        yield return new LeaveOutExercise(noise.Of(lines).Chosen!.Exercises[0].ExerciseId);
        yield return new FollowApproach(noise.Of(DomainRules.Shipped.Approaches).Id, noise.Chance(0.5) ? "A" : null);
        foreach (var finding in plan.Findings.Where(f => f.Remedy is not null).Take(2))
        {
            yield return new TakeRemedy(finding.Remedy!);
        }
    }

    private static HomeEdit Figures(HomeLine line, Noise noise)
    {
        var home = line.Chosen!.Exercises[0];
        return new HomeEdit
        {
            Line = line.Gym.Key,
            ExerciseId = home.ExerciseId,
            Sets = noise.Chance(0.4) ? noise.Of([2, 3, 4, 5]) : null,
            Target =
                noise.Chance(0.4) && !home.Dose.Timed
                    ? noise.Of([new SetTarget(6, 8), new SetTarget(10, 10), new SetTarget(12, 15)])
                    : null,
            Tempo = noise.Chance(0.3) ? noise.Of([Tempo.Usual, Tempo.Parse("4-1-1-0")]) : null,
            Techniques = noise.Chance(0.3) ? [.. home.TechniquesThatFit.Take(noise.Of([0, 1]))] : null,
            RestSeconds = noise.Chance(0.3) ? noise.Of([45, 90, 150]) : null,
            Rir = noise.Chance(0.3) ? noise.Of([0, 1, 3]) : null,
            ExternalKg = noise.Chance(0.4) ? Math.Round(home.ExternalKg * noise.Of([0.6, 1.2, 1.5]), 1) : null,
        };
    }

    private static string Dose(HomeExercise home) =>
        $"{home.Dose.Figures} {home.Dose.Tempo} {home.Dose.RestSeconds}s @{home.Dose.Rir} {string.Join('+', home.Dose.Techniques)}".TrimEnd();

    private static string Short(HomeLine line) =>
        line.Chosen is { } chosen ? string.Join(" + ", chosen.Exercises.Select(e => $"{e.ExerciseId} {Dose(e)} {Kg(e.ExternalKg)}")) : "–";

    private static string Kg(double kg) => kg.ToString("0.##", CultureInfo.InvariantCulture);

    private static Task ShouldBeAsBefore(ClientSnapshots register, string name) =>
        register.Text.ShouldBeApproved("tests", "Ingegno.Core.Tests", "Approved", "GeneratedClients", $"{name}.tsv");
}
