using System.Collections.Immutable;

namespace Ingegno.Core.Programs;

/// <summary>
/// Reads a gym day in shorthand, one line per exercise. The grammar is written down in <c>docs/shorthand.md</c>.
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
            return Nothing("shorthand.too-long", $"The text has {text.Length:N0} characters; a gym day takes at most {ShorthandLimits.TextLength:N0}. Paste one day at a time.");
        }

        var rows = text.ReplaceLineEndings("\n").Split('\n');
        if (rows.Count(r => !string.IsNullOrWhiteSpace(r)) > ShorthandLimits.Lines)
        {
            return Nothing("shorthand.too-many-lines", $"More than {ShorthandLimits.Lines} lines; paste one day at a time.");
        }

        var lines = ImmutableArray.CreateBuilder<GymLine>();
        var errors = ImmutableArray.CreateBuilder<ShorthandError>();
        for (var i = 0; i < rows.Length && errors.Count < ShorthandLimits.Errors; i++)
        {
            if (string.IsNullOrWhiteSpace(rows[i]) || rows[i].TrimStart().StartsWith('#'))
            {
                continue;
            }

            try
            {
                lines.Add(new ShorthandLineReader(rows[i], i + 1, names).Read());
            }
            catch (ShorthandException wrong)
            {
                errors.Add(wrong.Error);
            }
        }

        return new ShorthandResult(lines.ToImmutable(), errors.ToImmutable());
    }

    private static ShorthandResult Nothing(string code, string message) =>
        new([], [new ShorthandError(1, 1, 1, code, message, [])]);
}

/// <summary>Carries the error of one line out of the reader; never leaves the parser.</summary>
internal sealed class ShorthandException(ShorthandError error) : Exception(error.Message)
{
    public ShorthandError Error { get; } = error;
}
