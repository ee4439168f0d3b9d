using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;

namespace Ingegno.Core.Programs.Lines;

/// <summary>What cannot be read in a gym week, and where.</summary>
/// <param name="Line">Line, 1 first.</param>
/// <param name="Column">Column of the first wrong character, 1 first.</param>
/// <param name="Length">How many characters are concerned, at least 1.</param>
/// <param name="Code">Stable code, for instance <c>shorthand.unknown-exercise</c>.</param>
/// <param name="Message">What is wrong, what was expected and what to do.</param>
/// <param name="Suggestions">Nearest exercise names, best first, for an unknown one.</param>
public sealed record ShorthandError(int Line, int Column, int Length, string Code, Reason Message, ImmutableArray<string> Suggestions);
