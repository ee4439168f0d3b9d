using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Core.Progress.FollowUp;

/// <summary>A day of an exercise in its trend.</summary>
/// <param name="Day">The day.</param>
/// <param name="SeenKg">One-rep maximum that the best set stands for, kg of system load.</param>
/// <param name="EstimateKg">What the strength model held after it, kg.</param>
/// <param name="LowKg">Lower end of its band, kg.</param>
/// <param name="HighKg">Upper end of its band, kg.</param>
/// <param name="BestSet">The best set in shorthand.</param>
public sealed record TrendPoint(DateOnly Day, double SeenKg, double EstimateKg, double LowKg, double HighKg, string BestSet);

/// <summary>The trend of an exercise.</summary>
/// <param name="ExerciseId">The exercise.</param>
/// <param name="Name">Its name.</param>
/// <param name="Points">Its days, oldest first.</param>
/// <param name="Change">Change of the estimate from the first to the last day, as a share.</param>
/// <param name="RestsOn">What the estimate rests on.</param>
/// <param name="Plainly">The band of the last day as a coach says it: in each hand, on the bar, or as reps of the bare body; null where one
/// figure would not be true of all set-ups.</param>
public sealed record LiftTrend(
    string ExerciseId,
    string Name,
    ImmutableArray<TrendPoint> Points,
    double Change,
    Reason RestsOn,
    Reason? Plainly = null
);

/// <summary>A week of training.</summary>
/// <param name="Monday">Its first day.</param>
/// <param name="Sessions">Sessions done.</param>
/// <param name="PlannedSessions">Sessions planned.</param>
/// <param name="Sets">Sets done.</param>
/// <param name="PlannedSets">Sets that the sessions done had planned.</param>
/// <param name="ReachedSets">Sets that reached the planned reps, of those with a plan.</param>
/// <param name="HardSets">Hard sets per muscle: prime mover 1, synergist ½.</param>
/// <param name="WorstPain">Worst pain of the week, 0–10; null when none was noted.</param>
/// <param name="PainJoint">Where that was.</param>
public sealed record WeekTrend(
    DateOnly Monday,
    int Sessions,
    int PlannedSessions,
    int Sets,
    int PlannedSets,
    int ReachedSets,
    ImmutableArray<MuscleCount> HardSets,
    int? WorstPain,
    Joint? PainJoint
);

/// <summary>Hard sets of a muscle.</summary>
public sealed record MuscleCount(Muscle Muscle, double Sets);

/// <summary>What the logs of a client show over the weeks.</summary>
/// <param name="Lifts">Exercises by how often they were done, most first.</param>
/// <param name="Weeks">Weeks, oldest first, those without a session among them.</param>
/// <param name="Adherence">Sessions done of those planned, as a share; null when nothing was planned.</param>
public sealed record ClientTrends(ImmutableArray<LiftTrend> Lifts, ImmutableArray<WeekTrend> Weeks, double? Adherence);

/// <summary>Works out trends from logged sessions.</summary>
public sealed class Trends(DomainRules domain)
{
    private const int LeastDays = 2;

    /// <summary>The trends of a client.</summary>
    /// <param name="client">The client.</param>
    /// <param name="sessions">Logged sessions, in any order.</param>
    /// <param name="today">The day for which it is asked.</param>
    /// <param name="formula">A published formula in place of the curve of the kind of lift; null for the curve.</param>
    public ClientTrends Of(
        ClientProfile client,
        IReadOnlyCollection<SessionBesidePlan> sessions,
        DateOnly today,
        RepMaxFormula? formula = null
    )
    {
        ArgumentNullException.ThrowIfNull(client);
        ArgumentNullException.ThrowIfNull(sessions);
        var weeks = Weeks(client, sessions, today);
        var planned = weeks.Sum(w => w.PlannedSessions);
        var costs = new CostModel(domain).Learn(sessions.Select(s => s.Session), today);
        return new ClientTrends(
            Lifts(client, sessions, costs, formula),
            weeks,
            planned == 0 ? null : Math.Min(1, (double)weeks.Sum(w => Math.Min(w.Sessions, w.PlannedSessions)) / planned)
        );
    }

