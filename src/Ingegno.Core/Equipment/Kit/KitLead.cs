using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>What stands before a thing and says how many there are, or nothing at all.</summary>
internal static class KitLead
{
    /// <summary>Words that lead to a thing and say nothing of it.</summary>
    private static readonly ImmutableHashSet<string> Leading =
    [
        "she",
        "he",
        "they",
        "i",
        "we",
        "you",
        "her",
        "his",
        "my",
        "our",
        "their",
        "the",
        "has",
        "have",
        "had",
        "got",
        "gets",
        "owns",
        "own",
        "is",
        "are",
        "there",
        "also",
        "maybe",
        "perhaps",
        "only",
        "just",
        "and",
        "plus",
        "then",
        "with",
        "some",
        "a",
        "an",
        "of",
        "one",
        "those",
        "these",
        "kind",
        "sort",
        "old",
        "at",
        "home",
        "in",
        "on",
        "bit",
        "couple",
        "s",
        "ve",
        "can",
        "use",
        "borrow",
        "access",
        "to",
        "theres",
        "shes",
        "hes",
        "im",
        "ive",
        "weve",
        "probably",
        "about",
        "around",
        "nice",
        "good",
        "decent",
        "cheap",
        "new",
        "small",
        "little",
        "set",
        "equipment",
        "kit",
        "likes",
        "uses",
        "few",
        "lots",
        "loads",
        "various",
        "any",
        "basic",
        "thing",
        "things",
        "which",
        "that",
        "still",
        "so",
        "even",
        "most",
        "which",
        "both",
        "single",
        "simple",
        "whole",
        "lot",
    ];

    /// <summary>A word that leads to a thing and says nothing of it.</summary>
    public static bool IsLead(string word) => Leading.Contains(word) || Counts.ContainsKey(word);

    private static readonly ImmutableDictionary<string, int> Counts = new Dictionary<string, int>
    {
        ["two"] = 2,
        ["pair"] = 2,
        ["couple"] = 2,
        ["both"] = 2,
        ["three"] = 3,
        ["few"] = 3,
        ["four"] = 4,
        ["five"] = 5,
        ["six"] = 6,
        ["seven"] = 7,
        ["eight"] = 8,
        ["ten"] = 10,
    }.ToImmutableDictionary();

    /// <summary>What every place has, or what says that there is nothing.</summary>
    private static readonly ImmutableHashSet<string> Everywhere =
    [
        "nothing",
        "none",
        "nothing else",
        "nothing really",
        "really nothing",
        "not really anything",
        "no equipment",
        "nothing special",
        "bodyweight",
        "body weight",
        "bodyweight only",
        "body weight only",
        "wall",
        "walls",
        "floor",
        "floor space",
        "space",
        "room",
        "garden",
        "yard",
        "garage",
        "not much",
        "that",
        "it",
        "thats it",
        "thats all",
        "all",
    ];

    /// <summary>Nothing that is kit: what every place has, or what says that there is nothing.</summary>
    public static bool IsEverywhere(string said) => Everywhere.Contains(said.ToLowerInvariant());

    /// <summary>What stands before the thing: she has, a pair of, two.</summary>
    public static (int? Count, string Said) Of(string phrase)
    {
        var words = phrase.Replace("'", string.Empty, StringComparison.Ordinal).Split(' ', StringSplitOptions.RemoveEmptyEntries).ToList();
        int? count = null;
        while (words.Count > 0 && (Leading.Contains(words[0].ToLowerInvariant()) || Counts.ContainsKey(words[0].ToLowerInvariant())))
        {
            // "no" and "one of" lead nowhere; "a pair of" counts. Backs of two chairs are one thing.
            if (
                words.Count > 2
                && words[0].Equals("two", StringComparison.OrdinalIgnoreCase)
                && words[1].Equals("chair", StringComparison.OrdinalIgnoreCase)
            )
            {
                break;
            }

            count = Counts.TryGetValue(words[0].ToLowerInvariant(), out var n) ? n : count;
            words.RemoveAt(0);
        }

        return (count, string.Join(' ', words));
    }
}
