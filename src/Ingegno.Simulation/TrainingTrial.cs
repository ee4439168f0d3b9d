using System.Collections.Immutable;
using Ingegno.Core;
using Ingegno.Core.Clients;
using Ingegno.Core.Kit;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Progressing;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Simulation;

/// <summary>What weeks of training came to.</summary>
/// <param name="Gain">True gain in strength, as a mean share over the exercises trained.</param>
/// <param name="Missed">Sets that fell short of the least reps written, as a share.</param>
/// <param name="PastFailureWeeks">Weeks, 0 first, in which more than half of the sets fell short.</param>
/// <param name="Log">All sessions, oldest first.</param>
/// <param name="Plan">The plan after the last week.</param>
/// <param name="Trained">The plan as it was trained, week by week.</param>
public sealed record TrialResult(
    double Gain, double Missed, ImmutableArray<int> PastFailureWeeks, ImmutableArray<LoggedSession> Log, ImmutableArray<PlannedExercise> Plan,
    ImmutableArray<ImmutableArray<PlannedExercise>> Trained);

/// <summary>Lets a simulated trainee train a home plan for some weeks under a policy.</summary>
public sealed class TrainingTrial(Trade trade)
{
    private readonly RebuildEngine _engine = new(trade);
    private readonly NextSession _next = new(trade);

    /// <summary>The exercises of a home plan with what the progression knows of them.</summary>
    public ImmutableArray<PlannedExercise> Plan(RebuildRequest request, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(request);
        ArgumentNullException.ThrowIfNull(plan);
        return [.. _next.Contexts(request.Client, request.Kit, plan.Lines).Select(c => new PlannedExercise(c.Line, c.Context))];
    }

    /// <summary>The engine as a policy: every proposal accepted, steps to other exercises rebuilt.</summary>
    /// <param name="request">What the plan was built from.</param>
    /// <param name="within">The plan whose minutes are kept to; null to let the days take what they take.</param>
    public IProgressionPolicy Engine(RebuildRequest request, HomePlan? within = null) => new EngineAccepted(_next, (planned, other) => StepTo(request, planned, other), within);

    /// <summary>Trains the days of a plan in turn, so many times a week, and lets the policy decide after each week.</summary>
    /// <param name="plan">The plan at the start.</param>
    /// <param name="days">Day of each line, 0 first.</param>
    /// <param name="trainee">Who trains.</param>
    /// <param name="policy">How the plan goes on.</param>
    /// <param name="firstDay">First day of the first week.</param>
    /// <param name="weeks">How many weeks.</param>
    /// <param name="perWeek">Sessions a week, 1–7; null for each day of the plan once.</param>
    public TrialResult Run(
        ImmutableArray<PlannedExercise> plan, Func<int, int> days, SimulatedTrainee trainee, IProgressionPolicy policy, DateOnly firstDay, int weeks, int? perWeek = null)
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

                var done = day.Select(p => trainee.Do(p.Line, p.Home, p.SystemKg, StraightSets.ShareLeft(p.Home.Dose, trade), week)).ToImmutableArray();
                var judged = done.SelectMany(e => e.Sets).Where(s => s.Stamp!.SystemKg is not null && s.Stamp.PlannedReps is not null).ToList();
                setsNow += judged.Count;
                missedNow += judged.Count(s => s.Reps < s.Stamp!.PlannedReps);
                log.Add(new LoggedSession(firstDay.AddDays((7 * week) + (6 * s / Math.Max(1, sessions - (sessions > 3 ? 1 : 0)))), done, Effort(done)));
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

        return new TrialResult(trainee.GainIn(weeks), sets == 0 ? 0 : (double)missed / sets, [.. pastFailure], [.. log], plan, trained.ToImmutable());
    }

    /// <summary>Effort of a session from what was left in its sets, 1–10.</summary>
    private static int Effort(ImmutableArray<LoggedExercise> done) =>
        Math.Clamp((int)Math.Round(9.4 - done.SelectMany(e => e.Sets).Select(s => (double)(s.Rir ?? 2)).DefaultIfEmpty(2).Average()), 1, 10);

    private PlannedExercise? StepTo(RebuildRequest request, PlannedExercise planned, string exerciseId)
    {
        var line = request.GymLines[planned.Line - 1];
        var rebuilt = _engine.Rebuild(request with { GymLines = [line], Choices = [new CoachChoice(1, exerciseId)], Edits = [] });
        return rebuilt.Plan.Lines.Length == 1 && rebuilt.Plan.Lines[0].Chosen?.Exercises.FirstOrDefault(e => e.ExerciseId == exerciseId) is not null
            ? Plan(request, rebuilt.Plan).Where(p => p.Home.ExerciseId == exerciseId).Select(p => p with { Line = planned.Line }).FirstOrDefault()
            : null;
    }
}
