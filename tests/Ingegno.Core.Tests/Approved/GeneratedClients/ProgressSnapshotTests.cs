using System.Collections.Immutable;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Progress.Blocks;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Progress.Progression;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Approved.GeneratedClients;

/// <summary>What comes out today around the weeks of drawn clients: loads of places, ladders, blocks, what goes to the phone, what typed logs and
/// trends say.</summary>
public class ProgressSnapshotTests
{
    private static readonly RebuildEngine Engine = new(DomainRules.Shipped);

    private static readonly ImmutableArray<string> Exercises =
    [
        "push-up",
        "goblet-squat",
        "doorframe-row",
        "dumbbell-curl",
        "dumbbell-overhead-press",
        "single-leg-romanian-deadlift",
        "pull-up",
        "calf-raise",
        "plank",
    ];

    [Fact]
    public Task Loads_of_places()
    {
        var register = new ClientSnapshots("seed", "things", "source", "loads", "mark");
        foreach (var seed in Enumerable.Range(401, 24))
        {
            var place = DrawnRequests.Of(seed).Kit;
            var loads = new ReachableLoads(new KitAtPlace(place, DomainRules.Shipped.KitKinds));
            foreach (var source in Enum.GetValues<LoadSource>())
            {
                var here = loads.From([source]);
                if (!here.IsEmpty)
                {
                    register.Row(seed, place.Items.Length, source, Shown(here.Select(l => l.MassKg)), ClientSnapshots.Mark(here));
                }
            }

            var all = loads.From([.. Enum.GetValues<LoadSource>()]);
            register.Row(seed, place.Items.Length, "together", Shown(all.Select(l => l.MassKg)), ClientSnapshots.Mark(all));
        }

        return ShouldBeAsBefore(register, "loads");
    }

    [Fact]
    public Task Ladders_of_families()
    {
        var register = new ClientSnapshots("seed", "exercise", "rungs", "here", "next", "gaps", "mark");
        var ladders = new LadderBuilder(DomainRules.Shipped);
        foreach (var seed in Enumerable.Range(501, 8))
        {
            var request = DrawnRequests.Of(seed);
            foreach (var id in Exercises)
            {
                if (
                    ladders.Of(id, request.Client, request.Kit, systemKg: seed % 2 == 0 ? 30 : null, technique: null, wantedReps: 8) is
                    { } ladder
                )
                {
                    register.Row(seed, id, ladder.Rungs.Length, ladder.Here, ladder.Next, ladder.Gaps.Length, ClientSnapshots.Mark(ladder));
                }
            }
        }

        return ShouldBeAsBefore(register, "ladders");
    }

    [Fact]
    public Task Blocks()
    {
        var register = new ClientSnapshots("seed", "week", "kind", "sets", "steps", "mark");
        var planner = new BlockPlanner(DomainRules.Shipped, Engine, new NextSession(DomainRules.Shipped));
        var monday = new DateOnly(2026, 11, 23);
        foreach (var seed in Enumerable.Range(601, 8))
        {
            var request = DrawnRequests.Of(seed);
            var approach = DomainRules.Shipped.ApproachOf(request.Approach ?? request.Client.Approach);
            var setup = BlockShape.Propose(
                approach,
                DomainRules.Shipped.Blocks,
                monday,
                4 + (seed % 5),
                seed % 3 == 0 ? monday.AddDays(32) : null
            );
            var block = planner.Plan(request, Engine.Rebuild(request).Plan, setup, before: null, monday);
            foreach (var week in block.Weeks)
            {
                register.Row(
                    seed,
                    week.Number,
                    week.Kind,
                    week.HardSets,
                    week.Cells.Select(c => c.Step?.ToString() ?? "–"),
                    ClientSnapshots.Mark(week)
                );
            }
        }

        return ShouldBeAsBefore(register, "blocks");
    }

    [Fact]
    public Task What_goes_to_the_phone()
    {
        var register = new ClientSnapshots("seed", "day", "exercise", "sets", "in its place", "mark");
        foreach (var seed in Enumerable.Range(701, 12))
        {
            var request = DrawnRequests.Of(seed);
            var release = new ReleaseWriter(DomainRules.Shipped).Write("A week", request, Engine.Rebuild(request).Plan, word: string.Empty);
            foreach (var day in release.Days)
            {
                foreach (var exercise in day.Exercises)
                {
                    register.Row(
                        seed,
                        day.Name,
                        exercise.ExerciseId,
                        exercise.Sets.Length,
                        exercise.Alternatives.Select(a => $"{a.Exercise.ExerciseId}:{string.Join('+', a.Helps)}"),
                        ClientSnapshots.Mark(exercise)
                    );
                }

                register.Row(seed, day.Name, "= day", null, day.Courses.Select(c => $"{c.Minutes}min"), ClientSnapshots.Mark(day));
            }
        }

        return ShouldBeAsBefore(register, "releases");
    }

