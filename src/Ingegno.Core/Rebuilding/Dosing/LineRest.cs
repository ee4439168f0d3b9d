using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Rebuilding.Dosing;

/// <summary>Rest of a line that names none: by goal and reps, and longer where few reps are asked at a stated effort.</summary>
public static class LineRest
{
    /// <summary>Usual rest, s; what the line itself names is not asked.</summary>
    public static int Usual(GymLine line, Goal goal, DoseRules dose)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(dose);
        var usual = dose.UsualRest(goal, line.Target);
        return line is { Reserve: not null, Timed: false, Target.IsOpen: false } && line.Target.Max <= dose.StatedEffort.UpToReps
            ? Math.Max(usual, dose.StatedEffort.Seconds)
            : usual;
    }
}
