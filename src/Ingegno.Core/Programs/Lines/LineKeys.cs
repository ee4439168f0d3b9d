using System.Collections.Immutable;

namespace Ingegno.Core.Programs.Lines;

/// <summary>
/// Finds the lines of an edited text again. A line is the same when it stands as written on its day; else as written on any day
/// (it moved); else with its exercise on its day (its figures changed); else with its exercise on any day. What is left is new and
/// gets a key that nothing has had, so that a decision never passes to another exercise.
/// </summary>
public static class LineKeys
{
    /// <summary>Lines that are remembered after they left the text; of more the oldest are forgotten.</summary>
    public const int RememberedGone = 200;

    /// <summary>The same lines, each with its key.</summary>
    /// <param name="read">What was read of the text.</param>
    /// <param name="before">The lines as they were last read; empty for a text that is read for the first time.</param>
    public static ShorthandResult Kept(ShorthandResult read, ImmutableArray<KeyedLine> before)
    {
        ArgumentNullException.ThrowIfNull(read);
        if (before.IsDefaultOrEmpty)
        {
            return read;
        }

        var now = read.Lines.Select(l => Of(l, read)).ToList();
        var keys = new LineKey?[now.Count];
        var free = before.DistinctBy(b => b.Key).OrderBy(b => b.Gone).ToList();
        foreach (var trait in Traits)
        {
            Match(trait, now, keys, free);
        }

        var next = before.Max(b => b.Key.Value);
        return read with { Lines = [.. read.Lines.Select((l, i) => l with { Key = keys[i] ?? new LineKey(++next) })] };
    }

    /// <summary>What the keys of a text are found again by next time: its lines, and those that left it.</summary>
    /// <param name="read">The lines with their keys.</param>
    /// <param name="before">The lines as they were last read.</param>
    public static ImmutableArray<KeyedLine> Remembered(ShorthandResult read, ImmutableArray<KeyedLine> before)
    {
        ArgumentNullException.ThrowIfNull(read);
        var now = read.Lines.Select(l => Of(l, read)).ToImmutableArray();
        var keys = now.Select(l => l.Key).ToHashSet();
        var gone = (before.IsDefault ? [] : before)
            .Where(b => !keys.Contains(b.Key))
            .DistinctBy(b => b.Key)
            .Select(b => b with { Gone = true })
            .ToList();
        return [.. now, .. gone.TakeLast(RememberedGone)];
    }

    /// <summary>What two readings of a line have in common, the surest first.</summary>
    private static readonly ImmutableArray<Func<KeyedLine, string>> Traits =
    [
        l => $"{l.Day}\n{l.Text}",
        l => l.Text,
        l => $"{l.Day}\n{l.ExerciseId}",
        l => l.ExerciseId,
    ];

    private static KeyedLine Of(GymLine line, ShorthandResult read) =>
        new(line.Key, line.ExerciseId, read.Days[line.Day].Name, Shorthand.Write(line with { Note = null }));

    /// <summary>Gives the keys of lines that are alike to those without one, in the order of the text.</summary>
    private static void Match(Func<KeyedLine, string> trait, List<KeyedLine> now, LineKey?[] keys, List<KeyedLine> free)
    {
        var alike = free.GroupBy(trait).ToDictionary(g => g.Key, g => new Queue<KeyedLine>(g), StringComparer.Ordinal);
        for (var i = 0; i < now.Count; i++)
        {
            if (keys[i] is null && alike.TryGetValue(trait(now[i]), out var same) && same.TryDequeue(out var found))
            {
                keys[i] = found.Key;
                free.Remove(found);
            }
        }
    }
}
