using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>How an exercise stands beside its anchor at a level of training.</summary>
public static class RatioByLevel
{
    /// <summary>
    /// The ratio at a level. A beginner's barbell lift is short of practice, so other exercises stand higher beside it; a novice has made up
    /// half of that (common practice). Whoever is further is never weaker: a test asks that of the whole catalogue.
    /// </summary>
    public static double At(this StrengthRelation relation, Level level)
    {
        ArgumentNullException.ThrowIfNull(relation);
        return level switch
        {
            Level.Beginner => relation.BeginnerRatio ?? relation.Ratio,
            Level.Novice => Math.Sqrt((relation.BeginnerRatio ?? relation.Ratio) * relation.Ratio),
            _ => relation.Ratio,
        };
    }
}
