using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Rebuilding.Candidates;
using Ingegno.Core.Rebuilding.Days;
using Ingegno.Core.Rebuilding.Weeks.Choosing;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>A gym line with its proposals, ready for the joint choice.</summary>
/// <param name="Line">The gym line.</param>
/// <param name="Role">What it is for.</param>
/// <param name="Options">Proposals to choose among, best first; a locked line has one.</param>
/// <param name="Kept">Id of the proposal that stood there before, null when there was none.</param>
public sealed record LineOptions(GymLine Line, LineRole Role, ImmutableArray<Candidate> Options, string? Kept = null)
{
    /// <summary>The coach has the word: what was chosen for two lines is done for both, be it the same.</summary>
    public bool Locked { get; init; }
}

/// <summary>
/// Chooses for the whole week, not line by line: no exercise twice on a day, hard sets per muscle near the gym week's,
/// superset partners not fighting over one rig, few changes of rig, sessions within the client's minutes.
/// </summary>
/// <param name="domain">The domain rules.</param>
public sealed class WeekChoice(DomainRules domain)
{
    private readonly ExerciseCatalogue catalogue = domain.Catalogue;
    private readonly WeekRules rules = domain.Match.Week;
    private readonly SessionTime _time = new(domain.Session);

    /// <summary>
    /// Index of the option taken per line, -1 where a line has none left. The order of the days does not matter.
    /// </summary>
    /// <param name="lines">Lines of the week, each day's together.</param>
    /// <param name="minutesPerSession">The client's minutes, null when not set.</param>
    public ImmutableArray<int> Choose(IReadOnlyList<LineOptions> lines, int? minutesPerSession = null)
    {
        ArgumentNullException.ThrowIfNull(lines);
        var order = Canonical(lines);
        var solution = ChoiceSolver.Solve(Problem([.. order.Select(i => lines[i])], minutesPerSession));
        var taken = new int[lines.Count];
        for (var i = 0; i < order.Length; i++)
        {
            taken[order[i]] = solution.Taken[i];
        }

        return [.. taken];
    }

    /// <summary>
    /// Why another than the first-ranked option was taken, line by line: what the first would have cost beside all that was taken for
    /// the other lines. Null where the first was taken, or none.
    /// </summary>
    /// <param name="lines">Lines of the week, each day's together.</param>
    /// <param name="taken">Index of the option taken per line.</param>
    /// <param name="minutesPerSession">The client's minutes, null when not set.</param>
    public ImmutableArray<Reason?> Because(IReadOnlyList<LineOptions> lines, ImmutableArray<int> taken, int? minutesPerSession = null)
    {
        ArgumentNullException.ThrowIfNull(lines);
        if (taken.All(t => t <= 0))
        {
            return [.. taken.Select(_ => (Reason?)null)];
        }

        var costs = new CostOfFirst(lines, taken, Problem([.. lines], minutesPerSession), this);
        return [.. taken.Select((t, i) => t <= 0 ? null : costs.Of(i))];
    }

    /// <summary>The choice as figures, for the solver and for whoever checks it against another.</summary>
    /// <param name="lines">Lines of the week, each day's together.</param>
    /// <param name="minutesPerSession">The client's minutes, null when not set.</param>
    public ChoiceProblem Problem(ImmutableArray<LineOptions> lines, int? minutesPerSession)
    {
        var wanted = new double[Enum.GetValues<Muscle>().Length];
        foreach (var line in lines)
        {
            foreach (var (muscle, sets) in catalogue.Find(line.Line.ExerciseId) is { } gym ? PlanFigures.SetsOf(gym, line.Line.Sets) : [])
            {
                wanted[(int)muscle] += sets;
            }
        }

        var rigs = lines.Select(l => l.Options.Select(RigOf).ToArray()).ToArray();
        var days = lines.Select(l => l.Line.Day).Distinct().ToList();
        return new ChoiceProblem
        {
            Lines = [.. lines.Select((l, i) => l.Options.Select(o => Option(l, o, FirstOfSuperset(lines, i))).ToImmutableArray())],
            Day = [.. lines.Select(l => days.IndexOf(l.Line.Day))],
            WantedSets = [.. wanted],
            MissedSet = rules.MissedSet,
            ExtraSet = rules.ExtraSet,
            SecondsPerDay = minutesPerSession is { } minutes ? Math.Max(0, 60 * (minutes - _time.PreparationMinutes(minutes))) : null,
            OverSecond = rules.OverMinute / 60,
            Clashes = [.. lines.Select((_, i) => Clashes(lines, rigs, i))],
        };
    }

    private static int[] Canonical(IReadOnlyList<LineOptions> lines) =>
        [
            .. Enumerable
                .Range(0, lines.Count)
                .GroupBy(i => lines[i].Line.Day)
                .OrderBy(
                    day => string.Join('\n', day.Select(i => $"{lines[i].Line.ExerciseId} {Shorthand.Write(lines[i].Line)}")),
                    StringComparer.Ordinal
                )
                .SelectMany(day => day),
        ];

    private static bool FirstOfSuperset(ImmutableArray<LineOptions> lines, int index) =>
        lines[index].Line.SupersetLetter is not { } letter
        || !lines.Take(index).Any(l => l.Line.Day == lines[index].Line.Day && l.Line.SupersetLetter == letter);

