using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Loading;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Progressing.Blocks;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Progressing;

/// <summary>Builds proposals from the same context.</summary>
internal sealed class ProposalWriter(int line, ProgressionContext context, ImmutableArray<LoggedSet> sets)
{
    /// <summary>Past four sets another exercise does more (common practice: 2–6, mostly 3–4).</summary>
    private const int MostSets = 4;
    private const int FewestSets = 2;

    /// <summary>A longer rest comes in steps of half a minute, to three minutes: that leaves nine tenths (handbook 04).</summary>
    private const int RestStep = 30;
    private const int LongestRest = 180;

    /// <summary>Rests are cut to here and no further: below it sets become conditioning (handbook 04: muscle 1–2 min).</summary>
    private const int ShortestRest = 60;

    /// <summary>Reps in reserve beyond those planned from which a line is far too easy.</summary>
    private const double MuchToSpare = 2;

    /// <summary>Steps of a slow lowering, s (handbook 04).</summary>
    private const int SlowStep = 3;
    private const int SlowestStep = 5;

    /// <summary>Reps past a full zone come by so many.</summary>
    private const int StepPastZone = 2;

    /// <summary>Loads nearer to one another than this are one to a client.</summary>
    private const double LeastStepUp = 1.01;
    private const double LeastStepDown = 0.985;

    private readonly Dose _dose = context.Home.Dose with { Zone = context.Home.Dose.Zone ?? context.Home.Dose.Target };
    private readonly double _usedKg = sets.IsDefaultOrEmpty ? context.Home.ExternalKg : sets.Select(s => s.LoadKg ?? context.Home.ExternalKg).Max();

    /// <summary>A set more is sensible, and the day has the time for it.</summary>
    private bool MaySet => _dose.Sets < MostSets && !IsRestPause && context.Fits(_dose with { Sets = _dose.Sets + 1 });

    /// <summary>Says that a longer rest would carry the day past the client's minutes; empty when it would not.</summary>
    private string NoTime => _dose.RestSeconds < LongestRest && !_dose.Timed && !context.Fits(_dose with { RestSeconds = _dose.RestSeconds + RestStep })
        ? " A longer rest does not fit the client's minutes."
        : string.Empty;

    public Proposal Keep(Decision decision, string reason, bool flag = false) => Make(decision, reason, _dose, Here().Load, flag);

    public Proposal Lighter(Decision decision, string reason, bool flag = false)
    {
        var here = Here();
        var lighter = context.Loads.Where(l => l.SystemKg < here.SystemKg * LeastStepDown).OrderByDescending(l => l.SystemKg).FirstOrDefault();
        if (lighter.Load is not null)
        {
            return Make(decision, $"{reason} Next: {LoadName(lighter.Load)}.", _dose, lighter.Load, flag);
        }

        var fewer = _dose.Target.IsOpen ? _dose.Target : new SetTarget(Math.Max(1, _dose.Target.Min - 2), Math.Max(1, _dose.Target.Max - 2));
        var rung = context.Easier is { } e ? $" or {e.Name}" : string.Empty;
        return Make(decision, $"{reason} There is no lighter load here: two reps fewer{rung}.", _dose with { Target = fewer }, Here().Load, flag);
    }

    /// <summary>A tenth lighter where there is such a load, else a tenth fewer reps.</summary>
    public Proposal EaseIn(string reason)
    {
        var here = Here();
        var lighter = context.Loads.Where(l => l.SystemKg < here.SystemKg * LeastStepDown && l.SystemKg >= here.SystemKg * (DoubleProgression.AfterMissedWeek - 0.06))
            .OrderByDescending(l => l.SystemKg).FirstOrDefault();
        if (lighter.Load is not null)
        {
            return Make(Decision.EaseIn, $"{reason} Next: {LoadName(lighter.Load)}.", _dose, lighter.Load, false);
        }

        int Less(int reps) => Math.Max(1, (int)Math.Floor(reps * DoubleProgression.AfterMissedWeek));
        var dose = _dose.Target.IsOpen ? _dose with { Rir = _dose.Rir + 1 } : _dose with { Target = new SetTarget(Less(_dose.Target.Min), Less(_dose.Target.Max)) };
        return Make(Decision.EaseIn, reason, dose, here.Load, false);
    }

