using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Tells what the rows of a text are before any of them is read: tables and their heads, weeks, days, parts of a day, exercises that were
/// written in several rows, and what is said beside them. Paste and file are laid out by the same stage. Linear in the length of the text.
/// </summary>
internal sealed class ProgramLayout(ExerciseNames names)
{
    /// <summary>The weeks of a text in their order, at least one.</summary>
    /// <param name="text">The text.</param>
    public ImmutableArray<LaidOutWeek> Weeks(string text)
    {
        var rows = OutOfTables(text.ReplaceLineEndings("\n").Split('\n'), out var columns);
        rows = LoneHeadings.Marked(rows.ConvertAll(Headed));
        (rows, var weeks) = WeeksOfAnExercise.Folded(rows);
        columns = columns.Length >= weeks ? columns : [.. Enumerable.Range(1, weeks).Select(n => $"Week {n}")];
        rows = new JoinedRows(names).Join(rows);
        // Weeks with headings of their own come first: columns below them would stand in each.
        return columns.IsEmpty || rows.Exists(r => r.Heading?.Kind == HeadingKind.Week) ? Parted(rows) : ByColumn(rows, columns);
    }

    /// <summary>A head of a table holds until the next one, and to the first row that is none of the table's.</summary>
    private static List<LaidOutRow> OutOfTables(string[] text, out ImmutableArray<string> columns)
    {
        var (rows, table) = (new List<LaidOutRow>(text.Length), (TableHead?)null);
        columns = [];
        for (var i = 0; i < text.Length; i++)
        {
            var row = new LaidOutRow(i + 1, text[i]);
            if (row.Blank || text[i].Length > ShorthandLimits.LineLength)
            {
                rows.Add(row);
            }
            else if (TableHead.TryRead(text[i]) is { } head)
            {
                table = head;
                columns = head.Weeks.Length > 1 && head.Weeks.Length > columns.Length ? head.Weeks : columns;
                rows.Add(row with { Remark = true });
            }
            else
            {
                rows.AddRange(table?.Spelt(row) ?? DayInFirstCell(row));
            }
        }

        return rows;
    }

    /// <summary>A table without a head may name the day in the first cell of its first row.</summary>
    private static IEnumerable<LaidOutRow> DayInFirstCell(LaidOutRow row)
    {
        var at = row.Text.IndexOf('\t', StringComparison.Ordinal);
        var heading = at > 0 && row.Text[at..].Any(char.IsLetter) ? HeadingReader.Read(row.Text[..at]) : null;
        return heading is { Kind: HeadingKind.Day or HeadingKind.Split or HeadingKind.Week }
            ? [row with { Text = row.Text[..at], Heading = heading }, row with { Text = new string(' ', at) + row.Text[at..] }]
            : [row];
    }

    private static LaidOutRow Headed(LaidOutRow row) =>
        row.Remark || row.Blank ? row
        : row.Heading is not null ? row
        : HeadingReader.Read(row.Text) is { } heading ? row with { Heading = heading }
        : RowMarks.IsComment(row.Text) || Prose.Is(row.Text) ? row with { Remark = true }
        : row;

    /// <summary>Every week has a column of its own: its rows are those that say something in it.</summary>
    private static ImmutableArray<LaidOutWeek> ByColumn(List<LaidOutRow> rows, ImmutableArray<string> columns) =>
        [
            .. columns.Select(
                (name, week) =>
                    new LaidOutWeek(
                        name,
                        0,
                        [
                            .. rows.Where(r => r.ByWeek.IsEmpty || (week < r.ByWeek.Length && r.ByWeek[week].Length > 0))
                                .Select(r => r.ByWeek.IsEmpty ? r : r with { Text = r.ByWeek[week], ByWeek = [] }),
                        ]
                    )
            ),
        ];

    /// <summary>Parted at the headings of weeks; what stands above the first one belongs to it, unless it is a week without a heading.</summary>
    private ImmutableArray<LaidOutWeek> Parted(List<LaidOutRow> rows)
    {
        var weeks = new List<(string Name, int Line, List<LaidOutRow> Rows)> { (string.Empty, 0, []) };
        var phases = rows.Where((_, i) => IsPhase(rows, i)).Select(r => r.Heading!.Name).Distinct().Count() > 1;
        for (var i = 0; i < rows.Count; i++)
        {
            var row = rows[i];
            if ((WeekOf(row.Heading) ?? (phases && IsPhase(rows, i) ? row.Heading!.Name : null)) is { } name && name != weeks[^1].Name)
            {
                // A title and remarks above the first week are no week.
                if (weeks is [{ Line: 0 } only] && !only.Rows.Exists(IsWork))
                {
                    weeks[0] = (name, row.Number, only.Rows);
                }
                else
                {
                    weeks.Add((name, row.Number, []));
                }
            }

            weeks[^1].Rows.Add(row);
        }

        // A week of which nothing is planned ("Week 4: as week 1") stays in sight behind the one before.
        for (var i = weeks.Count - 1; i > 0; i--)
        {
            if (!weeks[i].Rows.Exists(IsWork))
            {
                weeks[i - 1].Rows.AddRange(weeks[i].Rows);
                weeks.RemoveAt(i);
            }
        }

        return
        [
            .. weeks.Select(
                (w, i) => new LaidOutWeek(w.Name.Length == 0 && weeks.Count > 1 ? $"Week {i + 1}" : w.Name, w.Line, [.. w.Rows])
            ),
        ];
    }

    /// <summary>"Phase 1 (wk 1-3)" above days is a week of its own, done several times; above exercises it is a part of a day.</summary>
    private bool IsPhase(List<LaidOutRow> rows, int at) =>
        rows[at].Heading is { Kind: HeadingKind.Section } heading
        && LineTokens.Tokenize(heading.Name) is [{ Text: "phase" or "block" or "cycle" or "mesocycle" or "stage" }, { IsWhole: true }, ..]
        && rows.Skip(at + 1).FirstOrDefault(r => !r.Blank && !r.Remark) is { } next
        && (next.Heading ?? LeadIn.TryRead(next.Text, names)?.Heading) is { Kind: HeadingKind.Day or HeadingKind.Split };

    /// <summary>An exercise or a dose stands in it: a title above the first week is none.</summary>
    private bool IsWork(LaidOutRow row) =>
        !row.Blank
        && !row.Remark
        && row.Heading is null
        && (
            LeadIn.TryRead(row.Text, names) is not null
            || RowReader.Read(row.Text, names).Draft.HasDose
            || names.Read(row.Text.Trim()).Exercise is not null
        );

    /// <summary>The week that a heading says: its own name, or "Week 2" of "Week 2 Day 1" and "W2D1".</summary>
    private static string? WeekOf(Heading? heading)
    {
        if (heading is { Kind: HeadingKind.Week })
        {
            return heading.Name;
        }

        if (heading is not { Kind: HeadingKind.Day })
        {
            return null;
        }

        var words = LineTokens.Tokenize(heading.Name);
        var at = words.FindIndex(w => w.Text is "week" or "wk" or "w");
        return at >= 0 && at + 1 < words.Count && words[at + 1].IsWhole ? $"Week {words[at + 1].Text}" : null;
    }
}
