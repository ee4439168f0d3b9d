using System.Collections.Immutable;
using Ingegno.Core.Catalogue;
using Ingegno.Core.Loading;
using Ingegno.Core.Matching;
using Ingegno.Core.Prescribing;
using Ingegno.Core.Programs;
using Ingegno.Core.Strength;

namespace Ingegno.Core.Progressing;

/// <summary>What the progression knows about an exercise beside its log.</summary>
/// <param name="Home">The exercise as prescribed.</param>
/// <param name="Exercise">Its catalogue entry.</param>
/// <param name="Loads">External loads reachable in its set-up, lightest first, with their system load in kg.</param>
/// <param name="Harder">Next harder exercise that can be done here; null when there is none.</param>
/// <param name="Easier">Next easier exercise that can be done here; null when there is none.</param>
public sealed record ProgressionContext(
    HomeExercise Home, Exercise Exercise, ImmutableArray<(ReachableLoad Load, double SystemKg)> Loads, Exercise? Harder, Exercise? Easier);

/// <summary>
/// Double progression inside the rep zone, in the order of the trade (handbook 05, common practice): more load if
/// there is a next one, else a rep more, else a set more, else a harder variation, else a slower tempo. Pain comes
/// before everything.
/// </summary>
public static class DoubleProgression
{
    /// <summary>Pain up to here goes on as planned.</summary>
    public const int TolerablePain = 2;

    /// <summary>Pain from here on stops the exercise.</summary>
    public const int StoppingPain = 5;

    /// <summary>
    /// Largest step of system load that needs no more than the top of the zone: ACSM position stand 2009,
    /// "Progression Models in Resistance Training", 2–10 %.
    /// </summary>
    public const double LargestFreeStep = 0.10;

    private const int MostSets = 6;
    private const int ZoneWidth = 4;

    /// <summary>The proposal for the next session after one logged session.</summary>
    public static Proposal Next(int line, ProgressionContext context, ImmutableArray<LoggedSet> sets)
    {
        ArgumentNullException.ThrowIfNull(context);
        var say = new Writer(line, context, sets);
        if (sets.IsDefaultOrEmpty)
        {
            return say.Keep(Decision.Wait, "Nothing logged yet: do it as written.");
        }

        return Pain(say, context, sets) ?? Effort(say, context, sets);
    }

    private static Proposal? Pain(Writer say, ProgressionContext context, ImmutableArray<LoggedSet> sets)
    {
        var worst = sets.Where(s => s.Pain is not null).OrderByDescending(s => s.Pain).FirstOrDefault();
        if (worst?.Pain is not > TolerablePain)
        {
            return null;
        }

        var where = worst.PainJoint is { } joint ? " in the " + Words.Of(joint) : string.Empty;
        if (worst.Pain >= StoppingPain)
        {
            return say.Keep(Decision.Swap, $"Pain {worst.Pain} of 10{where}: stop this exercise and take another from the candidates. If it comes back, advise a clinician.", flag: true);
        }

        var easier = context.Easier is { } e ? $", or take {e.Name}" : string.Empty;
        return say.Lighter(Decision.Ease, $"Pain {worst.Pain} of 10{where}: shorten the range or lighten the load{easier}. Go on only below {TolerablePain + 1}.", flag: true);
    }

    private static Proposal Effort(Writer say, ProgressionContext context, ImmutableArray<LoggedSet> sets)
    {
        var dose = context.Home.Dose;
        var (bottom, top) = Zone(dose);
        if (sets.Length < dose.Sets)
        {
            return say.Keep(Decision.Repeat, $"{sets.Length} of {dose.Sets} sets done: finish all of them before anything is raised.");
        }

        // The open last set is a test, not part of the zone.
        var working = dose.LastSetOpen ? sets.RemoveAt(sets.Length - 1) : sets;
        var fewest = working.Select(s => s.Reps).DefaultIfEmpty(sets[0].Reps).Min();
        var reserve = working.Where(s => s.Rir is not null).Select(s => s.Rir!.Value).DefaultIfEmpty(dose.Rir).Min();
        if (fewest < bottom)
        {
            return bottom - fewest >= 3
                ? say.Lighter(Decision.StepBack, $"{fewest} reps in the hardest set, {bottom} wanted: too heavy for now.")
                : say.Keep(Decision.Repeat, $"{fewest} reps in the hardest set, {bottom} wanted: the same again until all sets get there.");
        }

        if (reserve + 1 < dose.Rir)
        {
            return say.Keep(Decision.Repeat, $"All reps done, but with {reserve} in reserve instead of {dose.Rir}: the same again until it is easier.");
        }

        return fewest >= top ? say.Raise(fewest) : say.Reps(fewest + 1);
    }

