using System.Collections.Immutable;
using System.Text.RegularExpressions;
using Ingegno.Core.Knowledge.Catalogue;
using Ingegno.Core.Written.Plans;
using Ingegno.Core.Written.Programs;

namespace Ingegno.Core.Making.Rebuilding;

/// <summary>What was read from the cell of a dose: figures to set, or what is wrong.</summary>
/// <param name="Edit">The figures; null when the text cannot be read.</param>
/// <param name="Error">What is wrong and what to write; null when it was read.</param>
public sealed record ReadDose(HomeEdit? Edit, string? Error);

/// <summary>
/// Reads a dose as a coach types it into the cell of a home line: shorthand, whole or in part. <c>4x8-12 @ 16 kg 3-1-1-0 90 s
/// RIR 1</c>, <c>90 s</c>, <c>3-1-1-0</c>, <c>RIR 1</c>, <c>16 kg</c>; a figure or range on its own is reps.
/// </summary>
public sealed partial class DoseShorthand(ExerciseNames names)
{
    private const string Placeholder = "1x1 ";

    [GeneratedRegex(@"^\s*[0-9]+\s*[x×]", RegexOptions.IgnoreCase)]
    private static partial Regex SetsFirst();

    [GeneratedRegex(@"^\s*[0-9]{1,3}(\s*[-–]\s*[0-9]{1,3})?\s*$")]
    private static partial Regex RepsAlone();

    [GeneratedRegex(@"^\s*(?<sets>[0-9]{1,2})\s*sets?\s*$", RegexOptions.IgnoreCase)]
    private static partial Regex SetsAlone();

    [GeneratedRegex(@"^\s*([0-9]+\s*[x×]\s*)?[0-9.]+\s*kg", RegexOptions.IgnoreCase)]
    private static partial Regex LoadAlone();

    /// <summary>Reads the text.</summary>
    /// <param name="text">What was typed, at most a line of shorthand.</param>
    /// <param name="line">Key of the gym line.</param>
    /// <param name="exerciseId">Home exercise it is for.</param>
    /// <param name="name">Its name.</param>
    public ReadDose Read(string text, LineKey line, string exerciseId, string name)
    {
        ArgumentNullException.ThrowIfNull(text);
        var edit = new HomeEdit { Line = line, ExerciseId = exerciseId };
        if (SetsAlone().Match(text) is { Success: true } sets)
        {
            return InRange(int.Parse(sets.Groups["sets"].Value, System.Globalization.CultureInfo.InvariantCulture), edit);
        }

        if (string.IsNullOrWhiteSpace(text))
        {
            return new ReadDose(null, "Nothing was written. Write for instance 4x8-12 @ 16 kg 3-1-1-0 90 s RIR 1, or a part of it.");
        }

        var whole = SetsFirst().IsMatch(text) && !LoadAlone().IsMatch(text);
        var reps = RepsAlone().IsMatch(text);
        var dose =
            whole ? text
            : reps ? $"1x{text.Trim()}"
            : Placeholder + (LoadAlone().IsMatch(text) ? $"@ {text.Trim()}" : text.Trim());
        var read = new ShorthandParser(names).Parse($"{name} {dose}");
        if (read.Lines is not [{ } got])
        {
            var what = read.Errors.FirstOrDefault()?.Message ?? "Nothing was written.";
            return new ReadDose(null, $"{what} Write for instance 4x8-12 @ 16 kg 3-1-1-0 90 s RIR 1, or a part of it.");
        }

        return new ReadDose(
            edit with
            {
                Sets = whole ? got.Sets : null,
                Target = whole || reps ? got.Target : null,
                Tempo = got.Tempo,
                RestSeconds = got.RestSeconds,
                Rir = got.Reserve,
                ExternalKg = got.Load?.TotalKg,
            },
            null
        );
    }

    private static ReadDose InRange(int sets, HomeEdit edit) =>
        sets is >= 1 and <= ShorthandLimits.Sets
            ? new ReadDose(edit with { Sets = sets }, null)
            : new ReadDose(null, $"Sets lie between 1 and {ShorthandLimits.Sets}.");
}
