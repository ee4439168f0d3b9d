namespace Ingegno.Core.Rebuilding.Weeks.Choosing;

/// <summary>
/// Prices on hard sets that take the days of a week apart. Sets that differ from those wanted cost at least
/// price × (wanted − done) for any price between −extra and missed; with the prices fixed, each option has one figure
/// of its own and the days no longer touch one another (Lagrangian relaxation; the prices are found by projected
/// subgradient steps after Held, Wolfe and Crowder 1974, from memory).
/// </summary>
internal sealed class ChoicePrices
{
    private const int Steps = 100;

    private readonly ChoiceProblem _problem;
    private readonly double[] _prices;

    private ChoicePrices(ChoiceProblem problem)
    {
        _problem = problem;
        _prices = new double[problem.WantedSets.Length];
        Figures = [.. problem.Lines.Select(l => new double[l.Length])];
    }

    /// <summary>Figure of each option at these prices.</summary>
    public double[][] Figures { get; }

    /// <summary>What the prices add whatever is taken.</summary>
    public double Constant { get; private set; }

    /// <summary>Prices whose bound comes as near to what a known choice is worth as the steps bring it.</summary>
    public static ChoicePrices Find(ChoiceProblem problem, double known)
    {
        var prices = new ChoicePrices(problem);
        var (bestBound, best, sets) = (double.PositiveInfinity, new double[prices._prices.Length], new double[prices._prices.Length]);
        var scale = 1.0;
        for (var step = 0; step < Steps; step++)
        {
            var bound = prices.Bound(sets);
            if (bound < bestBound - 1e-9)
            {
                bestBound = bound;
                prices._prices.CopyTo(best, 0);
            }
            else
            {
                scale *= 0.9;
            }

            if (!prices.Move(sets, scale * Math.Max(1e-6, bound - known)))
            {
                break;
            }
        }

        best.CopyTo(prices._prices, 0);
        prices.Price();
        return prices;
    }

    private void Price()
    {
        Constant = 0;
        for (var m = 0; m < _prices.Length; m++)
        {
            Constant -= _prices[m] * _problem.WantedSets[m];
        }

        for (var line = 0; line < Figures.Length; line++)
        {
            for (var option = 0; option < Figures[line].Length; option++)
            {
                var figure = _problem.Lines[line][option].Value;
                foreach (var (muscle, count) in _problem.Lines[line][option].Sets)
                {
                    figure += _prices[muscle] * count;
                }

                Figures[line][option] = figure;
            }
        }
    }

    /// <summary>The bound at the present prices, clashes and time left out, and the sets of the choice that reaches it.</summary>
    private double Bound(double[] sets)
    {
        Price();
        Array.Clear(sets);
        var bound = Constant;
        for (var line = 0; line < Figures.Length; line++)
        {
            var best = -1;
            for (var option = 0; option < Figures[line].Length; option++)
            {
                if (Figures[line][option] > (best < 0 ? 0 : Figures[line][best]))
                {
                    best = option;
                }
            }

            bound += best < 0 ? 0 : Figures[line][best];
            _problem.AddSets(line, best, sets);
        }

        return bound;
    }

    /// <summary>One step against the slope; false when there is none.</summary>
    private bool Move(double[] sets, double gap)
    {
        var slope = 0.0;
        for (var m = 0; m < sets.Length; m++)
        {
            slope += (sets[m] - _problem.WantedSets[m]) * (sets[m] - _problem.WantedSets[m]);
        }

        for (var m = 0; m < sets.Length && slope > 0; m++)
        {
            var step = gap / slope * (sets[m] - _problem.WantedSets[m]);
            _prices[m] = Math.Clamp(_prices[m] - step, -_problem.ExtraSet, _problem.MissedSet);
        }

        return slope > 0;
    }
}
