using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Reps that are counted of both sides together: steps, limbs in turn, and what is called a total.</summary>
internal static class CountedInAll
{
    /// <summary>From so many on, steps of walking lunges and reps of alternating limbs are counted in all (common practice).</summary>
    private const int LeastInAll = 16;

    private static bool CountsSteps(LineDraft draft, Exercise exercise) => draft.InSteps && exercise.Pattern == MovementPattern.Lunge;

    private static bool IsInTurn(GymLine line, Exercise exercise) =>
        exercise.Id == "walking-lunge" || line.Modifiers.Any(m => m.Id == "alternating");

    /// <summary>Twenty walking lunges are ten a side.</summary>
    public static GymLine Settle(GymLine line, LineDraft draft, Exercise exercise)
    {
        var (low, high) = (line.Target.Min, line.Target.Max);
        if (
            line.PerSide
            || line.Timed
            || line.Target.IsOpen
            || !line.Each.IsEmpty
            || low % 2 + high % 2 > 0
            || !(
                CountsSteps(draft, exercise)
                || (low >= LeastInAll && IsInTurn(line, exercise))
                || (draft.InAll && exercise.Sides == Sides.Unilateral)
            )
        )
        {
            return line;
        }

        var side = new SetTarget(low / 2, high / 2);
        draft.Doubt(0, 1, "shorthand.in-all", ("given", line.Target.InWords), ("side", side.InWords));
        return line with { Target = side, PerSide = true };
    }
}
