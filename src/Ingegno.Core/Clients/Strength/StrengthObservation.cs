using Ingegno.Core.Knowledge.Exercises;

namespace Ingegno.Core.Clients.Strength;

/// <summary>A set as evidence of strength.</summary>
/// <param name="SystemKg">System load, kg, above 0.</param>
/// <param name="Reps">Reps done.</param>
/// <param name="Rir">Reps that were left in reserve, as noted or planned.</param>
/// <param name="StraightShare">Share of straight-set reps that tempo and techniques leave, above 0, at most 1.</param>
public readonly record struct SetEvidence(double SystemKg, int Reps, int Rir, double StraightShare = 1)
{
    /// <summary>Reps past this say no more about strength.</summary>
    public const double MostTellingReps = 40;

    /// <summary>Straight reps to failure that the set stands for, 1 to <see cref="MostTellingReps"/>.</summary>
    public double RepsToFailure => Math.Clamp((Reps + Rir) / Math.Clamp(StraightShare, 0.1, 1), 1, MostTellingReps);

    /// <summary>One-rep maximum as system load, kg.</summary>
    public double OneRepMaxKg(CurveKind curve, RepMaxFormula? formula = null) =>
        formula?.OneRepMax(SystemKg, RepsToFailure) ?? RepMaxCurve.OneRepMax(SystemKg, RepsToFailure, curve);
}

/// <summary>What a day of one exercise says of strength: its best set, so the order of the sets does not matter.</summary>
/// <param name="Day">The day.</param>
/// <param name="ExerciseId">The exercise.</param>
/// <param name="OneRepMaxKg">One-rep maximum as system load, kg.</param>
public sealed record StrengthObservation(DateOnly Day, string ExerciseId, double OneRepMaxKg)
{
    /// <summary>The observation of a day; null when no set of it says anything.</summary>
    public static StrengthObservation? FromSets(
        DateOnly day,
        Exercise exercise,
        IEnumerable<SetEvidence> sets,
        RepMaxFormula? formula = null
    )
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(sets);
        if (exercise is not { Strength: { } strength, Measure: Measure.Reps })
        {
            return null;
        }

        var best = sets.Where(s => s is { SystemKg: > 0, Reps: > 0 })
            .Select(s => s.OneRepMaxKg(strength.Curve, formula))
            .DefaultIfEmpty(0)
            .Max();
        return best > 0 ? new StrengthObservation(day, exercise.Id, best) : null;
    }
}
