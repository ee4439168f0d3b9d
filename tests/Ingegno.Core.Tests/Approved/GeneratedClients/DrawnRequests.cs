using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Tests.Support;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Approved.GeneratedClients;

/// <summary>Clients, places and gym weeks drawn from a seed: wider than anybody would think up, the same on every machine.</summary>
internal static class DrawnRequests
{
    private const int ThingsAtMost = 6;

    private static readonly ImmutableArray<string> Things =
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
        "2x 7 kg dumbbell",
        "2x 16 kg dumbbell",
        "12 kg dumbbell",
        "16 kg kettlebell",
        "mini band",
        "band 104 cm 22 mm",
        "band 104 cm 13 mm",
        "closed door",
        "pull-up bar",
        "rings",
        "bench 44 cm",
        "barbell 20 kg with 100 kg of plates",
        "rack",
        "broomstick",
        "10 L canister",
    ];

    private static readonly ImmutableArray<string> Lines =
    [
        "Back squat 4x6",
        "Back squat 3x8 @ 80 kg",
        "Front squat 3x8",
        "Goblet squat 3x12 @ 14 kg",
        "Leg press 3x12",
        "Leg extension 3x12-15",
        "Walking lunge 3x10/side",
        "Split squat 3x8/side RIR 1",
        "Romanian deadlift 3x8 3-1-1-0",
        "Deadlift 3x5 @ 80%",
        "Lying leg curl 3x12",
        "Hip thrust 4x8-10",
        "Hip abduction machine 3x15",
        "Standing calf raise 3x15",
        "Kettlebell swing 4x15",
        "Bench press 4x6-8",
        "Bench press 5x5 @ 75%",
        "Incline dumbbell press 3x10",
        "Machine chest press 3x12",
        "Push-up 3x12",
        "Dip 3x8",
        "Cable fly 3x12-15",
        "Overhead press 3x8 2 min",
        "Dumbbell lateral raise 3x15",
        "Barbell row 4x8",
        "Seated cable row 3x10-12",
        "One-arm dumbbell row 3x10/side",
        "Lat pulldown 3x10-12",
        "Pull-up 4x6",
        "Chin-up 3x8",
        "Cable face pull 3x15",
        "Reverse pec deck 3x15",
        "Barbell curl 3x10",
        "Hammer curl 3x12 60 s",
        "Triceps pushdown 3x12",
        "Skull crusher 3x10",
        "Plank 3x40 s",
        "Side plank 3x30 s/side",
        "Cable crunch 3x15",
        "Pallof press 3x10/side",
        "Suitcase carry 3x40 m/side",
        "Dead bug 3x10/side",
    ];

    private static readonly ImmutableArray<(string Lift, double OfBodyMass)> Lifts =
    [
        ("bench-press", 0.9),
        ("back-squat", 1.2),
        ("deadlift", 1.5),
        ("overhead-press", 0.55),
        ("barbell-row", 0.8),
    ];

    /// <summary>The request of a seed: the same every time.</summary>
    public static RebuildRequest Of(int seed)
    {
        var noise = new Noise(seed);
        var client = Client(noise);
        return new RebuildRequest
        {
            Client = client,
            Kit = Examples.KitOf(string.Join("; ", Some(Things, noise, (int)(noise.Next() * (ThingsAtMost + 1))))),
            GymLines = ["= A", .. Some(Lines, noise, 4), "= B", .. Some(Lines, noise, 4)],
            Approach = noise.Chance(0.3) ? noise.Of(DomainRules.Shipped.Approaches).Id : null,
            FitToMinutes = noise.Chance(0.7),
            Calibrate = noise.Chance(0.5),
        };
    }

    /// <summary>So many of them, each once.</summary>
    public static IEnumerable<T> Some<T>(IEnumerable<T> values, Noise noise, int count) =>
        values.OrderBy(_ => noise.Next()).ToList().Take(count);

    private static ClientProfile Client(Noise noise)
    {
        var sex = noise.Of([Sex.Female, Sex.Male]);
        var level = noise.Of(Enum.GetValues<Level>());
        var mass = Math.Round((sex == Sex.Male ? 80 : 65) + noise.Normal(11));
        return new ClientProfile
        {
            Sex = sex,
            Level = level,
            Goal = noise.Of(Enum.GetValues<Goal>()),
            BodyMassKg = noise.Chance(0.9) ? mass : null,
            StatureCm = noise.Chance(0.9) ? Math.Round((sex == Sex.Male ? 178 : 166) + noise.Normal(7)) : null,
            AgeYears = noise.Chance(0.8) ? 16 + (int)(noise.Next() * 60) : null,
            DaysPerWeek = 2,
            MinutesPerSession = noise.Chance(0.8) ? 20 + (5 * (int)(noise.Next() * 10)) : null,
            SoreJoints = noise.Chance(0.35)
                ?
                [
                    .. Some(Enum.GetValues<Joint>(), noise, noise.Chance(0.2) ? 2 : 1)
                        .Select(j => new SoreJoint(j, noise.Of(Enum.GetValues<Soreness>()))),
                ]
                : [],
            KnownLifts = noise.Chance(0.4)
                ?
                [
                    .. Some(Lifts, noise, 2)
                        .Select(l => new KnownLift(
                            l.Lift,
                            Math.Round(l.OfBodyMass * mass * (0.6 + (0.25 * (int)level)) * (sex == Sex.Male ? 1 : 0.7))
                        )),
                ]
                : [],
            Approach = noise.Chance(0.2) ? noise.Of(DomainRules.Shipped.Approaches).Id : null,
            HighBloodPressure = noise.Chance(0.1),
            Screening = noise.Chance(0.05) ? [noise.Of(Enum.GetValues<ScreeningAnswer>())] : [],
        };
    }
}
