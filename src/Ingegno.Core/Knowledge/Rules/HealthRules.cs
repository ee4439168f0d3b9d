using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What an answer about health rules out, cleared or not.</summary>
public enum HealthHazard
{
    /// <summary>The head below the heart.</summary>
    HeadDown,

    /// <summary>Jumps and hard landings.</summary>
    Impact,

    /// <summary>Hanging by the hands.</summary>
    Hanging,

    /// <summary>A weight over the face.</summary>
    OverFace,

    /// <summary>Long lying on the back.</summary>
    LongLying,

    /// <summary>Bending and twisting the trunk.</summary>
    TrunkFlexion,

    /// <summary>Bending and twisting under load at the end of the range.</summary>
    LoadedBending,

    /// <summary>Straining: the breath held, sets to the limit, long holds.</summary>
    Straining,
}

/// <summary>An answer about health, the words that say it, and what stays because of it.</summary>
public sealed record HealthAnswer
{
    /// <summary>Key of the answer.</summary>
    public required string Answer { get; init; }

    /// <summary>Where it is from.</summary>
    public required string Source { get; init; }

    /// <summary>Ways to say it, as in <see cref="RedSign.Words"/>.</summary>
    public required ImmutableArray<string> Words { get; init; }

    /// <summary>Phrases in which such words mean something else.</summary>
    public required ImmutableArray<string> Unless { get; init; }

    /// <summary>What is left out, also after a clearance.</summary>
    public required ImmutableArray<HealthHazard> Avoid { get; init; }

    /// <summary>Longest hold, s; null for no limit of its own.</summary>
    public int? HoldSeconds { get; init; }
}

/// <summary>What answers about health change (<c>data/rules/health.json</c>).</summary>
public sealed record HealthRules
{
    public required ImmutableArray<HealthAnswer> Answers { get; init; }

    /// <summary>Exercises of the hazards that no other field of the catalogue tells.</summary>
    public required ImmutableDictionary<HealthHazard, ImmutableArray<string>> Exercises { get; init; }

    /// <summary>The rule of an answer.</summary>
    public HealthAnswer? Of(string answer) => Answers.FirstOrDefault(a => a.Answer == answer);

    /// <summary>Whether an exercise is one of a hazard.</summary>
    public bool Is(Exercise exercise, HealthHazard hazard)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        return hazard switch
        {
            HealthHazard.HeadDown => exercise.HeadDown,
            HealthHazard.Impact => exercise.Impact > 0,
            HealthHazard.TrunkFlexion => exercise.Pattern == MovementPattern.TrunkFlexion,
            HealthHazard.Straining => false, // a manner, and no exercise
            _ => Exercises.TryGetValue(hazard, out var listed) && listed.Contains(exercise.Id),
        };
    }
}
