using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.PlanChecks;

/// <summary>What may hurt: joints, level, landings, blood pressure, furniture nobody tried (docs/domain/cautions).</summary>
internal static class SafetyChecks
{
    private const int HardLanding = 2;

    /// <summary>Longest hold of who must not strain, s, and the longest to the limit (docs/domain/cautions).</summary>
    private const int UsualHoldSeconds = 30;
    private const int ShortHoldSeconds = 20;

    public static IEnumerable<Finding> Find(AuditedPlan plan) =>
        Clearance(plan).Concat(plan.Exercises.SelectMany(e => Of(plan, e))).Concat(Furniture(plan));

    private static IEnumerable<Finding> Clearance(AuditedPlan plan)
    {
        if (!plan.Client.Screening.IsEmpty && plan.Client.Clearance is null)
        {
            yield return new Finding(
                "clearance",
                "clearance",
                Severity.Serious,
                Reason.Of("finding.clearance"),
                Reason.Of("evidence.screening", ("answers", FactList.Of(plan.Client.Screening.Distinct())))
            );
        }
    }

    private static IEnumerable<Finding> Of(AuditedPlan plan, AuditedExercise at)
    {
        var (exercise, client) = (at.Exercise, plan.Client);

        // What a client refuses is no danger, and a pasted plan does not know of it.
        if (CandidateFilter.Why(exercise, client with { Refuses = [] }, at.StandsFor?.ExerciseId) is { } why)
        {
            yield return new Finding(
                $"{why.Code}/{at.Line}/{exercise.Id}",
                why.Code,
                Severity.Serious,
                Reason.Of("finding.not-for-client", ("exercise", exercise.Name)),
                why.Reason,
                at.Line,
                Remedies.Other(plan, at)
            );
        }
        else if (exercise.Impact >= HardLanding)
        {
            yield return new Finding(
                $"landing/{at.Line}",
                "landing",
                Severity.Hint,
                Reason.Of("finding.landing", ("exercise", exercise.Name)),
                Reason.Of("evidence.impact", ("impact", exercise.Impact)),
                at.Line,
                Remedies.Other(plan, at)
            );
        }

        if (at.Home is { ExternalKg: > 0 } && JointSparing.TakesNoLoad(exercise, client))
        {
            yield return new Finding(
                $"joint-load/{at.Line}/{exercise.Id}",
                "joint-load",
                Severity.Serious,
                Reason.Of("finding.joint-load", ("exercise", exercise.Name)),
                Reason.Of("evidence.joint-load", ("load", Quantity.Kg(at.Home.ExternalKg, 1))),
                at.Line,
                Remedies.Other(plan, at)
            );
        }

        if (
            at.Home is { } pinned
            && plan.Kit is { Guarded: not true }
            && Guarding.Need(pinned, exercise) != GuardNeed.None
            && (pinned.Dose.LastSetOpen || pinned.Dose.Target.IsOpen)
        )
        {
            yield return new Finding(
                $"guard/{at.Line}/{exercise.Id}",
                "guard",
                Severity.Serious,
                Reason.Of("finding.guard", ("exercise", exercise.Name)),
                Reason.Of("evidence.guard"),
                at.Line
            );
        }

        foreach (var technique in plan.Techniques.Where(t => at.Home?.Dose.Techniques.Contains(t.Id) == true && !t.Fits(exercise, client)))
        {
            yield return new Finding(
                $"technique/{at.Line}/{technique.Id}",
                "technique",
                technique.NotWithHighBloodPressure && client.Avoids(HealthHazard.Straining) ? Severity.Serious : Severity.Warning,
                Reason.Of("finding.technique", ("technique", technique.Label), ("exercise", exercise.Name)),
                technique.Caution is { } caution
                    ? Reason.Text(caution)
                    : Reason.Of(
                        "evidence.technique",
                        [
                            ("level", Term.For(technique.From)),
                            .. technique.Region is { } region ? [("region", Term.For(region))] : Array.Empty<Fact>(),
                        ]
                    ),
                at.Line,
                Remedies.Figures(
                    at,
                    Reason.Of("remedy.take-off"),
                    e => e with { Techniques = at.Home!.Dose.Techniques.Remove(technique.Id) }
                )
            );
        }

        if (at.Home?.Dose.Techniques is { Length: > 1 } several && client.Level == Level.Beginner)
        {
            yield return new Finding(
                $"two-techniques/{at.Line}",
                "two-techniques",
                Severity.Warning,
                Reason.Of("finding.two-techniques", ("exercise", exercise.Name), ("techniques", several.Length)),
                Reason.Of("evidence.movement-first"),
                at.Line,
                Remedies.Figures(at, Reason.Of("remedy.keep-first"), e => e with { Techniques = [several[0]] })
            );
        }

        if (
            client.Avoids(HealthHazard.Straining)
            && at is { Timed: true, Exercise.Measure: Measure.Seconds }
            && (at.Target.Max > (client.LongestHold() ?? UsualHoldSeconds) || (at.Target.Max > ShortHoldSeconds && at.Rir is 0))
        )
        {
            yield return new Finding(
                $"long-hold/{at.Line}",
                "long-hold",
                Severity.Warning,
                Reason.Of("finding.long-hold", ("exercise", exercise.Name)),
                Reason.Of("evidence.hold", ("hold", Quantity.Seconds(at.Target.Max))),
                at.Line
            );
        }
    }

    private static IEnumerable<Finding> Furniture(AuditedPlan plan)
    {
        var untested =
            from at in plan.Exercises
            where at.Home is { Checks.IsEmpty: false }
            from id in at.Home!.UsesItems
            let thing = plan.Kit?.Things.FirstOrDefault(t => t.Id == id)
            where thing is not null && thing.Kind.FirstUse.Except(thing.Item.Tested).Any()
            group at by (id, thing.InWords);
        return untested.Select(u => new Finding(
            $"untested/{u.Key.id}",
            "untested",
            Severity.Warning,
            Reason.Of("finding.untested", ("thing", u.Key.InWords)),
            Reason.Of("evidence.used-for", ("exercises", FactList.Of(u.Select(a => a.Exercise.Name).Distinct()))),
            u.First().Line
        ));
    }
}
