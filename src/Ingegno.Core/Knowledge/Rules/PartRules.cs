using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>How the parts of a match are scored; what each figure means stands beside it in <c>data/rules/matching.json</c>.</summary>
/// <param name="MusclesKept">Share of the muscle score that what is kept makes, 0–1.</param>
/// <param name="HelperFrom">Involvement from which a helper counts as still there.</param>
/// <param name="OtherPlane">Pattern score of the same pattern in another plane.</param>
/// <param name="OtherStructure">Loss of compound for isolation or the other way.</param>
/// <param name="UnilateralLost">Loss of both sides for one at a time.</param>
/// <param name="BilateralLost">Loss of one side for both.</param>
/// <param name="OtherChain">Loss of another chain.</param>
/// <param name="Balance">Loss of each degree of balance more.</param>
/// <param name="Impact">Loss of each degree of impact more.</param>
/// <param name="ProfileNear">Score of one end of the range for the middle.</param>
/// <param name="ProfileFar">Score of one end for the other.</param>
/// <param name="SkillEdge">Score at the edge of what a level is trusted with.</param>
/// <param name="Familiarity">Score by how familiar an exercise is, 1 to 5.</param>
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
    double Impact,
    double ProfileNear,
    double ProfileFar,
    double SkillEdge,
    ImmutableArray<double> Familiarity,
    double LossBelow
);

/// <summary>What stays the same: the exercise itself, or its movement with another implement.</summary>
/// <param name="Same">Added to the match of the gym line's own exercise.</param>
/// <param name="SameMovement">Added where the movement is the same, with another implement.</param>
/// <param name="FromResistance">Resistance part from which either is added whole; with none at all it is half.</param>
public sealed record KinshipRules(double Same, double SameMovement, double FromResistance);

/// <summary>What a joint costs that an exercise loads and that does not rule it out.</summary>
/// <param name="Sore">Taken off the match where a sore joint bears medium stress.</param>
/// <param name="Injured">Taken off where an injured joint bears light stress.</param>
/// <param name="LeastOfInjured">What touches an injured joint and matches less than this, the cost taken off, is left out: it would load the joint for
/// little.</param>
public sealed record SparingRules(double Sore, double Injured, double LeastOfInjured);

/// <summary>Which exercises have to do with a line at all.</summary>
/// <param name="Muscles">Least muscle score.</param>
/// <param name="MusclesWithoutPattern">The same where the pattern is another.</param>
/// <param name="PatternCounts">Weight of the pattern beside the muscles when what is ruled out is listed.</param>
public sealed record RelevanceRules(double Muscles, double MusclesWithoutPattern, double PatternCounts);

