using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>
/// Rest-pause: one set near failure of n reps, then rests of 20 s and mini-sets until n more are done (docs/domain/prescription,
/// common practice: with 20 in the first set it ends when 20 more are done).
/// </summary>
public static class RestPause
{
    /// <summary>Rest before each mini-set, s.</summary>
    public const int RestSeconds = 20;

    /// <summary>Straight sets that one such set stands for.</summary>
    public const int StandsForSets = 3;

    // What comes back in 20 s, and how much less each time: own estimate.
    private const double Recovered = 0.35;
    private const double LessEachTime = 0.9;

    /// <summary>Reps of the mini-sets to be expected; they add up to <paramref name="first"/>.</summary>
    public static ImmutableArray<int> MiniSets(int first)
    {
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(first);
        var sets = ImmutableArray.CreateBuilder<int>();
        for (var left = first; left > 0; )
        {
            var next = Math.Clamp((int)Math.Round(first * Recovered * Math.Pow(LessEachTime, sets.Count)), 1, left);
            sets.Add(next);
            left -= next;
        }

        return sets.ToImmutable();
    }
}
