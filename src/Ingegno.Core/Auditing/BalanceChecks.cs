using Ingegno.Core.Catalogue;
using Ingegno.Core.Matching;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Auditing;

/// <summary>Whether the week as a whole is in balance: push and pull, knee and hip, muscles against the gym plan (handbook 04).</summary>
internal static class BalanceChecks
{
    private const double FarAbove = 1.5;
    private const int EnoughToJudge = 6;
    private const double WorthKeeping = 3;
    private const int MostSets = 6;

    private static readonly MovementPattern[] Push = [MovementPattern.HorizontalPush, MovementPattern.VerticalPush, MovementPattern.Fly];
    private static readonly MovementPattern[] Pull = [MovementPattern.HorizontalPull, MovementPattern.VerticalPull, MovementPattern.RearShoulder];
    private static readonly MovementPattern[] Knee = [MovementPattern.Squat, MovementPattern.Lunge, MovementPattern.KneeExtension];
    private static readonly MovementPattern[] Hip = [MovementPattern.Hinge, MovementPattern.HipExtension, MovementPattern.KneeFlexion];

    public static IEnumerable<Finding> Find(AuditedPlan plan) =>
        Ratio(plan, "push-above-pull", "Pushing", Push, "pulling", Pull, "rows, pull-aparts and pulls from above keep shoulders in order")
            .Concat(Ratio(plan, "knee-above-hip", "Knee work", Knee, "hip work", Hip, "hinges, bridges and leg curls keep knees and back in order"))
            .Concat(Missed(plan)).Concat(Twice(plan)).Concat(Stretched(plan));

    private static IEnumerable<Finding> Ratio(AuditedPlan plan, string code, string one, MovementPattern[] ones, string other, MovementPattern[] others, string why)
    {
        var (a, b) = (Sets(plan, ones), Sets(plan, others));
        if (a >= EnoughToJudge && a > FarAbove * b)
        {
            yield return new Finding(code, code, Severity.Warning, $"{one} stands far above {other}: {why}.", $"{a} sets against {b} in the week.", null, AddSets(plan, e => others.Contains(e.Exercise.Pattern), $"One set more of each line of {other}"));
        }
    }

    private static Remedy? AddSets(AuditedPlan plan, Func<AuditedExercise, bool> which, string label) =>
        Remedies.Figures(plan.Exercises.Where(e => which(e) && e.Sets < MostSets), label, (at, e) => e with { Sets = at.Sets + 1 });

    private static int Sets(AuditedPlan plan, MovementPattern[] patterns) => plan.Exercises.Where(e => patterns.Contains(e.Exercise.Pattern)).Sum(e => e.Sets);

    private static IEnumerable<Finding> Missed(AuditedPlan plan) =>
        from sets in plan.HardSets
        where sets.Gym >= WorthKeeping && sets.Home < sets.Gym / 2
        select new Finding(
            $"muscle/{sets.Muscle}", "muscle-lost", Severity.Warning, $"{Words.Sentence(Words.Of(sets.Muscle))} keep under half of their hard sets.",
            $"{Words.Number(sets.Gym)} in the gym plan, {Words.Number(sets.Home)} at home.", null,
            AddSets(plan, e => e.Exercise.InvolvementOf(sets.Muscle) >= Exercise.PrimeMoverInvolvement, $"One set more for the {Words.Of(sets.Muscle)}"));

    private static IEnumerable<Finding> Twice(AuditedPlan plan) =>
        from day in plan.Exercises.GroupBy(e => e.Day)
        from pair in Pairs([.. day])
        where Same(pair.First, pair.Second)
        select new Finding(
            $"twice/{pair.First.Line}/{pair.Second.Line}", "twice", Severity.Hint, $"{pair.First.Exercise.Name} and {pair.Second.Exercise.Name} are the same stimulus twice on {plan.DayName(day.Key)}.",
            "Same pattern, same muscles, hardest at the same point.", pair.Second.Line);

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

    private static bool Same(AuditedExercise a, AuditedExercise b) =>
        a.Line != b.Line && a.Exercise.Pattern == b.Exercise.Pattern && a.Exercise.Profile == b.Exercise.Profile && a.Exercise.Sides == b.Exercise.Sides
        && a.Exercise.Pattern is not (MovementPattern.Mobility or MovementPattern.Breathing)
        && PartMatches.MuscleScore(a.Exercise.Muscles, b.Exercise.Muscles) > 0.93;

    /// <summary>Muscles with much work and none of it hard where they are long.</summary>
    private static IEnumerable<Finding> Stretched(AuditedPlan plan) =>
        from muscle in Enum.GetValues<Muscle>()
        let trained = plan.Exercises.Where(e => e.Exercise.InvolvementOf(muscle) >= Exercise.PrimeMoverInvolvement).ToList()
        where trained.Sum(e => e.Sets) >= EnoughToJudge && trained.All(e => e.Exercise.Profile == Profile.Shortened)
        select new Finding(
            $"stretched/{muscle}", "nothing-stretched", Severity.Hint, $"Nothing trains the {Words.Of(muscle)} where they are long.",
            $"{Words.Join([.. trained.Select(e => e.Exercise.Name).Distinct()])}: hardest shortened.");
}
