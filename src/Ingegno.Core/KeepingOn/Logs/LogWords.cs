using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Ground.Body;
using Ingegno.Core.Ground.Quantities;

namespace Ingegno.Core.KeepingOn.Logs;

/// <summary>What the words of a piece of a message say: a name, reps, a load, effort, pain.</summary>
internal sealed record LogWords
{
    /// <summary>Words of effort and the reps in reserve they stand for (common practice).</summary>
    private static readonly ImmutableArray<(string Words, int Rir)> Efforts =
    [
        ("way too easy", 6),
        ("too easy", 5),
        ("very easy", 5),
        ("super easy", 5),
        ("easy peasy", 5),
        ("easy", 4),
        ("comfortable", 3),
        ("light", 4),
        ("could have done more", 4),
        ("not too bad", 2),
        ("not bad", 2),
        ("felt good", 2),
        ("felt fine", 2),
        ("solid", 2),
        ("ok", 2),
        ("okay", 2),
        ("fine", 2),
        ("good", 2),
        ("alright", 2),
        ("all right", 2),
        ("very hard", 1),
        ("really hard", 1),
        ("super hard", 0),
        ("so hard", 1),
        ("hard", 1),
        ("tough", 1),
        ("heavy", 1),
        ("struggled", 1),
        ("challenging", 1),
        ("brutal", 0),
        ("killer", 0),
        ("maxed out", 0),
        ("all out", 0),
        ("to failure", 0),
        ("failure", 0),
        ("failed", 0),
        ("couldnt do more", 0),
        ("nothing left", 0),
        ("grind", 0),
    ];

    private static readonly ImmutableArray<string> LastHard =
    [
        "last one ugly",
        "last rep ugly",
        "last set ugly",
        "last one was ugly",
        "last rep was ugly",
        "ugly",
        "last one hard",
        "last set hard",
        "last one was hard",
        "last one tough",
        "last one grindy",
        "last set to failure",
        "failed last",
        "failed the last",
        "last rep failed",
        "last one failed",
        "last set failed",
        "last one shaky",
        "last rep slow",
        "last one slow",
        "form broke",
        "barely",
    ];

    private static readonly ImmutableArray<(string Word, Joint Joint)> Joints =
    [
        ("lower back", Joint.LowBack),
        ("low back", Joint.LowBack),
        ("back", Joint.LowBack),
        ("knee", Joint.Knee),
        ("shoulder", Joint.Shoulder),
        ("elbow", Joint.Elbow),
        ("wrist", Joint.Wrist),
        ("hip", Joint.Hip),
        ("ankle", Joint.Ankle),
        ("neck", Joint.Neck),
    ];

    private static readonly ImmutableArray<string> Hurting =
    [
        "sore",
        "pain",
        "painful",
        "hurt",
        "hurts",
        "hurting",
        "ache",
        "aching",
        "achy",
        "niggle",
        "tweak",
        "tweaked",
        "twinge",
        "sharp",
        "stabbing",
    ];

    private static readonly ImmutableArray<string> Skips =
    [
        "skipped",
        "skip",
        "missed",
        "didnt do",
        "did not do",
        "left out",
        "no time for",
        "couldnt do",
        "dropped",
        "not done",
        "ran out of time for",
        "passed on",
    ];

    /// <summary>Words that belong to no name.</summary>
    private static readonly ImmutableHashSet<string> Beside =
    [
        "did",
        "i",
        "then",
        "and",
        "the",
        "a",
        "my",
        "for",
        "with",
        "at",
        "today",
        "was",
        "were",
        "felt",
        "got",
        "all",
        "sets",
        "set",
        "reps",
        "rep",
        "of",
        "on",
        "to",
        "each",
        "side",
        "per",
        "leg",
        "left",
        "right",
        "in",
        "tank",
        "it",
        "kg",
        "lb",
        "lbs",
        "x",
        "s",
        "sec",
        "secs",
        "seconds",
        "min",
        "only",
        "just",
        "managed",
        "done",
        "bit",
        "little",
        "some",
        "both",
        "again",
        "instead",
        "out",
        "but",
        "this",
        "that",
        "really",
        "very",
        "too",
        "quite",
        "pretty",
        "lot",
        "last",
        "one",
        "more",
        "me",
        "time",
        "rir",
        "rpe",
        "r",
        "p",
        "same",
        "as",
        "planned",
        "written",
        "prescribed",
        "still",
        "had",
        "there",
        "is",
        "from",
        "up",
        "overall",
        "session",
    ];

