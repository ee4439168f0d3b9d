using System.Collections.Immutable;
using Ingegno.Core.Clients.Profiles;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>Parts of the match that depend on the two exercises alone. Each returns a score 0–1 and its reason.</summary>
public static class PartMatches
{
    /// <summary>The score of <see cref="Muscles"/> alone, for sorting out what has nothing to do with a line.</summary>
    public static double MuscleScore(IReadOnlyDictionary<Muscle, double> gym, IReadOnlyDictionary<Muscle, double> home, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        var (wantedOf, hereOf) = (MuscleVector.FromInvolvement(gym), MuscleVector.FromInvolvement(home));
        double kept = 0,
            wanted = 0,
            both = 0,
            either = 0;
        for (var i = 0; i < wantedOf.Length; i++)
        {
            var (involvement, at) = (wantedOf[i], hereOf[i]);
            var shared = Math.Min(involvement, at);
            kept += involvement * shared;
            wanted += involvement * involvement;
            both += shared;
            either += Math.Max(involvement, at);
        }

        return (rules.MusclesKept * kept / wanted) + ((1 - rules.MusclesKept) * both / either);
    }

    /// <summary>The score of <see cref="Pattern"/> alone.</summary>
    public static double PatternScore(Exercise gym, Exercise home, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        var score = rules.PatternScore(gym.Pattern, home.Pattern);
        return gym.Plane != home.Plane ? score * rules.Parts.OtherPlane : score;
    }

