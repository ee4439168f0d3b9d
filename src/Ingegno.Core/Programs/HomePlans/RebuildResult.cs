using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>What a rebuild gives: the plan of the lines that could be read, and what is wrong with the others.</summary>
/// <param name="Plan">The plan.</param>
/// <param name="Errors">Lines that could not be read.</param>
public sealed record RebuildResult(HomePlan Plan, ImmutableArray<ShorthandError> Errors)
{
    /// <summary>Every row of the text as it was understood.</summary>
    public ImmutableArray<ReadRow> Rows { get; init; } = [];

    /// <summary>The lines with their keys, for the next request: by them lines keep their keys when the text is edited.</summary>
    public ImmutableArray<KeyedLine> Keyed { get; init; } = [];
}
