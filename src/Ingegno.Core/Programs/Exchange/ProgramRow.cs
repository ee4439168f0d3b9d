using System.Collections.Immutable;
using System.Text.Json.Serialization;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Programs.Exchange;

/// <summary>
/// One line of a gym program as the cells of a table. Cells hold what a coach types; a row that fills the exercise
/// alone stands for a line that could not be read, a row that fills the note alone for a remark of its own.
/// </summary>
public sealed record ProgramRow
{
    /// <summary>Name of the week, empty for the same as above.</summary>
    public string Week { get; init; } = string.Empty;

    /// <summary>Name of the day, empty for the same as above.</summary>
    public string Day { get; init; } = string.Empty;

    /// <summary>Superset label such as A1.</summary>
    public string Label { get; init; } = string.Empty;

    public string Exercise { get; init; } = string.Empty;

    /// <summary>Straight sets: 3.</summary>
    public string Sets { get; init; } = string.Empty;

    /// <summary>Reps or time: 8-12, 10/side, 30 s, 6 + AMRAP.</summary>
    public string Reps { get; init; } = string.Empty;

    /// <summary>60 kg, 2x10 kg, 45 lb.</summary>
    public string Load { get; init; } = string.Empty;

    /// <summary>Percent of the one-rep maximum.</summary>
    public string Percent { get; init; } = string.Empty;

    public string Rpe { get; init; } = string.Empty;

    public string Rir { get; init; } = string.Empty;

    /// <summary>3-1-X-0.</summary>
    public string Tempo { get; init; } = string.Empty;

    /// <summary>90 s, 1:30, 2 min.</summary>
    public string Rest { get; init; } = string.Empty;

    /// <summary>How the sets run: drop set, rest-pause, EMOM.</summary>
    public string Method { get; init; } = string.Empty;

    public string Note { get; init; } = string.Empty;

    /// <summary>True when nothing of a line is filled in.</summary>
    [JsonIgnore]
    public bool IsEmpty => (Label + Exercise + Sets + Reps + Load + Percent + Rpe + Rir + Tempo + Rest + Method + Note).Trim().Length == 0;

    /// <summary>The cell of a field; for <see cref="ProgramField.Dose"/> sets and reps together.</summary>
    public string Cell(ProgramField field) =>
        field switch
        {
            ProgramField.Week => Week,
            ProgramField.Day => Day,
            ProgramField.Label => Label,
            ProgramField.Exercise => Exercise,
            ProgramField.Dose => Sets.Length == 0 ? Reps : $"{Sets}x{Reps}",
            ProgramField.Sets => Sets,
            ProgramField.Reps => Reps,
            ProgramField.Load => Load,
            ProgramField.Percent => Percent,
            ProgramField.Rpe => Rpe,
            ProgramField.Rir => Rir,
            ProgramField.Tempo => Tempo,
            ProgramField.Rest => Rest,
            ProgramField.Method => Method,
            _ => Note,
        };

    /// <summary>The row with another cell; a dose such as 3x8 is parted into sets and reps.</summary>
    public ProgramRow With(ProgramField field, string cell)
    {
        ArgumentNullException.ThrowIfNull(cell);
        return field switch
        {
            ProgramField.Week => this with { Week = cell },
            ProgramField.Day => this with { Day = cell },
            ProgramField.Label => this with { Label = cell },
            ProgramField.Exercise => this with { Exercise = cell },
            ProgramField.Dose => WithDose(cell),
            ProgramField.Sets => this with { Sets = cell },
            ProgramField.Reps => this with { Reps = cell },
            ProgramField.Load => this with { Load = cell },
            ProgramField.Percent => this with { Percent = cell },
            ProgramField.Rpe => this with { Rpe = cell },
            ProgramField.Rir => this with { Rir = cell },
            ProgramField.Tempo => this with { Tempo = cell },
            ProgramField.Rest => this with { Rest = cell },
            ProgramField.Method => this with { Method = cell },
            _ => this with { Note = cell },
        };
    }

    private ProgramRow WithDose(string cell)
    {
        var at = cell.IndexOfAny(['x', 'X', '×']);
        return at <= 0 ? this with { Reps = cell } : this with { Sets = cell[..at].Trim(), Reps = cell[(at + 1)..].Trim() };
    }
}

/// <summary>A cell that cannot be taken as it is.</summary>
/// <param name="Row">Row in the list, 0 first.</param>
/// <param name="Field">Its column.</param>
/// <param name="Message">What is wrong and what to write instead.</param>
/// <param name="Suggestions">What could be meant, best first.</param>
public sealed record ProgramFault(int Row, ProgramField Field, Reason Message, ImmutableArray<string> Suggestions);
