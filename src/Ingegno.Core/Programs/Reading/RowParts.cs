using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>A row, or one part of a row that holds several exercises.</summary>
/// <param name="Row">The text, each letter at its place in the row.</param>
/// <param name="Label">Label that it gets when it has none.</param>
/// <param name="Place">Its place among the parts, 0 first.</param>
internal sealed record RowPart(string Row, string? Label, int Place);

/// <summary>
/// Takes rows apart that hold several exercises: "A1) Chin-ups 4x6 A2) Press 4x8", "Curl superset with pushdown 3x12", "Bench 3x5, row 3x8". A
/// part is one only where it names an exercise for sure, so that "Row, single arm" and "3 sets, 5 reps" stay whole.
/// </summary>
internal static partial class RowParts
{
    /// <summary>Added to the line of every further part: no text has so many.</summary>
    public const int KeyOfPart = 100_000;

    /// <summary>Most parts that are looked for.</summary>
    private const int Most = 12;

    /// <summary>Words between exercises that are done in turn.</summary>
    private static readonly string[] InTurn =
    [
        " supersetted with ",
        " superset with ",
        " super set with ",
        " superset w/ ",
        " ss with ",
        " ss w/ ",
        " ss ",
        " paired with ",
        " s/s ",
        " superset ",
        " + ",
        " / ",
        " into ",
    ];

    /// <summary>The same where the row begins with "superset".</summary>
    private static readonly string[] InTurnWhenSaid = [" with ", " w/ ", " and ", " & ", ", "];

    private static readonly string[] Said =
    [
        "supersets of ",
        "superset of ",
        "supersets ",
        "superset ",
        "super set ",
        "giant sets of ",
        "giant set of ",
        "giant set: ",
        "giant set ",
        "tri-set: ",
        "tri-set ",
        "triset: ",
        "triset ",
        "ss ",
    ];

    private static readonly string[] OneByOne = [", ", "; ", " then ", " followed by "];

    /// <summary>The parts in their order; the row itself when it is one.</summary>
    /// <param name="row">The row.</param>
    /// <param name="names">Names of exercises.</param>
    /// <param name="listed">It was headed as a list: every figure with a name is a part.</param>
    public static IReadOnlyList<RowPart> Apart(string row, ExerciseNames names, bool listed = false) =>
        Labelled(row, names)
        ?? Together(row, names)
        ?? (listed ? Listed(row) : null)
        ?? Separate(row, names)
        ?? [new RowPart(row, null, 0)];

    /// <summary>A1 … A2 …, in one row.</summary>
    private static List<RowPart>? Labelled(string row, ExerciseNames names)
    {
        var tokens = LineTokens.Tokenize(row);
        if (RowMarks.Read(new TokenCursor(tokens, row.Length)) is not { Length: > 1 } first)
        {
            return null;
        }

        List<int> cuts = [0];
        var next = (first[1] - '0') + 1;
        for (var i = 1; i + 1 < tokens.Count && cuts.Count < Most; i++)
        {
            if (
                tokens[i] is { Kind: TokenKind.Word, Text.Length: 1, Spaced: true }
                && char.ToUpperInvariant(tokens[i].Text[0]) == first[0]
                && tokens[i + 1] is { IsWhole: true, Spaced: false }
                && (int)tokens[i + 1].Value == next
            )
            {
                cuts.Add(tokens[i].Start);
                next++;
            }
        }

        var parts = cuts.Select(
            (from, i) => At(row, from, i + 1 < cuts.Count ? cuts[i + 1] : row.Length).TrimEnd(' ', ';', ',', '/', '|', '+', '&')
        );
        return Parts([.. parts], names, letter: null);
    }

    private static List<RowPart>? Together(string row, ExerciseNames names)
    {
        var lower = PlainText.Normalize(row).ToLowerInvariant();
        var lead = Said.FirstOrDefault(lower.TrimStart().StartsWith);
        var start = lead is null ? 0 : lower.IndexOf(lead, StringComparison.Ordinal) + lead.Length;
        foreach (var between in lead is null ? InTurn : [.. InTurn, .. InTurnWhenSaid])
        {
            if (
                lower.IndexOf(between, start, StringComparison.Ordinal) >= 0
                && Merged(row, Cut(row, start, [between]), names) is { Count: > 1 } pieces
                && Parts(pieces, names, RowReader.Read(row).Label is { Length: > 0 } label ? label[0] : 'S') is { } parts
            )
            {
                return parts;
            }
        }

        return null;
    }

    /// <summary>What names nothing belongs to the one before it: "Bench 3x8 + 1x20 + row 3x8".</summary>
    private static List<string> Merged(string row, List<string> pieces, ExerciseNames names)
    {
        var parts = new List<string>();
        foreach (var piece in pieces)
        {
            if (parts.Count == 0 || Named(piece, names))
            {
                parts.Add(piece);
            }
            else
            {
                parts[^1] = UpTo(row, parts[^1], piece.Length);
            }
        }

        return parts;
    }

    /// <summary>A part with what follows it, as it stands in the row.</summary>
    private static string UpTo(string row, string part, int end) => At(row, part.TakeWhile(c => c == ' ').Count(), end);

