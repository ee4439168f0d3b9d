using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Programs.Lines;

/// <summary>Infers what a gym line is for from where it stands, its pattern and its dose.</summary>
public static class RoleOfLine
{
    /// <summary>Sets of so many reps and fewer make a compound line among the first a main lift. Common practice.</summary>
    private const int MainLiftReps = 8;

    /// <summary>
    /// The first compound line, and any compound line among the first three at eight reps or fewer, is a main lift;
    /// other compound lines of the first half are secondary; mobility, breathing and shoulder-blade work is
    /// activation, shrugs apart; the rest is accessory. Common practice.
    /// </summary>
    /// <param name="position">Place in the day, 0 first.</param>
    /// <param name="count">Lines of the day.</param>
    public static LineRole Infer(GymLine line, Exercise exercise, int position, int count)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(exercise);
        var shrug = exercise is { Pattern: MovementPattern.ScapularControl, Strength.Curve: CurveKind.SingleJoint };
        if (exercise.Pattern is MovementPattern.Mobility or MovementPattern.Breathing or MovementPattern.ScapularControl && !shrug)
        {
            return LineRole.Activation;
        }

        if (exercise.Structure == ExerciseStructure.Isolation)
        {
            return LineRole.Accessory;
        }

        var heavy = !line.Target.IsOpen && !line.Timed && line.Target.Min <= MainLiftReps;
        if (position == 0 ? !line.Timed && (heavy || line.Target.Max <= 12) : position < 3 && heavy)
        {
            return LineRole.Main;
        }

        return position < (count + 1) / 2 ? LineRole.Secondary : LineRole.Accessory;
    }
}