    /// <summary>Words that name an exercise; empty when there are none.</summary>
    public string Name { get; private init; } = string.Empty;

    /// <summary>A name follows the figures: "12 push-ups".</summary>
    public bool NameAfterFigures { get; private init; }

    public ImmutableArray<int> Reps { get; private init; } = [];

    public double? LoadKg { get; private init; }

    public int? Rir { get; private init; }

    public bool LastSetHard { get; private init; }

    public int? Pain { get; private init; }

    /// <summary>Where it hurt.</summary>
    public Joint? Where { get; private init; }

    public bool Sharp { get; private init; }

    public bool Skipped { get; private init; }

    public bool AsPlanned { get; private init; }

    /// <summary>What it was done instead of; empty when that is not named, null when nothing was exchanged.</summary>
    public string? InsteadOf { get; private init; }

    /// <summary>Effort of the whole session.</summary>
    public int? SessionEffort { get; private init; }

    /// <summary>It says nothing that a log can hold.</summary>
    public bool IsEmpty => Reps.IsEmpty && LoadKg is null && Rir is null && !LastSetHard && Pain is null && !AsPlanned;

    public static LogWords Of(string piece)
    {
        var text = $" {piece.ToLowerInvariant().Replace("'", string.Empty, StringComparison.Ordinal).Replace('(', ' ').Replace(')', ' ')} ";
        if (Session(text) is { } whole)
        {
            return new LogWords { SessionEffort = whole };
        }

        var hurting = Hurting.Any(h => Has(text, h));
        var joint = hurting
            ? Joints.Where(j => text.Contains(j.Word, StringComparison.Ordinal)).Select(j => (Joint?)j.Joint).FirstOrDefault()
            : null;
        var (left, reserve) = Reserve(text);
        var lastHard = LastHard.Any(h => left.Contains(h, StringComparison.Ordinal));
        left = LastHard.Aggregate(left, (t, h) => t.Replace($" {h} ", " ", StringComparison.Ordinal));
        var effort = Efforts.FirstOrDefault(e => Has(left, e.Words));
        left = effort.Words is null ? left : left.Replace($" {effort.Words} ", " ", StringComparison.Ordinal);
        var figures = Figures(left, hurting);
        var instead = Instead(left);
        var skipped = Skips.Any(s => Has(left, s)) || (Has(left, "no") && figures.Reps.IsEmpty && !hurting);
        return new LogWords
        {
            Name = NameIn(Unhurt(instead is { Length: > 0 } ? left[..left.IndexOf(" instead", StringComparison.Ordinal)] : left, hurting)),
            NameAfterFigures = AfterFigures(left),
            Reps = figures.Reps,
            LoadKg = figures.LoadKg,
            Rir = reserve ?? (effort.Words is null ? null : effort.Rir),
            LastSetHard = lastHard,
            Pain = hurting ? figures.Pain ?? 3 : null,
            Where = joint,
            Sharp = Has(text, "sharp") || Has(text, "stabbing"),
            Skipped = skipped && instead is null,
            AsPlanned = LogMessage.SaysAsPlanned(left),
            InsteadOf = instead,
        };
    }

    /// <summary>The text without what says that something hurts: those words name no exercise.</summary>
    private static string Unhurt(string text, bool hurting) =>
        hurting
            ? Joints
                .Select(j => j.Word)
                .Concat(Hurting)
                .Aggregate(
                    text,
                    (t, w) => t.Replace($" {w}s ", " ", StringComparison.Ordinal).Replace($" {w} ", " ", StringComparison.Ordinal)
                )
            : text;

