namespace Ingegno.Core.Knowledge.TradeData;

/// <summary>How the parts of a match are scored; what each figure means stands beside it in <c>data/trade/matching.json</c>.</summary>
/// <param name="MusclesKept">Share of the muscle score that what is kept makes, 0–1.</param>
/// <param name="HelperFrom">Involvement from which a helper counts as still there.</param>
/// <param name="OtherPlane">Pattern score of the same pattern in another plane.</param>
/// <param name="OtherStructure">Loss of compound for isolation or the other way.</param>
/// <param name="UnilateralLost">Loss of both sides for one at a time.</param>
/// <param name="BilateralLost">Loss of one side for both.</param>
/// <param name="OtherChain">Loss of another chain.</param>
/// <param name="Balance">Loss of each degree of balance more.</param>
/// <param name="ProfileNear">Score of one end of the range for the middle.</param>
/// <param name="ProfileFar">Score of one end for the other.</param>
/// <param name="SkillEdge">Score at the edge of what a level is trusted with.</param>
/// <param name="LossBelow">Part score below which something is named as lost.</param>
public sealed record PartRules(
    double MusclesKept,
    double HelperFrom,
    double OtherPlane,
    double OtherStructure,
    double UnilateralLost,
    double BilateralLost,
    double OtherChain,
    double Balance,
    double ProfileNear,
    double ProfileFar,
    double SkillEdge,
    double LossBelow
);

/// <summary>Which exercises have to do with a line at all.</summary>
/// <param name="Muscles">Least muscle score.</param>
/// <param name="MusclesWithoutPattern">The same where the pattern is another.</param>
/// <param name="PatternCounts">Weight of the pattern beside the muscles when what is ruled out is listed.</param>
public sealed record RelevanceRules(double Muscles, double MusclesWithoutPattern, double PatternCounts);

/// <summary>The resistance part where no load measures it, and how it falls off beside the zone.</summary>
/// <param name="HoldForHold">Both are set by position and time.</param>
/// <param name="HoldForReps">A hold for the reps of a compound line.</param>
/// <param name="HoldForIsolationReps">A hold for the reps of a small muscle.</param>
/// <param name="Control">Reps whose difficulty no load measures.</param>
/// <param name="TooEasySpread">Spread above the zone, of the logarithm of reps.</param>
/// <param name="TooHardSpread">Spread below it.</param>
public sealed record ResistanceRules(
    double HoldForHold,
    double HoldForReps,
    double HoldForIsolationReps,
    double Control,
    double TooEasySpread,
    double TooHardSpread
);

/// <summary>When two exercises stand for one line.</summary>
/// <param name="EnoughPrimeMovers">Share of the prime movers with which a single one is enough, if its resistance is.</param>
/// <param name="PoorResistance">Resistance part below which a single one does not do the job of a heavy line.</param>
/// <param name="Cost">What doing two costs of the match.</param>
/// <param name="FirstHalf">Share of the resistance part that the half with the load makes.</param>
public sealed record PairRules(double EnoughPrimeMovers, double PoorResistance, double Cost, double FirstHalf);
