using System.Text.Json;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.ClientApp;
using Ingegno.Core.Progress.Logs;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;
using Ingegno.Language;

namespace Ingegno.Core.Tests.Progress.ClientApp;

/// <summary>What a client gets, tried on two clients of different strength and kit.</summary>
public class ReleaseTests
{
    private static readonly string[] Week =
    [
        "= Day 1",
        "Back squat 4x6 RIR 2 150 s",
        "Bench press 4x8 RIR 2 120 s",
        "Lat pulldown 3x10 90 s",
        "A1 Dumbbell curl 3x12 60 s",
        "A2 Triceps pushdown 3x12 60 s",
        "Bulgarian split squat 3x10/side 90 s",
        "Plank 3x40 s",
        "= Day 2",
        "Deadlift 3x5 RIR 2 3 min",
        "Overhead press 3x8 RIR 2 2 min",
    ];

    public static TheoryData<string> Clients => ["garage", "flat"];

    [Theory]
    [MemberData(nameof(Clients))]
    public void Every_turn_names_an_exercise_and_a_set_that_the_day_has(string whose)
    {
        foreach (var day in Of(whose).Days)
        {
            var byKey = day.Exercises.ToDictionary(e => e.Key);
            foreach (var turn in day.Courses.SelectMany(c => c.Turns))
            {
                byKey[turn.Exercise].Sets.Length.ShouldBeGreaterThanOrEqualTo(turn.Set);
                turn.Set.ShouldBeInRange(1, turn.Of);
            }

            day.Courses[0].Turns.Length.ShouldBe(day.Exercises.Sum(e => e.Sets.Length));
            day.Courses.ShouldAllBe(c => c.Turns.Last().RestSeconds == 0 && c.Turns.Take(c.Turns.Length - 1).All(t => t.RestSeconds > 0));
        }
    }

    [Theory]
    [MemberData(nameof(Clients))]
    public void Shorter_days_are_shorter_say_what_gives_way_and_keep_the_main_lift(string whose)
    {
        var day = Of(whose).Days[0];

        day.Courses.Length.ShouldBeGreaterThan(1);
        day.Courses[0].GivesWay.ShouldBeEmpty();
        foreach (var (longer, shorter) in day.Courses.Zip(day.Courses.Skip(1)))
        {
            shorter.Minutes.ShouldBeLessThanOrEqualTo(longer.Minutes - DomainRules.Shipped.Session.Shorter.LeastGain);
            shorter.GivesWay.ShouldNotBeEmpty();
            shorter.Turns.Length.ShouldBeLessThan(longer.Turns.Length + 1);
            shorter.Turns[0].Exercise.ShouldBe(day.Courses[0].Turns[0].Exercise);
        }
    }

    [Theory]
    [MemberData(nameof(Clients))]
    public void Alternatives_are_few_are_not_on_the_day_and_have_as_many_sets(string whose)
    {
        foreach (var day in Of(whose).Days)
        {
            var taken = day.Exercises.Select(e => e.ExerciseId).ToList();
            foreach (var exercise in day.Exercises)
            {
                exercise.Alternatives.Length.ShouldBeInRange(1, 3);
                foreach (var other in exercise.Alternatives)
                {
                    taken.ShouldNotContain(other.Exercise.ExerciseId);
                    other.Exercise.Sets.Length.ShouldBe(exercise.Sets.Length);
                    other.Exercise.Line.ShouldBe(exercise.Line);
                    other.Helps.ShouldContain(SwapReason.Dull);
                    other.Helps.Contains(SwapReason.Hurts).ShouldBe(!other.Spares.IsEmpty);
                }
            }
        }
    }

    [Fact]
    public void An_easier_and_a_harder_one_are_told_apart()
    {
        var squat = Of("flat").Days[0].Exercises[0];

        squat.ExerciseId.ShouldBe("goblet-squat");
        Helping("chair-squat").ShouldContain(SwapReason.TooHard);
        Helping("chair-squat").ShouldNotContain(SwapReason.TooEasy);

        IEnumerable<SwapReason> Helping(string id) => squat.Alternatives.First(a => a.Exercise.ExerciseId == id).Helps;
    }

