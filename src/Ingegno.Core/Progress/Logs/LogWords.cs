using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Foundation.Quantities;

namespace Ingegno.Core.Progress.Logs;

/// <summary>What the words of a piece of a message say: a name, reps, a load, effort. What hurts was taken out before (<see cref="PainTalk"/>).</summary>
internal sealed record LogWords
{
    /// <summary>Words that name an exercise; empty when there are none.</summary>
    public string Name { get; private init; } = string.Empty;

    /// <summary>A name follows the figures: "12 push-ups".</summary>
    public bool NameAfterFigures { get; private init; }

    public ImmutableArray<int> Reps { get; private init; } = [];

    /// <summary>One figure stands for every set: "12 each".</summary>
    public bool EverySet { get; private init; }

    /// <summary>What was left in each of those sets; null where it is not said of that one.</summary>
    public ImmutableArray<int?> Reserves { get; private init; } = [];

    public double? LoadKg { get; private init; }

    /// <summary>Load of each of those sets, kg, where there are several; empty where one holds for all.</summary>
    public ImmutableArray<double?> Loads { get; private init; } = [];

    /// <summary>Reserves for the sets in turn that were said apart from them.</summary>
    public ImmutableArray<int> InTurn { get; private init; } = [];

    /// <summary>The load is that of one hand.</summary>
    public bool OfEachHand { get; private init; }

    /// <summary>The load is a bare figure behind "@": what is held tells whether it is an effort.</summary>
    public bool LoadIsBare { get; private init; }

    /// <summary>Seconds were written behind the figures.</summary>
    public bool InSeconds { get; private init; }

    public int? Rir { get; private init; }

    public bool LastSetHard { get; private init; }

    public bool Skipped { get; private init; }

    public bool AsPlanned { get; private init; }

    /// <summary>What it was done instead of; empty when that is not named, null when nothing was exchanged.</summary>
    public string? InsteadOf { get; private init; }

    /// <summary>Effort of the whole session.</summary>
    public int? SessionEffort { get; private init; }

    /// <summary>It says nothing that a log can hold.</summary>
    public bool IsEmpty => Reps.IsEmpty && InTurn.IsEmpty && LoadKg is null && Rir is null && !LastSetHard && !AsPlanned;

    /// <summary>One side and the other are spoken of.</summary>
    public bool OfSides { get; private init; }

    /// <summary>Reads a piece of a message.</summary>
    /// <param name="piece">The piece.</param>
    /// <param name="sides">Sides were spoken of just before it.</param>
    public static LogWords Read(string piece, bool sides = false)
    {
        var text = piece.ToLowerInvariant().Replace("'", string.Empty, StringComparison.Ordinal);
        var ofSides = sides || LogPhrases.OfSides(text);
        text = $" {LogPhrases.InFigures(text, ofSides).Replace('(', ' ').Replace(')', ' ')} ";
        if (Session(text) is { } whole)
        {
            return new LogWords { SessionEffort = whole };
        }

        text = LogPhrases.EffortsOfTen(text);
        var eachHand = LogPhrases.OfEachHand().IsMatch(text);
        text = LogPhrases.OfEachHand().Replace(text, "${unit} ");
        var (inTurn, plain) = EachReserve(text);
        text = plain;
        var (left, reserve) = Reserve(text);
        var lastHard = LogVocabulary.LastHard.Any(h => left.Contains(h, StringComparison.Ordinal));
        left = LogVocabulary.LastHard.Aggregate(left, (t, h) => t.Replace($" {h} ", " ", StringComparison.Ordinal));
        var effort = LogVocabulary.Efforts.FirstOrDefault(e => Has(left, e.Words));
        left = effort.Words is null ? left : left.Replace($" {effort.Words} ", " ", StringComparison.Ordinal);
        var figures = Figures(left);
        var instead = Instead(left);
        var skipped = LogVocabulary.Skips.Any(s => Has(left, s)) || (Has(left, "no") && figures.Sets.IsEmpty);
        return new LogWords
        {
            Name = NameIn(instead is { Length: > 0 } ? left[..left.IndexOf(" instead", StringComparison.Ordinal)] : left),
            NameAfterFigures = AfterFigures(left),
            Reps = [.. figures.Sets.Select(s => s.Reps)],
            Reserves = [.. figures.Sets.Select(s => s.Left)],
            InSeconds = figures.InSeconds,
            OfSides = ofSides,
            EverySet = LogVocabulary.EverySet.Any(e => Has(left, e)) && !LogVocabulary.OfASide.Any(left.Contains),
            LoadKg = figures.LoadKg,
            LoadIsBare = figures.LoadIsBare,
            Loads = figures.Loads,
            InTurn = inTurn,
            OfEachHand = eachHand,
            Rir = reserve ?? (effort.Words is null ? null : effort.Rir),
            LastSetHard = lastHard,
            Skipped = (skipped || (figures.Sets.IsEmpty && LogVocabulary.Exceptions.Any(e => Has(left, e)))) && instead is null,
            AsPlanned = LogMessage.SaysAsPlanned(left) && !LogVocabulary.Exceptions.Any(e => Has(left, e)),
            InsteadOf = instead,
        };
    }

