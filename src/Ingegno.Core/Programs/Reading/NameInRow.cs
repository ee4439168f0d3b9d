using System.Collections.Immutable;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>The name found among the words of a row, and the words that are left over.</summary>
/// <param name="Text">As written; empty when there is none.</param>
/// <param name="Start">Place in the row.</param>
/// <param name="Length">Length in the row.</param>
/// <param name="Reading">What it was read as.</param>
/// <param name="Notes">What stands beside it.</param>
internal sealed record NameInRow(string Text, int Start, int Length, NameReading Reading, List<string> Notes)
{
    /// <summary>The stretches of words of the row: the name, what says how, what is said beside it, and what joins them.</summary>
    public ImmutableArray<Claim> Claims { get; private init; } = [];

    /// <summary>Finds the name: the first stretch of words that is one, with what others say about how it is done.</summary>
    public static NameInRow Find(string row, LineDraft draft, ExerciseNames names, string? usual)
    {
        var runs = Abbreviations.Join(
            row,
            [.. draft.Runs.Select(r => (Run: r, Text: Trim(row[r.Start..r.End]))).Where(r => r.Text.Any(char.IsLetterOrDigit))],
            names,
            usual
        );
        var nothing = new NameReading(null, OtherWork.Unknown, Certainty.Unknown, [], []);
        if (Whole(row, draft, names, runs) is { } whole)
        {
            return whole;
        }

        var readings = runs.Select(r => r.Run.Bracketed ? nothing : FirstOfTwo(r.Text, names, usual)).ToList();
        var at = readings.FindIndex(r => r.Exercise is not null && r.Certainty == Certainty.Sure);
        var any = readings.FindIndex(r => r.Certainty != Certainty.Unknown);
        at = at < 0 || (any >= 0 && any < at && !runs[any].Run.AfterDose) ? any : at;
        at = at < 0 ? runs.FindIndex(r => !r.Run.Bracketed && r.Text.Any(char.IsLetter)) : at;
        if (at < 0)
        {
            return new NameInRow(string.Empty, 0, 0, nothing, [.. runs.Select(r => r.Text)])
            {
                Claims = [.. runs.Select(r => Of(r.Run, LineField.Remark))],
            };
        }

        var (text, reading, notes) = (runs[at].Text, readings[at], new List<string>());
        var claims = new List<Claim> { Of(runs[at].Run, LineField.Name) };
        for (var i = 0; i < runs.Count; i++)
        {
            if (i == at)
            {
                continue;
            }

            // "Row, single arm", "Squat (paused)": part of the name when it says only how, and the whole is read no worse.
            var joined = i < at ? $"{runs[i].Text} {text}" : $"{text} {runs[i].Text}";
            if (
                reading.Exercise is not null
                && names.Lexicon.SaysHow(runs[i].Text)
                && names.Read(joined, usual) is { Exercise: not null } better
                && better.Certainty <= reading.Certainty
            )
            {
                (text, reading) = (joined, better);
                claims.Add(Of(runs[i].Run, LineField.Name));
            }
            else if (IsFiller(runs[i].Text))
            {
                claims.Add(Of(runs[i].Run, LineField.Filler));
            }
            else
            {
                notes.Add(runs[i].Text);
                claims.Add(Of(runs[i].Run, LineField.Remark));
            }
        }

        return new NameInRow(text, runs[at].Run.Start, runs[at].Run.End - runs[at].Run.Start, reading, notes) { Claims = [.. claims] };
    }

    /// <summary>Nothing but words that say nothing.</summary>
    public static bool IsFiller(string words) => words.Split(' ').All(w => Fillers.Contains(w.ToLowerInvariant()));

    private static Claim Of(Run run, LineField field) => new(field, run.Start, run.End);

    private static readonly string[] Either = [" or ", "/"];

    /// <summary>Back squat or leg press: the first is planned, and asked; what is known by the whole is one exercise.</summary>
    private static NameReading FirstOfTwo(string text, ExerciseNames names, string? usual)
    {
        var whole = names.Read(text, usual);
        return
            whole.Certainty == Certainty.Probable
            && Either.Select(or => text.IndexOf(or, StringComparison.OrdinalIgnoreCase)).FirstOrDefault(i => i > 0) is > 0 and var cut
            && names.Read(text[..cut], usual) is { Exercise: not null, Certainty: Certainty.Sure } first
            && names.Read(text[cut..].TrimStart('/', ' ')[(text[cut] == '/' ? 0 : 3)..], usual).Exercise is { } second
            && second.Id != first.Exercise.Id
            ? first with
            {
                Certainty = Certainty.Probable,
            }
            : whole;
    }

    /// <summary>An exercise's own name may hold commas and the like: all that stands before the dose is looked up first.</summary>
    private static NameInRow? Whole(string row, LineDraft draft, ExerciseNames names, List<(Run Run, string Text)> runs)
    {
        var before = runs.TakeWhile(r => !r.Run.AfterDose && !r.Run.Bracketed).ToList();
        for (var count = before.Count; count > 1; count--)
        {
            var (start, end) = (before[0].Run.Start, before[count - 1].Run.End);
            var text = Trim(row[start..end]);
            if (names.Find(text) is not null)
            {
                return new NameInRow(text, start, end - start, names.Read(text), [.. runs.Skip(count).Select(r => r.Text)])
                {
                    Claims = [new Claim(LineField.Name, start, end), .. runs.Skip(count).Select(r => Of(r.Run, LineField.Remark))],
                };
            }
        }

        return null;
    }

    /// <summary>Words that say nothing once the figures beside them are read: "stop 2 short of failure", "then 3x5".</summary>
    private static readonly HashSet<string> Fillers = ["of", "then", "that", "the", "and", "with", "w", "for", "in", "to", "a", "do", "it"];

    private static string Trim(string text) =>
        text.Trim(' ', '-', ':', ',', '.', '/', '&', '\'', '"', ';', '|', '\t', '–', '—', '(', '[', ')', ']');
}