    [Fact]
    public void Superset_halves_take_turns_and_rest_after_the_round()
    {
        var turns = Of("garage").Days[0].Courses[0].Turns.Where(t => t.Group == "D").ToList();

        turns.Select(t => t.Exercise.Split('-', 2)[0]).ShouldBe(["5", "6", "5", "6", "5"]);
        turns[0].RestSeconds.ShouldBeLessThan(turns[1].RestSeconds);
        turns[0].Rounds.ShouldBe(3);
    }

    [Fact]
    public void Nothing_of_the_profile_or_the_gym_week_goes_out()
    {
        var request = Request("flat");
        var secret = request with
        {
            Client = request.Client with
            {
                Refuses = ["burpee"],
                SoreJoints = [new(Core.Foundation.Body.Joint.Knee, Soreness.Sore)],
                BodyMassKg = 61.75,
                AgeYears = 53,
            },
        };
        var text = JsonSerializer.Serialize(Write(secret), RulesJson.Lenient);

        foreach (
            var word in new[]
            {
                "bodyMass",
                "61.75",
                "stature",
                "burpee",
                "screening",
                "sore-joints",
                "soreJoints",
                "gymLines",
                "candidates",
            }
        )
        {
            text.ShouldNotContain(word);
        }
    }

    [Fact]
    public void The_same_plan_gives_the_same_release() =>
        JsonSerializer.Serialize(Of("flat"), RulesJson.Lenient).ShouldBe(JsonSerializer.Serialize(Of("flat"), RulesJson.Lenient));

    /// <summary>What the phone doubts is what the coach's log doubts.</summary>
    [Theory]
    [MemberData(nameof(Clients))]
    public void Figures_are_doubted_as_the_log_doubts_them(string whose)
    {
        var request = Request(whose);
        var plan = new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan;
        var stamps = new LogStamps(DomainRules.Shipped, request.Client, request.Kit, plan.Lines);
        foreach (var exercise in Write(request).Days.SelectMany(d => d.Exercises))
        {
            Asked(exercise.Doubt.MostReps, null).ShouldBe(0);
            Asked(exercise.Doubt.MostReps + 1, null).ShouldBe(1);
            Asked(1, exercise.Doubt.MostKg + 0.1).ShouldBe(1);
            Asked(1, exercise.Doubt.MostKg - 0.1).ShouldBe(0);

            int Asked(int reps, double? kg)
            {
                var logged = new LoggedExercise(exercise.Line, exercise.ExerciseId, [new LoggedSet { Reps = reps, LoadKg = kg }]);
                var (home, heaviest) = stamps.PlannedFor(logged)!.Value;
                return LogDoubts.About(home, heaviest, logged).Length;
            }
        }
    }

    [Fact]
    public void Things_to_lay_out_are_those_that_are_used() =>
        Of("flat").Days[0].LayOut.ShouldBe(["rucksack", "6 × bottle of water 1.53 kg", "dining table 74 cm"]);

    [Fact]
    public void Everything_can_be_said()
    {
        var release = Of("garage");
        foreach (
            var said in release
                .Forms.SelectMany(f => new[] { f.Label, f.Advice })
                .Concat([release.Pain.Ease, release.Pain.Stop, release.Pain.StopSigns])
        )
        {
            Phrasebook.English.Say(said).ShouldNotBeNullOrWhiteSpace();
        }

        release.Days.SelectMany(d => d.Courses).SelectMany(c => c.GivesWay).ShouldAllBe(r => Phrasebook.English.Say(r).Length > 0);
    }

    private static Release Of(string whose) => Write(Request(whose));

    private static Release Write(RebuildRequest request) =>
        new ReleaseWriter(DomainRules.Shipped).Write(
            "Week 1",
            request,
            new RebuildEngine(DomainRules.Shipped).Rebuild(request).Plan,
            " Mind the knee. "
        );

    private static RebuildRequest Request(string whose)
    {
        var (client, kit) = whose switch
        {
            "garage" => (Examples.ClientA with { MinutesPerSession = 60 }, "2 dumbbells 20 kg;pull-up bar;bench 44 cm;loop band 22 mm"),
            _ => (Examples.ClientB with { MinutesPerSession = 45 }, "dining table 74 cm;2 chairs;rucksack 20 L;6 bottles 1.5 L;door"),
        };
        return new RebuildRequest
        {
            Client = client,
            Kit = Examples.KitOf(kit),
            GymLines = [.. Week],
        };
    }
}
