using System.Collections.Immutable;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>What the head of a column says of what it holds. Heads as coaches write them: common practice.</summary>
public static class ColumnHeads
{
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
        ["method"] = ProgramField.Method,
        ["technique"] = ProgramField.Method,
        ["set type"] = ProgramField.Method,
        ["note"] = ProgramField.Note,
        ["notes"] = ProgramField.Note,
        ["comment"] = ProgramField.Note,
        ["comments"] = ProgramField.Note,
        ["remarks"] = ProgramField.Note,
        ["cues"] = ProgramField.Note,
    }.ToImmutableDictionary(StringComparer.Ordinal);

    /// <summary>Unit of loads by the head of their column: lb where it says so, else kg.</summary>
    public static string LoadUnit(string head)
    {
        ArgumentNullException.ThrowIfNull(head);
        return Plain(head).Split(' ').Any(w => w is "lb" or "lbs" or "pounds") ? "lb" : "kg";
    }

    /// <summary>What a column holds by its head; null where that is not known.</summary>
    public static ProgramField? Field(string head)
    {
        ArgumentNullException.ThrowIfNull(head);
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
