using System.Collections.Immutable;
using Ingegno.Core.Ground.Text;

namespace Ingegno.Core.Knowledge.Catalogue;

/// <summary>Finds exercises by name or synonym, and the nearest names for one that is unknown.</summary>
public sealed class ExerciseNames
{
    private readonly ImmutableDictionary<string, Exercise> _byName;
    private readonly ImmutableArray<(string Normal, Exercise Exercise)> _names;

    public ExerciseNames(IEnumerable<Exercise> exercises)
    {
        ArgumentNullException.ThrowIfNull(exercises);
        _names = [.. exercises.SelectMany(e => e.Synonyms.Prepend(e.Name).Select(n => (Words.Normalise(n), e)))];
        var byName = ImmutableDictionary.CreateBuilder<string, Exercise>(StringComparer.Ordinal);
        foreach (var (normal, exercise) in _names)
        {
            byName.TryAdd(normal, exercise);
        }

        _byName = byName.ToImmutable();
    }

    /// <summary>The exercise of that name or synonym, whatever the spelling of spaces, hyphens, case and plurals.</summary>
    public Exercise? Find(string name) => _byName.GetValueOrDefault(Words.Normalise(name));

    /// <summary>Some name that is known.</summary>
    public string Any => _names[0].Exercise.Name;

    /// <summary>At most <paramref name="count"/> names that come nearest, best first; only those worth offering.</summary>
    public ImmutableArray<string> Nearest(string name, int count = 3)
    {
        var wanted = Words.Normalise(name);
        if (wanted.Length == 0)
        {
            return [];
        }

        return
        [
            .. _names
                .Select(n => (n.Exercise.Name, Likeness: Likeness.Of(wanted, n.Normal)))
                .Where(n => n.Likeness > 0.35)
                .GroupBy(n => n.Name, n => n.Likeness)
                .OrderByDescending(g => g.Max())
                .ThenBy(g => g.Key, StringComparer.Ordinal)
                .Take(count)
                .Select(g => g.Key),
        ];
    }
}
