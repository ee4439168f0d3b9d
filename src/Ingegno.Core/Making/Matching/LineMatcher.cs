using System.Collections.Immutable;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Making.Prescribing;
using Ingegno.Core.Trainee.Clients;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Making.Matching;

/// <summary>A gym line as the matcher sees it.</summary>
/// <param name="Line">What it asks for under the approach.</param>
/// <param name="Exercise">Exercise of the gym line.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Effort">How hard it is meant.</param>
/// <param name="Approach">The school that its day follows.</param>
public sealed record LineToMatch(GymLine Line, Exercise Exercise, LineRole Role, WantedEffort Effort, Approach Approach)
{
    /// <summary>Reps to failure that count as on target, with the tolerance of the role.</summary>
    public RepAim Aim(MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return new RepAim(Effort.Low, Effort.High * rules.Tolerance[Role]);
    }
}

/// <summary>One exercise that passed the filters, with its parts, before a dose is set.</summary>
public sealed record Scored(Exercise Exercise, LoadedSetup Loaded, ImmutableArray<PartScore> Parts, double Match)
{
    /// <summary>Score of one part.</summary>
    public double Of(MatchPart part) => Parts.First(p => p.Part == part).Score;
}

/// <summary>Finds and ranks what can take the place of a gym line.</summary>
public sealed class LineMatcher(ClientAtPlace at)
{
    private readonly ResistanceMatch _resistance = new(at);

    private MatchRules Rules => at.Trade.Match;

    /// <summary>All usable exercises, best match first, and the relevant ones that are out.</summary>
    public (ImmutableArray<Scored> Usable, ImmutableArray<RuledOut> Out) Rank(LineToMatch line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var usable = new List<Scored>();
        var ruledOut = new List<(RuledOut Row, double Relevance)>();
        foreach (var exercise in at.Trade.Catalogue.AtHome)
        {
            var (muscles, pattern) = (
                PartMatches.MuscleScore(line.Exercise.Muscles, exercise.Muscles, Rules.Parts), PartMatches.PatternScore(line.Exercise, exercise, at.Trade.Match));
            var relevance = muscles + (Rules.Relevance.PatternCounts * pattern);
            if (exercise.Id != line.Exercise.Id && (muscles < Rules.Relevance.Muscles || (pattern <= 0 && muscles < Rules.Relevance.MusclesWithoutPattern)))
            {
                continue;
            }

            if (CandidateFilter.Why(exercise, at.Client) is { } why)
            {
                ruledOut.Add((new RuledOut(exercise.Id, exercise.Name, why.Code, why.Reason), relevance));
                continue;
            }

            var (loaded, missing) = _resistance.Best(exercise, line);
            if (loaded is null)
            {
                ruledOut.Add((new RuledOut(exercise.Id, exercise.Name, "kit", Reason.Of("ruled-out.kit", ("missing", missing!))), relevance));
                continue;
            }

            if (loaded.Reps is { Mid: < 1 })
            {
                ruledOut.Add((new RuledOut(exercise.Id, exercise.Name, "too-hard", Reason.Of("ruled-out.too-hard", ("reps", loaded.Reps.InWords))), relevance));
                continue;
            }

            usable.Add(Score(line, exercise, loaded));
        }

        return (
            [.. usable.OrderByDescending(s => s.Match).ThenBy(s => s.Exercise.Id == line.Exercise.Id ? 0 : 1).ThenBy(s => s.Exercise.Id, StringComparer.Ordinal)],
            [.. ruledOut.OrderByDescending(r => r.Relevance).ThenBy(r => r.Row.ExerciseId, StringComparer.Ordinal).Select(r => r.Row)]);
    }

    /// <summary>Weighted match of an exercise whose resistance part is given; used to judge what missing kit would bring.</summary>
    public double MatchIf(LineToMatch line, Exercise exercise, double resistanceScore)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(exercise);
        var weights = at.Trade.Match.Weights[line.Role];
        var sum = (weights[MatchPart.Muscles] * PartMatches.Muscles(line.Exercise.Muscles, exercise.Muscles, Rules.Parts).Score)
            + (weights[MatchPart.Pattern] * PartMatches.Pattern(line.Exercise, exercise, at.Trade.Match).Score)
            + (weights[MatchPart.Structure] * PartMatches.Structure(line.Exercise, exercise, Rules.Parts).Score)
            + (weights[MatchPart.Resistance] * resistanceScore)
            + (weights[MatchPart.Profile] * PartMatches.Profile(line.Exercise, exercise, Rules.Parts).Score)
            + (weights[MatchPart.Skill] * PartMatches.Skill(exercise, at.Client.Level, Rules.Parts).Score);
        return at.Trade.Match.Combine(line.Role, sum, resistanceScore);
    }

    private Scored Score(LineToMatch line, Exercise exercise, LoadedSetup loaded)
    {
        var weights = at.Trade.Match.Weights[line.Role];
        PartScore Part(MatchPart part, (double Score, Reason Reason) scored) => new(part, scored.Score, weights[part], scored.Reason);
        ImmutableArray<PartScore> parts =
        [
            Part(MatchPart.Muscles, PartMatches.Muscles(line.Exercise.Muscles, exercise.Muscles, Rules.Parts)),
            Part(MatchPart.Pattern, PartMatches.Pattern(line.Exercise, exercise, at.Trade.Match)),
            Part(MatchPart.Structure, PartMatches.Structure(line.Exercise, exercise, Rules.Parts)),
            Part(MatchPart.Resistance, (loaded.Score, loaded.Reason)),
            Part(MatchPart.Profile, PartMatches.Profile(line.Exercise, exercise, Rules.Parts)),
            Part(MatchPart.Skill, PartMatches.Skill(exercise, at.Client.Level, Rules.Parts)),
        ];
        return new Scored(exercise, loaded, parts, at.Trade.Match.Combine(line.Role, parts.Sum(p => p.Score * p.Weight), loaded.Score));
    }
}
