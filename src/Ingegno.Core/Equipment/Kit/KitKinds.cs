using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>All kinds of kit that the trade data knows.</summary>
public sealed class KitKinds
{
    private readonly ImmutableDictionary<string, KitKind> _byId;
    private readonly ImmutableDictionary<string, string> _abilities;

    /// <summary>Builds the register from its JSON document.</summary>
    /// <exception cref="ArgumentException">Two kinds share an id, or an ability has no label.</exception>
    public KitKinds(KitKindsDocument document)
    {
        ArgumentNullException.ThrowIfNull(document);
        _byId = document.Kinds.ToImmutableDictionary(k => k.Id, StringComparer.Ordinal);
        _abilities = document.Abilities.ToImmutableDictionary(StringComparer.Ordinal);
        All = document.Kinds;
        FirstUse = document.FirstUse;
        PlainWords = [.. document.PlainWords];
        Hazards = new HazardTalk(document.HazardWords);
        var unlabelled = document.Kinds.SelectMany(k => k.Can).FirstOrDefault(c => !_abilities.ContainsKey(c));
        if (unlabelled is not null)
        {
            throw new ArgumentException($"The ability \"{unlabelled}\" has no label.", nameof(document));
        }

        var unknown = document.Kinds.SelectMany(k => k.FirstUse).FirstOrDefault(s => FirstUse.All(f => f.Id != s));
        if (unknown is not null)
        {
            throw new ArgumentException($"The first-use step \"{unknown}\" has no text.", nameof(document));
        }
    }

    public ImmutableArray<KitKind> All { get; }

    /// <summary>Steps of first-use tests, by key.</summary>
    public ImmutableArray<FirstUseStep> FirstUse { get; }

    /// <summary>Words before the name of a thing that bears somebody which say nothing against that: a kitchen table is a table, a card table asks.</summary>
    public ImmutableHashSet<string> PlainWords { get; }

    /// <summary>Hears what rules a thing out.</summary>
    internal HazardTalk Hazards { get; }

    public KitKind? Find(string id) => _byId.GetValueOrDefault(id);

    /// <summary>True when the word is a kind or an ability, so that a requirement may name it.</summary>
    public bool Knows(string thing) => _byId.ContainsKey(thing) || _abilities.ContainsKey(thing);

    /// <summary>The kind or ability in words, with its article.</summary>
    public string Label(string thing) =>
        _abilities.GetValueOrDefault(thing) ?? _byId.GetValueOrDefault(thing)?.Label.ToLowerInvariant() ?? thing;
}

/// <summary>JSON document of <c>data/rules/kit-kinds.json</c>.</summary>
public sealed record KitKindsDocument(
    ImmutableSortedDictionary<string, string> Abilities,
    ImmutableArray<FirstUseStep> FirstUse,
    ImmutableArray<KitKind> Kinds
)
{
    /// <summary>Words before the name of a thing that somebody stands, lies or hangs on which say nothing against that.</summary>
    public ImmutableArray<string> PlainWords { get; init; } = [];

    /// <summary>Words that say what rules a thing out.</summary>
    public ImmutableArray<HazardWords> HazardWords { get; init; } = [];
}