/// <summary>The resistance part where no load measures it, and how it falls off beside the zone.</summary>
/// <param name="HoldForHold">Both are set by position and time.</param>
/// <param name="HoldForControl">A hold for reps that control, and no load, makes hard.</param>
/// <param name="HoldForReps">A hold for the reps of a compound line.</param>
/// <param name="HoldForIsolationReps">A hold for the reps of a small muscle.</param>
/// <param name="Control">Reps of a compound line whose difficulty no load measures.</param>
/// <param name="ControlOfIsolation">The same for small muscles and the trunk.</param>
/// <param name="TooEasySpread">Spread above the zone, of the logarithm of reps.</param>
/// <param name="TooEasyOnOneLegSpread">The same for a heavy hinge that is done on one leg.</param>
/// <param name="TooHardSpread">Spread below it.</param>
/// <param name="LoadSpread">Spread of the logarithm of the load about the one that the line names, where its own exercise is done.</param>
/// <param name="NearlyNamed">Score of a load, as near to the named one as that, from which it counts as it.</param>
/// <param name="NextWeight">Score of a small muscle's weight that is the next on the rack to the named one.</param>
/// <param name="NextWeightKg">How far from it that is, kg in a hand.</param>
/// <param name="Unloaded">Share left where an isolation line is loaded and nothing is taken in hand.</param>
/// <param name="UnloadedCompound">The same for a compound line.</param>
/// <param name="ShortLoses">Share lost at most by a load with which the sets fall short of the planned reps.</param>
/// <param name="LeastOfOwnOpen">Reps to failure from which an open set of the line's own exercise is one: with fewer it is eased.</param>
/// <param name="LimitedElsewhere">Share left where something gives out first that the line is not for, as the press of a squat that ends
/// overhead.</param>
/// <param name="FastForSlow">Share left where something is swung or pulled fast for a line that is not: it is stopped when it slows, and no set of
/// it is a hard one.</param>
/// <param name="FastLoad">Share that hangs on the load where it is moved fast: reps to failure do not measure it.</param>
/// <param name="FastOfBody">Load from which it is worth moving fast, as a share of body mass.</param>
/// <param name="TooLightToMove">Below that, the power of its share of it that is left.</param>
/// <param name="CarriedLoad">Share that hangs on the load of what is carried.</param>
/// <param name="FreeLoadSpread">Spread of the logarithm of such a load about the one that the line names or that is usual.</param>
/// <param name="CarriedOfBody">Load of a carry that names none, in both hands together, as a share of body mass.</param>
public sealed record ResistanceRules(
    double HoldForHold,
    double HoldForControl,
    double HoldForReps,
    double HoldForIsolationReps,
    double Control,
    double ControlOfIsolation,
    double TooEasySpread,
    double TooEasyOnOneLegSpread,
    double TooHardSpread,
    double LoadSpread,
    double NearlyNamed,
    double NextWeight,
    double NextWeightKg,
    double Unloaded,
    double UnloadedCompound,
    double ShortLoses,
    double LeastOfOwnOpen,
    double LimitedElsewhere,
    double FastForSlow,
    double FastLoad,
    double FastOfBody,
    double TooLightToMove,
    double CarriedLoad,
    double FreeLoadSpread,
    double CarriedOfBody
);

/// <summary>When two exercises stand for one line.</summary>
/// <param name="EnoughPrimeMovers">Share of the prime movers with which a single one is enough, if its resistance is.</param>
/// <param name="PoorResistance">Resistance part below which a single one does not do the job of a heavy line.</param>
/// <param name="Cost">What doing two costs of the match.</param>
/// <param name="FirstHalf">Share of the resistance part that the half with the load makes.</param>
/// <param name="Structure">Structure part of a pair.</param>
/// <param name="Tiring">What a pair costs more that only tires one muscle.</param>
/// <param name="LeastOfTiring">Resistance part that its first half has at least.</param>
/// <param name="LeastOfTired">Resistance part that its second half has at least by itself.</param>
public sealed record PairRules(
    double EnoughPrimeMovers,
    double PoorResistance,
    double Cost,
    double FirstHalf,
    double Structure,
    double Tiring,
    double LeastOfTiring,
    double LeastOfTired
);

/// <summary>What makes a rig unhandy, counted as so many things more.</summary>
/// <param name="PartOfThing">The back or the arm of a sofa in place of a thing of its own.</param>
/// <param name="FarStretched">A band that is stretched far.</param>
/// <param name="BandBeside">A band beside a weight.</param>
/// <param name="WeightOfBand">A weight that is held for next to nothing while the band does the work.</param>
/// <param name="OneForBoth">One weight for both hands, where there is a pair for them.</param>
/// <param name="BagSwung">A bag moved fast, where there is a weight with a handle.</param>
public sealed record RigParts(int PartOfThing, int FarStretched, int BandBeside, int WeightOfBand, int OneForBoth, int BagSwung)
{
    /// <summary>Share of both below which a weight beside a band is next to nothing.</summary>
    public required double LeastOfWeight { get; init; }

    /// <summary>How unhandy a weight with a band is.</summary>
    /// <param name="weightKg">The weight, kg; 0 where there is none.</param>
    /// <param name="wholeKg">Both, kg.</param>
    public int Of(double weightKg, double wholeKg) =>
        weightKg <= 0 || weightKg >= wholeKg ? 0
        : weightKg < LeastOfWeight * wholeKg ? BandBeside + WeightOfBand
        : BandBeside;
}
