using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Commands;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Programs.HomePlans;

/// <summary>
/// Accepting some proposals changes those lines and no others, to the gram; what is accepted is what the plan holds; a log decides once
/// (weeks of drawn clients, each week with what the logs have taught by then).
/// </summary>
public class WhatNobodyDecidedTests
{
    private const int Clients = 24;
    private const int Weeks = 4;

    [Fact]
    public void A_plan_after_is_the_plan_before_but_for_what_was_accepted()
    {
        var (silent, other, twice, accepted) = (new List<string>(), new List<string>(), new List<string>(), 0);
        foreach (var week in Enumerable.Range(1, Clients).SelectMany(Played))
        {
            accepted += week.Taken.Length;
            var now = week.After.Standing.ToDictionary(s => s.Line);
            silent.AddRange(
                from stood in week.Before.Standing
                where week.Taken.All(t => t.Line != stood.Line)
                where !stood.AsksTheSameAs(now[stood.Line])
                select $"{week.Of} {Said(stood)} -> {Said(now[stood.Line])}"
            );
            other.AddRange(
                from proposal in week.Taken
                let shown = proposal.Replacement is { } there
                    ? there.Exercises.Select(e => HomeEdit.From(proposal.Line, e))
                    : [HomeEdit.From(proposal.Line, proposal.ExerciseId, proposal.Dose, proposal.ExternalKg)]
                from figures in shown
                let held = now[proposal.Line].Figures.FirstOrDefault(f => f.ExerciseId == figures.ExerciseId)
                where held is null || !SameDose(held, figures)
                select $"{week.Of} {proposal.Decision}: {figures} {string.Join(' ', figures.Techniques ?? [])} -> {held} {string.Join(' ', held?.Techniques ?? [])}"
            );
            twice.AddRange(
                from proposal in week.Again
                where week.Taken.Any(t => IsAnsweredBy(proposal, t)) && proposal.Decision != Decision.Wait
                select $"{week.Of} {proposal.Name} {proposal.Decision}"
            );
        }

        accepted.ShouldBeGreaterThan(100);
        silent.ShouldBeEmpty();
        other.ShouldBeEmpty();
        twice.ShouldBeEmpty();
    }

    private sealed record Week(string Of, HomePlan Before, ImmutableArray<Proposal> Taken, HomePlan After, ImmutableArray<Proposal> Again);

    /// <summary>Weeks of a drawn client whose coach takes every other proposal.</summary>
    private static IEnumerable<Week> Played(int seed)
    {
        var domain = DomainRules.Shipped;
        var (engine, next) = (new RebuildEngine(domain), new NextSession(domain));
        var replacements = new Replacements(domain, engine);
        var request = SimulatedClients.Draw(seed) with { Calibrate = seed % 3 == 0 };
        var profile = request.Client;
        var trainee = new SimulatedTrainee(domain, profile, TraineeTraits.ForLevel(profile.Level), seed);
        var (plan, log, first) = (engine.Rebuild(request).Plan, new List<LoggedSession>(), new DateOnly(2026, 1, 5));
        for (var week = 0; week < Weeks; week++)
        {
            var day = first.AddDays(7 * week);
            log.AddRange(
                next.Contexts(request.Client, request.Kit, plan.Lines)
                    .Select(c => new PlannedExercise(c.Line, c.Context))
                    .GroupBy(p => plan.Lines.First(l => l.Gym.Key == p.Line).Gym.Day)
                    .Select(
                        (group, i) =>
                            new LoggedSession(
                                day.AddDays(2 * i),
                                [
                                    .. group.Select(p =>
                                        trainee.Do(p.Line, p.Home, p.SystemKg, StraightSets.ShareLeft(p.Home.Dose, domain), week)
                                    ),
                                ],
                                7
                            )
                    )
            );
            var today = day.AddDays(6);

            // What the logs have taught meanwhile is what used to move lines behind the coach's back.
            request = request with
            {
                Client = profile with { Learned = Taught(profile, log, today) },
            };
            var said = next.Propose(request.Client, request.Kit, plan.Lines, log, today, days: plan.Days);
            if (AfterCalibration.IsDue(plan))
            {
                said = AfterCalibration.Set(said, plan.Lines, engine.Rebuild(AfterCalibration.Anew(request, plan)).Plan.Lines);
            }

            said = replacements.Name(said, request, plan, log);
            ImmutableArray<Proposal> taken = [.. said.Where(p => p.Changes).Where((_, i) => (i + week + seed) % 2 == 0)];
            request = PlanCommandHandler.Handle(request, plan.Standing, new AcceptProposals([.. taken.Select(t => t.Accepted)]));
            var after = engine.Rebuild(request).Plan;
            var again = next.Propose(request.Client, request.Kit, after.Lines, log, today, days: after.Days);
            yield return new Week($"client {seed}, week {week + 1}:", plan, taken, after, again);
            plan = after;
        }
    }

    private static ImmutableArray<LearnedLift> Taught(ClientProfile profile, List<LoggedSession> log, DateOnly today) =>
        new StrengthModel(profile, DomainRules.Shipped.Strength).Learn(
            from session in log
            from logged in session.Exercises
            let exercise = DomainRules.Shipped.Catalogue.Find(logged.ExerciseId)
            where exercise is not null
            let seen = StrengthObservation.FromSets(session.Day, exercise, Evidence.FromSets(logged.Sets))
            where seen is not null
            select seen,
            DomainRules.Shipped.Catalogue.Find,
            today
        );

    /// <summary>It is about the exercise that was decided on, or about what took its place; another half of a pair waits for its own word.</summary>
    private static bool IsAnsweredBy(Proposal again, Proposal taken) =>
        again.Line == taken.Line
        && (
            taken.Replacement is { } there
                ? there.Exercises.Any(e => e.ExerciseId == again.ExerciseId)
                : again.ExerciseId == (taken.ToExerciseId ?? taken.ExerciseId)
        );

    private static bool SameDose(HomeEdit held, HomeEdit shown) =>
        (held with { SetupId = shown.SetupId, Spots = shown.Spots, FindAnew = shown.FindAnew }).AsksTheSameAs(shown);

    private static string Said(StandingLine line) => string.Join(" + ", line.Figures.Select(f => $"{f.ExerciseId} {f.InShorthand}"));
}
