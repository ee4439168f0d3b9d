using System.Collections.Immutable;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Rebuilding.Weeks.Choosing;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>What the first-ranked option of a line would have cost the week, beside what was taken for all other lines.</summary>
internal sealed class CostOfFirst(IReadOnlyList<LineOptions> lines, ImmutableArray<int> taken, ChoiceProblem problem, WeekChoice choice)
{
    private readonly WeekRules rules = choice.Rules;
    private const double Nothing = 1e-9;

    /// <summary>Why the first option of a line was not taken, by what it would have cost most.</summary>
    public Reason Of(int line)
    {
        var first = lines[line].Options[0].Name;
        var (costly, what) = new (double Cost, Func<Reason> Say)[]
        {
            Twice(line, first),
            Rigs(line, first),
            Family(line, first),
            Alike(line, first),
            (Time(line), () => Reason.Of("why.week-minutes", ("first", first))),
            Sets(line, first),
            Plainer(line, first),
        }.MaxBy(c => c.Cost);
        return costly > Nothing ? what() : Reason.Of("why.week", ("first", first));
    }

    private (double, Func<Reason>) Twice(int line, string first)
    {
        var other = OfDay(line)
            .FirstOrDefault(
                o =>
                    lines[o].Line.ExerciseId != lines[line].Line.ExerciseId
                    && WeekChoice.Overlap(Rig(line, 0).Exercises, Taken(o).Exercises),
                -1
            );
        return (other < 0 ? 0 : ChoiceProblem.Never, () => Reason.Of("why.week-twice", ("first", first)));
    }

    private (double, Func<Reason>) Rigs(int line, string first)
    {
        var next = OfDay(line).Where(o => Math.Abs(o - line) == 1).ToList();
        bool Fights(WeekChoice.Rig rig, int o) => RigConflict.Between(rig.Items, rig.Kg, Taken(o).Items, Taken(o).Kg);
        var saved = next.Where(o => Fights(Rig(line, 0), o) && !Fights(Taken(line), o)).ToList();
        return (
            saved.Count * rules.RigChange,
            () => Reason.Of("why.week-rig", ("first", first), ("beside", lines[saved[0]].Options[taken[saved[0]]].Name))
        );
    }

    private (double, Func<Reason>) Family(int line, string first)
    {
        bool Near(WeekChoice.Rig rig, int o) =>
            WeekChoice.Overlap(rig.Neighbours, Taken(o).Names) || WeekChoice.Overlap(Taken(o).Neighbours, rig.Names);
        var near = OfDay(line).Where(o => Near(Rig(line, 0), o) && !Near(Taken(line), o)).ToList();
        return (
            near.Count * rules.SameFamily,
            () => Reason.Of("why.week-like", ("first", first), ("beside", lines[near[0]].Options[taken[near[0]]].Name))
        );
    }

    private (double, Func<Reason>) Alike(int line, string first)
    {
        var same = OfDay(line).Where(o => choice.IsSame(Rig(line, 0), Taken(o)) && !choice.IsSame(Taken(line), Taken(o))).ToList();
        return (
            same.Count * rules.SameStimulus,
            () => Reason.Of("why.week-same", ("first", first), ("beside", lines[same[0]].Options[taken[same[0]]].Name))
        );
    }

    private (double, Func<Reason>) Plainer(int line, string first)
    {
        var options = lines[line].Options;
        var saved = WeekChoice.TechniqueCost(options[0], rules) - WeekChoice.TechniqueCost(options[taken[line]], rules);
        return (saved * rules.RoleWeight[lines[line].Role], () => Reason.Of("why.week-plain", ("first", first)));
    }

    private double Time(int line)
    {
        var others = OfDay(line).Sum(o => problem.Lines[o][taken[o]].Seconds);
        return problem.Overtime(others + problem.Lines[line][0].Seconds)
            - problem.Overtime(others + problem.Lines[line][taken[line]].Seconds);
    }

    private (double, Func<Reason>) Sets(int line, string first)
    {
        var (mine, theirs) = (new double[problem.WantedSets.Length], new double[problem.WantedSets.Length]);
        for (var i = 0; i < taken.Length; i++)
        {
            problem.AddSets(i, taken[i], mine);
            problem.AddSets(i, i == line ? 0 : taken[i], theirs);
        }

        var nearer = Enumerable
            .Range(0, mine.Length)
            .MaxBy(m => Math.Abs(problem.WantedSets[m] - theirs[m]) - Math.Abs(problem.WantedSets[m] - mine[m]));
        return (
            problem.SetsOff(theirs) - problem.SetsOff(mine),
            () => Reason.Of("why.week-sets", ("first", first), ("muscle", Term.For((Muscle)nearer)))
        );
    }

    private IEnumerable<int> OfDay(int line) =>
        Enumerable.Range(0, taken.Length).Where(i => i != line && taken[i] >= 0 && problem.Day[i] == problem.Day[line]);

    private WeekChoice.Rig Rig(int line, int option) => choice.RigOf(lines[line].Options[option]);

    private WeekChoice.Rig Taken(int line) => Rig(line, taken[line]);
}
