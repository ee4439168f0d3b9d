using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Knowledge.TradeData;

namespace Ingegno.Core.KeepingOn.Ladders;

/// <summary>
/// Standards that end the work on a rung, in good form and without pain (docs/trade/progression, common practice): reps by rung are those
/// of
/// the first approach that has standards, holds 30–60 s.
/// </summary>
public static class Milestones
{
    /// <summary>The standard of an exercise in words; with a load the zone is the standard.</summary>
    public static Reason For(Exercise exercise, Trade trade, bool loaded = false)
    {
        ArgumentNullException.ThrowIfNull(exercise);
        ArgumentNullException.ThrowIfNull(trade);
        var reps = trade.Approaches.FirstOrDefault(a => !a.Standards.IsEmpty)?.Standard(exercise.Rung);
        return exercise switch
        {
            { Pattern: MovementPattern.Mobility } => Reason.Of("standard.comfortable"),
            { Measure: Measure.Seconds } => Reason.Of("standard.hold", ("hold", Quantity.Seconds(exercise.Rung <= 3 ? 60 : 30))),
            _ => reps is null || loaded ? Reason.Of("standard.zone") : Reason.Of("standard.reps", ("reps", reps.Value)),
        };
    }
}
