using System.Collections.Immutable;
using System.Globalization;
using System.Text.RegularExpressions;
using Ingegno.Core.Foundation.Quantities;
using Ingegno.Core.Foundation.Reasons;
using Ingegno.Core.Foundation.Text;

namespace Ingegno.Core.Equipment.Kit;

/// <summary>What a typed thing was read as, or what is wrong with it.</summary>
/// <param name="Item">The item, null when it could not be read.</param>
/// <param name="Estimated">Measures that took their usual value.</param>
/// <param name="Error">What is wrong and what to do; null when nothing.</param>
/// <param name="Column">Where it is wrong, 1 first.</param>
/// <param name="Suggestions">Nearest names for an unknown one.</param>
public sealed record KitEntry(KitItem? Item, bool Estimated, Reason? Error, int Column, ImmutableArray<string> Suggestions);

/// <summary>
/// Reads a thing typed in one line: "2x 8 kg dumbbell", "rucksack 25 L", "sofa 44 cm", "band 104 cm 13 mm". Count, measures
/// with units and a name in any order; what is missing takes the usual value of its kind and counts as estimated.
/// </summary>
public sealed partial class KitShorthand(KitKinds kinds, ImmutableArray<ReadyItem> ready)
{
    private const int LongestLine = 120;

    private readonly ImmutableArray<(string Normal, string Name, KitItem Item)> _names =
    [
        .. ready.SelectMany(r => r.Synonyms.Prepend(r.Name).Select(n => (Words.Normalise(n), r.Name, r.Item))),
        .. kinds.All.SelectMany(k =>
            k.Synonyms.Prepend(k.Label).Append(k.Id).Select(n => (Words.Normalise(n), k.Label, new KitItem { Id = "new", Kind = k.Id }))
        ),
    ];