    /// <summary>
    /// Without the technique, or with a shorter one, the reps would be there: it goes before the load does. Null when there is none.
    /// </summary>
    /// <param name="most">Reps of the best set.</param>
    public Proposal? TechniqueOff(int most)
    {
        var tempo = Tempo.TryParse(_dose.Tempo, out var read) ? read : Tempo.Usual;
        if (_dose.Scheme is not null || _dose.Timed || (_dose.Techniques.IsEmpty && tempo.Eccentric < SlowStep))
        {
            return null;
        }

        var shorter = tempo with { Eccentric = SlowStep };
        var eases = _dose.Techniques.Length <= 1 && tempo.Eccentric > SlowStep && most * Left(shorter) / Left(tempo) >= _dose.Target.Min;
        var plain = eases
            ? _dose with { Techniques = [], Instructions = [], Tempo = shorter.ToString() }
            : _dose with { Techniques = [], Instructions = [], Tempo = Tempo.Usual.ToString() };
        var what = eases ? "three seconds down" : "straight sets again";
        return Make(Decision.TechniqueOff, $"{most} reps in the best set, {_dose.Target.Min} wanted: {what} at this load, the rest comes back later.", plain, Here().Load, false);
    }

    /// <summary>
    /// Far from the reps wanted: an easier exercise where there is no lighter load, else the load at which what was done makes the reps
    /// wanted, else the reps that were done.
    /// </summary>
    /// <param name="most">Reps of the best set.</param>
    /// <param name="fewest">Reps of the hardest set.</param>
    /// <param name="reason">Why.</param>
    public Proposal TooHeavy(int most, int fewest, string reason)
    {
        var here = Here();
        var lighter = context.Loads.Where(l => l.SystemKg < here.SystemKg * LeastStepDown).OrderByDescending(l => l.SystemKg).ToList();
        if (lighter.Count > 0)
        {
            var load = lighter.FirstOrDefault(l => RepsAt(l.SystemKg, here.SystemKg, most) >= _dose.Target.Min + _dose.Rir);
            load = load.Load is null ? lighter[^1] : load;
            return Make(Decision.StepBack, $"{reason} Next: {LoadName(load.Load)}, as light as what was done asks for.", _dose, load.Load, false);
        }

        return context.Easier is { } easier && most * 2 <= _dose.Target.Min
            ? Make(Decision.StepBack, $"{reason} There is no lighter load here: {easier.Name}, until the reps are there.", _dose, here.Load, true) with { ToExerciseId = easier.Id }
            : Make(Decision.StepBack, $"{reason} There is no lighter load here: as many reps as were done, and up from there{(context.Easier is { } e ? $", or {e.Name}" : string.Empty)}.", _dose with { Target = Done(fewest, most) }, here.Load, false);
    }

    /// <summary>Reps to failure at another system load, from those of the best set here and what it left.</summary>
    private double RepsAt(double systemKg, double hereKg, int most)
    {
        if (context.Exercise.Strength is not { } strength)
        {
            return double.PositiveInfinity; // nothing to reckon with: the next lighter load
        }

        var left = sets.Where(s => s.Reps == most).Select(s => s.Rir ?? 0).DefaultIfEmpty(0).Max();
        var tempo = Tempo.TryParse(_dose.Tempo, out var read) ? Left(read) : 1;
        return RepMaxCurve.RepsAt(systemKg, RepMaxCurve.OneRepMax(hereKg, Math.Clamp((most + left) / tempo, 1, RepMaxCurve.MostReps), strength.Curve), strength.Curve) * tempo;
    }

    /// <summary>What was done as a target.</summary>
    private SetTarget Done(int fewest, int most) => _dose.Target.IsOpen ? _dose.Target : new SetTarget(Math.Max(1, IsRestPause ? most : fewest), Math.Max(1, most));

