using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Logs;
using Ingegno.Simulation;

namespace Ingegno.Core.Tests.Approved.GeneratedClients;

/// <summary>Logs of a plan drawn from a seed: as asked, short, far over, with reserve and without, with pain, after time away.</summary>
internal static class DrawnLogs
{
    public static readonly DateOnly Today = new(2026, 11, 20);

    private static readonly ImmutableArray<int> DaysAway = [1, 2, 3, 4, 5, 8, 12, 20, 30, 60];

    /// <summary>One to five sessions, each of every line.</summary>
    public static ImmutableArray<LoggedSession> Of(HomePlan plan, int seed)
    {
        var noise = new Noise(seed);
        var day = Today.AddDays(-noise.Of(DaysAway));
        var trend = noise.Of([0, 0, 1, 1, 2, -1]);
        var sessions = 1 + (int)(noise.Next() * 5);
        return
        [
            .. Enumerable
                .Range(0, sessions)
                .Select(back => new LoggedSession(
                    day.AddDays(-4 * back),
                    [
                        .. from line in plan.Lines
                        from home in line.Chosen?.Exercises ?? []
                        select new LoggedExercise(line.Gym.Key, home.ExerciseId, Sets(home, noise, -trend * back)),
                    ],
                    noise.Chance(0.3) ? 5 + (int)(noise.Next() * 6) : null
                )),
        ];
    }

    private static ImmutableArray<LoggedSet> Sets(HomeExercise home, Noise noise, int drift)
    {
        var target = home.Dose.Target;
        var asked = target.IsOpen ? 12 : noise.Of([target.Min, target.Max]);
        var over = noise.Of([0, 0, 0, 1, 2, 3, 6, 12, -1, -2, -4]) + drift;
        var rir = noise.Chance(0.6) ? (int?)noise.Of([0, 1, 2, 2, 3, 4, 6]) : null;
        var load = noise.Chance(0.15) ? (double?)Math.Round(home.ExternalKg * noise.Of([0.8, 1.1]), 1) : null;
        var pain = noise.Chance(0.08) ? (int?)noise.Of([1, 3, 4, 6]) : null;
        return
        [
            .. Enumerable
                .Range(0, Math.Max(1, home.Dose.Sets - (noise.Chance(0.1) ? 1 : 0)))
                .Select(set => new LoggedSet
                {
                    Reps = Math.Max(0, asked + over - (noise.Chance(0.3) ? set : 0)),
                    Rir = rir,
                    LoadKg = load,
                    Pain = pain,
                    PainJoint = pain is null ? null : noise.Of(Enum.GetValues<Joint>()),
                    Sharp = pain > 3 && noise.Chance(0.3),
                }),
        ];
    }
}
