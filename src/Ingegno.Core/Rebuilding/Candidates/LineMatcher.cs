using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Finds and ranks what can take the place of a gym line.</summary>
public sealed class LineMatcher(ClientAtPlace at)
{
    private readonly ResistanceMatch _resistance = new(at);

    private MatchRules Rules => at.DomainRules.Match;

    /// <summary>All usable exercises, best match first, and the relevant ones that are out.</summary>
    public (ImmutableArray<Scored> Usable, ImmutableArray<RuledOut> Out) Rank(LineToMatch line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var usable = new List<Scored>();
        var ruledOut = new List<(RuledOut Row, double Relevance)>();
        foreach (var exercise in at.DomainRules.Catalogue.AtHome)
        {
            var (muscles, pattern) = (
                PartMatches.MuscleScore(line.Exercise.Muscles, exercise.Muscles, Rules.Parts),
                PartMatches.PatternScore(line.Exercise, exercise, Rules)
            );
            var relevance = muscles + (Rules.Relevance.PatternCounts * pattern);
            if (IsLimbering(exercise) && !IsLimbering(line.Exercise))
            {
                continue; // a stretch stands in for no work
            }

            if (
                exercise.Id != line.Exercise.Id
                && (muscles < Rules.Relevance.Muscles || (pattern <= 0 && muscles < Rules.Relevance.MusclesWithoutPattern))
            )
            {
                continue;
            }

            if (CandidateFilter.Why(exercise, at.Client, line.Exercise.Id) is { } why)
            {
                ruledOut.Add((new RuledOut(exercise.Id, exercise.Name, why.Code, why.Reason), relevance));
                continue;
            }

            var asked = line.For(exercise, Rules);
            var (loaded, missing) = _resistance.Best(exercise, asked);
            if (loaded is null)
            {
                ruledOut.Add(
                    (new RuledOut(exercise.Id, exercise.Name, "kit", Reason.Of("ruled-out.kit", ("missing", missing!))), relevance)
                );
                continue;
            }

            if (loaded.Reps is { Mid: < 1 })
            {
                ruledOut.Add(
                    (
                        new RuledOut(
                            exercise.Id,
                            exercise.Name,
                            "too-hard",
                            Reason.Of("ruled-out.too-hard", ("reps", loaded.Reps.InWords))
                        ),
                        relevance
                    )
                );
                continue;
            }

            var scored = Score(asked, exercise, loaded, new MatchScores(muscles, pattern, 0, 0, 0, 0, 0));
            if (scored.Match < Rules.Sparing.LeastOfInjured && JointSparing.TouchesInjured(exercise, at.Client) is { } injured)
            {
                ruledOut.Add(
                    (
                        new RuledOut(
                            exercise.Id,
                            exercise.Name,
                            "joint",
                            Reason.Of("ruled-out.joint-for-little", ("joint", Term.For(injured)))
                        ),
                        relevance
                    )
                );
                continue;
            }

            usable.Add(scored);
        }

        return (
            [
                .. WithWhatMakesItWork(line, HarderFirst(usable))
                    .OrderByDescending(s => s.Match)
                    .ThenBy(s => s.Exercise.Id == line.Exercise.Id ? 0 : 1)
                    .ThenBy(s => s.Exercise.Id, StringComparer.Ordinal),
            ],
            [.. ruledOut.OrderByDescending(r => r.Relevance).ThenBy(r => r.Row.ExerciseId, StringComparer.Ordinal).Select(r => r.Row)]
        );
    }

    private static bool IsLimbering(Exercise exercise) => exercise.Pattern is MovementPattern.Mobility or MovementPattern.Breathing;

    /// <summary>Harder variation, then load, then technique: what must be slowed steps behind its next rung where that needs less.</summary>
    private IEnumerable<Scored> HarderFirst(List<Scored> usable)
    {
        var byId = usable.ToDictionary(s => s.Exercise.Id, StringComparer.Ordinal);
        return usable.Select(s =>
            s.Loaded.Setup.Load.Leverage is not ({ Hands: not null } or { Feet: not null }) // another height is its own next rung
            && NextRung(s.Exercise, byId) is { } harder
            && harder.Exercise.Pattern == s.Exercise.Pattern
            && TechniqueChoice.RepsLeft(harder.Loaded.Techniques) > TechniqueChoice.RepsLeft(s.Loaded.Techniques) + Clearly
            && harder.Loaded.Score >= s.Loaded.Score
            && harder.Match >= s.Match - Rules.HarderFirst // or a third one would come first, that is no harder
                ? s with
                {
                    Match = s.Match - Rules.HarderFirst,
                }
                : s
        );
    }

