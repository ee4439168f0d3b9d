using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.HomePlans;

/// <summary>Changes that one press makes: figures of home exercises, other candidates.</summary>
/// <param name="Label">What it does, as a verb.</param>
/// <param name="Edits">Figures to set.</param>
/// <param name="Choices">Candidates to take.</param>
public sealed record Remedy(Reason Label, ImmutableArray<HomeEdit> Edits, ImmutableArray<CoachChoice> Choices)
{
    /// <summary>Lines of a pasted plan as they would read.</summary>
    public ImmutableArray<RewrittenLine> Lines { get; init; } = [];
}
