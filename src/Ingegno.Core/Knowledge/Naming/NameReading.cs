using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Naming;

/// <summary>How sure a reading is.</summary>
public enum Certainty
{
    /// <summary>It says what the coach wrote.</summary>
    Sure,

    /// <summary>The likeliest; it is kept and marked.</summary>
    Probable,

    /// <summary>Nothing in the catalogue is like it.</summary>
    Unknown,
}

/// <summary>Something that a written name says beyond the exercise it was read as.</summary>
/// <param name="Kind">What it is about.</param>
/// <param name="Id">Key of the concept, or the word as it was written.</param>
public sealed record NameModifier(NameFeatureKind Kind, string Id)
{
    /// <summary>As it is said: "low bar".</summary>
    [JsonIgnore]
    public string InWords => Id.Replace('-', ' ');
}

/// <summary>A name that was taught: what a practice calls an exercise.</summary>
/// <param name="Name">The name as coaches of the practice write it.</param>
/// <param name="ExerciseId">What they mean.</param>
public sealed record TaughtName(string Name, string ExerciseId);

/// <summary>What a written name was read as.</summary>
/// <param name="Exercise">The exercise; null for other work.</param>
/// <param name="Other">Kind of other work; null for an exercise.</param>
/// <param name="Certainty">How sure that is.</param>
/// <param name="Modifiers">What the name says beyond it.</param>
/// <param name="Alternatives">What else it could be, likeliest first.</param>
public sealed record NameReading(
    Exercise? Exercise,
    OtherWork? Other,
    Certainty Certainty,
    ImmutableArray<NameModifier> Modifiers,
    ImmutableArray<Exercise> Alternatives
)
{
    /// <summary>All that stands against it is a word spelt nearly so: as it should be spelt it is the exercise's own name.</summary>
    public bool OnlySpelling { get; init; }
}
