using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Simulation;
using Ingegno.Storage;

namespace Ingegno.Bench;

/// <summary>Roster and trends over twelve weeks of sixty clients, about 100,000 sets in a real SQLite file; and the engine against its
/// rival.</summary>
internal static class ProgressScenarios
{
    private const int Clients = 60;
    private const int Weeks = 12;
    private const int SessionsPerWeek = 5;
    private const int ExercisesPerSession = 7;
    private const int SetsPerExercise = 4;

    private static readonly DateOnly Today = new(2026, 11, 20);
    private static readonly ImmutableArray<string> Done =
    [
        "push-up",
        "table-row",
        "bodyweight-squat",
        "glute-bridge",
        "dumbbell-curl",
        "pike-push-up",
        "split-squat",
    ];

    public static IEnumerable<Scenario> All
    {
        get
        {
            var file = Path.Combine(Directory.CreateTempSubdirectory("ingegno-bench-").FullName, "ingegno.db");
            var database = new Database(file);
            database.Migrate();
            var coach = new CoachStore(database, TimeProvider.System).AddFirst("coach@boathouse.example", "Coach", "hash")!.Id;
            var (clients, places, plans, logs, pulses) = (
                new ClientStore(database, TimeProvider.System),
                new PlaceStore(database, TimeProvider.System),
                new PlanStore(database, TimeProvider.System),
                new LogStore(database, TimeProvider.System),
                new ActivityStore(database)
            );
            var sets = Fill(coach, clients, places, plans, logs, pulses);
            yield return new Scenario(
                $"roster of {Clients} with attention, {sets:N0} sets logged",
                50,
                () => Roster(coach, clients, places, plans, pulses)
            );
            yield return new Scenario("trends of a client out of them", 50, () => TrendsOf(coach, 1, logs));
            yield return new Scenario("strength and costs learnt from a client's logs", 50, () => Learn(coach, 1, logs));
            yield return new Scenario("a block of six weeks in three phases laid out", 20, Lay());
        }
    }

    /// <summary>The engine against a rep more every week, twelve weeks of 200 simulated clients.</summary>
    public static string Comparison()
    {
        var results = Enumerable
            .Range(1, 200)
            .AsParallel()
            .Select(seed =>
            {
                var request = SimulatedClients.Draw(seed);
                var trial = new TrainingTrial(DomainRules.Shipped);
                var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;
                var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
                TrialResult Run(IProgressionPolicy policy) =>
                    trial.Run(
                        trial.Plan(request, plan),
                        line => day[line],
                        new SimulatedTrainee(DomainRules.Shipped, request.Client, TraineeTraits.ForLevel(request.Client.Level), seed),
                        policy,
                        Today.AddDays(-84),
                        Weeks
                    );
                return (Engine: Run(trial.Engine(request)), Rival: Run(new OneRepMoreEachWeek()));
            })
            .ToList();
        return FormattableString.Invariant(
            $"200 simulated clients, {Weeks} weeks: strength {results.Average(r => r.Engine.Gain):P1} up with the engine, {results.Average(r => r.Rival.Gain):P1} with a rep more each week; sets short of their target {results.Average(r => r.Engine.Missed):P0} against {results.Average(r => r.Rival.Missed):P0}; weeks past failure {results.Sum(r => r.Engine.PastFailureWeeks.Length)} against {results.Sum(r => r.Rival.PastFailureWeeks.Length)} of {200 * Weeks}"
        );
    }

