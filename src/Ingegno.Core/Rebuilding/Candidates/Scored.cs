using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>One exercise that passed the filters, with its scores, before a dose is set.</summary>
/// <param name="Exercise">The exercise.</param>
/// <param name="Loaded">How it is loaded here.</param>
/// <param name="Scores">Scores of the parts.</param>
/// <param name="Match">What they make, 0–1.</param>
/// <param name="Said">The parts with their reasons, worked out when they are asked for.</param>
public sealed record Scored(Exercise Exercise, LoadedSetup Loaded, MatchScores Scores, double Match, Lazy<ImmutableArray<PartScore>> Said)
{
    /// <summary>The parts with their reasons.</summary>
    public ImmutableArray<PartScore> Parts => Said.Value;

    /// <summary>Score of one part.</summary>
    public double Of(MatchPart part) => Scores[part];

    /// <summary>Why one part scores as it does.</summary>
    public Reason Why(MatchPart part) => Parts.First(p => p.Part == part).Reason;
}
