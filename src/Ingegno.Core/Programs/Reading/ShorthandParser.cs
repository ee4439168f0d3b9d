using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Reads a gym week as coaches write it, one line per exercise, with headings for its days. What can be written, and the grammar, stand
/// in <c>docs/shorthand.md</c>. A row that cannot be read costs no other.
/// </summary>
/// <param name="names">The names that exercises go by.</param>
/// <param name="stop">Gives up between two rows once nobody waits for the answer, or it has taken too long.</param>
public sealed class ShorthandParser(ExerciseNames names, CancellationToken stop = default)
{
    /// <summary>Reads a text of at most <see cref="ShorthandLimits.TextLength"/> characters.</summary>
    public ShorthandResult Parse(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > ShorthandLimits.TextLength)
        {
            return Nothing(
                "shorthand.too-long",
                Reason.Of("shorthand.too-long", ("given", text.Length), ("most", ShorthandLimits.TextLength))
            );
        }

        var rows = text.ReplaceLineEndings("\n").Split('\n');
        if (rows.Count(r => !string.IsNullOrWhiteSpace(r)) > ShorthandLimits.Lines)
        {
            return Nothing("shorthand.too-many-lines", Reason.Of("shorthand.too-many-lines", ("most", ShorthandLimits.Lines)));
        }

        var read = new WeekReader(names, usual: null, stop).Read(rows);
        return Usual(read) is { } usual ? new WeekReader(names, usual, stop).Read(rows) : read;
    }

    /// <summary>
    /// The implement that a program uses where it names none: dumbbells, when at least half of its lines name them, none names a bar, and no
    /// lift stands alone that is the barbell's wherever it does (common practice).
    /// </summary>
    private string? Usual(ShorthandResult read)
    {
        var named = read.Lines.Select(l => (Line: l, With: names.ImplementOf(l.Name))).ToList();
        var dumbbells = named.Count(n => n.With == "dumbbell");
        return
            dumbbells >= 2
            && 2 * dumbbells >= named.Count
            && !named.Exists(n => n.With is "barbell" or "ez-bar" or "trap-bar" or "safety-bar" or "smith" or "machine" or "cable")
            && !named.Exists(n =>
                n.With is null && n.Line.ExerciseId is "back-squat" or "front-squat" or "deadlift" or "bench-press" or "overhead-press"
            )
            ? "dumbbell"
            : null;
    }

    private static ShorthandResult Nothing(string code, Reason message) => new([], [new ShorthandError(1, 1, 1, code, message, [])]);
}
