using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;

namespace Ingegno.Core.Matching;

/// <summary>A gym line as the matcher sees it.</summary>
/// <param name="Line">What it asks for under the approach.</param>
/// <param name="Exercise">Exercise of the gym line.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Effort">How hard it is meant.</param>
/// <param name="Approach">The school that its day follows.</param>
public sealed record LineToMatch(GymLine Line, Exercise Exercise, LineRole Role, WantedEffort Effort, Approach Approach);

/// <summary>One exercise that passed the filters, with its parts, before a dose is set.</summary>
public sealed record Scored(Exercise Exercise, LoadedSetup Loaded, ImmutableArray<PartScore> Parts, double Match)
{
    /// <summary>Score of one part.</summary>
    public double Of(MatchPart part) => Parts.First(p => p.Part == part).Score;
}

/// <summary>Finds and ranks what can take the place of a gym line.</summary>
public sealed class LineMatcher(ResistanceMatch resistance, ClientProfile client, Trade trade)
{
    /// <summary>Below this overlap of muscles an exercise has nothing to do with the line.</summary>
    private const double RelevantMuscles = 0.3;

    /// <summary>All usable exercises, best match first, and the relevant ones that are out.</summary>
    public (ImmutableArray<Scored> Usable, ImmutableArray<RuledOut> Out) Rank(LineToMatch line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var usable = new List<Scored>();
        var ruledOut = new List<(RuledOut Row, double Relevance)>();
        foreach (var exercise in trade.Catalogue.AtHome)
        {
            var (muscles, pattern) = (
                PartMatches.MuscleScore(line.Exercise.Muscles, exercise.Muscles), PartMatches.PatternScore(line.Exercise, exercise, trade.Match));
            var relevance = muscles + (0.5 * pattern);
            if (exercise.Id != line.Exercise.Id && (muscles < RelevantMuscles || (pattern <= 0 && muscles < 0.45)))
            {
                continue;
            }

            if (CandidateFilter.Why(exercise, client) is { } why)
            {
                ruledOut.Add((new RuledOut(exercise.Id, exercise.Name, why.Code, why.Reason), relevance));
                continue;
            }

            var (loaded, missing) = resistance.Best(exercise, line);
            if (loaded is null)
            {
                ruledOut.Add((new RuledOut(exercise.Id, exercise.Name, "kit", Words.Sentence(missing!) + "."), relevance));
                continue;
            }

            if (loaded.Reps is { Mid: < 1 })
            {
                ruledOut.Add((new RuledOut(exercise.Id, exercise.Name, "too-hard", $"Too hard for now: {loaded.Reps.InWords} reps expected even with the lightest set-up here."), relevance));
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
        var weights = trade.Match.Weights[line.Role];
        var sum = (weights[MatchPart.Muscles] * PartMatches.Muscles(line.Exercise.Muscles, exercise.Muscles).Score)
            + (weights[MatchPart.Pattern] * PartMatches.Pattern(line.Exercise, exercise, trade.Match).Score)
            + (weights[MatchPart.Structure] * PartMatches.Structure(line.Exercise, exercise).Score)
            + (weights[MatchPart.Resistance] * resistanceScore)
            + (weights[MatchPart.Profile] * PartMatches.Profile(line.Exercise, exercise).Score)
            + (weights[MatchPart.Skill] * PartMatches.Skill(exercise, client.Level).Score);
        return trade.Match.Combine(line.Role, sum, resistanceScore);
    }

    private Scored Score(LineToMatch line, Exercise exercise, LoadedSetup loaded)
    {
        var weights = trade.Match.Weights[line.Role];
        PartScore Part(MatchPart part, (double Score, string Reason) scored) => new(part, scored.Score, weights[part], scored.Reason);
        ImmutableArray<PartScore> parts =
        [
            Part(MatchPart.Muscles, PartMatches.Muscles(line.Exercise.Muscles, exercise.Muscles)),
            Part(MatchPart.Pattern, PartMatches.Pattern(line.Exercise, exercise, trade.Match)),
            Part(MatchPart.Structure, PartMatches.Structure(line.Exercise, exercise)),
            Part(MatchPart.Resistance, (loaded.Score, loaded.Reason)),
            Part(MatchPart.Profile, PartMatches.Profile(line.Exercise, exercise)),
            Part(MatchPart.Skill, PartMatches.Skill(exercise, client.Level)),
        ];
        return new Scored(exercise, loaded, parts, trade.Match.Combine(line.Role, parts.Sum(p => p.Score * p.Weight), loaded.Score));
    }
}
