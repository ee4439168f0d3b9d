using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Rebuilding.Weeks;

/// <summary>What was read from the cell of a dose: figures to set, or what is wrong.</summary>
/// <param name="Edit">The figures; null when the text cannot be read.</param>
/// <param name="Error">What is wrong and what to write; null when it was read.</param>
public sealed record ReadDose(HomeEdit? Edit, Reason? Error);

/// <summary>
/// Reads a dose as a coach types it into the cell of a home line, whole or in part, by the reader of gym lines: <c>4x8-12 @ 16 kg 3-1-1-0
/// 90 s RIR 1</c>, <c>90 s</c>, <c>3-1-1-0</c>, <c>RIR 1</c>, <c>16 kg</c>; a figure or range on its own is reps.
/// </summary>
public sealed class DoseShorthand(ExerciseNames names)
{
    /// <summary>Reads the text.</summary>
    /// <param name="text">What was typed, at most a line of shorthand.</param>
    /// <param name="line">Key of the gym line.</param>
    /// <param name="exerciseId">Home exercise it is for.</param>
    /// <param name="name">Its name.</param>
    public ReadDose Read(string text, LineKey line, string exerciseId, string name)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (string.IsNullOrWhiteSpace(text) || text.Length > ShorthandLimits.LineLength)
        {
            return Wrong(
                Reason.Of(string.IsNullOrWhiteSpace(text) ? "dose.nothing" : "dose.too-long", ("most", ShorthandLimits.LineLength))
            );
        }

        var said = DoseParts.Split(text);
        if (said.Unread is { } unread)
        {
            return Wrong(Reason.Of("dose.unread", ("text", unread)));
        }

        // What is not written stays; reps and sets that are not given are filled in only so that the line can be read.
        var dose = said switch
        {
            { Sets: false, Reps: false } => $"{name} 1x1 {text}",
            { Sets: false } => $"{name} x{text.Trim().TrimStart('x', 'X')}",
            { Reps: false } => $"{name} {text} x1",
            _ => $"{name} {text}",
        };
        var read = new ShorthandParser(names).Parse(dose);
        return read.Lines is [{ } got]
            ? new ReadDose(
                new HomeEdit
                {
                    Line = line,
                    ExerciseId = exerciseId,
                    Sets = said.Sets ? got.Sets : null,
                    Target = said.Reps ? got.Target : null,
                    Tempo = got.Tempo,
                    RestSeconds = got.RestSeconds,
                    Rir = got.Reserve,
                    ExternalKg = got.Load?.TotalKg,
                },
                null
            )
            : Wrong(read.Errors.FirstOrDefault()?.Message ?? Reason.Of("dose.nothing"));
    }

    private static ReadDose Wrong(Reason what) => new(null, what.Then(Reason.Of("dose.example")));
}
