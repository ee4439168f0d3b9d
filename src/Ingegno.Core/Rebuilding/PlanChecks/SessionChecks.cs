using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Days;

namespace Ingegno.Core.Rebuilding.PlanChecks;

/// <summary>Whether the sessions work as sessions: rests, time, order of days, rigs, preparation (docs/domain/prescription).</summary>
internal static class SessionChecks
{
    private const int RealRest = 45;
    private const int FewLines = 3;

    private static readonly ImmutableArray<string> WeekDays = ["mon", "tue", "wed", "thu", "fri", "sat", "sun"];

    public static IEnumerable<Finding> Find(AuditedPlan plan) =>
        Circuit(plan).Concat(TooLong(plan)).Concat(Recovery(plan)).Concat(Rigs(plan)).Concat(Overhead(plan)).Concat(Stability(plan));

    private static IEnumerable<Finding> Circuit(AuditedPlan plan) =>
        from day in plan.Exercises.GroupBy(e => e.Day)
        let rests = day.Where(e => e.RestSeconds is not null).ToList()
        where
            rests.Count >= FewLines
            && rests.All(e => e.RestSeconds < RealRest)
            && !(plan.Approaches.ElementAtOrDefault(day.Key)?.Rest?.Max <= RealRest)
        select new Finding(
            $"circuit/{day.Key}",
            "all-circuit",
            Severity.Warning,
            Reason.Of("finding.all-circuit", ("day", plan.DayName(day.Key))),
            Reason.Of("evidence.longest-rest", ("rest", Quantity.Seconds(rests.Max(e => e.RestSeconds!.Value)))),
            null,
            Remedies.Figures(
                rests.Where(e => e.Exercise.Structure == ExerciseStructure.Compound),
                Reason.Of("remedy.rest", ("rest", Quantity.Seconds(90))),
                (_, e) => e with { RestSeconds = 90 }
            )
        );

    private static IEnumerable<Finding> TooLong(AuditedPlan plan)
    {
        for (var day = 0; day < plan.Minutes.Length; day++)
        {
            if (plan.Minutes[day] is { Limit: { } limit } minutes && minutes.Total > limit)
            {
                var cut = Cut(plan, day, minutes.Total - limit);
                yield return new Finding(
                    $"too-long/{day}",
                    "too-long",
                    Severity.Warning,
                    Reason.Of("finding.too-long", ("day", plan.DayName(day)), ("over", minutes.Total - limit)),
                    Reason.Of(
                        "evidence.minutes",
                        ("minutes", minutes.Total),
                        ("limit", limit),
                        ("exercises", FactList.Of(cut.Keys.Select(e => e.Exercise.Name)))
                    ),
                    null,
                    Remedies.Figures(
                        cut.Keys,
                        Reason.Of("remedy.drop-sets", ("sets", cut.Values.Sum()), ("minutes", Saved(cut))),
                        (at, e) => e with { Sets = at.Sets - cut[at] }
                    )
                );
            }
        }
    }

    /// <summary>
    /// Sets to drop until the session fits, the least valuable first: activation, then accessories from the end of the
    /// day; two sets of each line stay, and main lifts are not touched.
    /// </summary>
    private static Dictionary<AuditedExercise, int> Cut(AuditedPlan plan, int day, int minutesOver)
    {
        var cut = new Dictionary<AuditedExercise, int>();
        var seconds = 60.0 * (minutesOver + 1);
        var lines = plan
            .Exercises.Where(e => e.Day == day && e is { Home: not null, Sets: > 2, Role: not LineRole.Main })
            .OrderByDescending(e => e.Role)
            .ThenByDescending(e => plan.Exercises.IndexOf(e))
            .ToList();
        for (var round = 1; seconds > 0 && lines.Any(e => e.Sets - round >= 2); round++)
        {
            foreach (var at in lines.Where(e => e.Sets - round >= 2).TakeWhile(_ => seconds > 0))
            {
                cut[at] = round;
                seconds -= SecondsOfSet(at);
            }
        }

        return cut;
    }

    private static double Saved(Dictionary<AuditedExercise, int> cut) =>
        Math.Round(cut.Sum(c => c.Value * SecondsOfSet(c.Key)) / 60, MidpointRounding.AwayFromZero);

