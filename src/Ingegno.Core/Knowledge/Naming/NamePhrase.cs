using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Naming;

/// <summary>A name as it was understood: what is done, and everything that is said about how.</summary>
/// <param name="Movement">Key of the movement; null when no word names one.</param>
/// <param name="Features">What else is said, each once.</param>
/// <param name="Corrected">A word was taken for another that is spelt nearly so.</param>
public sealed record NamePhrase(string? Movement, ImmutableArray<NameFeature> Features, bool Corrected = false)
{
    /// <summary>Words that say nothing known.</summary>
    public IEnumerable<string> Unread => Features.Where(f => f.Kind == NameFeatureKind.Word).Select(f => f.Id);
}
