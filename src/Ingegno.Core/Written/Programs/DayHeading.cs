using System.Text.RegularExpressions;

namespace Ingegno.Core.Written.Programs;

/// <summary>A day of a gym week: the lines that follow its heading.</summary>
/// <param name="Index">Place in the week, 0 first.</param>
/// <param name="Name">Name as written; empty for lines before the first heading.</param>
/// <param name="Line">Line of the heading in the text, 0 when there is none.</param>
public sealed record GymDay(int Index, string Name, int Line);

/// <summary>
/// Recognises the headings that part a text into days and weeks. Written with an equals sign (<c>= Upper body</c>,
/// <c>== Week 2</c>), or the way coaches jot them down: <c>Day 2: pull</c>, <c>Monday</c>, <c>Week 3</c>.
/// </summary>
public static partial class DayHeading
{
    /// <summary>Longest name of a day or week, in characters.</summary>
    public const int NameLength = 60;

    /// <summary>The name of the day that this line starts; null when it is no heading of a day.</summary>
    public static string? Day(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = line.Trim();
        if (text.StartsWith('=') && !text.StartsWith("==", StringComparison.Ordinal))
        {
            return Short(text.Trim('=', ' ', '\t'), "Day");
        }

        return DayWords().IsMatch(text) && !Dose().IsMatch(text) ? Short(text.TrimEnd(':', ' '), "Day") : null;
    }

    /// <summary>The name of the week that this line starts; null when it is no heading of a week.</summary>
    public static string? Week(string line)
    {
        ArgumentNullException.ThrowIfNull(line);
        var text = line.Trim();
        if (text.StartsWith("==", StringComparison.Ordinal))
        {
            return Short(text.Trim('=', ' ', '\t'), "Week");
        }

        return WeekWords().IsMatch(text) && !Dose().IsMatch(text) ? Short(text.TrimEnd(':', ' '), "Week") : null;
    }

    /// <summary>The heading of a day as it is written; reading it gives the same name.</summary>
    public static string Write(string dayName) => "= " + dayName;

    private static string Short(string name, string otherwise) =>
        name.Length == 0 ? otherwise
        : name.Length > NameLength ? name[..NameLength].TrimEnd()
        : name;

    [GeneratedRegex(
        @"^(day|session|workout)\s*[A-Za-z0-9]{1,3}\b|^(mon|tues?|wed(nes)?|thu(rs)?|fri|sat(ur)?|sun)(day)?\b",
        RegexOptions.IgnoreCase | RegexOptions.CultureInvariant
    )]
    private static partial Regex DayWords();

    [GeneratedRegex(@"^week\s*[0-9]{1,3}\b", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex WeekWords();

    [GeneratedRegex(@"\d\s*[x×]\s*(\d|amrap)", RegexOptions.IgnoreCase | RegexOptions.CultureInvariant)]
    private static partial Regex Dose();
}
