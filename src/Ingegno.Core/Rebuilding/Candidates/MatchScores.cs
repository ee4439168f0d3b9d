using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Scores of the parts of a match, each 0–1, without a word: a line is scored against hundreds of exercises and says why of
/// few.</summary>
public readonly record struct MatchScores(
    double Muscles,
    double Pattern,
    double Structure,
    double Resistance,
    double Profile,
    double Skill,
    double Familiarity
)
{
    /// <summary>Score of one part.</summary>
    public double this[MatchPart part] =>
        part switch
        {
            MatchPart.Muscles => Muscles,
            MatchPart.Pattern => Pattern,
            MatchPart.Structure => Structure,
            MatchPart.Resistance => Resistance,
            MatchPart.Profile => Profile,
            MatchPart.Skill => Skill,
            _ => Familiarity,
        };

    /// <summary>The match that the parts make for a role, 0–1; <paramref name="fast"/> where speed answers a light load.</summary>
    public double Match(LineRole role, MatchRules rules, bool fast = false)
    {
        ArgumentNullException.ThrowIfNull(rules);
        var weights = rules.Weights[role];
        var sum =
            (weights[MatchPart.Muscles] * Muscles)
            + (weights[MatchPart.Pattern] * Pattern)
            + (weights[MatchPart.Structure] * Structure)
            + (weights[MatchPart.Resistance] * Resistance)
            + (weights[MatchPart.Profile] * Profile)
            + (weights[MatchPart.Skill] * Skill)
            + (weights[MatchPart.Familiarity] * Familiarity);
        return rules.Combine(role, sum, Resistance, fast);
    }
}
