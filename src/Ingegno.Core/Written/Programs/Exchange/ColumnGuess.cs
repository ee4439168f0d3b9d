using System.Collections.Immutable;

namespace Ingegno.Core.Written.Programs.Exchange;

/// <summary>Finds the row with the heads of the columns and what each column holds. Heads as coaches write them: common practice.</summary>
public static class ColumnGuess
{
    private const int RowsLookedAt = 20;

    private static readonly ImmutableDictionary<string, ProgramField> Heads = new Dictionary<string, ProgramField>
    {
        ["week"] = ProgramField.Week,
        ["wk"] = ProgramField.Week,
        ["microcycle"] = ProgramField.Week,
        ["day"] = ProgramField.Day,
        ["session"] = ProgramField.Day,
        ["workout"] = ProgramField.Day,
        ["training day"] = ProgramField.Day,
        ["label"] = ProgramField.Label,
        ["superset"] = ProgramField.Label,
        ["order"] = ProgramField.Label,
        ["group"] = ProgramField.Label,
        ["no"] = ProgramField.Label,
        ["exercise"] = ProgramField.Exercise,
        ["exercises"] = ProgramField.Exercise,
        ["movement"] = ProgramField.Exercise,
        ["lift"] = ProgramField.Exercise,
        ["name"] = ProgramField.Exercise,
        ["dose"] = ProgramField.Dose,
        ["sets x reps"] = ProgramField.Dose,
        ["sets reps"] = ProgramField.Dose,
        ["sets and reps"] = ProgramField.Dose,
        ["prescription"] = ProgramField.Dose,
        ["sets"] = ProgramField.Sets,
        ["set"] = ProgramField.Sets,
        ["reps"] = ProgramField.Reps,
        ["rep"] = ProgramField.Reps,
        ["repetitions"] = ProgramField.Reps,
        ["time"] = ProgramField.Reps,
        ["duration"] = ProgramField.Reps,
        ["load"] = ProgramField.Load,
        ["weight"] = ProgramField.Load,
        ["kg"] = ProgramField.Load,
        ["lb"] = ProgramField.Load,
        ["lbs"] = ProgramField.Load,
        ["percent"] = ProgramField.Percent,
        ["1rm"] = ProgramField.Percent,
        ["intensity"] = ProgramField.Percent,
        ["of 1rm"] = ProgramField.Percent,
        ["percent of 1rm"] = ProgramField.Percent,
        ["rpe"] = ProgramField.Rpe,
        ["rir"] = ProgramField.Rir,
        ["reps in reserve"] = ProgramField.Rir,
        ["tempo"] = ProgramField.Tempo,
        ["rest"] = ProgramField.Rest,
        ["rest s"] = ProgramField.Rest,
        ["rest sec"] = ProgramField.Rest,
        ["pause"] = ProgramField.Rest,
        ["note"] = ProgramField.Note,
        ["notes"] = ProgramField.Note,
        ["comment"] = ProgramField.Note,
        ["comments"] = ProgramField.Note,
        ["remarks"] = ProgramField.Note,
        ["cues"] = ProgramField.Note,
    }.ToImmutableDictionary(StringComparer.Ordinal);

    /// <summary>Index of the row that holds the heads: the one among the first twenty that names most columns; 0 when none does.</summary>
    public static int HeadRow(Sheet sheet)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        var rows = sheet.Rows.Take(RowsLookedAt).Select((r, i) => (Index: i, Known: Fields(r).Count(f => f is not null))).ToList();
        return rows.Count == 0 ? 0 : rows.MaxBy(r => (r.Known, -r.Index)).Index;
    }

    /// <summary>What each column holds by its head, null where that is not known; each field once, the first column wins.</summary>
    public static ImmutableArray<ProgramField?> Fields(SheetRow heads)
    {
        ArgumentNullException.ThrowIfNull(heads);
        var seen = new HashSet<ProgramField>();
        return [.. heads.Cells.Select(c => Field(c.Text) is { } field && seen.Add(field) ? field : (ProgramField?)null)];
    }

    /// <summary>Unit of loads by the head of their column: lb where it says so, else kg.</summary>
    public static string LoadUnit(string head)
    {
        ArgumentNullException.ThrowIfNull(head);
        return Plain(head).Split(' ').Any(w => w is "lb" or "lbs" or "pounds") ? "lb" : "kg";
    }

    private static ProgramField? Field(string head)
    {
        var plain = Plain(head);
        if (Heads.TryGetValue(plain, out var field))
        {
            return field;
        }

        // "Weight (kg)", "Rest [s]": what stands in brackets is the unit.
        var end = plain.LastIndexOf(' ');
        return end > 0 && Heads.TryGetValue(plain[..end], out var before) ? before
            : head.Trim() == "%" ? ProgramField.Percent
            : null;
    }

    private static string Plain(string head) =>
        string.Join(
            ' ',
            new string([.. head.ToLowerInvariant().Select(c => char.IsLetterOrDigit(c) ? c : ' ')]).Split(
                ' ',
                StringSplitOptions.RemoveEmptyEntries
            )
        );
}
