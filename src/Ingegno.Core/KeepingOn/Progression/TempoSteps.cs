using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Making.Prescribing;
using Ingegno.Core.Written.Plans;

namespace Ingegno.Core.KeepingOn.Progression;

/// <summary>What seconds do for a set that no load makes harder: a slower lowering, a pause, and a faster tempo where more reps would last too long.</summary>
internal sealed class TempoSteps(ProposalWriter say)
{
    private const int FewestSets = 2;

    /// <summary>
    /// The slowest lowering that still leaves the bottom of the zone, five seconds or three; null when neither does, it is slow
    /// already or the day has no time for it. Five down is the standard step when the load cannot rise (docs/trade/prescription), taken
    /// as far as the reps bear it.
    /// </summary>
    public Proposal? Slower(double able, Reason because)
    {
        var tempo = say.Tempo;
        var zone = say.Dose.Zone!;
        foreach (
            var seconds in new[] { ProposalWriter.SlowestStep, ProposalWriter.SlowStep }.Where(s => s > tempo.Eccentric && !say.Dose.Timed)
        )
        {
            var slower = tempo with { Eccentric = seconds };
            var there = ((able + say.Dose.Rir) * say.Left(slower) / say.Left(tempo)) - say.Dose.Rir;

            // Nearly the whole zone there: that step has been taken, and reps past the zone at a faster one followed.
            var taken = !zone.IsOpen && say.Dose.Target.Min >= zone.Max && there >= zone.Max - 1;
            if (there >= (zone.IsOpen ? 1 : zone.Min) && !taken)
            {
                var dose = say.Dose with { Tempo = slower, Target = zone };
                if (say.Context.Bears(dose) && Within(dose) is { } fits)
                {
                    var less = fits.Sets < dose.Sets ? Reason.Of("harder.set-less") : null;
                    return say.Make(
                        Decision.TechniqueOn,
                        Reason.Row(because, Reason.Of("harder.slower", ("seconds", seconds)), less),
                        fits
                    );
                }
            }
        }

        return null;
    }

    /// <summary>
    /// A pause of two seconds at the hard end of the range, where the exercise bears one and the reps do; null otherwise. After five down the
    /// next of the usual ways to grow without load (docs/trade/progression).
    /// </summary>
    public Proposal? Paused(double able)
    {
        var (tempo, zone) = (say.Tempo, say.Dose.Zone!);
        if (
            say.Dose.Timed
            || tempo.PauseStretched + tempo.PauseShortened > 0
            || !say.Context.Exercise.Techniques.Contains("pause")
            || say.Dose.Scheme is not null
        )
        {
            return null;
        }

        var paused =
            say.Context.Exercise.Profile == Profile.Shortened
                ? tempo with
                {
                    PauseShortened = Pause,
                }
                : tempo with
                {
                    PauseStretched = Pause,
                };
        var left = ((able + say.Dose.Rir) * say.Left(paused) / say.Left(tempo)) - say.Dose.Rir;
        var dose = say.Dose with { Tempo = paused, Target = zone };
        return left >= (zone.IsOpen ? 1 : zone.Min) && say.Context.Bears(dose) && Within(dose) is { } fits
            ? say.Make(Decision.TechniqueOn, Reason.Of("harder.paused", ("seconds", Pause)), fits)
            : null;
    }

    /// <summary>Past so many reps nobody lowers for two seconds: one down and one up.</summary>
    private const int Steady = 1;

    /// <summary>More reps would last too long at this tempo: a faster one with the reps that go with it; null where there is none.</summary>
    public Proposal? Faster(int reps)
    {
        var tempo = say.Tempo;
        if (say.Dose.Timed || say.IsRestPause || tempo.Eccentric <= Steady)
        {
            return null;
        }

        foreach (var seconds in new[] { ProposalWriter.SlowStep, Tempo.Usual.Eccentric, Steady }.Where(s => s < tempo.Eccentric))
        {
            var faster = tempo with { Eccentric = seconds };
            var there = (int)Math.Floor(((reps + say.Dose.Rir) * say.Left(faster) / say.Left(tempo)) - say.Dose.Rir);
            var able = Math.Min(there, Math.Min(say.MostReps, Longest(faster)) - PastZoneSteps.Step);
            var dose = say.Dose with
            {
                Tempo = faster,
                Target = new SetTarget(able, able + PastZoneSteps.Step),
                Techniques = [],
                Instructions = [],
            };
            if (able >= Math.Min(reps, say.Dose.Target.Max) && dose.Target.Max > say.Dose.Target.Max && say.Context.Fits(dose))
            {
                return say.Make(Decision.MoreReps, Reason.Of("past-zone.faster", ("seconds", seconds), ("reps", able)), dose);
            }
        }

        return null;
    }

    /// <summary>Reps of a set at a tempo until it has lasted as long as a set may.</summary>
    public int Longest(Tempo tempo) => (int)Math.Min(500, Math.Floor(say.Context.SetSeconds / Math.Max(1, tempo.SecondsPerRep)));

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
