using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Simulation;

/// <summary>What weeks of training came to.</summary>
/// <param name="Gain">True gain in strength, as a mean share over the exercises trained.</param>
/// <param name="Missed">Sets that fell short of the least reps written, as a share.</param>
/// <param name="PastFailureWeeks">Weeks, 0 first, in which more than half of the sets fell short.</param>
/// <param name="Log">All sessions, oldest first.</param>
/// <param name="Plan">The plan after the last week.</param>
/// <param name="Trained">The plan as it was trained, week by week.</param>
public sealed record TrialResult(
    double Gain,
    double Missed,
    ImmutableArray<int> PastFailureWeeks,
    ImmutableArray<LoggedSession> Log,
    ImmutableArray<PlannedExercise> Plan,
    ImmutableArray<ImmutableArray<PlannedExercise>> Trained
);

/// <summary>Lets a simulated trainee train a home plan for some weeks under a policy.</summary>
public sealed class TrainingTrial(DomainRules domain)
{
    private readonly NextSession _next = new(domain);

    /// <summary>The exercises of a home plan with what the progression knows of them.</summary>
    public ImmutableArray<PlannedExercise> Plan(RebuildRequest request, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        return [.. _next.Contexts(request.Client, request.Kit, plan.Lines).Select(c => new PlannedExercise(c.Line, c.Context))];
    }

    /// <summary>The engine as a policy: every proposal accepted, for one trial.</summary>
    /// <param name="request">What the plan was built from.</param>
    /// <param name="keepsMinutes">Proposals keep the days within the client's minutes.</param>
    public IProgressionPolicy Engine(RebuildRequest request, bool keepsMinutes = false) =>
        new EngineAccepted(domain, request, keepsMinutes);

    /// <summary>Trains the days of a plan in turn, so many times a week, and lets the policy decide after each week.</summary>
    /// <param name="plan">The plan at the start.</param>
    /// <param name="days">Day of each line, 0 first.</param>
    /// <param name="trainee">Who trains.</param>
    /// <param name="policy">How the plan goes on.</param>
    /// <param name="firstDay">First day of the first week.</param>
    /// <param name="weeks">How many weeks.</param>
    /// <param name="perWeek">Sessions a week, 1–7; null for each day of the plan once.</param>
    public TrialResult Run(
        ImmutableArray<PlannedExercise> plan,
        Func<LineKey, int> days,
        SimulatedTrainee trainee,
        IProgressionPolicy policy,
        DateOnly firstDay,
        int weeks,
        int? perWeek = null
    )
    {
        ArgumentNullException.ThrowIfNull(days);
        ArgumentNullException.ThrowIfNull(trainee);
        ArgumentNullException.ThrowIfNull(policy);
        var log = new List<LoggedSession>();
        var trained = ImmutableArray.CreateBuilder<ImmutableArray<PlannedExercise>>(weeks);
        var (sets, missed, pastFailure) = (0, 0, new List<int>());
        for (var week = 0; week < weeks; week++)
        {
            var before = log.Count;
            var (setsNow, missedNow) = (0, 0);
            trained.Add(plan);
            var inTurn = plan.GroupBy(p => days(p.Line)).OrderBy(g => g.Key).ToList();
            var sessions = perWeek ?? inTurn.Count;
            for (var s = 0; s < sessions; s++)
            {
                var day = inTurn[((week * sessions) + s) % inTurn.Count];
                if (!trainee.Comes(week))
                {
                    continue;
                }

                var done = day.Select(p => trainee.Do(p.Line, p.Home, p.SystemKg, StraightSets.ShareLeft(p.Home.Dose, domain), week))
                    .ToImmutableArray();
                var judged = done.SelectMany(e => e.Sets)
                    .Where(s => s.Stamp!.SystemKg is not null && s.Stamp.PlannedReps is not null)
                    .ToList();
                setsNow += judged.Count;
                missedNow += judged.Count(s => s.Reps < s.Stamp!.PlannedReps);
                log.Add(
                    new LoggedSession(
                        firstDay.AddDays((7 * week) + (6 * s / Math.Max(1, sessions - (sessions > 3 ? 1 : 0)))),
                        done,
                        Effort(done)
                    )
                );
            }

            (sets, missed) = (sets + setsNow, missed + missedNow);
            if (missedNow * 2 > setsNow)
            {
                pastFailure.Add(week);
            }

            if (log.Count == before)
            {
                trainee.Rest();
            }
            else
            {
                plan = policy.NextWeek(plan, log, firstDay.AddDays((7 * week) + 6));
            }
        }

        return new TrialResult(
            trainee.GainIn(weeks),
            sets == 0 ? 0 : (double)missed / sets,
            [.. pastFailure],
            [.. log],
            plan,
            trained.ToImmutable()
        );
    }

    /// <summary>Effort of a session from what was left in its sets, 1–10.</summary>
    private static int Effort(ImmutableArray<LoggedExercise> done) =>
        Math.Clamp(
            (int)Math.Round(9.4 - done.SelectMany(e => e.Sets).Select(s => (double)(s.Rir ?? 2)).DefaultIfEmpty(2).Average()),
            1,
            10
        );
}
