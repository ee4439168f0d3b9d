using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Programs.Exchange;

/// <summary>How a table is to be read; null leaves a point to be found out.</summary>
/// <param name="HeadRow">Number of the row with the heads, 1 first; 0 when there is none.</param>
/// <param name="Fields">What each column holds, null for a column that is left out.</param>
/// <param name="LoadUnit">Unit of loads without one: kg or lb.</param>
public sealed record ImportSettings(int? HeadRow = null, ImmutableArray<ProgramField?>? Fields = null, string? LoadUnit = null);

/// <summary>A column of the table that is read.</summary>
/// <param name="Name">Its name as spreadsheets have it: A.</param>
/// <param name="Head">Its head.</param>
/// <param name="Field">What it is taken for, null when it is left out.</param>
/// <param name="Samples">Its first cells that hold something.</param>
public sealed record ImportColumn(string Name, string Head, ProgramField? Field, ImmutableArray<string> Samples);

/// <summary>A week as it would be brought in.</summary>
/// <param name="Name">Its name.</param>
/// <param name="Text">Its text in shorthand, faulty lines as they could be put together.</param>
/// <param name="Lines">How many lines can be read.</param>
public sealed record ImportedWeek(string Name, string Text, int Lines);

/// <summary>A cell that cannot be taken as it is.</summary>
/// <param name="Cell">Where it stands: C7, or "line 7" in a text.</param>
/// <param name="Sheet">Its sheet, empty when there is only one.</param>
/// <param name="Field">What it was taken for.</param>
/// <param name="Message">What is wrong and what to do.</param>
/// <param name="Suggestions">What could be meant.</param>
public sealed record ImportFault(string Cell, string Sheet, ProgramField Field, Reason Message, ImmutableArray<string> Suggestions);

/// <summary>What an import would bring in; nothing is stored before a coach says so.</summary>
public sealed record ImportPreview
{
    public required ImmutableArray<ImportedWeek> Weeks { get; init; }

    public ImmutableArray<ImportFault> Faults { get; init; } = [];

    /// <summary>Columns of the table; none when the file is a text or our own form.</summary>
    public ImmutableArray<ImportColumn> Columns { get; init; } = [];

    /// <summary>Number of the row with the heads, 1 first; 0 when there is none.</summary>
    public int HeadRow { get; init; }

    /// <summary>Unit of loads without one.</summary>
    public string LoadUnit { get; init; } = "kg";

    /// <summary>What to know about the reading: encoding, separator, columns that stand twice.</summary>
    public ImmutableArray<string> Notes { get; init; } = [];
}

/// <summary>Reads tables into a gym program, for a coach to look at before anything is stored.</summary>
/// <param name="names">The names that exercises go by.</param>
/// <param name="stop">Gives up between two rows once nobody waits for the answer, or it has taken too long.</param>
public sealed class ProgramImport(ExerciseNames names, CancellationToken stop = default)
{
    private const int SamplesShown = 3;

    /// <summary>Faulty lines of a text that are shown; with more it is hardly a program.</summary>
    private const int MostErrors = 100;

    private readonly ProgramRows _rows = new(names, stop);

    /// <summary>What the sheets would bring in: each sheet a week of its own unless a column names the weeks.</summary>
    public ImportPreview Preview(ImmutableArray<Sheet> sheets, ImportSettings settings)
    {
        ArgumentNullException.ThrowIfNull(settings);
        var filled = sheets.Where(s => s.Rows.Any(r => r.Cells.Any(c => c.Text.Length > 0))).ToList();
        if (filled.Count == 0)
        {
            return new ImportPreview { Weeks = [], Notes = ["There is nothing in it."] };
        }

        var head = settings.HeadRow is { } given
            ? filled[0].Rows.ToList().FindIndex(r => r.Number == given)
            : ColumnGuess.HeadRow(filled[0]);
        var heads = head >= 0 ? filled[0].Rows[head].Cells : [];
        var width = filled.Max(s => s.Rows.Max(r => r.Cells.Length));
        var guessed = head >= 0 ? ColumnGuess.Fields(filled[0].Rows[head]) : [];
        var fields = settings.Fields ?? [.. Enumerable.Range(0, width).Select(i => i < guessed.Length ? guessed[i] : null)];
        var load = fields.IndexOf(ProgramField.Load);
        var unit = settings.LoadUnit ?? (load >= 0 && load < heads.Length ? ColumnHeads.LoadUnit(heads[load].Text) : "kg");
        var weeks = new List<(string Name, List<ProgramRow> Rows, List<(Sheet Sheet, SheetRow Row)> From)>();
        foreach (var sheet in filled)
        {
            Collect(sheet, head, fields, filled.Count > 1, weeks);
        }

        return Write(weeks, fields, unit, filled.Count > 1) with
        {
            Columns = [.. Enumerable.Range(0, width).Select(i => Column(i, heads, fields, filled[0], head))],
            HeadRow = head >= 0 ? filled[0].Rows[head].Number : 0,
            LoadUnit = unit,
            Notes = [.. Notes(heads, fields, filled.Count)],
        };
    }

