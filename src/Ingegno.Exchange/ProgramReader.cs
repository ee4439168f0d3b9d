using System.Text.Json;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Exercises;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange;

/// <summary>What a file was taken for.</summary>
public enum ProgramForm
{
    Table,
    Shorthand,
    Document,
}

/// <summary>A file as a gym program, for a coach to look at.</summary>
/// <param name="Form">What it was taken for.</param>
/// <param name="Separator">What parts the columns of a text table; null otherwise.</param>
/// <param name="Preview">What it would bring in.</param>
public sealed record ReadProgram(ProgramForm Form, string? Separator, ImportPreview Preview);

/// <summary>Reads a gym program from a file or a paste: our own JSON, a table, or shorthand, told apart by what is in it.</summary>
/// <param name="names">The names that exercises go by.</param>
/// <param name="stop">Gives up between two rows once nobody waits for the answer, or it has taken too long.</param>
public sealed class ProgramReader(ExerciseNames names, CancellationToken stop = default)
{
    /// <summary>Share of lines that must read as shorthand for a text to be taken for it.</summary>
    private const double MostlyShorthand = 0.5;

    private readonly ProgramImport _import = new(names, stop);

    /// <summary>Reads the bytes of a file.</summary>
    /// <exception cref="UnreadableFileException">It cannot be read; the message says why and what to do.</exception>
    public ReadProgram Read(byte[] bytes, char? separator, ImportSettings settings)
    {
        var file = SheetFile.Read(bytes, separator, stop);
        if (file.Text is { } text && separator is null)
        {
            if (text.TrimStart().StartsWith('{'))
            {
                return new ReadProgram(ProgramForm.Document, null, Document(text).Preview(new ProgramRows(names, stop)));
            }

            var read = _import.PreviewText(text);
            var written = text.ReplaceLineEndings("\n")
                .Split('\n')
                .Count(l => l.Trim() is { Length: > 0 } line && line[0] is not ('#' or '='));
            if (file.Sheets.IsEmpty || !file.Sheets.Any(ColumnGuess.HasHeads) && read.Weeks.Sum(w => w.Lines) > MostlyShorthand * written)
            {
                return new ReadProgram(ProgramForm.Shorthand, null, read with { Notes = [.. file.Notes, .. read.Notes] });
            }
        }

        var preview = _import.Preview(file.Sheets, settings);
        return new ReadProgram(ProgramForm.Table, file.Separator?.ToString(), preview with { Notes = [.. file.Notes, .. preview.Notes] });
    }

    private static ProgramDocument Document(string text)
    {
        ProgramDocument? document;
        try
        {
            document = JsonSerializer.Deserialize<ProgramDocument>(text, RulesJson.Strict);
        }
        catch (JsonException wrong)
        {
            throw new UnreadableFileException(
                $"The JSON cannot be read at {wrong.Path ?? "its start"}, line {wrong.LineNumber + 1}. docs/program-files.md lists the fields.",
                wrong
            );
        }

        return document switch
        {
            null or { Format: not ProgramDocument.FormatName } => throw new UnreadableFileException(
                $"This JSON is no gym program: \"format\" must be \"{ProgramDocument.FormatName}\"."
            ),
            { Version: > ProgramDocument.CurrentVersion } => throw new UnreadableFileException(
                $"The program was written by a newer version (form {document.Version}); this one reads up to {ProgramDocument.CurrentVersion}."
            ),
            _ => document,
        };
    }
}