    [GeneratedRegex(
        @"^\s*(?:(?<n>[0-9]{1,3})\s*[x×*](?!\s*[0-9]+(?:[.,][0-9]+)?\s*(?:mm|cm|m|in)\b)\s*|(?<word>a pair of|pair of|two|three|four|six)\s+)",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex CountAtStart();

    [GeneratedRegex(@"(?:^|\s)(?:[x×*]\s*(?<n>[0-9]{1,3})|(?<n>[0-9]{1,3})\s*[x×*]?)(?=\s|$)", RegexOptions.None, Patterns.TimeoutMs)]
    private static partial Regex LooseCount();

    [GeneratedRegex(
        @"\b(?:with|of|and|each|high|long|wide|thick|handle|handles|plates?|filled|full|a|an|the|my)\b|[(),:;@]",
        RegexOptions.IgnoreCase,
        Patterns.TimeoutMs
    )]
    private static partial Regex Noise();

    /// <summary>A thing of this kind is known by its height.</summary>
    public bool HasHeight(string kind) => kinds.Find(kind)?.Has(KitMeasure.Height) == true;

    /// <summary>Reads one thing. The key of the item is <c>new</c>; the caller gives it its own.</summary>
    public KitEntry Read(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var (hazards, left, said) = kinds.Hazards.Of(text);
        return said && Known(left) is { Item: { } item } entry && CanBeRuledOut(item)
            ? entry with
            {
                Item = item with { Hazards = hazards },
            }
            : Known(text);
    }

    /// <summary>The longest name that stands anywhere in the words, for a thing that is said in passing; null when there is none.</summary>
    public KitEntry? Within(string text)
    {
        ArgumentNullException.ThrowIfNull(text);
        var (hazards, left, said) = kinds.Hazards.Of(text);
        return said && InPassing(left) is { Item: { } item } entry && CanBeRuledOut(item)
            ? entry with
            {
                Item = item with { Hazards = hazards },
            }
            : InPassing(text);
    }

    /// <summary>The thing with what is said of it afterwards ("it wobbles"); null where nothing was said that rules it out or not.</summary>
    internal KitItem? Also(KitItem item, string clause)
    {
        var (hazards, left, said) = kinds.Hazards.Of(clause);
        return said && HazardTalk.SaysNoThing(left) && CanBeRuledOut(item)
            ? item with
            {
                Hazards = [.. item.Hazards.Concat(hazards).Distinct().Order()],
            }
            : null;
    }

    /// <summary>The thing with every hazard that stands in its words.</summary>
    internal KitItem Ruled(KitItem item, string words) =>
        CanBeRuledOut(item) ? item with { Hazards = [.. item.Hazards.Concat(kinds.Hazards.Of(words).Hazards).Distinct().Order()] } : item;

    /// <summary>Somebody trusts it with his weight, or a band with its pull.</summary>
    private bool CanBeRuledOut(KitItem item) => kinds.Find(item.Kind) is { } kind && (kind.Bears || kind.Is("anchor"));

    private KitEntry Known(string text)
    {
        text = PlainText.Normalize(text);
        if (text.Length > LongestLine)
        {
            return Wrong(Reason.Of("kit.too-long", ("most", LongestLine)), LongestLine);
        }

        // A ready item written out in full needs no reading.
        if (_names.FirstOrDefault(n => n.Normal == Words.Normalise(text)) is { Item: { } known })
        {
            return new KitEntry(known, IsEstimated(known), null, 0, []);
        }

        var start = CountAtStart().Match(text);
        var count = start.Success ? CountOf(start) : 1;
        var body = start.Success ? new string(' ', start.Length) + text[start.Length..] : text;
        var quantities = KitQuantity.In(body).ToList();
        var rest = KitQuantity.Without(body);
        if (!start.Success && LooseCount().Match(rest) is { Success: true } loose)
        {
            count = int.Parse(loose.Groups["n"].Value, CultureInfo.InvariantCulture);
            rest = LooseCount().Replace(rest, " ", 1);
        }

        if (count is < 1 or > 100)
        {
            return Wrong(Reason.Of("kit.count", ("count", count)), 1);
        }

        return Named(Noise().Replace(rest, " ").Trim(), text, quantities, count);
    }

    /// <summary>What a thing is called.</summary>
    internal string LabelOf(string kind) => kinds.Find(kind)?.Label ?? kind;

    /// <summary>Said to come with a thing and part of it: plates, handles, a strap, wheels, legs, what fills a bag.</summary>
    internal bool IsPartOf(string words) =>
        words.Any(char.IsAsciiDigit) || kinds.Hazards.Of(words).Said || Words.Normalise(words).Split(' ').Any(w => Parts.Contains(w));

    private static readonly ImmutableHashSet<string> Parts =
    [
        "plate",
        "handle",
        "strap",
        "wheel",
        "leg",
        "book",
        "water",
        "sand",
        "arm",
        "back",
        "magazine",
        "cushion",
        "pillow",
        "clothes",
        "towel",
        "stone",
    ];

    /// <summary>The thing that is spelt nearly so, or joined and parted otherwise: dumbell, kettle bell; null when none is.</summary>
    internal KitEntry? Misspelt(string text)
    {
        var plain = PlainText.Normalize(text);
        var words = Words.Normalise(Noise().Replace(KitQuantity.Without(plain), " "));
        if (words.Length is 0 or > LongestLine)
        {
            return null;
        }

        var parts = words.Split(' ', StringSplitOptions.RemoveEmptyEntries).Where(w => w.Any(char.IsLetter) && w != "x").ToArray();
        var joined = string.Concat(parts);
        var meant = _names
            .FirstOrDefault(n => n.Normal.Length >= LeastJoined && n.Normal.Replace(" ", string.Empty, StringComparison.Ordinal) == joined)
            .Normal;
        if (meant is null)
        {
            var spelt = parts
                .Select(w => _vocabulary.Contains(w) || w.Length < LeastJoined ? w : Spelling.Nearest(w, _vocabulary))
                .ToList();
            meant = spelt.Exists(w => w is null) || spelt.SequenceEqual(parts) ? null : string.Join(' ', spelt);
        }

        if (meant is null)
        {
            return null;
        }

        // The figures stay as they are: only the name is put right.
        var at = plain.IndexOfAny([.. "abcdefghijklmnopqrstuvwxyzABCDEFGHIJKLMNOPQRSTUVWXYZ"]);
        var figures = string.Join(' ', plain.Split(' ').Where(w => w.Any(char.IsAsciiDigit)));
        var units =
            at < 0 ? string.Empty : string.Join(' ', plain.Split(' ').Where(w => w is "kg" or "lb" or "lbs" or "cm" or "mm" or "l"));
        return Read($"{figures} {units} {meant}") is { Item: not null } entry ? entry : null;
    }

    private const int LeastJoined = 5;

    private readonly ImmutableHashSet<string> _vocabulary =
    [
        .. ready.SelectMany(r => r.Synonyms.Prepend(r.Name)).SelectMany(n => Words.Normalise(n).Split(' ')),
        .. kinds.All.SelectMany(k => k.Synonyms.Prepend(k.Label)).SelectMany(n => Words.Normalise(n).Split(' ')),
    ];

    private KitEntry? InPassing(string text)
    {
        if (text.Length > LongestLine)
        {
            return null;
        }

        var words = Words.Normalise(KitQuantity.Without(PlainText.Normalize(text))).Split(' ', StringSplitOptions.RemoveEmptyEntries);
        for (var length = Math.Min(5, words.Length); length > 0; length--)
        {
            for (var at = words.Length - length; at >= 0; at--)
            {
                var name = string.Join(' ', words[at..(at + length)]);
                if (
                    _names.FirstOrDefault(n => n.Normal == name) is { Item: { } item }
                    && SaysNothingAgainst(item, at > 0 && !KitLead.IsLead(words[at - 1]) ? [words[at - 1]] : [])
                )
                {
                    return Measured(item with { Name = item.Name }, [.. KitQuantity.In(text)]);
                }
            }
        }

        return null;
    }

    private KitEntry Named(string words, string text, List<KitQuantity> quantities, int count)
    {
        var normal = Words.Normalise(words);
        if (normal.Length == 0)
        {
            return Wrong(Reason.Of("kit.no-name"), 1);
        }

        // The longest ending that is known: in "blue dictionary" the dictionary.
        var parts = normal.Split(' ');
        for (var from = 0; from < parts.Length; from++)
        {
            var ending = string.Join(' ', parts[from..]);
            if (_names.FirstOrDefault(n => n.Normal == ending) is { Item: { } item } && SaysNothingAgainst(item, parts[..from]))
            {
                return Measured(item with { Count = count, Name = from > 0 ? Words.Sentence(Tidy(words)) : item.Name }, quantities);
            }
        }

        var near = _names
            .Select(n => (n.Name, Likeness: Likeness.Between(normal, n.Normal), kinds.Find(n.Item.Kind)!.Bears))
            .Where(n => n.Likeness > (n.Bears ? LeastOfBearing : LeastLikeness))
            .GroupBy(n => n.Name, n => n.Likeness)
            .OrderByDescending(g => g.Max())
            .ThenBy(g => g.Key, StringComparer.Ordinal)
            .Take(4)
            .Select(g => g.Key)
            .ToImmutableArray();
        var column = Math.Max(1, text.IndexOf(words.Split(' ', StringSplitOptions.RemoveEmptyEntries)[0], StringComparison.Ordinal) + 1);
        return new KitEntry(null, false, Reason.Of("kit.unknown", ("name", Tidy(words))), column, near);
    }

    /// <summary>How like a name must be to be offered; one that somebody would stand or pull on, nearly the same.</summary>
    private const double LeastLikeness = 0.3,
        LeastOfBearing = 0.6;

    /// <summary>
    /// A thing that bears somebody is only what it is called with words that are known: a detergent box is no box to step on, a card table
    /// no table to hang under. What is not known never inherits what such things carry; it is asked.
    /// </summary>
    private bool SaysNothingAgainst(KitItem item, IEnumerable<string> before) =>
        !kinds.Find(item.Kind)!.Bears || before.All(w => kinds.PlainWords.Contains(w) || w.All(char.IsAsciiDigit));

    private KitEntry Measured(KitItem item, List<KitQuantity> quantities)
    {
        var kind = kinds.Find(item.Kind)!;
        foreach (var quantity in quantities)
        {
            if (Take(item, kind, quantity) is not { } taken)
            {
                return Wrong(
                    Reason.Of("kit.measure", ("said", Said(quantity)), ("kind", kind.Label.ToLowerInvariant()), ("by", Described(kind))),
                    quantity.Column
                );
            }

            item = taken;
        }

        if (Impossible(item) is { } impossible)
        {
            return Wrong(impossible, quantities.FirstOrDefault()?.Column ?? 1);
        }

        return new KitEntry(item, IsEstimated(item), null, 0, []);
    }

    /// <summary>The item with the quantity in its place; null when its kind has none for it.</summary>
    private static KitItem? Take(KitItem item, KitKind kind, KitQuantity q) =>
        q.Kind switch
        {
            QuantityKind.Mass when q.Limit => item with { MaxLoadKg = q.Value },
            QuantityKind.Mass when kind.Has(KitMeasure.Plates) => item.HandleKg is null && q.Times == 1
                ? item with
                {
                    HandleKg = q.Value,
                    Printed = Unit(q),
                }
                : item with
                {
                    Plates = item.Plates.Add(new PlateSet(q.Value, q.Times)),
                    Printed = Unit(q),
                },
            QuantityKind.Mass when kind.Has(KitMeasure.Mass) => item with { MassKg = q.Value, Printed = Unit(q) },
            QuantityKind.Mass when kind.Has(KitMeasure.Force) => item with { ForceKg = q.Value },
            QuantityKind.Mass when kind.Has(KitMeasure.Density) => item with { VolumeL = q.Value / (kind.TypicalDensityKgPerL ?? 1) },
            QuantityKind.Mass when kind.Has(KitMeasure.MaxLoad) => item with { MaxLoadKg = q.Value },
            QuantityKind.Volume when kind.Id == "bottle" => item with
            {
                VolumeL = q.Value * 1.07,
                MassKg = Math.Round((q.Value * Units.WaterKgPerLitre) + 0.03, 3),
            },
            QuantityKind.Volume when kind.Has(KitMeasure.Volume) => item with { VolumeL = q.Value },
            QuantityKind.Length when kind.Has(KitMeasure.Height) => item with { HeightCm = q.Value },
            QuantityKind.Length when kind.Has(KitMeasure.RestLength) => item with { RestLengthCm = q.Value },
            QuantityKind.ShortLength when kind.Has(KitMeasure.Width) => item.WidthMm is null
                ? item with
                {
                    WidthMm = q.Value,
                }
                : item with
                {
                    ThicknessMm = q.Value,
                },
            QuantityKind.ShortLength when kind.Has(KitMeasure.Height) => item with { HeightCm = q.Value / 10 },
            _ => null,
        };

    private static Reason? Impossible(KitItem item) =>
        item switch
        {
            { MassKg: <= 0 or > 500 } or { HandleKg: <= 0 or > 100 } => Reason.Of("kit.range-mass"),
            { ForceKg: <= 0 or > 150 } => Reason.Of("kit.range-force"),
            { HeightCm: < 1 or > 250 } => Reason.Of("kit.range-height"),
            { RestLengthCm: < 10 or > 500 } => Reason.Of("kit.range-length"),
            { WidthMm: < 1 or > 200 } or { ThicknessMm: < 0.1 or > 20 } => Reason.Of("kit.range-size"),
            { VolumeL: <= 0 or > 1000 } => Reason.Of("kit.range-volume"),
            { MaxLoadKg: <= 0 or > 1000 } => Reason.Of("kit.range-carries"),
            _ => null,
        };

    private bool IsEstimated(KitItem item) => new Thing(item, kinds.Find(item.Kind)!).Estimated;

    private static int CountOf(Match start) =>
        start.Groups["n"].Success
            ? int.Parse(start.Groups["n"].Value, CultureInfo.InvariantCulture)
            : start.Groups["word"].Value.ToLowerInvariant() switch
            {
                "three" => 3,
                "four" => 4,
                "six" => 6,
                _ => 2,
            };

    private static MassUnit Unit(KitQuantity q) => q.Pounds ? MassUnit.Lb : MassUnit.Kg;

    private static string Tidy(string words) => string.Join(' ', words.Split(' ', StringSplitOptions.RemoveEmptyEntries));

    private static string Said(KitQuantity q) =>
        q.Kind switch
        {
            QuantityKind.Mass => $"{Words.Number(q.Value, 2)} kg",
            QuantityKind.Volume => $"{Words.Number(q.Value, 2)} L",
            QuantityKind.Length => $"{Words.Number(q.Value)} cm",
            _ => $"{Words.Number(q.Value)} mm",
        };

    private static string Described(KitKind kind) =>
        kind.Measures.IsEmpty ? "its name alone" : Words.Join([.. kind.Measures.Select(Words.Of)]);

    private static KitEntry Wrong(Reason error, int column) => new(null, false, error, column, []);
}