    /// <summary>What a text in shorthand would bring in, parted at the headings of its weeks.</summary>
    public ImportPreview PreviewText(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var read = new ShorthandParser(names, stop).Parse(text);
        var tooMany = read.Errors.Length > MostErrors;
        return new ImportPreview
        {
            Notes = tooMany ? [$"More than {MostErrors} lines cannot be read. Is it a gym program?"] : [],
            Weeks = read.Weeks.IsEmpty
                ?
                [
                    new ImportedWeek(
                        read.Rows.FirstOrDefault(r => r.Kind == RowKind.Week)?.Text.TrimStart('=', ' ') ?? "Week 1",
                        Bare(text, read),
                        read.Lines.Length
                    ),
                ]
                : [.. read.Weeks.Select(w => new ImportedWeek(w.Name, w.Text, w.Lines))],
            Faults =
            [
                .. read
                    .Errors.Take(MostErrors)
                    .Select(e => new ImportFault($"line {e.Line}", string.Empty, ProgramField.Exercise, e.Message, e.Suggestions)),
                .. from row in read.Rows
                where row is { Kind: RowKind.Line, Certainty: not Certainty.Sure }
                select new ImportFault(
                    $"line {row.Line}",
                    string.Empty,
                    ProgramField.Exercise,
                    row.Doubts[0].Message,
                    [row.ReadAs, .. row.Doubts[0].Others.Select(o => o.Label)]
                ),
            ],
        };
    }

    /// <summary>The text without the heading of its only week, which is its name.</summary>
    private static string Bare(string text, ShorthandResult read)
    {
        var heading = read.Rows.FirstOrDefault(r => r.Kind == RowKind.Week)?.Line;
        return string.Join('\n', text.ReplaceLineEndings("\n").Split('\n').Where((_, i) => i + 1 != heading)).Trim('\n');
    }

    private void Collect(
        Sheet sheet,
        int head,
        ImmutableArray<ProgramField?> fields,
        bool several,
        List<(string Name, List<ProgramRow> Rows, List<(Sheet, SheetRow)> From)> weeks
    )
    {
        var (week, day) = (several ? sheet.Name : "Week 1", string.Empty);
        foreach (var row in sheet.Rows.Skip(head + 1))
        {
            stop.ThrowIfCancellationRequested();
            var cells = new ProgramRow();
            for (var i = 0; i < Math.Min(fields.Length, row.Cells.Length); i++)
            {
                cells = fields[i] is { } field && row.Cells[i].Text.Trim() is { Length: > 0 } text ? cells.With(field, text) : cells;
            }

            // A cell that runs over several rows holds for all of them.
            week = cells.Week.Length > 0 ? Numbered("Week", cells.Week) : week;
            day = cells.Day.Length > 0 ? Numbered("Day", cells.Day) : day;
            if (cells.IsEmpty || IsHeadAgain(cells))
            {
                continue;
            }

            var at = weeks.FindIndex(w => w.Name == week);
            if (at < 0)
            {
                weeks.Add((week, [], []));
                at = weeks.Count - 1;
            }

            weeks[at].Rows.Add(cells with { Week = week, Day = day });
            weeks[at].From.Add((sheet, row));
        }
    }