    /// <summary>
    /// The same load again. Where most sets fell short, the bottom comes down to what the hardest had: a reserve that only the first
    /// set keeps is none.
    /// </summary>
    /// <param name="fewest">Reps of the hardest set.</param>
    /// <param name="short_">What was short, in words.</param>
    /// <param name="fellOff">The last sets fell off: a longer rest would have helped.</param>
    public Proposal Again(int fewest, string short_, bool fellOff)
    {
        var (dose, noTime) = (InReach(fewest), fellOff ? NoTime : string.Empty);
        return dose == _dose
            ? Keep(Decision.Repeat, $"{short_}: the same again until all sets get there.{noTime}")
            : Make(Decision.FewerReps, $"{short_} in most sets: the same load, {dose.Target.Min} to {dose.Target.Max} reps, until all sets get there with {_dose.Rir} in reserve.{noTime}", dose, Here().Load, false);
    }

    private Dose InReach(int fewest) => _dose is { Timed: false, Target.IsOpen: false, Scheme: not SetScheme.RestPause } && sets.Count(s => s.Reps < _dose.Target.Min) * 2 > sets.Length
        ? _dose with { Target = _dose.Target with { Min = Math.Max(1, fewest) } }
        : _dose;

    /// <summary>Flat for three sessions: a set more, then another exercise. Null when there is no stall.</summary>
    public Proposal? Unstick(LineHistory history, string now)
    {
        if (!history.Stalled)
        {
            return null;
        }

        var flat = $"Flat for {LineHistory.SessionsOfStall} sessions. {now}: ";
        if (MaySet)
        {
            return Make(Decision.MoreSets, flat + "one set more, then look at the reps again.", _dose with { Sets = _dose.Sets + 1 }, Here().Load, true);
        }

        return context.Harder is { } harder
            ? Make(Decision.NextRung, flat + $"change the exercise, for instance to {harder.Name}.", _dose, Here().Load, true) with { ToExerciseId = harder.Id }
            : Make(Decision.Change, flat + "change the exercise: another angle for the same muscles from the candidates.", _dose, Here().Load, true);
    }

    /// <summary>Half the sets at the same load.</summary>
    public Proposal Deload(string reason) =>
        Make(Decision.Deload, reason, LighterWeek.Half(_dose), Here().Load, false);

    /// <summary>Half a minute more rest, where there is room for it; null where the rest is long already.</summary>
    /// <param name="fewest">Reps of the hardest set.</param>
    /// <param name="short_">What was short, in words.</param>
    public Proposal? LongerRest(int fewest, string short_)
    {
        var longer = Math.Min(LongestRest, _dose.RestSeconds + RestStep);
        return _dose.RestSeconds >= LongestRest || _dose.Timed || !context.Fits(_dose with { RestSeconds = longer }) ? null
            : Make(Decision.LongerRest, $"{short_}: the first set is there, the last fall off. Rest {longer} s.", InReach(fewest) with { RestSeconds = longer }, Here().Load, false);
    }

    /// <summary>The full sets again after a lighter week; null outside one.</summary>
    public Proposal? Resume() => _dose.SetsBefore is { } full
        ? Make(Decision.Resume, $"The lighter week is done: {Words.Count(full, "set")} again from where you were.", _dose with { Sets = full, SetsBefore = null }, Here().Load, false)
        : null;

    /// <summary>A rep more: in every set, or where one ended at failure, in the sets that have it.</summary>
    /// <param name="reps">Reps that every set shall have.</param>
    /// <param name="everySet">No set ended at failure.</param>
    public Proposal Reps(int reps, bool everySet)
    {
        var (now, best) = (_dose.Target, sets.Max(s => s.Reps));
        var least = Math.Max(1, everySet ? reps : reps - 1);

        // The top is what the first set may reach next time, not the whole way to the goal.
        var top = Math.Max(reps, Math.Max(now.Max, Math.Min(_dose.Zone!.Max, best + 1)));
        var target = now.IsOpen ? now : IsRestPause ? new SetTarget(reps, reps) : new SetTarget(least, top);
        if (target == now && !everySet)
        {
            return Keep(Decision.Repeat, "All sets done, the last with nothing left: the same again, with a rep more in the sets that have it.");
        }

        var what = _dose.Timed ? "a little longer" : reps > now.Min + 1 ? $"on to {reps}" : "one rep more per set";
        return Make(
            Decision.MoreReps, everySet ? $"All sets done with enough in reserve: {what}." : "All sets done, the last with nothing left: a rep more in the sets that have it.",
            _dose with { Target = target }, Here().Load, false);
    }

    /// <summary>One long set with small ones after it: a single figure, and no second of it.</summary>
    private bool IsRestPause => _dose.Scheme == SetScheme.RestPause;

