using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Rules;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Ladders;

namespace Ingegno.Core.Progress.Progression;

/// <summary>Steps that make an exercise easier, or leave it as it is: pain, a return, too heavy, sets that fell short, a lighter
/// week.</summary>
internal sealed class EasierSteps(ProposalWriter say)
{
    /// <summary>A rest grows to three minutes: that leaves nine tenths (docs/domain/prescription).</summary>
    private const int LongestRest = 180;

    /// <summary>Loads nearer to one another than this are one to a client.</summary>
    private const double LeastStepDown = 0.985;

    /// <summary>Expected over wanted reps from which an easier step went too far.</summary>
    private const double TooLight = 1.6;

    /// <summary>Share of the bottom from which the best set was nearly there: a bad day is no reason for a load far too light.</summary>
    private const double NearlyThere = 0.8;

    /// <summary>How far below a tenth lighter a load may lie for a return, as a share.</summary>
    private const double ReturnMayMiss = 0.06;

    /// <summary>The next lighter load, or two reps fewer.</summary>
    public Proposal Lighter(Decision decision, Reason reason, bool flag = false)
    {
        var here = say.Here;
        var lighter = say
            .Context.Loads.Where(l => l.SystemKg < here.SystemKg * LeastStepDown)
            .OrderByDescending(l => l.SystemKg)
            .FirstOrDefault();
        if (lighter.Load is not null)
        {
            return say.Make(decision, reason.Then(Next("ease.next-load", lighter.Load)), say.Dose, lighter.Load, flag);
        }

        var fewer = say.Dose.Target.IsOpen
            ? say.Dose.Target
            : new SetTarget(Math.Max(1, say.Dose.Target.Min - 2), Math.Max(1, say.Dose.Target.Max - 2));
        return say.Make(decision, reason.Then(Reason.Of("ease.two-fewer", Easier())), say.Dose with { Target = fewer }, flag);
    }

    /// <summary>A return: lighter by what the time away asks for where there is such a load, else fewer reps; after long, a set less, and after
    /// very long the dose is found anew at an easier step.</summary>
    /// <param name="away">What the time away asks for.</param>
    /// <param name="reason">Why.</param>
    public Proposal EaseIn(AwayRule away, Reason reason)
    {
        ArgumentNullException.ThrowIfNull(away);
        var dose = SetsLess(say.Dose, away.SetsLess);
        dose = away.Calibrate && say.Context.MayFindAnew ? dose with { LastSetOpen = true, Calibrates = true } : dose;
        if (away.Calibrate && !dose.Timed && say.Context.Easier is { } easier && say.Context.Others.Any(o => o.Exercise.Id == easier.Id))
        {
            return say.Make(Decision.EaseIn, reason.Then(Reason.Of("ease.easier-step", ("easier", easier.Name))), dose) with
            {
                ToExerciseId = easier.Id,
            };
        }

        var here = say.Here;
        var lighter = say
            .Context.Loads.Where(l =>
                l.SystemKg < here.SystemKg * LeastStepDown && l.SystemKg >= here.SystemKg * (away.Share - ReturnMayMiss)
            )
            .OrderBy(l => Math.Abs((l.SystemKg / here.SystemKg) - away.Share))
            .FirstOrDefault();
        if (lighter.Load is not null)
        {
            return say.Make(Decision.EaseIn, reason.Then(Next("ease.next-load", lighter.Load)), dose, lighter.Load);
        }

        int Less(int reps) => Math.Max(1, (int)Math.Floor(reps * away.Share));
        dose = dose.Target.IsOpen
            ? dose with
            {
                Rir = dose.Rir + 1,
            }
            : dose with
            {
                Target = new SetTarget(Less(dose.Target.Min), Less(dose.Target.Max)),
            };
        return say.Make(Decision.EaseIn, reason, dose);
    }

    private static Dose SetsLess(Dose dose, int less)
    {
        var sets = Math.Max(1, dose.Sets - less);
        return sets == dose.Sets ? dose : dose with { Sets = sets, SetsBefore = dose.SetsBefore ?? dose.Sets };
    }

