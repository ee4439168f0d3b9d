using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Matching;
using Ingegno.Core.Rebuilding;
using Ingegno.Core.Sessions;

namespace Ingegno.Core.Auditing;

/// <summary>Whether the sessions work as sessions: rests, time, order of days, rigs, preparation (handbook 04).</summary>
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
        where rests.Count >= FewLines && rests.All(e => e.RestSeconds < RealRest) && !(plan.Approaches.ElementAtOrDefault(day.Key)?.Rest?.Max <= RealRest)
        select new Finding(
            $"circuit/{day.Key}", "all-circuit", Severity.Warning, $"{Words.Sentence(plan.DayName(day.Key))} has no real rests: it trains breath more than strength.",
            $"No rest longer than {rests.Max(e => e.RestSeconds)} s.", null,
            Remedies.Figures(rests.Where(e => e.Exercise.Structure == ExerciseStructure.Compound), "Rest 90 s on the compound lines", (_, e) => e with { RestSeconds = 90 }));

    private static IEnumerable<Finding> TooLong(AuditedPlan plan)
    {
        for (var day = 0; day < plan.Minutes.Length; day++)
        {
            if (plan.Minutes[day] is { Limit: { } limit } minutes && minutes.Total > limit)
            {
                var cut = Cut(plan, day, minutes.Total - limit);
                yield return new Finding(
                    $"too-long/{day}", "too-long", Severity.Warning, $"{Words.Sentence(plan.DayName(day))} takes about {minutes.Total - limit} minutes more than the client has.",
                    $"{minutes.Total} of {limit} minutes.{(cut.Count == 0 ? string.Empty : $" Least is lost with fewer sets of {Words.Join([.. cut.Keys.Select(e => e.Exercise.Name)])}.")}", null,
                    Remedies.Figures(cut.Keys, $"Drop {cut.Values.Sum()} sets, saves about {Saved(cut)} min", (at, e) => e with { Sets = at.Sets - cut[at] }));
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
        var lines = plan.Exercises.Where(e => e.Day == day && e is { Home: not null, Sets: > 2, Role: not LineRole.Main })
            .OrderByDescending(e => e.Role).ThenByDescending(e => e.Line).ToList();
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

    private static string Saved(Dictionary<AuditedExercise, int> cut) => Words.Number(cut.Sum(c => c.Value * SecondsOfSet(c.Key)) / 60, 0);

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
                    $"recovery/{day}", "less-than-48-h", Severity.Hint, $"Trained on {plan.Days[day]} and again the day after: {Words.Join([.. both.Take(3).Select(Words.Of)])}.",
                    "Less than 48 hours between hard sessions.");
            }
        }
    }

    private static int WeekDay(string name) => WeekDays.IndexOf(name.Length < 3 ? name : name[..3].ToLowerInvariant());

    private static IEnumerable<Muscle> Worked(AuditedPlan plan, int day) =>
        plan.Exercises.Where(e => e.Day == day).SelectMany(e => e.Exercise.PrimeMovers().Select(m => (Muscle: m, e.Sets)))
            .GroupBy(m => m.Muscle).Where(g => g.Sum(m => m.Sets) >= FewLines).Select(g => g.Key);

    private static IEnumerable<Finding> Rigs(AuditedPlan plan) =>
        from day in plan.Exercises.Where(e => e.Superset is not null && e.Home is not null).GroupBy(e => (e.Day, e.Superset))
        let partners = day.ToList()
        from second in partners.Skip(1)
        let first = partners[0]
        where first.Line != second.Line && RigUse.Conflict(first.Home!, second.Home!)
        select new Finding(
            $"rig/{first.Line}/{second.Line}", "rig-conflict", Severity.Warning, $"{first.Exercise.Name} and {second.Exercise.Name} share one thing at two loads within a superset.",
            $"{first.Home!.Setup}; {second.Home!.Setup}.", second.Line);

    private static IEnumerable<Finding> Overhead(AuditedPlan plan) =>
        from day in plan.Exercises.GroupBy(e => e.Day)
        where day.Any(e => e.Exercise.Pattern == MovementPattern.VerticalPush)
            && !day.Any(e => e.Exercise.Pattern is MovementPattern.ScapularControl or MovementPattern.Mobility or MovementPattern.RearShoulder)
        select new Finding(
            $"overhead/{day.Key}", "overhead-unprepared", Severity.Hint, $"{Words.Sentence(plan.DayName(day.Key))} presses overhead with nothing that prepares the upper back or the shoulder blades.",
            Words.Join([.. day.Where(e => e.Exercise.Pattern == MovementPattern.VerticalPush).Select(e => e.Exercise.Name).Distinct()]) + ".");

    private static IEnumerable<Finding> Stability(AuditedPlan plan)
    {
        var tension = plan.Approaches.Any(a => a.Id == "tension");
        if (tension && plan.Exercises.Length >= FewLines && !plan.Exercises.Any(e => e.Timed || e.Exercise.Stability >= 2 || e.Home?.Dose.Techniques.Any(t => t.StartsWith("isometric", StringComparison.Ordinal) || t.StartsWith("pause", StringComparison.Ordinal)) == true))
        {
            yield return new Finding("no-isometrics", "no-isometrics", Severity.Hint, "The tension school wants isometric or stability work; this week has none.", "No hold, no pause, nothing that asks for balance.");
        }
    }
}