    /// <summary>The same exercise stays where it can be done at a dose that makes sense: not at two reps in place of ten.</summary>
    private bool Stays(LineOptions line, Candidate candidate) =>
        candidate.Exercises is [var home]
        && home.ExerciseId == line.Line.ExerciseId
        && (
            line.Line.Timed
            || line.Line.Target.IsOpen
            || home.Dose.Timed
            || (home.Dose.Target.Max >= domain.Dose.Kept.LeastBelieved * line.Line.Target.Min && !IsToy(home))
        );

    /// <summary>A load far too light for the line is none of it, even when it is the line's own exercise.</summary>
    private bool IsToy(HomeExercise home) =>
        home is { Expected: { } expected, Wanted: { } wanted }
        && catalogue.Find(home.ExerciseId)?.Strength is { } relation
        && RepMaxCurve.LoadShare(expected.Mid, wanted.Max, relation.Curve) < rules.SameFrom;

    /// <summary>What the techniques take off that a candidate needs to be hard enough.</summary>
    internal static double TechniqueCost(Candidate candidate, WeekRules rules) =>
        rules.Technique * candidate.Exercises.Max(e => e.Dose.Techniques.Length);

    private ChoiceOption Option(LineOptions line, Candidate candidate, bool rests)
    {
        var sets = new SortedDictionary<int, double>();
        foreach (var home in candidate.Exercises)
        {
            foreach (
                var (muscle, count) in catalogue.Find(home.ExerciseId) is { } exercise
                    ? PlanFigures.SetsOf(exercise, home.Dose.HardSets)
                    : []
            )
            {
                sets[(int)muscle] = sets.GetValueOrDefault((int)muscle) + count;
            }
        }

        var head = (candidate.Id == line.Kept ? rules.Kept : 0) + (Stays(line, candidate) ? rules.SameExercise : 0);
        return new ChoiceOption(
            ((candidate.Match - TechniqueCost(candidate, rules)) * rules.RoleWeight[line.Role]) + head,
            [.. sets.Select(s => (s.Key, s.Value))],
            PlanFigures.Seconds(candidate, rests, _time)
        );
    }

    private ImmutableArray<double[,]> Clashes(ImmutableArray<LineOptions> lines, Rig[][] rigs, int line)
    {
        var clashes = ImmutableArray.CreateBuilder<double[,]>();
        for (var before = line - 1; before >= 0 && lines[before].Line.Day == lines[line].Line.Day; before--)
        {
            var partners = lines[line].Line.SupersetLetter is { } letter && letter == lines[before].Line.SupersetLetter;
            var again = lines[line].Line.ExerciseId == lines[before].Line.ExerciseId || (lines[line].Locked && lines[before].Locked);
            var costs = new double[rigs[line].Length, rigs[before].Length];
            for (var option = 0; option < rigs[line].Length; option++)
            {
                for (var other = 0; other < rigs[before].Length; other++)
                {
                    costs[option, other] = Clash(rigs[line][option], rigs[before][other], before == line - 1, partners, again);
                }
            }

            clashes.Add(costs);
        }

        return clashes.ToImmutable();
    }

    private double Clash(Rig now, Rig before, bool adjacent, bool partners, bool again)
    {
        if (Overlap(now.Exercises, before.Exercises))
        {
            return again ? 0 : ChoiceProblem.Never; // a top set and its back-off sets are one lift at home, too
        }

        var cost =
            IsSame(now, before) ? rules.SameStimulus
            : Overlap(now.Neighbours, before.Names) ? rules.SameFamily
            : 0;
        if ((partners || adjacent) && RigConflict.Between(now.Items, now.Kg, before.Items, before.Kg))
        {
            cost += partners ? rules.RigConflict : rules.RigChange;
        }

        return cost;
    }

    internal WeekRules Rules => rules;

    /// <summary>The second of the two adds sets to a day and nothing else.</summary>
    internal bool IsSame(Rig now, Rig before) =>
        now.Alone is { } one && before.Alone is { } other && Stimulus.IsSame(one, other, domain.Match.Parts);

    internal Rig RigOf(Candidate candidate) =>
        Rig.Of(candidate) with
        {
            Alone = candidate.Exercises is [var home] ? catalogue.Find(home.ExerciseId) : null,
        };

    /// <summary>Whether two short lists share a string; plain loops, because a week asks this some ten thousand times.</summary>
    internal static bool Overlap(ImmutableArray<string> some, ImmutableArray<string> others)
    {
        foreach (var one in some)
        {
            foreach (var other in others)
            {
                if (string.Equals(one, other, StringComparison.Ordinal))
                {
                    return true;
                }
            }
        }

        return false;
    }

    /// <summary>What of a candidate can clash with another.</summary>
    internal sealed record Rig(
        ImmutableArray<string> Exercises,
        ImmutableArray<string> Names,
        ImmutableArray<string> Neighbours,
        ImmutableArray<string> Items,
        double Kg
    )
    {
        /// <summary>The exercise of one that is no pair.</summary>
        public Exercise? Alone { get; init; }

        public static Rig Of(Candidate candidate) =>
            new(
                [.. candidate.Exercises.Select(e => e.ExerciseId)],
                [.. candidate.Exercises.Select(e => e.Name)],
                [.. new[] { candidate.Exercises[0].HarderName, candidate.Exercises[0].EasierName }.OfType<string>()],
                candidate.Exercises[0].UsesItems,
                candidate.Exercises[0].ExternalKg
            );
    }
}
