using System.Collections.Immutable;
using System.Globalization;
using CsvHelper;
using CsvHelper.Configuration;
using Ingegno.Core.Programs.Exchange;

namespace Ingegno.Exchange;

/// <summary>Reads tables written as text: comma, semicolon, tab or bar between the columns.</summary>
internal static class CsvReader
{
    private const int LinesLookedAt = 30;
    private static readonly ImmutableArray<char> Separators = ['\t', ';', ',', '|'];

    public static SheetFile Read(string text, char? separator, ImmutableArray<string> notes)
    {
        var by = separator ?? Separator(text);
        if (by is not { } found)
        {
            return new SheetFile([], text, null, notes);
        }

        return new SheetFile([new Sheet(string.Empty, Rows(text, found))], text, found, notes);
    }

    /// <summary>What parts the columns: the sign that parts most lines into the same number of at least two; null when none does.</summary>
    private static char? Separator(string text)
    {
        var lines = text.ReplaceLineEndings("\n").Split('\n').Where(l => l.Trim().Length > 0).Take(LinesLookedAt).ToList();
        return Separators
            .Select(s => (Sign: s, Agree: Agreement(lines, s)))
            .Where(s => s.Agree > 0.5)
            .OrderByDescending(s => s.Agree)
            .ThenBy(s => Separators.IndexOf(s.Sign))
            .Select(s => (char?)s.Sign)
            .FirstOrDefault();
    }

    /// <summary>Share of lines that the sign parts as often as it parts most; 0 when it parts fewer than one line in two.</summary>
    private static double Agreement(List<string> lines, char sign)
    {
        var counts = lines.Select(l => Outside(l, sign)).ToList();
        var usual = counts
            .Where(c => c > 0)
            .GroupBy(c => c)
            .OrderByDescending(g => g.Count())
            .ThenByDescending(g => g.Key)
            .FirstOrDefault();
        return usual is null || usual.Key < 2 ? 0 : usual.Count() / (double)lines.Count;
    }

    /// <summary>How often the sign stands outside quotes.</summary>
    private static int Outside(string line, char sign)
    {
        var (count, quoted) = (0, false);
        foreach (var letter in line)
        {
            quoted ^= letter == '"';
            count += !quoted && letter == sign ? 1 : 0;
        }

        return count;
    }

    private static ImmutableArray<SheetRow> Rows(string text, char separator)
    {
        using var reader = new CsvParser(
            new StringReader(text),
            new CsvConfiguration(CultureInfo.InvariantCulture)
            {
                Delimiter = separator.ToString(),
                HasHeaderRecord = false,
                BadDataFound = null,
                IgnoreBlankLines = false,
                MaxFieldSize = 100_000,
            }
        );
        var rows = ImmutableArray.CreateBuilder<SheetRow>();
        try
        {
            while (reader.Read())
            {
                if (rows.Count >= ExchangeLimits.Rows)
                {
                    throw new UnreadableFileException(
                        $"The table has more than {ExchangeLimits.Rows:N0} rows; a gym program is never that long. Leave out what is not the program."
                    );
                }

                var cells = reader.Record ?? [];
                if (cells.Length > ExchangeLimits.Columns)
                {
                    throw new UnreadableFileException(
                        $"Row {reader.Row} has {cells.Length} columns; at most {ExchangeLimits.Columns} are read. Is the separator right?"
                    );
                }

                rows.Add(new SheetRow(reader.Row, [.. cells.Select(c => new SheetCell(SafeCell.Read(Cut(c))))]));
            }
        }
        catch (CsvHelperException wrong)
        {
            throw new UnreadableFileException(
                $"Row {reader.Row} cannot be read: a cell is far too long or its quotes do not close.",
                wrong
            );
        }

        return rows.ToImmutable();
    }

    private static string Cut(string cell) => cell.Length > ExchangeLimits.CellLength ? cell[..ExchangeLimits.CellLength] : cell;
}
