using System.Collections.Immutable;
using System.Globalization;
using Ingegno.Core.Ground.Quantities;
using Ingegno.Core.Ground.Reasons;
using Ingegno.Core.Ground.Text;

namespace Ingegno.Core.AtHome.Kit;

/// <summary>A thing found in a paragraph: the words it stands in, what they were read as, and what is to be asked of it.</summary>
/// <param name="Source">The words, which can be mended and read again.</param>
/// <param name="Entry">What they were read as.</param>
/// <param name="Ask">What to ask; null when nothing is open.</param>
public sealed record KitFind(string Source, KitEntry Entry, Reason? Ask);

/// <summary>
/// Reads kit as people say it: "she has loop bands, a chair 45 cm, some 5s and 10s, adjustable up to 24, barbell with 100 kg of plates, rack
/// and bench". Each thing stands by itself; nothing is merged in silence. Common practice.
/// </summary>
public sealed class KitParagraph(KitShorthand shorthand)
{
    /// <summary>Longest paragraph.</summary>
    public const int Longest = 2_000;

    private const int MostThings = 60;

    /// <summary>Words that lead to a thing and say nothing of it.</summary>
    private static readonly ImmutableHashSet<string> Leading =
    [
        "she",
        "he",
        "they",
        "i",
        "we",
        "you",
        "her",
        "his",
        "my",
        "our",
        "their",
        "the",
        "has",
        "have",
        "had",
        "got",
        "gets",
        "owns",
        "own",
        "is",
        "are",
        "there",
        "also",
        "maybe",
        "perhaps",
        "only",
        "just",
        "and",
        "plus",
        "then",
        "with",
        "some",
        "a",
        "an",
        "of",
        "one",
        "those",
        "these",
        "kind",
        "sort",
        "old",
        "at",
        "home",
        "in",
        "on",
        "bit",
        "couple",
        "s",
        "ve",
        "can",
        "use",
        "borrow",
        "access",
        "to",
        "theres",
        "shes",
        "hes",
        "im",
        "ive",
        "weve",
        "probably",
        "about",
        "around",
        "nice",
        "good",
        "decent",
        "cheap",
        "new",
        "small",
        "little",
        "set",
        "equipment",
        "kit",
        "likes",
        "uses",
        "few",
        "lots",
        "loads",
        "various",
        "any",
        "basic",
        "thing",
        "things",
        "which",
        "that",
        "still",
        "so",
        "even",
        "most",
        "which",
        "both",
        "single",
        "simple",
        "whole",
        "lot",
    ];

    private static readonly ImmutableDictionary<string, int> Counts = new Dictionary<string, int>
    {
        ["two"] = 2,
        ["pair"] = 2,
        ["couple"] = 2,
        ["both"] = 2,
        ["three"] = 3,
        ["few"] = 3,
        ["four"] = 4,
        ["five"] = 5,
        ["six"] = 6,
        ["seven"] = 7,
        ["eight"] = 8,
        ["ten"] = 10,
    }.ToImmutableDictionary();

    /// <summary>What every place has, or what says that there is nothing.</summary>
    private static readonly ImmutableHashSet<string> Everywhere =
    [
        "nothing",
        "none",
        "nothing else",
        "bodyweight",
        "body weight",
        "bodyweight only",
        "body weight only",
        "wall",
        "walls",
        "floor",
        "floor space",
        "space",
        "room",
        "garden",
        "yard",
        "garage",
        "not much",
        "that",
        "it",
        "thats it",
        "thats all",
        "all",
    ];

    private static readonly ImmutableHashSet<string> Weights =
    [
        "dumbbell",
        "kettlebell",
        "medicine-ball",
        "plates",
        "weight-vest",
        "ankle-weight",
        "wrist-weight",
        "barbell",
    ];

