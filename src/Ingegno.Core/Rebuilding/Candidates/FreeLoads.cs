using Ingegno.Core.Equipment.Loading;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Rules;

namespace Ingegno.Core.Rebuilding.Candidates;

/// <summary>How fitting a load is that no reps to failure measure: one that is moved fast, or carried.</summary>
internal static class FreeLoads
{
    /// <summary>
    /// Share left of the score of a fast lift: the nearest to what the line names, else the heaviest it can be done with. A bottle is no
    /// weight to swing, however fast (common practice).
    /// </summary>
    /// <param name="bodyMassKg">Body mass, kg: a load is light by it.</param>
    public static double Fast(Exercise exercise, Way way, LineToMatch line, double bodyMassKg, ResistanceRules rules)
    {
        if (way.Load.MassKg <= 0)
        {
            return 1; // a jump takes no load
        }

        var wanted = exercise.Id == line.Exercise.Id && line.Line.Load is { } load ? TypedLoad.TotalKg(load, line.Exercise) : (double?)null;
        var near = wanted is { } kg ? Near(way.Load.MassKg, kg, rules) : way.Load.MassKg / (way.Load.MassKg + way.System.Kg);
        var enough = rules.FastOfBody * bodyMassKg;
        return (1 - rules.FastLoad + (rules.FastLoad * near)) * Math.Pow(Math.Min(1, way.Load.MassKg / enough), rules.TooLightToMove);
    }

    /// <summary>Share left of the score of a carry, by what hangs from a hand; 1 for what is not carried.</summary>
    public static double Carried(Exercise exercise, Way way, LineToMatch line, ClientAtPlace at)
    {
        if (exercise.Pattern != MovementPattern.Carry || line.Exercise.Pattern != MovementPattern.Carry || way.Load.MassKg <= 0)
        {
            return 1;
        }

        var rules = at.DomainRules.Match.Resistance;
        var wanted =
            line.Line.Load is not { } load ? rules.CarriedOfBody * at.Strength.BodyMassKg / 2
            : load.InAll ? load.Kg / 2
            : load.Kg; // of each hand, however many are named
        var hands = way.Load.Source is LoadSource.Pair or LoadSource.Mixed ? 2 : 1;
        var near = Near(way.Load.MassKg / hands, wanted, rules);
        return 1 - rules.CarriedLoad + (rules.CarriedLoad * near);
    }

    /// <summary>A kilogram is added to both, so that two light things are not worlds apart.</summary>
    private static double Near(double kg, double wanted, ResistanceRules rules)
    {
        var distance = Math.Log((kg + 1) / (wanted + 1));
        return Math.Exp(-(distance * distance) / (2 * rules.FreeLoadSpread * rules.FreeLoadSpread));
    }
}
