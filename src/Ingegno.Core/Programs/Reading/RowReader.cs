using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Knowledge.SetSchemes;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>
/// Reads a row in any order: every part that can be told by its own form is taken where it stands, and the words that are left are the
/// name and what is said beside it.
/// </summary>
internal static class RowReader
{
    /// <summary>What was read, and the label before it.</summary>
    /// <param name="row">The row.</param>
    /// <param name="names">Names that are taken whole where a row begins with one: "Deep squat rest 3x60 s" has no rest.</param>
    /// <param name="habit">What goes without saying in the program; null for a gym with a bar and kilograms.</param>
    public static (LineDraft Draft, string? Label) Read(string row, ExerciseNames? names = null, Habit? habit = null)
    {
        var tokens = LineTokens.Tokenize(row);
        var at = new TokenCursor(tokens, row.Length);
        var label = RowMarks.Read(at);
        var draft = new LineDraft { Tokens = tokens, Habit = habit ?? Habit.Plain };
        Claimed(0, LineField.Label);
        var (depth, runStart, runEnd) = (0, -1, -1);
        if (names is not null && WholeName(at, row, names) is { } whole)
        {
            (runStart, runEnd) = whole;
        }

        while (!at.AtEnd)
        {
            var start = at.At;
            if (Comment(at, row, draft))
            {
                at.At = at.Count;
                Claimed(start, LineField.Remark);
                break;
            }

            if (
                at.Now.Text is "add" or "adding" or "increase" or "increasing"
                && !at.AtEnd
                && (at.Ahead(1).IsNumber || at.Ahead(2).IsNumber)
            )
            {
                Flush();
                Aside(at, draft);
                continue;
            }

            if (NameFigures.Read(at))
            {
                runStart = runStart < 0 ? StartOf(at, start) : runStart;
                runEnd = at.Before.End;
                continue;
            }

            if (
                runStart >= 0
                && at.Now is { IsWhole: true, Spaced: false, Text.Length: <= 2 }
                && at.Ahead(1) is { Kind: TokenKind.Word, Spaced: false, Text: not "x" }
                && at.Before.Kind == TokenKind.Word
            )
            {
                // T2B, K2E
                at.At += 2;
                runEnd = at.Before.End;
                continue;
            }

            if (OnTheStack(at, row, draft) is { } plate)
            {
                Flush();
                draft.Notes.Add(plate);
                Claimed(start, LineField.Remark);
                continue;
            }

            if (Part(at, draft) is { } field)
            {
                Flush();
                Claimed(start, field);
                continue;
            }

            at.At = start;
            var token = at.Now;
            if (token.Kind == TokenKind.Word || (runStart >= 0 && Joins(at)))
            {
                runStart = runStart < 0 ? token.Start : runStart;
                runEnd = token.End;
                at.At++;
                continue;
            }

            Flush();
            depth += token.Text switch
            {
                "(" or "[" => 1,
                ")" or "]" => -Math.Min(1, depth),
                _ => 0,
            };
            if (token.IsNumber)
            {
                var bare = Bare(at, draft);
                Claimed(start, bare, bare == LineField.Sets);
            }
            else
            {
                at.At++;
            }
        }

        Flush();
        if (draft.Method == SetMethod.FiveThreeOne && draft.Groups.Count > 1)
        {
            // The week of the wave says its sets; what is written out behind it says them again.
            draft.Groups.RemoveRange(1, draft.Groups.Count - 1);
        }

        return (draft, label);

        void Claimed(int from, LineField field, bool bare = false)
        {
            if (at.At > from)
            {
                draft.Claims.Add(new Claim(field, tokens[from].Start, at.Before.End, bare));
            }
        }

        void Flush()
        {
            if (runStart >= 0)
            {
                draft.Runs.Add(new Run(runStart, runEnd, draft.HasDose, depth > 0));
            }

            runStart = -1;
        }
    }

    /// <summary>"Machine row 3x10 plate 8": where the pin of a stack sits, and no weight. Such stacks have some twenty plates; a twist with plate 10 holds
    /// ten kilograms.</summary>
    private static string? OnTheStack(TokenCursor at, string row, LineDraft draft)
    {
        if (
            !draft.HasDose
            || !at.Now.Is("plate")
            || at.Ahead(1) is not { IsWhole: true, Value: >= 1 and <= 30 } number
            || LoadReader.IsUnit(at.Ahead(2))
            || at.Ahead(2).Text is "x" or "*"
            || !OfStacks.Any(w => row.Contains(w, StringComparison.OrdinalIgnoreCase))
        )
        {
            return null;
        }

        at.At += 2;
        return $"plate {number.Value:0}";
    }

    private static readonly string[] OfStacks = ["machine", "cable", "pulldown", "pull down", "leg press"];

    /// <summary>"Add 2.5 kg if last week was ok" is about the next time: said beside the dose, to the next comma or bracket.</summary>
    private static void Aside(TokenCursor at, LineDraft draft)
    {
        var start = at.Now.Start;
        while (
            !at.AtEnd
            && (
                at.Now.Text is not ("," or ")" or ";" or "#" or "]")
                || (at.Now.Is(",") && at.Before.IsNumber && at.Ahead(1) is { IsNumber: true, Spaced: false })
            )
        )
        {
            at.At++;
        }

        draft.Runs.Add(new Run(start, at.Before.End, draft.HasDose, Bracketed: true));
    }

