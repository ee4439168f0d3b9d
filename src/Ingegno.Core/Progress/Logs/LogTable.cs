using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Progress.Logs;

/// <summary>A row of a log file that cannot be taken.</summary>
/// <param name="Row">Number of the row in the file, 1 first.</param>
/// <param name="Message">What is wrong, and how it is written.</param>
public sealed record LogFault(int Row, Reason Message);

/// <summary>What a log file would bring in.</summary>
/// <param name="Sessions">Sessions, oldest first.</param>
/// <param name="Faults">Rows that are left out.</param>
/// <param name="Notes">What to know about the reading.</param>
public sealed record LogPreview(ImmutableArray<LoggedSession> Sessions, ImmutableArray<LogFault> Faults, ImmutableArray<Reason> Notes);

/// <summary>
/// Reads a log from a table: a row is a set (<c>date, exercise, reps, load kg, rir, pain, joint</c>), or an exercise whose sets stand in
/// one cell in shorthand (<c>date, exercise, sets</c>). Columns are found by their heads, in any order.
/// </summary>
/// <param name="names">The names that exercises go by.</param>
/// <param name="stop">Gives up between two rows once nobody waits for the answer, or it has taken too long.</param>
public sealed class LogTable(ExerciseNames names, CancellationToken stop = default)
{
    private const int MostRows = 5000;

    private static readonly string[] Required = ["date", "exercise"];

    private static readonly ImmutableDictionary<string, string> Heads = new Dictionary<string, string>
    {
        ["date"] = "date",
        ["day"] = "date",
        ["performed on"] = "date",
        ["exercise"] = "exercise",
        ["name"] = "exercise",
        ["reps"] = "reps",
        ["rep"] = "reps",
        ["seconds"] = "reps",
        ["sets"] = "sets",
        ["log"] = "sets",
        ["load"] = "load",
        ["load kg"] = "load",
        ["kg"] = "load",
        ["weight"] = "load",
        ["weight kg"] = "load",
        ["lb"] = "pounds",
        ["load lb"] = "pounds",
        ["weight lb"] = "pounds",
        ["rir"] = "rir",
        ["reserve"] = "rir",
        ["rpe"] = "rpe",
        ["pain"] = "pain",
        ["joint"] = "joint",
        ["where"] = "joint",
        ["effort"] = "effort",
    }.ToImmutableDictionary();

    /// <summary>What a table would bring in for a plan.</summary>
    /// <param name="sheet">The table, its heads in the first row.</param>
    /// <param name="lines">Lines of the plan, to which exercises are matched by name.</param>
    /// <param name="today">No session lies after this day.</param>
    public LogPreview Read(Sheet sheet, IEnumerable<HomeLine> lines, DateOnly today)
    {
        ArgumentNullException.ThrowIfNull(sheet);
        ArgumentNullException.ThrowIfNull(lines);
        if (sheet.Rows.IsEmpty)
        {
            return new LogPreview([], [], [Reason.Of("log-file.empty")]);
        }

        var columns = sheet
            .Rows[0]
            .Cells.Select((c, i) => (Field: Heads.GetValueOrDefault(Normal(c.Text)), Index: i))
            .Where(c => c.Field is not null)
            .GroupBy(c => c.Field!)
            .ToDictionary(g => g.Key, g => g.First().Index);
        var missing = Required
            .Where(f => !columns.ContainsKey(f))
            .Concat(columns.ContainsKey("reps") || columns.ContainsKey("sets") ? [] : ["reps or sets"])
            .ToList();
        if (missing.Count > 0)
        {
            return new LogPreview(
                [],
                [new LogFault(sheet.Rows[0].Number, Reason.Of("log-file.heads", ("columns", FactList.Of(missing))))],
                []
            );
        }

        var lineOf = lines
            .SelectMany(l => (l.Chosen?.Exercises ?? []).Select(e => (e.ExerciseId, l.Gym.Key)))
            .GroupBy(e => e.ExerciseId)
            .ToDictionary(g => g.Key, g => g.First().Key);
        var faults = ImmutableArray.CreateBuilder<LogFault>();
        var sets = new List<(DateOnly Day, string Exercise, LineKey Line, ImmutableArray<LoggedSet> Sets, int? Effort)>();
        foreach (var row in sheet.Rows.Skip(1).Take(MostRows).Where(r => r.Cells.Any(c => c.Text.Trim().Length > 0)))
        {
            stop.ThrowIfCancellationRequested();
            var cells = new Cells(row, columns);
            if (Row(cells, today) is var (read, fault) && fault is not null)
            {
                faults.Add(new LogFault(row.Number, fault));
            }
            else if (read is { } good)
            {
                sets.Add((good.Day, good.ExerciseId, lineOf.GetValueOrDefault(good.ExerciseId), good.Sets, good.Effort));
            }
        }

        var sessions = sets.GroupBy(s => s.Day)
            .OrderBy(g => g.Key)
            .Select(day => new LoggedSession(
                day.Key,
                [
                    .. day.GroupBy(s => (s.Exercise, s.Line))
                        .Select(e => new LoggedExercise(e.Key.Line, e.Key.Exercise, [.. e.SelectMany(s => s.Sets)])),
                ],
                day.Select(s => s.Effort).OfType<int>().Cast<int?>().FirstOrDefault()
            ));
        ImmutableArray<Reason> notes = sheet.Rows.Length - 1 > MostRows ? [Reason.Of("log-file.most", ("rows", MostRows))] : [];
        return new LogPreview([.. sessions], faults.ToImmutable(), notes);
    }

