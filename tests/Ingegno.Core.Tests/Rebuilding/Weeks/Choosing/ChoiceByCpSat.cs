using Google.OrTools.Sat;
using Ingegno.Core.Rebuilding.Weeks.Choosing;

namespace Ingegno.Core.Tests.Rebuilding.Weeks.Choosing;

/// <summary>The choice for a week as a constraint model of whole numbers, everything in millionths; also the rival in the
/// benchmark.</summary>
internal static class ChoiceByCpSat
{
    private const double Scale = 1_000_000;

    /// <summary>What the best choice is worth, as CP-SAT proves it.</summary>
    /// <exception cref="InvalidOperationException">The solver did not prove its solution.</exception>
    public static double Solve(ChoiceProblem problem)
    {
        var model = new CpModel();
        var taken = problem.Lines.Select((l, i) => l.Select((_, o) => model.NewBoolVar($"x{i}.{o}")).ToArray()).ToArray();
        var worth = new List<LinearExpr>();
        for (var i = 0; i < taken.Length; i++)
        {
            model.AddAtMostOne(taken[i]);
            for (var o = 0; o < taken[i].Length; o++)
            {
                worth.Add(Scaled(problem.Lines[i][o].Value) * taken[i][o]);
                for (var b = 0; b < problem.Clashes[i].Length; b++)
                {
                    for (var p = 0; p < taken[i - 1 - b].Length; p++)
                    {
                        AddClash(model, worth, taken[i][o], taken[i - 1 - b][p], problem.Clashes[i][b][o, p]);
                    }
                }
            }
        }

        AddSets(problem, model, taken, worth);
        AddOvertime(problem, model, taken, worth);
        model.Maximize(LinearExpr.Sum(worth));
        var solver = new CpSolver { StringParameters = "num_workers:1" };
        return solver.Solve(model) == CpSolverStatus.Optimal
            ? solver.ObjectiveValue / Scale
            : throw new InvalidOperationException("CP-SAT proved nothing.");
    }

    private static long Scaled(double value) => (long)Math.Round(value * Scale);

    private static void AddSets(ChoiceProblem problem, CpModel model, BoolVar[][] taken, List<LinearExpr> worth)
    {
        for (var m = 0; m < problem.WantedSets.Length; m++)
        {
            // Counted in halves of a set; each costs half of what a set does.
            var halves = taken
                .SelectMany(
                    (l, i) =>
                        l.Select((x, o) => (long)Math.Round(2 * problem.Lines[i][o].Sets.Where(s => s.Muscle == m).Sum(s => s.Sets)) * x)
                )
                .ToList();
            var (missed, extra) = (model.NewIntVar(0, 10_000, $"missed{m}"), model.NewIntVar(0, 10_000, $"extra{m}"));
            model.Add(LinearExpr.Sum(halves) + missed - extra == (long)Math.Round(2 * problem.WantedSets[m]));
            worth.Add(-Scaled(problem.MissedSet / 2) * missed);
            worth.Add(-Scaled(problem.ExtraSet / 2) * extra);
        }
    }

    private static void AddOvertime(ChoiceProblem problem, CpModel model, BoolVar[][] taken, List<LinearExpr> worth)
    {
        for (var d = 0; d < problem.Days && problem.SecondsPerDay is not null; d++)
        {
            var seconds = LinearExpr.Sum(
                taken.SelectMany((l, i) => problem.Day[i] == d ? l.Select((x, o) => (long)Math.Round(problem.Lines[i][o].Seconds) * x) : [])
            );
            var over = model.NewIntVar(0, 100_000, $"over{d}");
            model.Add(over >= seconds - (long)Math.Round(problem.SecondsPerDay.Value));
            worth.Add(-Scaled(problem.OverSecond) * over);
        }
    }

    private static void AddClash(CpModel model, List<LinearExpr> worth, BoolVar a, BoolVar b, double cost)
    {
        if (cost == ChoiceProblem.Never)
        {
            model.AddBoolOr([a.Not(), b.Not()]);
        }
        else if (cost > 0)
        {
            var both = model.NewBoolVar("both");
            model.AddBoolOr([a.Not(), b.Not(), both]);
            worth.Add(-Scaled(cost) * both);
        }
    }
}
