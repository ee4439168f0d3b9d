using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Kit;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Logs;

/// <summary>Stamps logged sets with what they were under the plan of their day.</summary>
public sealed class LogStamps
{
    private readonly DomainRules _domain;
    private readonly Ways _ways;
    private readonly ILookup<string, (LineKey Line, HomeExercise Home)> _planned;

    /// <param name="domain">The domain rules.</param>
    /// <param name="client">The client as the plan has it.</param>
    /// <param name="place">The kit of the plan.</param>
    /// <param name="lines">Lines of the plan.</param>
    public LogStamps(DomainRules domain, ClientProfile client, PlaceKit place, IEnumerable<HomeLine> lines)
    {
        ArgumentNullException.ThrowIfNull(domain);
        ArgumentNullException.ThrowIfNull(lines);
        _domain = domain;
        _ways = new ClientAtPlace(client, place, domain).Ways;
        _planned = lines.SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (l.Gym.Key, Home: e))).ToLookup(e => e.Home.ExerciseId);
    }

    /// <summary>
    /// The exercise with every set stamped; one that the plan does not have, for instance taken on the day, as its first set-up
    /// that this kit allows, without planned figures.
    /// </summary>
    public LoggedExercise Stamp(LoggedExercise logged)
    {
        ArgumentNullException.ThrowIfNull(logged);
        if (logged.Sets.IsDefaultOrEmpty)
        {
            return logged;
        }

        if (Home(logged) is not { } home)
        {
            return logged with { Sets = [.. logged.Sets.Select(s => s with { Stamp = Unplanned(logged.ExerciseId, s.LoadKg) })] };
        }

        var system = System(home);
        var share = StraightSets.ShareLeft(home.Dose, _domain);
        var stamp = Of(home.Dose, share, _domain);

        // An open set has no least reps, and ends when the next rep would not be clean.
        var open = stamp with
        {
            PlannedReps = null,
            PlannedRir = Calibration.Reserve,
        };
        var openAt = home.Dose.LastSetOpen ? home.Dose.Sets - 1 : int.MaxValue;
        return logged with
        {
            Sets =
            [
                .. logged.Sets.Select(
                    (s, i) => s with { Stamp = (i >= openAt ? open : stamp) with { SystemKg = system(s.LoadKg ?? home.ExternalKg) } }
                ),
            ],
        };
    }

    /// <summary>What a dose plans of each set, without its load.</summary>
    /// <param name="dose">The dose.</param>
    /// <param name="share">Share of straight-set reps that it leaves, with the usual costs.</param>
    /// <param name="domain">The domain rules.</param>
    public static SetStamp Of(Dose dose, double share, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(dose);
        return new SetStamp(null, share, dose.Target.IsOpen ? null : dose.Target.Min, dose.Rir)
        {
            RestSeconds = dose.RestSeconds,
            Technique = StraightSets.TechniqueOf(dose, domain),
        };
    }

    /// <summary>The exercise as the plan has it, with the heaviest external load of its set-up, kg; null when the plan does not have
    /// it.</summary>
    public (HomeExercise Home, double? HeaviestKg)? PlannedFor(LoggedExercise logged)
    {
        ArgumentNullException.ThrowIfNull(logged);
        return Home(logged) is { } home ? (home, _ways.Of(home)?.Ways.Select(w => (double?)w.Load.MassKg).Max()) : null;
    }

    private SetStamp? Unplanned(string exerciseId, double? loadKg)
    {
        if (_domain.Catalogue.Find(exerciseId) is not { Strength: not null, Measure: Measure.Reps } exercise)
        {
            return null;
        }

        var nearest = _ways.SetupsOf(exercise).SelectMany(s => s.Ways).MinBy(w => Math.Abs(w.Load.MassKg - (loadKg ?? 0)));
        return nearest is null ? null : new SetStamp(nearest.System.Kg, 1, null, null);
    }

    private HomeExercise? Home(LoggedExercise logged)
    {
        var homes = _planned[logged.ExerciseId].ToList();
        return homes.Count == 0 ? null : homes.FirstOrDefault(h => h.Line == logged.Line, homes[0]).Home;
    }

    /// <summary>System load by external load, kg, along the reachable loads of the set-up; null where load is not the measure.</summary>
    private Func<double, double?> System(HomeExercise home)
    {
        if (home.SystemLoadKg is not { } prescribed)
        {
            return _ => null;
        }

        var points = (_ways.Of(home)?.Ways ?? [])
            .GroupBy(w => w.Load.MassKg)
            .Select(g => ImmutableArray.Create(g.Key, g.First().System.Kg))
            .OrderBy(p => p[0])
            .ToImmutableArray();
        return kg =>
            SameLoad.IsSame(kg, home.ExternalKg) || points.Length < 2 ? prescribed + (points.Length < 2 ? kg - home.ExternalKg : 0)
            : kg <= points[^1][0] ? Interpolation.Linear(points, kg).Value
            : points[^1][1] + (kg - points[^1][0]);
    }
}
