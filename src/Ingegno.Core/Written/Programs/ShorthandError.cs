using System.Collections.Immutable;

namespace Ingegno.Core.Written.Programs;

/// <summary>What is wrong in a shorthand text, and where.</summary>
/// <param name="Line">Line, 1 first.</param>
/// <param name="Column">Column of the first wrong character, 1 first.</param>
/// <param name="Length">How many characters are concerned, at least 1.</param>
/// <param name="Code">Stable code, for instance <c>shorthand.unknown-exercise</c>.</param>
/// <param name="Message">What is wrong, what was expected and what to do, in plain words.</param>
/// <param name="Suggestions">Nearest exercise names, best first, for an unknown one.</param>
public sealed record ShorthandError(int Line, int Column, int Length, string Code, string Message, ImmutableArray<string> Suggestions);

/// <summary>What was read: the good lines, and what is wrong with the others.</summary>
public sealed record ShorthandResult(ImmutableArray<GymLine> Lines, ImmutableArray<ShorthandError> Errors)
{
    /// <summary>The days of the week in their order; one without a name when the text has no headings.</summary>
    public ImmutableArray<GymDay> Days { get; init; } = [];
}
