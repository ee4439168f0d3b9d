using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Clients;

namespace Ingegno.Core.Matching;

/// <summary>Parts of the match that depend on the two exercises alone. Each returns a score 0–1 and its reason.</summary>
public static class PartMatches
{
    /// <summary>The score of <see cref="Muscles"/> alone, for sorting out what has nothing to do with a line.</summary>
    public static double MuscleScore(IReadOnlyDictionary<Muscle, double> gym, IReadOnlyDictionary<Muscle, double> home)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        double kept = 0, wanted = 0, both = 0, either = 0;
        foreach (var (muscle, involvement) in gym)
        {
            var at = home.GetValueOrDefault(muscle);
            var shared = Math.Min(involvement, at);
            kept += involvement * shared;
            wanted += involvement * involvement;
            both += shared;
            either += Math.Max(involvement, at);
        }

        foreach (var (muscle, involvement) in home)
        {
            either += gym.ContainsKey(muscle) ? 0 : involvement;
        }

        return (0.75 * kept / wanted) + (0.25 * both / either);
    }

    /// <summary>The score of <see cref="Pattern"/> alone.</summary>
    public static double PatternScore(Exercise gym, Exercise home, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        var score = rules.PatternScore(gym.Pattern, home.Pattern);
        return score >= 1 && gym.Plane != home.Plane ? OtherPlane : score;
    }

    private const double OtherPlane = 0.85;

    /// <summary>
    /// Overlap of involvement vectors: three parts how much of the gym line's work is kept, each muscle weighing as much
    /// as the line uses it (Σ gym·min / Σ gym²), one part how little is added beside it (Σ min / Σ max).
    /// </summary>
    public static (double Score, string Reason) Muscles(
        IReadOnlyDictionary<Muscle, double> gym, IReadOnlyDictionary<Muscle, double> home)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        var score = MuscleScore(gym, home);
        var prime = gym.Where(m => m.Value >= Exercise.PrimeMoverInvolvement).Select(m => m.Key).Order().ToList();
        var reached = prime.Where(m => home.GetValueOrDefault(m) >= Exercise.PrimeMoverInvolvement).ToList();
        var partly = prime.Except(reached).Where(m => home.GetValueOrDefault(m) >= Exercise.SynergistInvolvement).ToList();
        var missed = prime.Except(reached).Except(partly).ToList();
        var sentences = new List<string>();
        if (missed.Count > 0)
        {
            sentences.Add($"leaves out {Names(missed)}");
        }

        if (partly.Count > 0)
        {
            sentences.Add($"only helps with {Names(partly)}");
        }

        var helpers = gym.Where(m => m.Value is >= Exercise.SynergistInvolvement and < Exercise.PrimeMoverInvolvement && home.GetValueOrDefault(m.Key) < 0.2).Select(m => m.Key).Order().ToList();
        if (helpers.Count > 0 && missed.Count + partly.Count == 0)
        {
            sentences.Add($"without the help of {Names(helpers)}");
        }

        if (reached.Count > 0)
        {
            sentences.Add(missed.Count + partly.Count == 0 ? $"same prime movers: {Names(reached)}" : $"keeps {Names(reached)}");
        }

        return (score, Words.Sentence(string.Join("; ", sentences)) + ".");
    }

    /// <summary>Movement pattern, and a small loss when the plane differs.</summary>
    public static (double Score, string Reason) Pattern(Exercise gym, Exercise home, MatchRules rules)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        ArgumentNullException.ThrowIfNull(rules);
        var score = PatternScore(gym, home, rules);
        if (gym.Pattern == home.Pattern)
        {
            return gym.Plane == home.Plane
                ? (1, $"Same pattern: {Words.Of(gym.Pattern)}.")
                : (OtherPlane, $"Same pattern, {Words.Of(gym.Pattern)}, in the {Words.Of(home.Plane)} plane instead of the {Words.Of(gym.Plane)}.");
        }

        return score > 0
            ? (score, $"{Words.Sentence(Words.Of(home.Pattern))} comes near {Words.Of(gym.Pattern)}.")
            : (0, $"{Words.Sentence(Words.Of(home.Pattern))} is another pattern than {Words.Of(gym.Pattern)}.");
    }

    /// <summary>Compound or isolation, sides, chain, demand on balance.</summary>
    public static (double Score, string Reason) Structure(Exercise gym, Exercise home)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        var losses = new List<string>();
        var score = 1.0;
        void Lose(bool differs, double cost, string words)
        {
            if (differs)
            {
                score -= cost;
                losses.Add(words);
            }
        }

        Lose(gym.Structure != home.Structure, 0.5, $"{Words.Of(home.Structure)} instead of {Words.Of(gym.Structure)}");
        Lose(gym.Sides != home.Sides, gym.Sides == Sides.Unilateral ? 0.25 : 0.15, home.Sides == Sides.Unilateral ? "one side at a time instead of both" : "both sides together instead of one at a time");
        Lose(gym.Chain != home.Chain, 0.05, $"{Words.Of(home.Chain)} chain instead of {Words.Of(gym.Chain)}");
        var wobble = Math.Max(0, home.Stability - gym.Stability);
        Lose(wobble > 0, 0.07 * wobble, "asks for more balance");
        var same = $"{Words.Of(gym.Structure)}, {(gym.Sides == Sides.Unilateral ? "one side at a time" : "both sides together")}";
        return (Math.Max(0, score), losses.Count == 0 ? Words.Sentence($"{same}, as in the gym.") : Words.Sentence(Words.Join(losses) + "."));
    }

    /// <summary>Where in the range it is hardest.</summary>
    public static (double Score, string Reason) Profile(Exercise gym, Exercise home)
    {
        ArgumentNullException.ThrowIfNull(gym);
        ArgumentNullException.ThrowIfNull(home);
        static string Hard(Catalogue.Profile p) => p == Catalogue.Profile.Even ? "even over the range" : $"hardest {(p == Catalogue.Profile.Middle ? "in the middle" : p == Catalogue.Profile.Stretched ? "stretched" : "shortened")}";
        if (gym.Profile == home.Profile)
        {
            return (1, $"As in the gym: {Hard(gym.Profile)}.");
        }

        var near = gym.Profile is Catalogue.Profile.Middle or Catalogue.Profile.Even || home.Profile is Catalogue.Profile.Middle or Catalogue.Profile.Even;
        return (near ? 0.65 : 0.3, Words.Sentence($"{Hard(home.Profile)} instead of {Hard(gym.Profile)}."));
    }

    /// <summary>Whether the skill fits the level.</summary>
    public static (double Score, string Reason) Skill(Exercise home, Level level)
    {
        ArgumentNullException.ThrowIfNull(home);
        var room = CandidateFilter.SkillCeiling(level) - home.Skill;
        return room switch
        {
            >= 1 => (1, $"Well within {Words.Of(level)} level."),
            0 => (0.75, $"At the upper end of {Words.Of(level)} level: show it first."),
            _ => (0, $"Above {Words.Of(level)} level."),
        };
    }

    /// <summary>Muscles in words.</summary>
    public static string Names(IEnumerable<Muscle> muscles) => Words.Join([.. muscles.Select(Words.Of)]);
}
