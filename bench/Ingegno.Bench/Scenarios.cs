using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Weeks;

namespace Ingegno.Bench;

/// <summary>One thing that is measured.</summary>
internal sealed record Scenario(string Name, int Rounds, Action Run);

/// <summary>What <c>./ingegno bench</c> measures inside the core.</summary>
internal static class Scenarios
{
    public static IEnumerable<Scenario> All
    {
        get
        {
            var engine = new RebuildEngine(DomainRules.Shipped);
            yield return new Scenario("rebuild of a six-line day, ordinary home", 200, () => engine.Rebuild(SixLines(OrdinaryHome)));
            yield return new Scenario(
                "rebuild of a four-day week of 28 lines, ordinary home",
                200,
                () => engine.Rebuild(Week(OrdinaryHome))
            );
            yield return new Scenario(
                "the same week, nothing but floor and wall",
                100,
                () => engine.Rebuild(Week(new PlaceKit { Name = "empty" }))
            );
            yield return new Scenario(
                "rebuild of a six-line day, nothing but floor and wall",
                200,
                () => engine.Rebuild(SixLines(new PlaceKit { Name = "empty" }))
            );
        }
    }

    public static PlaceKit OrdinaryHome { get; } =
        new()
        {
            Name = "flat",
            Items =
            [
                new KitItem
                {
                    Id = "db",
                    Kind = "dumbbell",
                    Count = 2,
                    MassKg = 8,
                },
                new KitItem
                {
                    Id = "bag",
                    Kind = "rucksack",
                    MassKg = 0.9,
                    VolumeL = 25,
                    MaxLoadKg = 18,
                },
                new KitItem
                {
                    Id = "water",
                    Kind = "bottle",
                    Count = 6,
                    MassKg = 1.53,
                },
                new KitItem
                {
                    Id = "book",
                    Kind = "book",
                    Count = 4,
                    MassKg = 1.1,
                },
                new KitItem
                {
                    Id = "loop",
                    Kind = "band-loop",
                    ForceKg = 12,
                },
                new KitItem
                {
                    Id = "table",
                    Kind = "dining-table",
                    HeightCm = 74,
                },
                new KitItem
                {
                    Id = "sofa",
                    Kind = "sofa",
                    HeightCm = 44,
                },
                new KitItem
                {
                    Id = "stairs",
                    Kind = "stairs",
                    HeightCm = 19,
                },
                new KitItem { Id = "floor", Kind = "sliding-floor" },
                new KitItem { Id = "plates", Kind = "paper-plates" },
            ],
        };

    /// <summary>Four days, 28 lines: upper and lower twice.</summary>
    public static ImmutableArray<string> FourDays { get; } =
    [
        "= Upper 1",
        "Bench press 4x6 RIR 2 2:30",
        "Barbell row 4x8 RIR 2 2 min",
        "Overhead press 3x8 RIR 2 2 min",
        "Lat pulldown 3x10 RIR 2 90 s",
        "Dumbbell lateral raise 3x15 60 s",
        "A1 Barbell curl 3x10 60 s",
        "A2 Triceps pushdown 3x12 60 s",
        "= Lower 1",
        "Back squat 4x6 RIR 2 3:00",
        "Barbell Romanian deadlift 3x8 RIR 2 2 min",
        "Walking lunge 3x12/side 90 s",
        "Lying leg curl 3x12 60 s",
        "Leg extension 3x15 60 s",
        "Standing calf raise 4x12 60 s",
        "Plank 3x40 s 60 s",
        "= Upper 2",
        "Overhead press 4x6 RIR 2 2:30",
        "Neutral-grip pulldown 4x8 RIR 2 2 min",
        "Seated dumbbell press 3x10 90 s",
        "Seated cable row 3x12 90 s",
        "Cable fly 3x15 60 s",
        "Cable face pull 3x15 60 s",
        "Rear-delt fly 3x18 60 s",
        "= Lower 2",
        "Deadlift 3x5 @ RPE 8 3:00",
        "Front squat 3x8 RIR 2 2:30",
        "Barbell hip thrust 3x12 90 s",
        "Seated leg curl 3x12 60 s",
        "Hip abduction machine 3x20 60 s",
        "Cable kickback 3x15/side 60 s",
        "Crunch 3x15 60 s",
    ];

    public static RebuildRequest Week(PlaceKit kit) => SixLines(kit) with { GymLines = FourDays };

    private static RebuildRequest SixLines(PlaceKit kit) =>
        new()
        {
            Client = new ClientProfile
            {
                Level = Level.Intermediate,
                Goal = Goal.Muscle,
                Sex = Sex.Male,
                BodyMassKg = 80,
                StatureCm = 180,
            },
            Kit = kit,
            GymLines =
            [
                "Overhead press 3x6 + AMRAP @ 75% 2-0-1-0 180s",
                "Deficit deadlift 4x5 @ RPE 8 3:00",
                "C1 Neutral-grip pulldown 3x12 @ RPE 8 90 s",
                "C2 Rear-delt fly 3x18 90 s",
                "D1 Lateral step-up with dumbbells 3x10/side 2x10 kg",
                "D2 Dumbbell lateral raise 3x15 @ 6 kg 60 s",
            ],
        };
}
