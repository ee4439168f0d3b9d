using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.PlanChecks;

/// <summary>Whether single lines do what they are for: reps, effort, load, sides (docs/domain/prescription).</summary>
internal static class DoseChecks
{
    /// <summary>Reps between the bottom and the top of a range in which a line can grow.</summary>
    private const int RangeToGrow = 3;

    /// <summary>Share of the one-rep maximum below which a set does less.</summary>
    private const double LightShare = 0.3;

    /// <summary>Reps beyond a typed reserve that even the low end of what is expected must leave before it is doubted (own decision).</summary>
    private const int TrustedReserve = 2;

    public static IEnumerable<Finding> Find(AuditedPlan plan) => plan.Exercises.SelectMany(e => Of(plan, e)).Concat(GoingOn(plan));

    private static IEnumerable<Finding> Of(AuditedPlan plan, AuditedExercise at)
    {
        var name = at.Exercise.Name;
        if (at.Exercise.Sides == Knowledge.Exercises.Sides.Unilateral && !at.PerSide)
        {
            yield return new Finding(
                $"sides/{at.Line}",
                "sides",
                Severity.Warning,
                Reason.Of("finding.sides", ("exercise", name)),
                Reason.Of(
                    "evidence.sets-of",
                    [("sets", at.Sets), .. at.Target.IsOpen ? Array.Empty<Fact>() : [("reps", at.Target.InWords)]]
                ),
                at.Line,
                Remedies.Text([at], Reason.Of("remedy.per-side"), l => l with { PerSide = true })
            );
        }

        if (at.Timed || at.Target.IsOpen)
        {
            yield break;
        }

        if (at.Target.Max > DosePrescriber.MostUsefulReps && !IsStandard(plan, at))
        {
            yield return new Finding(
                $"past-thirty/{at.Line}",
                "past-thirty",
                Severity.Warning,
                Reason.Of("finding.past-thirty", ("exercise", name), ("limit", DosePrescriber.MostUsefulReps)),
                Reason.Of("evidence.reps", ("reps", at.Target.InWords)),
                at.Line,
                Remedies.Figures(
                    at,
                    Reason.Of("remedy.stop-at", ("limit", DosePrescriber.MostUsefulReps)),
                    e =>
                        e with
                        {
                            Target = new SetTarget(Math.Min(at.Target.Min, DosePrescriber.MostUsefulReps), DosePrescriber.MostUsefulReps),
                        }
                )
            );
        }

        if (IsForSpeed(at))
        {
            yield break;
        }

        if (at.Home?.RepsToFailure is not { } toFailure)
        {
            if (at.Rir > DosePrescriber.FarFromFailure)
            {
                yield return new Finding(
                    $"far/{at.Line}",
                    "far-from-failure",
                    Severity.Warning,
                    Reason.Of("finding.far-from-failure", ("exercise", name)),
                    Reason.Of("evidence.reserve", ("rir", at.Rir!.Value)),
                    at.Line,
                    Remedies.Figures(
                        at,
                        Reason.Of("remedy.two-in-reserve", ("rir", plan.Unsaid.Rir)),
                        e => e with { Rir = plan.Unsaid.Rir }
                    )
                );
            }

            yield break;
        }

        if (IsAsTheLineSays(at))
        {
            yield break;
        }

        // Reps fall from set to set: the first keeps a reserve so that the last has its reps.
        var last =
            plan.Fatigue?.BySet(toFailure, at.Sets, at.RestSeconds ?? plan.Unsaid.RestSeconds, at.Rir ?? plan.Unsaid.Rir)[^1] ?? toFailure;
        var reserve = (int)Math.Floor(last) - at.Target.Max;
        if (
            at is { RirTyped: true, Home.Expected: { } expected }
            && at.Rir is { } typed
            && Math.Floor(expected.Low) - at.Target.Max is var left
            && left > typed + TrustedReserve
        )
        {
            yield return new Finding(
                $"reserve/{at.Line}",
                "reserve",
                Severity.Warning,
                Reason.Of("finding.reserve", ("exercise", name), ("rir", typed), ("left", left)),
                Reason.Of("evidence.could-be-done", ("reps", at.Target.InWords), ("able", Math.Floor(toFailure))),
                at.Line
            );
        }
        else if (reserve > DosePrescriber.FarFromFailure && at.Target.Max < DosePrescriber.MostUsefulReps)
        {
            var more = Math.Min(DosePrescriber.MostUsefulReps, (int)Math.Floor(last) - (at.Rir ?? plan.Unsaid.Rir));
            yield return new Finding(
                $"far/{at.Line}",
                "far-from-failure",
                Severity.Warning,
                Reason.Of("finding.far-from-failure", ("exercise", name)),
                Reason.Of("evidence.could-be-done", ("reps", at.Target.InWords), ("able", Math.Floor(toFailure))),
                at.Line,
                Remedies.Figures(at, Reason.Of("remedy.go-to", ("reps", more)), e => e with { Target = new SetTarget(more, more) })
            );
        }

        if (at.Exercise.Strength is { } strength && toFailure > RepMaxCurve.RepsAtShare(LightShare, strength.Curve))
        {
            yield return new Finding(
                $"light/{at.Line}",
                "light",
                Severity.Warning,
                Reason.Of("finding.light", ("exercise", name)),
                Reason.Of("evidence.able", ("able", Math.Floor(toFailure))),
                at.Line
            );
        }
    }

    /// <summary>The line names its load and its reps, and both stand: its coach knows better how hard that is than any table.</summary>
    private static bool IsAsTheLineSays(AuditedExercise at) =>
        at is { StandsFor: { Load: { } told } gym, Home: { } home }
        && gym.ExerciseId == at.Exercise.Id
        && at.Target == gym.Target
        && home.ExternalKg >= NearlyNamed * TypedLoad.TotalKg(told, at.Exercise);

    /// <summary>Share of a named load from which it is that load: the next plates are nearer than that.</summary>
    private const double NearlyNamed = 0.95;

    /// <summary>What is done fast ends when it slows, long before failure.</summary>
    private static bool IsForSpeed(AuditedExercise at) => at.Exercise.IsForPower || at.Home?.Dose.Tempo.Explosive == true;

    private static IEnumerable<Finding> GoingOn(AuditedPlan plan)
    {
        if (!plan.SaysHowToGoOn)
        {
            yield return new Finding(
                "no-progression",
                "no-progression",
                Severity.Warning,
                Reason.Of("finding.no-progression"),
                Reason.Of("evidence.fixed"),
                null,
                Remedies.Text(
                    plan.Exercises.Where(e => !e.Timed && !e.Target.IsOpen),
                    Reason.Of("remedy.range"),
                    l => l with { Target = new SetTarget(l.Target.Min, l.Target.Max + RangeToGrow) }
                )
            );
        }
    }

    /// <summary>The school of the day asks for so many before the next step.</summary>
    private static bool IsStandard(AuditedPlan plan, AuditedExercise at) =>
        at.Home is not null
        && at.Day < plan.Approaches.Length
        && plan.Approaches[at.Day].Standard(at.Exercise.Rung) is { } standard
        && at.Target.Max <= standard;
}
