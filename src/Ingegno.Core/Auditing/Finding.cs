using System.Collections.Immutable;
using Ingegno.Core.Matching;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Core.Auditing;

/// <summary>How much a finding matters.</summary>
public enum Severity
{
    /// <summary>Worth knowing.</summary>
    Hint,

    /// <summary>A good coach would change it or say why not.</summary>
    Warning,

    /// <summary>Somebody may be hurt.</summary>
    Serious,
}

/// <summary>What the check says of a plan.</summary>
/// <param name="Key">By which a coach accepts it: the code, and the line or day it is about.</param>
/// <param name="Code">Kind of finding.</param>
/// <param name="Severity">How much it matters.</param>
/// <param name="Text">What is the matter, in a sentence.</param>
/// <param name="Evidence">What of the plan shows it.</param>
/// <param name="Line">Line of the gym text it is about; null for a day or the week.</param>
/// <param name="Remedy">What one press would change; null where a coach must decide.</param>
/// <param name="Accepted">Why the coach accepts it; null when it stands.</param>
public sealed record Finding(
    string Key, string Code, Severity Severity, string Text, string Evidence, int? Line = null, Remedy? Remedy = null, string? Accepted = null);

/// <summary>Changes that one press makes: figures of home exercises, other candidates.</summary>
/// <param name="Label">What it does, as a verb.</param>
/// <param name="Edits">Figures to set.</param>
/// <param name="Choices">Candidates to take.</param>
public sealed record Remedy(string Label, ImmutableArray<HomeEdit> Edits, ImmutableArray<CoachChoice> Choices)
{
    /// <summary>Lines of a pasted plan as they would read.</summary>
    public ImmutableArray<RewrittenLine> Lines { get; init; } = [];
}

/// <summary>A line of a pasted plan as it would read.</summary>
public sealed record RewrittenLine(int Line, string Text);

/// <summary>A finding that a coach accepts, with the reason.</summary>
public sealed record AcceptedFinding(string Key, string Note);
