using System.Collections.Immutable;

namespace Ingegno.Core.Clients.Strength;

/// <summary>A published formula for the one-rep maximum w₁ from a load w and the reps r to failure with it.</summary>
/// <param name="Id">Key.</param>
/// <param name="Name">Its author and year.</param>
/// <param name="Equation">The equation in words of algebra.</param>
public sealed record RepMaxFormula(string Id, string Name, string Equation)
{
    private readonly Func<double, double> _maxOverLoad = r => r;
    private readonly Func<double, double> _repsAtRatio = q => q;

    private RepMaxFormula(string id, string name, string equation, Func<double, double> maxOverLoad, Func<double, double> repsAtRatio)
        : this(id, name, equation) => (_maxOverLoad, _repsAtRatio) = (maxOverLoad, repsAtRatio);

    /// <summary>All that are known.</summary>
    public static ImmutableArray<RepMaxFormula> All { get; } =
    [
        new("epley", "Epley 1985", "w (1 + r/30)", r => 1 + (r / 30), q => 30 * (q - 1)),
        new("brzycki", "Brzycki 1993", "36 w / (37 − r)", r => 36 / (37 - r), q => 37 - (36 / q)),
        new("lombardi", "Lombardi 1989", "w r^0.10", r => Math.Pow(r, 0.1), q => Math.Pow(q, 10)),
        new("oconner", "O'Conner 1989", "w (1 + 0.025 r)", r => 1 + (0.025 * r), q => (q - 1) / 0.025),
        new(
            "mayhew",
            "Mayhew 1992",
            "100 w / (52.2 + 41.9 e^(−0.055 r))",
            r => 100 / (52.2 + (41.9 * Math.Exp(-0.055 * r))),
            q => Exponential(q, 52.2, 41.9, 0.055)
        ),
        new(
            "wathan",
            "Wathan 1994",
            "100 w / (48.8 + 53.8 e^(−0.075 r))",
            r => 100 / (48.8 + (53.8 * Math.Exp(-0.075 * r))),
            q => Exponential(q, 48.8, 53.8, 0.075)
        ),
    ];

    /// <summary>The formula of that key; null when there is none.</summary>
    public static RepMaxFormula? Find(string? id) => All.FirstOrDefault(f => f.Id == id);

    /// <summary>
    /// One-rep maximum in the unit of the load. A single rep is the maximum itself, whatever the equation gives there. Brzycki's
    /// equation ends at 37 reps: from 36 on the last value holds.
    /// </summary>
    /// <exception cref="ArgumentOutOfRangeException">The load is negative or the reps are below 1.</exception>
    public double OneRepMax(double load, double reps)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(load);
        ArgumentOutOfRangeException.ThrowIfLessThan(reps, 1);
        return reps <= 1 ? load : load * Math.Max(1, _maxOverLoad(Id == "brzycki" ? Math.Min(reps, 36) : reps));
    }

    /// <summary>Reps to failure at a load, 0 above the maximum, from 1 to <see cref="RepMaxCurve.MostReps"/> up to it.</summary>
    /// <exception cref="ArgumentOutOfRangeException">The load is negative or the maximum is not above 0.</exception>
    public double RepsAt(double load, double oneRepMax)
    {
        ArgumentOutOfRangeException.ThrowIfNegative(load);
        ArgumentOutOfRangeException.ThrowIfNegativeOrZero(oneRepMax);
        if (load > oneRepMax)
        {
            return 0;
        }

        var reps = load <= 0 ? RepMaxCurve.MostReps : _repsAtRatio(oneRepMax / load);
        return double.IsFinite(reps) ? Math.Clamp(reps, 1, RepMaxCurve.MostReps) : RepMaxCurve.MostReps;
    }

    /// <summary>Reps where 100/q = a + b·e^(−c·r); without end where the load is below a percent of the maximum.</summary>
    private static double Exponential(double q, double a, double b, double c) =>
        (100 / q) - a <= 0 ? double.PositiveInfinity : -Math.Log(((100 / q) - a) / b) / c;
}
