using System.Collections.Immutable;
using System.Globalization;
using System.Text;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Programs.Exchange;

/// <summary>Text of a week in shorthand, and the cells that could not be taken as they were.</summary>
/// <param name="Text">Every row as a line, the faulty ones as they could be put together.</param>
/// <param name="Faults">What is wrong, in the order of the rows.</param>
/// <param name="Lines">How many lines can be read.</param>
public sealed record WrittenRows(string Text, ImmutableArray<ProgramFault> Faults, int Lines);

/// <summary>Turns a gym week in shorthand into rows of a table, and back without loss.</summary>
/// <param name="names">The names that exercises go by.</param>
/// <param name="stop">Gives up between two rows once nobody waits for the answer, or it has taken too long.</param>
public sealed class ProgramRows(ExerciseNames names, CancellationToken stop = default)
{
    private readonly ShorthandParser _parser = new(names, stop);

    /// <summary>The fields that make up a line, in the order of the shorthand.</summary>
    private static readonly ImmutableArray<ProgramField> Modifiers =
    [
        ProgramField.Load,
        ProgramField.Percent,
        ProgramField.Rpe,
        ProgramField.Rir,
        ProgramField.Tempo,
        ProgramField.Rest,
        ProgramField.Method,
        ProgramField.Note,
    ];

    /// <summary>The rows of a week. Lines that cannot be read keep their text as the exercise.</summary>
    public ImmutableArray<ProgramRow> Read(string text, string week = "")
    {
        ArgumentNullException.ThrowIfNull(text);
        var rows = ImmutableArray.CreateBuilder<ProgramRow>();
        var read = _parser.Parse(text);
        var lines = read.Lines.ToLookup(l => l.Line);
        var written = text.ReplaceLineEndings("\n").Split('\n');
        var headings = read.Days.ToDictionary(d => d.Line, d => d.Name);
        var day = string.Empty;
        for (var i = 1; i <= written.Length; i++)
        {
            if (headings.TryGetValue(i, out var heading))
            {
                day = heading;
            }
            else if (lines[i].Any())
            {
                rows.AddRange(lines[i].Select(l => Row(l) with { Week = week, Day = day }));
            }
            else if (!string.IsNullOrWhiteSpace(written[i - 1]))
            {
                rows.Add(Other(written[i - 1], read, i) with { Week = week, Day = day });
            }
        }

        return rows.ToImmutable();
    }

    /// <summary>The text of the rows of one week, days headed as they change.</summary>
    /// <param name="rows">Rows in order; a row without a day belongs to the day above.</param>
    /// <param name="loadUnit">Unit of loads written without one: kg or lb.</param>
    public WrittenRows Write(IReadOnlyList<ProgramRow> rows, string loadUnit = "kg")
    {
        ArgumentNullException.ThrowIfNull(rows);
        var text = new StringBuilder();
        var faults = ImmutableArray.CreateBuilder<ProgramFault>();
        var (day, lines) = (string.Empty, 0);
        for (var i = 0; i < rows.Count; i++)
        {
            if (rows[i].Day.Trim() is { Length: > 0 } named && named != day)
            {
                day = named;
                text.Append(text.Length > 0 ? "\n" : string.Empty).Append(DayHeading.Write(OneLine(day))).Append('\n');
            }

            if (rows[i].IsEmpty)
            {
                continue;
            }

            var (line, wrong, read) = Write(rows[i], i, loadUnit);
            text.Append(line).Append('\n');
            faults.AddRange(wrong);
            lines += read;
        }

        return new WrittenRows(text.ToString().TrimEnd('\n'), faults.ToImmutable(), lines);
    }

