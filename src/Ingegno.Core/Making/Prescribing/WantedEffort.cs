using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;
using Ingegno.Core.Trainee.Strength;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Making.Prescribing;

/// <summary>
/// How hard a gym line is meant to be, as reps to failure: from its percentage of the one-rep maximum if one is
/// given, else from its reps and RPE or RIR, else from its reps and two in reserve.
/// </summary>
/// <param name="Low">Fewest reps to failure that still allow the planned reps.</param>
/// <param name="High">Reps to failure past which the load is lighter than planned.</param>
/// <param name="Rir">Reps in reserve at the end of a set.</param>
public sealed record WantedEffort(double Low, double High, int Rir)
{
    private const int UsualRir = 2;

    /// <summary>Reads the intent of a line.</summary>
    public static WantedEffort Of(GymLine line, Exercise exercise, Level level)
    {
        ArgumentNullException.ThrowIfNull(line);
        ArgumentNullException.ThrowIfNull(exercise);
        var rir = line.Reserve ?? UsualRir;
        if (level == Level.Beginner)
        {
            rir = Math.Max(rir, 2); // beginners stay at two or three in reserve (docs/trade/prescription)
        }

        var (min, max) = line.Target.IsOpen ? (SetTarget.OpenReps, SetTarget.OpenReps) : (line.Target.Min, line.Target.Max);
        if (line.Timed)
        {
            // Four seconds of hold stand for a rep where a hold is replaced by reps.
            (min, max) = (Math.Max(1, min / 4), Math.Max(1, max / 4));
        }

        if (line.WorkingShare is { } share && exercise.Strength is { } strength)
        {
            var reps = Math.Max(RepMaxCurve.RepsAtShare(share, strength.Curve), min);
            return new WantedEffort(min, Math.Max(reps, max), rir);
        }

        return new WantedEffort(min, max + rir, rir);
    }
}
