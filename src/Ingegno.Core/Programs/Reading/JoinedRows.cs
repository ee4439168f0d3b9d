using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Joins the rows that one exercise was written in: its name above and its sets below, figures each in a row of their own, and a row that was
/// broken off. An empty row, a heading and a remark end what is joined.
/// </summary>
internal sealed class JoinedRows(ExerciseNames names)
{
    /// <summary>Rows that are joined at most, and words of a name that stands alone.</summary>
    private const int Most = 6,
        LongestName = 9;

    private enum What
    {
        /// <summary>Blank, a heading, a remark.</summary>
        Apart,

        /// <summary>A name without a dose.</summary>
        Name,

        /// <summary>Sets and reps, or what else stands beside a name, and none.</summary>
        Dose,

        /// <summary>Rest, tempo, load or effort alone.</summary>
        Beside,

        /// <summary>A line of its own.</summary>
        Line,
    }

    /// <summary>Last words after which the next row belongs to this one, an exercise of its own too: it is done in turn with this one.</summary>
    private static readonly ImmutableArray<string> InTurn = ["+", "&", "and", "with", "superset", "into"];

    /// <summary>Last words after which figures go on in the next row; an exercise that follows is a line of its own.</summary>
    private static readonly ImmutableArray<string> Broken = [",", "w", "then", "x", "@"];

    /// <summary>The rows, those of one exercise in the place of the first.</summary>
    /// <param name="rows">Rows of the text with their headings.</param>
    public List<LaidOutRow> Join(List<LaidOutRow> rows)
    {
        var what = rows.ConvertAll(Of);
        var joined = new List<LaidOutRow>(rows.Count);
        for (var i = 0; i < rows.Count; i++)
        {
            var (row, dosed, parts) = (rows[i], what[i] == What.Line, 1);
            while (i + 1 < rows.Count && parts < Most && Goes(what, rows, i, row, dosed, parts))
            {
                dosed |= what[i + 1] is What.Dose or What.Line;
                row = Joined(row, Between(row, what[i + 1], dosed && parts > 1), rows[i + 1]);
                parts++;
                i++;
            }

            joined.Add(row);
        }

        return joined;
    }

    private static LaidOutRow Joined(LaidOutRow row, string between, LaidOutRow next)
    {
        var (text, more) = (row.Text.TrimEnd(), next.Text.Trim());
        var pieces = row.Pieces.IsEmpty ? [new Piece(0, text.Length, row.Number, 1)] : row.Pieces;
        var column = next.Text.Length - next.Text.TrimStart().Length + 1;
        return row with
        {
            Text = text + between + more,
            Heading = null,
            Pieces = [.. pieces, new Piece(text.Length + between.Length, more.Length, next.Number, column)],
        };
    }

    private static string Between(LaidOutRow row, What next, bool more) =>
        next == What.Dose && more && !Ends(row.Text, InTurn) && !Ends(row.Text, Broken) ? ", " : " ";

    /// <summary>Whether the row behind belongs to what has been joined up to here.</summary>
    private static bool Goes(List<What> what, List<LaidOutRow> rows, int at, LaidOutRow row, bool dosed, int parts)
    {
        var next = what[at + 1];
        if (!rows[at + 1].ByWeek.IsEmpty || !row.ByWeek.IsEmpty)
        {
            return false;
        }

        var started = parts > 1 || what[at] is What.Name or What.Line;
        return what[at] switch
        {
            What.Apart => false,
            What.Line or What.Dose when Ends(rows[at].Text, InTurn) => next is not What.Apart,
            What.Line or What.Dose when Ends(rows[at].Text, Broken) => next is What.Dose or What.Beside,
            What.Name => next == What.Dose || next == What.Beside,
            _ => started && (next == What.Beside || (next == What.Dose && (!dosed || Leads(rows[at + 1].Text)))),
        };
    }

    /// <summary>"then 3x3", "+ 2x8": more of the same exercise.</summary>
    private static bool Leads(string text) =>
        LineTokens.Tokenize(text) is [{ Text: "then" or "+" or "&" or "and" or "followed" or "," }, ..];

    private static bool Ends(string text, ImmutableArray<string> words) =>
        LineTokens.Tokenize(text) is [.., var last] && words.Contains(last.Text);

    private What Of(LaidOutRow row)
    {
        if (row.Blank || row.Remark || row.Text.Length > ShorthandLimits.LineLength || row.Heading is { Kind: not HeadingKind.Split })
        {
            return What.Apart;
        }

        var (draft, label) = RowReader.Read(RowText.Plain(row.Text), names);
        var named = draft.Runs.Exists(r => !SaysHow(row.Text[r.Start..r.End]));
        if (row.Heading is not null)
        {
            // "BACK SQUAT" above its sets is a name; above other exercises it heads them.
            return Exercise(row.Text) ? What.Name : What.Apart;
        }

        if (
            !named
            && LineTokens.Tokenize(row.Text)
                is [{ Text: "sets" or "reps" or "rest" or "tempo" or "load" or "weight" or "rpe" or "rir" }, { Text: ":" }, ..]
        )
        {
            return What.Beside; // Sets: 3 / Reps: 8
        }

        var counted = draft.HasDose || draft.Bare.Count > 0 || draft.Durations.Count > 0;
        return named
            ? counted || draft.Load is not null
                ? What.Line
                : IsName(row, draft)
                    ? What.Name
                    : What.Apart
            : draft.HasDose
                ? What.Dose
                : label is not null || RowMarks.IsComment(row.Text)
                    ? What.Apart
                    : draft is { Rest: null, Tempo: null, Load: null, Rpes.Count: 0, Rirs.Count: 0, Shares.Count: 0, Durations.Count: 0 }
                        ? What.Apart
                        : What.Beside;
    }

    private static bool IsName(LaidOutRow row, LineDraft draft) =>
        draft.Runs.FindAll(r => !r.Bracketed) is [{ } only] && row.Text[only.Start..only.End].Split(' ').Length <= LongestName;

    private bool SaysHow(string words) => names.Lexicon.SaysHow(words) || !words.Any(char.IsLetter) || NameInRow.IsFiller(words);

    private bool Exercise(string text) =>
        names.Read(text.Trim(' ', '*', '#', ':', '_', '-')) is { Exercise: not null, Certainty: Certainty.Sure };
}