    /// <summary>Messages as clients type them, about plans that nobody chose.</summary>
    [Fact]
    public Task Typed_logs()
    {
        var register = new ClientSnapshots("seed", "message", "read", "mark");
        foreach (var seed in Enumerable.Range(801, 6))
        {
            var plan = Engine.Rebuild(DrawnRequests.Of(seed)).Plan;
            var noise = new Noise(seed);
            var homes = plan.Lines.SelectMany(l => l.Chosen?.Exercises ?? []).ToList();
            foreach (
                var message in Enumerable
                    .Range(0, 14)
                    .Select(n => Message(homes[n % homes.Count].Name, homes[(n + 1) % homes.Count].Name, n, noise))
            )
            {
                var read = new LogMessage(plan, DomainRules.Shipped).Read(message);
                register.Row(seed, message, read.Parts.Select(p => $"{p.ExerciseId} {p.Text}"), ClientSnapshots.Mark(read));
            }
        }

        return ShouldBeAsBefore(register, "messages");
    }

    [Fact]
    public Task What_weeks_of_logs_tell()
    {
        var register = new ClientSnapshots("seed", "adherence", "lifts", "learned", "mark");
        foreach (var seed in Enumerable.Range(901, 8))
        {
            var request = SimulatedClients.Draw(seed);
            var trial = new TrainingTrial(DomainRules.Shipped);
            var plan = Engine.Rebuild(request).Plan;
            var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
            var trainee = new SimulatedTrainee(DomainRules.Shipped, request.Client, TraineeTraits.ForLevel(request.Client.Level), seed);
            var done = trial.Run(
                trial.Plan(request, plan),
                line => day[line],
                trainee,
                new OneRepMoreEachWeek(),
                new DateOnly(2026, 8, 31),
                weeks: 8
            );
            var today = new DateOnly(2026, 10, 26);
            var sessions = done.Log.Select(s => new SessionBesidePlan(s, PlannedSets.Count(plan, s.Exercises))).ToList();
            var trends = new Trends(DomainRules.Shipped).Of(request.Client, sessions, today);
            var costs = new CostModel(DomainRules.Shipped).Learn(done.Log, today);
            register.Row(seed, trends.Adherence, trends.Lifts.Length, costs.Length, ClientSnapshots.Mark((trends, costs)));
        }

        return ShouldBeAsBefore(register, "trends");
    }

    private static string Message(string one, string other, int form, Noise noise)
    {
        int Reps() => 4 + (int)(noise.Next() * 14);
        return form switch
        {
            0 => $"{one} {Reps()} {Reps()} {Reps()}",
            1 => $"{one} {Reps()}/{Reps()}/{Reps()} rir 2",
            2 => $"{one}: {Reps()}, {Reps()}, {Reps()} @8; {other} 3x{Reps()}",
            3 => $"{one} 3x{Reps()} with 14kg",
            4 => $"did {other} instead of {one}, 3 x {Reps()}",
            5 => $"{one} skipped, knee hurt 4/10",
            6 => $"{one} {Reps()} {Reps()} then sharp pain in the shoulder",
            7 => $"3 sets of {Reps()} {one}",
            8 => $"{one.ToLowerInvariant()} felt easy, {Reps()} each",
            9 => $"{one} {Reps()}-{Reps()}-{Reps()} - last one to failure",
            10 => $"session was hard, 9/10. {one} {Reps()} {Reps()}",
            11 => $"{one} 40s 35s 30s",
            12 => $"{one} {Reps()} left {Reps()} right",
            _ => $"{one} {Reps()} (2 left) {Reps()} (1 left) {Reps()}\n{other} {Reps()} {Reps()}",
        };
    }

    private static string Shown(IEnumerable<double> loads)
    {
        var all = loads.ToList();
        return all.Count == 0 ? "–" : FormattableString.Invariant($"{all.Count}: {all.Min():0.##}-{all.Max():0.##}");
    }

    private static Task ShouldBeAsBefore(ClientSnapshots register, string name) =>
        register.Text.ShouldBeApproved("tests", "Ingegno.Core.Tests", "Approved", "GeneratedClients", $"{name}.tsv");
}