    /// <summary>The rep zone: the prescribed range, or four reps up from a single figure.</summary>
    private static (int Bottom, int Top) Zone(Dose dose) => dose.Target switch
    {
        { IsOpen: true } => (1, DosePrescriber.MostUsefulReps),
        var t when dose.Timed => (t.Min, Math.Max(t.Max, 60)),
        var t => (t.Min, t.Max > t.Min ? t.Max : t.Min + ZoneWidth),
    };

    /// <summary>Builds proposals from the same context.</summary>
    private sealed class Writer(int line, ProgressionContext context, ImmutableArray<LoggedSet> sets)
    {
        private readonly Dose _dose = context.Home.Dose;
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

        public Proposal Reps(int reps)
        {
            var target = _dose.Target.IsOpen ? _dose.Target : new SetTarget(Math.Max(reps, _dose.Target.Min), Math.Max(reps, _dose.Target.Max));
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

            if (_dose.Sets < Math.Min(MostSets, 4))
            {
                return Make(Decision.MoreSets, "The zone is full and there is no next load here: one set more, reps back to the bottom.", _dose with { Sets = _dose.Sets + 1 }, here.Load, false);
            }

            if (context.Harder is { } harder)
            {
                return Make(Decision.NextRung, $"The zone is full, with no next load and enough sets: step up to {harder.Name}, in good form and without pain.", _dose, here.Load, false);
            }

            return Slower(here);
        }

        private Proposal Heavier(int reps, (ReachableLoad Load, double SystemKg) here, (ReachableLoad Load, double SystemKg) heavier, CurveKind curve)
        {
            var step = (heavier.SystemKg / here.SystemKg) - 1;
            var wanted = _dose.Target.IsOpen ? 8 : _dose.Target.Min;
            var needed = RepMaxCurve.RepsToEarn(here.SystemKg, heavier.SystemKg, wanted + _dose.Rir, curve) - _dose.Rir;
            if (step > LargestFreeStep && reps < needed)
            {
                return needed <= DosePrescriber.MostUsefulReps
                    ? Make(Decision.MoreReps, $"The next load, {LoadName(heavier.Load)}, is a step of {Words.Percent(step)} of what you move: {needed} reps here earn {wanted} there.", _dose with { Target = new SetTarget(reps + 1, Math.Max(reps + 1, Math.Min(needed, reps + 2))) }, here.Load, false)
                    : Slower(here, $"The next load, {LoadName(heavier.Load)}, is a step of {Words.Percent(step)}: too far to bridge by reps. ");
            }

            var bottom = _dose.Target.IsOpen ? _dose : _dose with { Target = new SetTarget(wanted, Math.Max(wanted, _dose.Target.Max)) };
            return Make(Decision.MoreLoad, $"All sets at the top of the zone: {LoadName(heavier.Load)} next, {Words.Percent(step)} more of what you move, back to {wanted} reps.", bottom, heavier.Load, false);
        }

        private Proposal Slower((ReachableLoad Load, double SystemKg) here, string because = "The zone is full, with no next load, set or variation here. ")
        {
            var tempo = Tempo.TryParse(_dose.Tempo, out var read) ? read : Tempo.Usual;
            if (_dose.Timed || tempo.Eccentric >= 5)
            {
                return Make(Decision.Repeat, because + "Hold this level, and see what a small purchase would open.", _dose, here.Load, true);
            }

            return Make(Decision.TechniqueOn, because + "Five seconds down, reps back to the bottom.", _dose with { Tempo = (tempo with { Eccentric = 5 }).ToString() }, here.Load, false);
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
}
