namespace Ingegno.Core.Programs.Lines;

/// <summary>A day of a gym week: the lines that follow its heading.</summary>
/// <param name="Index">Place in the week, 0 first.</param>
/// <param name="Name">Name as written; empty for lines before the first heading.</param>
/// <param name="Line">Line of the heading in the text, 0 when there is none.</param>
public sealed record GymDay(int Index, string Name, int Line);
