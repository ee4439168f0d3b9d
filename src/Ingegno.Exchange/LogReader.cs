using System.Collections.Immutable;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.HomePlans;
using Ingegno.Core.Progress.Logs;

namespace Ingegno.Exchange;

/// <summary>Reads a training log from a CSV or XLSX file.</summary>
/// <param name="names">The names that exercises go by.</param>
/// <param name="stop">Gives up between two rows once nobody waits for the answer, or it has taken too long.</param>
public sealed class LogReader(ExerciseNames names, CancellationToken stop = default)
{
    /// <summary>What the file would bring in for a plan.</summary>
    /// <exception cref="UnreadableFileException">It cannot be read; the message says why and what to do.</exception>
    public LogPreview Read(byte[] bytes, IEnumerable<HomeLine> lines, DateOnly today)
    {
        var file = SheetFile.Read(bytes, stop: stop);
        ImmutableArray<Reason> notes = [.. file.Notes.Select(Reason.Text)]; // what the reader of the file said of its bytes
        if (file.Sheets.IsEmpty)
        {
            return new LogPreview([], [new LogFault(1, Reason.Of("log-file.no-table"))], notes);
        }

        var preview = new LogTable(names, stop).Read(
            file.Sheets[0] with
            {
                Rows = [.. file.Sheets[0].Rows.Where(r => r.Cells.Any(c => c.Text.Trim().Length > 0))],
            },
            lines,
            today
        );
        return preview with { Notes = [.. notes, .. preview.Notes] };
    }
}
