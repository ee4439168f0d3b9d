using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>Weights and neighbours that decide a match (<c>data/rules/matching.json</c>).</summary>
public sealed record MatchRules
{
    /// <summary>Weight of each part by role; each set adds up to 1.</summary>
    public required ImmutableDictionary<LineRole, ImmutableDictionary<MatchPart, double>> Weights { get; init; }

    /// <summary>Patterns that come near one another, with the share of the pattern that is kept, 0–1.</summary>
    public required ImmutableArray<PatternNeighbour> Neighbours { get; init; }

    /// <summary>How much above the wanted reps still counts as on target, by role: 1.2 is 20 %.</summary>
    public required ImmutableDictionary<LineRole, double> Tolerance { get; init; }

    /// <summary>Cost of making up for a light load by techniques: resistance × (share of reps left)^cost.</summary>
    public required ImmutableDictionary<LineRole, double> TechniqueCost { get; init; }

    /// <summary>What every further thing in a rig costs of the resistance part: a client must find, pack and carry it.</summary>
    public required double RigCost { get; init; }

    /// <summary>What counts as so many things more in a rig.</summary>
    public required RigParts RigParts { get; init; }

    /// <summary>What a match loses at most, as a share, when the dose is out of reach, by role.</summary>
    public required ImmutableDictionary<LineRole, double> LoadGate { get; init; }

    /// <summary>Resistance part from which nothing is lost by the gate, above 0, at most 1.</summary>
    public required double LoadGateFrom { get; init; }

    /// <summary>Rung that suits a level among exercises that no load measures: 0 the easiest of a family, 1 the hardest.</summary>
    public required ImmutableDictionary<Level, double> LevelRung { get; init; }

    /// <summary>What the whole way from the easiest to the hardest of a family costs.</summary>
    public required double OffLevel { get; init; }

    /// <summary>Share of what <see cref="LoadGate"/> takes that the movement itself keeps where it is moved fast.</summary>
    public required double FastKeeps { get; init; }

    /// <summary>What an exercise loses that needs a technique where the next rung is here and needs less.</summary>
    public required double HarderFirst { get; init; }

    /// <summary>What an exercise loses at most whose sets fall short of the planned reps.</summary>
    public required double Shrinks { get; init; }

    /// <summary>What an exercise loses at most whose sets stay far from failure however they are done.</summary>
    public required double StaysEasy { get; init; }

    /// <summary>What is left of the match of an isolation that stands in for a compound line, by role.</summary>
    public required ImmutableDictionary<LineRole, double> IsolationForCompound { get; init; }

    /// <summary>Resistance part below which a compound line is out of reach altogether.</summary>
    public required double HopelessBelow { get; init; }

    /// <summary>What is left of the match then, as a share.</summary>
    public required double HopelessLeft { get; init; }

    /// <summary>How the parts are scored.</summary>
    public required PartRules Parts { get; init; }

    /// <summary>What the same exercise, and the same movement, count beside the parts.</summary>
    public required KinshipRules Kinship { get; init; }

    /// <summary>What sore and injured joints take off the match.</summary>
    public required SparingRules Sparing { get; init; }

    /// <summary>Which exercises have to do with a line at all.</summary>
    public required RelevanceRules Relevance { get; init; }

    /// <summary>The resistance part where no load measures it, and beside the zone.</summary>
    public required ResistanceRules Resistance { get; init; }

    /// <summary>When two exercises stand for one line.</summary>
    public required PairRules Pairs { get; init; }

    /// <summary>What counts when a whole week is chosen together.</summary>
    public required WeekRules Week { get; init; }

    /// <summary>
    /// Match of weighted parts: their sum, lowered when the resistance is so far off that a heavy line would no
    /// longer be strength work.
    /// </summary>
    /// <param name="role">What the line is for.</param>
    /// <param name="weightedSum">The parts, weighted.</param>
    /// <param name="resistance">The resistance part.</param>
    /// <param name="fast">A heavy line's own movement, which speed answers where the load is light.</param>
    public double Combine(LineRole role, double weightedSum, double resistance, bool fast = false) =>
        weightedSum * (1 - (LoadGate[role] * (fast ? 1 - FastKeeps : 1) * (1 - Math.Min(1, resistance / LoadGateFrom))));

    /// <summary>Pattern part of a candidate against a gym line, 0–1.</summary>
    public double PatternScore(MovementPattern wanted, MovementPattern offered) =>
        wanted == offered ? 1 : Neighbours.Where(n => n.Joins(wanted, offered)).Select(n => n.Score).DefaultIfEmpty(0).Max();
}
