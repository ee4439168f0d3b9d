using System.Collections.Immutable;
using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>The resistance part of a match, as a reason.</summary>
internal static class ResistanceReason
{
    /// <summary>Expected against wanted reps, with what brings them there; where reps are not the measure, what stands for what.</summary>
    public static Reason Explain(LoadedSetup loaded, Exercise exercise, LineToMatch line, MatchRules rules) =>
        loaded.Reps is { } reps
            ? Of(reps, line.Effort, line.Aim(rules), loaded.Techniques)
            : Reason.Of(
                IsPowerForPower(line, exercise) ? "part.power-for-power"
                : IsLikeForLike(line, exercise) ? "part.hold-for-hold"
                : exercise.Measure == Measure.Seconds ? "part.hold-for-reps"
                : "part.control"
            );

    /// <summary>Both are done for speed.</summary>
    public static bool IsPowerForPower(LineToMatch line, Exercise exercise) => line.Exercise.IsForPower && exercise.IsForPower;

    /// <summary>Whether the gym line is held, or has no load that measures it, and so has what is not measured either. What is done for
    /// speed has its like in speed alone.</summary>
    public static bool IsLikeForLike(LineToMatch line, Exercise exercise) =>
        line.Exercise.IsForPower ? exercise.IsForPower : line.Line.Timed || line.Exercise.Strength is null;

    private static Reason Of(RepRange reps, WantedEffort effort, RepAim aim, ImmutableArray<Technique> techniques)
    {
        double Whole(double value) => Math.Round(value, MidpointRounding.AwayFromZero);
        List<Fact> facts =
        [
            ("reps", reps.InWords),
            ("techniques", FactList.Of(techniques.Select(t => t.Label))),
            ("low", Whole(effort.Low)),
        ];
        if (effort.Low < effort.High - 0.5)
        {
            facts.Add(("high", Whole(effort.High)));
        }

        facts.Add(("too_hard", aim.Of(reps.Mid) == RepFit.Harder));
        facts.Add(("too_light", aim.Of(reps.Mid) == RepFit.Easier));
        return new Reason("part.resistance", [.. facts]);
    }
}
