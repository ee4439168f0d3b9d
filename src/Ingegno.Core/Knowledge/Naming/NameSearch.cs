using System.Collections.Immutable;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Naming;

/// <summary>An exercise that is found by a name.</summary>
/// <param name="ExerciseId">The exercise.</param>
/// <param name="Name">Its name.</param>
/// <param name="Synonym">The other name of it that was found; empty when it was its own.</param>
/// <param name="Exact">The words are its own whole name; another name of it is shown first, for it may be meant otherwise.</param>
public sealed record FoundName(string ExerciseId, string Name, string Synonym, bool Exact);

/// <summary>
/// Finds exercises by what is typed of a name, in one order wherever a name is picked: the exact name, one that begins so, one with a word that
/// does, one that has it anywhere, and each time the exercise's own name before its other ones.
/// </summary>
public static class NameSearch
{
    /// <summary>The exercises that a text may mean, likeliest first.</summary>
    /// <param name="exercises">The catalogue.</param>
    /// <param name="wanted">What is typed; nothing finds all by their names.</param>
    /// <param name="most">At most so many.</param>
    public static ImmutableArray<FoundName> Find(IEnumerable<Exercise> exercises, string wanted, int most)
    {
        ArgumentNullException.ThrowIfNull(exercises);
        ArgumentNullException.ThrowIfNull(wanted);
        var words = Words.Normalise(wanted);
        var found = (
            from exercise in exercises
            let best = exercise
                .Synonyms.Select(s => (Name: s, Own: 1))
                .Prepend((Name: exercise.Name, Own: 0))
                .Select(n => (n.Name, n.Own, Rank: Rank(Words.Normalise(n.Name), words)))
                .Where(n => n.Rank is not null)
                .OrderBy(n => n.Rank)
                .ThenBy(n => n.Own)
                .FirstOrDefault()
            where best.Name is not null
            orderby best.Rank, best.Own, exercise.Name.Length, exercise.Name, exercise.Id
            select (Exercise: exercise, best.Name, best.Own, Exact: best.Rank == 0)
        ).ToList();
        return
        [
            .. found
                .Take(most)
                .Select(f => new FoundName(
                    f.Exercise.Id,
                    f.Exercise.Name,
                    f.Own == 0 ? string.Empty : f.Name,
                    f is { Exact: true, Own: 0 }
                )),
        ];
    }

    /// <summary>How well a name fits what is typed, 0 best; null when it does not.</summary>
    private static int? Rank(string name, string wanted)
    {
        if (name == wanted)
        {
            return 0;
        }

        if (name.StartsWith(wanted, StringComparison.Ordinal))
        {
            return 1;
        }

        var (words, parts) = (name.Split(' '), wanted.Split(' ', StringSplitOptions.RemoveEmptyEntries));
        return parts.All(p => words.Any(w => w.StartsWith(p, StringComparison.Ordinal))) ? 2
            : parts.All(p => name.Contains(p, StringComparison.Ordinal)) ? 3
            : null;
    }
}
