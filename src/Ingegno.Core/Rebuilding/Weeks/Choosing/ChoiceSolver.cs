using System.Collections.Immutable;

namespace Ingegno.Core.Rebuilding.Weeks.Choosing;

/// <summary>A choice for every line of a week.</summary>
/// <param name="Taken">Index of the option per line, −1 for none.</param>
/// <param name="Worth">What it is worth.</param>
/// <param name="Bound">No choice is worth more than this.</param>
public sealed record WeekSolution(ImmutableArray<int> Taken, double Worth, double Bound)
{
    /// <summary>True when the search showed that no choice is worth more.</summary>
    public bool Proven => Bound <= Worth + 1e-6;
}

/// <summary>
/// Solves a <see cref="ChoiceProblem"/>: greedy start, then branch and bound. Prices on hard sets
/// (<see cref="ChoicePrices"/>) take the days apart; of each day only the ways that can still be part of the best week
/// are listed, and the lists are combined. Never worse than greedy; exact unless cut short, and it says which.
/// </summary>
public static class ChoiceSolver
{
    private const int MostCombined = 300_000;
    private const double Equal = 1e-9;

    /// <summary>The best choice. Deterministic: of equal choices the first found stays.</summary>
    public static WeekSolution Solve(ChoiceProblem problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        if (problem.Lines.IsEmpty)
        {
            return new WeekSolution([], 0, 0);
        }

        var best = Greedy(problem);
        var prices = ChoicePrices.Find(problem, problem.Worth(best));
        var days = Days(problem, prices);
        var start = new int[best.Length];
        foreach (var day in days)
        {
            day.Best.Taken.CopyTo(start, day.First);
        }

        best = problem.Worth(start) > problem.Worth(best) + Equal ? start : best;
        var combination = new Combination(problem, prices.Constant, days, best);
        combination.Run();
        return new WeekSolution([.. combination.Best], combination.Worth, combination.Bound);
    }

    /// <summary>Each line's best in turn that does not clash with those before.</summary>
    public static int[] Greedy(ChoiceProblem problem)
    {
        ArgumentNullException.ThrowIfNull(problem);
        var taken = new int[problem.Lines.Length];
        Array.Fill(taken, -1);
        for (var line = 0; line < taken.Length; line++)
        {
            var best = 0.0;
            for (var option = 0; option < problem.Lines[line].Length; option++)
            {
                var value = problem.Lines[line][option].Value - problem.ClashesBefore(line, option, taken);
                if (value > best + Equal)
                {
                    (best, taken[line]) = (value, option);
                }
            }
        }

        return taken;
    }

    private static List<DayChoices> Days(ChoiceProblem problem, ChoicePrices prices)
    {
        var days = new List<DayChoices>();
        for (int first = 0, next; first < problem.Lines.Length; first = next)
        {
            for (next = first + 1; next < problem.Lines.Length && problem.Day[next] == problem.Day[first]; next++) { }

            days.Add(new DayChoices(problem, prices, first, next));
        }

        return days;
    }

    /// <summary>Puts the days' lists together, pruned by the prices, judged by the true worth.</summary>
    private sealed class Combination
    {
        private readonly ChoiceProblem _problem;
        private readonly double _constant;
        private readonly List<DayChoices> _days;
        private readonly double[] _still;
        private readonly List<DayOption>[] _lists;
        private readonly DayOption[] _taken;
        private readonly double _gap;
        private bool _all = true;
        private int _combined;

        public Combination(ChoiceProblem problem, double constant, List<DayChoices> days, int[] best)
        {
            (_problem, _constant, _days, Best, Worth) = (problem, constant, days, best, problem.Worth(best));
            _taken = new DayOption[days.Count];
            _lists = new List<DayOption>[days.Count];
            _still = new double[days.Count + 1];
            for (var day = days.Count - 1; day >= 0; day--)
            {
                _still[day] = _still[day + 1] + days[day].Bound;
            }

            _gap = _constant + _still[0] - Worth;
        }

        public int[] Best { get; private set; }

        public double Worth { get; private set; }

        public double Bound => _all ? Worth : Math.Max(Worth, _constant + _still[0]);

        public void Run()
        {
            if (_gap <= Equal)
            {
                return;
            }

            for (var day = 0; day < _days.Count; day++)
            {
                var (options, all) = _days[day].AtLeast(_days[day].Bound - _gap);
                _lists[day] = options;
                _all &= all;
            }

            Visit(0, _constant, 0);
        }

        private void Visit(int day, double bound, double own)
        {
            if (day == _days.Count)
            {
                Judge(own);
                return;
            }

            foreach (var option in _lists[day])
            {
                if (bound + option.Figure + _still[day + 1] <= Worth + Equal)
                {
                    return; // The lists run from best to worst.
                }

                if (_combined++ > MostCombined)
                {
                    _all = false;
                    return;
                }

                _taken[day] = option;
                Visit(day + 1, bound + option.Figure, own + option.Own);
            }
        }

        private void Judge(double own)
        {
            Span<double> sets = stackalloc double[_problem.WantedSets.Length];
            foreach (var option in _taken)
            {
                for (var m = 0; m < sets.Length; m++)
                {
                    sets[m] += option.Sets[m];
                }
            }

            var worth = own - _problem.SetsOff(sets);
            if (worth > Worth + Equal)
            {
                Worth = worth;
                Best = [.. _taken.SelectMany(o => o.Taken)];
            }
        }
    }
}
