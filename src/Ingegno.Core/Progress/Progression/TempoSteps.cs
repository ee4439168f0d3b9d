using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>What seconds do for a set that no load makes harder: a slower lowering, a pause, and a faster tempo where more reps would last too long.</summary>
internal sealed class TempoSteps(ProposalWriter say)
{
    private const int FewestSets = 2;

    /// <summary>
    /// The slowest lowering that still leaves the bottom of the zone, five seconds or three; null when neither does, it is slow
    /// already or the day has no time for it. Five down is the standard step when the load cannot rise (docs/domain/prescription), taken
    /// as far as the reps bear it.
    /// </summary>
    /// <param name="able">Reps of a set as it is done now.</param>
    /// <param name="because">Why seconds and nothing else.</param>
    public Proposal? Slower(double able, Reason because)
    {
        if (say.Dose.Timed || HasOther)
        {
            return null; // one technique at a time
        }

        foreach (var step in say.SlowLowerings.Where(t => t.Eccentric > say.Tempo.Eccentric))
        {
            if (Leads(say.With(step), able) is { } dose)
            {
                var less = dose.Sets < say.Dose.Sets ? Reason.Of("harder.set-less") : null;
                return say.Make(
                    Decision.TechniqueOn,
                    Reason.Row(because, Reason.Of("harder.slower", ("seconds", step.Eccentric!.Value)), less),
                    dose
                );
            }
        }

        return null;
    }

    /// <summary>
    /// A pause of two seconds at the hard end of the range, where the exercise bears one and the reps do; null otherwise. After five down the
    /// next of the usual ways to grow without load (docs/domain/progression).
    /// </summary>
    /// <param name="able">Reps of a set as it is done now.</param>
    public Proposal? Paused(double able) =>
        say.Dose is { Timed: false, Scheme: null }
        && say.Tempo.PauseStretched + say.Tempo.PauseShortened == 0
        && say.Taken.All(IsOfTempo)
        && say.Context.Techniques.FirstOrDefault(t => t is { Of: TechniqueName.Pause, Pause: Pause }) is { } pause
        && Leads(say.With(pause), able) is { } dose
            ? say.Make(Decision.TechniqueOn, Reason.Of("harder.paused", ("seconds", Pause)), dose)
            : null;

    /// <summary>
    /// Another manner with the reps back in the zone; null where fewer than its bottom would be left, a set would last too long, the day has no
    /// time, or that step has been taken before: nearly the whole zone there, and reps past the zone followed.
    /// </summary>
    /// <param name="manner">The dose in the other manner.</param>
    /// <param name="able">Reps of a set as it is done now.</param>
    public Dose? Leads(Dose manner, double able)
    {
        var zone = say.Dose.Zone!;
        var there = say.RepsIn(manner, able);
        var taken = !zone.IsOpen && say.Dose.Target.Max > DoubleProgression.Top(say.Dose) && there >= zone.Max - 1;
        var dose = manner with { Target = zone };
        return there >= (zone.IsOpen ? 1 : zone.Min) && !taken && say.Context.Bears(dose) ? Within(dose) : null;
    }

    /// <summary>A tempo says all of it.</summary>
    public static bool IsSaidByTempo(Technique step) => step.Of is TechniqueName.SlowEccentric or TechniqueName.Pause;

    /// <summary>Seconds and range go together; anything else is a technique of its own.</summary>
    private static bool IsOfTempo(Technique step) => IsSaidByTempo(step) || step.Of == TechniqueName.LongerRange;

    /// <summary>The reps are done in another way than seconds and range say.</summary>
    private bool HasOther => say.Taken.Any(t => t is { Scheme: null } && !IsOfTempo(t));

    /// <summary>Past so many reps nobody lowers for two seconds: one down and one up.</summary>
    private const int Steady = 1;

    /// <summary>More reps would last too long at this tempo: a faster one with the reps that go with it; null where there is none.</summary>
    /// <param name="reps">Reps of a set as it is done now.</param>
    public Proposal? Faster(int reps)
    {
        if (say.Dose.Timed || say.IsOneFigure || say.Tempo.Eccentric <= Steady || HasOther)
        {
            return null; // a technique is not given up for quick reps
        }

        foreach (var seconds in new[] { ProposalWriter.SlowStep, Tempo.Usual.Eccentric, Steady }.Where(s => s < say.Tempo.Eccentric))
        {
            var faster = At(seconds);
            var there = (int)Math.Floor(say.RepsIn(faster, reps));
            var able = Math.Min(there, Math.Min(say.MostReps, Longest(faster)) - PastZoneSteps.Step);
            var dose = faster with { Target = new SetTarget(able, able + PastZoneSteps.Step) };
            if (
                able >= Math.Min(reps, say.Dose.Target.Max)
                && dose.Target.Max >= there // less than that would be a step back
                && dose.Target.Max > say.Dose.Target.Max
                && say.Context.Fits(dose)
            )
            {
                return say.Make(Decision.MoreReps, Reason.Of("past-zone.faster", ("seconds", seconds), ("reps", able)), dose);
            }
        }

        return null;
    }

    /// <summary>The dose lowered in so many seconds, without a technique that does it otherwise.</summary>
    /// <param name="seconds">Seconds of the lowering.</param>
    public Dose At(int seconds)
    {
        var bare = say.Without(say.Dose, t => t.Of != TechniqueName.Pause) with { Tempo = say.Tempo with { Eccentric = seconds } };
        return say.SlowLowerings.FirstOrDefault(t => t.Eccentric == seconds) is { } step ? say.With(bare, step) : bare;
    }

    /// <summary>Reps of a set in the manner of a dose until it has lasted as long as a set may.</summary>
    public int Longest(Dose dose) => (int)Math.Min(500, Math.Floor(say.Context.SetSeconds / say.Context.SecondsPerRep(dose)));

    /// <summary>Seconds of a pause.</summary>
    private const int Pause = 2;

    /// <summary>The dose, or a set less of it where the day has no minutes for all; null where neither fits.</summary>
    public Dose? Within(Dose dose)
    {
        var less = dose with { Sets = dose.Sets - 1 };
        return say.Context.Fits(dose) ? dose
            : less.Sets >= FewestSets && say.Context.Fits(less) ? less
            : null;
    }
}
