using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Progress.FollowUp;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Dosing;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Progress.FollowUp;

/// <summary>What a rest or a technique costs a client, learnt from logs (docs/domain/progression), worked by hand.</summary>
public class CostModelTests
{
    private static readonly DateOnly Today = new(2026, 11, 20);
    private static readonly CostModel Model = new(DomainRules.Shipped);

    [Fact]
    public void Rests_that_cost_as_usual_leave_the_factor_at_one() =>
        Rests(10, 8).ShouldNotBeNull().Factor.ShouldBe(1, 0.001, "75 s leave .80: ten reps, then eight");

    [Fact]
    public void Rests_that_cost_twice_as_much_move_it_by_what_has_been_seen()
    {
        // Ten days of one pair: Σx = 2, Σy = 4, variance 10·2/8² = .3125 (8 the mean of 10 and 6), so 2² / .3125 = 12.8; prior 1/.35² =
        // 8.163.
        // (8.163 + 12.8·2) / (8.163 + 12.8) = 1.611.
        var cost = Rests(10, 6, pairs: 10)!;
        (cost.Factor, cost.Spread, cost.Seen).ShouldBe((1.611, 0.218, 10));
        Rests(10, 6, pairs: 60)!.Factor.ShouldBeInRange(1.9, 2.0);
        Rests(10, 6, pairs: 10, daysAgo: 84)!.Factor.ShouldBe((8.163 + (6.4 * 2)) / (8.163 + 6.4), 0.002, "after 84 days each counts half");
    }

    [Fact]
    public void Too_little_and_what_cannot_be_compared_teaches_nothing()
    {
        Rests(10, 6, pairs: 5).ShouldBeNull();
        Rests(10, 6, rir: 6).ShouldBeNull("a guess that far from failure is none");
        Rests(10, 6, rir: null).ShouldBeNull();
        Rests(10, 6, rest: null).ShouldBeNull("logged before rests were kept");
        Rests(10, 6, secondKg: 8).ShouldBeNull("another load");
        Rests(30, 30, exercise: "plank").ShouldBeNull("seconds of a hold");
        Rests(10, 10, systemKg: null).ShouldBeNull("nobody knows its load");
    }

    [Fact]
    public void A_technique_is_held_against_straight_sets_of_the_same_exercise()
    {
        // 50 kg for ten: five seconds down usually leave 6.5 of ten.
        Technique(5, days: 8)!.Factor.ShouldBeInRange(1.1, 1.42, "half is left where .65 is usual: (1 − .5)/.35 is 1.43, drawn in to 1");
        Technique(8, days: 8)!.Factor.ShouldBeInRange(0.57, 0.9);
        Technique(5, days: 2).ShouldBeNull();
        Technique(5, days: 8, straight: false).ShouldBeNull("nothing to hold it against");
    }

    [Theory]
    [InlineData(0.5, 75)]
    [InlineData(1.0, 75)]
    [InlineData(1.6, 75)]
    [InlineData(1.0, 180)]
    [InlineData(1.6, 180)]
    public void Simulated_trainees_are_found_out(double truth, int rest)
    {
        var request = new RebuildRequest
        {
            Client = Examples.ClientA,
            Kit = Examples.Kit("dumbbell 8 x2", "dumbbell 14 x2"),
            GymLines = [$"Bench press 4x8 RIR 2 {rest} s", $"Dumbbell curl 4x10 RIR 2 {rest} s", $"Back squat 4x8 RIR 2 {rest} s"],
            FitToMinutes = false,
        };
        var trial = new TrainingTrial(DomainRules.Shipped);
        var plan = trial.Plan(request, new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan);
        var found = Enumerable
            .Range(1, 8)
            .Select(seed =>
                trial.Run(
                    plan,
                    _ => 0,
                    new SimulatedTrainee(
                        DomainRules.Shipped,
                        request.Client,
                        TraineeTraits.ForLevel(Level.Intermediate) with
                        {
                            RestCost = truth,
                        },
                        seed
                    ),
                    trial.Engine(request),
                    Today.AddDays(-84),
                    12,
                    2
                )
            )
            .Select(done => Model.Learn(done.Log, Today).First(c => c.Of == LearnedCost.Rests).Factor)
            .ToList();

        // Sets that keep a reserve say less of what they cost, and after long rests there is little to say: drawn in towards 1.
        found.Average().ShouldBe(truth, rest > 90 ? 0.35 : 0.3, string.Join(", ", found));
    }

