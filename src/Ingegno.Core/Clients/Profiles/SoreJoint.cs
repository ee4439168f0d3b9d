using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Clients.Profiles;

/// <summary>A joint to spare.</summary>
/// <param name="Joint">The joint.</param>
/// <param name="Severity">How much it must be spared.</param>
public sealed record SoreJoint(Joint Joint, Soreness Severity)
{
    /// <summary>The side, where it was said.</summary>
    public BodySide? Side { get; init; }

    /// <summary>What brings it on; empty where nobody has said.</summary>
    public ImmutableArray<Provocation> Provoked { get; init; } = [];

    /// <summary>What brings this joint's complaint on, in rules; what belongs to another joint says nothing here.</summary>
    internal IEnumerable<ProvocationRule> Rules =>
        (Provoked.IsDefault ? [] : Provoked).Select(DomainRules.Shipped.Joints.Of).Where(r => r.Joint == Joint);

    /// <summary>The same joint, spared as much, for the same reasons.</summary>
    public bool Equals(SoreJoint? other) =>
        other is not null
        && (Joint, Severity, Side) == (other.Joint, other.Severity, other.Side)
        && (Provoked.IsDefault ? [] : Provoked).SequenceEqual(other.Provoked.IsDefault ? [] : other.Provoked);

    public override int GetHashCode() => HashCode.Combine(Joint, Severity, Side, Provoked.IsDefault ? 0 : Provoked.Length);

    /// <summary>A joint with signs that a clinician must see is spared as an injured one.</summary>
    [JsonIgnore]
    public Soreness Spared => Rules.Any(r => r.Clinician) ? Soreness.Injured : Severity;
}
