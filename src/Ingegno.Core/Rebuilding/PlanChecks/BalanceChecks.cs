using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Candidates;

namespace Ingegno.Core.Rebuilding.PlanChecks;

/// <summary>Whether the week as a whole is in balance: push and pull, knee and hip, muscles against the gym plan
/// (docs/domain/prescription).</summary>
internal static class BalanceChecks
{
    private const double FarAbove = 1.5;
    private const int EnoughToJudge = 6;
    private const double WorthKeeping = 3;
    private const int MostSets = 6;

    private static readonly MovementPattern[] Push = [MovementPattern.HorizontalPush, MovementPattern.VerticalPush, MovementPattern.Fly];
    private static readonly MovementPattern[] Pull =
    [
        MovementPattern.HorizontalPull,
        MovementPattern.VerticalPull,
        MovementPattern.RearShoulder,
    ];
    private static readonly MovementPattern[] Knee = [MovementPattern.Squat, MovementPattern.Lunge, MovementPattern.KneeExtension];
    private static readonly MovementPattern[] Hip = [MovementPattern.Hinge, MovementPattern.HipExtension, MovementPattern.KneeFlexion];

    public static IEnumerable<Finding> Find(AuditedPlan plan) =>
        Ratio(plan, "push-above-pull", Push, Pull, Reason.Of("finding.push-above"), Reason.Of("remedy.pull-sets"))
            .Concat(Ratio(plan, "knee-above-hip", Knee, Hip, Reason.Of("finding.knee-above"), Reason.Of("remedy.hip-sets")))
            .Concat(Missed(plan))
            .Concat(Twice(plan))
            .Concat(Stretched(plan));

    private static IEnumerable<Finding> Ratio(
        AuditedPlan plan,
        string code,
        MovementPattern[] ones,
        MovementPattern[] others,
        Reason text,
        Reason more
    )
    {
        var (a, b) = (Sets(plan, ones), Sets(plan, others));
        if (a >= EnoughToJudge && a > FarAbove * b)
        {
            yield return new Finding(
                code,
                code,
                Severity.Warning,
                text,
                Reason.Of("evidence.sets-against", ("sets", a), ("other", b)),
                null,
                AddSets(plan, e => others.Contains(e.Exercise.Pattern), more)
            );
        }
    }

    private static Remedy? AddSets(AuditedPlan plan, Func<AuditedExercise, bool> which, Reason label) =>
        Remedies.Figures(plan.Exercises.Where(e => which(e) && e.Sets < MostSets), label, (at, e) => e with { Sets = at.Sets + 1 });

    private static int Sets(AuditedPlan plan, MovementPattern[] patterns) =>
        plan.Exercises.Where(e => patterns.Contains(e.Exercise.Pattern)).Sum(e => e.Sets);

    private static IEnumerable<Finding> Missed(AuditedPlan plan) =>
        from sets in plan.HardSets
        where sets.Gym >= WorthKeeping && sets.Home < sets.Gym / 2
        select new Finding(
            $"muscle/{sets.Muscle}",
            "muscle-lost",
            Severity.Warning,
            Reason.Of("finding.muscle-lost", ("muscle", Term.For(sets.Muscle))),
            Reason.Of("evidence.gym-and-home", ("gym", sets.Gym), ("home", sets.Home)),
            null,
            AddSets(
                plan,
                e => e.Exercise.InvolvementOf(sets.Muscle) >= Exercise.PrimeMoverInvolvement,
                Reason.Of("remedy.muscle-set", ("muscle", Term.For(sets.Muscle)))
            )
        );

    /// <summary>A top set and its back-off sets are meant to be one lift.</summary>
    private static bool StandsTwiceInTheGym(AuditedExercise first, AuditedExercise second) =>
        first.StandsFor is { } one && second.StandsFor is { } other && one.ExerciseId == other.ExerciseId;

    private static IEnumerable<Finding> Twice(AuditedPlan plan) =>
        from day in plan.Exercises.GroupBy(e => e.Day)
        from pair in Pairs([.. day])
        where pair.First.Line != pair.Second.Line && Stimulus.IsSame(pair.First.Exercise, pair.Second.Exercise, plan.Parts)
        where !StandsTwiceInTheGym(pair.First, pair.Second)
        select new Finding(
            $"twice/{pair.First.Line}/{pair.Second.Line}",
            "twice",
            Severity.Hint,
            Reason.Of(
                "finding.twice",
                ("first", pair.First.Exercise.Name),
                ("second", pair.Second.Exercise.Name),
                ("day", plan.DayName(day.Key))
            ),
            Reason.Of("evidence.twice"),
            pair.Second.Line
        );

    private static IEnumerable<(AuditedExercise First, AuditedExercise Second)> Pairs(List<AuditedExercise> day)
    {
        for (var i = 0; i < day.Count; i++)
        {
            for (var j = i + 1; j < day.Count; j++)
            {
                yield return (day[i], day[j]);
            }
        }
    }

    /// <summary>Muscles with much work and none of it hard where they are long.</summary>
    private static IEnumerable<Finding> Stretched(AuditedPlan plan) =>
        from muscle in Enum.GetValues<Muscle>()
        let trained = plan.Exercises.Where(e => e.Exercise.InvolvementOf(muscle) >= Exercise.PrimeMoverInvolvement).ToList()
        where trained.Sum(e => e.Sets) >= EnoughToJudge && trained.All(e => e.Exercise.Profile == Profile.Shortened)
        select new Finding(
            $"stretched/{muscle}",
            "nothing-stretched",
            Severity.Hint,
            Reason.Of("finding.nothing-stretched", ("muscle", Term.For(muscle))),
            Reason.Of("evidence.shortened", ("exercises", FactList.Of(trained.Select(e => e.Exercise.Name).Distinct())))
        );
}
