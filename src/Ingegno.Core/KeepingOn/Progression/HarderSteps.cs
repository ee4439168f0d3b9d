using Ingegno.Core.AtHome.Loading;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Making.Prescribing;
using Ingegno.Core.Trainee.Strength;
using Ingegno.Core.Written.Plans;

namespace Ingegno.Core.KeepingOn.Progression;

/// <summary>Steps that make an exercise harder, in the order of the trade (docs/trade/progression): load, reps, sets, variation,
/// tempo.</summary>
internal sealed class HarderSteps(ProposalWriter say)
{
    /// <summary>Past four sets another exercise does more (common practice: 2–6, mostly 3–4).</summary>
    private const int MostSets = 4;
    private const int FewestSets = 2;

    /// <summary>Rests are cut to here and no further: below it sets become conditioning (docs/trade/prescription: muscle 1–2
    /// min).</summary>
    private const int ShortestRest = 60;

    /// <summary>Reps in reserve beyond those planned from which a line is far too easy.</summary>
    private const double MuchToSpare = 2;

    /// <summary>Reps past a full zone come by so many.</summary>
    private const int StepPastZone = 2;

    /// <summary>Loads nearer to one another than this are one to a client.</summary>
    private const double LeastStepUp = 1.01;

    /// <summary>The dose with a set more; null where that is not sensible or the day has no time for it.</summary>
    private Dose? SetMore(Dose dose) =>
        dose.Sets < MostSets && !say.IsRestPause && dose with { Sets = dose.Sets + 1 } is var more && say.Context.Fits(more) ? more : null;

    /// <summary>The full sets again after a lighter week; null outside one.</summary>
    public Proposal? Resume() =>
        say.Dose.SetsBefore is { } full
            ? say.Make(Decision.Resume, Reason.Of("harder.resume", ("sets", full)), say.Dose with { Sets = full, SetsBefore = null })
            : null;

    /// <summary>Flat for three sessions: a set more, then another exercise. Null when there is no stall.</summary>
    public Proposal? Unstick(LineHistory history, Reason now)
    {
        if (!history.Stalled)
        {
            return null;
        }

        Fact[] flat = [("sessions", LineHistory.SessionsOfStall), ("now", now)];
        if (SetMore(say.Dose) is { } more)
        {
            return say.Make(Decision.MoreSets, Reason.Of("harder.unstick-set", flat), more, flag: true);
        }

        return say.Context.Harder is { } harder
            ? say.Make(
                Decision.NextRung,
                Reason.Of("harder.unstick-exercise", [.. flat, ("exercise", harder.Name)]),
                say.Dose,
                flag: true
            ) with
            {
                ToExerciseId = harder.Id,
            }
            : say.Make(Decision.Change, Reason.Of("harder.unstick-angle", flat), say.Dose, flag: true);
    }

    /// <summary>A rep more: in every set, or where one ended at failure, in the sets that have it.</summary>
    /// <param name="reps">Reps that every set shall have.</param>
    /// <param name="best">Reps of the best set.</param>
    /// <param name="everySet">No set ended at failure.</param>
    public Proposal Reps(int reps, int best, bool everySet)
    {
        var now = say.Dose.Target;
        var least = Math.Max(1, everySet ? reps : reps - 1);

        // The top is what the first set may reach next time, not the whole way to the goal.
        var top = Math.Max(reps, Math.Max(now.Max, Math.Min(say.Dose.Zone!.Max, best + 1)));
        var target =
            now.IsOpen ? now
            : say.IsRestPause ? new SetTarget(reps, reps)
            : new SetTarget(least, top);
        if (target == now && !everySet)
        {
            return say.Keep(Decision.Repeat, Reason.Of("harder.last-at-failure"));
        }

        Fact[] onTo = reps > now.Min + 1 ? [("on_to", reps)] : [];
        return say.Make(
            Decision.MoreReps,
            everySet ? Reason.Of("harder.reps", [("timed", say.Dose.Timed), .. onTo]) : Reason.Of("harder.reps-where"),
            say.Dose with
            {
                Target = target,
            }
        );
    }

    /// <summary>The zone is full: load, else set, else rung, else tempo. What was far too easy gets harder before it gets more.</summary>
    /// <param name="reps">Reps that every set had.</param>
    /// <param name="over">Reps in reserve beyond what was planned.</param>
    public Proposal Raise(int reps, double over = 0)
    {
        if (say.Dose.Standard is { } standard && say.Context.Harder is { } next)
        {
            return NextRung(next, Reason.Of("because.standard", ("standard", standard)));
        }

        var here = say.Here;
        var heavier = say.Context.Loads.Where(l => l.SystemKg > here.SystemKg * LeastStepUp).OrderBy(l => l.SystemKg).FirstOrDefault();
        if (heavier.Load is not null && say.Context.Exercise.Strength is { } strength)
        {
            return Heavier(reps, over, here, heavier, strength.Curve);
        }

        var easy = over >= MuchToSpare;
        if (easy && say.Context.Harder is { } rung)
        {
            return NextRung(rung, Reason.Of("because.easy"));
        }

        if (easy && Slower(reps + over, Reason.Of("full.easy")) is { } slower)
        {
            return slower;
        }

        if (SetMore(say.Dose with { Target = say.Dose.Zone! }) is { } more)
        {
            return say.Make(Decision.MoreSets, Reason.Of("harder.more-sets"), more);
        }

        if (say.Context.Harder is { } harder)
        {
            return NextRung(harder, Reason.Of("because.full"));
        }

        return Slower(reps + over, Reason.Of("full.nothing")) ?? MoreThanZone(reps, over);
    }

