using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;
using Ingegno.Core.Tests.Support;

namespace Ingegno.Core.Tests.Approved;

/// <summary>Clients whose weeks are approved line by line: each differs from the others in level, goal, place and what is sore.</summary>
internal static class ApprovedClients
{
    public static ImmutableArray<(string Title, RebuildRequest Request)> All { get; } =
    [
        (
            "A woman of 62 kg, beginner, an ordinary home",
            Of(
                Client(Level.Beginner, Goal.GeneralFitness, Sex.Female, 62, 165, 36, 45),
                "chair 45 cm; sofa 44 cm; dining table 74 cm; stairs 18 cm; rucksack 25 L; 6 bottles 1.5 L; 8 books 1 kg; towel; socks; tile floor",
                "= Day 1",
                "Back squat 3x8",
                "Bench press 3x8",
                "Seated cable row 3x10",
                "Plank 3x40 s",
                "= Day 2",
                "Deadlift 3x5",
                "Overhead press 3x8",
                "Lat pulldown 3x10",
                "Pallof press 3x10/side"
            )
        ),
        (
            "A man of 92 kg and 63 years, beginner, nothing at all, machines in the gym",
            Of(
                Client(Level.Beginner, Goal.GeneralFitness, Sex.Male, 92, 176, 63, 30),
                "",
                "= One",
                "Leg press 3x12",
                "Machine chest press 3x12",
                "Seated cable row 3x12",
                "Hip abduction machine 3x15",
                "= Two",
                "Leg extension 3x15",
                "Lying leg curl 3x15",
                "Lat pulldown 3x12",
                "Machine shoulder press 3x12"
            )
        ),
        (
            "A woman of 70 kg, novice, a sore knee, a pair of 7 kg and a mini band",
            Of(
                Client(Level.Novice, Goal.Muscle, Sex.Female, 70, 167, 50, 50) with
                {
                    SoreJoints = [new SoreJoint(Joint.Knee, Soreness.Sore)],
                },
                "2x 7 kg dumbbell; mini band; sofa 44 cm",
                "= Lower",
                "Back squat 4x6",
                "Romanian deadlift 3x8",
                "Leg press 3x12",
                "Hip thrust 4x8",
                "Standing calf raise 3x15",
                "= Upper",
                "Bench press 4x8",
                "Overhead press 3x8",
                "Barbell curl 3x10",
                "Cable fly 3x12-15"
            )
        ),
        (
            "A man of 80 kg, four lifts known, a pair of 16 kg, a chair and a band on a door",
            Of(
                Examples.ClientA with
                {
                    AgeYears = 31,
                    MinutesPerSession = 60,
                },
                "2x 16 kg dumbbell; chair 45 cm; band 104 cm 22 mm; closed door",
                "= Push",
                "Bench press 4x6-8 @ 70 kg",
                "Overhead press 3x8-10 RIR 2",
                "Dumbbell lateral raise 3x12-15",
                "Triceps pushdown 3x12",
                "= Pull",
                "Barbell row 4x8 2 min",
                "Lat pulldown 3x10-12",
                "Cable face pull 3x15",
                "Dumbbell curl 3x10-12 3-1-1-0",
                "= Legs",
                "Back squat 4x6-8 @ 80%",
                "Romanian deadlift 3x8-10",
                "Lying leg curl 3x12"
            )
        ),
        (
            "A man of 90 kg, advanced, strength, a garage, under waves of heavy work",
            Of(
                Client(Level.Advanced, Goal.Strength, Sex.Male, 90, 183, 29, 75) with
                {
                    KnownLifts = [new("bench-press", 120), new("back-squat", 160), new("deadlift", 200)],
                },
                "barbell 20 kg with 140 kg of plates; rack; bench 44 cm; pull-up bar; 2x 12 kg dumbbell",
                "= A",
                "Back squat 5x5 @ 80%",
                "Bench press 5x5 @ 80%",
                "Barbell row 5x5",
                "= B",
                "Deadlift 3x5 @ 80%",
                "Overhead press 5x5",
                "Chin-up 3x6",
                "= C",
                "Push-up 3x12",
                "Bulgarian split squat 3x8/side",
                "Lateral raise 3x15"
            ) with
            {
                Approach = "tension",
            }
        ),
        (
            "A woman of 64 kg, advanced, muscle, rings and a bar, techniques allowed",
            Of(
                Client(Level.Advanced, Goal.Muscle, Sex.Female, 64, 172, 27, 70),
                "pull-up bar; rings; chair 45 cm; rucksack 25 L; 6 bottles 1.5 L",
                "= Upper",
                "Incline dumbbell press 4x8",
                "One-arm dumbbell row 4x10/side",
                "Dip 3x8",
                "Pull-up 4x6",
                "Skull crusher 3x12",
                "= Lower",
                "Front squat 4x8",
                "Hip thrust 4x10",
                "Nordic curl 3x6",
                "Walking lunge 3x10/side",
                "Ab wheel rollout 3x10"
            )
        ),
        (
            "A woman of 66 kg, intermediate, a sore low back, a kettlebell and a table",
            Of(
                Client(Level.Intermediate, Goal.Muscle, Sex.Female, 66, 170, 41, 50) with
                {
                    SoreJoints = [new SoreJoint(Joint.LowBack, Soreness.Sore)],
                },
                "16 kg kettlebell; chair 45 cm; dining table 74 cm",
                "= A",
                "Deadlift 3x6",
                "Goblet squat 3x12",
                "Seated cable row 3x12",
                "Machine chest press 3x12",
                "Cable crunch 3x15",
                "= B",
                "Kettlebell swing 4x15",
                "Reverse lunge 3x10/side",
                "Dumbbell overhead press 3x10",
                "Suitcase carry 3x40 m/side",
                "Side plank 3x30 s/side"
            )
        ),
        (
            "A man of 70 kg, intermediate, endurance, short of minutes",
            Of(
                Client(Level.Intermediate, Goal.Endurance, Sex.Male, 70, 175, 33, 30),
                "band 104 cm 13 mm; stairs 18 cm; 10 L canister; broomstick",
                "= Circuit",
                "Goblet squat 3x20",
                "Push-up 3x20",
                "Bent-over row 3x20",
                "Step-up 3x15/side",
                "Overhead press 3x15",
                "Hammer curl 3x15",
                "Dead bug 3x10/side"
            )
        ),
        (
            "A man of 82 kg, intermediate, a sore shoulder and an injured wrist, dumbbells with plates",
            Of(
                Client(Level.Intermediate, Goal.Muscle, Sex.Male, 82, 179, 44, 60) with
                {
                    SoreJoints = [new SoreJoint(Joint.Shoulder, Soreness.Sore), new SoreJoint(Joint.Wrist, Soreness.Injured)],
                },
                "2x 20 kg dumbbell; 8 kg dumbbell; bench 44 cm; chair 45 cm",
                "= A",
                "Bench press 4x8",
                "Chest-supported row 4x10",
                "Dumbbell shoulder press 3x10",
                "Dumbbell curl 3x12",
                "= B",
                "Leg press 4x10",
                "Stiff-leg deadlift 3x10",
                "Leg extension 3x15",
                "Calf raise 4x12"
            )
        ),
        (
            "A man of 74 kg whose heart is not cleared, beginner, a pair of 10 kg and a band",
            Of(
                Client(Level.Beginner, Goal.GeneralFitness, Sex.Male, 74, 182, 58, 40) with
                {
                    Screening = [ScreeningAnswer.HeartOrVascular],
                },
                "2x 10 kg dumbbell; band 104 cm 22 mm; chair 45 cm",
                "= Day",
                "Back squat 3x10",
                "Bench press 3x10",
                "Barbell row 3x10",
                "Lying leg raise 3x10",
                "Farmer carry 3x40 m"
            )
        ),
    ];

    private static RebuildRequest Of(ClientProfile client, string kit, params string[] lines) =>
        new()
        {
            Client = client,
            Kit = Examples.KitOf(kit),
            GymLines = [.. lines],
            Calibrate = true,
        };

    private static ClientProfile Client(Level level, Goal goal, Sex sex, double massKg, double statureCm, int age, int minutes) =>
        new()
        {
            Level = level,
            Goal = goal,
            Sex = sex,
            BodyMassKg = massKg,
            StatureCm = statureCm,
            AgeYears = age,
            MinutesPerSession = minutes,
        };
}