    /// <summary>The zone is full: load, else set, else rung, else tempo. What was far too easy gets harder before it gets more.</summary>
    /// <param name="reps">Reps that every set had.</param>
    /// <param name="over">Reps in reserve beyond what was planned.</param>
    public Proposal Raise(int reps, double over = 0)
    {
        var here = Here();
        var heavier = context.Loads.Where(l => l.SystemKg > here.SystemKg * LeastStepUp).OrderBy(l => l.SystemKg).FirstOrDefault();
        if (heavier.Load is not null && context.Exercise.Strength is { } strength)
        {
            return Heavier(reps, over, here, heavier, strength.Curve);
        }

        var easy = over >= MuchToSpare;
        if (easy && context.Harder is { } rung)
        {
            return NextRung(rung, "The zone is full with much to spare, and there is no next load here");
        }

        if (easy && Slower(reps + over, here, "The zone is full with much to spare, and there is no next load or variation here. ") is { } slower)
        {
            return slower;
        }

        if (MaySet)
        {
            return Make(Decision.MoreSets, "The zone is full and there is no next load here: one set more, reps back to the bottom.", _dose with { Sets = _dose.Sets + 1, Target = _dose.Zone! }, here.Load, false);
        }

        if (context.Harder is { } harder)
        {
            return NextRung(harder, "The zone is full, with no next load and enough sets");
        }

        return Slower(reps + over, here, "The zone is full, with no next load, set or variation here. ") ?? MoreThanZone(reps, over, here);
    }

    private Proposal NextRung(Exercise harder, string because) =>
        Make(Decision.NextRung, $"{because}: step up to {harder.Name}, in good form and without pain.", _dose, Here().Load, false) with { ToExerciseId = harder.Id };

    /// <summary>
    /// Nothing can be made harder by load, variation or tempo: reps past the zone, up to where more stop helping. Where they do not fit
    /// the minutes or help no longer, sets with much to spare get a shorter rest, or are done one fewer: hard sets count, not many sets.
    /// </summary>
    private Proposal MoreThanZone(int reps, double over, (ReachableLoad Load, double SystemKg) here)
    {
        if (ShortPastZone(reps) is { } again)
        {
            return again;
        }

        const string Full = "The zone is full and nothing here makes it harder by a small step: ";
        var more = _dose with { Target = PastZone(reps, reps + StepPastZone) };
        var longer = reps < DosePrescriber.MostUsefulReps && !_dose.Timed;
        if (longer && context.Fits(more))
        {
            return Make(Decision.MoreReps, $"{Full}reps past the zone, until a slower tempo is earned.", more, here.Load, false);
        }

        if (over >= MuchToSpare && _dose.RestSeconds - RestStep >= ShortestRest)
        {
            var rest = _dose.RestSeconds - RestStep;
            return Make(Decision.ShorterRest, $"{Full}with much to spare, rest {rest} s, and the sets come closer to failure.", _dose with { RestSeconds = rest }, here.Load, false);
        }

        if (over >= MuchToSpare && longer)
        {
            return Within(more) is { } fewer
                ? Make(Decision.MoreReps, $"{Full}reps past the zone, and one set less, for the day has no minutes left.", fewer, here.Load, false)
                : Make(Decision.MoreReps, $"{Full}reps past the zone, although the day has no minutes left, for sets far from failure do little.", more, here.Load, true);
        }

        return Make(
            Decision.Repeat,
            longer
                ? "The zone is full, and what would make it harder takes longer than the client has: hold this level, drop a line, or see what a small purchase would open."
                : "The zone is full, and this kit has no next step. Hold this level, and see what a small purchase would open.",
            _dose, here.Load, true);
    }

    /// <summary>Short of reps that were tried past the zone: once more; null when they were there.</summary>
    private Proposal? ShortPastZone(int reps) => reps < _dose.Target.Min
        ? Keep(Decision.Repeat, $"The zone is full, and {_dose.Target.Min} in every set are not there yet: the same again.")
        : null;

    /// <summary>From the reps that every set has now to a few more.</summary>
    private SetTarget PastZone(int reps, int top)
    {
        var now = Math.Max(reps, _dose.Zone!.Max);
        var most = Math.Max(top, now + 1);
        return new SetTarget(IsRestPause ? most : now, most);
    }