    private ((DateOnly Day, string ExerciseId, ImmutableArray<LoggedSet> Sets, int? Effort)? Read, Reason? Fault) Row(
        Cells cells,
        DateOnly today
    )
    {
        if (
            !DateOnly.TryParseExact(
                cells["date"],
                ["yyyy-MM-dd", "yyyy/MM/dd", "d.M.yyyy"],
                CultureInfo.InvariantCulture,
                DateTimeStyles.None,
                out var day
            )
        )
        {
            return (null, Reason.Of("log-file.day", ("text", cells["date"])));
        }

        if (day > today)
        {
            return (null, Reason.Of("log-file.future", ("text", cells["date"])));
        }

        if (names.Find(cells["exercise"]) is not { } exercise)
        {
            var near = names.Nearest(cells["exercise"]);
            return (null, Reason.Of("log-file.exercise", ("name", cells["exercise"]), ("near", FactList.Of(near))));
        }

        var read = cells["sets"].Length > 0 ? LogShorthand.Read(cells["sets"]) : OneSet(cells);
        return read.Error is { } wrong
            ? (null, wrong)
            : (
                (
                    day,
                    exercise.Id,
                    read.Sets,
                    int.TryParse(cells["effort"], CultureInfo.InvariantCulture, out var effort) && effort is >= 1 and <= 10 ? effort : null
                ),
                null
            );
    }

    /// <summary>A set whose figures stand in columns of their own, written as shorthand and read as such.</summary>
    private static ReadSets OneSet(Cells cells)
    {
        var load =
            cells["load"].Length > 0
                ? $" @{cells["load"].Replace("kg", string.Empty, StringComparison.OrdinalIgnoreCase).Trim().Replace(',', '.')}kg"
            : cells["pounds"].Length > 0 ? $" @{cells["pounds"].Trim().Replace(',', '.')}lb"
            : string.Empty;
        var rir =
            cells["rir"].Length > 0 ? cells["rir"]
            : double.TryParse(cells["rpe"], CultureInfo.InvariantCulture, out var rpe) ? $"{Effort.RirOf(rpe)}"
            : string.Empty;
        var reserve = rir.Length > 0 ? $" r{rir}" : string.Empty;
        var pain = cells["pain"].Length > 0 ? $" p{cells["pain"]} {cells["joint"].ToLowerInvariant()}".TrimEnd() : string.Empty;
        return LogShorthand.Read($"{cells["reps"]}{load}{reserve}{pain}");
    }

    private static string Normal(string head) =>
        head.Trim()
            .TrimEnd('.')
            .Replace("(", string.Empty, StringComparison.Ordinal)
            .Replace(")", string.Empty, StringComparison.Ordinal)
            .Replace('_', ' ')
            .ToLowerInvariant();

    /// <summary>Cells of a row by what they are.</summary>
    private readonly record struct Cells(SheetRow Row, Dictionary<string, int> Columns)
    {
        public string this[string field] =>
            Columns.TryGetValue(field, out var at) && at < Row.Cells.Length ? Row.Cells[at].Text.Trim() : string.Empty;
    }
}
