using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Matching;

namespace Ingegno.Core.Rebuilding;

/// <summary>Figures of a whole week: hard sets per muscle, and minutes of its days.</summary>
public static class PlanFigures
{
    /// <summary>Warm-up and cool-down in minutes (handbook 04: 5–10 and a few).</summary>
    public const int WarmUpAndCoolDownMinutes = 11;

    /// <summary>Change-over between exercises in seconds (handbook 04: 60–90).</summary>
    public const int ChangeOverSeconds = 75;

    /// <summary>Hard sets per muscle over the week, gym beside home.</summary>
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

    /// <summary>Hard sets by muscle of so many sets of an exercise: prime mover 1, synergist ½ (handbook 04).</summary>
    public static IEnumerable<(Muscle Muscle, double Sets)> SetsOf(Exercise exercise, int sets)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return from m in exercise.Muscles
               let share = m.Value >= Exercise.PrimeMoverInvolvement ? 1 : m.Value >= Exercise.SynergistInvolvement ? 0.5 : 0
               where share > 0
               select (m.Key, share * sets);
    }

    /// <summary>
    /// Minutes of one day = Σ (work + rest of all sets) + change-overs + warm-up and cool-down; the lines of a superset
    /// and the halves of a pair share their rest.
    /// </summary>
    public static SessionMinutes Minutes(IEnumerable<HomeLine> lines, int? limit)
    {
        ArgumentNullException.ThrowIfNull(lines);
        var seconds = 0.0;
        var rested = new HashSet<char>();
        foreach (var line in lines.Where(l => l.Chosen is not null))
        {
            seconds += Seconds(line.Chosen!, line.Gym.SupersetLetter is not { } letter || rested.Add(letter));
        }

        return new SessionMinutes(seconds == 0 ? 0 : (int)Math.Ceiling((seconds / 60) + WarmUpAndCoolDownMinutes), limit);
    }

    /// <summary>Work, change-over and, where the line has its own, rest of a candidate, s.</summary>
    public static double Seconds(Candidate candidate, bool rests)
    {
        ArgumentNullException.ThrowIfNull(candidate);
        var dose = candidate.Exercises[^1].Dose;
        return candidate.Exercises.Sum(e => e.Dose.WorkSeconds()) + ChangeOverSeconds + (rests ? dose.Sets * dose.RestSeconds : 0);
    }

    private static void Add(Dictionary<Muscle, double> sets, Exercise exercise, int count)
    {
        foreach (var (muscle, share) in SetsOf(exercise, count))
        {
            sets[muscle] = sets.GetValueOrDefault(muscle) + share;
        }
    }
}