    /// <summary>
    /// Overlap of involvement vectors: mostly how much of the gym line's work is kept, each muscle weighing as much
    /// as the line uses it (Σ gym·min / Σ gym²), else how little is added beside it (Σ min / Σ max).
    /// </summary>
    public static (double Score, Reason Reason) Muscles(
        IReadOnlyDictionary<Muscle, double> gym,
        IReadOnlyDictionary<Muscle, double> home,
        PartRules rules
    )
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        var score = MuscleScore(gym, home, rules);
        var prime = gym.Where(m => m.Value >= Exercise.PrimeMoverInvolvement).Select(m => m.Key).Order().ToList();
        var reached = prime.Where(m => home.GetValueOrDefault(m) >= Exercise.PrimeMoverInvolvement).ToList();
        var partly = prime.Except(reached).Where(m => home.GetValueOrDefault(m) >= Exercise.SynergistInvolvement).ToList();
        var missed = prime.Except(reached).Except(partly).ToList();
        var helpers =
            missed.Count + partly.Count > 0
                ? []
                : gym.Where(m =>
                        m.Value is >= Exercise.SynergistInvolvement and < Exercise.PrimeMoverInvolvement
                        && home.GetValueOrDefault(m.Key) < rules.HelperFrom
                    )
                    .Select(m => m.Key)
                    .Order()
                    .ToList();
        return (
            score,
            Reason.Of(
                "part.muscles",
                ("missed", FactList.Of(missed)),
                ("partly", FactList.Of(partly)),
                ("helpers", FactList.Of(helpers)),
                ("reached", FactList.Of(reached))
            )
        );
    }

    /// <summary>Movement pattern, and a small loss when the plane differs.</summary>
    public static (double Score, Reason Reason) Pattern(Exercise gym, Exercise home, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        var score = PatternScore(gym, home, rules);
        if (gym.Pattern == home.Pattern)
        {
            return gym.Plane == home.Plane
                ? (1, Reason.Of("part.pattern-same", ("pattern", Term.For(gym.Pattern))))
                : (
                    rules.Parts.OtherPlane,
                    Reason.Of(
                        "part.pattern-plane",
                        ("pattern", Term.For(gym.Pattern)),
                        ("plane", Term.For(home.Plane)),
                        ("planned", Term.For(gym.Plane))
                    )
                );
        }

        return (
            score,
            Reason.Of(
                score > 0 ? "part.pattern-near" : "part.pattern-other",
                ("pattern", Term.For(home.Pattern)),
                ("planned", Term.For(gym.Pattern))
            )
        );
    }

    /// <summary>Compound or isolation, sides, chain, demand on balance.</summary>
    public static (double Score, Reason Reason) Structure(Exercise gym, Exercise home, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        var losses = Losses(gym, home, rules).Select(l => l.Said()).ToList();
        return (
            StructureScore(gym, home, rules),
            losses.Count == 0
                ? Reason.Of("part.structure-same", ("structure", Term.For(gym.Structure)), ("one_side", gym.Sides == Sides.Unilateral))
                : Reason.Of("part.structure-loss", ("losses", FactList.Of(losses)))
        );
    }

    /// <summary>The score of <see cref="Structure"/> alone.</summary>
    public static double StructureScore(Exercise gym, Exercise home, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        return Math.Max(0, 1 - Losses(gym, home, rules).Sum(l => l.Cost));
    }

    /// <summary>What is lost by another build, and how it is said.</summary>
    private static IEnumerable<(double Cost, Func<Reason> Said)> Losses(Exercise gym, Exercise home, PartRules rules)
    {
        if (gym.Structure != home.Structure)
        {
            yield return (
                rules.OtherStructure,
                () => Reason.Of("loss.structure", ("structure", Term.For(home.Structure)), ("planned", Term.For(gym.Structure)))
            );
        }

        if (gym.Sides != home.Sides)
        {
            yield return (
                gym.Sides == Sides.Unilateral ? rules.UnilateralLost : rules.BilateralLost,
                () => Reason.Of(home.Sides == Sides.Unilateral ? "loss.one-side" : "loss.both-sides")
            );
        }

        if (gym.Chain != home.Chain)
        {
            yield return (
                rules.OtherChain,
                () => Reason.Of("loss.chain", ("chain", Term.For(home.Chain)), ("planned", Term.For(gym.Chain)))
            );
        }

        var wobble = Math.Max(0, home.Stability - gym.Stability);
        if (wobble > 0)
        {
            yield return (rules.Balance * wobble, () => Reason.Of("loss.balance"));
        }

        var landing = Math.Max(0, home.Impact - gym.Impact);
        if (landing > 0)
        {
            yield return (rules.Impact * landing, () => Reason.Of("loss.impact"));
        }
    }

    /// <summary>Where in the range it is hardest.</summary>
    public static (double Score, Reason Reason) Profile(Exercise gym, Exercise home, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        return (
            ProfileScore(gym, home, rules),
            gym.Profile == home.Profile
                ? Reason.Of("part.profile-same", ("profile", Term.For(gym.Profile)))
                : Reason.Of("part.profile-other", ("profile", Term.For(home.Profile)), ("planned", Term.For(gym.Profile)))
        );
    }

    /// <summary>The score of <see cref="Profile"/> alone.</summary>
    public static double ProfileScore(Exercise gym, Exercise home, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        var near =
            gym.Profile is Knowledge.Exercises.Profile.Middle or Knowledge.Exercises.Profile.Even
            || home.Profile is Knowledge.Exercises.Profile.Middle or Knowledge.Exercises.Profile.Even;
        return gym.Profile == home.Profile ? 1
            : near ? rules.ProfileNear
            : rules.ProfileFar;
    }

    /// <summary>Whether the skill fits the level.</summary>
    public static (double Score, Reason Reason) Skill(Exercise home, Level level, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(home);
        var code = Room(home, level) switch
        {
            >= 1 => "part.skill-within",
            0 => "part.skill-edge",
            _ => "part.skill-above",
        };
        return (SkillScore(home, level, rules), Reason.Of(code, ("level", Term.For(level))));
    }

    /// <summary>The score of <see cref="Skill"/> alone.</summary>
    public static double SkillScore(Exercise home, Level level, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(rules);
        return Room(home, level) switch
        {
            >= 1 => 1,
            0 => rules.SkillEdge,
            _ => 0,
        };
    }

    private static int Room(Exercise home, Level level) => CandidateFilter.SkillCeiling(level) - home.Skill;

    /// <summary>How plain it is: of two that serve about equally, a coach takes the one that everybody knows.</summary>
    public static (double Score, Reason Reason) Familiarity(Exercise home, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        return (FamiliarityScore(home, rules), Reason.Of("part.familiarity", ("familiarity", home.Familiarity)));
    }

    /// <summary>The score of <see cref="Familiarity"/> alone.</summary>
    public static double FamiliarityScore(Exercise home, PartRules rules)
    {
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        return rules.Familiarity[home.Familiarity - 1];
    }
}