    private static readonly ImmutableHashSet<string> Colours =
    [
        "green",
        "red",
        "blue",
        "yellow",
        "black",
        "purple",
        "orange",
        "grey",
        "gray",
        "pink",
        "light",
        "medium",
        "heavy",
        "strong",
        "thick",
        "thin",
    ];

    /// <summary>Pairs of plates as they are usually bought, kg.</summary>
    private static readonly double[] Plates = [20, 15, 10, 5, 2.5, 1.25];

    /// <summary>Steps of adjustable dumbbells until the coach says otherwise, kg.</summary>
    private const double Step = 2;

    /// <summary>The things of a paragraph, in its order.</summary>
    public ImmutableArray<KitFind> Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        if (text.Length > Longest)
        {
            return [new KitFind(text[..60], new KitEntry(null, false, Reason.Of("kit.too-much", ("most", Longest)), 1, []), null)];
        }

        var finds = ImmutableArray.CreateBuilder<KitFind>();
        var (noun, before) = ((string?)null, (KitItem?)null);
        foreach (var phrase in Phrases(PlainText.Of(text.ReplaceLineEndings(";"))).Take(MostThings))
        {
            if (One(phrase, noun) is { } find)
            {
                // A figure behind a thing that is no weight may be said of that thing.
                var unclear = find.Ask is null && noun is null && before is not null && IsFigure(phrase);
                finds.Add(unclear ? find with { Ask = Reason.Of("kit.ask-what", ("thing", find.Source)) } : find);
                before = find.Entry.Item;
                noun = find.Entry.Item is { Kind: "dumbbell" or "kettlebell" or "plates" or "band-loop" } item ? item.Kind : noun;
            }
        }

