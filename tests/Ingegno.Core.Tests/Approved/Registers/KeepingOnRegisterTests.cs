using System.Collections.Immutable;
using Ingegno.Core.AtHome.Kit;
using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.KeepingOn.Blocks;
using Ingegno.Core.KeepingOn.Following;
using Ingegno.Core.KeepingOn.Ladders;
using Ingegno.Core.KeepingOn.Logs;
using Ingegno.Core.KeepingOn.Progression;
using Ingegno.Core.KeepingOn.Sending;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Rebuilding;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Approved.Registers;

/// <summary>What comes out today around the weeks of drawn clients: loads of places, ladders, blocks, what goes to the phone, what typed logs and
/// trends say.</summary>
public class KeepingOnRegisterTests
{
    private static readonly RebuildEngine Engine = new(Trade.Shipped);

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
        var register = new Register("seed", "things", "source", "loads", "mark");
        foreach (var seed in Enumerable.Range(401, 24))
        {
            var place = DrawnRequests.Of(seed).Kit;
            var loads = new ReachableLoads(new KitAtPlace(place, Trade.Shipped.KitKinds));
            foreach (var source in Enum.GetValues<LoadSource>())
            {
                var here = loads.From([source]);
                if (!here.IsEmpty)
                {
                    register.Row(seed, place.Items.Length, source, Shown(here.Select(l => l.MassKg)), Register.Mark(here));
                }
            }

            var all = loads.From([.. Enum.GetValues<LoadSource>()]);
            register.Row(seed, place.Items.Length, "together", Shown(all.Select(l => l.MassKg)), Register.Mark(all));
        }

        return ShouldBeAsBefore(register, "loads");
    }

    [Fact]
    public Task Ladders_of_families()
    {
        var register = new Register("seed", "exercise", "rungs", "here", "next", "gaps", "mark");
        var ladders = new Ladders(Trade.Shipped);
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
                    register.Row(seed, id, ladder.Rungs.Length, ladder.Here, ladder.Next, ladder.Gaps.Length, Register.Mark(ladder));
                }
            }
        }

        return ShouldBeAsBefore(register, "ladders");
    }

    [Fact]
    public Task Blocks()
    {
        var register = new Register("seed", "week", "kind", "sets", "steps", "mark");
        var planner = new BlockPlanner(Trade.Shipped, Engine, new NextSession(Trade.Shipped));
        var monday = new DateOnly(2026, 11, 23);
        foreach (var seed in Enumerable.Range(601, 8))
        {
            var request = DrawnRequests.Of(seed);
            var approach = Trade.Shipped.ApproachOf(request.Approach ?? request.Client.Approach);
            var setup = BlockShape.Propose(
                approach,
                Trade.Shipped.Blocks,
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
                    Register.Mark(week)
                );
            }
        }

        return ShouldBeAsBefore(register, "blocks");
    }

    [Fact]
    public Task What_goes_to_the_phone()
    {
        var register = new Register("seed", "day", "exercise", "sets", "in its place", "mark");
        foreach (var seed in Enumerable.Range(701, 12))
        {
            var request = DrawnRequests.Of(seed);
            var release = new ReleaseWriter(Trade.Shipped).Write("A week", request, Engine.Rebuild(request).Plan, word: string.Empty);
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
                        Register.Mark(exercise)
                    );
                }

                register.Row(seed, day.Name, "= day", null, day.Courses.Select(c => $"{c.Minutes}min"), Register.Mark(day));
            }
        }

        return ShouldBeAsBefore(register, "releases");
    }

    /// <summary>Messages as clients type them, about plans that nobody chose.</summary>
    [Fact]
    public Task Typed_logs()
    {
        var register = new Register("seed", "message", "read", "mark");
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
                var read = new LogMessage(plan, Trade.Shipped).Read(message);
                register.Row(seed, message, read.Parts.Select(p => $"{p.ExerciseId} {p.Text}"), Register.Mark(read));
            }
        }

        return ShouldBeAsBefore(register, "messages");
    }

    [Fact]
    public Task What_weeks_of_logs_tell()
    {
        var register = new Register("seed", "adherence", "lifts", "learned", "mark");
        foreach (var seed in Enumerable.Range(901, 8))
        {
            var request = SimulatedClients.Of(seed);
            var trial = new TrainingTrial(Trade.Shipped);
            var plan = Engine.Rebuild(request).Plan;
            var day = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
            var trainee = new SimulatedTrainee(Trade.Shipped, request.Client, TraineeTraits.Of(request.Client.Level), seed);
            var done = trial.Run(
                trial.Plan(request, plan),
                line => day[line],
                trainee,
                new OneRepMoreEachWeek(),
                new DateOnly(2026, 8, 31),
                weeks: 8
            );
            var today = new DateOnly(2026, 10, 26);
            var sessions = done.Log.Select(s => new SessionBesidePlan(s, PlannedSets.Of(plan, s.Exercises))).ToList();
            var trends = new Trends(Trade.Shipped).Of(request.Client, sessions, today);
            var costs = new CostModel(Trade.Shipped).Learn(done.Log, today);
            register.Row(seed, trends.Adherence, trends.Lifts.Length, costs.Length, Register.Mark((trends, costs)));
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

    private static Task ShouldBeAsBefore(Register register, string name) =>
        register.Text.ShouldBeApproved("tests", "Ingegno.Core.Tests", "Approved", "Registers", $"{name}.tsv");
}