    private static bool Has(string text, string words) =>
        text.Contains($" {words} ", StringComparison.Ordinal) || text.Contains($" {words},", StringComparison.Ordinal);

    /// <summary>Session 7/10, overall RPE 8, whole thing felt 6 of 10.</summary>
    private static int? Session(string text)
    {
        var whole =
            Has(text, "session")
            || Has(text, "overall")
            || Has(text, "workout")
            || text.Contains("/10", StringComparison.Ordinal)
            || text.Contains(" out of 10", StringComparison.Ordinal);
        if (!whole || Hurting.Any(h => Has(text, h)))
        {
            return null;
        }

        var figure = Numbers(text).Where(n => n.Value is >= 1 and <= 10).Select(n => (int?)Math.Round(n.Value)).FirstOrDefault();
        return figure is not null && Numbers(text).Count() <= 2 ? figure : null;
    }

    /// <summary>RIR 2, left 2 in the tank, 2 left, RPE 8; the text without it.</summary>
    private static (string Left, int? Rir) Reserve(string text)
    {
        var words = text.Split(' ', StringSplitOptions.RemoveEmptyEntries).ToList();
        for (var i = 0; i < words.Count; i++)
        {
            var next = i + 1 < words.Count ? Whole(words[i + 1]) : null;
            if (
                words[i] is "rir" or "left" or "leaving" && next is { } after && after <= 10
                || (words[i] is "rpe" && next is >= 5 and <= 10)
            )
            {
                var rir = words[i] is "rpe" ? 10 - next!.Value : next!.Value;
                words.RemoveRange(i, 2);
                return ($" {string.Join(' ', words)} ", rir);
            }

            if (Glued(words[i]) is { } glued)
            {
                words.RemoveAt(i);
                return ($" {string.Join(' ', words)} ", glued);
            }

            if (
                Whole(words[i]) is { } before
                && before <= 6
                && i + 1 < words.Count
                && (
                    words[i + 1] is "rir"
                    || (words[i + 1] is "left" or "more" && (i + 2 == words.Count || words[i + 2] is "in"))
                    || (words[i + 1] is "in" && i + 2 < words.Count && words[i + 2] is "the" or "tank" or "reserve")
                )
            )
            {
                words.RemoveRange(i, 2);
                return ($" {string.Join(' ', words)} ", before);
            }
        }

        return (text, null);
    }

    /// <summary>r2, rir2, rpe8.</summary>
    private static int? Glued(string word)
    {
        var at =
            word.StartsWith("rir", StringComparison.Ordinal) ? 3
            : word.StartsWith("rpe", StringComparison.Ordinal) ? 3
            : word.StartsWith('r') ? 1
            : 0;
        return at > 0 && word.Length is > 1 and < 6 && Whole(word[at..]) is { } n && n <= 10
            ? (word.StartsWith("rpe", StringComparison.Ordinal) ? 10 - n : n)
            : null;
    }

    private static (ImmutableArray<int> Reps, double? LoadKg, int? Pain) Figures(string text, bool hurting)
    {
        var reps = ImmutableArray.CreateBuilder<int>();
        double? load = null;
        int? pain = null;
        var from = hurting
            ? Hurting.Concat(Joints.Select(j => j.Word)).Select(w => text.IndexOf(w, StringComparison.Ordinal)).Where(i => i >= 0).Min()
            : 0;
        foreach (var number in Numbers(text))
        {
            var unit = number.Unit;
            if (unit is "kg" or "kgs" or "kilos" or "lb" or "lbs" or "pounds" || number.Marked)
            {
                load ??= Math.Round(number.Value * (unit.StartsWith('l') || unit.StartsWith('p') ? Units.KgPerPound : 1), 2);
            }
            else if (hurting && number.Value <= 10 && number.Last && number.Start > from)
            {
                pain = (int)Math.Round(number.Value);
            }
            else if (number.Value is >= 0 and <= 500 && number.Value % 1 == 0)
            {
                reps.AddRange(Enumerable.Repeat((int)number.Value, Math.Clamp(number.Times, 1, 10)));
            }
        }

        return (reps.Count > 30 ? reps.ToImmutable()[..30] : reps.ToImmutable(), load, pain);
    }