    private Proposal NextRung(Exercise harder, Reason because) =>
        say.Make(Decision.NextRung, Reason.Of("harder.next-rung", ("because", because), ("exercise", harder.Name)), say.Dose) with
        {
            ToExerciseId = harder.Id,
        };

    /// <summary>
    /// Nothing can be made harder by load, variation or tempo: reps past the zone, up to where more stop helping. Where they do not fit
    /// the minutes or help no longer, sets with much to spare get a shorter rest, or are done one fewer: hard sets count, not many sets.
    /// </summary>
    private Proposal MoreThanZone(int reps, double over)
    {
        if (ShortPastZone(reps) is { } again)
        {
            return again;
        }

        var more = say.Dose with { Target = PastZone(reps, reps + StepPastZone) };
        var longer = reps < DosePrescriber.MostUsefulReps && !say.Dose.Timed;
        if (longer && say.Context.Fits(more))
        {
            return say.Make(Decision.MoreReps, Reason.Of("past-zone.reps"), more);
        }

        if (over >= MuchToSpare && say.Dose.RestSeconds - ProposalWriter.RestStep >= ShortestRest)
        {
            var rest = say.Dose.RestSeconds - ProposalWriter.RestStep;
            return say.Make(
                Decision.ShorterRest,
                Reason.Of("past-zone.rest", ("rest", Quantity.Seconds(rest))),
                say.Dose with
                {
                    RestSeconds = rest,
                }
            );
        }

        if (over >= MuchToSpare && longer)
        {
            return Within(more) is { } fewer
                ? say.Make(Decision.MoreReps, Reason.Of("past-zone.set-less"), fewer)
                : say.Make(Decision.MoreReps, Reason.Of("past-zone.anyway"), more, flag: true);
        }

        return say.Make(Decision.Repeat, Reason.Of(longer ? "past-zone.no-time" : "past-zone.kit-ends"), say.Dose, flag: true);
    }

    /// <summary>Short of reps that were tried past the zone: once more; null when they were there.</summary>
    private Proposal? ShortPastZone(int reps) =>
        reps < say.Dose.Target.Min ? say.Keep(Decision.Repeat, Reason.Of("past-zone.short", ("reps", say.Dose.Target.Min))) : null;

    /// <summary>From the reps that every set has now to a few more.</summary>
    private SetTarget PastZone(int reps, int top)
    {
        var now = Math.Max(reps, say.Dose.Zone!.Max);
        var most = Math.Max(top, now + 1);
        return new SetTarget(say.IsRestPause ? most : now, most);
    }

    private Proposal Heavier(
        int reps,
        double over,
        (ReachableLoad Load, double SystemKg) here,
        (ReachableLoad Load, double SystemKg) heavier,
        CurveKind curve
    )
    {
        var step = (heavier.SystemKg / here.SystemKg) - 1;
        var zone = say.Dose.Zone!;
        var wanted = zone.IsOpen ? 8 : zone.Min;
        var needed = RepMaxCurve.RepsToEarn(here.SystemKg, heavier.SystemKg, wanted + say.Dose.Rir, curve) - say.Dose.Rir;
        if (step > DoubleProgression.LargestFreeStep && reps < needed)
        {
            return ShortPastZone(reps)
                ?? (
                    needed <= DosePrescriber.MostUsefulReps
                        ? say.Make(
                            Decision.MoreReps,
                            Reason.Of(
                                "harder.earn-load",
                                ("load", ProposalWriter.Name(heavier.Load)),
                                ("step", Quantity.Percent(step)),
                                ("needed", needed),
                                ("wanted", wanted)
                            ),
                            say.Dose with
                            {
                                Target = PastZone(reps, Math.Max(reps + 1, Math.Min(needed, reps + StepPastZone))),
                            }
                        )
                        : Slower(
                            reps,
                            Reason.Of("full.too-far", ("load", ProposalWriter.Name(heavier.Load)), ("step", Quantity.Percent(step)))
                        ) ?? MoreThanZone(reps, over)
                );
        }

        var bottom = say.Dose.Target.IsOpen ? say.Dose : say.Dose with { Target = zone };
        return say.Make(
            Decision.MoreLoad,
            Reason.Of("harder.load", ("load", ProposalWriter.Name(heavier.Load)), ("step", Quantity.Percent(step)), ("wanted", wanted)),
            bottom,
            heavier.Load
        );
    }

    /// <summary>
    /// The slowest lowering that still leaves the bottom of the zone, five seconds or three; null when neither does, it is slow
    /// already or the day has no time for it. Five down is the standard step when the load cannot rise (docs/trade/prescription), taken
    /// as far as the reps bear it.
    /// </summary>
    private Proposal? Slower(double able, Reason because)
    {
        var tempo = say.Tempo;
        var zone = say.Dose.Zone!;
        foreach (
            var seconds in new[] { ProposalWriter.SlowestStep, ProposalWriter.SlowStep }.Where(s => s > tempo.Eccentric && !say.Dose.Timed)
        )
        {
            var slower = tempo with { Eccentric = seconds };
            if (((able + say.Dose.Rir) * say.Left(slower) / say.Left(tempo)) - say.Dose.Rir >= (zone.IsOpen ? 1 : zone.Min))
            {
                var dose = say.Dose with { Tempo = slower, Target = zone };
                if (Within(dose) is { } fits)
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

    /// <summary>The dose, or a set less of it where the day has no minutes for all; null where neither fits.</summary>
    private Dose? Within(Dose dose)
    {
        var less = dose with { Sets = dose.Sets - 1 };
        return say.Context.Fits(dose) ? dose
            : less.Sets >= FewestSets && say.Context.Fits(less) ? less
            : null;
    }
}