    [Fact]
    public void What_was_learnt_goes_into_the_plan()
    {
        RebuildRequest Request(params LearnedCost[] costs) =>
            new()
            {
                Client = Examples.ClientA with { Costs = [.. costs] },
                Kit = Examples.Kit("dumbbell 8 x2"),
                GymLines = ["Dumbbell curl 4x10 RIR 1 60 s"],
                Edits =
                [
                    new HomeEdit
                    {
                        Line = new LineKey(1),
                        ExerciseId = "dumbbell-curl",
                        Techniques = ["slow-eccentric-5"],
                    },
                ],
                Choices = [new CoachChoice(new LineKey(1), "dumbbell-curl")],
            };
        var usual = Home(Request());
        var tires = Home(Request(new LearnedCost(LearnedCost.Rests, 1.6, 0.2, 20, Reason.Text("pairs"))));
        var slow = Home(Request(new LearnedCost("slow-eccentric", 1.4, 0.2, 8, Reason.Text("days"))));

        tires.Effect!.RepsBySet[0].ShouldBe(usual.Effect!.RepsBySet[0], "a rest costs only what comes after it");
        tires.Effect.RepsBySet[^1].ShouldBeLessThan(usual.Effect.RepsBySet[^1]);
        slow.RepsToFailure!.Value.ShouldBe(usual.RepsToFailure!.Value * (1 - (0.35 * 1.4)) / 0.65, 0.3);

        static HomeExercise Home(RebuildRequest request) =>
            new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan.Lines[0].Chosen!.Exercises[0];
    }

    [Fact]
    public void A_set_with_a_technique_that_costs_less_stands_for_less_strength()
    {
        var set = new LoggedSet
        {
            Reps = 6,
            Rir = 0,
            Stamp = new SetStamp(50, 0.65, 6, 0) { Technique = "slow-eccentric" },
        };
        double Max(params LearnedCost[] costs) => Evidence.FromSets([set], costs).Single().OneRepMaxKg(CurveKind.Middle);
        Max(new LearnedCost("slow-eccentric", 0.6, 0.1, 5, Reason.Text("x"))).ShouldBeLessThan(Max());
        Max(new LearnedCost("pause", 0.6, 0.1, 5, Reason.Text("x"))).ShouldBe(Max());
    }

    [Theory]
    [InlineData("2-0-1-0", null)]
    [InlineData("5-0-1-0", "slow-eccentric")]
    [InlineData("2-3-1-0", "pause")]
    [InlineData("5-3-1-0", StraightSets.Several)]
    public void A_stamp_names_the_technique_even_when_only_a_tempo_was_typed(string tempo, string? technique)
    {
        var dose = new Dose
        {
            Sets = 3,
            Target = new SetTarget(8, 12),
            Tempo = Tempo.Parse(tempo),
            RestSeconds = 75,
            Rir = 2,
        };
        (LogStamps.Of(dose, 1, DomainRules.Shipped).Technique, LogStamps.Of(dose, 1, DomainRules.Shipped).RestSeconds).ShouldBe(
            (technique, 75)
        );
    }

    private static LearnedCost? Rests(
        int first,
        int second,
        int pairs = 10,
        int daysAgo = 0,
        int? rir = 0,
        int? rest = 75,
        double? secondKg = null,
        string exercise = "push-up",
        double? systemKg = 40
    )
    {
        LoggedSet Set(int reps, double? kg) =>
            new()
            {
                Reps = reps,
                Rir = rir,
                LoadKg = kg,
                Stamp = new SetStamp(systemKg, 1, 8, 0) { RestSeconds = rest },
            };
        var sessions = Enumerable
            .Range(0, pairs)
            .Select(_ => new LoggedSession(
                Today.AddDays(-daysAgo),
                [new LoggedExercise(new LineKey(1), exercise, [Set(first, null), Set(second, secondKg)])]
            ));
        return Model.Learn(sessions, Today).FirstOrDefault(c => c.Of == LearnedCost.Rests);
    }

    private static LearnedCost? Technique(int reps, int days, bool straight = true)
    {
        LoggedSession Session(int daysAgo, int done, string? technique) =>
            new(
                Today.AddDays(-daysAgo),
                [
                    new LoggedExercise(
                        new LineKey(1),
                        "push-up",
                        [
                            new LoggedSet
                            {
                                Reps = done,
                                Rir = 0,
                                Stamp = new SetStamp(50, technique is null ? 1 : 0.65, 8, 0) { Technique = technique },
                            },
                        ]
                    ),
                ]
            );
        var log = Enumerable.Range(0, days).Select(i => Session(i, reps, "slow-eccentric")).Concat(straight ? [Session(20, 10, null)] : []);
        return Model.Learn(log.ToImmutableArray(), Today).FirstOrDefault(c => c.Of == "slow-eccentric");
    }
}
