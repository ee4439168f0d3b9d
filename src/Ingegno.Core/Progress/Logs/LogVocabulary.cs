using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Progress.Logs;

/// <summary>The words that clients use in messages, and what they stand for (common practice).</summary>
internal static class LogVocabulary
{
    /// <summary>Words of effort and the reps in reserve they stand for (common practice).</summary>
    public static readonly ImmutableArray<(string Words, int Rir)> Efforts =
    [
        ("way too easy", 6),
        ("too easy", 5),
        ("very easy", 5),
        ("super easy", 5),
        ("easy peasy", 5),
        ("easy", 4),
        ("comfortable", 3),
        ("light", 4),
        ("could have done more", 4),
        ("not too bad", 2),
        ("not bad", 2),
        ("felt good", 2),
        ("felt fine", 2),
        ("solid", 2),
        ("ok", 2),
        ("okay", 2),
        ("fine", 2),
        ("good", 2),
        ("alright", 2),
        ("all right", 2),
        ("very hard", 1),
        ("really hard", 1),
        ("super hard", 0),
        ("so hard", 1),
        ("hard", 1),
        ("tough", 1),
        ("heavy", 1),
        ("struggled", 1),
        ("challenging", 1),
        ("brutal", 0),
        ("killer", 0),
        ("maxed out", 0),
        ("all out", 0),
        ("to failure", 0),
        ("failure", 0),
        ("failed", 0),
        ("couldnt do more", 0),
        ("nothing left", 0),
        ("grind", 0),
    ];

    /// <summary>Words that say how the last set was: to failure, or nearly.</summary>
    public static readonly ImmutableArray<string> LastHard =
    [
        "last one ugly",
        "last rep ugly",
        "last set ugly",
        "last one was ugly",
        "last rep was ugly",
        "ugly",
        "last one hard",
        "last set hard",
        "last one was hard",
        "last one tough",
        "last one grindy",
        "last set to failure",
        "failed last",
        "failed the last",
        "last rep failed",
        "last one failed",
        "last set failed",
        "last one shaky",
        "last rep slow",
        "last one slow",
        "form broke",
        "barely",
    ];

    /// <summary>Joints as clients name them, the longer name first.</summary>
    public static readonly ImmutableArray<(string Word, Joint Joint)> Joints =
    [
        ("lower back", Joint.LowBack),
        ("low back", Joint.LowBack),
        ("back", Joint.LowBack),
        ("knee", Joint.Knee),
        ("shoulder", Joint.Shoulder),
        ("elbow", Joint.Elbow),
        ("wrist", Joint.Wrist),
        ("hip", Joint.Hip),
        ("ankle", Joint.Ankle),
        ("neck", Joint.Neck),
    ];

    /// <summary>Words of what was left out.</summary>
    public static readonly ImmutableArray<string> Skips =
    [
        "skipped",
        "skip",
        "missed",
        "didnt do",
        "did not do",
        "left out",
        "no time for",
        "couldnt do",
        "dropped",
        "not done",
        "ran out of time for",
        "passed on",
    ];

    /// <summary>Words beside a figure out of ten that name the session, or how it was.</summary>
    public static readonly ImmutableHashSet<string> OfSession =
    [
        "whole",
        "thing",
        "effort",
        "difficulty",
        "intensity",
        "training",
        "day",
        "hard",
        "tough",
        "easy",
        "good",
        "ok",
        "total",
        "rated",
        "rating",
        "about",
        "maybe",
        "probably",
        "feeling",
        "energy",
        "tired",
        "everything",
    ];

    /// <summary>Words behind a figure that holds for every set.</summary>
    public static readonly ImmutableArray<string> EverySet = ["each", "each set", "every set", "all sets", "all three", "across"];

    /// <summary>Words that leave one out of what was done as planned.</summary>
    public static readonly ImmutableArray<string> Exceptions = ["except", "except for", "apart from", "other than", "but not", "besides"];

    /// <summary>Words behind a figure that say how it was done.</summary>
    public static readonly ImmutableArray<string> BehindFigures =
    [
        "with",
        "w/",
        "using",
        "on",
        "at",
        "but",
        "because",
        "felt",
        "was",
        "which",
        "though",
    ];

    /// <summary>"12 each arm" says it of a side, and nothing of the sets.</summary>
    public static readonly ImmutableArray<string> OfASide = ["each side", "each leg", "each arm", "each hand", "each way"];

    /// <summary>Words that belong to no name.</summary>
    public static readonly ImmutableHashSet<string> Beside =
    [
        "did",
        "i",
        "then",
        "and",
        "the",
        "a",
        "my",
        "for",
        "with",
        "at",
        "today",
        "was",
        "were",
        "felt",
        "got",
        "all",
        "sets",
        "set",
        "reps",
        "rep",
        "of",
        "on",
        "to",
        "each",
        "every",
        "three",
        "across",
        "stopped",
        "stop",
        "after",
        "quit",
        "finish",
        "couldnt",
        "couldn",
        "rounds",
        "round",
        "times",
        "side",
        "per",
        "leg",
        "left",
        "right",
        "in",
        "tank",
        "it",
        "kg",
        "lb",
        "lbs",
        "x",
        "s",
        "sec",
        "secs",
        "seconds",
        "min",
        "only",
        "just",
        "managed",
        "done",
        "bit",
        "little",
        "some",
        "both",
        "again",
        "instead",
        "out",
        "but",
        "this",
        "that",
        "really",
        "very",
        "too",
        "quite",
        "pretty",
        "lot",
        "last",
        "one",
        "more",
        "me",
        "time",
        "rir",
        "rpe",
        "r",
        "p",
        "same",
        "as",
        "planned",
        "written",
        "prescribed",
        "still",
        "had",
        "there",
        "is",
        "from",
        "up",
        "overall",
        "session",
    ];
}
