using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>Lines of a day that are done together.</summary>
/// <param name="Kind">How they follow one another.</param>
/// <param name="Label">Letter of the group, A first.</param>
/// <param name="Lines">Its lines, in the order in which they are done.</param>
/// <param name="Rounds">How often it is gone through.</param>
/// <param name="RestSeconds">Rest after each round, s.</param>
/// <param name="Why">Why they stand together; null for a line on its own.</param>
public sealed record RoundGroup(
    RoundKind Kind,
    string Label,
    ImmutableArray<LineKey> Lines,
    int Rounds,
    int RestSeconds,
    Reason? Why = null
)
{
    /// <summary>Kind of a group of so many lines.</summary>
    public static RoundKind KindOf(int lines) =>
        lines switch
        {
            1 => RoundKind.Straight,
            2 => RoundKind.Superset,
            3 => RoundKind.TriSet,
            _ => RoundKind.GiantSet,
        };
}