    /// <summary>A row that is no line: a remark, other work, or a name that is not known with the dose that stands beside it.</summary>
    private ProgramRow Other(string text, ShorthandResult read, int number)
    {
        if (read.Rows.FirstOrDefault(r => r.Line == number) is { Kind: RowKind.Comment or RowKind.Section } remark)
        {
            return new ProgramRow { Note = remark.Text.TrimStart('#', ' ').Trim() };
        }

        if (
            text.Length > ShorthandLimits.LineLength
            || read.Errors.FirstOrDefault(e => e.Line == number) is not { Code: "shorthand.unknown-exercise" } unknown
        )
        {
            return new ProgramRow { Exercise = OneLine(text) };
        }

        // With a known name in its place the dose can be read.
        var (start, name) = (
            unknown.Column - 1,
            text.Substring(unknown.Column - 1, Math.Min(unknown.Length, text.Length - unknown.Column + 1))
        );
        var around = _parser.Parse(string.Concat(text.AsSpan(0, start), names.Any, text.AsSpan(start + name.Length)));
        return around.Lines is [{ } line] && around.Errors.IsEmpty
            ? Row(line) with
            {
                Exercise = name.Trim(),
            }
            : new ProgramRow { Exercise = OneLine(text) };
    }

    private static ProgramRow Row(GymLine line)
    {
        var dose = Shorthand.Dose(line);
        var cross = line.Method == SetMethod.FiveThreeOne ? -1 : dose.IndexOf('x', StringComparison.Ordinal);
        return new ProgramRow
        {
            Label = line.Label ?? string.Empty,
            Exercise = line.Name,
            Sets = cross < 0 ? string.Empty : dose[..cross],
            Reps = dose[(cross + 1)..],
            Load = string.Join(' ', Loads(line)),
            Percent = line.ShareOfMax is { } share ? Shorthand.Span(share * 100, line.ShareOfMaxTo * 100) : string.Empty,
            Rpe = line.Rpe is { } rpe ? Shorthand.Span(rpe, line.RpeTo) : string.Empty,
            Rir = line.Rir is { } rir ? Shorthand.Span(rir, line.RirTo) : string.Empty,
            Tempo = line.Tempo?.ToString() ?? string.Empty,
            Rest = line.RestSeconds is { } rest ? $"{Shorthand.Span(rest, line.RestTo)} s" : string.Empty,
            Method = line.Method is { } method ? Shorthand.InWords(method, line.MethodFigures) ?? string.Empty : string.Empty,
            Note = line.Note ?? string.Empty,
        };
    }

    private static IEnumerable<string> Loads(GymLine line)
    {
        if (line.Load is { } load)
        {
            yield return Shorthand.LoadInWords(load);
        }

        if (line.LoadWord is { } word)
        {
            yield return Shorthand.InWords(word);
        }

        if (line.RepMax is { } most)
        {
            yield return $"{most}RM";
        }
    }

    private (string Line, ImmutableArray<ProgramFault> Faults, int Lines) Write(ProgramRow row, int index, string loadUnit)
    {
        var line = new StringBuilder();
        var faults = ImmutableArray.CreateBuilder<ProgramFault>();
        void Add(string? words) => line.Append(line.Length > 0 && words is { Length: > 0 } ? " " : string.Empty).Append(words);
        string? Cell(ProgramField field)
        {
            if (OneLine(row.Cell(field)) is not { Length: > 0 } cell)
            {
                return null;
            }

            var (words, wrong) = ProgramCell.Read(field, cell, loadUnit);
            if (wrong is not null)
            {
                faults.Add(new ProgramFault(index, field, wrong, ProgramCell.MeantBy(row.Cell(field)) is { } meant ? [meant] : []));
            }

            return words ?? OneLine(row.Cell(field));
        }

        if (row.Label.Trim() is { Length: > 0 } label)
        {
            Add(label.Length == 1 ? label + "." : label);
        }

        Add(OneLine(row.Exercise));
        var (sets, reps) = (Cell(ProgramField.Sets), Cell(ProgramField.Reps));
        Add(
            sets is null ? (reps is { Length: > 0 } && reps.All(c => char.IsAsciiDigit(c) || c == '-') ? "x" + reps : reps)
            : reps is null ? $"{sets} sets"
            : $"{sets}x{reps}"
        );
        foreach (var field in Modifiers)
        {
            Add(Cell(field));
        }

        var noteAlone = row.Exercise.Trim().Length == 0 && row.Note.Length > 0 && (row with { Note = string.Empty }).IsEmpty;
        var read = noteAlone ? null : _parser.Parse(line.ToString());
        if (faults.Count == 0 && read is not null && Wrong(read, sets, reps, index) is { } fault)
        {
            faults.Add(fault);
        }

        return (line.ToString(), faults.ToImmutable(), faults.Any(f => f.Field != ProgramField.Exercise) ? 0 : read?.Lines.Length ?? 0);
    }

