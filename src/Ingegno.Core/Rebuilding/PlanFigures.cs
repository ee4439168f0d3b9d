using System.Collections.Immutable;
using Ingegno.Core.Catalogue;

namespace Ingegno.Core.Rebuilding;

/// <summary>Figures of a whole day: hard sets per muscle and minutes.</summary>
public static class PlanFigures
{
    /// <summary>Warm-up and cool-down in minutes (handbook 04: 5–10 and a few).</summary>
    public const int WarmUpAndCoolDownMinutes = 11;

    /// <summary>Change-over between exercises in seconds (handbook 04: 60–90).</summary>
    public const int ChangeOverSeconds = 75;

    /// <summary>Hard sets per muscle, gym beside home: prime mover 1, synergist ½ (handbook 04).</summary>
    public static ImmutableArray<MuscleSets> HardSets(IEnumerable<HomeLine> lines, ExerciseCatalogue catalogue)
    {
        ArgumentNullException.ThrowIfNull(lines);
        ArgumentNullException.ThrowIfNull(catalogue);
        var (gym, home) = (new Dictionary<Muscle, double>(), new Dictionary<Muscle, double>());
        foreach (var line in lines)
        {
            Add(gym, catalogue.Get(line.Gym.ExerciseId), line.Gym.Sets);
            foreach (var exercise in line.Chosen?.Exercises ?? [])
            {
                Add(home, catalogue.Get(exercise.ExerciseId), exercise.Dose.Sets);
            }
        }

        return [.. gym.Keys.Union(home.Keys).Order().Select(m => new MuscleSets(m, gym.GetValueOrDefault(m), home.GetValueOrDefault(m)))];
    }

    /// <summary>
    /// Minutes = Σ (work + rest of all sets) + change-overs + warm-up and cool-down; the lines of a superset and the
    /// halves of a pair share their rest.
    /// </summary>
    public static SessionMinutes Minutes(IEnumerable<HomeLine> lines, int? limit)
    {
        ArgumentNullException.ThrowIfNull(lines);
        var seconds = 0.0;
        var rested = new HashSet<char>();
        foreach (var line in lines.Where(l => l.Chosen is not null))
        {
            seconds += line.Chosen!.Exercises.Sum(e => e.Dose.WorkSeconds()) + ChangeOverSeconds;
            if (line.Gym.SupersetLetter is not { } letter || rested.Add(letter))
            {
                var dose = line.Chosen.Exercises[^1].Dose;
                seconds += dose.Sets * dose.RestSeconds;
            }
        }

        return new SessionMinutes(seconds == 0 ? 0 : (int)Math.Ceiling((seconds / 60) + WarmUpAndCoolDownMinutes), limit);
    }

    private static void Add(Dictionary<Muscle, double> sets, Exercise exercise, int count)
    {
        foreach (var (muscle, involvement) in exercise.Muscles)
        {
            var share = involvement >= Exercise.PrimeMoverInvolvement ? 1 : involvement >= Exercise.SynergistInvolvement ? 0.5 : 0;
            if (share > 0)
            {
                sets[muscle] = sets.GetValueOrDefault(muscle) + (share * count);
            }
        }
    }
}
