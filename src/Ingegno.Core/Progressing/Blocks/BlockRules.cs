using System.Collections.Immutable;
using Ingegno.Core.Prescribing;

namespace Ingegno.Core.Progressing.Blocks;

/// <summary>How blocks are shaped (<c>data/trade/blocks.json</c>).</summary>
/// <param name="Weeks">Fewest and most weeks of a block (handbook 05: four to six).</param>
/// <param name="UsualWeeks">Weeks of a block when nothing else is said.</param>
/// <param name="Taper">Weeks before an event: that of the event first.</param>
public sealed record BlockRules(Bounds Weeks, int UsualWeeks, ImmutableArray<TaperWeek> Taper);

/// <summary>A week that leads up to an event: fewer sets at the same load, nothing to failure.</summary>
/// <param name="WeeksBefore">Whole weeks to the event: 0 for its own week.</param>
/// <param name="Sets">Share of the sets that stays, above 0 and below 1.</param>
/// <param name="Rir">Least reps in reserve.</param>
public sealed record TaperWeek(int WeeksBefore, double Sets, int Rir);