    private ImmutableArray<LiftTrend> Lifts(
        ClientProfile client,
        IReadOnlyCollection<SessionBesidePlan> sessions,
        ImmutableArray<LearnedCost> costs,
        RepMaxFormula? formula
    )
    {
        var seen = (
            from session in sessions
            from logged in session.Session.Exercises
            let exercise = domain.Catalogue.Find(logged.ExerciseId)
            where exercise is not null
            let observation = StrengthObservation.FromSets(session.Session.Day, exercise, Evidence.FromSets(logged.Sets, costs), formula)
            where observation is not null
            select (Observation: observation, Exercise: exercise, logged.Sets)
        ).ToList();
        var model = new StrengthModel(client, domain.Strength);
        var plainly = new PlainStrength(client, domain);
        return
        [
            .. from lift in seen.GroupBy(s => s.Exercise.Id)
            let days = lift.GroupBy(s => s.Observation.Day)
                .Select(g => g.MaxBy(s => s.Observation.OneRepMaxKg))
                .OrderBy(d => d.Observation.Day)
                .ToList()
            where days.Count >= LeastDays
            orderby days.Count descending, lift.Key
            let own = days.Select(d => d.Observation).ToList()
            let points = days.Select((d, i) => Point(model, own.Take(i + 1), d.Observation, Best(d.Exercise, d.Sets, costs, formula)))
                .ToImmutableArray()
            select new LiftTrend(
                lift.Key,
                lift.First().Exercise.Name,
                [.. points.Select(p => p.Point)],
                (points[^1].Point.EstimateKg / points[0].Point.EstimateKg) - 1,
                points[^1].RestsOn,
                plainly.Of(lift.First().Exercise, points[^1].Point.LowKg, points[^1].Point.HighKg)
            ),
        ];
    }

    private (TrendPoint Point, Reason RestsOn) Point(
        StrengthModel model,
        IEnumerable<StrengthObservation> until,
        StrengthObservation seen,
        string best
    )
    {
        var learned = model.Learn(until, domain.Catalogue.Find, seen.Day).First(l => l.ExerciseId == seen.ExerciseId);
        var half = learned.Spread / 2;
        return (
            new TrendPoint(
                seen.Day,
                Rounded(seen.OneRepMaxKg),
                Rounded(learned.OneRepMaxKg),
                Rounded(learned.OneRepMaxKg * (1 - half)),
                Rounded(learned.OneRepMaxKg * (1 + half)),
                best
            ),
            learned.RestsOn
        );
    }

    private static string Best(
        Exercise exercise,
        ImmutableArray<LoggedSet> sets,
        ImmutableArray<LearnedCost> costs,
        RepMaxFormula? formula
    ) =>
        sets.MaxBy(s => StrengthObservation.FromSets(default, exercise, Evidence.FromSets([s], costs), formula)?.OneRepMaxKg ?? 0)
            is { } best
            ? LogShorthand.Write([best])
            : string.Empty;

    private ImmutableArray<WeekTrend> Weeks(ClientProfile client, IReadOnlyCollection<SessionBesidePlan> sessions, DateOnly today)
    {
        if (sessions.Count == 0)
        {
            return [];
        }

        var byWeek = sessions.ToLookup(s => Monday(s.Session.Day));
        var (first, last) = (sessions.Min(s => Monday(s.Session.Day)), Monday(today));
        var weeks = ImmutableArray.CreateBuilder<WeekTrend>();
        for (var monday = first; monday <= last; monday = monday.AddDays(7))
        {
            weeks.Add(Week(client, monday, [.. byWeek[monday]], today));
        }

        return weeks.ToImmutable();
    }

    private WeekTrend Week(ClientProfile client, DateOnly monday, IReadOnlyCollection<SessionBesidePlan> sessions, DateOnly today)
    {
        var done = sessions.SelectMany(s => s.Session.Exercises).ToList();
        var sets = done.SelectMany(e => e.Sets).ToList();
        var worst = sets.Where(s => s.Pain > 0).MaxBy(s => s.Pain);
        var hard = done.SelectMany(e =>
                domain.Catalogue.Find(e.ExerciseId) is { } exercise ? PlanFigures.SetsOf(exercise, e.Sets.Length) : []
            )
            .GroupBy(m => m.Muscle)
            .OrderBy(g => g.Key)
            .Select(g => new MuscleCount(g.Key, g.Sum(m => m.Sets)));

        // A week that is not over yet plans no more than what was done.
        var days = sessions.Select(s => s.Session.Day).Distinct().Count();
        var planned = client.DaysPerWeek ?? days;
        return new WeekTrend(
            monday,
            days,
            monday.AddDays(6) > today ? Math.Min(planned, days) : planned,
            sets.Count,
            sessions.Sum(s => s.PlannedSets ?? s.Session.Exercises.Sum(e => e.Sets.Length)),
            sets.Count(s => s.Stamp?.PlannedReps is { } reps && s.Reps >= reps),
            [.. hard],
            worst?.Pain,
            worst?.PainJoint
        );
    }

    private static DateOnly Monday(DateOnly day) => day.AddDays(-(((int)day.DayOfWeek + 6) % 7));

    private static double Rounded(double kg) => Math.Round(kg, 1);
}
