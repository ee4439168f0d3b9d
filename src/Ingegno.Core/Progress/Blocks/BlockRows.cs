using System.Collections.Immutable;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Reading;

namespace Ingegno.Core.Progress.Blocks;

/// <summary>A block as the rows of a program in a table: week, day, exercise and its figures, so that other programs and people can go on
/// with it.</summary>
public static class BlockRows
{
    /// <summary>One row per exercise and week, days in the order of the plan.</summary>
    /// <param name="block">The weeks.</param>
    /// <param name="plan">The plan, for its days; a line that it no longer has comes under no day.</param>
    public static ImmutableArray<ProgramRow> Build(Block block, HomePlan plan)
    {
        ArgumentNullException.ThrowIfNull(block);
        ArgumentNullException.ThrowIfNull(plan);
        var days = plan.Lines.ToDictionary(l => l.Gym.Key, l => l.Gym.Day);
        return
        [
            .. from week in block.Weeks
            from cell in week.Cells.OrderBy(c => days.GetValueOrDefault(c.Line, int.MaxValue)) // stable: lines keep their order
            select Row(
                week,
                cell,
                days.TryGetValue(cell.Line, out var day) ? plan.Days.ElementAtOrDefault(day)?.Name ?? string.Empty : string.Empty
            ),
        ];
    }

    private static ProgramRow Row(BlockWeek week, BlockCell cell, string day) =>
        new ProgramRow
        {
            Week = $"Week {week.Number}, {week.Phase}",
            Day = day,
            Exercise = cell.Name,
            Load = cell.ExternalKg > 0 ? $"{Words.Number(cell.ExternalKg, 2)} kg" : string.Empty,
            Rir = $"{cell.Dose.Rir}",
            Tempo = cell.Dose.Tempo.ToString(),
            Rest = $"{cell.Dose.RestSeconds} s",
            Note = Note(week, cell),
        }.With(ProgramField.Dose, (cell.Dose with { Scheme = null }).Figures);

    /// <summary>What the figures do not say: a lighter week, techniques.</summary>
    private static string Note(BlockWeek week, BlockCell cell)
    {
        IEnumerable<string?> parts =
        [
            $"from {week.Starts:yyyy-MM-dd}",
            week.IsLight ? Words.Of(week.Kind) : null,
            .. cell.Dose.Techniques.Select(t => (string?)t.Replace('-', ' ')),
            cell.SetByCoach ? "set by the coach" : null,
        ];
        return string.Join(", ", parts.OfType<string>());
    }
}
