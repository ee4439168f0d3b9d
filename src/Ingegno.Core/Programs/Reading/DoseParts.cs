using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>Which parts of a dose a text names, so that the others can be left as they are.</summary>
/// <param name="Sets">It says how many sets.</param>
/// <param name="Reps">It says reps or seconds.</param>
/// <param name="Unread">Words that are no part of a dose; null when there are none.</param>
public sealed record DoseParts(bool Sets, bool Reps, string? Unread)
{
    /// <summary>The parts of a text of at most a line.</summary>
    public static DoseParts Split(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var (draft, _) = RowReader.Read(text);
        var unread = draft.Runs.Count > 0 ? text[draft.Runs[0].Start..draft.Runs[0].End] : null;
        var group = draft.Current;
        var alone = group is null && draft.Bare.Count == 1 && draft.Durations.Count == 0;
        return new DoseParts(group?.Sets is not null, group is { Counts.Count: > 0 } or { Open: true } || alone, unread);
    }
}
