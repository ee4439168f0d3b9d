using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Rebuilding;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Auditing;

/// <summary>Whether single lines do what they are for: reps, effort, load, sides (handbook 04).</summary>
internal static class DoseChecks
{
    /// <summary>Reps further from failure than this carry little of the stimulus: the last five or so do.</summary>
    private const int FarFromFailure = 5;

    /// <summary>Reps between the bottom and the top of a range in which a line can grow.</summary>
    private const int RangeToGrow = 3;

    /// <summary>Share of the one-rep maximum below which a set does less.</summary>
    private const double LightShare = 0.3;

    public static IEnumerable<Finding> Find(AuditedPlan plan) => plan.Exercises.SelectMany(Of).Concat(GoingOn(plan));

    private static IEnumerable<Finding> Of(AuditedExercise at)
    {
        var name = at.Exercise.Name;
        if (at.Exercise.Sides == Catalogue.Sides.Unilateral && !at.PerSide)
        {
            yield return new Finding($"sides/{at.Line}", "sides", Severity.Warning, $"{name} works one side at a time, but no count per side is given.", $"{at.Sets} sets of {Reps(at)}.", at.Line, Remedies.Text([at], "Count each side", l => l with { PerSide = true }));
        }

        if (at.Timed || at.Target.IsOpen)
        {
            yield break;
        }

        if (at.Target.Max > DosePrescriber.MostUsefulReps)
        {
            yield return new Finding(
                $"past-thirty/{at.Line}", "past-thirty", Severity.Warning, $"{name} runs past {DosePrescriber.MostUsefulReps} reps, where a set does less: slow it, pause it, or take a harder version.",
                $"{Reps(at)} reps.", at.Line, Remedies.Figures(at, "Stop at 30", e => e with { Target = new SetTarget(Math.Min(at.Target.Min, DosePrescriber.MostUsefulReps), DosePrescriber.MostUsefulReps) }));
        }

        if (at.Home?.RepsToFailure is not { } toFailure)
        {
            if (at.Rir > FarFromFailure)
            {
                yield return new Finding($"far/{at.Line}", "far-from-failure", Severity.Warning, $"{name} stops far from failure; the last five or so reps carry the stimulus.", $"{at.Rir} reps in reserve.", at.Line, Remedies.Figures(at, "Stop with two in reserve", e => e with { Rir = 2 }));
            }

            yield break;
        }

        var reserve = (int)Math.Floor(toFailure) - at.Target.Max;
        if (reserve > FarFromFailure && at.Target.Max < DosePrescriber.MostUsefulReps)
        {
            var more = Math.Min(DosePrescriber.MostUsefulReps, (int)Math.Floor(toFailure) - (at.Rir ?? 2));
            yield return new Finding(
                $"far/{at.Line}", "far-from-failure", Severity.Warning, $"{name} stops far from failure; the last five or so reps carry the stimulus.",
                $"{Reps(at)} planned, about {Math.Floor(toFailure)} could be done.", at.Line, Remedies.Figures(at, $"Go to {more} reps", e => e with { Target = new SetTarget(more, more) }));
        }

        if (at.Exercise.Strength is { } strength && toFailure > RepMaxCurve.RepsAtShare(LightShare, strength.Curve))
        {
            yield return new Finding($"light/{at.Line}", "light", Severity.Warning, $"{name} is under about 30 % of what this client could move once.", $"About {Math.Floor(toFailure)} reps to failure are expected.", at.Line);
        }
    }

    private static IEnumerable<Finding> GoingOn(AuditedPlan plan)
    {
        if (!plan.SaysHowToGoOn)
        {
            yield return new Finding(
                "no-progression", "no-progression", Severity.Warning, "Nothing says how the plan goes on: no rep range, no effort, no open set. It will stand still by week three.",
                "Every line has one fixed figure.", null,
                Remedies.Text(plan.Exercises.Where(e => !e.Timed && !e.Target.IsOpen), "Give each line a range to grow in", l => l with { Target = new SetTarget(l.Target.Min, l.Target.Max + RangeToGrow) }));
        }
    }

    private static string Reps(AuditedExercise at) => at.Target.IsOpen ? "as many as possible" : at.Target.Min == at.Target.Max ? $"{at.Target.Min}" : $"{at.Target.Min}–{at.Target.Max}";
}
