using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.PracticeData;

/// <summary>Looks over an approach that a coach wrote.</summary>
public static partial class ApproachCheck
{
    private const int LongestText = 400;

    [GeneratedRegex("^[a-z0-9]+(-[a-z0-9]+)*$", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex Key();

    /// <summary>What is wrong with it, in sentences; empty when nothing is.</summary>
    /// <param name="approach">The approach.</param>
    /// <param name="domain">The domain rules, with the techniques it may name.</param>
    public static ImmutableArray<string> Faults(Approach approach, DomainRules domain)
    {
        ArgumentNullException.ThrowIfNull(approach);
        ArgumentNullException.ThrowIfNull(domain);
        return [.. All(approach, domain)];
    }

    private static IEnumerable<string> All(Approach approach, DomainRules domain)
    {
        if (approach.Id is not { Length: > 0 and <= 60 } || !Key().IsMatch(approach.Id))
        {
            yield return "The key is made of lower-case words joined by hyphens, at most 60 characters.";
        }

        if (approach.Name is not { Length: > 0 and <= 60 })
        {
            yield return "The name has 1 to 60 characters.";
        }

        foreach (var (what, text) in new[] { ("The idea", approach.Idea), ("What speaks against it", approach.Against) })
        {
            if (text is not { Length: > 0 and <= LongestText })
            {
                yield return $"{what} takes 1 to {LongestText} characters.";
            }
        }

        if (approach.Note is { Length: > LongestText })
        {
            yield return $"The note takes at most {LongestText} characters.";
        }

        foreach (
            var fault in Range("Reps", approach.Reps, 1, 100)
                .Concat(Range("Sets", approach.Sets, 1, 20))
                .Concat(Range("Rests", approach.Rest, 0, 600))
        )
        {
            yield return fault;
        }

        if (approach.Rir is < 0 or > 10)
        {
            yield return "Reps in reserve lie between 0 and 10.";
        }

        var known = domain.Techniques.Select(t => t.Of).ToHashSet();
        foreach (
            var technique in Given(approach.Prefers).Concat(Given(approach.Avoids)).Where(t => t is null || !known.Contains(t)).Distinct()
        )
        {
            yield return $"There is no technique \"{technique}\".";
        }

        foreach (var both in Given(approach.Prefers).Intersect(Given(approach.Avoids)))
        {
            yield return $"\"{both}\" is preferred and avoided at once.";
        }

        if (Given(approach.Standards).Any(s => s is < 1 or > 200) || Given(approach.Standards).Length > 20)
        {
            yield return "Standards are at most 20 figures between 1 and 200 reps.";
        }

        foreach (var phase in Given(approach.Phases))
        {
            if (phase is not { Name.Length: > 0 and <= 60, Share: > 0 and <= 100, Rir: null or (>= 0 and <= 10) })
            {
                yield return "A phase has a name of at most 60 characters, a share above 0, and reps in reserve between 0 and 10.";
                continue;
            }

            foreach (
                var fault in Range($"Reps of {phase.Name}", phase.Reps, 1, 100).Concat(Range($"Sets of {phase.Name}", phase.Sets, 1, 20))
            )
            {
                yield return fault;
            }
        }
    }

    private static ImmutableArray<T> Given<T>(ImmutableArray<T> values) => values.IsDefault ? [] : values;

    private static IEnumerable<string> Range(string what, Bounds? bounds, int least, int most)
    {
        if (bounds is not null && (bounds.Min < least || bounds.Max > most || bounds.Min > bounds.Max))
        {
            yield return $"{what} run from a lower to a higher figure between {least} and {most}.";
        }
    }
}