    /// <summary>
    /// Without the technique, or with a shorter one, more reps are there: it goes before the load does. Where they are not enough all the
    /// same, the target comes down to what straight sets will give. Null when there is no technique.
    /// </summary>
    /// <param name="most">Reps of the best set.</param>
    /// <param name="fewest">Reps of the hardest set.</param>
    public Proposal? TechniqueOff(int most, int fewest)
    {
        var tempo = say.Tempo;
        if (say.Dose.Scheme is not null || say.Dose.Timed || (say.Dose.Techniques.IsEmpty && tempo.Eccentric < ProposalWriter.SlowStep))
        {
            return null;
        }

        double Then(int reps, Dose other) => reps * say.Context.ShareLeft(other) / say.Left();
        var shorter = new TempoSteps(say).At(ProposalWriter.SlowStep);
        var eases =
            say.Dose.Techniques.Length <= 1 && tempo.Eccentric > ProposalWriter.SlowStep && Then(most, shorter) >= say.Dose.Target.Min;
        var plain = eases ? shorter : say.Dose with { Techniques = [], Instructions = [], Tempo = Tempo.Usual };
        var (low, high) = ((int)Then(fewest, plain), (int)Then(most, plain));
        var fewer = high < say.Dose.Target.Min && !say.Dose.Target.IsOpen;
        plain = fewer ? plain with { Target = Done(low, high) } : plain;
        Fact[] range = fewer ? [("low", plain.Target.Min), ("high", plain.Target.Max)] : [];
        return say.Make(
            Decision.TechniqueOff,
            Reason.Of("ease.technique-off", [("most", say.Count(most)), ("wanted", say.Dose.Target.Min), ("shorter", eases), .. range]),
            plain
        );
    }

    /// <summary>
    /// Far from the reps wanted: an easier exercise where there is no lighter load, else the load at which what was done makes the reps
    /// wanted, else the reps that were done.
    /// </summary>
    /// <param name="most">Reps of the best set.</param>
    /// <param name="fewest">Reps of the hardest set.</param>
    /// <param name="reason">Why.</param>
    public Proposal TooHeavy(int most, int fewest, Reason reason)
    {
        var here = say.Here;
        var wanted = say.Dose.Target.Min + say.Dose.Rir;
        var lighter = say.Context.Loads.Where(l => l.SystemKg < here.SystemKg * LeastStepDown).OrderByDescending(l => l.SystemKg).ToList();
        var load = lighter.FirstOrDefault(l => RepsAt(l.SystemKg, here.SystemKg, most) >= wanted);
        var far = load.Load is null || RepsAt(load.SystemKg, here.SystemKg, most) > wanted * TooLight;
        if (far && Elsewhere(most, wanted) is { } other)
        {
            return say.Make(
                Decision.StepBack,
                reason.Then(Reason.Of("ease.where-reps", ("load", Reason.Text($"{other.Exercise.Name}, {other.Setup}")))),
                say.Dose
            ) with
            {
                ToExerciseId = other.Exercise.Id,
                ToKg = other.Load.MassKg > 0 ? Math.Round(other.Load.MassKg, 2) : null,
                ToSetup = other.Setup,
            };
        }

        if (far && !say.Dose.Target.IsOpen && most >= NearlyThere * say.Dose.Target.Min)
        {
            return say.Make(
                Decision.FewerReps,
                reason.Then(Reason.Of("ease.nearly-there", ("low", Done(fewest, most).Min), ("high", Done(fewest, most).Max))),
                say.Dose with
                {
                    Target = Done(fewest, most),
                }
            );
        }

        if (lighter.Count > 0)
        {
            return load.Load is null
                ? say.Make(Decision.StepBack, reason.Then(Next("ease.lightest", lighter[^1].Load)), say.Dose, lighter[^1].Load)
                : say.Make(Decision.StepBack, reason.Then(Next("ease.where-reps", load.Load)), say.Dose, load.Load);
        }

        return say.Context.Easier is { } easier && most * 2 <= say.Dose.Target.Min
            ? say.Make(Decision.StepBack, reason.Then(Reason.Of("ease.easier-exercise", Easier())), say.Dose, flag: true) with
            {
                ToExerciseId = easier.Id,
            }
            : say.Make(
                Decision.StepBack,
                reason.Then(Reason.Of("ease.what-was-done", Easier())),
                say.Dose with
                {
                    Target = Done(fewest, most),
                }
            );
    }

    /// <summary>The variation at which what was done makes the reps wanted, and not far more than them; null where none does.</summary>
    private StepTo? Elsewhere(int most, int wanted)
    {
        if (say.Dose.Timed || say.Dose.Target.IsOpen)
        {
            return null;
        }

        var left = say.Sets.Where(s => s.Reps == most).Select(s => s.Rir ?? 0).DefaultIfEmpty(0).Max();
        var here = Demand.OfReps((most + left) / say.Left());
        return say
            .Context.Others.Where(o => o.Step < 0)
            .Select(o => (Step: o, Reps: Demand.Reps(here * (1 + o.Step))))
            .Where(o => o.Reps >= wanted && o.Reps <= wanted * TooLight)
            .OrderBy(o => o.Reps)
            .Select(o => o.Step)
            .FirstOrDefault();
    }

