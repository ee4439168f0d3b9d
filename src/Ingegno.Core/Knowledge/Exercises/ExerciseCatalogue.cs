using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Exercises;

/// <summary>All exercises, by id.</summary>
public sealed class ExerciseCatalogue
{
    private readonly ImmutableDictionary<string, Exercise> _byId;
    private readonly ImmutableDictionary<string, ImmutableArray<int>> _unmeasured;

    /// <summary>Builds the catalogue; the order of the exercises does not matter.</summary>
    /// <exception cref="ArgumentException">Two exercises share an id.</exception>
    public ExerciseCatalogue(IEnumerable<Exercise> exercises)
    {
        ArgumentNullException.ThrowIfNull(exercises);
        All = [.. exercises.OrderBy(e => e.Id, StringComparer.Ordinal)];
        _byId = All.ToImmutableDictionary(e => e.Id, StringComparer.Ordinal);
        AtHome = [.. All.Where(e => e.AtHome)];
        _unmeasured = AtHome
            .Where(IsUnmeasured)
            .GroupBy(e => e.Family, StringComparer.Ordinal)
            .ToImmutableDictionary(f => f.Key, f => f.Select(e => e.Rung).Distinct().Order().ToImmutableArray(), StringComparer.Ordinal);
    }

    /// <summary>
    /// How hard an exercise is that no load measures: 0 the easiest of its family, 1 the hardest; by the skill it asks for where it has no
    /// like; null for one that is measured.
    /// </summary>
    public double? ShareOfRungs(Exercise exercise)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return !IsUnmeasured(exercise) ? null
            : _unmeasured.GetValueOrDefault(exercise.Family, []) is { Length: > 1 } rungs
                ? rungs.IndexOf(exercise.Rung) / (double)(rungs.Length - 1)
            : (exercise.Skill - 1) / (double)(MostSkill - 1);
    }

    private const int MostSkill = 5;

    private static bool IsUnmeasured(Exercise exercise) => exercise.Strength is null || exercise.Measure == Measure.Seconds;

    /// <summary>All exercises in the order of their ids.</summary>
    public ImmutableArray<Exercise> All { get; }

    /// <summary>Those that can stand in a home plan.</summary>
    public ImmutableArray<Exercise> AtHome { get; }

    public Exercise? Find(string id) => _byId.GetValueOrDefault(id);

    /// <summary>The exercise of that id.</summary>
    /// <exception cref="KeyNotFoundException">The catalogue has no such id.</exception>
    public Exercise Get(string id) => Find(id) ?? throw new KeyNotFoundException($"The catalogue has no exercise with the id \"{id}\".");
}
