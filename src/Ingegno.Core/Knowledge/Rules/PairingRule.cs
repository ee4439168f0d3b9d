using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>What an approach does with lines that could be done in turn.</summary>
public enum PairingRule
{
    /// <summary>Straight sets; pairs only where the gym plan has them.</summary>
    None,

    /// <summary>Opposite muscles in turn, to save time or to add fatigue.</summary>
    Opposite,

    /// <summary>The whole day in rounds.</summary>
    Circuit,
}
