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

        if (text.AsSpan().Count('\n') >= ShorthandLimits.Lines)
        {
            return Nothing("shorthand.too-many-lines", Reason.Of("shorthand.too-many-lines", ("most", ShorthandLimits.Lines)));
        }

        var weeks = new ProgramLayout(names).Weeks(text);
        var read = weeks.Select(w => Week(w.Rows)).ToList();
        return read is [var only] ? only : Several(text.ReplaceLineEndings("\n").Split('\n'), weeks, read);
    }

    private ShorthandResult Week(ImmutableArray<LaidOutRow> rows)
    {
        var reader = new WeekReader(names, Habit.Plain, stop);
        var read = reader.Read(rows);
        var habit = new Habit(Usual(read), InPounds(rows, reader.Beyond));
        return habit == Habit.Plain ? read : new WeekReader(names, habit, stop).Read(rows);
    }

    /// <summary>Loads without a unit are pounds where the text speaks of pounds alone, or of no unit and of more than anybody lifts.</summary>
    private static bool InPounds(ImmutableArray<LaidOutRow> rows, bool beyond)
    {
        var (kilograms, pounds) = (false, false);
        foreach (var token in rows.Where(r => !r.Blank && !r.Remark).SelectMany(r => LineTokens.Tokenize(r.Text)))
        {
            kilograms |= token.Text is "kg" or "kgs" or "kilo" or "kilos";
            pounds |= token.Text is "lb" or "lbs" or "pounds";
        }

        return !kilograms && (pounds || beyond);
    }

    /// <summary>Several weeks are read as weeks: the lines are those of the first, and nothing that is in doubt of the others is hidden.</summary>
    private static ShorthandResult Several(string[] text, ImmutableArray<LaidOutWeek> weeks, List<ShorthandResult> read)
    {
        var columns = weeks[^1].Line == 0 && weeks.Length > 1 && weeks[0].Rows[^1].Number == weeks[^1].Rows[^1].Number;
        return read[0] with
        {
            Errors = [.. read.SelectMany(r => r.Errors).Distinct()],
            Rows = columns ? read[0].Rows : [.. read.SelectMany(r => r.Rows)],
            Weeks =
            [
                .. weeks.Zip(
                    read,
                    (week, r) =>
                        new ReadWeek(
                            week.Name,
                            week.Line,
                            columns ? r.InOwnForm : AsTyped(text, weeks, week),
                            r.Lines.Length,
                            [.. r.Days.Select(d => d.Name).Where(n => n.Length > 0)]
                        )
                ),
            ],
        };
    }

    /// <summary>The rows of a week as they were typed, to the first of the next one, without its heading.</summary>
    private static string AsTyped(string[] text, ImmutableArray<LaidOutWeek> weeks, LaidOutWeek week)
    {
        var at = weeks.IndexOf(week);
        var end = at + 1 < weeks.Length ? weeks[at + 1].Rows[0].Number : text.Length + 1;
        var heading = week.Rows.FirstOrDefault(r =>
            r.Number == week.Line && r.Heading is { Kind: HeadingKind.Week or HeadingKind.Section }
        );
        var rows = Enumerable.Range(week.Rows[0].Number, end - week.Rows[0].Number).Where(n => n != heading?.Number);
        return string.Join('\n', rows.Select(n => text[n - 1])).Trim('\n');
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
