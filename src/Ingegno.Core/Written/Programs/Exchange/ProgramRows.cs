using System.Collections.Immutable;
using System.Text;
using System.Text.RegularExpressions;
using Ingegno.Core.Ground.Text;
using Ingegno.Core.Knowledge.Catalogue;

namespace Ingegno.Core.Written.Programs.Exchange;

/// <summary>Text of a week in shorthand, and the cells that could not be taken as they were.</summary>
/// <param name="Text">Every row as a line, the faulty ones as they could be put together.</param>
/// <param name="Faults">What is wrong, in the order of the rows.</param>
/// <param name="Lines">How many lines can be read.</param>
public sealed record WrittenRows(string Text, ImmutableArray<ProgramFault> Faults, int Lines);

/// <summary>Turns a gym week in shorthand into rows of a table, and back without loss.</summary>
public sealed partial class ProgramRows(ExerciseNames names)
{
    /// <summary>Nearest names are looked for this often; after that an unknown exercise is named without them.</summary>
    public const int MostSuggestions = 40;

    private readonly string _anyName = names.Any;

    /// <summary>The fields that make up a line, in the order of the shorthand.</summary>
    private static readonly ImmutableArray<ProgramField> Modifiers =
    [
        ProgramField.Load,
        ProgramField.Percent,
        ProgramField.Rpe,
        ProgramField.Rir,
        ProgramField.Tempo,
        ProgramField.Rest,
        ProgramField.Note,
    ];

    /// <summary>The rows of a week. Lines that cannot be read keep their text as the exercise.</summary>
    public ImmutableArray<ProgramRow> Read(string text, string week = "")
    {
        ArgumentNullException.ThrowIfNull(text);
        var rows = ImmutableArray.CreateBuilder<ProgramRow>();
        var day = string.Empty;
        foreach (var line in text.ReplaceLineEndings("\n").Split('\n'))
        {
            if (DayHeading.Day(line) is { } heading)
            {
                day = heading;
            }
            else if (!string.IsNullOrWhiteSpace(line))
            {
                rows.Add(Read(line) with { Week = week, Day = day });
            }
        }

        return rows.ToImmutable();
    }

    /// <summary>The text of the rows of one week, days headed as they change.</summary>
    /// <param name="rows">Rows in order; a row without a day belongs to the day above.</param>
    /// <param name="loadUnit">Unit of loads written without one: kg or lb.</param>
    /// <param name="faultsBefore">Faults already found in the same file.</param>
    public WrittenRows Write(IReadOnlyList<ProgramRow> rows, string loadUnit = "kg", int faultsBefore = 0)
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