    /// <summary>Heads repeated further down, as in a printed table.</summary>
    private static bool IsHeadAgain(ProgramRow row) =>
        row.Exercise.Equals("exercise", StringComparison.OrdinalIgnoreCase) && !row.Sets.Any(char.IsDigit);

    private static string Numbered(string what, string name)
    {
        var text = name.Trim();
        return text.All(char.IsDigit) ? $"{what} {text}"
            : text.Length > DayHeading.NameLength ? text[..DayHeading.NameLength]
            : text;
    }

    private ImportPreview Write(
        List<(string Name, List<ProgramRow> Rows, List<(Sheet Sheet, SheetRow Row)> From)> weeks,
        ImmutableArray<ProgramField?> fields,
        string unit,
        bool several
    )
    {
        var imported = ImmutableArray.CreateBuilder<ImportedWeek>();
        var faults = ImmutableArray.CreateBuilder<ImportFault>();
        foreach (var (name, rows, from) in weeks)
        {
            // Days that come in any order are brought together, each at its first place.
            var order = Enumerable.Range(0, rows.Count).GroupBy(i => rows[i].Day).SelectMany(g => g).ToList();
            var written = _rows.Write([.. order.Select(i => rows[i])], unit);
            imported.Add(new ImportedWeek(name, written.Text, written.Lines));
            faults.AddRange(
                written
                    .Faults.Select(f => (Fault: f, From: from[order[f.Row]]))
                    .OrderBy(f => f.From.Row.Number)
                    .Select(f => Fault(f.Fault, f.From.Sheet, f.From.Row, fields, several))
            );
        }

        return new ImportPreview { Weeks = imported.ToImmutable(), Faults = faults.ToImmutable() };
    }

    private static ImportFault Fault(ProgramFault fault, Sheet sheet, SheetRow row, ImmutableArray<ProgramField?> fields, bool several)
    {
        var column = fields.IndexOf(fault.Field);
        column = column < 0 && fault.Field is ProgramField.Sets or ProgramField.Reps ? fields.IndexOf(ProgramField.Dose) : column;
        column = column < 0 ? Math.Max(0, fields.IndexOf(ProgramField.Exercise)) : column;
        var cell = column < row.Cells.Length ? row.Cells[column] : default;
        var (message, meant) = cell.Kind switch
        {
            CellKind.Date => (Reason.Of("cell.date", ("text", cell.Text)), cell.Meant),
            CellKind.FormulaWithoutResult => (Reason.Of("cell.formula"), null),
            CellKind.Error => (Reason.Of("cell.error", ("text", cell.Text)), null),
            _ => (fault.Message, null),
        };
        return new ImportFault(
            Sheet.ColumnName(column) + row.Number,
            several ? sheet.Name : string.Empty,
            fault.Field,
            message,
            meant is null ? fault.Suggestions : [meant, .. fault.Suggestions]
        );
    }

    private static ImportColumn Column(
        int index,
        ImmutableArray<SheetCell> heads,
        ImmutableArray<ProgramField?> fields,
        Sheet sheet,
        int head
    ) =>
        new(
            Sheet.ColumnName(index),
            index < heads.Length ? heads[index].Text : string.Empty,
            index < fields.Length ? fields[index] : null,
            [
                .. sheet
                    .Rows.Skip(head + 1)
                    .Where(r => index < r.Cells.Length && r.Cells[index].Text.Length > 0)
                    .Take(SamplesShown)
                    .Select(r => r.Cells[index].Text),
            ]
        );

    private static IEnumerable<string> Notes(ImmutableArray<SheetCell> heads, ImmutableArray<ProgramField?> fields, int sheets)
    {
        foreach (
            var twice in heads
                .Where(h => h.Text.Trim().Length > 0)
                .GroupBy(h => h.Text.Trim(), StringComparer.OrdinalIgnoreCase)
                .Where(g => g.Count() > 1)
        )
        {
            yield return $"\"{twice.Key}\" heads {twice.Count()} columns; the first is taken. Say below what the others hold.";
        }

        if (!fields.Contains(ProgramField.Exercise))
        {
            yield return "No column is taken for the exercise. Say below which one it is.";
        }

        if (sheets > 1)
        {
            yield return $"{sheets} sheets are read, each as a week of its own name.";
        }
    }
}