    private static int Fill(long coach, ClientStore clients, PlaceStore places, PlanStore plans, LogStore logs, ActivityStore pulses)
    {
        var noise = new Noise(1);
        var count = 0;
        for (var c = 0; c < Clients; c++)
        {
            var request = SimulatedClients.Draw(c + 1);
            var client = clients.Add(coach, new ClientRecord($"Client {c}", request.Client with { DaysPerWeek = SessionsPerWeek })).Id;
            var place = places.Add(coach, client, request.Kit)!.Id;
            var plan = plans
                .Add(
                    coach,
                    client,
                    place,
                    null,
                    new PlanDocument(
                        "Week",
                        request,
                        new HomePlan
                        {
                            Lines = [],
                            HardSets = [],
                            Notices = [],
                        }
                    )
                )!
                .Id;
            var sessions =
                from week in Enumerable.Range(0, Weeks)
                from s in Enumerable.Range(0, SessionsPerWeek)
                select new SessionRecord(
                    1,
                    Today.AddDays(-(7 * (Weeks - week)) + s),
                    [.. Done.Take(ExercisesPerSession).Select((e, i) => new LoggedExercise(new LineKey(i + 1), e, [.. Sets(noise, week)]))],
                    8,
                    PlannedSets: 28
                );
            logs.AddAll(coach, plan, sessions);
            count += Weeks * SessionsPerWeek * ExercisesPerSession * SetsPerExercise;
            pulses.Put(
                coach,
                plan,
                new ActivitySummary(
                    1,
                    Today.AddDays(-3),
                    60,
                    [
                        .. Done.Select(
                            (e, i) =>
                                new ActivityLine(
                                    e,
                                    i % 3 == 0 ? Decision.MoreLoad : Decision.MoreReps,
                                    Reason.Text("All sets at the top of the zone.")
                                )
                        ),
                    ]
                )
            );
        }

        return count;
    }

    private static IEnumerable<LoggedSet> Sets(Noise noise, int week) =>
        Enumerable
            .Range(0, SetsPerExercise)
            .Select(i => new LoggedSet
            {
                Reps = 10 + (week / 3) - i + (int)(noise.Next() * 3),
                Rir = 2,
                Stamp = new SetStamp(45, 1, 8, 2) { RestSeconds = 90 },
            });

    private static int Roster(long coach, ClientStore clients, PlaceStore places, PlanStore plans, ActivityStore pulses)
    {
        var (planned, here, pulse) = (plans.List(coach).ToLookup(p => p.ClientId), places.AtAGlance(coach), pulses.All(coach));
        return clients
            .List(coach)
            .Sum(c => here[c.Id].Count() + planned[c.Id].Sum(p => Attention.Notes(pulse[p.Id], p.Version, Today, 3, null, Today).Length));
    }

    private static int TrendsOf(long coach, long client, LogStore logs) =>
        new Trends(DomainRules.Shipped)
            .Of(
                new ClientProfile
                {
                    Level = Level.Intermediate,
                    Goal = Goal.Muscle,
                    DaysPerWeek = SessionsPerWeek,
                },
                [
                    .. logs.OfClient(coach, client, Today.AddDays(-182))
                        .Select(s => new SessionBesidePlan(
                            new LoggedSession(s.Value.PerformedOn, s.Value.Exercises, s.Value.Effort),
                            s.Value.PlannedSets
                        )),
                ],
                Today
            )
            .Lifts.Length;

    private static int Learn(long coach, long client, LogStore logs)
    {
        var sessions = logs.OfClient(coach, client, Today.AddDays(-182)).Select(s => s.Value.AsLogged).ToList();
        var costs = new CostModel(DomainRules.Shipped).Learn(sessions, Today);
        return costs.Length
            + new Core.Clients.Strength.StrengthModel(
                new ClientProfile { Level = Level.Intermediate, Goal = Goal.Muscle },
                DomainRules.Shipped.Strength
            )
                .Learn(
                    from session in sessions
                    from logged in session.Exercises
                    let seen = Core.Clients.Strength.StrengthObservation.FromSets(
                        session.Day,
                        DomainRules.Shipped.Catalogue.Get(logged.ExerciseId),
                        Evidence.FromSets(logged.Sets, costs)
                    )
                    where seen is not null
                    select seen,
                    DomainRules.Shipped.Catalogue.Find,
                    Today
                )
                .Length;
    }

    private static Action Lay()
    {
        var (request, engine) = (SimulatedClients.Draw(1) with { Approach = "tension" }, new RebuildEngine(DomainRules.Shipped));
        var plan = engine.Rebuild(request).Plan;
        var setup = BlockShape.Propose(DomainRules.Shipped.ApproachOf("tension"), DomainRules.Shipped.Blocks, Today, 6);
        var planner = new BlockPlanner(DomainRules.Shipped, engine, new NextSession(DomainRules.Shipped));
        return () => planner.Plan(request, plan, setup, null, Today);
    }
}
