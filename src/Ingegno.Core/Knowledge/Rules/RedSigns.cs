using System.Collections.Immutable;
using Ingegno.Core.Foundation.Body;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>How soon a sign of danger wants a clinician, the soonest first.</summary>
public enum RedUrgency
{
    /// <summary>The emergency number, now.</summary>
    Emergency,

    /// <summary>A doctor today.</summary>
    SameDay,

    /// <summary>A doctor or physiotherapist before that joint is loaded again.</summary>
    BeforeLoading,
}

/// <summary>A sign of danger and the words in which clients say it.</summary>
public sealed record RedSign
{
    /// <summary>Key, for instance <c>chest</c>.</summary>
    public required string Id { get; init; }

    public required RedUrgency Urgency { get; init; }

    /// <summary>Clients can tap it among the stop signs.</summary>
    public bool Tapped { get; init; }

    /// <summary>It is of one limb or joint; otherwise of the whole body.</summary>
    public bool OfLimb { get; init; }

    /// <summary>Where it is from.</summary>
    public required string Source { get; init; }

    /// <summary>
    /// Ways to say it. <c>|</c> parts words that mean the same, <c>+</c> groups that must all be near each other in one clause, <c>*</c>
    /// ends a stem, <c>=</c> a word in which no slip of spelling is forgiven, <c>{joint}</c> is any joint.
    /// </summary>
    public required ImmutableArray<string> Words { get; init; }

    /// <summary>Phrases in which such words mean something else.</summary>
    public required ImmutableArray<string> Unless { get; init; }
}

/// <summary>Signs of danger, and the words around them that deny them or say of whom they are (<c>data/rules/red-words.json</c>).</summary>
public sealed record RedSigns
{
    /// <summary>Words within which the groups of a way to say it must lie.</summary>
    public required int Window { get; init; }

    /// <summary>Words that deny what follows.</summary>
    public required ImmutableArray<string> No { get; init; }

    /// <summary>Words through which a denial reaches.</summary>
    public required ImmutableArray<string> Through { get; init; }

    /// <summary>Words that end a clause.</summary>
    public required ImmutableArray<string> Ends { get; init; }

    /// <summary>Other people.</summary>
    public required ImmutableArray<string> Others { get; init; }

    /// <summary>Words by which clients speak of themselves.</summary>
    public required ImmutableArray<string> Own { get; init; }

    public required ImmutableArray<RedSign> Signs { get; init; }

    /// <summary>Words from which the joint is told.</summary>
    public required ImmutableDictionary<Joint, ImmutableArray<string>> Joints { get; init; }

    /// <summary>What <c>{joint}</c> stands for.</summary>
    public required ImmutableArray<string> JointNames { get; init; }

    /// <summary>The sign of a key; null when there is none.</summary>
    public RedSign? Find(string id) => Signs.FirstOrDefault(s => s.Id == id);
}