    private static ProgramFault? Wrong(ShorthandResult read, string? sets, string? reps, int index)
    {
        if (read.Errors.FirstOrDefault() is { } wrong)
        {
            return new ProgramFault(index, FieldOf(wrong.Code, wrong.Message), wrong.Message, wrong.Suggestions);
        }

        if (read.Lines.IsEmpty)
        {
            // Other work is kept as it is; a name without a dose that is no exercise wants one.
            return !read.Kept.IsEmpty || read.Rows.Any(r => r.Kind is RowKind.Section or RowKind.Day)
                ? null
                : new ProgramFault(index, ProgramField.Exercise, Reason.Of("cell.no-line"), []);
        }

        return sets is null && reps is null ? new ProgramFault(index, ProgramField.Reps, Reason.Of("cell.no-dose"), [])
            : reps is null ? new ProgramFault(index, ProgramField.Reps, Reason.Of("cell.no-reps"), [])
            : sets is null && read.Lines[0].Method is null && read.Lines[0].Each.IsEmpty
                ? new ProgramFault(index, ProgramField.Sets, Reason.Of("cell.no-sets"), [])
            : read.Rows[0].Doubts.FirstOrDefault(d => d.Message.Code == "shorthand.range-reversed") is { } reversed
                ? new ProgramFault(index, ProgramField.Reps, reversed.Message, [])
            : read.Rows[0].Certainty != Certainty.Sure
                ? new ProgramFault(
                    index,
                    ProgramField.Exercise,
                    read.Rows[0].Doubts[0].Message,
                    [read.Rows[0].ReadAs, .. read.Rows[0].Doubts[0].Others.Select(o => o.Label)]
                )
            : read.Rows[0].Doubts.Any(d => d.Message.Code == "shorthand.no-reps") || OtherSets(read.Lines[0], sets)
                ? new ProgramFault(index, ProgramField.Reps, Reason.Of("cell.reps", ("text", reps)), [])
            : null;
    }

    /// <summary>The line has other sets than the cell: the reps were taken for something else.</summary>
    private static bool OtherSets(GymLine line, string? sets) =>
        int.TryParse(sets, NumberStyles.None, CultureInfo.InvariantCulture, out var wanted)
        && line.Each.IsEmpty
        && line.Sets != wanted
        && !line.LastSetOpen;

    /// <summary>The cell that a fault is about.</summary>
    private static ProgramField FieldOf(string code, Reason message) =>
        code == "shorthand.out-of-range"
            ? message.Code[(message.Code.LastIndexOf('-') + 1)..] switch
            {
                "sets" => ProgramField.Sets,
                "share" => ProgramField.Percent,
                "rpe" => ProgramField.Rpe,
                "rir" => ProgramField.Rir,
                "load" => ProgramField.Load,
                "rest" => ProgramField.Rest,
                _ => ProgramField.Reps,
            }
            : ProgramField.Exercise;

    /// <summary>A cell may hold line breaks; a line of the shorthand cannot.</summary>
    /// <summary>A cell in one line; a control character says no more than a blank.</summary>
    private static string OneLine(string cell) =>
        new string([.. cell.Select(c => char.IsControl(c) ? ' ' : c)]).ReplaceLineEndings(" ").Trim();
}
