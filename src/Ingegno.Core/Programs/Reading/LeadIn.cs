using Ingegno.Core.Foundation.Text;
using Ingegno.Core.Knowledge.Naming;
using Ingegno.Core.Programs.Lines;

namespace Ingegno.Core.Programs.Reading;

/// <summary>What heads a row that goes on with its exercises: "Mon: bench 3x5, row 3x8", "3 rounds: 10 push-ups, 10 rows".</summary>
/// <param name="Heading">The heading.</param>
/// <param name="Rest">The row without it, each letter at its place.</param>
internal sealed record LeadIn(Heading Heading, string Rest)
{
    /// <summary>Rounds that are likely in the time that it gives; null when it gives none or says how many.</summary>
    public int? Guessed { get; init; }

    private static readonly string[] After = [": ", ":", " of ", " - ", " – ", " — "];

    /// <summary>The heading before the exercises of a row; null when the row begins with an exercise, or is a heading alone.</summary>
    /// <param name="row">The row.</param>
    /// <param name="names">Names of exercises.</param>
    public static LeadIn? TryRead(string row, ExerciseNames names)
    {
        if (row.Length > ShorthandLimits.LineLength)
        {
            return null;
        }

        var plain = PlainText.Normalize(row);
        foreach (var after in After)
        {
            var at = plain.IndexOf(after, StringComparison.Ordinal);
            if (at > 0 && Headed(row, at, at + after.Length, after, names) is { } headed)
            {
                return headed;
            }
        }

        // Monday bench 3x5
        var word = plain.TakeWhile(char.IsAsciiLetter).Count();
        return word > 3 && word < plain.Length && plain[word] is ' ' or ',' && HeadingWords.Days.Contains(plain[..word].ToLowerInvariant())
            ? Headed(row, word, word + 1, ":", names)
            : null;
    }

    private static LeadIn? Headed(string row, int end, int start, string after, ExerciseNames names)
    {
        var (head, rest) = (row[..end], row[start..]);
        if (!rest.Any(char.IsAsciiLetter) || (HeadingReader.Read(head + ":") ?? ByTheClock(head)) is not { } heading)
        {
            return null;
        }

        if (heading is { Kind: HeadingKind.Rounds, Rounds: null } && RoundsBehind(rest) is { } behind)
        {
            (heading, rest) = (heading with { Rounds = behind.Rounds }, behind.List);
        }

        var parts = RowParts.Apart(rest, names, listed: heading.Kind is HeadingKind.Rounds or HeadingKind.Section);
        var leads = heading.Kind switch
        {
            HeadingKind.Day => parts.Any(p => IsLine(p.Row, names)),
            HeadingKind.Rounds => parts.Count > 1,
            HeadingKind.Split or HeadingKind.Section => after.StartsWith(':') && parts.Count > 1 && parts.Any(p => IsLine(p.Row, names)),
            _ => false,
        };
        return leads
            ? new LeadIn(heading with { Rounds = OfMinutes(head, parts.Count) ?? heading.Rounds }, new string(' ', start) + rest)
            {
                Guessed =
                    heading.Kind == HeadingKind.Rounds && heading.Rounds is null ? InTheTime(head, [.. parts.Select(p => p.Row)]) : null,
            }
            : null;
    }

    /// <summary>"squat 10, lunge 10, curl 15 x3": rounds that stand behind a list of which no part counts its sets.</summary>
    private static (int Rounds, string List)? RoundsBehind(string rest)
    {
        var tokens = LineTokens.Tokenize(rest);
        if (
            tokens
            is not [
                ..,
                { IsWhole: true } count,
                { Text: "x" or "*" },
                { IsWhole: true, Value: > 0 and <= RepsBeforeSets.MostSetsBehind } rounds,
            ]
        )
        {
            return null;
        }

        var before = tokens[..^2];
        return count.Value > 0 && before.Count(t => t.IsNumber) > 1 && !before.Exists(t => t.Text is "x" or "*" or "sets" or "rounds")
            ? ((int)rounds.Value, rest[..count.End])
            : null;
    }

    /// <summary>EMOM 10, AMRAP 12 min: rounds by the clock.</summary>
    private static Heading? ByTheClock(string head)
    {
        var words = LineTokens.Tokenize(head).Where(t => t.Kind != TokenKind.Sign).ToList();
        return words.Exists(w => w.Text is "emom" or "amrap") && words.TrueForAll(w => w.IsNumber || Clock.Contains(w.Text))
            ? new Heading(HeadingKind.Rounds, head.Trim())
            : null;
    }

    private static readonly string[] Clock = ["emom", "amrap", "min", "mins", "minutes", "minute", "in", "for", "of", "x"];

    private static bool IsLine(string part, ExerciseNames names)
    {
        var draft = RowReader.Read(part).Draft;
        var run = draft.Runs.Find(r => !r.Bracketed);
        return run is not null && draft.HasDose && names.Read(part[run.Start..run.End]).Exercise is not null;
    }

    /// <summary>Seconds of a rep, and to change to the next exercise, in rounds against the clock (common practice).</summary>
    private const double SecondsPerRep = 3,
        SecondsToChange = 10;

    /// <summary>As many rounds as possible: so many as fit at a pace that can be kept. Null where the head says no such thing.</summary>
    /// <param name="head">"AMRAP 12 min".</param>
    /// <param name="rows">The exercises of a round.</param>
    public static int? InTheTime(string head, IReadOnlyList<string> rows)
    {
        var words = LineTokens.Tokenize(head);
        if (rows.Count == 0 || !words.Any(w => w.Text == "amrap") || Minutes(words) is not (>= 2 and <= 60 and var minutes))
        {
            return null;
        }

        var round = rows.Sum(r => (Reps(r) * SecondsPerRep) + SecondsToChange);
        return (int)Math.Clamp(Math.Round(minutes * 60 / round), 1, ShorthandLimits.Sets);
    }

    /// <summary>The first figure; null where there is none, as in "AMRAP: squats, rows".</summary>
    private static double? Minutes(List<LineToken> words) => words.Where(w => w.IsWhole).Select(w => (double?)w.Value).FirstOrDefault();

    private static double Reps(string row) => RowReader.Read(row).Draft.Current is { Counts: [var count, ..] } ? count.From : UsualReps;

    /// <summary>Where a row says none.</summary>
    private const double UsualReps = 10;

    /// <summary>Every minute another: ten minutes of two exercises are five sets of each.</summary>
    private static int? OfMinutes(string head, int parts)
    {
        var words = LineTokens.Tokenize(head);
        return words.Any(w => w.Text == "emom") && Minutes(words) is >= 1 and <= 60 and var minutes
            ? Math.Max(1, (int)minutes / parts)
            : null;
    }
}
