using System.Collections.Immutable;

namespace Ingegno.Core.Programs.Lines;

/// <summary>A week of a text that holds several.</summary>
/// <param name="Name">What it is called.</param>
/// <param name="Line">Line of its heading in the text; 0 where it has a column.</param>
/// <param name="Text">The week by itself: as it was typed, or in Ingegno's own form where it stands in a column.</param>
/// <param name="Lines">Exercises that were read.</param>
/// <param name="Days">Names of its days.</param>
public sealed record ReadWeek(string Name, int Line, string Text, int Lines, ImmutableArray<string> Days);