        return finds.ToImmutable();
    }

    private static bool IsFigure(string phrase) =>
        KitQuantity.In(phrase).Any() && !KitQuantity.Without(phrase).Split(' ').Any(w => w.Length > 5);

    private static IEnumerable<string> Phrases(string text)
    {
        var (start, depth) = (0, 0);
        for (var i = 0; i <= text.Length; i++)
        {
            depth +=
                i == text.Length ? 0
                : text[i] is '(' ? 1
                : text[i] is ')' && depth > 0 ? -1
                : 0;
            var (end, skip) =
                i == text.Length ? (true, 0)
                : depth > 0 ? (false, 0)
                : Ends(text, i);
            if (!end)
            {
                continue;
            }

            var phrase = text[start..i].Trim(' ', '\t', '-', '•', '*', ':', '(', ')', '.', ',', '!', '?', '"');
            if (phrase.Length > 0)
            {
                yield return phrase;
            }

            start = Math.Min(text.Length, i + skip);
            i = Math.Max(i, start - 1);
        }
    }

    /// <summary>Where a thing ends: a comma, a full stop, "and" – but 2,5 kg is one figure, and plates belong to their bar.</summary>
    private static (bool Ends, int Skip) Ends(string text, int at)
    {
        var c = text[at];
        var digits = at > 0 && at + 1 < text.Length && char.IsAsciiDigit(text[at - 1]) && char.IsAsciiDigit(text[at + 1]);
        if (c is '\n' or '\r' or ';' or '!' or '?' || (c is ',' or '.' && !digits))
        {
            return (true, 1);
        }

        foreach (var joint in new[] { " and ", " & ", " plus ", " + ", " as well as ", " but ", " or " })
        {
            if (
                at + joint.Length <= text.Length
                && string.Compare(text, at, joint, 0, joint.Length, StringComparison.OrdinalIgnoreCase) == 0
            )
            {
                return (!PlatesFollow(text, at + joint.Length), joint.Length);
            }
        }

        return (false, 0);
    }

    private static bool PlatesFollow(string text, int at)
    {
        var next = text.AsSpan(at, Math.Min(24, text.Length - at));
        var stop = next.IndexOfAny(",;.");
        return char.IsAsciiDigit(next.IsEmpty ? ' ' : next[0])
            && (stop < 0 ? next : next[..stop]).Contains("plate", StringComparison.OrdinalIgnoreCase);
    }

    private KitFind? One(string phrase, string? noun)
    {
        var (count, said) = Lead(phrase);
        if (said.Length == 0 || said.StartsWith("no ", StringComparison.OrdinalIgnoreCase) || Everywhere.Contains(said.ToLowerInvariant()))
        {
            return null;
        }

        return Adjustable(phrase, said)
            ?? BarWithPlates(phrase, said)
            ?? Twenties(phrase, said, count, noun)
            ?? Named(phrase, said, count, noun);
    }

    /// <summary>What stands before the thing: she has, a pair of, two.</summary>
    private static (int? Count, string Said) Lead(string phrase)
    {
        var words = phrase.Replace("'", string.Empty, StringComparison.Ordinal).Split(' ', StringSplitOptions.RemoveEmptyEntries).ToList();
        int? count = null;
        while (words.Count > 0 && (Leading.Contains(words[0].ToLowerInvariant()) || Counts.ContainsKey(words[0].ToLowerInvariant())))
        {
            // "no" and "one of" lead nowhere; "a pair of" counts. Backs of two chairs are one thing.
            if (
                words.Count > 2
                && words[0].Equals("two", StringComparison.OrdinalIgnoreCase)
                && words[1].Equals("chair", StringComparison.OrdinalIgnoreCase)
            )
            {
                break;
            }

            count = Counts.TryGetValue(words[0].ToLowerInvariant(), out var n) ? n : count;
            words.RemoveAt(0);
        }

        return (count, string.Join(' ', words));
    }

    /// <summary>Adjustable dumbbells up to 24 kg: from a light handle in steps.</summary>
    private static KitFind? Adjustable(string phrase, string said)
    {
        var figures = KitQuantity.In(said).Where(q => q.Kind == QuantityKind.Mass).ToList();
        var bare = Bare(said);
        if (
            !said.Contains("adjustable", StringComparison.OrdinalIgnoreCase)
            || said.Contains("bench", StringComparison.OrdinalIgnoreCase)
            || said.Contains("plate", StringComparison.OrdinalIgnoreCase)
            || (figures.Count == 0 && bare.Count == 0)
        )
        {
            return null;
        }

        var pounds = figures.Exists(f => f.Pounds) ? Units.KgPerPound : 1;
        var most = Math.Round(Math.Max(figures.Select(f => f.Value).DefaultIfEmpty(0).Max(), bare.DefaultIfEmpty(0).Max() * pounds), 2);
        var least =
            bare.Count > 1 || figures.Count > 1
                ? Math.Min(figures.Select(f => f.Value).DefaultIfEmpty(most).Min(), bare.Min() * pounds)
                : Math.Min(4, most / 2);
        if (most is < 3 or > 60 || least <= 0)
        {
            return null;
        }

        var pairs = new List<PlateSet>();
        for (var (left, plate) = ((most - least) / 2, Step / 2); left > 0.01; plate *= 2)
        {
            var mass = Math.Min(plate, left);
            pairs.Add(new PlateSet(Math.Round(mass, 2), 4));
            left -= mass;
        }

        var item = new KitItem
        {
            Id = "new",
            Kind = "adjustable-dumbbell",
            Count = 2,
            Name = string.Create(CultureInfo.InvariantCulture, $"Adjustable dumbbells to {most:0.#} kg"),
            HandleKg = Math.Round(least, 2),
            Plates = [.. pairs],
        };
        return new KitFind(phrase, new KitEntry(item, true, null, 0, []), Reason.Of("kit.ask-steps"));
    }

    private static readonly ImmutableArray<string> TrapBars = ["trap bar", "hex bar", "hexagonal bar"];

    /// <summary>A barbell, or a trap bar, and 100 kg of plates: the usual pairs that come to it.</summary>
    private static KitFind? BarWithPlates(string phrase, string said)
    {
        var lower = said.ToLowerInvariant();
        var trap = TrapBars.Any(t => lower.Contains(t, StringComparison.Ordinal));
        var bar =
            trap
            || lower.Contains("barbell", StringComparison.Ordinal)
            || lower.StartsWith("bar ", StringComparison.Ordinal)
            || lower.Contains("olympic bar", StringComparison.Ordinal);
        var masses = KitQuantity.In(said).Where(q => q.Kind == QuantityKind.Mass).ToList();
        if (!bar || !lower.Contains("plate", StringComparison.Ordinal) || masses.Count == 0 || masses.Exists(q => q.Times > 1))
        {
            return null;
        }

        var handle =
            masses.Count > 1 ? masses[0].Value
            : trap ? 25
            : 20;
        var left = masses[^1].Value;
        var plates = ImmutableArray.CreateBuilder<PlateSet>();
        foreach (var plate in Plates)
        {
            if (left >= 2 * plate)
            {
                plates.Add(new PlateSet(plate, 2));
                left -= 2 * plate;
            }
        }

        for (var i = 0; i < plates.Count; i++)
        {
            var more = (int)(left / (2 * plates[i].MassKg));
            plates[i] = plates[i] with { Count = plates[i].Count + (2 * more) };
            left -= 2 * more * plates[i].MassKg;
        }

        var item = new KitItem
        {
            Id = "new",
            Kind = trap ? "trap-bar" : "adjustable-barbell",
            Name = trap ? "Trap bar with plates" : "Barbell with plates",
            HandleKg = handle,
            Plates = plates.ToImmutable(),
        };
        return new KitFind(phrase, new KitEntry(item, true, null, 0, []), Reason.Of("kit.ask-plates"));
    }

    /// <summary>5s, 10s, a pair of 20s: pairs of dumbbells, or of what was spoken of.</summary>
    private static KitFind? Twenties(string phrase, string said, int? count, string? noun)
    {
        var pounds =
            said.EndsWith("lb", StringComparison.OrdinalIgnoreCase)
            || said.EndsWith("lbs", StringComparison.OrdinalIgnoreCase)
            || said.EndsWith("pounds", StringComparison.OrdinalIgnoreCase);
        var figure = said.Split(' ')[0];
        var alone = said.Split(' ') is [_] or [_, "kg" or "kgs" or "kilos" or "lb" or "lbs" or "pounds"];
        var text = figure.TrimEnd('s', 'S', 'k', 'g', 'l', 'b');
        if (
            !alone
            || text.Length == 0
            || !double.TryParse(text.Replace(',', '.'), NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var mass)
            || mass is <= 0 or > 100
        )
        {
            return null;
        }

        // Fives and tens are dumbbells whatever was spoken of before; a bare figure goes on with that.
        var kind = figure.EndsWith('s') && noun is not "plates" ? "dumbbell" : noun ?? "dumbbell";
        var item = new KitItem
        {
            Id = "new",
            Kind = kind,
            Count = count ?? (kind == "dumbbell" || figure.EndsWith('s') ? 2 : 1),
            MassKg = Math.Round(mass * (pounds ? Units.KgPerPound : 1), 4),
            Printed = pounds ? MassUnit.Lb : MassUnit.Kg,
        };
        return new KitFind(
            phrase,
            new KitEntry(item, false, null, 0, []),
            pounds || said.Contains('k', StringComparison.OrdinalIgnoreCase) ? null : Reason.Of("kit.ask-unit")
        );
    }

    private KitFind Named(string phrase, string said, int? count, string? noun)
    {
        var entry = shorthand.Read(WithUnit(Without(said)));
        if (entry.Item is null && shorthand.Within(said) is { } within)
        {
            entry = within;
        }

        if (entry.Item is null && noun == "band-loop" && said.ToLowerInvariant().Split(' ').All(w => Colours.Contains(w)))
        {
            entry = shorthand.Read($"{said} band");
        }

        if (entry.Item is null && noun is not null && KitQuantity.In(said).Any() && KitQuantity.Without(said).Trim().Length < 2)
        {
            entry = shorthand.Read($"{said} {noun}");
        }

        if (entry.Item is { Kind: "band-loop" } loop && said.Contains("handle", StringComparison.OrdinalIgnoreCase))
        {
            entry = entry with { Item = loop with { Kind = "band-tube" } };
        }

        if (entry.Item is { } item)
        {
            var pair = count ?? (item.Count == 1 && Paired(item, said) ? 2 : null);
            entry = entry with { Item = item with { Id = "new", Count = pair ?? item.Count } };
        }

        return new KitFind(phrase, entry, Ask(entry.Item, said));
    }

    /// <summary>What a thing has on it or in it is not the thing: half rack with pull-up bar, backpack to fill with books.</summary>
    private static string Without(string said)
    {
        foreach (var joint in new[] { " to fill", " with ", " in the ", " on the ", " under the ", " behind the ", " at the " })
        {
            var at = said.IndexOf(joint, StringComparison.OrdinalIgnoreCase);
            var rest = at < 0 ? string.Empty : said[at..];
            if (
                at > 0
                && !rest.Any(char.IsAsciiDigit)
                && !rest.Contains("handle", StringComparison.OrdinalIgnoreCase)
                && !rest.Contains("plate", StringComparison.OrdinalIgnoreCase)
                && !rest.Contains("strap", StringComparison.OrdinalIgnoreCase)
            )
            {
                return said[..at];
            }
        }

        return said;
    }

    /// <summary>"Kettlebells 12": the figure behind a weight is kilograms.</summary>
    private string WithUnit(string said)
    {
        var words = said.Split(' ', StringSplitOptions.RemoveEmptyEntries);
        return
            words.Length > 1
            && words[^1].All(c => char.IsAsciiDigit(c) || c == '.')
            && shorthand.Read(string.Join(' ', words[..^1])).Item is { } item
            && Weights.Contains(item.Kind)
            ? said + " kg"
            : said;
    }

    /// <summary>Dumbbells come in pairs when several are spoken of.</summary>
    private static bool Paired(KitItem item, string said) =>
        item.Kind is "dumbbell" or "wrist-weight" or "ankle-weight"
        && (
            said.Contains("dumbbells", StringComparison.OrdinalIgnoreCase)
            || said.Contains("dbs", StringComparison.OrdinalIgnoreCase)
            || said.Contains("weights", StringComparison.OrdinalIgnoreCase)
        );

    /// <summary>A band without a measure, known by its colour perhaps.</summary>
    private static Reason? Ask(KitItem? item, string said) =>
        item is { Kind: "band-loop" or "band-tube" or "band-flat" or "band-mini", ForceKg: null, WidthMm: null }
        || (
            item?.Kind.StartsWith("band", StringComparison.Ordinal) == true
            && said.Split(' ').Any(w => Colours.Contains(w.ToLowerInvariant()))
            && item.ForceKg is null
            && item.WidthMm is null
        )
            ? Reason.Of("kit.ask-band")
            : null;

    private static List<double> Bare(string said) =>
        [
            .. said.Split([' ', '-', '/'], StringSplitOptions.RemoveEmptyEntries)
                .Select(w => w.TrimEnd('k', 'g', 'l', 'b', 's', 'K', 'G'))
                .Where(w =>
                    w.Length is > 0 and < 6
                    && w.All(c => char.IsAsciiDigit(c) || c == '.')
                    && char.IsAsciiDigit(w[0])
                    && char.IsAsciiDigit(w[^1])
                )
                .Select(w => double.TryParse(w, NumberStyles.AllowDecimalPoint, CultureInfo.InvariantCulture, out var n) ? n : 0)
                .Where(n => n > 0),
        ];
}
