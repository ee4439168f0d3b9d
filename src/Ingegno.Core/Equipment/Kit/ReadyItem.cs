using System.Collections.Immutable;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>A usual thing with its usual measures, added in one go and refined later.</summary>
/// <param name="Name">Name by which it is found.</param>
/// <param name="Item">The item; its key is replaced when it is added.</param>
/// <param name="Source">Where the measures come from.</param>
public sealed record ReadyItem(string Name, KitItem Item, string Source)
{
    /// <summary>Other names.</summary>
    public ImmutableArray<string> Synonyms { get; init; } = [];
}

/// <summary>A kit to start a place from.</summary>
public sealed record KitTemplate(string Id, string Name, ImmutableArray<KitItem> Items);