    private static Reason Next(string code, ReachableLoad load) => Reason.Of(code, ("load", ProposalWriter.Name(load)));

    /// <summary>The next easier exercise as a fact; nothing when there is none here.</summary>
    private Fact[] Easier() => say.Context.Easier is { } easier ? [("easier", easier.Name)] : [];

    /// <summary>Reps to failure at another system load, from those of the best set here and what it left.</summary>
    private double RepsAt(double systemKg, double hereKg, int most)
    {
        if (say.Context.Exercise.Strength is not { } strength)
        {
            return double.PositiveInfinity; // nothing to reckon with: the next lighter load
        }

        var left = say.Sets.Where(s => s.Reps == most).Select(s => s.Rir ?? 0).DefaultIfEmpty(0).Max();
        var tempo = say.Left();
        return RepMaxCurve.RepsAt(
                systemKg,
                RepMaxCurve.OneRepMax(hereKg, Math.Clamp((most + left) / tempo, 1, RepMaxCurve.MostReps), strength.Curve),
                strength.Curve
            ) * tempo;
    }

    /// <summary>What was done as a target.</summary>
    private SetTarget Done(int fewest, int most) =>
        say.Dose.Target.IsOpen
            ? say.Dose.Target
            : say.Aimed(new SetTarget(Math.Max(1, say.IsOneFigure ? most : fewest), Math.Max(1, most)));

    /// <summary>
    /// The same load again. Where most sets fell short, the bottom comes down to what the hardest had: a reserve that only the first
    /// set keeps is none. Who was short the time before, too, is asked no third time for the same.
    /// </summary>
    /// <param name="fewest">Reps of the hardest set.</param>
    /// <param name="short_">What was short, in words.</param>
    /// <param name="fellOff">The last sets fell off: a longer rest would have helped.</param>
    /// <param name="twice">The session before was short as well.</param>
    public Proposal Again(int fewest, Reason short_, bool fellOff, bool twice)
    {
        var (dose, noTime) = (InReach(fewest, twice), fellOff ? NoTime : null);
        return dose == say.Dose
            ? say.Keep(Decision.Repeat, Reason.Of("ease.again", ("short", short_)).Then(noTime))
            : say.Make(
                Decision.FewerReps,
                Reason
                    .Of(
                        "ease.fewer-reps",
                        ("short", short_),
                        ("low", dose.Target.Min),
                        ("high", dose.Target.Max),
                        ("rir", say.Dose.Rir),
                        ("twice", twice)
                    )
                    .Then(noTime),
                dose
            );
    }

    private Dose InReach(int fewest, bool twice = false) =>
        say.Dose is { Timed: false, Target.IsOpen: false, Scheme: not { OneFigure: true } }
        && Math.Max(1, fewest) < say.Dose.Target.Min
        && (twice || say.Sets.Count(s => s.Reps < say.Dose.Target.Min) * 2 > say.Sets.Length)
            ? say.Dose with
            {
                Target = say.Aimed(say.Dose.Target with { Min = Math.Max(1, fewest) }),
            }
            : say.Dose;

    /// <summary>Half a minute more rest, where there is room for it; null where the rest is long already.</summary>
    /// <param name="fewest">Reps of the hardest set.</param>
    /// <param name="short_">What was short, in words.</param>
    public Proposal? LongerRest(int fewest, Reason short_)
    {
        var longer = Math.Min(LongestRest, say.Dose.RestSeconds + ProposalWriter.RestStep);
        return
            say.Dose.RestSeconds >= LongestRest
            || say.OwnsItsRest
            || say.Dose.Timed
            || !say.Context.Fits(say.Dose with { RestSeconds = longer })
            ? null
            : say.Make(
                Decision.LongerRest,
                Reason.Of("ease.longer-rest", ("short", short_), ("rest", Quantity.Seconds(longer))),
                InReach(fewest) with
                {
                    RestSeconds = longer,
                }
            );
    }

    /// <summary>Says that a longer rest would carry the day past the client's minutes; null when it would not.</summary>
    private Reason? NoTime =>
        say.Dose.RestSeconds < LongestRest
        && !say.Dose.Timed
        && !say.Context.Fits(say.Dose with { RestSeconds = say.Dose.RestSeconds + ProposalWriter.RestStep })
            ? Reason.Of("ease.no-time")
            : null;

    /// <summary>Half the sets at the same load.</summary>
    public Proposal Deload(Reason reason) => say.Make(Decision.Deload, reason, LighterWeek.Half(say.Dose));
}
