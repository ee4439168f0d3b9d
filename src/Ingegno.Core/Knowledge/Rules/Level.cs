using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Training level. Novice and intermediate tables of the trade are merged as docs/domain/strength-relations gives them.</summary>
public enum Level
{
    Beginner,
    Novice,
    Intermediate,
    Advanced,
}
