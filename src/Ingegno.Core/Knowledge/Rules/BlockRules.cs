using System.Collections.Immutable;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Knowledge.Rules;

/// <summary>How blocks are shaped (<c>data/rules/blocks.json</c>).</summary>
/// <param name="Weeks">Fewest and most weeks of a block (docs/domain/progression: four to six).</param>
/// <param name="UsualWeeks">Weeks of a block when nothing else is said.</param>
/// <param name="Taper">Weeks before an event: that of the event first.</param>
public sealed record BlockRules(Bounds Weeks, int UsualWeeks, ImmutableArray<TaperWeek> Taper);