    /// <summary>The next harder rung that can be done here; what lacks a thing is stepped over.</summary>
    private Scored? NextRung(Exercise exercise, Dictionary<string, Scored> here)
    {
        var seen = new HashSet<string>(StringComparer.Ordinal); // rungs that a coach added may lead in a circle
        for (var next = exercise.Harder; next is not null && seen.Add(next); next = at.DomainRules.Catalogue.Find(next)?.Harder)
        {
            if (here.TryGetValue(next, out var found))
            {
                return found;
            }
        }

        return null;
    }

    private const double Clearly = 0.02;

    /// <summary>Weighted match of an exercise whose resistance part is given; used to judge what missing kit would bring.</summary>
    public double MatchIf(LineToMatch line, Exercise exercise, double resistanceScore)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(exercise);
        var scores = new MatchScores(
            PartMatches.MuscleScore(line.Exercise.Muscles, exercise.Muscles, Rules.Parts),
            PartMatches.PatternScore(line.Exercise, exercise, Rules),
            0,
            resistanceScore,
            0,
            0,
            0
        );
        return Whole(line, exercise, With(line, exercise, scores));
    }

    private Scored Score(LineToMatch line, Exercise exercise, LoadedSetup loaded, MatchScores scores)
    {
        var whole = With(line, exercise, scores with { Resistance = loaded.Score });
        return new Scored(
            exercise,
            loaded,
            whole,
            (Whole(line, exercise, whole) * OutOfReach(line, loaded))
                - Shrinks(line, exercise, loaded)
                - StaysEasy(line, exercise, loaded)
                - InNameAlone(line, exercise, loaded)
                - OffLevel(line, exercise),
            new Lazy<ImmutableArray<PartScore>>(() => Parts(line, exercise, loaded))
        );
    }

    /// <summary>The match with what stays the same added, and what sore joints would bear taken off.</summary>
    private double Whole(LineToMatch line, Exercise exercise, MatchScores scores)
    {
        var another = line.Exercise.Structure == ExerciseStructure.Compound && line.Exercise.Id != exercise.Id;
        var share = another ? OfCompound(line.Role, exercise, scores) : 1;
        return (scores.Match(line.Role, Rules, line.IsAnsweredBySpeed(exercise, scores.Resistance, Rules)) * share)
            + (Kinship(line.Exercise, exercise) * (0.5 + (0.5 * Math.Min(1, scores.Resistance / Rules.Kinship.FromResistance))))
            - JointSparing.Cost(exercise, at.Client, Rules.Sparing);
    }

    /// <summary>What falls short of the planned reps loses; less so the movement itself, done with what is here.</summary>
    private double Shrinks(LineToMatch line, Exercise exercise, LoadedSetup loaded) =>
        loaded.Reps is not { } reps || loaded.AsNamed
            ? 0
            : Rules.Shrinks
                * at.DomainRules.Dose.Kept.Shortfall(reps.Mid, line.Effort.Low)
                * (Kinship(line.Exercise, exercise) > 0 ? 0.5 : 1);

    /// <summary>A curl with half of the line's weight is that curl in name alone: another thing that weighs as much is nearer to it.</summary>
    private double InNameAlone(LineToMatch line, Exercise exercise, LoadedSetup loaded) =>
        exercise.Id == line.Exercise.Id
        && line.Line.Load is { } told
        && SmallMuscle.IsFreeWeight(exercise)
        && loaded.External.MassKg < Rules.Week.SameFrom * TypedLoad.TotalKg(told, exercise)
            ? Rules.Kinship.Same - Rules.Kinship.SameMovement
            : 0;

    /// <summary>A set of ten that would end at two or three is none of that line, whatever else it has: share of the match that is left.</summary>
    private double OutOfReach(LineToMatch line, LoadedSetup loaded) =>
        loaded is { AsNamed: false, Reps: { } reps } && reps.Mid < at.DomainRules.Dose.Kept.LeastBelieved * line.Effort.Low
            ? Rules.HopelessLeft
            : 1;

    /// <summary>What leaves a set far from failure however it is done loses: it is no work, or less of it.</summary>
    private double StaysEasy(LineToMatch line, Exercise exercise, LoadedSetup loaded)
    {
        if (loaded.Reps is null)
        {
            return exercise.Measure == Measure.Seconds && !ResistanceReason.IsLikeForLike(line, exercise) ? Rules.StaysEasy : 0;
        }

        if (
            line.Line.Target.IsOpen
            || line.Role == LineRole.Activation
            || Kinship(line.Exercise, exercise) > 0 // the same movement stays, light as it may be
            || ResistanceReason.IsPowerForPower(line, exercise)
            || line.Line.Target.Max <= GymLine.HeavyReps // too light for strength is answered by speed
        )
        {
            return 0;
        }

        return Rules.StaysEasy * EasyBy(line, exercise, loaded);
    }

    /// <summary>How far sets stay from failure however they are done: 0 where they come near it, 1 from twice and a quarter the reps that a set may
    /// use up.</summary>
    private double EasyBy(LineToMatch line, Exercise exercise, LoadedSetup loaded) =>
        loaded.Reps is { } reps
            ? Math.Clamp(
                (reps.Mid / (DosePrescriber.MostReps(line.Line, exercise, loaded.Techniques, at.DomainRules.Dose) + line.Effort.Rir))
                    - at.DomainRules.Dose.TooEasy,
                0,
                1
            )
            : 0;

    /// <summary>The exercise itself stays, light as it may be, unless a small muscle's movement is work with another thing that is here: no curls with
    /// bottles beside a band that makes them hard.</summary>
    private IEnumerable<Scored> WithWhatMakesItWork(LineToMatch line, IEnumerable<Scored> usable)
    {
        var here = usable.ToList();
        bool IsWorkWithAnotherThing(Scored own) =>
            here.Any(other =>
                other.Exercise.Id != own.Exercise.Id
                && Kinship(line.Exercise, other.Exercise) > 0
                && other.Loaded.External.MassKg > 0
                && other.Loaded.Score > own.Loaded.Score
                && EasyBy(line, other.Exercise, other.Loaded) <= 0
            );

        return here.Select(s =>
            s.Exercise.Id == line.Exercise.Id
            && s.Exercise.Structure == ExerciseStructure.Isolation
            && EasyBy(line, s.Exercise, s.Loaded) is > 0 and var easy
            && IsWorkWithAnotherThing(s)
                ? s with
                {
                    Match = s.Match - ((Rules.Kinship.Same - Rules.Kinship.SameMovement) * easy),
                }
                : s
        );
    }

    /// <summary>Where no load tells how hard something is, the level does: no plank from the knees for who is advanced.</summary>
    private double OffLevel(LineToMatch line, Exercise exercise) =>
        ResistanceReason.IsLikeForLike(line, exercise) && at.DomainRules.Catalogue.ShareOfRungs(exercise) is { } share
            ? Rules.OffLevel * Math.Abs(share - Rules.LevelRung[at.Client.Level])
            : 0;

    /// <summary>A compound line is served neither by a small muscle nor by a load that does nothing for it.</summary>
    private double OfCompound(LineRole role, Exercise exercise, MatchScores scores) =>
        (exercise.Structure == ExerciseStructure.Compound ? 1 : Rules.IsolationForCompound[role])
        * (scores.Resistance < Rules.HopelessBelow ? Rules.HopelessLeft : 1);

    private double Kinship(Exercise gym, Exercise home) =>
        gym.Id == home.Id ? Rules.Kinship.Same
        : at.DomainRules.Names.MovementOf(gym) is { } movement && movement == at.DomainRules.Names.MovementOf(home)
            ? Rules.Kinship.SameMovement
        : 0;

    /// <summary>Adds the parts that are asked for only when an exercise is in question at all.</summary>
    private MatchScores With(LineToMatch line, Exercise exercise, MatchScores scores) =>
        scores with
        {
            Structure = PartMatches.StructureScore(line.Exercise, exercise, Rules.Parts),
            Profile = PartMatches.ProfileScore(line.Exercise, exercise, Rules.Parts),
            Skill = PartMatches.SkillScore(exercise, at.Client.Level, Rules.Parts),
            Familiarity = PartMatches.FamiliarityScore(exercise, Rules.Parts),
        };

    private ImmutableArray<PartScore> Parts(LineToMatch line, Exercise exercise, LoadedSetup loaded)
    {
        var weights = Rules.Weights[line.Role];
        PartScore Part(MatchPart part, (double Score, Reason Reason) scored) => new(part, scored.Score, weights[part], scored.Reason);
        return
        [
            Part(MatchPart.Muscles, PartMatches.Muscles(line.Exercise.Muscles, exercise.Muscles, Rules.Parts)),
            Part(MatchPart.Pattern, PartMatches.Pattern(line.Exercise, exercise, Rules)),
            Part(MatchPart.Structure, PartMatches.Structure(line.Exercise, exercise, Rules.Parts)),
            Part(MatchPart.Resistance, (loaded.Score, ResistanceReason.Explain(loaded, exercise, line, Rules))),
            Part(MatchPart.Profile, PartMatches.Profile(line.Exercise, exercise, Rules.Parts)),
            Part(MatchPart.Skill, PartMatches.Skill(exercise, at.Client.Level, Rules.Parts)),
            Part(MatchPart.Familiarity, PartMatches.Familiarity(exercise, Rules.Parts)),
        ];
    }
}
