using System.Collections.Immutable;

namespace Ingegno.Core.Sessions;

/// <summary>How the lines of a block follow one another.</summary>
public enum BlockKind
{
    /// <summary>All sets of one line, then the next.</summary>
    Straight,

    /// <summary>Two lines in turn.</summary>
    Superset,

    /// <summary>Three lines in turn.</summary>
    TriSet,

    /// <summary>Four lines and more in turn.</summary>
    GiantSet,

    /// <summary>The whole day in rounds.</summary>
    Circuit,
}

/// <summary>Lines of a day that are done together.</summary>
/// <param name="Kind">How they follow one another.</param>
/// <param name="Label">Letter of the block, A first.</param>
/// <param name="Lines">Lines of the gym text, in the order in which they are done.</param>
/// <param name="Rounds">How often it is gone through.</param>
/// <param name="RestSeconds">Rest after each round, s.</param>
/// <param name="Why">Why they stand together; null for a line on its own.</param>
public sealed record SessionBlock(BlockKind Kind, string Label, ImmutableArray<int> Lines, int Rounds, int RestSeconds, string? Why = null)
{
    /// <summary>Kind of a block of so many lines.</summary>
    public static BlockKind KindOf(int lines) => lines switch
    {
        1 => BlockKind.Straight,
        2 => BlockKind.Superset,
        3 => BlockKind.TriSet,
        _ => BlockKind.GiantSet,
    };
}