    /// <summary>The name of an exercise that stands before the first figure, as it is called.</summary>
    private static (int Start, int End)? WholeName(TokenCursor at, string row, ExerciseNames names)
    {
        var start = at.At;
        while (!at.AtEnd && !at.Now.IsNumber)
        {
            at.At++;
        }

        while (at.At > start && at.Before.Is("+"))
        {
            at.At--; // dips +10 kg: the sign belongs to the load
        }

        var (from, to) = (StartOf(at, start), at.Before.End);
        if (at.At > start && to > from && names.Find(row[from..to].TrimEnd(' ', ':', '-', ',', '@')) is not null)
        {
            return (from, to);
        }

        at.At = start;
        return null;
    }

    private static int StartOf(TokenCursor at, int index)
    {
        var now = at.At;
        at.At = index;
        var start = at.Now.Start;
        at.At = now;
        return start;
    }

    /// <summary>Takes what can be told by its own form, and says which field it is; null when nothing here can be.</summary>
    private static LineField? Part(TokenCursor at, LineDraft draft) =>
        TempoReader.Read(at, draft) ? LineField.Tempo
        : MethodReader.Read(at, draft) ? LineField.Method
        : SetsReader.Read(at, draft) ? LineField.Sets
        : EffortReader.Read(at, draft) ? LineField.Effort
        : LoadReader.Read(at, draft) ? LineField.Load
        : SideReader.Read(at, draft) ? LineField.Side
        : RestReader.Read(at, draft) ? LineField.Rest
        : LoneOpen(at, draft) ? LineField.Sets
        : null;

    /// <summary>AMRAP on its own: the sets are open, or another open one comes on top (3x6 + AMRAP).</summary>
    private static bool LoneOpen(TokenCursor at, LineDraft draft)
    {
        var start = at.At;
        if (draft.Current is { Counts.Count: > 0 } && at.TakeAny("to", "till", "until").Length > 0)
        {
            // 3x12-15 to failure, to near failure: how far its sets go.
            var near = at.TakeAny("near", "technical", "form").Length > 0;
            if (at.TakeAny("failure", "fail").Length > 0)
            {
                draft.Rirs.Add(near ? new Span(1, 1) : new Span(0, 0));
                return true;
            }

            at.At = start;
        }

        if (at.Now.Is("max") && at.Ahead(1).Is("effort") && draft.Current is { Counts.Count: > 0 })
        {
            return false; // how hard, and no set more
        }

        var onTop = at.Take("+");
        at.TakeAny("1", "one");
        at.TakeAny("x", "set");
        if (at.Now.Text is not ("amrap" or "max" or "burnout" or "failure" or "as") || !SetCounts.Open(at))
        {
            return at.Back(start);
        }

        if (onTop || draft.Current is { Counts.Count: > 0 })
        {
            draft.Groups.Add(new SetGroup { Sets = 1, Open = true });
        }
        else if (draft.Current is { } sets)
        {
            draft.Groups[^1] = sets with { Open = true };
        }
        else
        {
            draft.Groups.Add(new SetGroup { Open = true });
        }

        return true;
    }

    /// <summary>A sign inside a name: push-up, farmer's, w/ rope, clean &amp; jerk.</summary>
    private static bool Joins(TokenCursor at)
    {
        var (token, next) = (at.Now, at.Ahead(1));
        return token.Text switch
        {
            "-" or "/" or "." => next.Kind == TokenKind.Word && (!token.Spaced && !next.Spaced || token.Text == "/" && at.Before.Is("w")),
            "'" => !token.Spaced,
            "&" => next.Kind == TokenKind.Word,
            "°" => true,
            _ => false,
        };
    }

    private static bool Comment(TokenCursor at, string row, LineDraft draft)
    {
        if (
            !at.Now.Is("#")
            && !(at.Now.Is("/") && at.Ahead(1) is { Text: "/", Spaced: false })
            && !at.Now.Text.StartsWith("http", StringComparison.Ordinal)
        )
        {
            return false;
        }

        var note = row[at.Now.Start..].TrimStart('#', '/', ' ').Trim();
        if (note.Length > 0)
        {
            draft.Notes.Add(note);
        }

        return true;
    }

    /// <summary>A figure that nothing claims; what it belongs to is settled with the whole row.</summary>
    private static LineField Bare(TokenCursor at, LineDraft draft)
    {
        var (start, signed) = (at.Now.Start, at.Before.Is("@"));
        var setting = at.Before.Text is "lvl" or "level" or "pin" or "hole" or "setting" or "notch" or "seat" ? at.Before.Text : null;
        if (Figures.Range(at) is { } range)
        {
            if (setting is not null)
            {
                draft.Notes.Add($"{setting} {range.From:0.#}"); // of a machine: it weighs nothing
                return LineField.Remark;
            }

            if (at.TakeAny("partials", "partial", "pulses", "halves", "negatives", "half") is { Length: > 0 } more)
            {
                var reps = more == "half" && at.TakeAny("reps", "rep").Length > 0 ? " reps" : string.Empty;
                draft.Notes.Add($"+ {range.From:0} {more}{reps}"); // done after the set
                return LineField.Remark;
            }

            if (at.TakeAny("cm", "mm", "inch", "inches", "ft", "feet") is { Length: > 0 } unit)
            {
                // How high or far, and what: 45 cm box.
                var what = at.TakeAny(
                    "box",
                    "step",
                    "bench",
                    "chair",
                    "block",
                    "platform",
                    "hurdle",
                    "hurdles",
                    "deficit",
                    "high",
                    "apart"
                );
                draft.Notes.Add($"{(range.Upper is { } to ? $"{range.From:0.#}-{to:0.#}" : $"{range.From:0.#}")} {unit} {what}".TrimEnd());
                return LineField.Remark;
            }

            draft.Bare.Add(new BareFigure(range, start, at.Before.End - start, signed));
        }
        else
        {
            at.At++;
        }

        return LineField.Sets;
    }
}