    private static bool Has(string text, string words) =>
        text.Contains($" {words} ", StringComparison.Ordinal) || text.Contains($" {words},", StringComparison.Ordinal);

    /// <summary>Session 7/10, overall RPE 8, whole thing felt 6 of 10.</summary>
    private static int? Session(string text)
    {
        var whole =
            Has(text, "session")
            || Has(text, "overall")
            || Has(text, "workout")
            || (
                (text.Contains("/10", StringComparison.Ordinal) || text.Contains(" out of 10", StringComparison.Ordinal))
                && NameIn(text).Split(' ').All(w => w.Length == 0 || LogVocabulary.OfSession.Contains(w)) // "squats 9/10" are two sets
            );
        if (!whole)
        {
            return null;
        }

        var figure = LogFigure.In(text).Where(n => n.Value is >= 1 and <= 10).Select(n => (int?)Math.Round(n.Value)).FirstOrDefault();
        return figure is not null && LogFigure.In(text).Count() <= 2 ? figure : null;
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

    /// <summary>RIR 3/2/1, RPE 7, 8, 9 as reserves, and the text without them; none where one figure is meant.</summary>
    private static (ImmutableArray<int> InTurn, string Text) EachReserve(string text)
    {
        if (LogPhrases.OfEachSet().Match(text) is not { Success: true } said)
        {
            return ([], text);
        }

        var figures = said.Groups["n"].Captures.Select(c => int.Parse(c.ValueSpan, CultureInfo.InvariantCulture)).ToList();
        var efforts = said.Groups["of"].Value == "rpe";
        return figures.TrueForAll(f => efforts ? f >= 5 : f <= 6)
            ? ([.. figures.Select(f => efforts ? 10 - f : f)], text.Remove(said.Index, said.Length).Insert(said.Index, " "))
            : ([], text);
    }

    private sealed record FiguresSaid(
        ImmutableArray<(int Reps, int? Left)> Sets,
        double? LoadKg,
        ImmutableArray<double?> Loads,
        bool LoadIsBare,
        bool InSeconds
    );

    private static FiguresSaid Figures(string text)
    {
        var sets = new List<(int Reps, int? Left)>();
        var (bare, inSeconds) = (false, false);
        var (loads, loadFirst) = (new List<double?>(), false);
        double? load = null;
        double? latest = null;
        foreach (var number in LogFigure.In(text))
        {
            var unit = number.Unit;
            if (unit is "kg" or "kgs" or "kilos" or "lb" or "lbs" or "pounds" || number.Marked)
            {
                bare = load is null ? unit.Length == 0 && text[..number.Start].TrimEnd().EndsWith('@') : bare;
                latest = Math.Round(number.Value * (unit.StartsWith('l') || unit.StartsWith('p') ? Units.KgPerPound : 1), 2);
                loadFirst |= load is null && sets.Count == 0;
                load ??= latest;
                for (var i = 0; i < loads.Count && !loadFirst; i++)
                {
                    loads[i] ??= latest; // 12 @ 10, 10 @ 12
                }
            }
            else if (
                number.Value is >= 0 and <= 500
                && number.Value % 1 == 0
                && unit is not ("set" or "sets" or "min" or "mins" or "minutes" or "hr" or "hrs" or "hours")
            )
            {
                inSeconds |= unit is "s" or "sec" or "secs" or "seconds";
                var times = Math.Clamp(number.Times, 1, 10);
                sets.AddRange(Enumerable.Repeat(((int)number.Value, number.Reserve), times));
                loads.AddRange(Enumerable.Repeat(loadFirst ? latest : null, times));
            }
        }

        var several = loads.Distinct().Count() > 1 && loads.TrueForAll(l => l is not null);
        return new FiguresSaid([.. sets.Take(MostSets)], load, several ? [.. loads.Take(MostSets)] : [], bare && !several, inSeconds);
    }

    private const int MostSets = 30;

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
        var skip = LogVocabulary.Skips.Aggregate(clean, (t, s) => t.Replace($" {s} ", " ", StringComparison.Ordinal));
        return string.Join(' ', Named(skip.Split(' ', StringSplitOptions.RemoveEmptyEntries)));
    }

    /// <summary>The words that may name something; "side" only before another, as in side plank.</summary>
    private static IEnumerable<string> Named(string[] words) =>
        words.Where(
            (w, i) =>
                !w.Contains('\u0001', StringComparison.Ordinal)
                && w is not ("no" or "not")
                && (
                    !LogVocabulary.Beside.Contains(w)
                    || (
                        w is "side"
                        && i + 1 < words.Length
                        && words[i + 1].All(char.IsLetter)
                        && !LogVocabulary.Beside.Contains(words[i + 1])
                    )
                )
        );

    private static bool AfterFigures(string text)
    {
        var at = text.TrimStart().IndexOf(' ', StringComparison.Ordinal);
        if (at >= 0 && LogVocabulary.BehindFigures.Any(w => text.TrimStart()[at..].StartsWith($" {w} ", StringComparison.Ordinal)))
        {
            return false; // 18 with band: how, and no name
        }

        var rest = at < 0 ? string.Empty : NameIn(text.TrimStart()[at..] + " ");
        return rest.Length > 3;
    }
}
