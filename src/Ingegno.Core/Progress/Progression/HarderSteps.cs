using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Ladders;
using Ingegno.Core.Rebuilding.Dosing;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Steps that make an exercise harder, in the order of the trade (docs/domain/progression): load, reps, sets, variation,
/// tempo, density, range, technique.</summary>
internal sealed class HarderSteps(ProposalWriter say)
{
    private readonly TempoSteps _tempo = new(say);
    private readonly FurtherSteps _further = new(say);
    private readonly PastZoneSteps _past = new(say);

    /// <summary>Past four sets another exercise does more (common practice: 2–6, mostly 3–4).</summary>
    private const int MostSets = 4;

    /// <summary>Loads nearer to one another than this are one to a client.</summary>
    private const double LeastStepUp = 1.01;

    /// <summary>The dose with a set more; null where that is not sensible or the day has no time for it.</summary>
    private Dose? SetMore(Dose dose) =>
        dose.Sets < MostSets && !say.IsOneFigure && dose with { Sets = dose.Sets + 1 } is var more && say.Context.Fits(more) ? more : null;

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

        return say.Context is { Harder: { } harder, Up: var up } && (up is null || say.Context.Rules.Steps.IsFree(up.Step))
            ? To(
                say.Make(
                    Decision.NextRung,
                    Reason.Of("harder.unstick-exercise", [.. flat, ("exercise", harder.Name)]),
                    say.Dose,
                    flag: true
                ),
                harder
            )
            : say.Make(Decision.Change, Reason.Of("harder.unstick-angle", flat), say.Dose, flag: true);
    }

    /// <summary>A rep more: in every set, or where one had less left than planned, in the sets that have it.</summary>
    /// <param name="reps">Reps that every set shall have.</param>
    /// <param name="best">Reps of the best set.</param>
    /// <param name="everySet">Every set had left what was planned.</param>
    public Proposal Reps(int reps, int best, bool everySet)
    {
        var now = say.Dose.Target;
        reps = say.Dose.Timed && everySet ? Longer(reps) : reps;
        var least = Math.Max(1, everySet ? reps : reps - 1);

        // The top is what the first set may reach next time, not the whole way to the goal.
        var top = Math.Max(reps, Math.Max(now.Max, Math.Min(say.Dose.Zone!.Max, best + 1)));
        var target =
            now.IsOpen ? now
            : say.IsOneFigure ? new SetTarget(reps, reps)
            : say.Aimed(new SetTarget(least, top)) is var aimed && aimed.Max < now.Max ? aimed with { Max = now.Max } // more is never less
            : aimed;
        if (target == now && !everySet)
        {
            return say.Keep(Decision.Repeat, Reason.Of("harder.last-at-failure"));
        }

        Fact[] onTo = reps > now.Min + 1 ? [("on_to", reps)] : [];
        return say.Make(
            Decision.MoreReps,
            everySet
                ? Reason.Of("harder.reps", [("timed", say.Dose.Timed), ("noted", say.EffortNoted), .. onTo])
                : Reason.Of("harder.reps-where"),
            say.Dose with
            {
                Target = target,
            }
        );
    }

    /// <summary>Holds grow by fives: nobody counts the thirty-first second (common practice).</summary>
    private int Longer(int seconds) =>
        Math.Max(seconds, Math.Min((int)(Math.Ceiling(seconds / (double)StepOfHolds) * StepOfHolds), DoubleProgression.Top(say.Dose)));

    /// <summary>By how many seconds a hold grows.</summary>
    private const int StepOfHolds = 5;

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
        var easy = over >= say.Context.Rules.FarOff.Over;
        var heavier = say.Context.Loads.Where(l => l.SystemKg > here.SystemKg * LeastStepUp).OrderBy(l => l.SystemKg).ToList();
        if (heavier.Count > 0 && say.Context.Exercise.Strength is { } strength)
        {
            return (easy ? AsFarAsTheLog(reps, here, heavier, strength.Curve) : null)
                ?? Heavier(reps, over, here, heavier[0], strength.Curve);
        }

        if (easy && Rung(reps, Reason.Of("because.easy")) is { } rung)
        {
            return rung;
        }

        if (easy && _tempo.Slower(reps + over, Reason.Of("full.easy")) is { } slower)
        {
            return slower;
        }

        if (SetMore(say.Dose with { Target = say.Dose.Zone! }) is { } more)
        {
            return say.Make(Decision.MoreSets, Reason.Of("harder.more-sets"), more);
        }

        return Rung(reps, Reason.Of("because.full"))
            ?? _tempo.Slower(reps + over, Reason.Of("full.nothing"))
            ?? _tempo.Paused(reps + over)
            ?? _past.Denser(over)
            ?? _further.Deeper(reps + over)
            ?? _further.Technique(reps + over)
            ?? _past.MoreThanZone(reps, over);
    }

    /// <summary>
    /// Another variation that asks for more: at once up to a tenth, a larger step once the reps here earn it; null where there is none, or
    /// more reps would be needed than help.
    /// </summary>
    private Proposal? Rung(int reps, Reason because)
    {
        if (say.Context.Harder is not { } harder)
        {
            return null;
        }

        if (say.Context.Up is not { } up || say.Context.Rules.Steps.IsFree(up.Step) || say.Dose.Zone is not { IsOpen: false } zone)
        {
            return NextRung(harder, because);
        }

        // So many reps there, with the reserve, ask for so many here.
        var there = Demand.OfReps((zone.Min + say.Dose.Rir) / say.Left());
        var needed = (int)Math.Ceiling((Demand.Reps(there / (1 + up.Step)) * say.Left()) - say.Dose.Rir - 1e-9);
        if (reps >= needed)
        {
            return NextRung(harder, because);
        }

        return needed > say.MostReps
            ? null
            : _past.ShortPastZone(reps)
                ?? say.Make(
                    Decision.MoreReps,
                    Reason.Of(
                        "harder.earn-rung",
                        ("exercise", harder.Name),
                        ("step", Quantity.Percent(up.Step)),
                        ("needed", needed),
                        ("wanted", zone.Min)
                    ),
                    say.Dose with
                    {
                        Target = _past.PastZone(reps, Math.Max(reps + 1, Math.Min(needed, reps + PastZoneSteps.Step))),
                    }
                );
    }

    /// <summary>The heaviest load at which what the log shows still makes the bottom of the zone with its reserve; null where the next one
    /// is as far as that goes.</summary>
    private Proposal? AsFarAsTheLog(
        int reps,
        (ReachableLoad Load, double SystemKg) here,
        List<(ReachableLoad Load, double SystemKg)> heavier,
        CurveKind curve
    )
    {
        var zone = say.Dose.Zone!;
        var wanted = (zone.IsOpen ? 8 : zone.Min) + say.Dose.Rir;
        var left = say.Left();
        var able = Math.Clamp((reps + say.Dose.Rir) / left, 1, RepMaxCurve.MostReps);
        var max = RepMaxCurve.OneRepMax(here.SystemKg, able, curve);
        var far = heavier.LastOrDefault(l =>
            l.SystemKg <= here.SystemKg * (1 + say.Context.Rules.FarOff.LargestJump)
            && RepMaxCurve.RepsAt(l.SystemKg, max, curve) * left >= wanted
        );
        return far.Load is null || far.SystemKg <= heavier[0].SystemKg
            ? null
            : say.Make(
                Decision.MoreLoad,
                Reason.Of(
                    "harder.load-far",
                    ("load", ProposalWriter.Name(far.Load)),
                    ("step", Quantity.Percent((far.SystemKg / here.SystemKg) - 1)),
                    ("wanted", wanted - say.Dose.Rir)
                ),
                say.Dose.Target.IsOpen ? say.Dose : say.Dose with { Target = zone },
                far.Load
            );
    }

    private Proposal NextRung(Exercise harder, Reason because) =>
        To(say.Make(Decision.NextRung, Reason.Of("harder.next-rung", ("because", because), ("exercise", harder.Name)), say.Dose), harder);

    /// <summary>The proposal as a step to another exercise, at the load that makes it one.</summary>
    private Proposal To(Proposal said, Exercise harder) =>
        said with
        {
            ToExerciseId = harder.Id,
            ToOneSide = harder.Sides == Sides.Unilateral,
            ToKg = say.Context.Up is { } up && up.Exercise.Id == harder.Id && up.Load.MassKg > 0 ? Math.Round(up.Load.MassKg, 2) : null,
            ToSetup = say.Context.Up is { } at && at.Exercise.Id == harder.Id ? at.Setup : null,
        };

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
        if (!say.Context.Rules.Steps.IsFree(step) && reps < needed)
        {
            return _past.ShortPastZone(reps)
                ?? (
                    needed <= say.MostReps
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
                                Target = _past.PastZone(reps, Math.Max(reps + 1, Math.Min(needed, reps + PastZoneSteps.Step))),
                            }
                        )
                        : _tempo.Slower(
                            reps,
                            Reason.Of("full.too-far", ("load", ProposalWriter.Name(heavier.Load)), ("step", Quantity.Percent(step)))
                        ) ?? _past.MoreThanZone(reps, over)
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
}