    private static double SecondsOfSet(AuditedExercise at) => (at.Home!.Dose.WorkSeconds() / at.Sets) + at.Home.Dose.RestSeconds;

    private static IEnumerable<Finding> Recovery(AuditedPlan plan)
    {
        for (var day = 0; day + 1 < plan.Days.Length; day++)
        {
            var (today, tomorrow) = (WeekDay(plan.Days[day]), WeekDay(plan.Days[day + 1]));
            if (today < 0 || tomorrow != (today + 1) % 7)
            {
                continue;
            }

            var both = Worked(plan, day).Intersect(Worked(plan, day + 1)).ToList();
            if (both.Count > 0)
            {
                yield return new Finding(
                    $"recovery/{day}",
                    "less-than-48-h",
                    Severity.Hint,
                    Reason.Of("finding.recovery", ("day", plan.Days[day]), ("muscles", FactList.Of(both.Take(3)))),
                    Reason.Of("evidence.recovery")
                );
            }
        }
    }

    private static int WeekDay(string name) => WeekDays.IndexOf(name.Length < 3 ? name : name[..3].ToLowerInvariant());

    private static IEnumerable<Muscle> Worked(AuditedPlan plan, int day) =>
        plan
            .Exercises.Where(e => e.Day == day)
            .SelectMany(e => e.Exercise.PrimeMovers().Select(m => (Muscle: m, e.Sets)))
            .GroupBy(m => m.Muscle)
            .Where(g => g.Sum(m => m.Sets) >= FewLines)
            .Select(g => g.Key);

    private static IEnumerable<Finding> Rigs(AuditedPlan plan) =>
        from day in plan.Exercises.Where(e => e.Superset is not null && e.Home is not null).GroupBy(e => (e.Day, e.Superset))
        let partners = day.ToList()
        from second in partners.Skip(1)
        let first = partners[0]
        where first.Line != second.Line && RigUse.Conflict(first.Home!, second.Home!)
        select new Finding(
            $"rig/{first.Line}/{second.Line}",
            "rig-conflict",
            Severity.Warning,
            Reason.Of("finding.rig-conflict", ("first", first.Exercise.Name), ("second", second.Exercise.Name)),
            Reason.Of("evidence.setups", ("first", first.Home!.Setup), ("second", second.Home!.Setup)),
            second.Line
        );

    /// <summary>Asked of a plan as it was written: a day of a rebuilt one has its own preparation for the shoulder blades.</summary>
    private static IEnumerable<Finding> Overhead(AuditedPlan plan) =>
        from day in plan.Exercises.GroupBy(e => e.Day)
        where
            day.All(e => e.Home is null)
            && day.Any(e => e.Exercise.Pattern == MovementPattern.VerticalPush)
            && !day.Any(e =>
                e.Exercise.Pattern is MovementPattern.ScapularControl or MovementPattern.Mobility or MovementPattern.RearShoulder
            )
        select new Finding(
            $"overhead/{day.Key}",
            "overhead-unprepared",
            Severity.Hint,
            Reason.Of("finding.overhead", ("day", plan.DayName(day.Key))),
            Reason.Of(
                "evidence.exercises",
                (
                    "exercises",
                    FactList.Of(day.Where(e => e.Exercise.Pattern == MovementPattern.VerticalPush).Select(e => e.Exercise.Name).Distinct())
                )
            )
        );

    private static IEnumerable<Finding> Stability(AuditedPlan plan)
    {
        var tension = plan.Approaches.Any(a => a.Id == "tension");
        if (
            tension
            && plan.Exercises.Length >= FewLines
            && !plan.Exercises.Any(e =>
                e.Timed
                || e.Exercise.Stability >= 2
                || e.Home?.Dose.Techniques.Any(t =>
                    t.StartsWith("isometric", StringComparison.Ordinal) || t.StartsWith("pause", StringComparison.Ordinal)
                ) == true
            )
        )
        {
            yield return new Finding(
                "no-isometrics",
                "no-isometrics",
                Severity.Hint,
                Reason.Of("finding.no-isometrics"),
                Reason.Of("evidence.no-isometrics")
            );
        }
    }
}
