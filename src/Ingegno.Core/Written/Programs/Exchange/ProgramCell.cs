using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Ground.Text;

namespace Ingegno.Core.Written.Programs.Exchange;

/// <summary>
/// Turns what stands in a cell into the words of the shorthand: tables leave out what the head of a column says ("60"
/// under "kg", "90" under "rest"), and spreadsheets write tempo and ranges in their own ways.
/// </summary>
internal static partial class ProgramCell
{
    /// <summary>The words of the shorthand, or what is wrong with the cell.</summary>
    /// <param name="field">Column.</param>
    /// <param name="cell">What stands in it, not empty.</param>
    /// <param name="loadUnit">Unit of loads without one: kg or lb.</param>
    public static (string? Words, string? Wrong) Read(ProgramField field, string cell, string loadUnit)
    {
        var text = Spaces().Replace(cell.Trim(), " ");
        return field switch
        {
            ProgramField.Sets => Whole(text) is { } sets
                ? (sets, null)
                : (null, $"\"{text}\" is no number of sets; write a whole number such as 3."),
            ProgramField.Reps => Reps(text),
            ProgramField.Load => (Load(text, loadUnit), null),
            ProgramField.Percent => Percent(text),
            ProgramField.Rpe => Effort(text, "RPE", "@ RPE "),
            ProgramField.Rir => Effort(text, "RIR", "RIR "),
            ProgramField.Tempo => Tempo(text),
            ProgramField.Rest => Rest(text),
            ProgramField.Note => ("# " + text.TrimStart('#', ' '), null),
            _ => (text, null),
        };
    }

    /// <summary>What a date that a spreadsheet made of a range was meant to be: 12 August is 8-12.</summary>
    public static string RangeOf(int day, int month) => $"{Math.Min(day, month)}-{Math.Max(day, month)}";

    /// <summary>The range that a date written as 12-Aug or Aug-12 was meant to be; null for other dates.</summary>
    public static string? MeantBy(string date)
    {
        var match = DayAndMonth().Match(date.Trim());
        var month = match.Success
            ? Array.FindIndex(
                CultureInfo.InvariantCulture.DateTimeFormat.AbbreviatedMonthNames,
                m => m.Equals(match.Groups["month"].Value, StringComparison.OrdinalIgnoreCase)
            ) + 1
            : 0;
        return month == 0 ? null : RangeOf(int.Parse(match.Groups["day"].Value, CultureInfo.InvariantCulture), month);
    }

    private static (string? Words, string? Wrong) Reps(string text)
    {
        if (LooksLikeDate().IsMatch(text))
        {
            return (
                null,
                $"\"{text}\" is a date; spreadsheets turn a range such as 8-12 into one. Format the column as text and write the reps."
            );
        }

        var reps = To().Replace(text, "-");
        return (Whole(reps) ?? reps, null);
    }

    private static string Load(string text, string unit)
    {
        var load = text.Replace(',', '.');
        if (load.Equals("bw", StringComparison.OrdinalIgnoreCase))
        {
            return "bodyweight";
        }

        return BareLoad().IsMatch(load) ? $"@ {load} {unit}" : "@ " + load;
    }

    private static (string? Words, string? Wrong) Percent(string text)
    {
        var number = text.TrimEnd('%').Trim().Replace(',', '.');
        if (!double.TryParse(number, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var percent))
        {
            return (null, $"\"{text}\" is no percentage; write 75 or 75%.");
        }

        // Spreadsheets keep 75 % as 0.75.
        percent = percent <= 1.5 && !text.EndsWith('%') ? percent * 100 : percent;
        return ($"@ {Words.Number(percent, 2)}%", null);
    }

    private static (string? Words, string? Wrong) Effort(string text, string name, string lead)
    {
        var number = text.StartsWith(name, StringComparison.OrdinalIgnoreCase) ? text[name.Length..].Trim() : text;
        number = number.TrimStart('@').Trim().Replace(',', '.');
        return double.TryParse(number, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value)
            ? (lead + Words.Number(value, 2), null)
            : (null, $"\"{text}\" is no {name}; write a number such as {(name == "RPE" ? "8" : "2")}.");
    }

    private static (string? Words, string? Wrong) Tempo(string text)
    {
        var match = TempoFigures().Match(text);
        return match.Success
            ? (string.Join('-', Enumerable.Range(1, 4).Select(i => match.Groups[i].Value.ToUpperInvariant())), null)
            : (null, $"\"{text}\" is no tempo; write four figures such as 3-1-X-0.");
    }

    private static (string? Words, string? Wrong) Rest(string text)
    {
        var bare = text.Replace("rest", string.Empty, StringComparison.OrdinalIgnoreCase).Trim();
        if (Whole(bare) is { } seconds)
        {
            return (seconds + " s", null);
        }

        var rest = Prime().Replace(bare, m => m.Value.Length == 1 && m.Value != "\"" ? " min" : " s");
        return RestTime().IsMatch(rest) ? (rest, null) : (null, $"\"{text}\" is no rest; write 90 s, 1:30 or 2 min.");
    }

    /// <summary>A whole number, also written as 3.0; null when it is none.</summary>
    private static string? Whole(string text) => WholeNumber().Match(text) is { Success: true } match ? match.Groups[1].Value : null;

    [GeneratedRegex(@"^(?<day>[0-9]{1,2})[-. ]+(?<month>[A-Za-z]{3})[a-z]*$|^(?<month>[A-Za-z]{3})[a-z]*[-. ]+(?<day>[0-9]{1,2})$")]
    private static partial Regex DayAndMonth();

    [GeneratedRegex(@"\s+")]
    private static partial Regex Spaces();

    [GeneratedRegex(@"^([0-9]{1,6})(?:[.,]0+)?$")]
    private static partial Regex WholeNumber();

    [GeneratedRegex(@"(?<=[0-9])\s*(?:-|–|—|to|bis)\s*(?=[0-9])", RegexOptions.IgnoreCase)]
    private static partial Regex To();

    [GeneratedRegex(@"^(?:[0-9]{1,2}[xX×])?[0-9]+(?:\.[0-9]+)?$")]
    private static partial Regex BareLoad();

    [GeneratedRegex(@"^([0-9]{1,2})[-/:. ]?([0-9]{1,2}?)[-/:. ]?([0-9]{1,2}?|[xX])[-/:. ]?([0-9]{1,2}?)$")]
    private static partial Regex TempoFigures();

    [GeneratedRegex(@"''|""|'|′|″")]
    private static partial Regex Prime();

    [GeneratedRegex(@"^[0-9]+(?:\.[0-9]+)?\s*(?:s|sec|secs|seconds|min|mins|minutes)$|^[0-9]{1,2}:[0-9]{2}$", RegexOptions.IgnoreCase)]
    private static partial Regex RestTime();

    [GeneratedRegex(
        @"^[0-9]{1,4}[-./][0-9]{1,2}[-./][0-9]{2,4}|^[0-9]{1,2}[-. ]*(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)|^(?:jan|feb|mar|apr|may|jun|jul|aug|sep|oct|nov|dec)[a-z]*[-. ]*[0-9]",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex LooksLikeDate();
}
