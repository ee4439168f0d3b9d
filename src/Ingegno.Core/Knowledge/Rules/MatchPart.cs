using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>The parts of a match.</summary>
public enum MatchPart
{
    Muscles,
    Pattern,
    Structure,
    Resistance,
    Profile,
    Skill,
    Familiarity,
}
