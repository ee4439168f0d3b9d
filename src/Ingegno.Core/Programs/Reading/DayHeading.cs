using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Recognises the headings that part a text into days and weeks. Written with an equals sign (<c>= Upper body</c>,
/// <c>== Week 2</c>), or the way coaches jot them down: <c>Day 2: pull</c>, <c>Mon – Lower</c>, <c>**Push**</c>, <c>Session A:</c>.
/// </summary>
public static class DayHeading
{
    /// <summary>Longest name of a day or week, in characters.</summary>
    public const int NameLength = 60;

    /// <summary>The name of the day that this line starts; null when it is no heading of a day.</summary>
    public static string? Day(string line) =>
        HeadingReader.Read(line) is { Kind: HeadingKind.Day or HeadingKind.Split } day ? day.Name : null;

    /// <summary>The name of the week that this line starts; null when it is no heading of a week.</summary>
    public static string? Week(string line) => HeadingReader.Read(line) is { Kind: HeadingKind.Week } week ? week.Name : null;

    /// <summary>The heading of a day as it is written; reading it gives the same name.</summary>
    public static string Write(string dayName) => "= " + dayName;
}
