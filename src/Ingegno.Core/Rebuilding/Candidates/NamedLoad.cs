using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>What the load that a line names says of other loads of its exercise.</summary>
internal sealed class NamedLoad(ClientAtPlace at)
{
    private ResistanceRules Rules => at.DomainRules.Match.Resistance;

    /// <summary>
    /// What the line says is done in every set of it, not in a fresh one alone: a lighter load of the same exercise is no harder, and nobody
    /// takes six kilograms where ten are here for one who does three twelves with fourteen (common practice). By how much more reps the line
    /// speaks than the estimate; 1 where it says nothing of this load, or logs or a typed lift know better.
    /// </summary>
    public double InEverySet(Exercise exercise, Way way, LineToMatch line)
    {
        if (
            exercise.Id != line.Exercise.Id
            || line.Line is not { Load: { } told, Timed: false, Target.IsOpen: false }
            || exercise is not { Structure: ExerciseStructure.Compound, Strength: { } relation }
            || way.Load is not { Band: null, MassKg: var here }
            || TypedLoad.TotalKg(told, exercise) is var named && here > named
            || line.Effort.Aim <= line.Effort.Low
            || at.Client.Learned.Any(l => l.Anchor == relation.Anchor)
            || at.Client.KnownLifts.Any(k => k.Anchor == relation.Anchor && k.Line is null)
            || at.Strength.For(exercise) is not { } estimate
        )
        {
            return 1;
        }

        var atNamed = ClientStrength.RepsAt(estimate, way.System.Kg + named - here, relation.Curve).Mid;
        return atNamed <= 0 ? 1 : Math.Clamp(line.Effort.Aim / atNamed, 1, line.Effort.Aim / line.Effort.Low);
    }

    /// <summary>
    /// A small muscle's load is nowhere measured but in the line: who does fifteen with it in the gym does not fail at five here, whatever the
    /// usual relations between lifts say. What a stack weighs is told by nothing but the line either.
    /// </summary>
    public static RepRange AsSaid(LineToMatch line, RepRange straight) =>
        line.Line.Load is not null
        && (line.Exercise.IsOnStack || (line.Exercise.Structure == ExerciseStructure.Isolation && straight.Mid < line.Effort.Low))
            ? new RepRange(line.Effort.Low, line.Effort.Aim, Math.Max(line.Effort.High, line.Effort.Aim))
            : straight;

    /// <summary>
    /// A small muscle's weight that is the next on the rack: who raises a pair of six for fifteen takes sevens for fewer, and nobody looks
    /// for another exercise (common practice).
    /// </summary>
    public bool IsNextWeight(Way way, double namedKg, LineToMatch line)
    {
        var hands = way.Load.Source is LoadSource.Pair or LoadSource.Mixed ? 2 : 1;
        return line.Line is { Load: not null, Timed: false, Target.IsOpen: false }
            && line.Exercise.Structure == ExerciseStructure.Isolation
            && way.Load.Band is null
            && Math.Abs(way.Load.MassKg - namedKg) <= (Rules.NextWeightKg * hands) + 1e-9;
    }

    /// <summary>Reps to failure at a load, from those that the line names with another.</summary>
    public static RepRange FromNamed(Exercise exercise, LineToMatch line, double namedKg, double kg)
    {
        var (effort, curve) = (line.Effort, exercise.Strength?.Curve ?? CurveKind.SingleJoint);
        var mid = RepMaxCurve.RepsAt(kg, RepMaxCurve.OneRepMax(namedKg, effort.Aim, curve), curve);
        return new RepRange(mid * effort.Low / effort.Aim, mid, mid * Math.Max(effort.High, effort.Aim) / effort.Aim);
    }

    /// <summary>External load in kg that the line itself names, where its own exercise is done: in kg, or as a share of the bar's
    /// maximum. A small muscle's load holds for the same movement with other things.</summary>
    public double? Kg(Exercise exercise, Way way, LineToMatch line)
    {
        if (exercise.Id != line.Exercise.Id)
        {
            return line.Line.Load is { } told && SmallMuscle.AreKin(line.Exercise, exercise, at.DomainRules.Names)
                ? TypedLoad.TotalKg(told, line.Exercise) * SmallMuscle.Times(exercise, line.Exercise, at.Client.Level)
                : null;
        }

        if (line.Line.Load is { } load)
        {
            return TypedLoad.TotalKg(load, line.Exercise);
        }

        var body = way.System.Kg - way.Load.MassKg;
        return line.Line.WorkingShare is { } share && at.Strength.For(exercise) is { } estimate
            ? share * Math.Max(0, estimate.OneRepMaxKg - body)
            : null;
    }
}
