using Ingegno.Core.Clients.Strength;
using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>What the load that a line names says of other loads of its exercise.</summary>
public sealed class NamedLoad(ClientAtPlace at)
{
    private ResistanceRules Rules => at.DomainRules.Match.Resistance;

    /// <summary>
    /// Reps to failure that are expected, with what the line says of its own load: it is done in every set of it, so the first, fresh one has
    /// some more in it (common practice). Read once into a maximum that holds for every load, so that a lighter one is never harder. What is
    /// known better, by logs or a typed lift, stands; a small muscle's load and a stack's are nowhere measured but in the line.
    /// </summary>
    /// <param name="exercise">What is done here.</param>
    /// <param name="way">How it is loaded here.</param>
    /// <param name="line">The line.</param>
    /// <param name="straight">Reps by the estimate alone.</param>
    public RepRange Reps(Exercise exercise, Way way, LineToMatch line, RepRange straight)
    {
        if (
            line.Line is not { Load: not null, Timed: false, Target.IsOpen: false }
            || Kg(exercise, way, line) is not { } named
            || line.Effort.Aim <= 0
            || exercise.Strength is not { } relation
            || at.Strength.For(exercise) is not { } estimate
            || (line.Exercise is { IsOnStack: false, Structure: ExerciseStructure.Compound } && IsKnownBetter(relation))
        )
        {
            return straight;
        }

        var body = way.System.Kg - way.Load.MassKg;
        var told = RepMaxCurve.OneRepMax(Math.Max(0, body + named), Math.Max(1, line.Effort.Aim), relation.Curve);
        if (!line.Exercise.IsOnStack)
        {
            // Past what is likely, up or down, it is a slip of the pen.
            var likely = 1 + (at.DomainRules.Strength.Evidence.MostSpreads * estimate.Spread);
            told = Math.Clamp(told, estimate.OneRepMaxKg / likely, estimate.OneRepMaxKg * likely);
        }

        if (!(told > 0))
        {
            return straight;
        }

        var (effort, mid) = (line.Effort, RepMaxCurve.RepsAt(way.System.Kg, told, relation.Curve));
        return new RepRange(mid * effort.Low / effort.Aim, mid, mid * Math.Max(effort.High, effort.Aim) / effort.Aim);
    }

    private bool IsKnownBetter(StrengthRelation relation) =>
        at.Client.Learned.Any(l => l.Anchor == relation.Anchor)
        || at.Client.KnownLifts.Any(k => k.Anchor == relation.Anchor && k.Line is null);

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
