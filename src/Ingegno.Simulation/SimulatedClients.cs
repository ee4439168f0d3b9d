using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Simulation;

/// <summary>Made-up clients of all levels with made-up kits and gym programs, from a seed.</summary>
public static class SimulatedClients
{
    private static readonly ImmutableArray<ImmutableArray<string>> Programs =
    [
        [
            "= A",
            "Back squat 3x8 RIR 2 2 min",
            "Bench press 3x8 RIR 2 2 min",
            "= B",
            "Barbell row 3x10 RIR 2 90 s",
            "Overhead press 3x8 RIR 2 90 s",
        ],
        [
            "= A",
            "Bench press 4x6 RIR 2 2 min",
            "Seated cable row 3x10-12 RIR 2 90 s",
            "= B",
            "Back squat 4x6 RIR 2 2 min",
            "Barbell curl 3x10-12 RIR 1 60 s",
        ],
        [
            "= A",
            "Leg press 3x10-12 RIR 2 90 s",
            "Lat pulldown 3x10-12 RIR 2 90 s",
            "= B",
            "Dumbbell bench press 3x10 RIR 2 90 s",
            "Dumbbell lateral raise 3x12-15 RIR 1 60 s",
        ],
    ];

    private static readonly ImmutableArray<ImmutableArray<KitItem>> Kits =
    [
        [
            new()
            {
                Id = "db",
                Kind = "dumbbell",
                MassKg = 6,
                Count = 2,
            },
            new()
            {
                Id = "chair",
                Kind = "chair",
                HeightCm = 46,
            },
        ],
        [
            new()
            {
                Id = "bag",
                Kind = "rucksack",
                MassKg = 0.9,
                VolumeL = 25,
                MaxLoadKg = 18,
            },
            new()
            {
                Id = "water",
                Kind = "bottle",
                MassKg = 1.53,
                VolumeL = 1.6,
                Count = 8,
            },
            new()
            {
                Id = "table",
                Kind = "dining-table",
                HeightCm = 74,
                MassKg = 40,
                OverhangCm = 8,
                LegToCentreCm = 36,
            },
            new()
            {
                Id = "chair",
                Kind = "chair",
                HeightCm = 46,
            },
        ],
        [
            new()
            {
                Id = "db8",
                Kind = "dumbbell",
                MassKg = 8,
                Count = 2,
            },
            new()
            {
                Id = "db12",
                Kind = "dumbbell",
                MassKg = 12,
                Count = 2,
            },
            new()
            {
                Id = "db16",
                Kind = "dumbbell",
                MassKg = 16,
                Count = 2,
            },
            new()
            {
                Id = "sofa",
                Kind = "sofa",
                HeightCm = 44,
            },
        ],
        [
            new()
            {
                Id = "loop",
                Kind = "band-loop",
                RestLengthCm = 104,
                WidthMm = 13,
                ThicknessMm = 4.5,
            },
            new()
            {
                Id = "wide",
                Kind = "band-loop",
                RestLengthCm = 104,
                WidthMm = 29,
                ThicknessMm = 4.5,
            },
            new() { Id = "door", Kind = "closed-door" },
            new()
            {
                Id = "chair",
                Kind = "chair",
                HeightCm = 46,
            },
        ],
        [
            new()
            {
                Id = "bar",
                Kind = "pull-up-bar",
                HeightCm = 215,
            },
            new()
            {
                Id = "kb",
                Kind = "kettlebell",
                MassKg = 16,
            },
            new()
            {
                Id = "step",
                Kind = "step",
                HeightCm = 30,
            },
            new()
            {
                Id = "loop",
                Kind = "band-loop",
                RestLengthCm = 104,
                WidthMm = 13,
                ThicknessMm = 4.5,
            },
        ],
    ];

    /// <summary>The request of a client's home plan.</summary>
    public static RebuildRequest Draw(int seed)
    {
        var noise = new Noise(seed);
        var sex = noise.Of([Sex.Female, Sex.Male]);
        var level = noise.Of([Level.Beginner, Level.Novice, Level.Intermediate, Level.Advanced]);
        var stature = (sex == Sex.Male ? 178 : 166) + noise.Normal(6);
        return new RebuildRequest
        {
            Client = new ClientProfile
            {
                Level = level,
                Goal = noise.Of([Goal.Muscle, Goal.Strength, Goal.GeneralFitness]),
                Sex = sex,
                StatureCm = Math.Round(stature),
                BodyMassKg = Math.Round((sex == Sex.Male ? 80 : 65) + noise.Normal(9)),
                AgeYears = 20 + (int)(noise.Next() * 35),
                DaysPerWeek = 2,
            },
            Kit = new PlaceKit { Name = "Home", Items = noise.Of(Kits) },
            GymLines = noise.Of(Programs),
            FitToMinutes = false,
        };
    }
}
