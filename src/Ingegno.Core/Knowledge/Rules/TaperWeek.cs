using System.Collections.Immutable;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>A week that leads up to an event: fewer sets at the same load, nothing to failure.</summary>
/// <param name="WeeksBefore">Whole weeks to the event: 0 for its own week.</param>
/// <param name="Sets">Share of the sets that stays, above 0 and below 1.</param>
/// <param name="Rir">Least reps in reserve.</param>
public sealed record TaperWeek(int WeeksBefore, double Sets, int Rir);
