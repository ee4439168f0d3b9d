namespace Ingegno.Core.Rebuilding.Weeks.Choosing;

/// <summary>One way to fill a day.</summary>
/// <param name="Taken">Option per line of the day, −1 for none.</param>
/// <param name="Figure">What it is worth at the prices.</param>
/// <param name="Own">What it is worth by itself, hard sets left out.</param>
/// <param name="Sets">Its hard sets by muscle.</param>
internal sealed record DayOption(int[] Taken, double Figure, double Own, double[] Sets);

/// <summary>The ways to fill one day that can still be part of the best week, by branch and bound.</summary>
internal sealed class DayChoices
{
    private const int MostVisits = 60_000;
    private const int MostKept = 4_000;
    private const double Equal = 1e-9;

    private readonly ChoiceProblem _problem;
    private readonly ChoicePrices _prices;
    private readonly double[] _still;
    private readonly int[][] _order;
    private readonly int[] _trying;
    private readonly List<DayOption> _found = [];
    private double _floor;
    private bool _keepAll;
    private int _visits;

    public DayChoices(ChoiceProblem problem, ChoicePrices prices, int first, int next)
    {
        (_problem, _prices, First, Next) = (problem, prices, first, next);
        _trying = new int[problem.Lines.Length];
        Array.Fill(_trying, -1);
        _still = new double[next - first + 1];
        _order = new int[next - first][];
        for (var line = next - 1; line >= first; line--)
        {
            var figures = prices.Figures[line];
            _order[line - first] = [.. Enumerable.Range(0, figures.Length).OrderByDescending(o => figures[o]).ThenBy(o => o)];
            _still[line - first] = _still[line - first + 1] + Math.Max(0, figures.DefaultIfEmpty(0).Max());
        }

        _floor = double.NegativeInfinity;
        Visit(first, 0, 0);
        Best = _found[^1];

        // Cut short, the sum of the lines' best is the bound that holds.
        Bound = _visits > MostVisits ? _still[0] : Best.Figure;
    }

    public int First { get; }

    public int Next { get; }

    /// <summary>The best way found at the prices.</summary>
    public DayOption Best { get; }

    /// <summary>No way is worth more than this at the prices.</summary>
    public double Bound { get; }

    /// <summary>All ways worth at least <paramref name="floor"/> at the prices, best first; and whether they are all.</summary>
    public (List<DayOption> Options, bool All) AtLeast(double floor)
    {
        _found.Clear();
        (_floor, _keepAll, _visits) = (floor - Equal, true, 0);
        Visit(First, 0, 0);
        return ([.. _found.OrderByDescending(o => o.Figure)], _visits <= MostVisits && _found.Count < MostKept);
    }

    private void Visit(int line, double figure, double seconds)
    {
        var bound = figure - _problem.Overtime(seconds) + _still[line - First];
        if (bound <= _floor || _visits++ > MostVisits)
        {
            return;
        }

        if (line == Next)
        {
            Keep(bound);
            return;
        }

        foreach (var option in _order[line - First])
        {
            var clash = _problem.ClashesBefore(line, option, _trying);
            if (clash < ChoiceProblem.Never)
            {
                _trying[line] = option;
                Visit(line + 1, figure + _prices.Figures[line][option] - clash, seconds + _problem.Lines[line][option].Seconds);
            }
        }

        _trying[line] = -1;
        Visit(line + 1, figure, seconds);
    }

    private void Keep(double figure)
    {
        if (_keepAll && _found.Count >= MostKept)
        {
            return;
        }

        var sets = new double[_problem.WantedSets.Length];
        for (var line = First; line < Next; line++)
        {
            _problem.AddSets(line, _trying[line], sets);
        }

        _found.Add(new DayOption(_trying[First..Next], figure, _problem.WorthOfDay(First, Next, _trying), sets));
        _floor = _keepAll ? _floor : figure + Equal;
    }
}
