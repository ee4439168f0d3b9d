using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Loading;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Progressing;

/// <summary>Builds proposals from the same context.</summary>
internal sealed class ProposalWriter(int line, ProgressionContext context, ImmutableArray<LoggedSet> sets)
{
    /// <summary>Past four sets another exercise does more (common practice: 2–6, mostly 3–4).</summary>
    private const int MostSets = 4;

    private readonly Dose _dose = context.Home.Dose with { Zone = context.Home.Dose.Zone ?? context.Home.Dose.Target };
    private readonly double _usedKg = sets.IsDefaultOrEmpty ? context.Home.ExternalKg : sets.Select(s => s.LoadKg ?? context.Home.ExternalKg).Max();

    public Proposal Keep(Decision decision, string reason, bool flag = false) => Make(decision, reason, _dose, Here().Load, flag);

    public Proposal Lighter(Decision decision, string reason, bool flag = false)
    {
        var lighter = context.Loads.LastOrDefault(l => l.Load.MassKg < _usedKg - 0.05);
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
        var lighter = context.Loads.LastOrDefault(l => l.Load.MassKg < _usedKg - 0.05 && l.SystemKg >= here.SystemKg * (DoubleProgression.AfterMissedWeek - 0.06));
        if (lighter.Load is not null)
        {
            return Make(Decision.EaseIn, $"{reason} Next: {LoadName(lighter.Load)}.", _dose, lighter.Load, false);
        }

        int Less(int reps) => Math.Max(1, (int)Math.Floor(reps * DoubleProgression.AfterMissedWeek));
        var dose = _dose.Target.IsOpen ? _dose with { Rir = _dose.Rir + 1 } : _dose with { Target = new SetTarget(Less(_dose.Target.Min), Less(_dose.Target.Max)) };
        return Make(Decision.EaseIn, reason, dose, here.Load, false);
    }

    /// <summary>Without the technique the reps would be there: it goes before the load does. Null when there is none to take off.</summary>
    public Proposal? TechniqueOff(int fewest)
    {
        var slow = Tempo.TryParse(_dose.Tempo, out var tempo) && tempo.Eccentric >= 3;
        if (_dose.Scheme is not null || (_dose.Techniques.IsEmpty && !slow) || _dose.Timed)
        {
            return null;
        }

        var plain = _dose with { Techniques = [], Instructions = [], Tempo = Tempo.Usual.ToString() };
        return Make(Decision.TechniqueOff, $"{fewest} reps in the hardest set, {_dose.Target.Min} wanted: straight sets again at this load, the technique comes back later.", plain, Here().Load, false);
    }

    /// <summary>Flat for three sessions: a set more, then another exercise. Null when there is no stall.</summary>
    public Proposal? Unstick(LineHistory history, string now)
    {
        if (!history.Stalled)
        {
            return null;
        }

        var flat = $"Flat for {LineHistory.SessionsOfStall} sessions. {now}: ";
        if (_dose.Sets < MostSets)
        {
            return Make(Decision.MoreSets, flat + "one set more, then look at the reps again.", _dose with { Sets = _dose.Sets + 1 }, Here().Load, true);
        }

        return context.Harder is { } harder
            ? Make(Decision.NextRung, flat + $"change the exercise, for instance to {harder.Name}.", _dose, Here().Load, true) with { ToExerciseId = harder.Id }
            : Make(Decision.Change, flat + "change the exercise: another angle for the same muscles from the candidates.", _dose, Here().Load, true);
    }

    /// <summary>Half the sets at the same load.</summary>
    public Proposal Deload(string reason) =>
        Make(Decision.Deload, reason, _dose with { Sets = Math.Max(1, (int)Math.Ceiling(_dose.Sets / 2.0)), LastSetOpen = false }, Here().Load, false);

    public Proposal Reps(int reps)
    {
        var target = _dose.Target.IsOpen ? _dose.Target : new SetTarget(reps, Math.Max(reps, _dose.Zone!.Max));
        return Make(Decision.MoreReps, $"All sets done with enough in reserve: {(_dose.Timed ? "a little longer" : "one rep more per set")}.", _dose with { Target = target }, Here().Load, false);
    }

    /// <summary>The zone is full: load, else set, else rung, else tempo.</summary>
    public Proposal Raise(int reps)
    {
        var here = Here();
        var heavier = context.Loads.FirstOrDefault(l => l.SystemKg > here.SystemKg * 1.005 && l.Load.MassKg > _usedKg + 0.05);
        if (heavier.Load is not null && context.Exercise.Strength is { } strength)
        {
            return Heavier(reps, here, heavier, strength.Curve);
        }

        if (_dose.Sets < MostSets)
        {
            return Make(Decision.MoreSets, "The zone is full and there is no next load here: one set more, reps back to the bottom.", _dose with { Sets = _dose.Sets + 1, Target = _dose.Zone! }, here.Load, false);
        }

        if (context.Harder is { } harder)
        {
            return Make(Decision.NextRung, $"The zone is full, with no next load and enough sets: step up to {harder.Name}, in good form and without pain.", _dose, here.Load, false) with { ToExerciseId = harder.Id };
        }

        return Slower(here);
    }

    private Proposal Heavier(int reps, (ReachableLoad Load, double SystemKg) here, (ReachableLoad Load, double SystemKg) heavier, CurveKind curve)
    {
        var step = (heavier.SystemKg / here.SystemKg) - 1;
        var zone = _dose.Zone!;
        var wanted = zone.IsOpen ? 8 : zone.Min;
        var needed = RepMaxCurve.RepsToEarn(here.SystemKg, heavier.SystemKg, wanted + _dose.Rir, curve) - _dose.Rir;
        if (step > DoubleProgression.LargestFreeStep && reps < needed)
        {
            return needed <= DosePrescriber.MostUsefulReps
                ? Make(Decision.MoreReps, $"The next load, {LoadName(heavier.Load)}, is a step of {Words.Percent(step)} of what you move: {needed} reps here earn {wanted} there.", _dose with { Target = new SetTarget(reps + 1, Math.Max(reps + 1, Math.Min(needed, reps + 2))) }, here.Load, false)
                : Slower(here, $"The next load, {LoadName(heavier.Load)}, is a step of {Words.Percent(step)}: too far to bridge by reps. ");
        }

        var bottom = _dose.Target.IsOpen ? _dose : _dose with { Target = zone };
        return Make(Decision.MoreLoad, $"All sets at the top of the zone: {LoadName(heavier.Load)} next, {Words.Percent(step)} more of what you move, back to {wanted} reps.", bottom, heavier.Load, false);
    }

    private Proposal Slower((ReachableLoad Load, double SystemKg) here, string because = "The zone is full, with no next load, set or variation here. ")
    {
        var tempo = Tempo.TryParse(_dose.Tempo, out var read) ? read : Tempo.Usual;
        if (_dose.Timed || tempo.Eccentric >= 5)
        {
            return Make(Decision.Repeat, because + "Hold this level, and see what a small purchase would open.", _dose, here.Load, true);
        }

        return Make(Decision.TechniqueOn, because + "Five seconds down, reps back to the bottom.", _dose with { Tempo = (tempo with { Eccentric = 5 }).ToString(), Target = _dose.Zone! }, here.Load, false);
    }

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
