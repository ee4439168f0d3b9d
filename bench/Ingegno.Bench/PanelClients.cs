using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Bench;

/// <summary>Twelve clients, six gym weeks and eight kits, invented for the figures alone.</summary>
internal static class PanelClients
{
    public static readonly ImmutableArray<ClientProfile> Clients =
    [
        Client(Level.Beginner, Goal.GeneralFitness, Sex.Female, 62, 165, 36, 45),
        Client(Level.Beginner, Goal.GeneralFitness, Sex.Male, 92, 176, 63, 45),
        Client(Level.Beginner, Goal.Muscle, Sex.Male, 74, 182, 24, 60),
        Client(Level.Novice, Goal.Muscle, Sex.Female, 70, 167, 50, 50, (Joint.Knee, Soreness.Sore)),
        Client(Level.Novice, Goal.Strength, Sex.Male, 85, 178, 41, 60),
        Client(Level.Intermediate, Goal.Muscle, Sex.Female, 60, 168, 28, 50),
        Client(Level.Intermediate, Goal.Muscle, Sex.Female, 66, 170, 41, 50, (Joint.LowBack, Soreness.Sore)),
        Client(Level.Intermediate, Goal.Muscle, Sex.Male, 82, 179, 44, 60, (Joint.Shoulder, Soreness.Sore)),
        Client(Level.Intermediate, Goal.Endurance, Sex.Male, 70, 175, 33, 45),
        Client(Level.Intermediate, Goal.Muscle, Sex.Male, 80, 180, 31, 60) with
        {
            KnownLifts =
            [
                new KnownLift("bench-press", 85),
                new KnownLift("overhead-press", 55),
                new KnownLift("back-squat", 110),
                new KnownLift("barbell-row", 75),
            ],
        },
        Client(Level.Advanced, Goal.Strength, Sex.Male, 90, 183, 29, 75) with
        {
            KnownLifts = [new KnownLift("bench-press", 120), new KnownLift("back-squat", 160), new KnownLift("deadlift", 200)],
        },
        Client(Level.Advanced, Goal.Muscle, Sex.Female, 64, 172, 27, 70),
    ];

    public static readonly ImmutableArray<(string Name, string[] Lines)> Weeks =
    [
        (
            "upper and lower",
            [
                "= Lower",
                "Back squat 4x6",
                "Romanian deadlift 3x8",
                "Leg press 3x12",
                "Lying leg curl 3x12",
                "Standing calf raise 3x15",
                "= Upper",
                "Bench press 4x8",
                "Barbell row 4x8",
                "Overhead press 3x8",
                "Lat pulldown 3x10",
                "Barbell curl 3x10",
                "Triceps pushdown 3x12",
            ]
        ),
        (
            "whole body, three days",
            [
                "= Day 1",
                "Back squat 3x8",
                "Bench press 3x8",
                "Seated cable row 3x10",
                "Plank 3x40 s",
                "= Day 2",
                "Deadlift 3x5",
                "Overhead press 3x8",
                "Lat pulldown 3x10",
                "Pallof press 3x10/side",
                "= Day 3",
                "Front squat 3x8",
                "Incline dumbbell press 3x10",
                "Barbell row 3x8",
                "Dumbbell lateral raise 3x15",
            ]
        ),
        (
            "push, pull, legs",
            [
                "= Push",
                "Bench press 4x6-8",
                "Overhead press 3x8-10",
                "Cable fly 3x12-15",
                "Dumbbell lateral raise 3x12-15",
                "Triceps pushdown 3x12",
                "= Pull",
                "Barbell row 4x8",
                "Lat pulldown 3x10-12",
                "Cable face pull 3x15",
                "Dumbbell curl 3x10-12",
                "= Legs",
                "Back squat 4x6-8",
                "Romanian deadlift 3x8-10",
                "Leg extension 3x12-15",
                "Seated leg curl 3x12",
                "Hip thrust 3x10",
            ]
        ),
        (
            "five by five",
            [
                "= A",
                "Back squat 5x5 @ 80%",
                "Bench press 5x5 @ 80%",
                "Barbell row 5x5",
                "= B",
                "Deadlift 3x5 @ 80%",
                "Overhead press 5x5",
                "Chin-up 3x6",
            ]
        ),
        (
            "machines",
            [
                "= One",
                "Leg press 3x12",
                "Machine chest press 3x12",
                "Seated cable row 3x12",
                "Hip abduction machine 3x15",
                "Cable crunch 3x15",
                "= Two",
                "Leg extension 3x15",
                "Lying leg curl 3x15",
                "Lat pulldown 3x12",
                "Machine shoulder press 3x12",
                "Reverse pec deck 3x15",
            ]
        ),
        (
            "body and dumbbells",
            [
                "= A",
                "Push-up 3x12",
                "Split squat 3x10/side",
                "One-arm dumbbell row 3x10/side",
                "Walking lunge 3x10/side",
                "Side plank 3x30 s/side",
                "= B",
                "Goblet squat 3x12",
                "Dumbbell overhead press 3x10",
                "Single-leg Romanian deadlift 3x10/side",
                "Hammer curl 3x12",
                "Dead bug 3x10/side",
            ]
        ),
    ];

    public static readonly ImmutableArray<PlaceKit> Kits =
    [
        Kit("nothing"),
        Kit(
            "ordinary home",
            [
                "chair 45 cm",
                "sofa 44 cm",
                "dining table 74 cm",
                "stairs 18 cm",
                "rucksack 25 L",
                "6 bottles 1.5 L",
                "8 books 1 kg",
                "towel",
                "socks",
                "tile floor",
            ]
        ),
        Kit("pair of 7 kg and a mini band", ["2x 7 kg dumbbell", "mini band", "sofa 44 cm"]),
        Kit("pair of 16 kg and a chair", ["2x 16 kg dumbbell", "chair 45 cm"]),
        Kit("kettlebell", ["16 kg kettlebell", "chair 45 cm", "dining table 74 cm"]),
        Kit("band and door", ["band 104 cm 22 mm", "closed door", "chair 45 cm"]),
        Kit("bar and rings", ["pull-up bar", "rings", "chair 45 cm", "rucksack 25 L", "6 bottles 1.5 L"]),
        Kit("garage", ["barbell 20 kg with 140 kg of plates", "rack", "bench 44 cm", "pull-up bar", "2x 12 kg dumbbell"]),
    ];

    private static ClientProfile Client(
        Level level,
        Goal goal,
        Sex sex,
        double massKg,
        double statureCm,
        int age,
        int minutes,
        (Joint Joint, Soreness Severity)? sore = null
    ) =>
        new()
        {
            Level = level,
            Goal = goal,
            Sex = sex,
            BodyMassKg = massKg,
            StatureCm = statureCm,
            AgeYears = age,
            MinutesPerSession = minutes,
            SoreJoints = sore is { } s ? [new SoreJoint(s.Joint, s.Severity)] : [],
        };

    private static PlaceKit Kit(string name, params string[] things)
    {
        var reader = new KitParagraph(new KitShorthand(DomainRules.Shipped.KitKinds, DomainRules.Shipped.ReadyItems));
        return new PlaceKit
        {
            Name = name,
            Items =
            [
                .. things
                    .SelectMany(t => reader.Read(t))
                    .Select(f => f.Entry.Item!)
                    .Select((item, i) => item with { Id = $"{item.Kind}-{i}" }),
            ],
        };
    }
}
