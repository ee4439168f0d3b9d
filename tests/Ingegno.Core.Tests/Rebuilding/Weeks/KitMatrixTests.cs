using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Rebuilding.Weeks;

/// <summary>Twelve kits, six gym programs, three levels: every plan is valid, explained, and keeps the pattern where it can.</summary>
public class KitMatrixTests
{
    private static readonly Dictionary<string, string> Kits = new()
    {
        ["nothing"] = "",
        ["band only"] = "band-loop",
        ["one kettlebell"] = "kettlebell 16",
        ["fixed light dumbbells"] = "dumbbell 5 x2",
        ["adjustable dumbbells"] = "adjustable-dumbbell x2",
        ["rucksack and furniture"] = "rucksack;bottle x6;book x6;chair 46 x2;dining-table 75;sofa 44;stairs 18",
        ["bar and band"] = "pull-up-bar;band-loop;band-tube 8",
        ["sliders"] = "sliders;sliding-floor",
        ["full garage"] = "adjustable-barbell;adjustable-dumbbell x2;bench 44;pull-up-bar;rings-straps;band-loop;step 30;kettlebell 16",
        ["hotel room"] = "chair 45;bed 55;desk 74;closed-door;suitcase;towel x2",
        ["park"] = "low-wall 45;branch;rucksack;bottle x2",
        ["seated only"] = "chair 45;band-flat 4;dumbbell 4 x2",
    };

    private static readonly Dictionary<string, string[]> Programs = new()
    {
        ["whole body"] =
        [
            "Back squat 3x8",
            "Bench press 3x8",
            "Seated cable row 3x10",
            "Overhead press 3x10",
            "Lying leg curl 3x12",
            "Plank 3x40 s",
        ],
        ["lower"] =
        [
            "Front squat 4x6 RIR 2",
            "Barbell Romanian deadlift 3x8",
            "Walking lunge 3x12/side",
            "Leg extension 3x15",
            "Standing calf raise 4x12",
        ],
        ["push"] =
        [
            "Bench press 4x6 @ 80%",
            "Seated dumbbell press 3x10",
            "Cable fly 3x15",
            "Dumbbell lateral raise 3x15",
            "Triceps pushdown 3x12",
        ],
        ["barbell strength"] = ["Back squat 5x5 @ 80%", "Deadlift 3x5 @ RPE 8", "Overhead press 5x5", "Barbell row 5x5"],
        ["glutes"] =
        [
            "Barbell hip thrust 4x10",
            "Barbell Romanian deadlift 3x10",
            "Barbell split squat 3x10/side",
            "Hip abduction machine 3x20",
            "Cable kickback 3x15/side",
        ],
        ["beginner"] =
        [
            "Leg press 3x12 RIR 3",
            "Machine chest press 3x12 RIR 3",
            "Lat pulldown 3x12 RIR 3",
            "Seated leg curl 2x12",
            "Crunch 2x15",
        ],
    };

    public static TheoryData<string, string, Level> Cells()
    {
        var data = new TheoryData<string, string, Level>();
        foreach (var kit in Kits.Keys)
        {
            foreach (var program in Programs.Keys)
            {
                foreach (var level in new[] { Level.Beginner, Level.Intermediate, Level.Advanced })
                {
                    data.Add(kit, program, level);
                }
            }
        }

        return data;
    }

    [Theory]
    [MemberData(nameof(Cells))]
    public void Every_plan_is_valid_and_explained(string kit, string program, Level level)
    {
        var place = Place(kit);
        var plan = Rebuild(place, program, level);
        var ids = place.Items.Select(i => i.Id).ToHashSet();

        plan.Lines.Length.ShouldBe(Programs[program].Length);
        foreach (var line in plan.Lines)
        {
            var chosen = line.Chosen.ShouldNotBeNull($"{line.GymExerciseName}: {line.RuledOut.FirstOrDefault()?.Reason}");
            chosen.Why.Concat(chosen.Lost).ShouldNotBeEmpty(line.GymExerciseName);
            foreach (var home in chosen.Exercises)
            {
                var exercise = Examples.Exercise(home.ExerciseId);
                exercise.AtHome.ShouldBeTrue();
                (exercise.Skill <= CandidateFilter.SkillCeiling(level) || exercise.Id == line.Gym.ExerciseId).ShouldBeTrue(
                    $"{exercise.Id} is beyond {level}, and not done in the gym"
                );
                home.UsesItems.ShouldAllBe(i => ids.Contains(i));
                home.Setup.ShouldNotContain('{');
                home.Dose.Sets.ShouldBeGreaterThan(0);
                home.Dose.Target.Max.ShouldBeInRange(1, home.Dose.Timed ? 600 : 60);
                home.Dose.Tempo.SecondsPerRep.ShouldBeInRange(2, 20);
            }
        }

        plan.Lines.SelectMany(l => l.Chosen!.Exercises).Select(e => e.ExerciseId).ShouldBeUnique();
    }

    [Theory]
    [MemberData(nameof(Cells))]
    public void No_pattern_is_lost_that_could_be_kept(string kit, string program, Level level)
    {
        var plan = Rebuild(Place(kit), program, level);
        var taken = plan.Lines.SelectMany(l => l.Chosen!.Exercises).Select(e => e.ExerciseId).ToHashSet();
        foreach (var line in plan.Lines.Where(l => Pattern(l.Chosen!) < 1 && l.Chosen!.Exercises.Length == 1))
        {
            line.Candidates.Where(c => Pattern(c) >= 1 && c.Exercises.All(e => !taken.Contains(e.ExerciseId)))
                .ShouldAllBe(c => c.Match <= line.Chosen!.Match + 0.05, line.GymExerciseName);
        }
    }

    private static double Pattern(Candidate candidate) => candidate.Parts.First(p => p.Part == MatchPart.Pattern).Score;

    private static HomePlan Rebuild(PlaceKit place, string program, Level level)
    {
        var result = new RebuildEngine(DomainRules.Shipped).Rebuild(
            new RebuildRequest
            {
                Client = Examples.ClientA with { Level = level, KnownLifts = [], MinutesPerSession = 60 },
                Kit = place,
                GymLines = [.. Programs[program]],
            }
        );
        result.Errors.ShouldBeEmpty();
        return result.Plan;
    }

    private static PlaceKit Place(string kit)
    {
        var place = Examples.Kit(Kits[kit].Split(';', StringSplitOptions.RemoveEmptyEntries));
        return place with
        {
            Items =
            [
                .. place.Items.Select(i =>
                    i.Kind.StartsWith("adjustable", StringComparison.Ordinal)
                        ? i with
                        {
                            HandleKg = i.Kind == "adjustable-barbell" ? 20 : 2,
                            Plates = [new(1.25, 8), new(2.5, 8), new(10, 4)],
                        }
                        : i
                ),
            ],
        };
    }
}
