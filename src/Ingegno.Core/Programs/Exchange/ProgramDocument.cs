using System.Collections.Immutable;
using System.Text.Json;
using System.Text.Json.Serialization.Metadata;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Exchange;

/// <summary>A gym program in our own open form (docs/program-files.md): JSON with one object per line.</summary>
/// <param name="Format">Always <see cref="FormatName"/>.</param>
/// <param name="Version">Version of the form, 1.</param>
/// <param name="Weeks">The weeks in order.</param>
public sealed record ProgramDocument(string Format, int Version, ImmutableArray<ProgramWeek> Weeks)
{
    /// <summary>By which a file of this form is known.</summary>
    public const string FormatName = "gym-program";

    /// <summary>Version that is written; newer ones are refused.</summary>
    public const int CurrentVersion = 1;

    private static readonly JsonSerializerOptions Written = new(RulesJson.Strict)
    {
        WriteIndented = true,
        TypeInfoResolver = RulesJson.Strict.TypeInfoResolver!.WithAddedModifier(LeaveEmptyCellsOut),
    };

    /// <summary>The document as JSON in UTF-8; cells that hold nothing are left out.</summary>
    public byte[] ToJson() => JsonSerializer.SerializeToUtf8Bytes(this, Written);

    /// <summary>The document of weeks in shorthand.</summary>
    public static ProgramDocument From(IEnumerable<(string Name, string Text)> weeks, ProgramRows rows)
    {
        ArgumentNullException.ThrowIfNull(weeks);
        ArgumentNullException.ThrowIfNull(rows);
        return new ProgramDocument(
            FormatName,
            CurrentVersion,
            [
                .. weeks.Select(w => new ProgramWeek(
                    w.Name,
                    [
                        .. rows.Read(w.Text)
                            .GroupBy(r => r.Day)
                            .Select(d => new ProgramDay(d.Key, [.. d.Select(r => r with { Day = string.Empty })])),
                    ]
                )),
            ]
        );
    }

    private static void LeaveEmptyCellsOut(JsonTypeInfo type)
    {
        foreach (var cell in type.Type == typeof(ProgramRow) ? type.Properties : [])
        {
            cell.ShouldSerialize = (_, value) => value is string { Length: > 0 };
        }
    }

    /// <summary>What it would bring in.</summary>
    public ImportPreview Preview(ProgramRows rows)
    {
        ArgumentNullException.ThrowIfNull(rows);
        var weeks = Weeks
            .Select(w => (w.Name, Rows: w.Days.SelectMany(d => d.Lines.Select(l => l with { Day = d.Name })).ToList()))
            .ToList();
        var written = weeks.Select(w => (w.Name, w.Rows, Written: rows.Write(w.Rows))).ToList();
        return new ImportPreview
        {
            Weeks = [.. written.Select(w => new ImportedWeek(w.Name, w.Written.Text, w.Written.Lines))],
            Faults =
            [
                .. written.SelectMany(w =>
                    w.Written.Faults.Select(f => new ImportFault(
                        $"{w.Name}, {w.Rows[f.Row].Day} line {f.Row + 1}".Replace(",  ", ", ", StringComparison.Ordinal),
                        string.Empty,
                        f.Field,
                        f.Message,
                        f.Suggestions
                    ))
                ),
            ],
        };
    }
}

/// <summary>A week of the document.</summary>
public sealed record ProgramWeek(string Name, ImmutableArray<ProgramDay> Days);

/// <summary>A day of the document; its lines are rows without week and day.</summary>
public sealed record ProgramDay(string Name, ImmutableArray<ProgramRow> Lines);