    private sealed record Figure(double Value, int Times, string Unit, bool Marked, bool Last, int Start);

    private static IEnumerable<Figure> Numbers(string text)
    {
        var found = new List<Figure>();
        for (var i = 0; i < text.Length; i++)
        {
            if (!char.IsAsciiDigit(text[i]) || (i > 0 && char.IsAsciiLetter(text[i - 1]) && text[i - 1] != 'x'))
            {
                continue;
            }

            var (value, end) = Read(text, i);
            var times = 1;
            var back = text[..i].TrimEnd();
            var marked =
                back.EndsWith('@') || back.EndsWith(" with", StringComparison.Ordinal) || back.EndsWith(" at", StringComparison.Ordinal);
            var after = end;
            while (after < text.Length && text[after] == ' ')
            {
                after++;
            }

            if (after + 1 < text.Length && text[after] is 'x' or '*' && NextDigit(text, after + 1) is { } next)
            {
                times = (int)Math.Min(value, 30);
                (value, end) = Read(text, next);
                after = end;
            }

            var unitEnd = after;
            while (unitEnd < text.Length && char.IsAsciiLetter(text[unitEnd]))
            {
                unitEnd++;
            }

            found.Add(new Figure(value, times, text[after..unitEnd], marked, false, i));
            i = end - 1;
        }

        return found.Select((f, i) => f with { Last = i == found.Count - 1 });
    }

    private static int? NextDigit(string text, int at)
    {
        while (at < text.Length && text[at] == ' ')
        {
            at++;
        }

        return at < text.Length && char.IsAsciiDigit(text[at]) ? at : null;
    }

    private static (double Value, int End) Read(string text, int at)
    {
        var end = at;
        while (
            end < text.Length
            && (char.IsAsciiDigit(text[end]) || (text[end] == '.' && end + 1 < text.Length && char.IsAsciiDigit(text[end + 1])))
        )
        {
            end++;
        }

        return (
            end - at <= 8
            && double.TryParse(text.AsSpan(at, end - at), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var value)
                ? value
                : 1e6,
            end
        );
    }

    private static int? Whole(string word) =>
        word.Length is > 0 and < 4 && word.All(char.IsAsciiDigit) ? int.Parse(word, CultureInfo.InvariantCulture) : null;

    /// <summary>What was exchanged: "push-ups instead of press", "did push-ups instead".</summary>
    private static string? Instead(string text)
    {
        var at = text.IndexOf(" instead", StringComparison.Ordinal);
        if (at < 0)
        {
            return null;
        }

        var rest = text[(at + 8)..];
        return rest.StartsWith(" of ", StringComparison.Ordinal) ? NameIn(rest[4..]) : string.Empty;
    }

    private static string NameIn(string text)
    {
        var clean = new string([
            .. text.Select(c =>
                char.IsLetter(c) || c is '-' or ' ' ? c
                : char.IsAsciiDigit(c) ? '\u0001'
                : ' '
            ),
        ]);
        var skip = Skips.Aggregate(clean, (t, s) => t.Replace($" {s} ", " ", StringComparison.Ordinal));
        return string.Join(' ', Named(skip.Split(' ', StringSplitOptions.RemoveEmptyEntries)));
    }

    /// <summary>The words that may name something; "side" only before another, as in side plank.</summary>
    private static IEnumerable<string> Named(string[] words) =>
        words.Where(
            (w, i) =>
                !w.Contains('\u0001', StringComparison.Ordinal)
                && w is not ("no" or "not")
                && (
                    !Beside.Contains(w)
                    || (w is "side" && i + 1 < words.Length && words[i + 1].All(char.IsLetter) && !Beside.Contains(words[i + 1]))
                )
        );

    private static bool AfterFigures(string text)
    {
        var at = text.TrimStart().IndexOf(' ', StringComparison.Ordinal);
        var rest = at < 0 ? string.Empty : NameIn(text.TrimStart()[at..] + " ");
        return rest.Length > 3;
    }
}
