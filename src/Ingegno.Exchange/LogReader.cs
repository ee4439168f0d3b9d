using Ingegno.Core.Programs;
using Ingegno.Core.Programs.Exchange;
using Ingegno.Core.Progressing;
using Ingegno.Core.Rebuilding;

namespace Ingegno.Exchange;

/// <summary>Reads a training log from a CSV or XLSX file.</summary>
public sealed class LogReader(ExerciseNames names)
{
    /// <summary>What the file would bring in for a plan.</summary>
    /// <exception cref="UnreadableFileException">It cannot be read; the message says why and what to do.</exception>
    public LogPreview Read(byte[] bytes, IEnumerable<HomeLine> lines, DateOnly today)
    {
        var file = SheetFile.Read(bytes);
        if (file.Sheets.IsEmpty)
        {
            return new LogPreview([], [new LogFault(1, "This is no table: a log has a first row of heads such as date, exercise, reps, load kg, rir.")], file.Notes);
        }

        var preview = new LogTable(names).Read(file.Sheets[0] with { Rows = [.. file.Sheets[0].Rows.Where(r => r.Cells.Any(c => c.Text.Trim().Length > 0))] }, lines, today);
        return preview with { Notes = [.. file.Notes, .. preview.Notes] };
    }
}
