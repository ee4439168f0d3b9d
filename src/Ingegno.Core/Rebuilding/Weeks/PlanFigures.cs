using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Days;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>Figures of a whole week: hard sets per muscle, and time of a line.</summary>
public static class PlanFigures
{
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
                Add(home, catalogue.Get(exercise.ExerciseId), exercise.Dose.HardSets);
            }
        }

        return [.. gym.Keys.Union(home.Keys).Order().Select(m => new MuscleSets(m, gym.GetValueOrDefault(m), home.GetValueOrDefault(m)))];
    }

    /// <summary>Hard sets by muscle of so many sets of an exercise: prime mover 1, synergist ½ (docs/domain/prescription).</summary>
    public static IEnumerable<(Muscle Muscle, double Sets)> SetsOf(Exercise exercise, int sets)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return from m in exercise.Muscles
            let share = m.Value >= Exercise.PrimeMoverInvolvement ? 1
            : m.Value >= Exercise.SynergistInvolvement ? 0.5
            : 0
            where share > 0
            select (m.Key, share * sets);
    }

    /// <summary>Work, change-over and, where the line has its own, rest of a candidate, s.</summary>
    /// <param name="candidate">The candidate.</param>
    /// <param name="rests">The line has a rest of its own.</param>
    /// <param name="time">How long a session takes.</param>
    public static double Seconds(Candidate candidate, bool rests, SessionTime time)
    {
        ArgumentNullException.ThrowIfNull(candidate);
        var dose = candidate.Exercises[^1].Dose;
        ArgumentNullException.ThrowIfNull(time);
        return time.WithChangeOver(candidate) + (rests ? dose.Sets * dose.RestSeconds : 0);
    }

    private static void Add(Dictionary<Muscle, double> sets, Exercise exercise, int count)
    {
        foreach (var (muscle, share) in SetsOf(exercise, count))
        {
            sets[muscle] = sets.GetValueOrDefault(muscle) + share;
        }
    }
}