            var (line, wrong) = Write(rows[i], i, loadUnit, faultsBefore + faults.Count < MostSuggestions);
            text.Append(line).Append('\n');
            faults.AddRange(wrong);
            lines += wrong.IsEmpty && !line.StartsWith('#') ? 1 : 0;
        }

        return new WrittenRows(text.ToString().TrimEnd('\n'), faults.ToImmutable(), lines);
    }

    private ProgramRow Read(string text)
    {
        if (text.TrimStart().StartsWith('#'))
        {
            return new ProgramRow { Note = text.TrimStart('#', ' ').Trim() };
        }

        return Line(text) is { } line ? Row(line) : Faulty(text);
    }

    /// <summary>
    /// A line with a fault in its name or dose: what stands around it is read all the same, with a known name and dose
    /// in their place. A fault elsewhere leaves the whole line as the exercise.
    /// </summary>
    private ProgramRow Faulty(string text)
    {
        var parts = NameAndDose().Match(text);
        if (!parts.Success || Line($"{parts.Groups["label"].Value} {_anyName} 1x1{parts.Groups["rest"].Value}") is not { } around)
        {
            return new ProgramRow { Exercise = text.Trim() };
        }

        return Row(around) with
        {
            Exercise = parts.Groups["name"].Value,
            Sets = parts.Groups["sets"].Value,
            Reps = parts.Groups["reps"].Value,
        };
    }

    private GymLine? Line(string text)
    {
        try
        {
            return new ShorthandLineReader(text, 1, names).Read();
        }
        catch (ShorthandException)
        {
            return null;
        }
    }

    private static ProgramRow Row(GymLine line)
    {
        var dose = Shorthand.Dose(line);
        var cross = dose.IndexOf('x', StringComparison.Ordinal);
        return new ProgramRow
        {
            Label = line.Label ?? string.Empty,
            Exercise = line.Name,
            Sets = dose[..cross],
            Reps = dose[(cross + 1)..],
            Load = line.Load is { } load ? Shorthand.LoadInWords(load) : string.Empty,
            Percent = line.ShareOfMax is { } share ? Words.Number(share * 100, 2) : string.Empty,
            Rpe = line.Rpe is { } rpe ? Words.Number(rpe) : string.Empty,
            Rir = line.Rir is { } rir ? Words.Number(rir) : string.Empty,
            Tempo = line.Tempo?.ToString() ?? string.Empty,
            Rest = line.RestSeconds is { } rest ? $"{rest} s" : string.Empty,
            Note = line.Note ?? string.Empty,
        };
    }

    private (string Line, ImmutableArray<ProgramFault> Faults) Write(ProgramRow row, int index, string loadUnit, bool suggest)
    {
        var line = new ComposedLine();
        var faults = ImmutableArray.CreateBuilder<ProgramFault>();
        string? Cell(ProgramField field)
        {
            if (string.IsNullOrWhiteSpace(row.Cell(field)))
            {
                return null;
            }

            var (words, wrong) = ProgramCell.Read(field, OneLine(row.Cell(field)), loadUnit);
            if (wrong is not null)
            {
                faults.Add(new ProgramFault(index, field, wrong, ProgramCell.MeantBy(row.Cell(field)) is { } meant ? [meant] : []));
            }

            return words ?? OneLine(row.Cell(field));
        }

        if (row.Label.Trim() is { Length: > 0 } label)
        {
            line.Add(ProgramField.Label, label.Length == 1 ? label + "." : label);
        }

        var noteAlone = row.Exercise.Trim().Length == 0 && row.Note.Length > 0 && (row with { Note = string.Empty }).IsEmpty;
        line.Add(ProgramField.Exercise, OneLine(row.Exercise));
        var (sets, reps) = (Cell(ProgramField.Sets), Cell(ProgramField.Reps));
        if (sets is not null || reps is not null)
        {
            line.Add(ProgramField.Sets, sets);
            line.Add(ProgramField.Reps, "x" + reps, joined: sets is not null);
        }

        foreach (var field in Modifiers)
        {
            line.Add(field, Cell(field));
        }

        if (
            faults.Count == 0
            && !noteAlone
            && (suggest || names.Find(row.Exercise) is not null ? Wrong(line, sets, reps, index) : Unknown(row, index)) is { } fault
        )
        {
            faults.Add(fault);
        }

        return (line.Text, faults.ToImmutable());
    }

    private static ProgramFault Unknown(ProgramRow row, int index) =>
        new(
            index,
            ProgramField.Exercise,
            $"The catalogue has no exercise called \"{row.Exercise}\". Check the spelling, or pick one from the catalogue.",
            []
        );

    private ProgramFault? Wrong(ComposedLine line, string? sets, string? reps, int index)
    {
        try
        {
            _ = new ShorthandLineReader(line.Text, 1, names).Read();
            return null;
        }
        catch (ShorthandException wrong)
        {
            var (field, message) = (line.FieldAt(wrong.Error.Column - 1), wrong.Error.Message);
            if (wrong.Error.Code == "shorthand.no-dose")
            {
                (field, message) =
                    sets is null && reps is null ? (ProgramField.Reps, "Sets and reps are missing, for instance 3 and 8-12.")
                    : sets is null ? (ProgramField.Sets, "The number of sets is missing.")
                    : (ProgramField.Reps, $"\"{reps}\" are no reps; write 8, 8-12, 10/side, 30 s or AMRAP.");
            }

            return new ProgramFault(index, field, message, wrong.Error.Suggestions);
        }
    }

    [GeneratedRegex(
        @"^\s*(?<label>[A-Za-z][0-9]{1,2}(?=[.):\s])[.):]?|[A-Za-z][.):](?=\s))?\s*(?<name>\S.*?)\s+(?<sets>[0-9]+)\s*[x×]\s*(?<reps>\S+)(?<rest>.*)$",
        RegexOptions.IgnoreCase
    )]
    private static partial Regex NameAndDose();

    /// <summary>A cell may hold line breaks; a line of the shorthand cannot.</summary>
    private static string OneLine(string cell) => cell.ReplaceLineEndings(" ").Trim();

    /// <summary>A line put together of cells that remembers which cell stands where.</summary>
    private sealed class ComposedLine
    {
        private readonly StringBuilder _text = new();
        private readonly List<(int Start, ProgramField Field)> _spans = [];

        public string Text => _text.ToString();

        public void Add(ProgramField field, string? words, bool joined = false)
        {
            if (string.IsNullOrEmpty(words))
            {
                return;
            }

            _text.Append(_text.Length > 0 && !joined ? " " : string.Empty);
            _spans.Add((_text.Length, field));
            _text.Append(words);
        }

        public ProgramField FieldAt(int column) =>
            _spans.Where(s => s.Start <= column).Select(s => s.Field).DefaultIfEmpty(ProgramField.Exercise).Last();
    }
}
