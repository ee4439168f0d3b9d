using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Catalogue;

namespace Ingegno.Core.Written.Programs;

/// <summary>
/// Reads a gym week in shorthand, one line per exercise, with headings for its days. The grammar is written down in
/// <c>docs/shorthand.md</c>.
/// Lines that cannot be read are reported with line and column; the others are returned all the same.
/// </summary>
public sealed class ShorthandParser(ExerciseNames names)
{
    /// <summary>Reads a text of at most <see cref="ShorthandLimits.TextLength"/> characters.</summary>
    public ShorthandResult Parse(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > ShorthandLimits.TextLength)
        {
            return Nothing(
                "shorthand.too-long",
                $"The text has {text.Length:N0} characters; a week takes at most {ShorthandLimits.TextLength:N0}. Paste one week at a time."
            );
        }

        var rows = text.ReplaceLineEndings("\n").Split('\n');
        if (rows.Count(r => !string.IsNullOrWhiteSpace(r)) > ShorthandLimits.Lines)
        {
            return Nothing("shorthand.too-many-lines", $"More than {ShorthandLimits.Lines} lines; paste one week at a time.");
        }

        var lines = ImmutableArray.CreateBuilder<GymLine>();
        var errors = ImmutableArray.CreateBuilder<ShorthandError>();
        var days = new List<GymDay>();
        for (var i = 0; i < rows.Length && errors.Count < ShorthandLimits.Errors; i++)
        {
            if (string.IsNullOrWhiteSpace(rows[i]) || rows[i].TrimStart().StartsWith('#'))
            {
                continue;
            }

            if (DayHeading.Week(rows[i]) is { } week)
            {
                errors.Add(
                    new ShorthandError(
                        i + 1,
                        1,
                        rows[i].Length,
                        "shorthand.several-weeks",
                        $"\"{week}\" starts another week; here stands one week. Use Import at the gym program to bring in several.",
                        []
                    )
                );
                continue;
            }

            if (DayHeading.Day(rows[i]) is { } name)
            {
                days.Add(new GymDay(days.Count, Unused(name, days), i + 1));
                continue;
            }

            try
            {
                var line = new ShorthandLineReader(rows[i], i + 1, names).Read();
                if (days.Count == 0)
                {
                    days.Add(new GymDay(0, string.Empty, 0));
                }

                lines.Add(line with { Day = days.Count - 1 });
            }
            catch (ShorthandException wrong)
            {
                errors.Add(wrong.Error);
            }
        }

        return new ShorthandResult(lines.ToImmutable(), errors.ToImmutable()) { Days = [.. days] };
    }

    /// <summary>Two days of one name would be mixed up: the second becomes "Upper (2)".</summary>
    private static string Unused(string name, List<GymDay> days)
    {
        var unused = name;
        for (var n = 2; days.Exists(d => d.Name == unused); n++)
        {
            unused = $"{name} ({n})";
        }

        return unused;
    }

    private static ShorthandResult Nothing(string code, string message) => new([], [new ShorthandError(1, 1, 1, code, message, [])]);
}

/// <summary>Carries the error of one line out of the reader; never leaves the parser.</summary>
internal sealed class ShorthandException(ShorthandError error) : Exception(error.Message)
{
    public ShorthandError Error { get; } = error;
}