    private Proposal Heavier(int reps, double over, (ReachableLoad Load, double SystemKg) here, (ReachableLoad Load, double SystemKg) heavier, CurveKind curve)
    {
        var step = (heavier.SystemKg / here.SystemKg) - 1;
        var zone = _dose.Zone!;
        var wanted = zone.IsOpen ? 8 : zone.Min;
        var needed = RepMaxCurve.RepsToEarn(here.SystemKg, heavier.SystemKg, wanted + _dose.Rir, curve) - _dose.Rir;
        if (step > DoubleProgression.LargestFreeStep && reps < needed)
        {
            return ShortPastZone(reps) is { } again ? again : needed <= DosePrescriber.MostUsefulReps
                ? Make(Decision.MoreReps, $"The next load, {LoadName(heavier.Load)}, is a step of {Words.Percent(step)} of what you move: {needed} reps here earn {wanted} there.", _dose with { Target = PastZone(reps, Math.Max(reps + 1, Math.Min(needed, reps + StepPastZone))) }, here.Load, false)
                : Slower(reps, here, $"The next load, {LoadName(heavier.Load)}, is a step of {Words.Percent(step)}: too far to bridge by reps. ") ?? MoreThanZone(reps, over, here);
        }

        var bottom = _dose.Target.IsOpen ? _dose : _dose with { Target = zone };
        return Make(Decision.MoreLoad, $"All sets at the top of the zone: {LoadName(heavier.Load)} next, {Words.Percent(step)} more of what you move, back to {wanted} reps.", bottom, heavier.Load, false);
    }

    /// <summary>
    /// The slowest lowering that still leaves the bottom of the zone, five seconds or three; null when neither does, it is slow
    /// already or the day has no time for it. Five down is the standard step when the load cannot rise (handbook 04), taken as far as the reps bear it.
    /// </summary>
    private Proposal? Slower(double able, (ReachableLoad Load, double SystemKg) here, string because)
    {
        var tempo = Tempo.TryParse(_dose.Tempo, out var read) ? read : Tempo.Usual;
        var zone = _dose.Zone!;
        foreach (var seconds in new[] { SlowestStep, SlowStep }.Where(s => s > tempo.Eccentric && !_dose.Timed))
        {
            var slower = tempo with { Eccentric = seconds };
            if (((able + _dose.Rir) * Left(slower) / Left(tempo)) - _dose.Rir >= (zone.IsOpen ? 1 : zone.Min))
            {
                var dose = _dose with { Tempo = slower.ToString(), Target = zone };
                if (Within(dose) is { } fits)
                {
                    var less = fits.Sets < dose.Sets ? " One set less: the day has no minutes left." : string.Empty;
                    return Make(Decision.TechniqueOn, $"{because}{(seconds == SlowestStep ? "Five" : "Three")} seconds down, reps back to the bottom.{less}", fits, here.Load, false);
                }
            }
        }

        return null;
    }

    /// <summary>The dose, or a set less of it where the day has no minutes for all; null where neither fits.</summary>
    private Dose? Within(Dose dose)
    {
        var less = dose with { Sets = dose.Sets - 1 };
        return context.Fits(dose) ? dose : less.Sets >= FewestSets && context.Fits(less) ? less : null;
    }

    private double Left(Tempo tempo) => context.TempoCost?.Of(tempo) ?? 1;

    private (ReachableLoad Load, double SystemKg) Here()
    {
        var used = context.Loads.Where(l => Math.Abs(l.Load.MassKg - _usedKg) < 0.15).ToList();
        return used.Count > 0
            ? used[0]
            : (new ReachableLoad(_usedKg, _usedKg > 0 ? $"{Words.Number(_usedKg)} kg" : string.Empty, []), context.Home.SystemLoadKg ?? _usedKg);
    }

    private static string LoadName(ReachableLoad load) => load.MassKg <= 0 ? "no extra load" : load.InWords;

    private Proposal Make(Decision decision, string reason, Dose dose, ReachableLoad load, bool flag) =>
        new(line, context.Home.ExerciseId, context.Home.Name, decision, reason, dose, Math.Round(load.MassKg, 2), load.InWords, flag);
}
