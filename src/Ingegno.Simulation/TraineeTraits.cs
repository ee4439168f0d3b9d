using Ingegno.Core.Foundation.Body;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Simulation;

/// <summary>
/// How a simulated trainee answers to training. All figures are own estimates of the usual order of magnitude, made for tests and
/// demo data; they are statements about nobody.
/// </summary>
/// <param name="GainPerSession">Gain in strength of a well-dosed session of an exercise, as a share.</param>
/// <param name="Ceiling">Gain at which progress has halved, as a share.</param>
/// <param name="LossPerWeek">Loss a week without training, after the first, as a share.</param>
/// <param name="DayToDay">Standard deviation of strength from day to day, as a share.</param>
/// <param name="Guess">Standard deviation of the guess of reps in reserve, reps.</param>
/// <param name="Attendance">Chance of doing a planned session.</param>
public sealed record TraineeTraits(
    double GainPerSession,
    double Ceiling,
    double LossPerWeek = 0.01,
    double DayToDay = 0.025,
    double Guess = 0.6,
    double Attendance = 0.95
)
{
    /// <summary>What rests cost it against the usual cost: 1 as usual, above it tires more.</summary>
    public double RestCost { get; init; } = 1;

    /// <summary>What techniques cost it against the usual cost.</summary>
    public double TechniqueCost { get; init; } = 1;

    /// <summary>Weeks, 0 first, in which nothing is trained.</summary>
    public IReadOnlyCollection<int> AwayInWeeks { get; init; } = [];

    /// <summary>Week from which a joint hurts; null for never.</summary>
    public int? HurtsFromWeek { get; init; }

    /// <summary>The joint that hurts then.</summary>
    public Joint? Hurts { get; init; }

    /// <summary>Week from which nothing is gained any more; null for never.</summary>
    public int? StuckFromWeek { get; init; }

    /// <summary>Usual traits of a level.</summary>
    public static TraineeTraits ForLevel(Level level) =>
        level switch
        {
            Level.Beginner => new(0.012, 0.25),
            Level.Novice => new(0.009, 0.20),
            Level.Intermediate => new(0.006, 0.15),
            _ => new(0.004, 0.10),
        };
}