    /// <summary>The parts, each with a dose; null when one of them names nothing, or there is only one.</summary>
    private static List<RowPart>? Parts(List<string> parts, ExerciseNames names, char? letter)
    {
        if (parts.Count < 2 || !parts.TrueForAll(p => Named(p, names)))
        {
            return null;
        }

        var dosed = parts.ConvertAll(p => RowReader.Read(p).Draft.HasDose);
        var shared = dosed.FindLastIndex(d => d) is >= 0 and var at && dosed.Contains(false) ? DoseOf(parts[at]) : string.Empty;
        if (parts.Count == 2 && !dosed[0] && OfTwo().Match(shared) is { Success: true } two)
        {
            // Dead bug + plank 3x8/30 s: as many sets, a figure for each.
            string Dose(string own) => $"{two.Groups["sets"].Value}x{two.Groups[own].Value}{two.Groups["more"].Value}";
            return
            [
                new RowPart($"{parts[0]} {Dose("first")}", letter is null ? null : $"{letter}1", 0),
                new RowPart($"{parts[1][..NameEnd(parts[1])]} {Dose("second")}", letter is null ? null : $"{letter}2", 1),
            ];
        }

        return
        [
            .. parts.Select(
                (p, i) =>
                    new RowPart(
                        dosed[i] ? (shared.Length > 0 ? OfEvery(p) : p) : $"{p} {OfEvery(shared)}",
                        letter is null ? null : $"{letter}{i + 1}",
                        i
                    )
            ),
        ];
    }

    /// <summary>One after the other, each with its own dose; what names nothing belongs to the one before it.</summary>
    private static List<RowPart>? Separate(string row, ExerciseNames names)
    {
        var (pieces, parts) = (Cut(row, 0, OneByOne), new List<string>());
        if (pieces.Count < 2)
        {
            return null;
        }

        foreach (var piece in pieces)
        {
            if (Named(piece, names) && RowReader.Read(piece).Draft.HasDose)
            {
                parts.Add(piece);
            }
            else if (parts.Count > 0)
            {
                parts[^1] = UpTo(row, parts[^1], piece.Length);
            }
            else
            {
                return null;
            }
        }

        return parts.Count < 2 ? null : [.. parts.Select((p, i) => new RowPart(p, null, i))];
    }

    /// <summary>A list under a heading: every piece has a figure and a name.</summary>
    private static List<RowPart>? Listed(string row)
    {
        var pieces = Cut(row, 0, [", ", "; ", " + ", " / ", " then ", " and ", " & "]);
        return pieces.Count < 2 || !pieces.TrueForAll(p => p.Any(char.IsAsciiDigit) && p.Any(char.IsAsciiLetter))
            ? null
            : [.. pieces.Select((p, i) => new RowPart(p, null, i))];
    }

    private static bool Named(string part, ExerciseNames names)
    {
        if (
            LineTokens.Tokenize(part) is [{ Text: "side" or "leg" or "arm" or "per" or "each" }, .. var behind]
            && behind is [] or [{ Kind: not TokenKind.Word }, ..]
        )
        {
            return false; // 3 x 8 / side
        }

        var draft = RowReader.Read(part).Draft;
        var run = draft.Runs.Find(r => !r.Bracketed);
        return run is not null && names.Read(part[run.Start..run.End]) is { Exercise: not null, Certainty: Certainty.Sure };
    }

    /// <summary>Cuts at words outside brackets.</summary>
    private static List<string> Cut(string row, int start, string[] between)
    {
        var lower = PlainText.Normalize(row).ToLowerInvariant();
        var (parts, depth, from) = (new List<string>(), 0, start);
        for (var i = start; i < lower.Length && parts.Count < Most; i++)
        {
            depth += lower[i] switch
            {
                '(' or '[' => 1,
                ')' or ']' => -Math.Min(1, depth),
                _ => 0,
            };
            if (depth == 0 && i > from && between.FirstOrDefault(b => string.CompareOrdinal(lower, i, b, 0, b.Length) == 0) is { } found)
            {
                parts.Add(At(row, from, i));
                from = i + found.Length;
                i = from - 1;
            }
        }

        parts.Add(At(row, from, row.Length));
        return parts;
    }

    /// <summary>A stretch of the row at the place where it stands in it, so that what is said of it points there.</summary>
    private static string At(string row, int from, int to) => new string(' ', from) + row[from..to];

    /// <summary>3x8/30 s of two exercises; equal figures are sides.</summary>
    [GeneratedRegex(
        @"^(?<sets>\d{1,2}) ?x ?(?<first>\d{1,3}(?: ?s)?)/(?!\k<first>\b)(?<second>\d{1,3}(?: ?s)?)(?<more>$| .*$)",
        RegexOptions.None,
        1000
    )]
    private static partial Regex OfTwo();

    private static int NameEnd(string part) => RowReader.Read(part).Draft.Runs.Find(r => !r.Bracketed)!.End;

    /// <summary>What stands after the name of one holds for all.</summary>
    private static string DoseOf(string part)
    {
        var run = RowReader.Read(part).Draft.Runs.Find(r => !r.Bracketed)!;
        return (part[..run.Start] + part[run.End..]).Trim();
    }

    /// <summary>"3x12 each" of several exercises is said of each of them, not of a side.</summary>
    private static string OfEvery(string dose) =>
        dose.TrimEnd().EndsWith(" each", StringComparison.OrdinalIgnoreCase) ? dose.TrimEnd()[..^" each".Length] : dose;
}
